import type { Assumed } from '../assumed/index.ts';
import { addDays, dayOf, growingSeason, seasonYearOf, type Day } from '../calendar/index.ts';
import { formOfPlant } from '../care/index.ts';
import { dripsOf, propertiesOf, regimeNow } from '../garden-state/index.ts';
import { weighedPickings, type WeighedPicking } from '../pickings/index.ts';
import { occupantsOf, type Occupant } from '../plants/index.ts';
import { groupedBy } from '../statistics/index.ts';
import {
  entriesAt,
  type Container,
  type Entry,
  type EntryOf,
  type Garden,
  type TrainingFormId,
} from '../records/index.ts';
import { costOf, unitPrices, priceLogs, type StockContext } from '../stock/index.ts';
import { scoopsOf } from '../products/index.ts';
import { dripOfDay, type DripSpell } from '../water/index.ts';

/** A plant in its bag for one season, with all that the season's tally adds up. */
export interface TallyUnit {
  readonly containerId: string;
  readonly bag: string;
  readonly plantId: string;
  readonly plantName: string | undefined;
  readonly varietyId: string;
  readonly variety: string;
  readonly cropId: string;
  readonly crop: string;
  readonly placeId: string;
  readonly place: string;
  readonly kindId: string;
  readonly kind: string;
  readonly regimeId: string | undefined;
  readonly regime: string | undefined;
  readonly form: TrainingFormId;
  readonly mix: string;
  readonly year: number;
  readonly plantedOn: Day;
  readonly clearedOn: Day | undefined;
  readonly leftBecause: string | undefined;
  readonly pickings: number;
  /** all that was taken off, kg; fruit that was only counted by its usual weight */
  readonly kilograms: number;
  readonly byCountKilograms: number;
  readonly lostKilograms: number;
  readonly givenKilograms: number;
  readonly soldKilograms: number;
  readonly soldFor: number;
  /** fruits, as far as they were counted */
  readonly count: number;
  /** weight of what was counted as well, to know what one fruit weighs */
  readonly countedKilograms: number;
  readonly firstOn: Day | undefined;
  readonly lastOn: Day | undefined;
  /** picked on each day that had any, kg */
  readonly days: readonly { readonly day: Day; readonly kilograms: number }[];
  /** its share of the bag's mix, and of the water that was poured or dripped while it stood there, L */
  readonly mixLitres: number;
  readonly waterLitres: number;
  readonly cost: number;
  readonly minutes: number;
  /** what the shop would have asked for it, with what was got for what was sold; undefined: no price is known */
  readonly worth: number | undefined;
}

/** Prices of a kilogram in the shop, by variety's id or by crop. */
export type ShopPrices = Readonly<Record<string, number>>;

const isPicking = (e: Entry): e is EntryOf<'picking'> => e.kind === 'picking';

/** Who stood in a bag at a moment, or the one plant that a picking names. */
export function standingThen(
  { plantId, stationId, at }: Pick<EntryOf<'picking'>, 'plantId' | 'stationId' | 'at'>,
  occupants: readonly Occupant[],
): readonly Occupant[] {
  const day = dayOf(at);
  const there = occupants.filter(
    (o) => o.plantedOn <= day && (o.clearedOn === undefined || o.clearedOn >= day),
  );
  // what was picked a day or two after clearing is still of who stood there last
  const last = there.length > 0 ? there : occupants.filter((o) => o.plantedOn <= day).slice(-1);
  const named = last.filter((o) =>
    plantId === undefined ? stationId === undefined || o.stationId === stationId : o.plant.id === plantId,
  );
  return named.length > 0 ? named : last;
}

/** Pickings of a garden with a weight each: what was only counted is worth what such fruit usually weighs. */
export function pickingsWithWeights(garden: Garden, live: readonly Entry[]): readonly WeighedPicking[] {
  return weighedIn(live, occupantsByBag(garden, live));
}

function weighedIn(
  live: readonly Entry[],
  occupants: (containerId: string) => readonly Occupant[],
): readonly WeighedPicking[] {
  const pickings = live.filter(isPicking);
  return weighedPickings(pickings, (picking) => firstStanding(picking, occupants(picking.containerId)));
}

/** The first of those of whom a picking may be; asked for each picking there ever was, so that nothing is made on the way. */
function firstStanding(
  picking: Pick<EntryOf<'picking'>, 'plantId' | 'stationId' | 'at'>,
  occupants: readonly Occupant[],
): Occupant | undefined {
  const { plantId, stationId } = picking;
  if (plantId !== undefined || stationId !== undefined) return standingThen(picking, occupants)[0];
  const day = dayOf(picking.at);
  let last: Occupant | undefined;
  for (const o of occupants) {
    if (o.plantedOn > day) break;
    if (o.clearedOn === undefined || o.clearedOn >= day) return o;
    last = o;
  }
  return last;
}

/** Who ever stood in each bag, worked out once for each that is asked for. */
export function occupantsByBag(
  garden: Garden,
  live: readonly Entry[],
): (containerId: string) => readonly Occupant[] {
  const known = new Map<string, readonly Occupant[]>();
  const containers = new Map(garden.containers.map((c) => [c.id, c]));
  const plants = new Map(garden.plants.map((p) => [p.id, p]));
  return (id) => {
    const found = known.get(id);
    if (found) return found;
    const container = containers.get(id);
    if (!container) return [];
    // of thousands of plants a bag has had a few
    const own = entriesAt(live, id).flatMap((e) =>
      e.kind === 'planted' ? (plants.get(e.plantId) ?? []) : [],
    );
    const occupants = occupantsOf(container, live, { ...garden, plants: own });
    known.set(id, occupants);
    return occupants;
  };
}

/** The seasons of which the diary tells of a planting or a picking, latest first. */
export function seasonYears(garden: Pick<Garden, 'settings'>, live: readonly Entry[]): readonly number[] {
  const { latitudeDegrees } = garden.settings;
  const years = new Set<number>();
  for (const e of live)
    if (e.kind === 'picking' || e.kind === 'planted') years.add(seasonYearOf(dayOf(e.at), latitudeDegrees));
  return [...years].sort((a, b) => b - a);
}

/** What the tallies of several seasons share. */
export interface TallyContext {
  readonly garden: Garden;
  readonly live: readonly Entry[];
  readonly pickings: readonly WeighedPicking[];
  occupants(containerId: string): readonly Occupant[];
  /** a container as made; undefined where its record does not make sense */
  made(container: Container): Made | undefined;
  /** seasons that were added up already, by their year and day */
  readonly seasons: Map<string, readonly TallyUnit[]>;
}

export function tallyContext(garden: Garden, live: readonly Entry[]): TallyContext {
  const occupants = occupantsByBag(garden, live);
  const made = new Map<string, Made | undefined>();
  return {
    garden,
    live,
    pickings: weighedIn(live, occupants),
    occupants,
    made(container) {
      if (!made.has(container.id)) made.set(container.id, madeOf(container, garden));
      return made.get(container.id);
    },
    seasons: new Map(),
  };
}

/**
 * Every plant that stood in a bag in a season, with its part of what the bag gave and took. A picking that names no plant is
 * shared evenly by those that stood there.
 *
 * @param year in which the season begins
 * @param today nothing after it counts
 * @returns in the order of the garden's bags
 * @see docs/model.md, 14. The tally
 */
export function tallyUnits(context: TallyContext, year: number, today: Day): readonly TallyUnit[] {
  const { garden, live } = context;
  const season = growingSeason(year, garden.settings.latitudeDegrees);
  const to = today < season.to ? today : season.to;
  const key = `${year} ${to}`;
  const known = context.seasons.get(key);
  if (known) return known;
  const byBag = groupedBy(
    context.pickings.filter((p) => {
      const day = dayOf(p.at);
      return day >= season.from && day <= to;
    }),
    (p) => p.containerId,
  );
  const money = moneyOf(garden, live, year);
  const units = garden.containers.flatMap((container) => {
    const occupants = context
      .occupants(container.id)
      .filter((o) => o.plantedOn <= to && (o.clearedOn === undefined || o.clearedOn >= season.from));
    if (occupants.length === 0 || (container.binnedAt && !byBag.has(container.id))) return [];
    return unitsOf(
      context,
      container,
      occupants,
      byBag.get(container.id) ?? [],
      year,
      [season.from, to],
      money,
    );
  });
  context.seasons.set(key, units);
  return units;
}

interface Sums {
  pickings: number;
  kilograms: number;
  byCountKilograms: number;
  lostKilograms: number;
  givenKilograms: number;
  soldKilograms: number;
  soldFor: number;
  count: number;
  countedKilograms: number;
  worth: number;
  days: Map<Day, number>;
}

function unitsOf(
  { garden, live, made: madeAs }: TallyContext,
  container: Container,
  occupants: readonly Occupant[],
  pickings: readonly WeighedPicking[],
  year: number,
  [from, to]: readonly [Day, Day],
  money: MoneyOfSeason,
): readonly TallyUnit[] {
  const sums = new Map<Occupant, Sums>(
    occupants.map((o) => [
      o,
      {
        ...{ pickings: 0, kilograms: 0, byCountKilograms: 0, lostKilograms: 0, givenKilograms: 0 },
        ...{ soldKilograms: 0, soldFor: 0, count: 0, countedKilograms: 0, worth: 0, days: new Map() },
      },
    ]),
  );
  for (const p of pickings) {
    const there = standingThen(p, occupants);
    for (const o of there) {
      const sum = sums.get(o);
      if (!sum) continue;
      const kilograms = p.kilograms / there.length;
      const day = dayOf(p.at);
      sum.pickings += 1;
      sum.kilograms += kilograms;
      sum.days.set(day, (sum.days.get(day) ?? 0) + kilograms);
      if (p.isByCount) sum.byCountKilograms += kilograms;
      if (p.use === 'lost') sum.lostKilograms += kilograms;
      if (p.use === 'given') sum.givenKilograms += kilograms;
      if (p.use === 'sold') sum.soldKilograms += kilograms;
      if (p.soldFor !== undefined) sum.soldFor += p.soldFor / there.length;
      if (p.count !== undefined) {
        sum.count += p.count / there.length;
        sum.countedKilograms += kilograms;
      }
      sum.worth +=
        p.use === 'lost'
          ? 0
          : p.soldFor !== undefined
            ? p.soldFor / there.length
            : kilograms * (money.priceOf(o.variety.id, o.crop.id) ?? 0);
    }
  }
  const place = garden.places.find((each) => each.id === container.placeId);
  const made = madeAs(container);
  const water = waterOf(container, live, from, to, made?.assumed);
  const cost = money.costOf(container, made?.assumed);
  const minutes = money.minutesOf(container.id);
  const here = entriesAt(live, container.id);
  return occupants.map((o): TallyUnit => {
    const sum = sums.get(o) as Sums;
    const until = o.clearedOn ?? to;
    // those who stood there at the same time share the bag
    const beside = occupants.filter(
      (other) => other.plantedOn < until && (other.clearedOn ?? to) > o.plantedOn,
    );
    const sharers = Math.max(1, new Set(beside.map((other) => other.stationId)).size);
    const days = [...sum.days].sort(([a], [b]) => (a < b ? -1 : 1));
    const last = until < to ? until : to;
    const { regime } = regimeNow(
      here.filter((e) => dayOf(e.at) <= last),
      garden,
    );
    const part = 1 / occupants.length;
    const priced = money.priceOf(o.variety.id, o.crop.id) !== undefined || sum.soldFor > 0;
    return {
      containerId: container.id,
      bag: container.label,
      plantId: o.plant.id,
      plantName: o.plant.name,
      varietyId: o.variety.id,
      variety: o.variety.name,
      cropId: o.crop.id,
      crop: o.crop.name,
      placeId: container.placeId,
      place: place?.name ?? '',
      kindId: container.kindId,
      kind: made?.kind ?? container.kindId,
      regimeId: regime?.id,
      regime: regime?.name,
      form: formOfPlant(o, container.support.kind),
      mix: made?.mix ?? '',
      year,
      plantedOn: o.plantedOn,
      clearedOn: o.clearedOn !== undefined && o.clearedOn <= to ? o.clearedOn : undefined,
      leftBecause: o.leftBecause,
      pickings: sum.pickings,
      kilograms: sum.kilograms,
      byCountKilograms: sum.byCountKilograms,
      lostKilograms: sum.lostKilograms,
      givenKilograms: sum.givenKilograms,
      soldKilograms: sum.soldKilograms,
      soldFor: sum.soldFor,
      count: sum.count,
      countedKilograms: sum.countedKilograms,
      firstOn: days[0]?.[0],
      lastOn: days.at(-1)?.[0],
      days: days.map(([day, kilograms]) => ({ day, kilograms })),
      mixLitres: (made?.litres ?? 0) / sharers,
      waterLitres: water(o.plantedOn, until) / sharers,
      cost: cost * part,
      minutes: minutes * part,
      worth: priced ? sum.worth : undefined,
    };
  });
}

export interface Made {
  readonly litres: number;
  readonly kind: string;
  readonly mix: string;
  readonly assumed: Assumed;
}

/** Water that its drip gave between two days, the second left out, L; days on which it was off for rain are not known. */
function drippedLitres(drips: readonly DripSpell[], from: Day, until: Day): number {
  if (drips.length === 0) return 0;
  let litres = 0;
  for (let day = from; day < until; day = addDays(day, 1)) litres += dripOfDay(drips, day).dryLitres;
  return litres;
}

/** A container as made, or undefined where its record does not make sense: its pickings count all the same. */
function madeOf(container: Container, garden: Garden): Made | undefined {
  try {
    const { fill, kind, mix, assumed } = propertiesOf(container, garden);
    return { litres: fill.mixLitres, kind: kind.name, mix: mix.name, assumed };
  } catch {
    return undefined;
  }
}

/** Water that a bag was given by hand or by drip between two days, L; rain and what it shares of a tank are not known by litres. */
function waterOf(
  container: Container,
  live: readonly Entry[],
  from: Day,
  to: Day,
  assumed: Assumed | undefined,
): (from: Day, to: Day) => number {
  const poured = entriesAt(live, container.id).flatMap((e) =>
    e.kind === 'watering' && dayOf(e.at) >= from && dayOf(e.at) <= to
      ? [{ day: dayOf(e.at), litres: e.litres }]
      : [],
  );
  const drips = assumed ? dripsOf(container.id, live, 0) : [];
  return (first, last) => {
    const start = first > from ? first : from;
    const end = last < to ? last : to;
    const byHand = poured.reduce(
      (sum, { day, litres }) => sum + (day >= start && day <= end ? litres : 0),
      0,
    );
    return byHand + drippedLitres(drips, start, addDays(end, 1));
  };
}

interface MoneyOfSeason {
  costOf(container: Container, assumed: Assumed | undefined): number;
  minutesOf(containerId: string): number;
  priceOf(varietyId: string, cropId: string): number | undefined;
}

function moneyOf(garden: Garden, live: readonly Entry[], year: number): MoneyOfSeason {
  const { latitudeDegrees, shopPrices = {} } = garden.settings;
  const entries = live.filter((e) =>
    ['filled', 'bought', 'used', 'counted', 'priced', 'spent', 'worked', 'fed'].includes(e.kind),
  );
  const priceOf = unitPrices(
    priceLogs(entries),
    garden.packs.filter((p) => !p.binnedAt),
  );
  const bagsInUse = garden.containers.filter((c) => !c.binnedAt).length;
  const worked = entries.filter(
    (e): e is EntryOf<'worked'> => e.kind === 'worked' && seasonYearOf(dayOf(e.at), latitudeDegrees) === year,
  );
  const all = worked.reduce((sum, e) => sum + (e.containerIds.length === 0 ? e.minutes : 0), 0);
  const byBag = new Map<string, number>();
  for (const e of worked)
    for (const id of e.containerIds) byBag.set(id, (byBag.get(id) ?? 0) + e.minutes / e.containerIds.length);
  const context: Omit<StockContext, 'assumed'> = {
    mixes: garden.mixes,
    products: garden.products,
    scoops: scoopsOf(garden),
  };
  const { settings } = garden;
  return {
    costOf: (container, assumed) =>
      assumed
        ? costOf(container, entries, year, { ...context, settings, bagsInUse }, priceOf, assumed).total
        : 0,
    minutesOf: (containerId) => (byBag.get(containerId) ?? 0) + all / Math.max(1, bagsInUse),
    priceOf: (varietyId, cropId) => shopPrices[varietyId] ?? shopPrices[cropId],
  };
}
