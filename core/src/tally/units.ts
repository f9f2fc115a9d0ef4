import { dayOf, growingSeason, seasonYearOf, type Day } from '../calendar/index.ts';
import { formOfPlant } from '../care/index.ts';
import { regimeNow } from '../garden-state/index.ts';
import type { WeighedPicking } from '../pickings/index.ts';
import type { Occupant } from '../plants/index.ts';
import { entriesAt, type Container, type Entry, type Garden, type TrainingFormId } from '../records/index.ts';
import { groupedBy } from '../statistics/index.ts';
import type { TallyContext } from './context.ts';
import { pickedByPlant } from './picked.ts';
import { moneyOf, waterOf, type MoneyOfSeason } from './resources.ts';

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
  /** undefined: nobody said what stood there */
  readonly form: TrainingFormId | undefined;
  readonly mix: string;
  readonly year: number;
  readonly plantedOn: Day;
  readonly clearedOn: Day | undefined;
  readonly leftBecause: string | undefined;
  readonly pickings: number;
  /** the same, and of one that it shares with others its part */
  readonly pickingShares: number;
  /** shares of pickings that nobody weighed or counted: they add nothing to what follows */
  readonly unmeasured: number;
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

/** The seasons of which the diary tells of a planting or a picking, latest first. */
export function seasonYears(garden: Pick<Garden, 'settings'>, live: readonly Entry[]): readonly number[] {
  const { latitudeDegrees } = garden.settings;
  const years = new Set<number>();
  for (const e of live)
    if (e.kind === 'picking' || e.kind === 'planted') years.add(seasonYearOf(dayOf(e.at), latitudeDegrees));
  return [...years].sort((a, b) => b - a);
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
    const picked = byBag.get(container.id);
    if (!picked && (occupants.length === 0 || container.binnedAt)) return [];
    return unitsOf(context, container, occupants, picked ?? [], { year, from: season.from, to, money });
  });
  context.seasons.set(key, units);
  return units;
}

/** A season as far as it has come. */
interface SeasonSoFar {
  readonly year: number;
  readonly from: Day;
  readonly to: Day;
  readonly money: MoneyOfSeason;
}

function unitsOf(
  { garden, live, made: madeAs }: TallyContext,
  container: Container,
  occupants: readonly Occupant[],
  pickings: readonly WeighedPicking[],
  { year, from, to, money }: SeasonSoFar,
): readonly TallyUnit[] {
  const priceOf = ({ variety, crop }: Occupant) => money.priceOf(variety.id, crop.id);
  const sums = pickedByPlant(occupants, pickings, priceOf);
  const place = garden.places.find((each) => each.id === container.placeId);
  const made = madeAs(container);
  const water = waterOf(container, live, from, to, made?.assumed);
  const cost = money.costOf(container, made?.assumed);
  const minutes = money.minutesOf(container.id);
  const here = entriesAt(live, container.id);
  const part = 1 / sums.size;
  return [...sums].map(([o, sum]): TallyUnit => {
    const days = [...sum.days].sort(([a], [b]) => (a < b ? -1 : 1));
    const plantedOn = o?.plantedOn ?? days[0]?.[0] ?? from;
    const until = o?.clearedOn ?? to;
    // those who stood there at the same time share the bag
    const beside = occupants.filter(
      (other) => other.plantedOn < until && (other.clearedOn ?? to) > plantedOn,
    );
    const sharers = Math.max(1, new Set(beside.map((other) => other.stationId)).size);
    const last = until < to ? until : to;
    const { regime } = regimeNow(
      here.filter((e) => dayOf(e.at) <= last),
      garden,
    );
    const priced = (o && priceOf(o) !== undefined) || sum.soldFor > 0;
    const { worth, days: _, ...picked } = sum;
    return {
      ...{ containerId: container.id, bag: container.label, year, plantedOn },
      ...{ plantId: o?.plant.id ?? '', plantName: o?.plant.name },
      ...{ varietyId: o?.variety.id ?? '', variety: o?.variety.name ?? NOT_SAID },
      ...{ cropId: o?.crop.id ?? '', crop: o?.crop.name ?? NOT_SAID },
      ...{ placeId: container.placeId, place: place?.name ?? '' },
      ...{ kindId: container.kindId, kind: made?.kind ?? container.kindId, mix: made?.mix ?? '' },
      ...{ regimeId: regime?.id, regime: regime?.name },
      form: o && formOfPlant(o, container.support.kind),
      clearedOn: o?.clearedOn !== undefined && o.clearedOn <= to ? o.clearedOn : undefined,
      leftBecause: o?.leftBecause,
      ...picked,
      firstOn: days[0]?.[0],
      lastOn: days.at(-1)?.[0],
      days: days.map(([day, kilograms]) => ({ day, kilograms })),
      mixLitres: (made?.litres ?? 0) / sharers,
      waterLitres: water(plantedOn, until) / sharers,
      cost: cost * part,
      minutes: minutes * part,
      worth: priced ? worth : undefined,
    };
  });
}

/** What is called what nobody has said. */
const NOT_SAID = 'not said';
