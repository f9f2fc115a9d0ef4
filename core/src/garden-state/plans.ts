import { resolveAssumed } from '../assumed/index.ts';
import { dayOf, type Day } from '../calendar/index.ts';
import { cropOf, habitOfPlanned, occupantsOf } from '../plants/index.ts';
import type { Container, Entry, Garden, Place, Plan } from '../records/index.ts';
import { frostYear, isCarriedOut, plantingWindow, timingPracticeOf } from '../season/index.ts';
import { siteOf } from './bag-state.ts';
import { knownWeather } from './known-weather.ts';

/**
 * The day on which a crop would go into a place when the grower has not said one: the first of its window that is still to
 * come, or today where there is none this season.
 */
export function proposedPlantingDay(
  { settings, varieties }: Pick<Garden, 'settings' | 'varieties'>,
  what: Pick<Plan, 'cropId' | 'habitId' | 'varietyName'>,
  cover: Place['cover'],
  live: readonly Entry[],
  now: string,
): Day {
  const today = dayOf(now);
  const assumed = resolveAssumed(settings.assumptions);
  const site = siteOf(settings);
  const frost = frostYear(site, settings.frost, knownWeather(live), today, assumed);
  const crop = cropOf(what.cropId);
  const practice = timingPracticeOf(settings.timingPracticeId);
  const place = { cover, frost, site, practice };
  const window = plantingWindow(crop, habitOfPlanned(varieties, what), place, assumed);
  return window.kind === 'open' && window.plant.from > today ? window.plant.from : today;
}

/** What is planned for a bag and not in it yet, the soonest first. */
export function plansFor(
  container: Container,
  garden: Pick<Garden, 'plans' | 'plants' | 'varieties'>,
  live: readonly Entry[],
): readonly Plan[] {
  const everyone = occupantsOf(container, live, garden);
  return garden.plans
    .filter((p) => !p.binnedAt && p.containerId === container.id && !isCarriedOut(p, everyone))
    .sort((a, b) => (a.plantOn < b.plantOn ? -1 : 1));
}
