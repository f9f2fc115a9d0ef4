import { cpus } from 'node:os';
import { PAGES } from './time-gardens.mjs';

/**
 * What was measured, beside what is asked.
 *
 * @param rounds what each round measured: `yardstick`, `filter`, `ahead`, `shopping`, `feeding`, `tally`, and `app` with lists of times
 * @param gardens what was measured in gardens of many bags and seasons
 * @param bytes of the first route's JavaScript, gzipped
 */
export function benchPage(rounds, gardens, bytes) {
  const [{ filter, ahead, feeding, shopping, tally }] = rounds;
  /** A line of figures that every round gives one of, or a list. */
  const line = (what, asked, of, digits = 0) => {
    const all = rounds.flatMap(of).sort((a, b) => a - b);
    return `| ${what} | ${asked} | ${all[0].toFixed(digits)} | ${all[Math.floor(all.length / 2)].toFixed(digits)} |`;
  };
  const lines = [
    line(
      `water filter, one bag's season (${filter.days} days, ${filter.entries} entries as a simulated bag was felt and watered, 40 × 25 grid), median of ${filter.runs} bags`,
      5,
      (r) => r.filter.medianMs,
      1,
    ),
    line('the same, slowest bag', '', (r) => r.filter.slowestMs, 1),
    line(
      'the same with checks that come at random, 300 entries: the belief at its widest',
      '',
      (r) => r.filter.randomMs,
      1,
    ),
    line(`such a bag after one new entry, median of ${filter.runs}`, 1, (r) => r.filter.newEntryMs, 2),
    line(`${filter.bags} such bags one after another in one worker`, '', (r) => r.filter.allBagsMs),
    line(`the same, shared over ${filter.workers} workers as the app does it`, 500, (r) => r.filter.sharedMs),
    line(
      `looking ahead: ${ahead.bags} bags × ${ahead.days} days × ${ahead.draws} draws, in one worker`,
      250,
      (r) => r.ahead.aheadMs,
    ),
    line(
      `a bag's feeding on the demo: three ledgers of a season, due steps, the mix used up, median of ${feeding.bags} bags`,
      '',
      (r) => r.feeding.feedingMs,
      2,
    ),
    line("a regime's dates for three months, median", '', (r) => r.feeding.previewMs, 2),
    line(
      `tally of ${tally.bags} bags over ten seasons, ${tally.entries} entries, from nothing, in its worker`,
      '',
      (r) => r.tally.openMs,
      0,
    ),
    line('the same narrowed down, once it is there', '50', (r) => r.tally.filterMs, 1),
    line('what is coming in it', '', (r) => r.tally.comingMs, 0),
    line('a trial of 16 bags over two seasons, with its shuffles', '', (r) => r.tally.trialMs, 0),
    line("a season's review with its forecasts checked", '', (r) => r.tally.reviewMs, 0),
    line(
      `shopping list, ${shopping.bags} bags, 12 ingredients, ${shopping.packs} pack sizes, exact cover, median of ${shopping.runs} different lists`,
      '',
      (r) => r.shopping.medianMs,
      2,
    ),
    line('the same, slowest list', '', (r) => r.shopping.slowestMs, 2),
    line(
      'the round of the demo with all its bags worked out anew, from the garden read to a stop that can be used',
      300,
      (r) => r.app.rounds,
    ),
    line('a tap on a grade, on a page at rest, to the watering that is proposed', 100, (r) => r.app.answers),
    line(
      'navigation to a usable round on the demo, first visit (fetches and stores the demo)',
      '',
      (r) => r.app.cold,
    ),
    line('the same, later visits', '', (r) => r.app.warm),
    line(
      'the longest task of the main thread in such a later visit (50: none is longer)',
      50,
      (r) => r.app.starts,
    ),
    line('the longest one from a tap on a grade until all is drawn', 50, (r) => r.app.checks),
  ];
  const yardsticks = (which) => rounds.map(({ yardstick }) => yardstick[which]).join(', ');
  return `# Measured

By \`npm run bench\` on ${new Date().toISOString().slice(0, 10)}: Node ${process.versions.node}, ${cpus().length} cores (${cpus()[0]?.model.trim() ?? 'unknown'}), headless Chromium. The command writes this page anew; nothing on it is typed by hand. All of it is the built code that ships.

Everything is measured in ${rounds.length} rounds, one thing after another. **Quickest** is the least disturbed of them (of ${rounds.flatMap(({ app }) => app.answers).length} taps, for one), **median** what the machine gave while it had neighbours: before each round a fixed loop of twenty million multiply-adds that wait for one another took ${yardsticks('chained')} ms, and one of eighty million that need not wait ${yardsticks('free')} ms. A neighbour on the same core slows only the second, and most of what is measured here.

| what | asked, ms | quickest | median |
| --- | --- | --- | --- |
${lines.join('\n')}

${gardensPart(gardens)}
First route's JavaScript: ${(bytes / 1000).toFixed(0)} kB gzip.
`;
}

/** What opening, visiting and showing large gardens took: a row a garden. */
function gardensPart(gardens) {
  const seconds = (ms) => (ms / 1000).toFixed(1);
  const sorted = (list) => [...list].sort((a, b) => a - b);
  const median = (list) => sorted(list)[Math.floor(list.length / 2)].toFixed(0);
  const rows = gardens.map(
    ({ bags, seasons, entries, bytes, openedMs, openedCpuMs, visitsMs, visitTasks, pageTasks }) =>
      `| ${bags} × ${seasons} | ${entries.toLocaleString('en-GB')} | ${(bytes / 1e6).toFixed(1)} | ${seconds(openedMs)} (${seconds(openedCpuMs)}) | ${sorted(visitsMs)[0].toFixed(0)} (${median(visitsMs)}) | ${median(visitTasks)} | ${pageTasks.map((ms) => ms.toFixed(0)).join(' | ')} |`,
  );
  return `## Gardens of many bags and seasons

Made by \`core/bench/many.ts\`, 62 entries a bag and season. "File": from choosing it to the first screen, s, and what all of the browser's processes worked meanwhile, s (asked: no more than 5 for 62,000 entries). "Visit": milliseconds from the address to a usable round in a new tab, quickest and median of ${gardens[0].visitsMs.length} (asked: 100 × 10 no more than 1.2 times 24 × 1). Then the longest task of the main thread, ms, in such a visit and on going to each page (50: none is longer; asked: 50 at 24 × 1, 200 at 500 × 1).

| bags × seasons | entries | MB | file | visit | its longest task | ${PAGES.join(' | ')} |
| --- | --- | --- | --- | --- | --- |${PAGES.map(() => ' --- |').join('')}
${rows.join('\n')}
`;
}

/** How far hours are off in the mean, and which way. */
const biasWords = (hours) => `${Math.abs(hours).toFixed(1)} h too ${hours >= 0 ? 'late' : 'early'}`;

/** The season test's table (core/bench/season), with what it says in words around it. */
export function seasonPage({ seconds, comparisons, situations }) {
  const percent = (share, digits = 0) => `${(share * 100).toFixed(digits)} %`;
  const names = { coolWet: 'A cool wet climate', hot: 'A hot climate' };
  const tables = comparisons.map(({ climate, bags, days, lines, truth, foreseen }) => {
    const daily = lines[0].checks;
    const rows = lines.map(
      (l) =>
        `| ${l.name} | ${percent(l.checks / daily)} | ${percent(l.dry, 2)} | ${percent(l.dryBig, 2)} | ${percent(l.walks)} | ${percent(l.waste)} |`,
    );
    return `## ${names[climate]}

${bags} bags over four weather years, ${days} days each.

| who | checks, of daily's | bag-days below a fifth | those of bags from 25 L up | days with a walk | poured and lost |
| --- | --- | --- | --- | --- | --- |
${rows.join('\n')}

Stated 10 to 90 % ranges held ${percent(truth.coverage, 1)} of evenings. "Hours until it wants water" was off by ${percent(truth.hoursError)} in the median of ${truth.forecasts} forecasts, each made before anybody checked that evening, and ${biasWords(truth.hoursBias)} in the mean; with the weather to come known beforehand it would have been off by ${percent(foreseen.hoursError)}.
`;
  });
  const situationTables = ['coolWet', 'hot']
    .map((climate) => {
      const of = ({ climates }) => climates.find((c) => c.climate === climate);
      const [first] = situations;
      const heads = of(first).lines.map((l) => (l.name.includes('mm of ETo') ? 'by mm of ETo' : l.name));
      const rows = situations.map((situation) => {
        const { lines, truth } = of(situation);
        const cells = lines.map((l) => `${percent(l.dry, 2)} (${percent(l.checks / lines[0].checks)})`);
        return `| ${situation.name} | ${cells.join(' | ')} | ${percent(truth.hoursError)}, ${biasWords(truth.hoursBias)} | ${percent(truth.coverage)} |`;
      });
      return `### ${names[climate]}

| what is amiss | ${heads.join(' | ')} | Rundel's hours are off by | its ranges held |
| --- |${' --- |'.repeat(heads.length + 2)}
${rows.join('\n')}
`;
    })
    .join('\n');
  return `# The season test

By \`npm run bench\` on ${new Date().toISOString().slice(0, 10)}, in ${seconds.toFixed(0)} s. The command writes this page anew; the words around the figures stand in \`scripts/bench-pages.mjs\`.

The truth is not the model. Hidden bags (\`core/hidden\`) have two layers, hourly steps, another formula for use and for growth, a use that wanders, water that runs past dry mix, and fingers that are off; their weather hangs together from day to day. A grower sees only what one can see: a day's minimum, maximum and rain afterwards, what the bag is sold as (a tenth off in its water, a fifth off in its leaves), and what the finger says. Everyone goes round once a day, at six in the evening, and pours alike: in parts, with pauses, until it runs through. Rundel expects of the days to come what is usual for the place, as far as the days that came have not taught it otherwise, and no forecast. A bag-day counts as dry when its real water was below a fifth at any hour.

${tables.join('\n')}
## When not all is as it should be

The same bags and years, with one thing amiss at a time. Bag-days below a fifth, and beside them the checks of daily's; everyone in a row has the same thing amiss.

${situationTables}

## What it shows, and what not

- Fewer *checks*, hardly fewer walks: somewhere a bag is nearly always due. A simple habit by millimetres of reference evapotranspiration saves as many checks and far more walks, at several times the dry-outs.
- Who checks every day and waters at "barely damp" does about as well as Rundel against dry-outs, and in the cool climate a little better, for two and a half times the checks and as much water.
- The bag's own habitual interval checks least often of all. In a cool summer that is cheap; in a hot one it is not.
- Most dry-outs belong to a few bags that one round a day cannot keep. No rule about checking mends those: a second round, a bigger bag, mulch, shade or a store of water does.
- The error of the hours is not the weather's: to know the days to come hardly mends it. It comes from what a bag holds since it was last seen, and from how fast it really uses it; a check settles both.
- A garden that knows only its latitude does as well as one that knows its months: what days draw there is learnt within weeks. So is a size that was entered a fifth too large, most of it by the litres that ran through.
- Bags of 25 L and more go dry no more often than an oracle's: what is left of that is not to be had by checking.
- Over a drum or on a drip line there is least to check, and what is said is least sure: its ranges hold less often than they say. Above a drum the hours are told too early, on a line in a cool summer too late; who checks daily at "barely damp" has fewer dry days there, at four times the checks.
- A forecast of ten days, off as forecasts are, mends a little of the error of the hours and spares no checks.
- Missed rounds do more harm than anything else, to everybody; planning for them mends some of it. Nothing mends a round in five that nobody walks in a hot summer.
- Where nothing is amiss and somebody looks every day, "water at barely damp" needs no program. A habit by millimetres needs none either, and costs dry bags.
- One simulator is one opinion about bags. The numbers that were set by it (spread of a day's use, drift, the finger's offset, the pace of growth) are marked *assumed* and can be changed in Settings.
`;
}
