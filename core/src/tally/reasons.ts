import { addDays, dayOf, daysBetween, type Day } from '../calendar/index.ts';
import { troubleCases } from '../care/index.ts';
import { knownWeather } from '../garden-state/index.ts';
import { entriesAt, type Garden } from '../records/index.ts';
import type { TallyRow } from './groups.ts';
import type { TallyContext } from './context.ts';

/** Something in the record of a bag that may be why it did better or worse than others. */
export type YieldReason =
  | { readonly id: 'found-dry' | 'found-wet'; readonly times: number; readonly of: number }
  | { readonly id: 'wilted' | 'feeds-left-out' | 'fed' | 'unfed'; readonly times: number }
  | { readonly id: 'cold-nights'; readonly times: number; readonly celsius: number }
  | { readonly id: 'late' | 'early'; readonly days: number }
  | { readonly id: 'small-bag' | 'big-bag'; readonly litres: number; readonly usualLitres: number }
  | { readonly id: 'trouble'; readonly what: string }
  | { readonly id: 'left-early'; readonly why: string };

/** A bag beside others of its variety: how it did, and what in its record may be why. */
export interface Ranked {
  readonly row: TallyRow;
  /** its yield by plant over that of the others' middle, less 1 */
  readonly aboveMiddle: number;
  readonly reasons: readonly YieldReason[];
}

/** Fewer bags than this of one crop have no best and no worst. */
const LEAST_BAGS = 3;
/** More than a difference that tells, on its own scale. */
const TELLS = { dryShare: 0.2, wetShare: 0.2, days: 7, litres: 1.4, coldDays: 21 };

/**
 * The best and the worst bags, each beside the others of its crop, with what its diary says that theirs do not. What nobody noted
 * is no reason.
 *
 * @param rows by bag
 */
export function bestAndWorst(
  rows: readonly TallyRow[],
  context: TallyContext,
  today: Day,
): { readonly best: readonly Ranked[]; readonly worst: readonly Ranked[] } {
  const ranked = rows.flatMap((row): readonly Ranked[] => {
    const aboveMiddle = aboveMiddleOf(row, rows, today);
    return aboveMiddle === undefined ? [] : [{ row, aboveMiddle, reasons: [] }];
  });
  const sorted = [...ranked].sort((a, b) => b.aboveMiddle - a.aboveMiddle);
  const records = recordsOf(context, today);
  const withReasons = (each: Ranked): Ranked => ({
    ...each,
    reasons: reasonsOf(each.row, rows, records, each.aboveMiddle > 0),
  });
  return {
    best: sorted
      .filter((each) => each.aboveMiddle > 0.1)
      .slice(0, 2)
      .map(withReasons),
    worst: sorted
      .filter((each) => each.aboveMiddle < -0.1)
      .slice(-2)
      .reverse()
      .map(withReasons),
  };
}

/** One bag beside the others of its crop; undefined where they are too few. */
export function rankOf(
  row: TallyRow,
  rows: readonly TallyRow[],
  context: TallyContext,
  today: Day,
): Ranked | undefined {
  const aboveMiddle = aboveMiddleOf(row, rows, today);
  if (aboveMiddle === undefined) return undefined;
  return { row, aboveMiddle, reasons: reasonsOf(row, rows, recordsOf(context, today), aboveMiddle > 0) };
}

function aboveMiddleOf(row: TallyRow, rows: readonly TallyRow[], today: Day): number | undefined {
  const crop = row.units[0]?.cropId;
  // what was picked and never weighed is neither much nor little
  if (isUntold(row)) return undefined;
  const others = rows.filter((other) => other !== row && other.units[0]?.cropId === crop && !isUntold(other));
  if (others.length + 1 < LEAST_BAGS) return undefined;
  const middle = median(others.map((other) => perPlantDay(other, today)));
  return middle > 0 ? perPlantDay(row, today) / middle - 1 : undefined;
}

const isUntold = ({ unmeasured, kilograms }: TallyRow) => unmeasured > 0 && kilograms === 0;

/** Yield by plant and day since planting: a bag that was planted later is not worse for it alone. */
function perPlantDay(row: TallyRow, today: Day): number {
  const days = row.units.reduce((sum, u) => sum + daysBetween(u.plantedOn, u.clearedOn ?? today), 0);
  return row.kilograms / Math.max(1, days);
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = Math.floor(sorted.length / 2);
  return sorted.length === 0
    ? 0
    : sorted.length % 2 === 1
      ? (sorted[half] ?? 0)
      : ((sorted[half - 1] ?? 0) + (sorted[half] ?? 0)) / 2;
}

/** What the diary of a bag says of its season. */
interface BagRecordOfSeason {
  readonly checks: number;
  readonly dry: number;
  readonly wet: number;
  readonly wilted: number;
  readonly skippedFeeds: number;
  readonly fed: number;
  readonly plantedOn: Day;
  readonly litres: number;
  readonly coldNights: readonly number[];
  readonly troubles: readonly string[];
}

/** What bags' records are read with: each is read once, however many others it stands beside. */
interface Records {
  readonly of: (row: TallyRow) => BagRecordOfSeason;
}

function recordsOf(context: TallyContext, today: Day): Records {
  const known = new Map<string, BagRecordOfSeason>();
  const weather = knownWeather(context.live);
  return {
    of(row) {
      const found = known.get(row.key) ?? recordOf(row, context, today, weather);
      known.set(row.key, found);
      return found;
    },
  };
}

function recordOf(
  row: TallyRow,
  { live, garden }: TallyContext,
  today: Day,
  weather: ReturnType<typeof knownWeather>,
): BagRecordOfSeason {
  const containerId = row.units[0]?.containerId ?? '';
  const plantedOn = row.units.map((u) => u.plantedOn).sort()[0] ?? today;
  const until =
    row.units
      .map((u) => u.clearedOn ?? today)
      .sort()
      .at(-1) ?? today;
  const here = entriesAt(live, containerId).filter((e) => dayOf(e.at) >= plantedOn && dayOf(e.at) <= until);
  let checks = 0;
  let dry = 0;
  let wet = 0;
  for (const e of here) {
    if (e.kind !== 'check' || e.check.method !== 'finger') continue;
    checks += 1;
    if (e.check.grade === 1) dry += 1;
    if (e.check.grade === 5) wet += 1;
  }
  return {
    ...{ checks, dry, wet, plantedOn },
    wilted: here.filter((e) => e.kind === 'check' && e.check.method === 'wilted').length,
    skippedFeeds: here.filter((e) => e.kind === 'feed-skipped' && e.reason !== 'enough').length,
    fed: here.filter((e) => e.kind === 'fed').length,
    litres: row.mixLitres / Math.max(1, row.plants),
    coldNights: coldNightsOf(row, garden, weather, plantedOn),
    troubles: troubleCases(containerId, live).flatMap((t) =>
      dayOf(t.entry.at) >= plantedOn && dayOf(t.entry.at) <= until ? [t.what] : [],
    ),
  };
}

/** Nights in its first weeks that were colder than its crop wants; none under heated glass. */
function coldNightsOf(
  row: TallyRow,
  garden: Garden,
  weather: ReturnType<typeof knownWeather>,
  plantedOn: Day,
): readonly number[] {
  const place = garden.places.find((p) => p.id === row.units[0]?.placeId);
  if (place?.cover === 'heated') return [];
  return weather.flatMap(({ day, minCelsius }) =>
    minCelsius !== undefined &&
    day >= plantedOn &&
    day <= addDays(plantedOn, TELLS.coldDays) &&
    minCelsius < COLD_CELSIUS
      ? [minCelsius]
      : [],
  );
}

/** Nights colder than this set fruiting crops back, °C. */
const COLD_CELSIUS = 8;

/** What speaks for it that it did as it did: good things of a good one, bad things of a bad one, where the others differ. */
function reasonsOf(
  row: TallyRow,
  rows: readonly TallyRow[],
  records: Records,
  isGood: boolean,
): readonly YieldReason[] {
  const own = records.of(row);
  const others = rows
    .filter((other) => other !== row && other.units[0]?.cropId === row.units[0]?.cropId)
    .map(records.of);
  const share = (part: number, of: number) => (of === 0 ? 0 : part / of);
  const usual = (of: (record: BagRecordOfSeason) => number) => median(others.map(of));
  const days = daysBetween(
    [...others.map((o) => o.plantedOn)].sort()[Math.floor(others.length / 2)] ?? own.plantedOn,
    own.plantedOn,
  );
  const litres = usual((o) => o.litres);
  const reasons: YieldReason[] = [];
  const dryMore = share(own.dry, own.checks) - usual((o) => share(o.dry, o.checks));
  if (!isGood && own.dry > 1 && dryMore > TELLS.dryShare)
    reasons.push({ id: 'found-dry', times: own.dry, of: own.checks });
  const wetMore = share(own.wet, own.checks) - usual((o) => share(o.wet, o.checks));
  if (!isGood && own.wet > 1 && wetMore > TELLS.wetShare)
    reasons.push({ id: 'found-wet', times: own.wet, of: own.checks });
  if (!isGood && own.wilted > usual((o) => o.wilted)) reasons.push({ id: 'wilted', times: own.wilted });
  if (!isGood && own.skippedFeeds > usual((o) => o.skippedFeeds) + 1)
    reasons.push({ id: 'feeds-left-out', times: own.skippedFeeds });
  if (isGood && own.fed > usual((o) => o.fed) + 2) reasons.push({ id: 'fed', times: own.fed });
  if (!isGood && own.fed === 0 && usual((o) => o.fed) >= 2)
    reasons.push({ id: 'unfed', times: Math.round(usual((o) => o.fed)) });
  if (!isGood && own.coldNights.length > usual((o) => o.coldNights.length) + 1)
    reasons.push({
      id: 'cold-nights',
      times: own.coldNights.length,
      celsius: Math.min(...own.coldNights),
    });
  if (!isGood && days >= TELLS.days) reasons.push({ id: 'late', days });
  if (isGood && -days >= TELLS.days) reasons.push({ id: 'early', days: -days });
  if (!isGood && own.litres > 0 && litres / own.litres > TELLS.litres)
    reasons.push({ id: 'small-bag', litres: own.litres, usualLitres: litres });
  if (isGood && litres > 0 && own.litres / litres > TELLS.litres)
    reasons.push({ id: 'big-bag', litres: own.litres, usualLitres: litres });
  if (!isGood) for (const what of new Set(own.troubles)) reasons.push({ id: 'trouble', what });
  const left = row.units.find(
    (u) => u.leftBecause && !['finished', 'moved', 'replaced'].includes(u.leftBecause),
  );
  if (!isGood && left?.leftBecause) reasons.push({ id: 'left-early', why: left.leftBecause });
  return reasons;
}
