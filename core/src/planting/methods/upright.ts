import { planUpright, type UprightPlanting } from '../depth.ts';
import { cannot, holeOf, sinks } from './measures.ts';
import type { PlantingPlan, PlantingTask, Remedy, PlantingMethod } from './planting-method.ts';

/** Straight down, as deep as the practice says. */
export const upright: PlantingMethod = {
  id: 'upright',
  name: 'Upright',
  description: 'Straight down in a hole.',
  plan(task) {
    const { seedling, crop, site, assumed } = task;
    const { mixMillimetres, practiceId } = site;
    const advice = planUpright(seedling, { depth: crop.depth, mixMillimetres, practiceId }, assumed);
    if (advice.kind === 'does-not-fit') {
      const others: readonly Remedy[] =
        crop.depth === 'level' ? [] : ['trench', 'collar', 'gentler-practice'];
      return cannot('upright', {
        places: advice.instead ? 'mix-too-shallow' : 'ball-too-tall',
        hasMillimetres: advice.mixMillimetres,
        needsMillimetres: advice.neededMixMillimetres,
        remedies: advice.instead ? [...others, 'deeper-bag', 'less-mulch'] : ['deeper-bag', 'less-mulch'],
      });
    }
    return { kind: 'planned', plan: uprightPlan(task, advice.planting) };
  },
};

/** The plan of an upright planting, at the mix of its site. */
export function uprightPlan(task: PlantingTask, planting: UprightPlanting): PlantingPlan {
  const { site } = task;
  const { holeMillimetres, belowBallMillimetres, ...stem } = planting;
  const { widthMillimetres, backfillLitres } = holeOf(task, holeMillimetres);
  return {
    plantingMethodId: 'upright',
    stem,
    hole: { depthMillimetres: holeMillimetres, widthMillimetres },
    belowBallMillimetres,
    levelMillimetres: site.mixMillimetres,
    backfillLitres,
    sinksMillimetres: sinks(site, site.mixMillimetres),
    topUps: [],
  };
}
