import type { Assumed } from '../../assumed/index.ts';
import { dayOf, type Day } from '../../calendar/index.ts';
import { entriesAt, type Container, type Entry, type EntryOf } from '../../records/index.ts';
import { findCause } from '../trouble/causes/index.ts';
import { spreads, troubleCases, type TroubleCase } from './cases.ts';

/** What a wall is made of, as far as heat goes. */
export type Wall = 'fabric' | 'plastic' | 'film' | string;

/** Whether a bag may be heated, and how hot at the most: fabric alone, and never beyond what its maker says. */
export function heatLimitCelsius(
  wall: Wall,
  { fabricHeatLimit }: Pick<Assumed, 'fabricHeatLimit'>,
): number | undefined {
  return wall === 'fabric' ? fabricHeatLimit : undefined;
}

/** What a cleaning has done, against what would be enough. */
export type Cleanliness =
  | { readonly kind: 'clean'; readonly on: Day }
  /** begun: what is still wanting */
  | { readonly kind: 'part'; readonly on: Day; readonly wants: readonly ('wash' | 'dry')[] }
  | { readonly kind: 'not' };

/**
 * How clean a bag is after a day: washed, and then dried through, disinfected by a label or heated long enough, in one go or in
 * several.
 *
 * @param after cleanings before this day say nothing
 * @example
 * cleanlinessAfter([], '2026-09-01', DEFAULT_ASSUMED)
 * // => { kind: 'not' }
 */
export function cleanlinessAfter(
  here: readonly Entry[],
  after: Day,
  { heatEnough, heatMinutes }: Pick<Assumed, 'heatEnough' | 'heatMinutes'>,
): Cleanliness {
  const cleaned = here.filter(
    (e): e is EntryOf<'cleaned'> => e.kind === 'cleaned' && e.what === 'bag' && dayOf(e.at) >= after,
  );
  const last = cleaned.at(-1);
  if (!last) return { kind: 'not' };
  const isHot = ({ heated }: EntryOf<'cleaned'>) =>
    heated !== undefined && heated.celsius >= heatEnough && heated.minutes >= heatMinutes;
  const isWashed = cleaned.some((e) => e.isWashed);
  const isFinished = cleaned.some((e) => e.isDried || e.isDisinfected || isHot(e));
  const on = dayOf(last.at);
  if (isWashed && isFinished) return { kind: 'clean', on };
  return {
    kind: 'part',
    on,
    wants: [...(isWashed ? [] : ['wash' as const]), ...(isFinished ? [] : ['dry' as const])],
  };
}

/** Why a new plant should not go into a bag yet. */
export type PlantingRisk =
  | { readonly kind: 'sick-bag'; readonly trouble: TroubleCase; readonly cleanliness: Cleanliness }
  | { readonly kind: 'beside'; readonly container: Container; readonly trouble: TroubleCase };

/** Trouble that goes on on the bag itself, or in its mix, or from plant to plant. */
const goesOn = (trouble: TroubleCase) =>
  trouble.livesInMix || (findCause(trouble.what)?.spreads === true && !trouble.isOver);

/** Trouble beside it that nobody has looked at again for so long is taken to be over, days. */
const FORGOTTEN_DAYS = 45;

/**
 * What speaks against a new plant in a bag: trouble that it held and that was not cleaned away, and trouble in bags beside it that
 * goes from plant to plant. Nothing after cleaning.
 *
 * @param beside bags that stand at the same place
 */
export function plantingRisks(
  container: Container,
  beside: readonly Container[],
  live: readonly Entry[],
  today: Day,
  assumed: Pick<Assumed, 'heatEnough' | 'heatMinutes'>,
): readonly PlantingRisk[] {
  const here = entriesAt(live, container.id).filter((e) => dayOf(e.at) <= today);
  const risks: PlantingRisk[] = [];
  const own = troubleCases(container.id, live).findLast((t) => goesOn(t) && dayOf(t.entry.at) <= today);
  if (own) {
    const cleanliness = cleanlinessAfter(here, own.lastOn, assumed);
    if (cleanliness.kind !== 'clean') risks.push({ kind: 'sick-bag', trouble: own, cleanliness });
  }
  for (const other of beside) {
    if (other.id === container.id) continue;
    const trouble = troubleCases(other.id, live).findLast(
      (t) =>
        !t.isOver && spreads(t) && Date.parse(today) - Date.parse(t.lastOn) < FORGOTTEN_DAYS * 86_400_000,
    );
    if (trouble) {
      const there = entriesAt(live, other.id);
      if (cleanlinessAfter(there, trouble.lastOn, assumed).kind !== 'clean')
        risks.push({ kind: 'beside', container: other, trouble });
    }
  }
  return risks;
}
