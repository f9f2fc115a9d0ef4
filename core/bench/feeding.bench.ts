import { gannetSlip } from '../demo/index.ts';
import { bagFeeding, propertiesOf, feedingCaseOf, warmthOf } from '../src/garden-state/index.ts';
import { occupantsOf } from '../src/plants/index.ts';
import { liveEntries, type Regime } from '../src/records/index.ts';
import { FEEDING_PRACTICES, plannedFeeds } from '../src/feeding/index.ts';

/**
 * Time of a bag's feeding on the demo (three ledgers of a season, due steps, the day on which the mix is used up), and of a
 * regime's preview. Prints one line of JSON: medians over all bags after warming up.
 */
const RUNS = 6;
const WARM_UP = 2;
const TODAY = '2026-07-16';

const garden = gannetSlip(1);
const live = liveEntries(garden.entries);
const warmth = warmthOf(live, garden.settings);
const regime = FEEDING_PRACTICES.find((r) => r.id === 'soluble-throughout') as Regime;

const feeding: number[] = [];
const preview: number[] = [];
for (let run = 0; run < RUNS + WARM_UP; run++) {
  for (const container of garden.containers) {
    const properties = propertiesOf(container, garden);
    const started = performance.now();
    const { stageDates, ledger } = bagFeeding(garden, container, properties, live, TODAY, warmth);
    ledger();
    const between = performance.now();
    const occupants = occupantsOf(container, live, garden);
    plannedFeeds(
      feedingCaseOf(container, occupants, live, garden, stageDates, regime, TODAY),
      TODAY,
      '2026-10-15',
      properties.assumed,
    );
    if (run < WARM_UP) continue;
    feeding.push(between - started);
    preview.push(performance.now() - between);
  }
}
const median = (times: number[]) => {
  const sorted = [...times].sort((a, b) => a - b);
  return Math.round((sorted[Math.floor(sorted.length / 2)] ?? 0) * 100) / 100;
};
console.log(
  JSON.stringify({ bags: garden.containers.length, feedingMs: median(feeding), previewMs: median(preview) }),
);
