import { resolveAssumed } from '../assumed/index.ts';
import { entriesAt, type Entry, type Garden } from '../records/index.ts';
import { learnForecastSpread } from '../water/index.ts';
import { knownWeather, siteOf } from './bag-state.ts';
import { learnFinger } from './finger.ts';
import { propertiesOf, type BagProperties } from './properties.ts';

/** Parameters learnt from the diary; settings override them. */
export interface Learnt {
  readonly fingerOffset?: number;
  readonly fingerNoise?: number;
  readonly filledDemandSpread?: number;
  readonly usualEto?: number;
}

/** This grower's finger, from checks beside weighings, and this site's weather, from the days that were noted. */
export function learntOf(garden: Garden, live: readonly Entry[]): Learnt {
  return { ...fingerOf(garden, live), ...forecastOf(garden, live) };
}

/** A garden with what its diary has taught in its assumptions; a number that the grower set goes before it. */
export function withLearnt(garden: Garden, learnt: Learnt): Garden {
  const { settings } = garden;
  return { ...garden, settings: { ...settings, assumptions: { ...learnt, ...settings.assumptions } } };
}

function fingerOf(garden: Garden, live: readonly Entry[]): Learnt {
  const weighed = garden.containers.filter((c) =>
    entriesAt(live, c.id).some((e) => e.kind === 'check' && e.check.method === 'scale'),
  );
  const propertiesById = new Map<string, BagProperties>();
  for (const container of weighed) {
    try {
      propertiesById.set(container.id, propertiesOf(container, garden));
    } catch {
      // a bag that cannot be worked out teaches nothing; it is named where bags are listed
    }
  }
  const assumed = resolveAssumed(garden.settings.assumptions);
  const { pairs, fingerOffset, fingerNoise } = learnFinger(weighed, propertiesById, live, assumed);
  return pairs === 0 ? {} : { fingerOffset, fingerNoise };
}

function forecastOf({ settings }: Garden, live: readonly Entry[]): Learnt {
  const assumed = resolveAssumed(settings.assumptions);
  const { windows, filledDemandSpread, usualEto } = learnForecastSpread(
    knownWeather(live),
    siteOf(settings),
    assumed,
  );
  return windows === 0 ? {} : { filledDemandSpread, usualEto };
}
