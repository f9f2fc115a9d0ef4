import { CLIMATES, type HiddenBag, type HiddenDay } from '../../hidden/index.ts';
import { mixedBags, type TestBag } from './bags.ts';
import { byMillimetres, daily, habitual, oracle, withRundel, type Said } from './growers.ts';
import {
  FIRST_DAY,
  play,
  ROUND_HOUR,
  seasonOf,
  situated,
  USUAL,
  type Grower,
  type Played,
  type Season,
  type Situation,
} from './play.ts';

/** What came of a season under one kind of grower, over all bags. */
export interface Line {
  readonly name: string;
  /** checks a bag-day */
  readonly checks: number;
  /** days on which anybody had to walk, share */
  readonly walks: number;
  /** bag-days below a fifth of the real water, share */
  readonly dry: number;
  /** the same among bags of 25 L of mix and more alone */
  readonly dryBig: number;
  /** of what was poured, share that ran through */
  readonly waste: number;
}

/** How true the app's words were. */
export interface Truth {
  /** share of evenings on which the real water lay within the stated 10 to 90 % */
  readonly coverage: number;
  /** median error of "hours until it wants water", as a share of the real hours */
  readonly hoursError: number;
  /** mean of stated less real hours; above 0 it looks too late */
  readonly hoursBias: number;
  readonly forecasts: number;
}

export interface Comparison {
  readonly climate: keyof typeof CLIMATES;
  readonly bags: number;
  readonly days: number;
  readonly lines: readonly Line[];
  readonly truth: Truth;
}

/** What is played: a weather year for each seed, with bags of its own. */
export interface Trial {
  readonly seeds: readonly number[];
  readonly bagsEach: number;
  readonly days: number;
  readonly situation?: Situation;
  /** assumed numbers in place of the table's */
  readonly own?: Partial<Record<string, number>>;
  /** leaves the other growers out */
  readonly only?: 'Rundel';
  /** the app is told the weather to come as it will be: what a perfect forecast would be worth */
  readonly foresees?: boolean;
}

/** Plays the same bags and weather under every kind of grower. */
export function compare(climate: keyof typeof CLIMATES, trial: Trial): Comparison {
  const { days, situation = USUAL } = trial;
  const years = trial.seeds.map((seed) => ({
    season: seasonOf(seed + 500, CLIMATES[climate], days, situation),
    tests: mixedBags(seed, trial.bagsEach, FIRST_DAY).map((test) => situated(test, situation)),
  }));
  const all = (name: string, growerOf: (test: TestBag, season: Season) => Grower) =>
    lineOf(
      name,
      years.map(({ season, tests }) =>
        tests.map((test) => ({
          ...play(test, season, growerOf(test, season), days, situation),
          isBig: test.seen.availableLitres >= BIG_LITRES,
        })),
      ),
      days,
    );
  const asked: Asked[] = [];
  const rundel = all('Rundel', (test, season) => {
    const grower = withRundel(test, season, trial.own, trial.foresees, situation);
    asked.push({ season, said: grower.said });
    return grower;
  });
  return {
    climate,
    bags: trial.seeds.length * trial.bagsEach,
    days,
    lines: trial.only
      ? [rundel]
      : [
          all('check daily, water when dry', () => daily(2)),
          all('check daily, water when barely damp', () => daily(3)),
          all("the bag's own habitual interval", () => habitual()),
          byMillimetresLike(rundel.checks, (millimetres) =>
            all(`every ${millimetres} mm of ETo`, (_, season) => byMillimetres(season, millimetres)),
          ),
          rundel,
          all('an oracle', (_, season) => oracle(season)),
        ],
    truth: truthOf(asked),
  };
}

/** The habit by millimetres that checks no less often than Rundel does, and as little more as can be. */
function byMillimetresLike(checks: number, play: (millimetres: number) => Line): Line {
  let best = play(2);
  for (let millimetres = 3; millimetres <= 40; millimetres += 1) {
    const line = play(millimetres);
    if (line.checks < checks) break;
    best = line;
  }
  return best;
}

/** What 25 L of mix give a plant, L. */
const BIG_LITRES = 7.5;

function lineOf(
  name: string,
  years: readonly (readonly (Played & { readonly isBig: boolean })[])[],
  days: number,
): Line {
  const played = years.flat();
  const sum = (of: (p: (typeof played)[number]) => number) => played.reduce((total, p) => total + of(p), 0);
  const bagDays = played.length * days;
  const walks = years.reduce((total, year) => total + new Set(year.flatMap((p) => [...p.walks])).size, 0);
  return {
    name,
    checks: sum((p) => p.checks) / bagDays,
    walks: walks / (years.length * days),
    dry: sum((p) => p.dryDays) / bagDays,
    dryBig:
      sum((p) => (p.isBig ? p.dryDays : 0)) / Math.max(1, days * played.filter(({ isBig }) => isBig).length),
    waste:
      sum((p) => p.wasted) /
      Math.max(
        1e-9,
        sum((p) => p.poured),
      ),
  };
}

/** What the app said of one bag, with the year that it said it in. */
interface Asked {
  readonly season: Season;
  readonly said: readonly (Said & { readonly truth: HiddenBag })[];
}

/** The first days say little: nobody has looked yet. */
const SETTLED = 10;

function truthOf(asked: readonly Asked[]): Truth {
  let [held, evenings] = [0, 0];
  const errors: number[] = [];
  let bias = 0;
  for (const { season, said } of asked) {
    for (const { n, estimate, ahead, truth } of said) {
      if (n < SETTLED) continue;
      evenings += 1;
      if (truth.share >= estimate.share.low && truth.share <= estimate.share.high) held += 1;
      const stated = ahead.hoursToRefill.likely;
      const real = hoursUntil(truth.copy(), n, season);
      if (n % 3 === 0 && stated !== undefined && stated > 0 && real !== undefined && real >= 12) {
        errors.push(Math.abs(stated - real) / real);
        bias += stated - real;
      }
    }
  }
  errors.sort((a, b) => a - b);
  return {
    coverage: held / Math.max(1, evenings),
    hoursError: errors[Math.floor(errors.length / 2)] ?? NaN,
    hoursBias: bias / Math.max(1, errors.length),
    forecasts: errors.length,
  };
}

/** Hours until a bag would really fall below the refill point with nobody watering; undefined beyond a week. */
function hoursUntil(bag: HiddenBag, n: number, season: Season): number | undefined {
  for (let hours = 0; hours < 24 * 7; hours++) {
    if (bag.share < 0.33) return hours;
    const hour = ROUND_HOUR + hours;
    const day = n + Math.floor(hour / 24);
    const today: HiddenDay | undefined = season.truth[day];
    if (!today) return undefined;
    bag.pass(today, hour % 24, (hour % 24) + 1);
  }
  return undefined;
}
