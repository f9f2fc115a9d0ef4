import { DEFAULT_ASSUMED } from '../../src/assumed/index.ts';
import { CLIMATES } from '../../hidden/index.ts';
import { addDays } from '../../src/calendar/index.ts';
import { timelineOf, type TimelineStep, type WaterBag, type WaterEvent } from '../../src/water/index.ts';
import { mixedBags } from './bags.ts';
import { daily } from './growers.ts';
import { FIRST_DAY, play, seasonOf } from './play.ts';

/** Length of the seasons, days. */
export const DAYS = 180;

const season = seasonOf(42, CLIMATES.hot, DAYS);

/** A simulated bag with what a grower entered of it. */
export interface FeltSeason {
  readonly bag: WaterBag;
  readonly events: readonly WaterEvent[];
}

/** The evening of day n. */
export const at = (n: number, minute: number) =>
  `${addDays(FIRST_DAY, n)}T18:${String(minute).padStart(2, '0')}:00.000+01:00`;

export const check = (n: number, grade: number): WaterEvent => ({
  kind: 'check',
  id: `ent_look${n}`,
  at: at(n, 0),
  check: { method: 'finger', grade },
});

export const watering = (n: number, litres: number, ranThrough: boolean): WaterEvent => ({
  kind: 'watering',
  id: `ent_drink${n}`,
  at: at(n, 5),
  litres,
  isMeasured: true,
  ranThrough,
  isInGoes: true,
});

/** Seasons with a check every evening, and a watering whenever the bag felt barely damp or drier, as simulated bags were felt and took it. */
export function feltSeasons(bags: number): readonly FeltSeason[] {
  return mixedBags(42, bags, FIRST_DAY).map((test): FeltSeason => {
    const events: WaterEvent[] = [];
    const grower = daily(3);
    play(
      test,
      season,
      {
        ...grower,
        pours: (n, grade) => {
          events.push(check(n, grade));
          return grower.pours(n, grade);
        },
        poured: (n, litres, through) => events.push(watering(n, litres, through !== 'none')),
      },
      DAYS,
    );
    return { bag: test.seen, events };
  });
}

/** The whole season of a bag, its days worked out anew. */
export function stepsOf({ bag, events }: FeltSeason): readonly TimelineStep[] {
  return timelineOf(
    bag,
    season.known,
    season.site.latitudeDegrees,
    DEFAULT_ASSUMED,
  )(events, `${FIRST_DAY}T08:00:00.000+01:00`, at(DAYS - 1, 45));
}
