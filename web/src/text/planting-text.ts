import type { CautionId } from '@rundel/core/care';
import { addDays } from '@rundel/core/calendar';
import type { Reaching } from '@rundel/core/plants';
import type {
  Obstacle,
  PlantingPlan,
  PlantingRemark,
  Remedy,
  StepId,
  StripPracticeId,
} from '@rundel/core/planting';
import type { PlantingMethodId } from '@rundel/core/records';
import type { UnitFormat } from '../store/index.ts';
import { shortDay } from './text.ts';

/** What stands in the way of a planting, with its number. */
export function obstacleWords(
  plantingMethodId: PlantingMethodId,
  obstacle: Obstacle,
  unitFormat: UnitFormat,
): string {
  const depth = (mm: number | undefined) => (mm === undefined ? '?' : unitFormat.show(mm, 'depth'));
  const has = depth(obstacle.hasMillimetres);
  const needs = depth(obstacle.needsMillimetres);
  switch (obstacle.places) {
    case 'mix-too-shallow':
      return `It takes ${needs} of mix; the bag has ${has}.`;
    case 'ball-too-tall':
      return `The root ball is taller than the mix: with mix below it, it takes ${needs}; the bag has ${has}.`;
    case 'stem-too-short':
      return `${has} of stem may go under, and the bend alone takes ${needs}.`;
    case 'run-too-short':
      return `Ball and bend take ${needs} along the bag; there are ${has}.`;
    case 'graft-too-low':
      return plantingMethodId === 'trench'
        ? `The graft lets ${has} of stem go under, and the bend alone takes ${needs}.`
        : `The graft is ${has} above the ball; with all the mix it would have to be ${needs}.`;
    case 'collar-too-tall':
      return `The collar would be ${needs} high; above ${has} it is top-heavy and dries out.`;
    case 'nothing-to-gain':
      return plantingMethodId === 'collar'
        ? `Nothing to gain: ${needs} of mix would do, and the bag has ${has}.`
        : `Nothing to gain: there would be hardly any mix left to add later.`;
    case 'wrong-crop':
      return 'This crop wants its old level.';
    case 'wrong-bag':
      return 'This bag is not made for it.';
  }
}

const REMEDIES: Record<Remedy, string> = {
  'deeper-bag': 'a deeper bag',
  'longer-bag': 'a longer bag',
  'less-mulch': 'less mulch or headroom',
  trench: 'the stem laid in a trench',
  collar: 'a collar on the bag',
  'low-start': 'planting low and topping up',
  upright: 'planting it upright',
  'gentler-practice': 'a practice that buries less',
  wait: 'letting it grow a little first',
  'rolling-bag': 'a bag with sides that roll',
};

/** "A deeper bag or a collar on the bag would change that." */
export function remedyWords(remedies: readonly Remedy[]): string {
  const words = remedies.map((r) => REMEDIES[r]);
  if (words.length === 0) return '';
  const list = words.length === 1 ? words[0] : `${words.slice(0, -1).join(', ')} or ${words.at(-1) ?? ''}`;
  const sentence = `${list ?? ''} would change that.`;
  return sentence.charAt(0).toUpperCase() + sentence.slice(1);
}

export const REMARKS: Record<PlantingRemark, string> = {
  'graft-under':
    'The graft would be at or under the mix: the plant above it would root, and lose what the graft is for.',
  'ball-on-base': 'The ball stands on the base, with no loose mix below it.',
  'little-crown': 'Very little stays above: it may sulk for a week or two.',
  'much-to-top-up': 'A good deal is left to add: roll the sides well down, or they shade it.',
};

/**
 * When a height is reached, counted from planting: "about 12 Jun, between 5 Jun and 24 Jun". What is not there by `today`
 * cannot have been reached before it; where it would have been, it is "any day now".
 */
export function reachingWords(when: Reaching, plantedOn: string, today = ''): string {
  if (when.kind === 'unlikely')
    return `${when.chance < 0.1 ? 'hardly ever' : 'perhaps not'} (${Math.round(when.chance * 100)} in 100)`;
  const on = (days: number) => addDays(plantedOn, Math.round(days));
  const day = (days: number) => shortDay(on(days) < today ? today : on(days));
  if (on(when.likely) <= today) {
    const isOver = when.high !== undefined && on(when.high) <= today;
    return `any day now${isOver ? '' : when.high === undefined ? ', or never' : `, by ${day(when.high)} at the latest`}`;
  }
  if (when.high === undefined) return `about ${day(when.likely)}, from ${day(when.low)} on, or never`;
  return `about ${day(when.likely)}, between ${day(when.low)} and ${day(when.high)}`;
}

/** What a planting comes to, in one sentence for the hands. */
export function planSentence(plan: PlantingPlan, unitFormat: UnitFormat): string {
  const depth = (mm: number) => unitFormat.show(mm, 'depth');
  const { stem, hole } = plan;
  switch (plan.plantingMethodId) {
    case 'seed':
      return `Sow ${plan.seed?.perStation ?? 2} seeds ${depth(hole.depthMillimetres)} deep and thin to the best.`;
    case 'net-cup':
      return 'Rinse the roots bare and hold the neck level with the rim while you fill round it.';
    case 'trench':
      return `Dig a trench ${depth(plan.trench?.lengthMillimetres ?? 0)} long and ${depth(hole.depthMillimetres)} deep, lay ${depth(stem.buriedMillimetres)} of the stem in it, and bend the tip up.`;
    case 'collar':
      return stem.buriedMillimetres < 1
        ? `Cut the base off its pot, stand it on the bag and press it ${depth(hole.depthMillimetres)} in; the neck stays dry.`
        : `Press a bottomless pot ${depth(plan.collar?.heightMillimetres ?? 0)} high and ${depth(plan.collar?.widthMillimetres ?? 0)} wide into the mix; ${depth(stem.buriedMillimetres)} of the stem goes under.`;
    case 'ring':
    case 'low-start':
      return `Fill to ${depth(plan.levelMillimetres)} for now, bury ${depth(stem.buriedMillimetres)} of the stem, and add the rest in ${plan.topUps.length} ${plan.topUps.length === 1 ? 'step' : 'steps'} as it grows.`;
    case 'upright':
      return stem.buriedMillimetres < 5
        ? `Plant it level with its old surface, in a hole ${depth(hole.depthMillimetres)} deep.`
        : `Dig a hole ${depth(hole.depthMillimetres)} deep and bury ${depth(stem.buriedMillimetres)} of the stem.`;
  }
}

/** "Strip the lowest 3 leaves first, cleanly." */
export function stripSentence(leaves: number, practice: StripPracticeId): string {
  if (leaves === 0) return 'No leaves to strip.';
  const which = leaves === 1 ? 'the lowest leaf' : `the lowest ${leaves} leaves`;
  if (practice === 'days-before') return `Take ${which} off three days before, so that the cuts heal.`;
  if (practice === 'later') return `Leave ${which} for now; they come off when it grows again.`;
  return `Strip ${which}, cleanly.`;
}

export const STEP_NAMES: Record<StepId, string> = {
  loosen: 'Loosen',
  holes: 'Make holes',
  slit: 'Cut it open',
  moisten: 'Moisten',
  soak: 'Soak',
  strip: 'Strip',
  plant: 'Plant',
  firm: 'Firm',
  support: 'Support',
  label: 'Label',
  watering: 'First watering',
  shade: 'Shade',
};

/** What to do at a step, in a sentence. Numbers that differ from bag to bag are put in by the caller. */
export const STEP_WORDS: Record<StepId, string> = {
  loosen: 'Stand the bag up, shake and knead it until no lump is left.',
  holes: 'A dozen in the base, or low in the side to keep a wet reserve: what stands in it drowns the roots.',
  slit: 'A cross for each place, no wider than the root ball; tuck the flaps under. The less is open, the less dries out.',
  moisten: 'Until a squeezed handful holds together and drips nothing; no dry pockets.',
  soak: 'Stand the root ball in water until no more bubbles come. Hold it by the ball, never by the stem.',
  strip: '',
  plant: '',
  firm: 'Press it in with your knuckles, no air pockets, a small well round the stem.',
  support: '',
  label: 'Name and day, where water does not wash it off.',
  watering: '',
  shade: 'Fleece or a board on the sunny side until tomorrow evening.',
};

/** The usual caution at a step, where there is one. */
export const STEP_CAUTIONS: Partial<Record<StepId, CautionId>> = {
  holes: 'cutting',
  slit: 'cutting',
  loosen: 'compost',
  moisten: 'compost',
  plant: 'lifting',
  support: 'canes',
};
