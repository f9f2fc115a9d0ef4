import { plantingAtDepth, stemFigures } from '../depth.ts';
import { startLowAt, topUpsFrom } from './low-start.ts';
import { cylinderLitres, holeOf, sinks } from './measures.ts';
import { uprightPlan } from './upright.ts';
import type { PlantingOutcome, PlantingTask, PlantingMethod } from './planting-method.ts';

/** What the grower moved by hand, mm; what is left out stays as worked out. */
export interface OwnPlanting {
  readonly buriedMillimetres?: number;
  /** level of the mix at planting, above the lowest mix */
  readonly levelMillimetres?: number;
  readonly collarMillimetres?: number;
}

/** What a grower may want to know of their own choice; none of it is refused. */
export type PlantingRemark = 'graft-under' | 'ball-on-base' | 'little-crown' | 'much-to-top-up';

/**
 * A planting with the grower's own depth, level or collar in place of the worked-out ones: never refused for a practice's
 * sake, and with a remark where it would matter.
 */
export function planWith(
  plantingMethod: PlantingMethod,
  task: PlantingTask,
  own: OwnPlanting,
): { readonly outcome: PlantingOutcome; readonly remarks: readonly PlantingRemark[] } {
  const outcome = ownOutcome(plantingMethod, task, own);
  if (outcome.kind !== 'planned') return { outcome, remarks: [] };
  const { stem, belowBallMillimetres, levelMillimetres, topUps } = outcome.plan;
  const { graftMillimetres } = task.seedling;
  const missing = topUps.length > 0 ? task.site.mixMillimetres - levelMillimetres : 0;
  const remarks: PlantingRemark[] = [];
  if (
    graftMillimetres !== undefined &&
    stem.buriedMillimetres + missing > graftMillimetres - task.assumed.graftMargin + 0.5
  )
    remarks.push('graft-under');
  if (plantingMethod.id !== 'net-cup' && plantingMethod.id !== 'seed' && belowBallMillimetres < 1)
    remarks.push('ball-on-base');
  if (stem.limit !== 'level' && stem.aboveMillimetres < Math.min(60, task.seedling.stemMillimetres / 4))
    remarks.push('little-crown');
  if (missing > 250) remarks.push('much-to-top-up');
  return { outcome, remarks };
}

function ownOutcome(plantingMethod: PlantingMethod, task: PlantingTask, own: OwnPlanting): PlantingOutcome {
  const { site, seedling, crop, assumed } = task;
  const { buriedMillimetres, levelMillimetres, collarMillimetres } = own;
  if (plantingMethod.id === 'collar' && collarMillimetres !== undefined) {
    const base = plantingMethod.plan(task);
    const extra = Math.max(0, collarMillimetres - assumed.collarSeat - assumed.collarLip);
    const room = site.mixMillimetres + extra - seedling.ballMillimetres - assumed.mixBelowBall;
    const buried = Math.max(0, Math.min(room, seedling.stemMillimetres));
    const width =
      base.kind === 'planned' && base.plan.collar ? base.plan.collar.widthMillimetres : assumed.collarWidth;
    const hole = holeOf(task, buried + seedling.ballMillimetres);
    return {
      kind: 'planned',
      plan: {
        plantingMethodId: 'collar',
        stem: stemFigures(seedling, buried, 'bag', assumed),
        hole: {
          depthMillimetres: Math.max(0, buried + seedling.ballMillimetres - extra),
          widthMillimetres: hole.widthMillimetres,
        },
        belowBallMillimetres: Math.max(0, site.mixMillimetres + extra - buried - seedling.ballMillimetres),
        levelMillimetres: site.mixMillimetres + extra,
        backfillLitres: hole.backfillLitres,
        sinksMillimetres: sinks(site, site.mixMillimetres + extra),
        topUps: [],
        collar: {
          heightMillimetres: collarMillimetres,
          widthMillimetres: width,
          litres: cylinderLitres(width, extra) / (1 - site.settling),
        },
      },
    };
  }
  if (plantingMethod.id === 'low-start' || plantingMethod.id === 'ring') {
    const outcome =
      levelMillimetres === undefined
        ? plantingMethod.plan(task)
        : startLowAt(plantingMethod.id, task, levelMillimetres);
    if (outcome.kind !== 'planned' || buriedMillimetres === undefined) return outcome;
    const { levelMillimetres: level } = outcome.plan;
    const planting = plantingAtDepth(seedling, buriedMillimetres, level, assumed);
    const plan = uprightPlan({ ...task, site: { ...site, mixMillimetres: level } }, planting);
    // a plant that stands taller is ready for its top-ups sooner
    const topUps = topUpsFrom(task, level, Math.max(1, planting.aboveMillimetres));
    return { kind: 'planned', plan: { ...plan, plantingMethodId: plantingMethod.id, topUps } };
  }
  if (plantingMethod.id !== 'upright') return plantingMethod.plan(task);
  const filled =
    levelMillimetres === undefined ? task : { ...task, site: { ...site, mixMillimetres: levelMillimetres } };
  if (buriedMillimetres === undefined) return plantingMethod.plan(filled);
  const planting = plantingAtDepth(seedling, buriedMillimetres, filled.site.mixMillimetres, assumed);
  const isLevel = crop.depth === 'level' && planting.buriedMillimetres < 1;
  return { kind: 'planned', plan: uprightPlan(filled, { ...planting, limit: isLevel ? 'level' : 'bag' }) };
}
