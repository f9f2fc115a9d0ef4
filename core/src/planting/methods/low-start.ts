import { daysToReach } from '../../plants/index.ts';
import { planUpright, practiceOf, wantedDepth } from '../depth.ts';
import { cannot, holeOf, looseBetween, sinks } from './measures.ts';
import type { PlantingOutcome, PlantingTask, TopUp, PlantingMethod } from './planting-method.ts';
import type { PlantingMethodId } from '../../records/index.ts';

/** Less than this to add later is not worth rolling a rim for, mm. */
const LEAST_GAIN = 40;

/**
 * The mix that is missing, added step by step: each step comes when the plant stands its crown above the new level.
 * The litres of the steps sum to the missing fill.
 */
export function topUpsFrom(
  task: PlantingTask,
  startMillimetres: number,
  aboveMillimetres: number,
): readonly TopUp[] {
  const { site, assumed } = task;
  const missing = site.mixMillimetres - startMillimetres;
  const count = Math.ceil(missing / assumed.topUpStep - 1e-9);
  const belief = task.growthFrom(aboveMillimetres);
  return Array.from({ length: count }, (_, i): TopUp => {
    const from = startMillimetres + (missing * i) / count;
    const to = startMillimetres + (missing * (i + 1)) / count;
    return {
      toMillimetres: to,
      litres: looseBetween(site, from, to),
      when: daysToReach(belief, assumed.topUpCrown + to - startMillimetres),
    };
  });
}

/** Plants upright at a lower level and tops up from there. */
export function startLowAt(
  plantingMethodId: PlantingMethodId,
  task: PlantingTask,
  startMillimetres: number,
): PlantingOutcome {
  const { seedling, crop, site, assumed } = task;
  const { graftMillimetres } = seedling;
  const { practiceId } = site;
  const missing = site.mixMillimetres - startMillimetres;
  const place = { depth: crop.depth, mixMillimetres: startMillimetres, practiceId };
  const advice = planUpright(seedling, place, assumed);
  // where the level is too low for the practice, as deep as it goes: the rest is buried by the top-ups
  const planting = advice.kind === 'upright' ? advice.planting : advice.instead;
  if (!planting) {
    return cannot(plantingMethodId, {
      places: 'ball-too-tall',
      hasMillimetres: startMillimetres,
      needsMillimetres: seedling.ballMillimetres,
      remedies: ['deeper-bag', 'less-mulch'],
    });
  }
  const { holeMillimetres, belowBallMillimetres, ...stem } = planting;
  const buriedInTheEnd = stem.buriedMillimetres + missing;
  if (graftMillimetres !== undefined && buriedInTheEnd > graftMillimetres - assumed.graftMargin) {
    return cannot(plantingMethodId, {
      places: 'graft-too-low',
      hasMillimetres: graftMillimetres,
      needsMillimetres: buriedInTheEnd + assumed.graftMargin,
      remedies: ['upright'],
    });
  }
  const { widthMillimetres, backfillLitres } = holeOf(task, holeMillimetres);
  // in a ring from its foot, else from the base
  const looseLitres = looseBetween(site, site.ring?.fromMillimetres ?? 0, startMillimetres);
  return {
    kind: 'planned',
    plan: {
      plantingMethodId,
      stem,
      hole: { depthMillimetres: holeMillimetres, widthMillimetres },
      belowBallMillimetres,
      levelMillimetres: startMillimetres,
      backfillLitres,
      sinksMillimetres: sinks(site, startMillimetres),
      firstFill: { looseLitres, settledLitres: looseLitres * (1 - site.settling) },
      topUps: topUpsFrom(task, startMillimetres, Math.max(1, stem.aboveMillimetres)),
    },
  };
}

/** Low in a part-filled bag with its sides rolled down; mix is added as it grows. */
export const lowStart: PlantingMethod = {
  id: 'low-start',
  name: 'Low, and topped up',
  description: 'In a part-filled bag with its sides rolled down; more mix follows as it grows.',
  plan(task) {
    const { seedling, crop, site, assumed } = task;
    if (crop.depth === 'level') return cannot('low-start', { places: 'wrong-crop', remedies: ['upright'] });
    if (!site.canBeRolled)
      return cannot('low-start', { places: 'wrong-bag', remedies: ['rolling-bag', 'upright'] });
    const practice = practiceOf(site.practiceId);
    const below = practice.below === 'none' ? 0 : assumed.mixBelowBall;
    const wanted = wantedDepth(seedling, practice, assumed).buried;
    // no lower than half of the mix: a bag that is filled less than that does not stand
    const start = Math.max(site.mixMillimetres / 2, wanted + seedling.ballMillimetres + below);
    if (site.mixMillimetres - start < LEAST_GAIN) {
      return cannot('low-start', {
        places: 'nothing-to-gain',
        hasMillimetres: site.mixMillimetres,
        needsMillimetres: start + LEAST_GAIN,
        remedies: ['upright', 'deeper-bag'],
      });
    }
    return startLowAt('low-start', task, start);
  },
};

/** In a ring set into the bag, filled a third first. */
export const ring: PlantingMethod = {
  id: 'ring',
  name: 'In a ring, filled a third first',
  description: 'The ring gets a third of its mix now, the rest as the plant grows.',
  plan(task) {
    const { site, crop, assumed } = task;
    if (!site.ring) return cannot('ring', { places: 'wrong-bag', remedies: ['collar', 'upright'] });
    if (crop.depth === 'level') return cannot('ring', { places: 'wrong-crop', remedies: ['upright'] });
    const first =
      site.ring.fromMillimetres + (site.mixMillimetres - site.ring.fromMillimetres) * assumed.ringFirstFill;
    return startLowAt('ring', task, first);
  },
};
