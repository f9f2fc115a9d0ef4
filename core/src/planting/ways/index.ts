import { RundelError } from '../../errors/index.ts';
import { collar } from './collar.ts';
import { lowStart, ring } from './low-start.ts';
import { trench } from './trench.ts';
import { upright } from './upright.ts';
import type { PlantingOutcome, PlantingTask, Way } from './way.ts';
import type { WayId } from '../../records/index.ts';
import { netCup, seed } from './without-ball.ts';

export { planWith, type OwnPlanting, type PlantingRemark } from './own.ts';
export {
  type Obstacle,
  type PlantingOutcome,
  type PlantingPlan,
  type PlantingSite,
  type PlantingTask,
  type Remedy,
  type TopUp,
  type Way,
} from './way.ts';

/** Every way, in the order in which they are offered. */
export const WAYS: readonly Way[] = [upright, trench, collar, ring, lowStart, netCup, seed];

/**
 * The way with an id.
 *
 * @throws RundelError `unknown-name`
 */
export function wayOf(id: WayId): Way {
  const way = WAYS.find((w) => w.id === id);
  if (!way) throw new RundelError('unknown-name', 'way', id, WAYS.map((w) => w.id).join(', '));
  return way;
}

/**
 * How a seedling goes into a bag by each way that its bag and crop allow, the simplest that works first. What cannot be
 * done comes after, each with the number that stands in the way; ways that have nothing to do with this bag or crop
 * are left out.
 *
 * Sources: handbook 5, model §5.
 */
export function waysFor(task: PlantingTask): readonly PlantingOutcome[] {
  const ring = task.site.ring !== undefined;
  const net = task.site.netGapMillimetres !== undefined;
  const isNeckDry = task.crop.depth === 'stem-roots' && task.site.schoolId === 'neck-dry';
  const first: WayId = net
    ? 'net-cup'
    : isNeckDry
      ? 'collar'
      : ring && task.crop.depth === 'stem-roots'
        ? 'ring'
        : 'upright';
  const outcomes = WAYS.map((way) => way.plan(task)).filter(
    (o) => o.kind === 'planned' || (o.obstacle.stands !== 'wrong-bag' && o.obstacle.stands !== 'wrong-crop'),
  );
  const rank = (o: PlantingOutcome) => {
    const id = o.kind === 'planned' ? o.plan.wayId : o.wayId;
    return (o.kind === 'planned' ? 0 : 100) + (id === first ? -1 : WAYS.findIndex((w) => w.id === id));
  };
  return [...outcomes].sort((a, b) => rank(a) - rank(b));
}
