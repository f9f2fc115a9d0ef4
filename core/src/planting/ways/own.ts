import { plantingAtDepth, stemFigures } from '../depth.ts';
import { startLowAt } from './low-start.ts';
import { cylinderLitres, holeOf, sinks } from './measures.ts';
import type { PlantingOutcome, PlantingPlan, PlantingTask, Way } from './way.ts';

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
 * A planting with the grower's own depth, level or collar in place of the worked-out ones: never refused for a school's
 * sake, and with a remark where it would matter.
 */
export function planWith(
  way: Way,
  task: PlantingTask,
  own: OwnPlanting,
): { readonly outcome: PlantingOutcome; readonly remarks: readonly PlantingRemark[] } {
  const outcome = ownOutcome(way, task, own);
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
  if (way.id !== 'net-cup' && way.id !== 'seed' && belowBallMillimetres < 1) remarks.push('ball-on-base');
  if (stem.limit !== 'level' && stem.aboveMillimetres < Math.min(60, task.seedling.stemMillimetres / 4))
    remarks.push('little-crown');
  if (missing > 250) remarks.push('much-to-top-up');
  return { outcome, remarks };
}

function ownOutcome(way: Way, task: PlantingTask, own: OwnPlanting): PlantingOutcome {
  const { site, seedling, crop, assumed } = task;
  const { buriedMillimetres, levelMillimetres, collarMillimetres } = own;
  if (way.id === 'collar' && collarMillimetres !== undefined) {
    const base = way.plan(task);
    const extra = Math.max(0, collarMillimetres - assumed.collarSeat - assumed.collarLip);
    const room = site.mixMillimetres + extra - seedling.ballMillimetres - assumed.mixBelowBall;
    const buried = Math.max(0, Math.min(room, seedling.stemMillimetres));
    const width =
      base.kind === 'planned' && base.plan.collar ? base.plan.collar.widthMillimetres : assumed.collarWidth;
    const hole = holeOf(task, buried + seedling.ballMillimetres);
    return {
      kind: 'planned',
      plan: {
        wayId: 'collar',
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
  const isLow = way.id === 'low-start' || way.id === 'ring';
  if (isLow && levelMillimetres !== undefined) {
    const outcome = startLowAt(way.id, task, levelMillimetres);
    return outcome.kind === 'planned'
      ? { kind: 'planned', plan: withDepth(outcome.plan, task, buriedMillimetres) }
      : outcome;
  }
  if (way.id !== 'upright') return way.plan(task);
  const filled =
    levelMillimetres === undefined ? task : { ...task, site: { ...site, mixMillimetres: levelMillimetres } };
  const outcome = way.plan(filled);
  if (buriedMillimetres === undefined) return outcome;
  const planting = plantingAtDepth(seedling, buriedMillimetres, filled.site.mixMillimetres, assumed);
  const { widthMillimetres, backfillLitres } = holeOf(filled, planting.holeMillimetres);
  const { holeMillimetres, belowBallMillimetres, ...stem } = planting;
  return {
    kind: 'planned',
    plan: {
      wayId: 'upright',
      stem: { ...stem, limit: crop.depth === 'level' && stem.buriedMillimetres < 1 ? 'level' : 'bag' },
      hole: { depthMillimetres: holeMillimetres, widthMillimetres },
      belowBallMillimetres,
      levelMillimetres: filled.site.mixMillimetres,
      backfillLitres,
      sinksMillimetres: sinks(site, filled.site.mixMillimetres),
      topUps: [],
    },
  };
}

function withDepth(
  plan: PlantingPlan,
  task: PlantingTask,
  buriedMillimetres: number | undefined,
): PlantingPlan {
  if (buriedMillimetres === undefined) return plan;
  const planting = plantingAtDepth(task.seedling, buriedMillimetres, plan.levelMillimetres, task.assumed);
  const { holeMillimetres, belowBallMillimetres, ...stem } = planting;
  return {
    ...plan,
    stem,
    belowBallMillimetres,
    hole: { ...plan.hole, depthMillimetres: holeMillimetres },
  };
}
