import { practiceOf, stemFigures, wantedDepth } from '../depth.ts';
import { cannot, sinks } from './measures.ts';
import type { PlantingMethod } from './planting-method.ts';

/**
 * Laid along a trench: the ball on its side, the stem flat, then bent up in an arc no tighter than it bears.
 *
 * With the stem's axis z below the surface and the bend's radius R: where z ≥ R the arc is a quarter circle (πR/2 of
 * stem) and z − R more rises straight; where z < R the stem comes out at acos(1 − z/R) and rights itself.
 */
export const trench: PlantingMethod = {
  id: 'trench',
  name: 'Laid in a trench',
  description: 'The ball on its side, the stem along the bag, only the top bent up.',
  plan(task) {
    const { seedling, crop, site, assumed } = task;
    if (crop.depth === 'level') return cannot('trench', { places: 'wrong-crop', remedies: ['upright'] });
    const radius = assumed.bendRadius;
    const width = crop.ball.widthMillimetres;
    const depth = width + assumed.trenchCover;
    if (depth > site.mixMillimetres) {
      return cannot('trench', {
        places: 'mix-too-shallow',
        hasMillimetres: site.mixMillimetres,
        needsMillimetres: depth,
        remedies: ['deeper-bag', 'less-mulch'],
      });
    }
    const axis = assumed.trenchCover + width / 2;
    const angle = axis >= radius ? Math.PI / 2 : Math.acos(1 - axis / radius);
    const bent = radius * angle + Math.max(0, axis - radius);
    const wanted = wantedDepth(seedling, practiceOf(site.practiceId), assumed);
    if (wanted.buried < bent) {
      return cannot('trench', {
        places: wanted.limit === 'graft' ? 'graft-too-low' : 'stem-too-short',
        hasMillimetres: wanted.buried,
        needsMillimetres: bent,
        remedies: wanted.limit === 'graft' ? ['upright'] : ['upright', 'wait'],
      });
    }
    // what the bag's length leaves for stem that lies flat
    const room = site.runMillimetres - seedling.ballMillimetres - radius * Math.sin(angle);
    if (room < 0) {
      return cannot('trench', {
        places: 'run-too-short',
        hasMillimetres: site.runMillimetres,
        needsMillimetres: site.runMillimetres - room,
        remedies: ['longer-bag', 'upright', 'collar'],
      });
    }
    const flat = Math.min(wanted.buried - bent, room);
    const isWhole = flat === wanted.buried - bent;
    const length = seedling.ballMillimetres + flat + radius * Math.sin(angle);
    return {
      kind: 'planned',
      plan: {
        plantingMethodId: 'trench',
        stem: stemFigures(seedling, flat + bent, isWhole ? wanted.limit : 'bag', assumed),
        hole: { depthMillimetres: depth, widthMillimetres: width + assumed.holeGap },
        belowBallMillimetres: site.mixMillimetres - depth,
        levelMillimetres: site.mixMillimetres,
        backfillLitres: Math.max(
          0,
          (length * depth * (width + assumed.holeGap)) / 1e6 - (seedling.ballMillimetres * width ** 2) / 1e6,
        ),
        sinksMillimetres: sinks(site, site.mixMillimetres),
        topUps: [],
        trench: {
          lengthMillimetres: length,
          bendRadiusMillimetres: radius,
          tipMillimetres: length,
          tipDegrees: (angle * 180) / Math.PI,
        },
      },
    };
  },
};
