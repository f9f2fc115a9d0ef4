import { RundelError } from '../../errors/index.ts';
import { collar } from './collar.ts';
import { lowStart, ring } from './low-start.ts';
import { trench } from './trench.ts';
import { upright } from './upright.ts';
import type { PlantingOutcome, PlantingTask, PlantingMethod } from './planting-method.ts';
import type { PlantingMethodId } from '../../records/index.ts';
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
  type PlantingMethod,
} from './planting-method.ts';

/** Every planting method, in the order in which they are offered. */
export const PLANTING_METHODS: readonly PlantingMethod[] = [
  upright,
  trench,
  collar,
  ring,
  lowStart,
  netCup,
  seed,
];

/**
 * The planting method with an id.
 *
 * @throws RundelError `unknown-name`
 */
export function plantingMethodOf(id: PlantingMethodId): PlantingMethod {
  const plantingMethod = PLANTING_METHODS.find((w) => w.id === id);
  if (!plantingMethod)
    throw new RundelError('unknown-name', 'way', id, PLANTING_METHODS.map((w) => w.id).join(', '));
  return plantingMethod;
}

/**
 * How a seedling goes into a bag by each way that its bag and crop allow, the simplest that works first. What cannot be
 * done comes after, each with the number that stands in the way; ways that have nothing to do with this bag or crop
 * are left out.
 *
 * Sources: handbook 5, model §5.
 */
export function plantingMethodsFor(task: PlantingTask): readonly PlantingOutcome[] {
  const ring = task.site.ring !== undefined;
  const net = task.site.netGapMillimetres !== undefined;
  const isNeckDry = task.crop.depth === 'stem-roots' && task.site.practiceId === 'neck-dry';
  const first: PlantingMethodId = net
    ? 'net-cup'
    : isNeckDry
      ? 'collar'
      : ring && task.crop.depth === 'stem-roots'
        ? 'ring'
        : 'upright';
  const outcomes = PLANTING_METHODS.map((plantingMethod) => plantingMethod.plan(task)).filter(
    (o) => o.kind === 'planned' || (o.obstacle.places !== 'wrong-bag' && o.obstacle.places !== 'wrong-crop'),
  );
  const rank = (o: PlantingOutcome) => {
    const id = o.kind === 'planned' ? o.plan.plantingMethodId : o.plantingMethodId;
    return (
      (o.kind === 'planned' ? 0 : 100) + (id === first ? -1 : PLANTING_METHODS.findIndex((w) => w.id === id))
    );
  };
  return [...outcomes].sort((a, b) => rank(a) - rank(b));
}
