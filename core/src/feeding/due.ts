import type { Assumed } from '../assumed/index.ts';
import { addDays, daysBetween, type Day } from '../calendar/index.ts';
import type { Regime, RegimeStep, Trigger } from '../records/index.ts';

/** The day of something that sets steps off, and whether the grower saw it or it is estimated by the plant's kind. */
export interface StageDate {
  readonly day: Day;
  readonly isNoted: boolean;
}

/** The marks of a bag's present plants; what has none is not known yet. */
export interface StageDates {
  readonly planting?: StageDate | undefined;
  readonly 'base-used-up'?: StageDate | undefined;
  /** the end of the months on the labels of what gives slowly in the mix */
  readonly 'label-months'?: StageDate | undefined;
  readonly flowers?: StageDate | undefined;
  readonly set?: StageDate | undefined;
  readonly picking?: StageDate | undefined;
}

/** A feed that was given. */
export interface FeedGiven {
  readonly day: Day;
  readonly productId: string;
  readonly regimeId?: string | undefined;
  readonly stepId?: string | undefined;
  /** at about its label's dose, for what could also go into every watering at a part of it */
  readonly isFull?: boolean | undefined;
}

/** A feed that was left: `enough` counts as given, anything else is asked for again from the next day on. */
export interface FeedLeft extends FeedGiven {
  readonly reason: string;
}

/** A bag and its history, as far as what is due goes. */
export interface FeedingCase {
  readonly regime: Regime;
  /** the day from which it is fed by it */
  readonly since: Day;
  readonly stageDates: StageDates;
  readonly given: readonly FeedGiven[];
  readonly left: readonly FeedLeft[];
  /** share of their growth that its plants have done on a day, 0 to 1 */
  grownOn(day: Day): number;
}

/** Why a step's day is what it is. */
export interface DueReason {
  readonly trigger: Trigger;
  readonly startedOn: Day;
  readonly isNoted: boolean;
  /** the feed that it is counted from; undefined: the step's first */
  readonly lastOn: Day | undefined;
  /** days asked for since that feed */
  readonly intervalDays: number | undefined;
  /** another feed keeps it off until its earliest day */
  readonly apartFrom: { readonly productId: string; readonly day: Day } | undefined;
  /** what was left last, if nothing was given since */
  readonly left: { readonly day: Day; readonly reason: string } | undefined;
}

/** Stages that are seen at the plant: what is only reckoned of them is asked, and nothing is due by it. */
const ASKED_STAGES = ['flowers', 'set', 'picking'] as const;
export type AskedStage = (typeof ASKED_STAGES)[number];

/** Where a step stands. There is one for every step of a regime: none is ever dropped without a word. */
export type StepState =
  | {
      readonly kind: 'waits';
      readonly step: RegimeStep;
      readonly expected: StageDate | undefined;
      /** the stage that is reckoned to be there by now, and that nobody has seen or missed */
      readonly asks: AskedStage | undefined;
    }
  | {
      readonly kind: 'due';
      readonly step: RegimeStep;
      /** not before, best, and not after */
      readonly earliest: Day;
      readonly target: Day;
      readonly latest: Day;
      readonly reason: DueReason;
    }
  | {
      readonly kind: 'ended';
      readonly step: RegimeStep;
      readonly why: 'done' | 'enough' | 'times' | 'stop' | 'expired';
      readonly on: Day;
    };

/** A single feed may be given this long after its day, days. */
const ONCE_DAYS = 7;

const later = (a: Day, b: Day): Day => (a > b ? a : b);

/** A day of the year so long before planting, or less, has passed for these plants, days. */
export const PAST_DAYS = 150;

/** The day of a trigger. */
export function triggerDay(trigger: Trigger, stageDates: StageDates): StageDate | undefined {
  const { planting } = stageDates;
  switch (trigger.on) {
    case 'weeks':
      return planting && { ...planting, day: addDays(planting.day, Math.round(trigger.weeks * 7)) };
    case 'date': {
      if (!planting) return undefined;
      const year = Number(planting.day.slice(0, 4));
      const day = `${year}-${trigger.monthDay}`;
      if (day >= planting.day) return { day, isNoted: true };
      // a little before planting it is past; long before, it is the next year's, as south of the equator
      const isPast = daysBetween(day, planting.day) <= PAST_DAYS;
      return { day: isPast ? planting.day : `${year + 1}-${trigger.monthDay}`, isNoted: true };
    }
    default:
      return stageDates[trigger.on];
  }
}

/** Whether a feed names a step of this regime: another regime's step may have the same id. */
const isNamedBy = (feed: FeedGiven, regime: Regime) =>
  feed.regimeId === regime.id && feed.stepId !== undefined;

/** The feeds of a step: those that say so, and those of its product that belong to no step, since it began. */
function feedsOf<F extends FeedGiven>(step: RegimeStep, regime: Regime, start: Day, all: readonly F[]): F[] {
  return all
    .filter((feed) => (isNamedBy(feed, regime) ? feed.stepId === step.id : feed.productId === step.productId))
    .filter((feed) => feed.day >= start || isNamedBy(feed, regime))
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
}

/**
 * The days between two feeds on a day: the interval's middle, or pulled from its longest towards its shortest by growth.
 *
 * @see docs/model.md, 8. Feeding
 * @example
 * intervalOn({ fromDays: 7, toDays: 11 }, true, 0.5)
 * // => 9
 */
export function intervalOn(
  every: { readonly fromDays: number; readonly toDays: number },
  shortensWithGrowth: boolean,
  grown: number,
): number {
  const pull = shortensWithGrowth ? grown : 0.5;
  return Math.round(every.toDays - (every.toDays - every.fromDays) * pull);
}

/**
 * Where every step of a bag's regime stands on a day. A step's day lies inside its interval since its last feed, never
 * sooner than the shortest, and at least `feedsApart` days from a feed of another kind. Does not depend on the order of
 * what is given.
 */
export function stepStates(bag: FeedingCase, today: Day, assumed: Assumed): readonly StepState[] {
  const before = {
    ...bag,
    given: bag.given.filter((g) => g.day <= today),
    left: bag.left.filter((l) => l.day <= today),
  };
  return bag.regime.steps.map((step) => stateOf(step, before, today, assumed));
}

function stateOf(step: RegimeStep, bag: FeedingCase, today: Day, assumed: Assumed): StepState {
  const start = triggerDay(step.start, bag.stageDates);
  // who gives a step's feed has answered the question
  const isBegun = bag.given.some((feed) => isNamedBy(feed, bag.regime) && feed.stepId === step.id);
  const asked = isBegun ? undefined : ASKED_STAGES.find((stage) => stage === step.start.on);
  if (!start || (!start.isNoted && (start.day > today || asked)))
    return { kind: 'waits', step, expected: start, asks: start && start.day <= today ? asked : undefined };
  const feeds = feedsOf(step, bag.regime, start.day, bag.given);
  const lefts = feedsOf(step, bag.regime, start.day, bag.left).sort((a, b) =>
    a.day !== b.day ? (a.day < b.day ? -1 : 1) : a.reason < b.reason ? -1 : 1,
  );
  const last = feeds.at(-1);
  const enough = lefts.findLast((l) => l.reason === 'enough');
  const countedFrom = last && enough ? later(last.day, enough.day) : (last?.day ?? enough?.day);
  const ended = endOf(step, bag, countedFrom, feeds.length, today);
  if (ended) return { kind: 'ended', step, ...ended };
  const first = later(start.day, bag.since);
  const isLate = daysBetween(start.day, bag.since) > assumed.feedLateDays;
  // what should have been given once, long before this regime was taken up, is not asked for any more
  if (!step.every && !step.withWatering && isLate)
    return { kind: 'ended', step, why: 'expired', on: bag.since };

  const intervalDays =
    countedFrom !== undefined && step.every
      ? intervalOn(step.every, step.shortensWithGrowth, bag.grownOn(countedFrom))
      : undefined;
  const window = step.withWatering
    ? everyWatering(later(first, plainUntil(last, assumed)))
    : countedFrom !== undefined && step.every
      ? {
          earliest: addDays(countedFrom, step.every.fromDays),
          target: addDays(countedFrom, intervalDays ?? 0),
          latest: addDays(countedFrom, step.every.toDays),
        }
      : { earliest: first, target: first, latest: addDays(first, ONCE_DAYS) };
  const other = step.withWatering ? undefined : otherFeed(step, bag);
  const apart = other && addDays(other.day, Math.round(assumed.feedsApart));
  const left = lefts.at(-1);
  const isAskedAgain =
    left !== undefined && left.reason !== 'enough' && (countedFrom === undefined || left.day >= countedFrom);
  let earliest = window.earliest;
  const before = lastOfKind(step, bag);
  if (step.every && before) earliest = later(earliest, addDays(before.day, step.every.fromDays));
  if (apart) earliest = later(earliest, apart);
  if (isAskedAgain) earliest = later(earliest, addDays(left.day, 1));
  const target = later(window.target, earliest);
  return {
    kind: 'due',
    step,
    earliest,
    target,
    latest: later(window.latest, target),
    reason: {
      trigger: step.start,
      startedOn: start.day,
      isNoted: start.isNoted,
      lastOn: countedFrom,
      intervalDays,
      apartFrom:
        other && apart && apart > window.earliest
          ? { productId: other.productId, day: other.day }
          : undefined,
      left: isAskedAgain ? { day: left.day, reason: left.reason } : undefined,
    },
  };
}

/** What goes into every watering is never late: it waits for the next one, however long that is. */
function everyWatering(from: Day) {
  return { earliest: from, target: from, latest: '9999-12-31' };
}

/** After a feed at full dose the next waterings are plain. */
function plainUntil(last: FeedGiven | undefined, assumed: Assumed): Day {
  return last?.isFull ? addDays(last.day, Math.round(assumed.plainAfterFull)) : '0000-01-01';
}

const isOfKind = (step: RegimeStep, regime: Regime, feed: FeedGiven) =>
  feed.productId === step.productId || (isNamedBy(feed, regime) && feed.stepId === step.id);

/** The last of some feeds; of two on one day the one whose name comes first, so that the order of entry does not matter. */
function lastOf(feeds: readonly FeedGiven[]): FeedGiven | undefined {
  return feeds.reduce<FeedGiven | undefined>(
    (latest, feed) =>
      !latest || feed.day > latest.day || (feed.day === latest.day && feed.productId < latest.productId)
        ? feed
        : latest,
    undefined,
  );
}

/** The last feed of another step and product; the little in every watering keeps nothing off. */
function otherFeed(step: RegimeStep, bag: FeedingCase): FeedGiven | undefined {
  const isInEvery = (feed: FeedGiven) =>
    bag.regime.steps.some((other) => other.withWatering && isOfKind(other, bag.regime, feed));
  return lastOf(bag.given.filter((feed) => !isOfKind(step, bag.regime, feed) && !isInEvery(feed)));
}

/** The last feed of this step or product, before its step began as well. */
function lastOfKind(step: RegimeStep, bag: FeedingCase): FeedGiven | undefined {
  return lastOf(bag.given.filter((feed) => isOfKind(step, bag.regime, feed)));
}

function endOf(
  step: RegimeStep,
  bag: FeedingCase,
  countedFrom: Day | undefined,
  count: number,
  today: Day,
): { readonly why: 'done' | 'enough' | 'times' | 'stop'; readonly on: Day } | undefined {
  if (!step.every && !step.withWatering && countedFrom !== undefined)
    return { why: count > 0 ? 'done' : 'enough', on: countedFrom };
  const { until } = step;
  if (!until) return undefined;
  if (until.on === 'times')
    return count >= until.times && countedFrom !== undefined ? { why: 'times', on: countedFrom } : undefined;
  const stop = triggerDay(until, bag.stageDates);
  // a stage that nobody has seen ends nothing
  if (stop && !stop.isNoted && ASKED_STAGES.some((stage) => stage === until.on)) return undefined;
  return stop && stop.day <= today ? { why: 'stop', on: stop.day } : undefined;
}

/** A feed on a day to come, as the regime would have it. */
export interface PlannedFeed {
  readonly day: Day;
  readonly stepId: string;
  readonly productId: string;
}

/** Stage dates for a plan: what is reckoned is taken to be seen on its day, or on the first that can still be planned. */
function asIfSeen(stageDates: StageDates, from: Day): StageDates {
  const seen = (date: StageDate | undefined) =>
    date && { day: date.isNoted ? date.day : later(date.day, from), isNoted: true };
  const { flowers, set, picking } = stageDates;
  return { ...stageDates, flowers: seen(flowers), set: seen(set), picking: seen(picking) };
}

/**
 * The feeds of a span of days if each is given on its best day: what a regime means for a bag, before it is taken up and
 * after.
 *
 * @param from the first day that may have one; what was given before it counts
 */
export function plannedFeeds(bag: FeedingCase, from: Day, to: Day, assumed: Assumed): readonly PlannedFeed[] {
  const given: FeedGiven[] = [...bag.given];
  const stageDates = asIfSeen(bag.stageDates, from);
  const planned: PlannedFeed[] = [];
  for (let day = from; day <= to; day = addDays(day, 1)) {
    for (const step of bag.regime.steps) {
      // what goes into every watering has no days of its own but the first
      if (step.withWatering && given.some((feed) => feed.stepId === step.id)) continue;
      const state = stateOf(step, { ...bag, stageDates, given }, day, assumed);
      if (state.kind !== 'due' || state.target > day) continue;
      const feed = { day, productId: step.productId, regimeId: bag.regime.id, stepId: step.id };
      given.push(feed);
      planned.push({ day, stepId: step.id, productId: step.productId });
    }
  }
  return planned;
}
