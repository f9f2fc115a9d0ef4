import { DEFAULT_ASSUMED } from '../../src/assumed/index.ts';
import {
  hiddenWeather,
  chanceFrom,
  type HiddenBag,
  type HiddenClimate,
  type HiddenDay,
} from '../../hidden/index.ts';
import { completeWeather, defaultNormals, type Site, type WeatherDay } from '../../src/climate/index.ts';
import type { TestBag } from './bags.ts';

/** The evening round, hours after midnight. */
export const ROUND_HOUR = 18;
export const FIRST_DAY = '2026-05-01';

/** A season's weather as it was, and as the app completes it from what was noted. */
export interface Season {
  readonly site: Site;
  readonly truth: readonly HiddenDay[];
  readonly known: readonly WeatherDay[];
  /** what the app expects of each day before it comes: the site's normals */
  readonly expected: readonly WeatherDay[];
}

/** Days after the season's end that are looked ahead to. */
const AFTER = 15;

export function seasonOf(seed: number, climate: HiddenClimate, days: number): Season {
  const latitudeDegrees = climate.meanCelsius > 14 ? 40 : 52;
  // a grower's own normals: what the place is usually like
  const plain = defaultNormals(latitudeDegrees);
  const normals = plain.map((_, month) => {
    const season = Math.cos(((month * 30.4 + 15 - 205) / 365) * 2 * Math.PI);
    const mean = climate.meanCelsius + climate.swingCelsius * season;
    const half = 2.5 + 4.2 * climate.clearness;
    return { minCelsius: mean - half, maxCelsius: mean + half, rainMillimetres: 40 };
  });
  const site = { latitudeDegrees, normals };
  const truth = hiddenWeather(chanceFrom(seed), FIRST_DAY, days + AFTER, climate);
  const last = truth.at(-1)?.day ?? FIRST_DAY;
  return {
    site,
    truth,
    known: completeWeather(
      truth.map(({ clearness: _, ...day }) => day),
      site,
      FIRST_DAY,
      last,
      DEFAULT_ASSUMED,
    ),
    expected: completeWeather([], site, FIRST_DAY, last, DEFAULT_ASSUMED),
  };
}

/** How a grower decides, seeing only what one can see. Asked each evening; `n` counts days from planting. */
export interface Grower {
  /** whether to look this evening */
  isCheckDue(n: number, bag: HiddenBag): boolean;
  /** whether to pour after a check of a finger grade */
  pours(n: number, grade: number): boolean;
  /** what was poured in the end */
  poured?(n: number, litres: number, ranThrough: boolean): void;
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

/** One bag's season under a grower. Everyone pours alike: in parts, with a pause, until it runs through. */
export function play(test: TestBag, season: Season, grower: Grower, days: number): Played {
  const bag = test.hidden();
  const hand = chanceFrom(test.seed + 77);
  const walks = new Set<number>();
  let [checks, dryDays, poured, wasted] = [0, 0, 0, 0];
  const before: Grower['poured'] = grower.poured?.bind(grower);
  for (let n = 0; n < days; n++) {
    const today = season.truth[n] as HiddenDay;
    let lowest = bag.pass(today, 0, ROUND_HOUR);
    if (grower.isCheckDue(n, bag)) {
      checks += 1;
      walks.add(n);
      if (grower.pours(n, bag.finger())) {
        const given = pourInParts(bag, test.seen.availableLitres, () => hand.normal());
        poured += given.litres;
        wasted += given.ran;
        before?.(n, Math.max(0.25, Math.round(given.litres * 4) / 4), given.ran > 0.1);
      }
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
): { readonly litres: number; readonly ran: number } {
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
  return { litres, ran };
}
