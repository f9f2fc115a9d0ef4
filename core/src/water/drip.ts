import { within } from '../errors/index.ts';
import { weekdayOf, type Day } from '../calendar/index.ts';

/** One line of a bag's drip, with its timer. */
export interface DripLine {
  readonly emitters: number;
  /** metres of a line that drips all along, in place of emitters */
  readonly metres?: number | undefined;
  /** of each emitter, or of each metre */
  readonly litresPerHourEach: number;
  readonly minutes: number;
  readonly timesADay: number;
  /** 1 Monday to 7 Sunday */
  readonly weekdays: readonly number[];
  /** nothing drips on wet days */
  readonly isOffInRain?: boolean | undefined;
}

/** How a bag's drip is set. */
export interface DripSetting extends DripLine {
  /** lines beside the first, each with a timer of its own */
  readonly further?: readonly DripLine[] | undefined;
}

/** A drip setting from the moment that it was made; without one the drip was turned off. */
export interface DripSpell {
  readonly from: Day;
  readonly setting: DripSetting | undefined;
  /** what of it does not reach the roots, share */
  readonly loss: number;
}

/**
 * What an emitter gives, L/h, from what it dripped into a jar.
 *
 * @param millilitres caught
 * @param minutes for which it dripped, 0.5 to 120
 * @throws RundelError when a number lies outside of its span
 * @see docs/model.md, 7. Water
 * @example
 * litresPerHourOf(170, 5)
 * // ≈> 2.04
 */
export function litresPerHourOf(millilitres: number, minutes: number): number {
  within('minutes', minutes, 0.5, 120);
  return (within('millilitres', millilitres, 0.1, 20_000) / 1000) * (60 / minutes);
}

/** Every line of a setting. */
export function linesOf({ further = [], ...first }: DripSetting): readonly DripLine[] {
  return [first, ...further];
}

/**
 * What a line gives in an hour, L.
 *
 * @example
 * litresPerHour({ emitters: 1, metres: 3, litresPerHourEach: 1.5 })
 * // => 4.5
 */
export function litresPerHour({
  emitters,
  metres,
  litresPerHourEach,
}: Pick<DripLine, 'emitters' | 'metres' | 'litresPerHourEach'>): number {
  return (metres ?? emitters) * litresPerHourEach;
}

/**
 * What a line gives on a day on which it runs, L, before losses.
 *
 * @example
 * litresADay({ emitters: 2, litresPerHourEach: 2, minutes: 15, timesADay: 3 })
 * // => 3
 */
export function litresADay(line: Omit<DripLine, 'weekdays'>): number {
  return (litresPerHour(line) * line.minutes * line.timesADay) / 60;
}

/**
 * What all lines of a setting give in a dry week, L, before losses.
 *
 * @example
 * litresAWeek({ emitters: 2, litresPerHourEach: 2, minutes: 15, timesADay: 3, weekdays: [1, 3, 5] })
 * // => 9
 */
export function litresAWeek(setting: DripSetting): number {
  return linesOf(setting).reduce((sum, line) => sum + litresADay(line) * line.weekdays.length, 0);
}

/** The setting that was on at a day. */
export function dripOn(spells: readonly DripSpell[], day: Day): DripSpell | undefined {
  return spells.findLast((spell) => spell.from <= day);
}

/** What the drip brings to the roots on a dry day, and on a wet one, L. */
export interface DripOfDay {
  readonly dryLitres: number;
  readonly wetLitres: number;
}

export function dripOfDay(spells: readonly DripSpell[], day: Day): DripOfDay {
  const spell = dripOn(spells, day);
  if (!spell?.setting) return { dryLitres: 0, wetLitres: 0 };
  const running = linesOf(spell.setting).filter(({ weekdays }) => weekdays.includes(weekdayOf(day)));
  const litres = (lines: readonly DripLine[]) =>
    lines.reduce((sum, line) => sum + litresADay(line) * (1 - spell.loss), 0);
  return { dryLitres: litres(running), wetLitres: litres(running.filter((line) => !line.isOffInRain)) };
}

/** A timer setting that brings a bag what it wants, or as much of it as the line can. */
export interface DripProposal {
  readonly minutes: number;
  readonly timesADay: number;
  readonly litresADay: number;
  /** what reaches the roots in a week, and what the bag wants of it */
  readonly broughtLitresAWeek: number;
  readonly wantedLitresAWeek: number;
  /** emitters, or metres of line, with which it would be enough; undefined where it is */
  readonly emittersWanted: number | undefined;
}

/** A run longer than this runs through before the mix has taken it up. */
const LONGEST_RUN_MINUTES = 30;
const LONGEST_RUN_SHARE = 0.25;

const MOST_RUNS = 4;

/**
 * The best daily setting of a line: what the bag wants, in runs short enough for the mix to take up, or the most that such runs
 * can bring.
 *
 * @param wantedLitres what the bag uses a day, L
 * @param availableLitres what it holds for the plant; a run is at most a quarter of it
 * @example
 * proposeDrip(3, 12, { emitters: 2, litresPerHourEach: 2, loss: 0 })
 * // => { minutes: 23, timesADay: 2, litresADay: 3.0666666666666664, broughtLitresAWeek: 21.466666666666665, wantedLitresAWeek: 21, emittersWanted: undefined }
 */
export function proposeDrip(
  wantedLitres: number,
  availableLitres: number,
  line: Pick<DripLine, 'emitters' | 'metres' | 'litresPerHourEach'> & { readonly loss: number },
): DripProposal {
  const perMinute = litresPerHour(line) / 60;
  const minutes = wantedLitres / (1 - line.loss) / perMinute;
  const longest = Math.min(LONGEST_RUN_MINUTES, (LONGEST_RUN_SHARE * availableLitres) / perMinute);
  const timesADay = Math.min(MOST_RUNS, Math.max(1, Math.ceil(minutes / longest)));
  const each = Math.min(LONGEST_RUN_MINUTES, Math.max(1, Math.round(minutes / timesADay)));
  const litres = perMinute * each * timesADay;
  const most = MOST_RUNS * LONGEST_RUN_MINUTES;
  return {
    minutes: each,
    timesADay,
    litresADay: litres,
    broughtLitresAWeek: litres * (1 - line.loss) * 7,
    wantedLitresAWeek: wantedLitres * 7,
    emittersWanted: minutes > most ? Math.ceil(((line.metres ?? line.emitters) * minutes) / most) : undefined,
  };
}
