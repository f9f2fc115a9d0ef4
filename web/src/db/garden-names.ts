import { addDays } from '@rundel/core/calendar';

/** Which garden is open on this device: the grower's own or the demo. */
export type GardenId = 'own' | 'demo';

/** The names of their databases, the first that each had. */
export const DATABASE_NAMES: Record<GardenId, string> = { own: 'rundel', demo: 'rundel-demo' };

/** What a round asks of the diary's checks and waterings lies within so many days; more than the water filter looks back. */
const RECENT_DAYS = 240;

/** The month from which on a round wants a garden's diary. The demo is short: all of it. */
export function recentFrom(gardenId: GardenId, today: string): string | undefined {
  return gardenId === 'own' ? addDays(today, -RECENT_DAYS).slice(0, 7) : undefined;
}
