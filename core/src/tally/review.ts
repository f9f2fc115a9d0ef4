import { resolveAssumed } from '../assumed/index.ts';
import {
  addDays,
  dayOf,
  growingSeason,
  seasonYearOf,
  type Day,
  type GrowingSeason,
} from '../calendar/index.ts';
import { cleanlinessAfter, troubleCases } from '../care/index.ts';
import { containerKind } from '../bags/index.ts';
import { entriesAt, type Container, type Entry, type Plan, type TrialMeasure } from '../records/index.ts';
import { groupedBy } from '../statistics/index.ts';
import { checkForecasts, type ForecastCheck } from './forecasts.ts';
import { groupUnits, totalOf, type TallyRow } from './groups.ts';
import { bestAndWorst, rankOf, type Ranked } from './reasons.ts';
import { trialResult, type TrialResult } from './trial.ts';
import type { TallyContext } from './context.ts';
import { tallyUnits } from './units.ts';

/** What may be done with a bag's mix next season. */
export type MixAdvice =
  | { readonly id: 'again'; readonly seasonsUsed: number }
  | { readonly id: 'spent'; readonly seasonsUsed: number }
  | { readonly id: 'not-again'; readonly what: string }
  | { readonly id: 'unknown' };

/** What a bag's season says of next season. */
export interface BagAdvice {
  readonly containerId: string;
  readonly bag: string;
  readonly seasonsUsed: number;
  readonly seasonsGiven: number;
  readonly isToRetire: boolean;
  readonly mix: MixAdvice;
}

/** A variety as its season went. */
export interface VarietyAdvice {
  readonly row: TallyRow;
  readonly varietyId: string;
  readonly isToKeep: boolean | undefined;
  /** the grower's own word, its yield by plant beside the crop's, or too few plants to say */
  readonly because: 'own-word' | 'best' | 'worst' | 'too-few' | 'middling';
}

/** Something that the record says could be done otherwise. */
export type ChangeAdvice =
  | { readonly id: 'dry'; readonly times: number; readonly of: number }
  | { readonly id: 'wet'; readonly times: number; readonly of: number }
  | { readonly id: 'feeds'; readonly times: number; readonly of: number }
  | {
      readonly id: 'lost';
      readonly kilograms: number;
      readonly share: number;
      readonly to: string | undefined;
    }
  | { readonly id: 'trouble'; readonly what: string; readonly bags: number }
  | { readonly id: 'few-checks'; readonly bags: number };

/** One season in all that can be said of it. */
export interface SeasonReview {
  readonly season: GrowingSeason;
  readonly isOver: boolean;
  readonly total: TallyRow;
  readonly before: TallyRow | undefined;
  readonly crops: readonly TallyRow[];
  readonly varieties: readonly VarietyAdvice[];
  readonly ranked: ReturnType<typeof bestAndWorst>;
  readonly changes: readonly ChangeAdvice[];
  readonly bags: readonly BagAdvice[];
  readonly trials: readonly {
    readonly id: string;
    readonly name: string;
    readonly measure: TrialMeasure;
    readonly names: Readonly<Record<string, string>>;
    readonly result: TrialResult;
  }[];
  readonly forecasts: ForecastCheck | undefined;
}

/** Shares from which something is worth changing. */
const WORTH_CHANGING = { dry: 0.15, wet: 0.15, feeds: 0.25, lost: 0.08 };

/**
 * A season told from its record: what it gave, which did better and likely why, what to keep and what to change, what each bag and
 * its mix are good for next.
 */
export function seasonReview(context: TallyContext, year: number, today: Day): SeasonReview {
  const { garden } = context;
  const { latitudeDegrees } = garden.settings;
  const season = growingSeason(year, latitudeDegrees);
  const units = tallyUnits(context, year, today);
  const earlier = tallyUnits(context, year - 1, today);
  const rows = groupUnits(units, 'bag');
  const until = today < season.to ? today : season.to;
  return {
    season,
    isOver: today > season.to,
    total: totalOf(units),
    before: earlier.length > 0 ? totalOf(earlier) : undefined,
    crops: groupUnits(units, 'crop'),
    // of what nobody named nothing can be said
    varieties: varietiesOf(
      context,
      groupUnits(units, 'variety').filter((row) => row.key !== ''),
    ),
    ranked: bestAndWorst(rows, context, until),
    changes: changesOf(context, rows, season, until),
    bags: rows.flatMap((row) => {
      const container = garden.containers.find((c) => c.id === row.key);
      return container && !container.binnedAt ? [adviceOf(container, context, season)] : [];
    }),
    trials: garden.trials
      .filter((t) => !t.binnedAt && t.units.some((u) => u.season === year))
      .map((trial) => ({
        id: trial.id,
        name: trial.name,
        measure: trial.measure,
        names: Object.fromEntries(trial.treatments.map((t) => [t.id, t.name])),
        result: trialResult(trial, context, until),
      })),
    forecasts: checkForecasts(context, year, until),
  };
}

/** Fewer plants of a variety than this say little of it. */
const FEW_PLANTS = 2;

function varietiesOf({ garden }: TallyContext, rows: readonly TallyRow[]): readonly VarietyAdvice[] {
  const byCrop = groupedBy(rows, (row) => row.units[0]?.cropId ?? '');
  return rows.map((row): VarietyAdvice => {
    const own = garden.varieties.find((v) => v.id === row.key)?.growAgain;
    const said = { row, varietyId: row.key };
    if (own === 'yes' || own === 'no') return { ...said, isToKeep: own === 'yes', because: 'own-word' };
    const others = (byCrop.get(row.units[0]?.cropId ?? '') ?? []).filter((r) => r.perPlant !== undefined);
    if (row.plants < FEW_PLANTS || others.length < 2 || row.perPlant === undefined)
      return { ...said, isToKeep: undefined, because: 'too-few' };
    const sorted = [...others].sort((a, b) => (b.perPlant ?? 0) - (a.perPlant ?? 0));
    if (sorted[0] === row) return { ...said, isToKeep: true, because: 'best' };
    const isWorst = sorted.at(-1) === row && (row.perPlant ?? 0) < 0.6 * (sorted[0]?.perPlant ?? 0);
    return isWorst
      ? { ...said, isToKeep: false, because: 'worst' }
      : { ...said, isToKeep: undefined, because: 'middling' };
  });
}

function changesOf(
  { live, pickings }: TallyContext,
  rows: readonly TallyRow[],
  { from }: GrowingSeason,
  until: Day,
): readonly ChangeAdvice[] {
  const bags = new Set(rows.map((row) => row.key));
  const isIn = (e: Entry) =>
    'containerId' in e &&
    e.containerId !== undefined &&
    bags.has(e.containerId) &&
    dayOf(e.at) >= from &&
    dayOf(e.at) <= until;
  const here = live.filter(isIn);
  const fingers = here.flatMap((e) =>
    e.kind === 'check' && e.check.method === 'finger' ? [{ bag: e.containerId, grade: e.check.grade }] : [],
  );
  const dry = fingers.filter(({ grade }) => grade === 1).length;
  const wet = fingers.filter(({ grade }) => grade === 5).length;
  const left = here.filter((e) => e.kind === 'feed-skipped' && e.reason !== 'enough').length;
  const fed = here.filter((e) => e.kind === 'fed').length;
  const lost = pickings.filter((p) => p.use === 'lost' && isIn(p));
  const lostKilograms = lost.reduce((sum, p) => sum + p.kilograms, 0);
  const all = rows.reduce((sum, row) => sum + row.kilograms, 0);
  const share = (part: number, of: number) => (of === 0 ? 0 : part / of);
  const troubles = new Map<string, number>();
  for (const id of bags)
    for (const { what, entry } of troubleCases(id, live))
      if (dayOf(entry.at) >= from && dayOf(entry.at) <= until)
        troubles.set(what, (troubles.get(what) ?? 0) + 1);
  const [worst] = [...troubles].filter(([what]) => what !== 'unknown').sort((a, b) => b[1] - a[1]);
  const checkedBags = new Set(fingers.map(({ bag }) => bag));
  const unchecked = rows.filter((row) => row.kilograms > 0 && !checkedBags.has(row.key)).length;
  return [
    ...(dry > 2 && share(dry, fingers.length) > WORTH_CHANGING.dry
      ? [{ id: 'dry' as const, times: dry, of: fingers.length }]
      : []),
    ...(wet > 2 && share(wet, fingers.length) > WORTH_CHANGING.wet
      ? [{ id: 'wet' as const, times: wet, of: fingers.length }]
      : []),
    ...(left > 1 && share(left, left + fed) > WORTH_CHANGING.feeds
      ? [{ id: 'feeds' as const, times: left, of: left + fed }]
      : []),
    ...(share(lostKilograms, all) > WORTH_CHANGING.lost
      ? [
          {
            id: 'lost' as const,
            kilograms: lostKilograms,
            share: share(lostKilograms, all),
            to: mostOf(lost.flatMap((p) => p.lostTo ?? [])),
          },
        ]
      : []),
    ...(worst && worst[1] > 1 ? [{ id: 'trouble' as const, what: worst[0], bags: worst[1] }] : []),
    ...(fingers.length > 0 && unchecked > 1 ? [{ id: 'few-checks' as const, bags: unchecked }] : []),
  ];
}

function mostOf(words: readonly string[]): string | undefined {
  return [...groupedBy(words, (word) => word)].sort((a, b) => b[1].length - a[1].length)[0]?.[0];
}

function adviceOf(container: Container, context: TallyContext, season: GrowingSeason): BagAdvice {
  const { garden, live } = context;
  const { latitudeDegrees } = garden.settings;
  const years = new Set(
    context
      .occupants(container.id)
      .filter((o) => o.plantedOn <= season.to)
      .map((o) => seasonYearOf(o.plantedOn, latitudeDegrees)),
  );
  const seasonsGiven = container.seasons ?? containerKind(container.kindId).seasons.value;
  return {
    containerId: container.id,
    bag: container.label,
    seasonsUsed: years.size,
    seasonsGiven,
    isToRetire: years.size >= seasonsGiven,
    mix: mixAdvice(container, context, season, live),
  };
}

function mixAdvice(
  container: Container,
  { garden, occupants }: TallyContext,
  season: GrowingSeason,
  live: readonly Entry[],
): MixAdvice {
  const assumed = resolveAssumed({ ...garden.settings.assumptions, ...container.assumptions });
  const { latitudeDegrees } = garden.settings;
  const here = entriesAt(live, container.id).filter((e) => dayOf(e.at) <= season.to);
  const filled = here.findLast((e) => e.kind === 'filled' && e.layers.length > 0);
  const sick = troubleCases(container.id, live).find(
    (t) =>
      t.entry.livesInMix &&
      dayOf(t.entry.at) <= season.to &&
      (filled === undefined || dayOf(t.entry.at) >= dayOf(filled.at)) &&
      cleanlinessAfter(here, t.lastOn, assumed).kind !== 'clean',
  );
  if (sick) return { id: 'not-again', what: sick.what };
  const plantings = occupants(container.id).filter((o) => o.plantedOn <= season.to);
  const since = filled ? dayOf(filled.at) : plantings[0]?.plantedOn;
  if (since === undefined) return { id: 'unknown' };
  const seasonsUsed = new Set(
    plantings.filter((o) => o.plantedOn >= since).map((o) => seasonYearOf(o.plantedOn, latitudeDegrees)),
  ).size;
  return seasonsUsed >= assumed.mixLives ? { id: 'spent', seasonsUsed } : { id: 'again', seasonsUsed };
}

/** What next season's plan begins with: a bag and the variety that goes into it, on this season's day. */
export type NextPlan = Pick<
  Plan,
  'containerId' | 'cropId' | 'habitId' | 'varietyName' | 'plantOn' | 'isDayOpen'
>;

/**
 * A beginning for next season: what stood in each bag goes in again a year on, but for bags that are to retire and varieties that are
 * not to be kept; those are left empty to be planned.
 */
export function nextSeasonPlans(review: SeasonReview, { garden }: TallyContext): readonly NextPlan[] {
  const dropped = new Set(review.varieties.filter((v) => v.isToKeep === false).map((v) => v.varietyId));
  const retired = new Set(review.bags.filter((b) => b.isToRetire).map((b) => b.containerId));
  const planned = new Set(
    garden.plans.filter((p) => !p.binnedAt && p.plantOn > review.season.to).map((p) => p.containerId),
  );
  const units = groupedBy(review.total.units, (u) => u.containerId);
  return [...units.values()].flatMap((here): readonly NextPlan[] => {
    const [first] = [...here].sort((a, b) => (a.plantedOn < b.plantedOn ? -1 : 1));
    const variety = garden.varieties.find((v) => v.id === first?.varietyId);
    if (!first || !variety || dropped.has(variety.id)) return [];
    if (retired.has(first.containerId) || planned.has(first.containerId)) return [];
    return [
      {
        containerId: first.containerId,
        cropId: variety.cropId,
        habitId: variety.habitId,
        varietyName: variety.name,
        plantOn: addDays(first.plantedOn, 364),
      },
    ];
  });
}

/** One bag's season as its diary tells it. */
export interface BagReview {
  readonly row: TallyRow;
  readonly ranked: Ranked | undefined;
  readonly checks: number;
  readonly dry: number;
  readonly wet: number;
  readonly waterings: number;
  readonly feeds: number;
  readonly feedsLeftOut: number;
  readonly troubles: readonly { readonly what: string; readonly on: Day; readonly isOver: boolean }[];
  readonly notes: readonly { readonly on: Day; readonly text: string }[];
  readonly advice: BagAdvice;
}

/**
 * One bag's season.
 *
 * @returns undefined where nothing stood in it
 */
export function bagReview(
  context: TallyContext,
  containerId: string,
  year: number,
  today: Day,
): BagReview | undefined {
  const { garden, live } = context;
  const season = growingSeason(year, garden.settings.latitudeDegrees);
  const until = today < season.to ? today : season.to;
  const container = garden.containers.find((c) => c.id === containerId);
  const rows = groupUnits(tallyUnits(context, year, today), 'bag');
  const row = rows.find((r) => r.key === containerId);
  if (!container || !row) return undefined;
  const here = entriesAt(live, containerId).filter((e) => dayOf(e.at) >= season.from && dayOf(e.at) <= until);
  const grades = here.flatMap((e) =>
    e.kind === 'check' && e.check.method === 'finger' ? [e.check.grade] : [],
  );
  const count = (kind: Entry['kind']) => here.filter((e) => e.kind === kind).length;
  return {
    row,
    ranked: rankOf(row, rows, context, until),
    checks: count('check'),
    dry: grades.filter((g) => g === 1).length,
    wet: grades.filter((g) => g === 5).length,
    waterings: count('watering'),
    feeds: count('fed'),
    feedsLeftOut: here.filter((e) => e.kind === 'feed-skipped' && e.reason !== 'enough').length,
    troubles: troubleCases(containerId, live)
      .filter((t) => dayOf(t.entry.at) >= season.from && dayOf(t.entry.at) <= until)
      .map((t) => ({ what: t.what, on: dayOf(t.entry.at), isOver: t.isOver })),
    notes: here.flatMap((e) => (e.kind === 'note' ? [{ on: dayOf(e.at), text: e.text }] : [])),
    advice: adviceOf(container, context, season),
  };
}
