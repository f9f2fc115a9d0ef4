import {
  FilterRun,
  type TimelineStep,
  type WaterBag,
  type WaterEstimate,
  type Belief,
} from '../water/index.ts';
import type { Assumed } from '../assumed/index.ts';

/** Steps between two places from which a run can be taken up again. */
const EVERY_STEPS = 40;

/**
 * The last run of a bag's filter, with places on its way to go on from: a new entry, a correction or a late one costs only
 * the steps from where it matters. It is a cache and nothing else: with or without it the answer is the same.
 */
export class FilterMemory {
  private last:
    | {
        readonly key: string;
        readonly steps: readonly TimelineStep[];
        readonly resumePoints: readonly { readonly after: number; readonly run: FilterRun }[];
      }
    | undefined;

  private other: FilterMemory | undefined;

  /** The memory of the same bag's run with what was learnt in the first. */
  second(): FilterMemory {
    return (this.other ??= new FilterMemory());
  }

  /** Runs the filter over the steps, from the furthest place that the last run has in common. */
  run(
    bag: WaterBag,
    steps: readonly TimelineStep[],
    assumed: Assumed,
  ): { readonly belief: Belief; readonly estimate: WaterEstimate; readonly stepsRun: number } {
    const key = JSON.stringify([
      bag.availableLitres,
      bag.stores,
      bag.plants.map((p) => p.depletion),
      assumed,
    ]);
    const common = this.last?.key === key ? commonSteps(this.last.steps, steps) : 0;
    const resumePoints = (this.last?.resumePoints ?? []).filter(({ after }) => after <= common);
    const from = resumePoints.at(-1) ?? { after: 0, run: FilterRun.start(bag, assumed) };
    const attachment = common === 0 ? [] : [...resumePoints];
    const run = from.run.copy();
    for (let n = from.after; n < steps.length; n++) {
      // the last step ends at "now", which is another at the next run: the place before it is the one that is used
      if (n > from.after && (n % EVERY_STEPS === 0 || n === steps.length - 1))
        attachment.push({ after: n, run: run.copy() });
      run.step(steps[n] as TimelineStep);
    }
    this.last = { key, steps, resumePoints: attachment };
    return { estimate: run.finish(), belief: run.belief, stepsRun: steps.length - from.after };
  }
}

/** How many steps two timelines have in common at their beginning. */
function commonSteps(a: readonly TimelineStep[], b: readonly TimelineStep[]): number {
  const most = Math.min(a.length, b.length);
  let n = 0;
  while (n < most && isSame(a[n] as TimelineStep, b[n] as TimelineStep)) n++;
  return n;
}

function isSame(a: TimelineStep, b: TimelineStep): boolean {
  if (a.kind === 'event' || b.kind === 'event') return isAlike(a, b);
  return (
    a.until === b.until &&
    a.days === b.days &&
    a.transpirationLitres === b.transpirationLitres &&
    a.evaporationLitres === b.evaporationLitres &&
    a.rainLitres === b.rainLitres &&
    a.dripLitres === b.dripLitres &&
    a.rooted === b.rooted &&
    a.doubt === b.doubt &&
    a.unknown === b.unknown
  );
}

/** Whether two plain records hold the same, with the records in them. */
function isAlike(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  const [left, right] = [a as Record<string, unknown>, b as Record<string, unknown>];
  const keys = Object.keys(left);
  return keys.length === Object.keys(right).length && keys.every((key) => isAlike(left[key], right[key]));
}
