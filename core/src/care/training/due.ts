import type { Assumed } from '../../assumed/index.ts';
import { addDays, daysBetween, type Day } from '../../calendar/index.ts';
import { daysToReach, growthPerDay, heightOn, type HeightBelief } from '../../plants/index.ts';
import type { Stage } from '../../records/index.ts';
import type { Figure, TrainingRule } from './rules.ts';

/** A day that something was seen, or is reckoned to come. */
export interface SeenOrReckoned {
  readonly day: Day;
  readonly isNoted: boolean;
}

/** One plant as its training goes by it. */
export interface TrainedPlant {
  readonly belief: HeightBelief;
  /** the day from which its growth is counted */
  readonly grewFrom: Day;
  readonly plantedOn: Day;
  readonly stages: Readonly<Partial<Record<Stage, SeenOrReckoned | undefined>>>;
  /** when this was last done on it, or looked for and not needed */
  readonly lastOn: Day | undefined;
  readonly isUnderCover: boolean;
  /** top of what holds it, mm above the mix; undefined: nothing does */
  readonly topMillimetres: number | undefined;
  readonly firstFrost: Day | undefined;
  readonly today: Day;
}

/** When a rule asks for something, and what the day is counted from. */
export interface TrainingDue {
  readonly dueOn: Day;
  /** undefined: it is done once */
  readonly everyDays: number | undefined;
  readonly lastOn: Day | undefined;
  /** it begins with a stage that nobody has seen yet */
  readonly waitsFor: Stage | undefined;
  /** likely height now, mm */
  readonly heightMillimetres: number;
}

/**
 * When a rule of training next wants doing on a plant; undefined where it is over, done, or not for this plant.
 *
 * Method: the rule begins when its age, height and stage are all reached, heights by the plant's own growth curve; it comes
 * again after so much new growth, so oftener in midsummer than in May. What has an end is not asked for after it, even if it was
 * missed.
 *
 * @see docs/model.md, 10. Training and trusses
 */
export function trainingDue(
  rule: TrainingRule,
  plant: TrainedPlant,
  assumed: Assumed,
): TrainingDue | undefined {
  if (rule.isUnderCover && !plant.isUnderCover) return undefined;
  const { lastOn, today, belief, grewFrom } = plant;
  if (rule.rhythm.by === 'once' && lastOn !== undefined) return undefined;
  const begins = rule.isLast ? lastDay(plant, assumed) : allReached(rule.from, plant, assumed);
  if (begins === undefined) return undefined;
  const ends = rule.until && allReached(rule.until, plant, assumed);
  if (ends !== undefined && (today >= ends || begins >= ends)) return undefined;
  const everyDays = rule.rhythm.by === 'once' ? undefined : intervalOf(rule, plant, assumed);
  const again = lastOn !== undefined && everyDays !== undefined ? addDays(lastOn, everyDays) : begins;
  const dueOn = again < begins ? begins : again;
  if (ends !== undefined && dueOn >= ends) return undefined;
  const tooLate = rule.isForFruit ? beforeFrost(plant, assumed) : undefined;
  if (tooLate !== undefined && dueOn >= tooLate) return undefined;
  const { stage } = rule.from;
  const waitsFor = stage && plant.stages[stage]?.isNoted !== true ? stage : undefined;
  return {
    dueOn,
    everyDays,
    lastOn,
    waitsFor,
    heightMillimetres: heightOn(belief, Math.max(0, daysBetween(grewFrom, today))).likely,
  };
}

const valueOf = (figure: Figure, assumed: Assumed): number =>
  typeof figure === 'number' ? figure : figure(assumed);

/** The day by which all of a rule's conditions hold; undefined: not in sight. */
function allReached(
  { days, height, stage }: TrainingRule['from'],
  plant: TrainedPlant,
  assumed: Assumed,
): Day | undefined {
  const found: (Day | undefined)[] = [];
  if (days !== undefined) found.push(addDays(plant.plantedOn, Math.round(valueOf(days, assumed))));
  if (height !== undefined) found.push(tallOn(plant, valueOf(height, assumed)));
  if (stage !== undefined) found.push(plant.stages[stage]?.day);
  return found.reduce<Day | undefined>(
    (latest, day) => (latest === undefined || day === undefined ? undefined : day > latest ? day : latest),
    plant.plantedOn,
  );
}

/** A plant that stays smaller than a rule speaks of has reached it at nine tenths of its own growth. */
function tallOn({ belief, grewFrom }: TrainedPlant, millimetres: number): Day | undefined {
  const own = Math.min(millimetres, 0.9 * heightOn(belief, 400).likely);
  const reaching = daysToReach(belief, Math.max(1, own));
  return reaching.kind === 'reaches' ? addDays(grewFrom, Math.round(reaching.likely)) : undefined;
}

/** Within so few days of the top of what holds it. */
const AT_THE_TOP = 0.97;

/** The day on which a plant is stopped: at the top of what holds it, or in time before frost, whichever comes first. */
function lastDay(plant: TrainedPlant, assumed: Assumed): Day | undefined {
  const { topMillimetres, belief, grewFrom, plantedOn } = plant;
  const top =
    topMillimetres === undefined ? undefined : daysToReach(belief, Math.max(1, topMillimetres * AT_THE_TOP));
  const atTop = top?.kind === 'reaches' ? addDays(grewFrom, Math.round(top.likely)) : undefined;
  const days = [atTop, beforeFrost(plant, assumed)].filter(
    (day): day is Day => day !== undefined && day > plantedOn,
  );
  return days.length === 0 ? undefined : days.reduce((a, b) => (b < a ? b : a));
}

/** The last day on which a flower may open whose fruit ripens before frost; cold glass keeps frost off for some weeks. */
function beforeFrost({ firstFrost, isUnderCover }: TrainedPlant, assumed: Assumed): Day | undefined {
  const weeks = assumed.stopBeforeFrost - (isUnderCover ? assumed.coverAutumnWeeks : 0);
  return firstFrost && addDays(firstFrost, -Math.round(7 * weeks));
}

function intervalOf({ rhythm }: TrainingRule, plant: TrainedPlant, assumed: Assumed): number {
  if (rhythm.by === 'once') return 0;
  if (rhythm.by === 'days') return Math.round(valueOf(rhythm.days, assumed));
  const from = plant.lastOn ?? plant.today;
  const rate = growthPerDay(plant.belief, Math.max(0, daysBetween(plant.grewFrom, from)));
  const days = valueOf(rhythm.millimetres, assumed) / Math.max(rate, 0.1);
  return Math.round(Math.min(rhythm.mostDays, Math.max(rhythm.leastDays, days)));
}

/** A stem is kept bare to a hand's breadth while it is small, and to two when it is tall, mm. */
const BARE = { least: 150, most: 300, share: 0.18 };

/**
 * How far up lower leaves may go, mm above the mix.
 *
 * @example
 * bareStem(1500)
 * // => 270
 */
export function bareStem(heightMillimetres: number): number {
  return Math.round(Math.min(BARE.most, Math.max(BARE.least, BARE.share * heightMillimetres)));
}
