import type { Assumed } from '../assumed/index.ts';
import { addDays, dayOf, daysBetween, type Day } from '../calendar/index.ts';
import type { Occupant } from '../plants/index.ts';
import type { Entry, Place } from '../records/index.ts';
import { coldNightAdvice, type Hardiness } from '../season/index.ts';
import { knownWeather } from './known-weather.ts';
import type { BagView } from './bag-view.ts';
import type { BagJob } from './jobs.ts';

/** Nights in a row, from the coming one on, for which fleece is wanted. */
export interface FleeceNights {
  readonly nights: number;
  readonly minCelsius: number;
}

/** How a plant stands on a day: tender until it has rooted. */
export function hardinessOf(
  { plantedOn }: Pick<Occupant, 'plantedOn'>,
  today: Day,
  { establishingDays }: Pick<Assumed, 'establishingDays'>,
): Hardiness {
  return daysBetween(plantedOn, today) < establishingDays ? 'tender' : 'settled';
}

/**
 * The cold nights that are coming to a bag by the forecast, as far as they follow one another from tonight on; undefined where the
 * coming night is not known, or mild. The night before a day is told with that day.
 */
export function fleeceNights(
  occupants: readonly Occupant[],
  live: readonly Entry[],
  today: Day,
  cover: Place['cover'],
  assumed: Assumed,
): FleeceNights | undefined {
  const minOn = new Map(knownWeather(live).flatMap((d) => (d.day > today ? [[d.day, d.minCelsius]] : [])));
  let found: FleeceNights | undefined;
  for (let day = addDays(today, 1); ; day = addDays(day, 1)) {
    const min = minOn.get(day);
    const isCold =
      min !== undefined &&
      occupants.some(
        (o) =>
          coldNightAdvice(min, o.crop, cover, hardinessOf(o, today, assumed), assumed)?.kind === 'fleece',
      );
    if (!isCold) return found;
    found = { nights: (found?.nights ?? 0) + 1, minCelsius: Math.min(min, found?.minCelsius ?? min) };
  }
}

/** Fleece on for a cold night, and off again in the morning after, once no cold night follows. */
export function fleeceJobs(
  cold: FleeceNights | undefined,
  here: readonly Entry[],
  today: Day,
): readonly BagJob[] {
  const last = here.findLast((e) => e.kind === 'tended' && (e.task === 'fleeced' || e.task === 'unfleeced'));
  const isOn = last?.kind === 'tended' && last.task === 'fleeced';
  if (cold) return isOn ? [] : [{ kind: 'fleece', dueOn: today, ...cold }];
  return isOn ? [{ kind: 'unfleece', dueOn: addDays(dayOf(last.at), 1) }] : [];
}

/**
 * Below which temperature a place's plants want cover in the night, °C: the tenderest one's word. Under glass it is that of the air
 * inside.
 *
 * @param bags those that stand there
 */
export function coldLimitOf(
  bags: readonly Pick<BagView, 'occupants' | 'properties'>[],
  cover: Place['cover'],
  today: Day,
): number | undefined {
  const limits = bags.flatMap(({ occupants, properties }) =>
    occupants.map((o) =>
      cover === 'open' && hardinessOf(o, today, properties.assumed) === 'tender'
        ? o.crop.nightCelsius.value
        : o.crop.fleeceCelsius.value,
    ),
  );
  return limits.length === 0 ? undefined : Math.max(...limits);
}
