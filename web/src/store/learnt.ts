import { resolveAssumed } from '@rundel/core/assumed';
import {
  propertiesOf,
  knownWeather,
  learnFinger,
  siteOf,
  type BagProperties,
} from '@rundel/core/garden-state';
import { entriesAt } from '@rundel/core/records';
import { learnForecastSpread } from '@rundel/core/water';
import type { OpenGarden } from './garden-context.tsx';

/** What the diary has taught, in place of what is assumed; a number that the grower set goes before it. */
export interface Learnt {
  readonly fingerOffset?: number;
  readonly fingerNoise?: number;
  readonly filledDemandSpread?: number;
}

/** This grower's finger, from checks beside weighings, and this site's weather, from the days that were noted. */
export function learntOf(open: Pick<OpenGarden, 'garden' | 'live'>): Learnt {
  return { ...fingerOf(open), ...forecastOf(open) };
}

function fingerOf({ garden, live }: Pick<OpenGarden, 'garden' | 'live'>): Learnt {
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

function forecastOf({ garden, live }: Pick<OpenGarden, 'garden' | 'live'>): Learnt {
  const { settings } = garden;
  const assumed = resolveAssumed(settings.assumptions);
  const { windows, filledDemandSpread } = learnForecastSpread(knownWeather(live), siteOf(settings), assumed);
  return windows === 0 ? {} : { filledDemandSpread };
}
