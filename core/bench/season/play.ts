import { DEFAULT_ASSUMED } from '../../src/assumed/index.ts';
import {
  hiddenWeather,
  chanceFrom,
  type HiddenBag,
  type HiddenClimate,
  type HiddenDay,
} from '../../hidden/index.ts';
import {
  completeWeather,
  defaultNormals,
  type WarmthKnown,
  type Site,
  type WeatherDay,
} from '../../src/climate/index.ts';
import { learnForecastSpread, litresADay, proposeDrip, storeOf } from '../../src/water/index.ts';
import type { TestBag } from './bags.ts';

/** What was seen to run through at the bottom. */
export type Through = 'none' | 'little' | 'most';

/** The evening round, hours after midnight. */
export const ROUND_HOUR = 18;
export const FIRST_DAY = '2026-05-01';

/** A season's weather as it was, and as the app completes it from what was noted. */
export interface Season {
  readonly site: Site;
  readonly truth: readonly HiddenDay[];
  readonly known: readonly WeatherDay[];
  /** the days as a diary has them */
  readonly noted: readonly WarmthKnown[];
  /** what the app expects on an evening of each day before it comes: the site's normals, and what the days so far taught of them */
  expectedOn(n: number): { readonly days: readonly WeatherDay[]; readonly filledDemandSpread: number };
}

/** What is true of a garden beside its bags and its weather, and what its grower does about it. */
export interface Situation {
  readonly name: string;
  /** the site's months as they usually are, or what its latitude alone says */
  readonly knows: 'months' | 'latitude';
  /** what the bags are said to hold against what they hold, on top of what is never known */
  readonly saidSize?: number;
  /** share of evenings on which nobody comes, whatever is due */
  readonly missedRounds?: number;
  /** planning so that a round may be missed */
  readonly plansForMissed?: boolean;
  /** noise of the finger on top of what fingers have, share of available water */
  readonly roughFinger?: number;
  /** the litres that are proposed in one pour, and not in parts until it runs through */
  readonly poursLitres?: boolean;
  /** poured into wells or a ring of so many litres, fill by fill; a tenth of it goes over the edge and is not counted */
  readonly wellLitres?: number;
  /** a drip line on the setting that is proposed for grown plants */
  readonly hasDrip?: boolean;
  /** a drum of so many litres that it drinks from, filled up once a week */
  readonly drumLitres?: number;
  /** a forecast of ten days, off as forecasts are */
  readonly hasForecast?: boolean;
}

export const USUAL: Situation = { name: 'as usual', knows: 'months' };

/** What else is played, each thing by itself. */
export const SITUATIONS: readonly Situation[] = [
  { name: 'a garden that knows only its latitude', knows: 'latitude' },
  { name: 'bags entered a fifth too large', knows: 'months', saidSize: 1.2 },
  { name: 'the proposed litres in one pour', knows: 'months', poursLitres: true },
  { name: 'one round in five missed', knows: 'months', missedRounds: 0.2 },
  { name: 'the same, planned for', knows: 'months', missedRounds: 0.2, plansForMissed: true },
  { name: 'a rough finger', knows: 'months', roughFinger: 0.1 },
  { name: 'poured into wells, a tenth over the edge', knows: 'months', wellLitres: 1.5 },
  { name: 'a drip line on its proposed setting', knows: 'months', hasDrip: true },
  { name: 'a drum below, filled once a week', knows: 'months', drumLitres: 12 },
  { name: 'a forecast of ten days', knows: 'months', hasForecast: true },
];

const LINE = { emitters: 2, litresPerHourEach: 2 };
/** What a grown plant asks on a day for which a line is set, mm of reference evapotranspiration. */
const SET_FOR_MILLIMETRES = 3.5;
/** What a line really loses on its way, of what it says. */
const REAL_LOSS = 0.15;

/** A bag as it stands in a situation: with the line or the drum that it has there. */
export function situated(test: TestBag, { hasDrip, drumLitres }: Situation): TestBag {
  const { seen } = test;
  if (drumLitres !== undefined) {
    const drum = storeOf('drum', drumLitres, DEFAULT_ASSUMED);
    const store = { litres: drumLitres, perHour: drum.perDay / 30, catchesDrained: drum.catchesDrained };
    return {
      ...test,
      hidden: (more) => test.hidden({ store, ...more }),
      seen: {
        ...seen,
        stores: [{ ...drum, startShare: 0.5 }],
        plants: seen.plants.map((plant) => ({ ...plant, rootedFrom: FIRST_DAY })),
      },
    };
  }
  if (!hasDrip) return test;
  const usePerDay = seen.plants.reduce(
    (sum, { kc, figures }) => sum + kc * figures.canopySquareMetres * SET_FOR_MILLIMETRES,
    0,
  );
  const proposal = proposeDrip(usePerDay, seen.availableLitres, { ...LINE, loss: DEFAULT_ASSUMED.dripLoss });
  const setting = {
    ...LINE,
    minutes: proposal.minutes,
    timesADay: proposal.timesADay,
    weekdays: [1, 2, 3, 4, 5, 6, 7],
  };
  return {
    ...test,
    hidden: (more) => test.hidden({ dripLitresADay: litresADay(setting) * (1 - REAL_LOSS), ...more }),
    seen: { ...seen, drips: [{ from: FIRST_DAY, setting, loss: DEFAULT_ASSUMED.dripLoss }] },
  };
}

/** Days after the season's end that are looked ahead to. */
const AFTER = 15;

export function seasonOf(
  seed: number,
  climate: HiddenClimate,
  days: number,
  { knows }: Pick<Situation, 'knows'> = USUAL,
): Season {
  const latitudeDegrees = climate.meanCelsius > 14 ? 40 : 52;
  // a grower's own normals: what the place is usually like
  const plain = defaultNormals(latitudeDegrees);
  const months = plain.map((_, month) => {
    const season = Math.cos(((month * 30.4 + 15 - 205) / 365) * 2 * Math.PI);
    const mean = climate.meanCelsius + climate.swingCelsius * season;
    const half = 2.5 + 4.2 * climate.clearness;
    return { minCelsius: mean - half, maxCelsius: mean + half, rainMillimetres: 40 };
  });
  const site = { latitudeDegrees, normals: knows === 'months' ? months : plain };
  const truth = hiddenWeather(chanceFrom(seed), FIRST_DAY, days + AFTER, climate);
  const last = truth.at(-1)?.day ?? FIRST_DAY;
  const noted = truth.map(({ clearness: _, ...day }) => day);
  const byDay = new Map<number, ReturnType<Season['expectedOn']>>();
  return {
    site,
    truth,
    noted,
    known: completeWeather(noted, site, FIRST_DAY, last, DEFAULT_ASSUMED),
    expectedOn(n) {
      // three days more or less teach next to nothing
      const upTo = n - (n % 3);
      let expected = byDay.get(upTo);
      if (!expected) {
        const learnt = learnForecastSpread(noted.slice(0, upTo), site, DEFAULT_ASSUMED);
        const { filledDemandSpread } = learnt;
        const assumed = { ...DEFAULT_ASSUMED, ...learnt };
        expected = { days: completeWeather([], site, FIRST_DAY, last, assumed), filledDemandSpread };
        byDay.set(upTo, expected);
      }
      return expected;
    },
  };
}

/** How a grower decides, seeing only what one can see. Asked each evening; `n` counts days from planting. */
export interface Grower {
  /** whether to look this evening */
  isCheckDue(n: number, bag: HiddenBag): boolean;
  /** whether to pour after a check of a finger grade */
  pours(n: number, grade: number): boolean;
  /** litres that it would be told to take, where they are poured as told */
  proposed?(n: number): number;
  /** its drum was filled up */
  drumFilled?(n: number, litres: number): void;
  /** what was poured in the end */
  poured?(n: number, litres: number, through: Through, inGoes: boolean): void;
}

export interface Played {
  readonly checks: number;
  readonly walks: ReadonlySet<number>;
  readonly dryDays: number;
  readonly poured: number;
  readonly wasted: number;
}

/** Below this share of its real water a bag counts as dry that day. */
const DRY = 0.2;

/** One bag's season under a grower. Who is not told litres pours in parts, with a pause, until it runs through. */
export function play(
  test: TestBag,
  season: Season,
  grower: Grower,
  days: number,
  situation: Situation = USUAL,
): Played {
  const bag = test.hidden();
  const hand = chanceFrom(test.seed + 77);
  const luck = chanceFrom(test.seed + 78);
  const walks = new Set<number>();
  let [checks, dryDays, poured, wasted] = [0, 0, 0, 0];
  const before: Grower['poured'] = grower.poured?.bind(grower);
  for (let n = 0; n < days; n++) {
    const today = season.truth[n] as HiddenDay;
    let lowest = bag.pass(today, 0, ROUND_HOUR);
    const isMissed = luck.next() < (situation.missedRounds ?? 0);
    // asked all the same: a habit counts its days whether or not anybody comes
    const isDue = grower.isCheckDue(n, bag);
    if (isDue && !isMissed) {
      checks += 1;
      walks.add(n);
      if (grower.pours(n, bag.finger(situation.roughFinger))) {
        const told = situation.poursLitres ? grower.proposed?.(n) : undefined;
        const given =
          told === undefined
            ? situation.wellLitres !== undefined
              ? pourIntoWells(bag, situation.wellLitres)
              : pourInParts(bag, test.seen.availableLitres, () => hand.normal())
            : { litres: told, ran: bag.pour(told), isInGoes: false };
        poured += given.litres;
        wasted += given.ran;
        const litres = Math.max(0.25, Math.round(given.litres * 4) / 4);
        before?.(n, litres, throughOf(given), given.isInGoes);
      }
    }
    const { drumLitres } = situation;
    if (drumLitres !== undefined && n % 7 === 6) {
      const litres = (1 - bag.level) * drumLitres;
      bag.fillStore(litres);
      if (litres > 0.1) grower.drumFilled?.(n, litres);
    }
    lowest = Math.min(lowest, bag.pass(today, ROUND_HOUR, 24));
    if (lowest < DRY) dryDays += 1;
  }
  return { checks, walks, dryDays, poured, wasted };
}

function pourInParts(
  bag: HiddenBag,
  availableLitres: number,
  normal: () => number,
): { readonly litres: number; readonly ran: number; readonly isInGoes: boolean } {
  let litres = 0;
  let ran = 0;
  for (const part of [0.4, 0.25, 0.2, 0.15]) {
    const amount = Math.max(0.1, part * availableLitres * (1 + 0.1 * normal()));
    const through = bag.pour(amount);
    litres += amount;
    ran += through;
    // a little at the first pour is the dry mix's doing: wait, and pour again
    if (through > (litres === amount ? 0.5 : 0.2) * amount) break;
  }
  return { litres, ran, isInGoes: true };
}

/** What goes over the edge of a well or ring, share of each fill. */
const SPILT = 0.1;
const MOST_FILLS = 12;

/** Fill by fill, each when the one before has gone in, until one mostly runs through; what was spilt is known to be spilt. */
function pourIntoWells(bag: HiddenBag, wellLitres: number) {
  let litres = 0;
  let ran = 0;
  const fill = wellLitres * (1 - SPILT);
  for (let fills = 0; fills < MOST_FILLS; fills++) {
    const through = bag.pour(fill);
    litres += fill;
    ran += through;
    if (through > (fills === 0 ? 0.5 : 0.2) * fill) break;
  }
  return { litres, ran, isInGoes: true };
}

/** What somebody who looks under the bag says of it. */
function throughOf({ litres, ran }: { readonly litres: number; readonly ran: number }): Through {
  if (ran <= 0.1) return 'none';
  return ran > 0.5 * litres ? 'most' : 'little';
}
