import { resolveAssumed } from '../assumed/index.ts';
import { entriesAt, type Entry, type Garden } from '../records/index.ts';
import { learnForecastSpread } from '../water/index.ts';
import { siteOf } from './bag-state.ts';
import { knownWeather } from './known-weather.ts';
import { learnFinger } from './finger.ts';
import { propertiesOf, type BagProperties } from './properties.ts';
import { learntRipening, taughtVarieties, type LearntRipening } from './ripe-days.ts';

/** Assumptions in place of the table's, where the diary says better. */
interface LearntAssumptions {
  readonly fingerOffset?: number;
  readonly fingerNoise?: number;
  readonly filledDemandSpread?: number;
  readonly usualEto?: number;
}

/** Parameters learnt from the diary; what the grower says goes before them. */
export interface Learnt {
  readonly assumptions: LearntAssumptions;
  /** days from set to ripe, by variety */
  readonly setToRipe: LearntRipening;
}

/** This grower's finger, from checks beside weighings; this site's weather, from the days that were noted; the varieties' ripening. */
export function learntOf(garden: Garden, live: readonly Entry[]): Learnt {
  return {
    assumptions: { ...fingerOf(garden, live), ...forecastOf(garden, live) },
    setToRipe: learntRipening(garden, live),
  };
}

/** A garden with what its diary has taught in its assumptions and varieties. */
export function withLearnt(garden: Garden, { assumptions, setToRipe }: Learnt): Garden {
  const { settings, varieties } = garden;
  return {
    ...garden,
    settings: { ...settings, assumptions: { ...assumptions, ...settings.assumptions } },
    varieties: taughtVarieties(varieties, setToRipe),
  };
}

function fingerOf(garden: Garden, live: readonly Entry[]): LearntAssumptions {
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

function forecastOf({ settings }: Garden, live: readonly Entry[]): LearntAssumptions {
  const assumed = resolveAssumed(settings.assumptions);
  const { windows, filledDemandSpread, usualEto } = learnForecastSpread(
    knownWeather(live),
    siteOf(settings),
    assumed,
  );
  return windows === 0 ? {} : { filledDemandSpread, usualEto };
}
