import { chanceFrom, type HiddenBag } from '../../hidden/index.ts';
import { resolveAssumed, type Assumed } from '../../src/assumed/index.ts';
import { momentAt, addDays } from '../../src/calendar/index.ts';
import { completeWeather, type WarmthKnown, type WeatherDay } from '../../src/climate/index.ts';
import {
  adviseWatering,
  FilterRun,
  FORECAST_HOURS,
  learnCapacity,
  forecastWater,
  timelineOf,
  type WaterForecast,
  type TimelineStep,
  type UseStep,
  type WaterEstimate,
  type WaterEvent,
} from '../../src/water/index.ts';
import type { TestBag } from './bags.ts';
import { FIRST_DAY, ROUND_HOUR, type Grower, type Season, type Situation } from './play.ts';

/** Checks every evening and pours at a grade or drier. */
export function daily(pourAt: number): Grower {
  return { isCheckDue: () => true, pours: (_, grade) => grade <= pourAt };
}

/** Each bag's own habit: every so many days, a day less after it was found dry, a day more after it was found moist. */
export function habitual(): Grower {
  let every = 2;
  let last = -1;
  return {
    isCheckDue: (n) => n - last >= every,
    pours: (n, grade) => {
      last = n;
      if (grade <= 2) every = Math.max(1, every - 1);
      if (grade >= 4) every = Math.min(5, every + 1);
      return grade <= 3;
    },
  };
}

/** Looks at every bag after so many millimetres of reference evapotranspiration, the same for all. */
export function byMillimetres(season: Season, millimetres: number): Grower {
  let sum = 0;
  return {
    isCheckDue: (n) => {
      sum += season.known[n]?.etoMillimetres ?? 0;
      return sum >= millimetres;
    },
    pours: (_, grade) => {
      sum = 0;
      return grade <= 3;
    },
  };
}

/** Knows what no one can: pours just before the bag would fall below the refill point. */
export function oracle(season: Season): Grower {
  return {
    isCheckDue: (n, bag) => {
      const ahead = bag.copy();
      const [today, next] = [season.truth[n], season.truth[n + 1]];
      if (!today || !next) return false;
      ahead.pass(today, ROUND_HOUR, 24);
      return ahead.pass(next, 0, ROUND_HOUR) < 0.33;
    },
    pours: () => true,
  };
}

/** What the app said on an evening, before anybody looked. */
export interface Said {
  readonly n: number;
  readonly estimate: WaterEstimate;
  readonly ahead: WaterForecast;
}

/** A grower who goes by the app, and what the app said each evening; one who foresees knows the weather to come. */
export function withRundel(
  told: TestBag,
  season: Season,
  own: Partial<Record<string, number>> = {},
  foresees = false,
  { saidSize = 1, plansForMissed = false, hasForecast = false }: Partial<Situation> = {},
): Grower & { readonly said: readonly (Said & { readonly truth: HiddenBag })[] } {
  const test = {
    ...told,
    seen: { ...told.seen, availableLitres: told.seen.availableLitres * saidSize },
  };
  const assumed = resolveAssumed(own);
  let run = FilterRun.start(test.seen, assumed);
  let seenAs = test.seen;
  const steps: TimelineStep[] = [];
  const past: WaterEvent[] = [];
  const stepsOf = timelineOf(test.seen, season.known, season.site.latitudeDegrees, assumed);
  const said: (Said & { truth: HiddenBag })[] = [];
  let from = at(0, 0);
  let events: WaterEvent[] = [];
  let seen = -1;
  let proposedLitres = 0;
  /** what the bag seems to hold, once a week: the app does it with every entry */
  const learn = () => {
    const reckoned = FilterRun.start(test.seen, assumed);
    for (const step of steps) reckoned.step(step);
    const { factor } = learnCapacity(past, reckoned.finish().moves, test.seen.availableLitres, assumed);
    seenAs = { ...test.seen, availableLitres: test.seen.availableLitres * factor };
    run = FilterRun.start(seenAs, assumed);
    for (const step of steps) run.step(step);
  };
  /** takes the filter to a moment and says what is known there */
  const advance = (n: number, minute: number): { estimate: WaterEstimate; ahead: WaterForecast } => {
    const to = at(n, ROUND_HOUR * 60 + minute);
    const passed = stepsOf(events, from, to);
    for (const step of passed) run.step(step);
    steps.push(...passed);
    past.push(...events);
    from = to;
    events = [];
    if (minute === 0 && n % 7 === 0) learn();
    return {
      estimate: run.finish(),
      ahead: aheadOf({ ...test, seen: seenAs }, season, run, n, assumed, {
        hoursSinceSeen: 24 * (n - seen),
        foresees,
        hasForecast,
        plansForMissed,
      }),
    };
  };
  return {
    said,
    isCheckDue(n, bag) {
      const known = advance(n, 0);
      said.push({ n, ...known, truth: bag.copy() });
      return n === 0 || known.ahead.nextCheck.kind === 'now';
    },
    pours(n, grade) {
      const check = { method: 'finger', grade } as const;
      seen = n;
      events.push({ kind: 'check', id: `look${n}`, at: at(n, ROUND_HOUR * 60 + 1), check });
      const { estimate, ahead } = advance(n, 2);
      const advice = adviseWatering(
        estimate,
        seenAs,
        {
          check,
          isDueAgainBeforeNextRound: ahead.nextCheck.kind === 'now',
          isEstablishing: n < assumed.establishingDays,
          measure: { kind: 'can', litres: 9 },
        },
        assumed,
      );
      proposedLitres = advice.litres.likely;
      return advice.isWanted;
    },
    drumFilled(n, litres) {
      events.push({
        kind: 'watering',
        id: `fill${n}`,
        at: at(n, ROUND_HOUR * 60 + 6),
        litres,
        isMeasured: true,
        ranThrough: true,
        into: 'store',
      });
    },
    proposed: () => proposedLitres,
    poured(n, litres, through, isInGoes) {
      events.push({
        kind: 'watering',
        id: `drink${n}`,
        at: at(n, ROUND_HOUR * 60 + 5),
        litres,
        ranThrough: through !== 'none',
        ...(through === 'none' ? {} : { through }),
        isMeasured: true,
        isInGoes,
      });
    },
  };
}

/** Days of a forecast, and how far its temperatures are off on the first and with every further one, °C. */
const FORECAST_DAYS = 10;
const OFF_CELSIUS = { first: 0.8, more: 0.3 };
/** Chance that its rain of a day is that of another one, for each day ahead. */
const RAIN_MISSED = 0.05;

/** The days to come as a forecast has them on an evening, and as usual after it. */
function withForecast(
  season: Season,
  days: readonly WeatherDay[],
  n: number,
  assumed: Assumed,
): readonly WeatherDay[] {
  const chance = chanceFrom(9000 + n);
  const told = season.noted.slice(n + 1, n + 1 + FORECAST_DAYS).map((day, i): WarmthKnown => {
    const off = (OFF_CELSIUS.first + OFF_CELSIUS.more * i) * chance.normal();
    const isOther = chance.next() < RAIN_MISSED * (i + 1);
    const other = season.noted[Math.max(0, n - i)];
    return {
      ...day,
      minCelsius: day.minCelsius + off,
      maxCelsius: day.maxCelsius + off,
      rainMillimetres: (isOther ? other : day)?.rainMillimetres,
      leadDays: i + 1,
    };
  });
  const [first, last] = [told[0]?.day, told.at(-1)?.day];
  if (first === undefined || last === undefined) return days;
  const completed = completeWeather(told, season.site, first, last, assumed);
  return [...days.slice(0, n + 1), ...completed, ...days.slice(n + 1 + completed.length)];
}

/** Rounds that are looked ahead to. */
const ROUNDS = 8;

function aheadOf(
  test: TestBag,
  season: Season,
  run: FilterRun,
  n: number,
  settings: Assumed,
  {
    hoursSinceSeen,
    foresees,
    hasForecast,
    plansForMissed,
  }: {
    readonly hoursSinceSeen: number;
    readonly foresees: boolean;
    readonly hasForecast: boolean;
    readonly plansForMissed: boolean;
  },
): WaterForecast {
  const { days, filledDemandSpread } = season.expectedOn(n);
  const assumed = { ...settings, filledDemandSpread };
  const expected = foresees ? season.known : hasForecast ? withForecast(season, days, n, assumed) : days;
  // what was measured up to today, and what is usual from tomorrow on
  const weather = [...season.known.slice(0, n + 1), ...expected.slice(n + 1)];
  const stepsOf = timelineOf(test.seen, weather, season.site.latitudeDegrees, assumed);
  const spans = Array.from({ length: ROUNDS }, (_, i) => {
    const [a, b] = [at(n + i, ROUND_HOUR * 60 + (i === 0 ? 3 : 0)), at(n + i + 1, ROUND_HOUR * 60)];
    const steps = stepsOf([], a, b, FORECAST_HOURS);
    return { at: b, hoursAhead: 24 * (i + 1), steps: steps.filter((s): s is UseStep => s.kind === 'use') };
  });
  return forecastWater(run.belief, test.seen, spans, assumed, {
    hoursSinceSeen,
    mayMissARound: plansForMissed,
    isEstablishing: n < assumed.establishingDays,
  });
}

function at(n: number, minutes: number): string {
  return momentAt(addDays(FIRST_DAY, n), minutes / 60, '2026-05-01T00:00:00.000+01:00');
}
