import { addDays, dayOf, type Day } from '../../calendar/index.ts';
import type { Entry, TrussStage } from '../../records/index.ts';
import type { RipeDays } from './ripe-days.ts';

/** A truss of a plant, counted from the lowest, with the days on which each was seen. */
export interface Truss {
  readonly number: number;
  readonly floweredOn: Day | undefined;
  readonly setOn: Day | undefined;
  readonly pickedOn: Day | undefined;
  readonly count: number | undefined;
  readonly stage: TrussStage;
}

/**
 * A plant's trusses by its bag's diary, lowest first. The first day on which a stage was seen counts, and the last count.
 *
 * @example
 * trussesOf([], 'pla_a00000')
 * // => []
 */
export function trussesOf(here: readonly Entry[], plantId: string): readonly Truss[] {
  const found = new Map<number, Truss>();
  for (const e of here) {
    if (e.kind !== 'truss' || e.plantId !== plantId) continue;
    const day = dayOf(e.at);
    const before = found.get(e.number);
    const at = (stage: TrussStage, known: Day | undefined) => known ?? (e.stage === stage ? day : undefined);
    const pickedOn = at('picked', before?.pickedOn);
    const setOn = at('set', before?.setOn);
    found.set(e.number, {
      number: e.number,
      floweredOn: at('flowering', before?.floweredOn),
      setOn,
      pickedOn,
      count: e.count ?? before?.count,
      stage: pickedOn ? 'picked' : setOn ? 'set' : 'flowering',
    });
  }
  return [...found.values()].sort((a, b) => a.number - b.number);
}

/** What is likely seen next on a plant: the step that a thumb is offered first. */
export interface TrussStep {
  readonly number: number;
  readonly stage: TrussStage;
}

/**
 * The steps that can come next: flowers that set, fruit that is all picked, and the next truss in flower. For a plant without
 * trusses, its first.
 *
 * @example
 * nextTrussSteps([])
 * // => [{ number: 1, stage: 'flowering' }]
 */
export function nextTrussSteps(trusses: readonly Truss[]): readonly TrussStep[] {
  const flowering = trusses.find((t) => t.stage === 'flowering');
  const set = trusses.find((t) => t.stage === 'set');
  return [
    ...(flowering ? [{ number: flowering.number, stage: 'set' as const }] : []),
    ...(set ? [{ number: set.number, stage: 'picked' as const }] : []),
    { number: (trusses.at(-1)?.number ?? 0) + 1, stage: 'flowering' as const },
  ];
}

/** When a truss is likely ripe: from the day it set, or from its flowers; undefined once it is picked. */
export interface RipeSpan {
  readonly from: Day;
  readonly likely: Day;
  readonly to: Day;
  /** counted from set fruit, or from flowers and so less sure */
  readonly by: 'set' | 'flowers';
}

/**
 * The days between which a truss ripens.
 *
 * @param days from set to ripe fruit
 * @param flowersToSet days from flowers to set fruit
 */
export function ripeSpan(
  { setOn, floweredOn, pickedOn }: Pick<Truss, 'setOn' | 'floweredOn' | 'pickedOn'>,
  days: RipeDays,
  flowersToSet: number,
): RipeSpan | undefined {
  if (pickedOn !== undefined) return undefined;
  if (setOn !== undefined)
    return {
      from: addDays(setOn, days.low),
      likely: addDays(setOn, days.likely),
      to: addDays(setOn, days.high),
      by: 'set',
    };
  if (floweredOn === undefined) return undefined;
  return {
    from: addDays(floweredOn, days.low + Math.round(flowersToSet / 2)),
    likely: addDays(floweredOn, days.likely + flowersToSet),
    to: addDays(floweredOn, days.high + 2 * flowersToSet),
    by: 'flowers',
  };
}
