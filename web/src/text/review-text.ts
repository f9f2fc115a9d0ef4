import { seasonName } from '@rundel/core/calendar';
import type { BagAdvice, BagReview, ChangeAdvice, SeasonReview, VarietyAdvice } from '@rundel/core/tally';
import type { Money, UnitFormat } from '../store/index.ts';
import { perWeight } from './cost-text.ts';
import { rankedWords, unweighedWords } from './tally-text.ts';
import { sentence, shortDay } from './text.ts';
import { causeName } from './trouble-text.ts';

/** What the words of a review need to know. */
export interface ReviewWords {
  readonly unitFormat: UnitFormat;
  readonly money: Money;
  readonly latitudeDegrees: number;
}

const many = (n: number, what: string) => `${n} ${what}${n === 1 ? '' : 's'}`;

const list = (parts: readonly string[]): string =>
  parts.length < 2 ? (parts[0] ?? '') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1) ?? ''}`;

/** A season in a few sentences, as its grower might tell a neighbour. */
export function summaryWords(
  review: SeasonReview,
  { unitFormat, money, latitudeDegrees }: ReviewWords,
): readonly string[] {
  const { total, before, season, isOver, crops } = review;
  const show = (kilograms: number) => unitFormat.show(kilograms, 'crop');
  const name = seasonName(season.year, latitudeDegrees);
  const unweighed = unweighedWords(total);
  if (total.kilograms <= 0 && unweighed !== '')
    return [`${many(total.plants, 'plant')} in ${many(total.bags, 'bag')}: ${unweighed} in ${name}.`];
  if (total.kilograms <= 0)
    return [
      `${many(total.plants, 'plant')} in ${many(total.bags, 'bag')}, and nothing was picked in ${name}${isOver ? '' : ' yet'}.`,
    ];
  const beside =
    before && before.kilograms > 0 && isOver
      ? ` ${name} gave ${show(Math.abs(total.kilograms - before.kilograms))} ${total.kilograms >= before.kilograms ? 'more' : 'less'} than the season before, from ${before.plants} plants then.`
      : '';
  const parts = crops
    .filter((c) => c.kilograms > 0)
    .map(
      (c) =>
        `${show(c.kilograms)} of ${c.key === '' ? 'plants that nobody named' : (c.units[0]?.crop.toLowerCase() ?? '')}${c.perPlant ? ` (${show(c.perPlant)} a plant)` : ''}`,
    );
  const price =
    total.costPerKilogram === undefined ? undefined : perWeight(total.costPerKilogram, unitFormat);
  const span =
    total.firstOn && total.lastOn
      ? ` The first was picked on ${shortDay(total.firstOn, season.to)}, the last ${isOver ? '' : 'so far '}on ${shortDay(total.lastOn, season.to)}.`
      : '';
  const lost =
    total.lostKilograms > 0
      ? ` ${show(total.lostKilograms)} were lost, ${Math.round((100 * total.lostKilograms) / total.kilograms)} in a hundred.`
      : '';
  const worth = total.worth === undefined ? '' : `; the shop would have asked ${money.show(total.worth)}`;
  const work = total.minutes > 0 ? ` ${Math.round(total.minutes / 60)} hours of work are on record.` : '';
  return [
    `${total.plants > 0 ? `${many(total.plants, 'plant')} in ` : ''}${many(total.bags, 'bag')} gave ${show(total.kilograms)}${isOver ? '' : ' so far'}${unweighed === '' ? '' : `, and more: ${unweighed}`}.${span}${beside}`,
    `${sentence(list(parts))}.${lost}`,
    ...(price
      ? [`It cost ${money.show(total.cost)}, ${money.show(price.price)} ${price.each}${worth}.${work}`]
      : []),
  ];
}

/** A variety to keep or not, and on what grounds. */
export function varietyWords({ row, isToKeep, because }: VarietyAdvice, unitFormat: UnitFormat): string {
  const [unit] = row.units;
  const gave =
    row.perPlant === undefined ? 'gave nothing' : `${unitFormat.show(row.perPlant, 'crop')} a plant`;
  const verdict = isToKeep === undefined ? '' : isToKeep ? ' Keep it.' : ' Think about another.';
  const why = {
    'own-word': 'as you said yourself.',
    best: `the most of your ${unit?.crop.toLowerCase() ?? ''} varieties.`,
    worst: `the least of your ${unit?.crop.toLowerCase() ?? ''} varieties, and far behind.`,
    'too-few': 'too few plants to say more.',
    middling: 'neither ahead nor far behind.',
  }[because];
  return `${unit?.variety ?? ''}: ${gave}, ${why}${verdict}`;
}

/** Something to do otherwise, with what speaks for it. */
export function changeWords(change: ChangeAdvice): string {
  switch (change.id) {
    case 'dry':
      return `${change.times} of ${change.of} checks found a bag dry: check sooner in heat, or give the thirsty ones a larger bag or a reservoir.`;
    case 'wet':
      return `${change.times} of ${change.of} checks found a bag soaked: water by the finger, and less at a time.`;
    case 'feeds':
      return `${change.times} of ${change.of} feeds were left out: a regime with fewer steps would be kept more easily.`;
    case 'lost':
      return `${Math.round(change.share * 100)} in a hundred were lost${change.to ? `, most to ${causeName(change.to)}` : ''}: look at that first next season.`;
    case 'trouble':
      return `${sentence(causeName(change.what))} came to ${change.bags} bags: look out for it earlier.`;
    case 'few-checks':
      return `${change.bags} bags bore and were never checked by finger: of their water I know little.`;
  }
}

/** What a bag and its mix are good for next. */
export function bagAdviceWords({ bag, seasonsUsed, seasonsGiven, isToRetire, mix }: BagAdvice): string {
  const used = seasonsUsed === 1 ? 'one season' : `${seasonsUsed} seasons`;
  const retire = isToRetire
    ? `used for ${used} of the ${seasonsGiven} you give it: retire it`
    : `used for ${used} of ${seasonsGiven}`;
  return `Bag ${bag}: ${retire}. ${mixWords(mix)}`;
}

function mixWords(mix: BagAdvice['mix']): string {
  switch (mix.id) {
    case 'again':
      return 'Its mix can be used again, loosened and fed anew.';
    case 'spent':
      return `Its mix has had ${mix.seasonsUsed === 1 ? 'one crop season' : `${mix.seasonsUsed} seasons`}: on a bed, or as a part of new mix.`;
    case 'not-again':
      return `Its mix had ${causeName(mix.what)}, which may live on in it: not for this kind again.`;
    case 'unknown':
      return 'Nobody said when it was filled.';
  }
}

/** A bag's season in a few sentences. */
export function bagSummaryWords(review: BagReview, { unitFormat, money }: ReviewWords): readonly string[] {
  const { row, ranked } = review;
  const show = (kilograms: number) => unitFormat.show(kilograms, 'crop');
  const names = list([...new Set(row.units.map((u) => u.plantName ?? u.variety))]);
  const planted = list([...new Set(row.units.map((u) => shortDay(u.plantedOn)))]);
  const price = row.costPerKilogram === undefined ? undefined : perWeight(row.costPerKilogram, unitFormat);
  const unweighed = unweighedWords(row);
  const gave =
    row.kilograms > 0
      ? `It gave ${show(row.kilograms)} at ${many(row.pickings, 'picking')}${unweighed === '' ? '' : `, ${row.unmeasured} of them not weighed`}${row.firstOn && row.lastOn ? `, from ${shortDay(row.firstOn)} to ${shortDay(row.lastOn)}` : ''}.`
      : unweighed === ''
        ? 'Nothing was picked from it.'
        : `It was picked from: ${unweighed}.`;
  const water = [
    review.waterings > 0 ? `watered ${review.waterings} times` : '',
    row.waterLitres > 0 ? `with ${unitFormat.show(row.waterLitres, 'water')} in all` : '',
    review.checks > 0 ? `checked ${review.checks} times` : '',
    review.dry > 0 ? `found dry ${review.dry} times` : '',
    review.wet > 0 ? `found soaked ${review.wet} times` : '',
  ].filter(Boolean);
  const fed = [
    review.feeds > 0 ? `fed ${review.feeds} times` : '',
    review.feedsLeftOut > 0 ? `${review.feedsLeftOut} feeds left out` : '',
  ].filter(Boolean);
  return [
    `${names}, planted ${planted}. ${gave}`,
    ...(ranked ? [rankedWords(ranked, unitFormat)] : []),
    ...(water.length + fed.length > 0 ? [`${sentence(list([...water, ...fed]))}.`] : []),
    ...(review.troubles.length > 0
      ? [
          `Trouble: ${list(review.troubles.map((t) => `${causeName(t.what)} on ${shortDay(t.on)}${t.isOver ? ', over since' : ''}`))}.`,
        ]
      : []),
    ...(price ? [`It cost ${money.show(row.cost)}, ${money.show(price.price)} ${price.each}.`] : []),
    bagAdviceWords(review.advice),
  ];
}
