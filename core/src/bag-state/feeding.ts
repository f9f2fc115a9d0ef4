import { addDays, dayOf, daysBetween, normalOfDay, type Day } from '../climate/index.ts';
import { grownShare, habitFigures } from '../crops/index.ts';
import type { Entry, EntryOf } from '../diary/index.ts';
import {
  baseUsedUp,
  elementsBy,
  elementsIn,
  findRegime,
  gramsOfFeed,
  ledgerOf,
  NO_ELEMENTS,
  stepStates,
  wantedByAll,
  yieldFactor,
  type DaySpread,
  type Elements,
  type FedPlant,
  type FeedingCase,
  type Ledger,
  type LedgerCase,
  type LedgerSource,
  type Mark,
  type Marks,
  type Regime,
  type StepState,
} from '../feeding/index.ts';
import type { Container, Measure, Settings } from '../garden/index.ts';
import { findGood } from '../goods/index.ts';
import { datesFrom, frostYear, timingSchoolOf, type PlantingDates } from '../timing/index.ts';
import type { Move, WaterEvent } from '../water/index.ts';
import { knownWeather, siteOf } from './bag-state.ts';
import type { BagBody } from './body.ts';
import type { Garden } from './garden.ts';
import { occupantsOf, type Occupant } from './occupants.ts';

/** What is known of one bag's feeding at one moment, all of it computed. */
export interface BagFeeding {
  readonly containerId: string;
  readonly today: Day;
  /** undefined: it is fed by no regime */
  readonly regime: Regime | undefined;
  /** the regime that the diary names is gone from the garden */
  readonly isRegimeGone: boolean;
  readonly states: readonly StepState[];
  readonly marks: Marks;
  /** when its plants are likely done; undefined for an empty bag */
  readonly endsOn: Day | undefined;
  readonly baseUsedUp: DaySpread;
  readonly ledger: Ledger;
  /** feeds whose strength is not known, and that the ledger leaves out */
  readonly unknownFeeds: number;
}

/** A grower's handful when none was measured, L. */
const HANDFUL_LITRES = 0.05;

/** What the grower's hand holds, L. */
export function handfulOf(measures: readonly Pick<Measure, 'kind' | 'litres'>[]): number {
  return measures.find((m) => m.kind === 'handful')?.litres ?? HANDFUL_LITRES;
}

/** Mean temperature of each day, °C: as noted, otherwise as usual. One for a garden, shared by its bags. */
export function warmthOf(live: readonly Entry[], settings: Settings): (day: Day) => number {
  const known = new Map(knownWeather(live).map((w) => [w.day, (w.minCelsius + w.maxCelsius) / 2]));
  const { normals } = siteOf(settings);
  const usual = new Map<Day, number>();
  return (day) => {
    const noted = known.get(day) ?? usual.get(day);
    if (noted !== undefined) return noted;
    const { minCelsius, maxCelsius } = normalOfDay(normals, day);
    usual.set(day, (minCelsius + maxCelsius) / 2);
    return (minCelsius + maxCelsius) / 2;
  };
}

const SUPPORT_LATER = { fromDays: 0, toDays: 0 };

/** The expected dates of a plant, by its kind and its stand. */
function datesOf(occupant: Occupant, garden: Garden, cover: 'open' | 'glass' | 'heated'): PlantingDates {
  const { settings } = garden;
  const site = siteOf(settings);
  const frost = frostYear(site, settings.frost, [], occupant.plantedOn);
  const school = timingSchoolOf(settings.timingSchoolId);
  return datesFrom(
    occupant.plantedOn,
    occupant.crop,
    occupant.habit,
    { cover, frost, site, school },
    SUPPORT_LATER,
  );
}

/** From first flowers to the first truss that has set, days (*assumed*). */
const FLOWER_TO_SET_DAYS = 10;

const middle = (a: Day, b: Day): Day => addDays(a, Math.round(daysBetween(a, b) / 2));

/** The marks of a bag's present plants: what the grower noted, and what is reckoned by the eldest's kind. */
export function marksOf(
  occupants: readonly Occupant[],
  here: readonly Entry[],
  dates: PlantingDates | undefined,
  used: DaySpread,
): Marks {
  const eldest = occupants.find((o) => o.clearedOn === undefined);
  if (!eldest || !dates) return {};
  const since = here.filter((e) => dayOf(e.at) >= eldest.plantedOn);
  const noted = (test: (e: Entry) => boolean): Mark | undefined => {
    const found = since.find(test);
    return found && { day: dayOf(found.at), isNoted: true };
  };
  const reckoned = (day: Day): Mark => ({ day, isNoted: false });
  const picking = noted((e) => e.kind === 'picking');
  const set = noted((e) => e.kind === 'stage' && e.stage === 'set');
  const flowers = noted((e) => e.kind === 'stage' && e.stage === 'flowers');
  // what came later says that the earlier came too
  const least = (mark: Mark, ...seen: (Mark | undefined)[]): Mark =>
    seen.reduce<Mark>((low, s) => (s && s.day < low.day ? { day: s.day, isNoted: low.isNoted } : low), mark);
  const firstFlowers = reckoned(middle(dates.firstFlowers.from, dates.firstFlowers.to));
  const firstSet = reckoned(addDays(firstFlowers.day, FLOWER_TO_SET_DAYS));
  return {
    planting: { day: eldest.plantedOn, isNoted: true },
    flowers: flowers ?? least(firstFlowers, set, picking),
    set: set ?? least(flowers ? reckoned(addDays(flowers.day, FLOWER_TO_SET_DAYS)) : firstSet, picking),
    picking: picking ?? reckoned(dates.picking.from),
    'base-used-up': used.likely === undefined ? undefined : reckoned(used.likely),
  };
}

/** What went into a bag: its filling, what was worked in, and every feed. */
function sourcesOf(
  container: Container,
  body: BagBody,
  here: readonly Entry[],
  garden: Garden,
  from: Day,
): { readonly sources: readonly LedgerSource[]; readonly unknown: number } {
  const handful = handfulOf(garden.measures);
  const filled = here.findLast((e): e is EntryOf<'filled'> => e.kind === 'filled');
  const mixLitres = body.fill.mixLitres;
  const ofMix = (id: string, brings: Elements, months: number | undefined): LedgerSource => ({
    id,
    day: from,
    kind: 'mix',
    brings,
    months,
  });
  const sources: LedgerSource[] = body.mix.base.flatMap((base, i) => {
    const all = elementsIn(base.gramsPerLitre * mixLitres, base.label);
    const quick = base.quickShare ?? 0;
    const rest = elementsBy((e) => all[e] * (1 - quick));
    return [
      ofMix(`mix-${i}`, { ...rest, k: 0 }, base.months),
      ofMix(`mix-${i}-potash`, { ...NO_ELEMENTS, k: rest.k }, base.potashMonths ?? base.months),
      ofMix(
        `mix-${i}-quick`,
        elementsBy((e) => all[e] * quick),
        undefined,
      ),
    ];
  });
  const lime = findGood('lime');
  const limeGrams = (body.mix.limeGramsPerLitre + body.mix.limeInParts) * mixLitres;
  if (limeGrams > 0) sources.push(ofMix('mix-lime', elementsIn(limeGrams, lime?.label), lime?.feed?.months));
  for (const [i, { goodId, grams }] of (filled?.amendments ?? []).entries()) {
    const good = findGood(goodId, garden.goods);
    sources.push({
      id: `${container.id}-${i}`,
      day: from,
      kind: 'amendment',
      brings: elementsIn(grams, good?.label),
      months: good?.feed?.months,
    });
  }
  let unknown = 0;
  for (const e of here) {
    if (e.kind === 'drink' && dayOf(e.at) >= from) {
      const { tapCa, tapMg } = body.assumed;
      const brings = { ...NO_ELEMENTS, ca: (e.litres * tapCa) / 1000, mg: (e.litres * tapMg) / 1000 };
      sources.push({ id: e.id, day: dayOf(e.at), kind: 'water', brings, months: undefined });
    }
    if (e.kind !== 'fed' || dayOf(e.at) < from) continue;
    const good = findGood(e.goodId, garden.goods);
    const grams = good && gramsOfFeed(e, good, handful);
    if (!good?.label || grams === undefined) unknown += 1;
    else
      sources.push({
        id: e.id,
        day: dayOf(e.at),
        kind: 'feed',
        brings: elementsIn(grams, good.label),
        months: good.feed?.months,
      });
  }
  return { sources, unknown };
}

/** Share of a bag's water that ran out of it on each day: what was poured and did not stay. */
function drainedBy(
  here: readonly Entry[],
  moves: readonly Move[],
  waterLitres: number,
): ReadonlyMap<Day, number> {
  const stayed = new Map(
    moves
      .filter((m) => m.kind === ('drink' satisfies WaterEvent['kind']))
      .map((m) => [m.entryId, m.afterLitres - m.beforeLitres]),
  );
  const days = new Map<Day, number>();
  for (const e of here) {
    if (e.kind !== 'drink' || e.into === 'store') continue;
    const kept = stayed.get(e.id);
    if (kept === undefined) continue;
    const through = Math.max(0, e.litres - Math.max(0, kept));
    if (through < 0.02) continue;
    const day = dayOf(e.at);
    days.set(day, Math.min(1, (days.get(day) ?? 0) + through / (waterLitres + through)));
  }
  return days;
}

/** The plants of a bag as the ledger sees them. */
function fedPlants(
  occupants: readonly Occupant[],
  here: readonly Entry[],
  garden: Garden,
  datesOfPlant: (occupant: Occupant) => PlantingDates,
  today: Day,
  cropPerCover: number,
): readonly FedPlant[] {
  return occupants.map((occupant) => {
    const { crop, habit, plantedOn, clearedOn } = occupant;
    const figures = habitFigures(crop.id, habit, garden.settings.assumptions);
    const dates = datesOfPlant(occupant);
    const fruitFrom = addDays(dates.firstFlowers.from, FLOWER_TO_SET_DAYS);
    const fruitTo = addDays(dates.clear, -7);
    const picked = here.reduce(
      (sum, e) =>
        e.kind === 'picking' && dayOf(e.at) >= plantedOn && (!clearedOn || dayOf(e.at) <= clearedOn)
          ? sum + (e.kilograms ?? 0)
          : sum,
      0,
    );
    const span = Math.max(1, daysBetween(dates.picking.from, dates.picking.to));
    const done = Math.min(1, Math.max(0, daysBetween(dates.picking.from, today) / span));
    const others = Math.max(1, occupants.filter((o) => o.clearedOn === undefined).length);
    const expected = cropPerCover * figures.canopySquareMetres * done;
    return {
      cropId: crop.id,
      plantedOn,
      clearedOn,
      canopySquareMetres: figures.canopySquareMetres,
      weeksToFull: figures.weeksToFull,
      fruitFrom,
      fruitTo,
      yieldFactor: yieldFactor(picked / others, expected, figures.canopySquareMetres),
    };
  });
}

/** The ledger is followed this long beyond today, days. */
const DAYS_AHEAD = 75;
/** And this long back at the most. */
const LONGEST_DAYS = 330;

/** A bag's case for the due engine with a regime, which may be one that is only being thought of. */
export function feedingCaseOf(
  container: Container,
  occupants: readonly Occupant[],
  live: readonly Entry[],
  garden: Garden,
  marks: Marks,
  regime: Regime,
  since: Day,
): FeedingCase {
  const here = live.filter((e) => 'containerId' in e && e.containerId === container.id);
  const eldest = occupants.find((o) => o.clearedOn === undefined);
  const figures = eldest && habitFigures(eldest.crop.id, eldest.habit, garden.settings.assumptions);
  const from = eldest?.plantedOn ?? since;
  return {
    regime,
    since,
    marks,
    given: here.flatMap((e) =>
      e.kind === 'fed' && dayOf(e.at) >= from
        ? [{ day: dayOf(e.at), goodId: e.goodId, regimeId: e.regimeId, stepId: e.stepId }]
        : e.kind === 'filled'
          ? e.amendments.map((a) => ({ day: from, goodId: a.goodId }))
          : [],
    ),
    left: here.flatMap((e) =>
      e.kind === 'feed-skipped' && dayOf(e.at) >= from
        ? [
            {
              day: dayOf(e.at),
              goodId: e.goodId,
              regimeId: e.regimeId,
              stepId: e.stepId,
              reason: e.reason,
            },
          ]
        : [],
    ),
    grownOn: (day) =>
      eldest && figures ? grownShare(daysBetween(eldest.plantedOn, day), figures.weeksToFull) : 0,
  };
}

/**
 * A bag's feeding now: its regime, where each step stands, what the ledger says.
 *
 * @param live the garden's live entries, oldest first
 * @param warmth of the garden, from `warmthOf`
 * @param moves of the bag's water, which tell what ran through; left out: nothing is known to have run through
 */
export function bagFeeding(
  garden: Garden,
  container: Container,
  body: BagBody,
  live: readonly Entry[],
  today: Day,
  warmth: (day: Day) => number,
  moves: readonly Move[] = [],
): BagFeeding {
  const { assumed } = body;
  const here = live.filter(
    (e) => 'containerId' in e && e.containerId === container.id && dayOf(e.at) <= today,
  );
  const occupants = occupantsOf(container, here, garden);
  const cover = garden.stands.find((s) => s.id === container.standId)?.cover ?? 'open';
  const dates = new Map(occupants.map((o) => [o, datesOf(o, garden, cover)]));
  const present = occupants.filter((o) => o.clearedOn === undefined);
  const eldest = present[0];
  const filled = here.findLast((e) => e.kind === 'filled');
  const first = [filled && dayOf(filled.at), eldest?.plantedOn, today].filter(
    (d): d is Day => d !== undefined,
  );
  const from = latestOf(
    first.reduce((a, b) => (b < a ? b : a)),
    addDays(today, -LONGEST_DAYS),
  );
  const { sources, unknown } = sourcesOf(container, body, here, garden, from);
  const waterLitres = body.mix.capacity * body.fill.mixLitres;
  const drained = drainedBy(here, moves, waterLitres);
  const plants = fedPlants(
    occupants,
    here,
    garden,
    (o) => dates.get(o) as PlantingDates,
    today,
    assumed.cropPerCover,
  );
  const wanted = new Map<Day, ReturnType<typeof wantedByAll>>();
  const ledgerCase: LedgerCase = {
    from,
    to: addDays(today, DAYS_AHEAD),
    sources,
    drainedOn: (day) => drained.get(day) ?? 0,
    wantedOn: (day) => {
      const known = wanted.get(day);
      if (known) return known;
      const all = wantedByAll(plants, day, assumed);
      wanted.set(day, all);
      return all;
    },
    warmthOn: warmth,
  };
  const used: DaySpread = eldest
    ? baseUsedUp(ledgerCase, eldest.plantedOn, assumed)
    : { low: undefined, likely: undefined, high: undefined };
  const marks = marksOf(occupants, here, eldest && dates.get(eldest), used);
  const assigned = here.findLast((e): e is EntryOf<'regime'> => e.kind === 'regime');
  const own = garden.regimes.filter((r) => !r.binnedAt);
  const regime = assigned?.regimeId === undefined ? undefined : findRegime(assigned.regimeId, own);
  const states =
    regime && assigned && eldest
      ? stepStates(
          feedingCaseOf(container, occupants, here, garden, marks, regime, dayOf(assigned.at)),
          today,
          assumed,
        )
      : [];
  return {
    containerId: container.id,
    today,
    regime,
    isRegimeGone: assigned?.regimeId !== undefined && regime === undefined,
    states,
    marks,
    endsOn: eldest && dates.get(eldest)?.clear,
    baseUsedUp: used,
    ledger: ledgerOf(ledgerCase, today, waterLitres, assumed),
    unknownFeeds: unknown,
  };
}

const latestOf = (a: Day, b: Day): Day => (a > b ? a : b);
