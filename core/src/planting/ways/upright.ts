import { planUpright } from '../depth.ts';
import { cannot, holeOf, sinks } from './measures.ts';
import type { Remedy, Way } from './way.ts';

/** Straight down, as deep as the school says. */
export const upright: Way = {
  id: 'upright',
  name: 'Upright',
  words: 'Straight down in a hole.',
  plan(task) {
    const { seedling, crop, site, assumed } = task;
    const { mixMillimetres, schoolId } = site;
    const advice = planUpright(seedling, { depth: crop.depth, mixMillimetres, schoolId }, assumed);
    if (advice.kind === 'does-not-fit') {
      const others: readonly Remedy[] = crop.depth === 'level' ? [] : ['trench', 'collar', 'gentler-school'];
      return cannot('upright', {
        stands: advice.instead ? 'mix-too-shallow' : 'ball-too-tall',
        hasMillimetres: advice.mixMillimetres,
        needsMillimetres: advice.neededMixMillimetres,
        remedies: advice.instead ? [...others, 'deeper-bag', 'less-mulch'] : ['deeper-bag', 'less-mulch'],
      });
    }
    const { holeMillimetres, belowBallMillimetres, ...stem } = advice.planting;
    const { widthMillimetres, backfillLitres } = holeOf(task, holeMillimetres);
    return {
      kind: 'planned',
      plan: {
        wayId: 'upright',
        stem,
        hole: { depthMillimetres: holeMillimetres, widthMillimetres },
        belowBallMillimetres,
        levelMillimetres: mixMillimetres,
        backfillLitres,
        sinksMillimetres: sinks(site, mixMillimetres),
        topUps: [],
      },
    };
  },
};
