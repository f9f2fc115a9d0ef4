import type { Assumed } from '../assumed/index.ts';
import { canopySquareMetres, type HabitFigures } from '../plants/index.ts';
import { daysBetween, type Day } from '../calendar/index.ts';
import { type WeatherDay } from '../climate/index.ts';
import { dripOfDay, type DripOfDay, type DripSpell } from './drip.ts';
import { hasLevel, type WaterStore } from './stores.ts';

/** One plant in a bag, as far as water goes. */
export interface WaterUsingPlant {
  readonly plantedOn: Day;
  /** the day from which its growth is counted: earlier for one that was moved here, later for seed; left out: `plantedOn` */
  readonly ageFrom?: Day;
  /** the day it was cleared; it uses nothing from then on */
  readonly clearedOn?: Day | undefined;
  readonly kc: number;
  /** the day on which its roots were seen to be down in what is below the mix; left out: nobody has looked */
  readonly rootedFrom?: Day | undefined;
  /** share of available water used without stress (FAO-56 p) */
  readonly depletion: number;
  readonly figures: HabitFigures;
  /** how large it is for its age by the heights that were measured; 1 when none was */
  readonly size?: number;
}

/** What is over a bag. */
export interface Sky {
  /** under glass no rain falls in and less sun comes through */
  readonly underCover: boolean;
  /** shade cloth or the like over it, share of the sun that it takes, 0 to 0.9 */
  readonly shade: number;
}

/** Cloth or fleece over a bag for some days, both included. */
export interface Cloth {
  /** share of the sun that it takes, 0 to 0.9 */
  readonly shade: number;
  readonly from?: Day | undefined;
  readonly until?: Day | undefined;
}

/** A bag, as far as water goes. */
export interface WaterBag extends Sky {
  /** available water at capacity, L */
  readonly availableLitres: number;
  /** the open top, m² */
  readonly topSquareMetres: number;
  /** wetted side that breathes, m²; 0 for film and plastic */
  readonly breathingSquareMetres: number;
  readonly mulchMillimetres: number;
  /** cloth or fleece that is over it from a day to a day, on top of what always is; left out: none */
  readonly cloths?: readonly Cloth[] | undefined;
  /** what it stood under before it was moved, oldest first, each until a day; left out: it was not moved */
  readonly earlier?: readonly (Sky & { readonly until: Day })[] | undefined;
  /** water that stands beside the mix and comes back to it */
  readonly stores: readonly WaterStore[];
  /** drip settings in the order in which they were made */
  readonly drips: readonly DripSpell[];
  readonly plants: readonly WaterUsingPlant[];
}

/** What a day asks of a bag and brings to it, L, before the bag's own use multiplier and before stress. */
export interface DayDemand {
  readonly transpirationLitres: number;
  readonly evaporationLitres: number;
  readonly rainLitres: number;
  readonly dripLitres: number;
  /** how far roots reach for what the stores give: 0 just planted, 1 established */
  readonly rooted: number;
  /** how much worse than a usual day this one is known for its size, 0.4 to 2 */
  readonly doubt: number;
}

/**
 * Mulch's share of bare evaporation: half at 25 mm, a fifth at 75 mm (handbook; the curve between is *assumed*).
 *
 * @see docs/model.md, 7. Water
 * @example
 * mulchFactor(75, 25)
 * // ≈> 0.2
 */
export function mulchFactor(mulchMillimetres: number, halvingMillimetres: number): number {
  return 1 / (1 + (mulchMillimetres / halvingMillimetres) ** 1.262);
}

/** What was, or is, over a bag on a day. */
export function skyOn(bag: Sky & Pick<WaterBag, 'earlier' | 'cloths'>, day: Day): Sky {
  const { underCover, shade } = bag.earlier?.find(({ until }) => day < until) ?? bag;
  const light = (bag.cloths ?? [])
    .filter(({ from, until }) => (from === undefined || day >= from) && (until === undefined || day <= until))
    .reduce((left, cloth) => left * (1 - cloth.shade), 1 - shade);
  return { underCover, shade: 1 - light };
}

/** What a day's weather does to a bag, mm by mm; the same for every weather that the day may have. */
export interface DayOfBag {
  readonly underCover: boolean;
  /** share of the ETo of open ground that reaches the bag: cover and shade keep some off */
  readonly etoShare: number;
  readonly transpirationLitresPerMillimetre: number;
  readonly evaporationLitresPerMillimetre: number;
  readonly rainLitresPerMillimetre: number;
  readonly drip: DripOfDay;
  readonly rooted: number;
}

/**
 * A bag on a day: Kc × canopy for each plant, evaporation from top and breathing sides, and the rain that gets in (1 mm on
 * 1 m² is 1 L).
 *
 * @param grownDays each plant's age in days of usual warmth; left out: by the calendar
 */
export function dayOfBag(bag: WaterBag, day: Day, assumed: Assumed, grownDays?: readonly number[]): DayOfBag {
  let canopies = 0;
  bag.plants.forEach((plant, i) => {
    const age = grownDays?.[i] ?? daysBetween(plant.ageFrom ?? plant.plantedOn, day);
    const isHere = day >= plant.plantedOn && (plant.clearedOn === undefined || day < plant.clearedOn);
    if (isHere) canopies += plant.kc * (plant.size ?? 1) * canopySquareMetres(plant.figures, age);
  });
  const top =
    assumed.topEvaporation * mulchFactor(bag.mulchMillimetres, assumed.mulchHalving) * bag.topSquareMetres;
  const { underCover, shade } = skyOn(bag, day);
  return {
    underCover,
    // outdoors the wind dries shaded leaves too, so that shade takes less of the demand than of the sun
    etoShare: underCover ? assumed.coverTransmissivity * (1 - shade) : 1 - assumed.shadeEffect * shade,
    transpirationLitresPerMillimetre: canopies,
    evaporationLitresPerMillimetre: top + assumed.sideEvaporation * bag.breathingSquareMetres,
    rainLitresPerMillimetre: underCover ? 0 : bag.topSquareMetres * assumed.rainCaught,
    drip: dripOfDay(bag.drips, day),
    rooted: rootedOn(bag, day, assumed),
  };
}

/** A day's demand on a bag in one weather. */
export function demandIn(weather: WeatherDay, day: DayOfBag, assumed: Assumed): DayDemand {
  const eto = day.etoShare * (day.underCover ? weather.coverMillimetres : weather.etoMillimetres);
  return {
    transpirationLitres: eto * day.transpirationLitresPerMillimetre,
    evaporationLitres: eto * day.evaporationLitresPerMillimetre,
    rainLitres: weather.rainMillimetres * day.rainLitresPerMillimetre,
    dripLitres: weather.rainMillimetres >= assumed.dripOffRain ? day.drip.wetLitres : day.drip.dryLitres,
    rooted: day.rooted,
    doubt: doubtOf(eto, assumed.spreadAt),
  };
}

/** A day's demand on a bag; see {@link dayOfBag} and {@link demandIn}. */
export function demandOfDay(
  bag: WaterBag,
  weather: WeatherDay,
  assumed: Assumed,
  grownDays?: readonly number[],
): DayDemand {
  return demandIn(weather, dayOfBag(bag, weather.day, assumed, grownDays), assumed);
}

/** A day's error is so many millimetres, whatever the day: 1 on a usual day, more on a dull one. */
export function doubtOf(eto: number, usual: number): number {
  return Math.min(2, Math.max(0.4, usual / Math.max(0.1, eto)));
}

/**
 * How far the roots of a bag's plants have got, 0 to 1; 1 where nothing stands. By age, until they were seen to be down: above a
 * tank or a channel it takes longer than in mix, and half is counted while nobody has looked.
 */
export function rootedOn(
  bag: Pick<WaterBag, 'plants' | 'stores'>,
  day: Day,
  assumed: Pick<Assumed, 'establishingDays' | 'rootsDownDays'>,
): number {
  const isAbove = bag.stores.some(({ kind }) => hasLevel(kind));
  const reached = bag.plants
    .filter((p) => day >= p.plantedOn && (p.clearedOn === undefined || day < p.clearedOn))
    .map((p) => {
      const age = daysBetween(p.plantedOn, day);
      if (p.rootedFrom !== undefined && day >= p.rootedFrom) return 1;
      const inMix = Math.min(1, age / assumed.establishingDays);
      return isAbove && age < assumed.rootsDownDays ? inMix / 2 : inMix;
    });
  return reached.length === 0 ? 1 : Math.min(...reached);
}

/** The depletion share of a bag: that of its thirstiest plant, or 0.4 (tomato) while it is empty. */
export function bagDepletion(bag: WaterBag): number {
  return bag.plants.length === 0 ? 0.4 : Math.min(...bag.plants.map((p) => p.depletion));
}
