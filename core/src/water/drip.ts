import { within } from '../errors/index.ts';
import type { Day } from '../calendar/index.ts';

/** How a bag's drip is set. */
export interface DripSetting {
  readonly emitters: number;
  readonly litresPerHourEach: number;
  readonly minutes: number;
  readonly timesADay: number;
  /** 1 Monday to 7 Sunday */
  readonly weekdays: readonly number[];
}

/** A drip setting from the moment that it was made; without one the drip was turned off. */
export interface DripSpell {
  readonly from: Day;
  readonly setting: DripSetting | undefined;
  /** what of it does not reach the roots, share */
  readonly loss: number;
}

/** The day of the week, 1 Monday to 7 Sunday. */
export function weekdayOf(day: Day): number {
  return ((Math.floor(Date.parse(day) / 86_400_000) + 3) % 7) + 1;
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

/**
 * What a setting gives on a day on which it runs, L, before losses.
 *
 * @example
 * litresADay({ emitters: 2, litresPerHourEach: 2, minutes: 15, timesADay: 3, weekdays: [1, 2, 3, 4, 5, 6, 7] })
 * // => 3
 */
export function litresADay(setting: Omit<DripSetting, 'weekdays'> & { readonly weekdays?: unknown }): number {
  return (setting.emitters * setting.litresPerHourEach * setting.minutes * setting.timesADay) / 60;
}

/** The setting that was on at a day. */
export function dripOn(spells: readonly DripSpell[], day: Day): DripSpell | undefined {
  return spells.findLast((spell) => spell.from <= day);
}

/** What the drip brings to the roots on a day, L. */
export function dripOfDay(spells: readonly DripSpell[], day: Day): number {
  const spell = dripOn(spells, day);
  if (!spell?.setting?.weekdays.includes(weekdayOf(day))) return 0;
  return litresADay(spell.setting) * (1 - spell.loss);
}

/** A timer setting that would bring what a bag wants, with what it is worked out from. */
export interface DripProposal {
  readonly minutes: number;
  readonly timesADay: number;
  readonly litresADay: number;
}

/** A run longer than this runs through before the mix has taken it up. */
const LONGEST_RUN_MINUTES = 30;
const LONGEST_RUN_SHARE = 0.25;

/**
 * A daily setting that brings a bag what it wants, in runs short enough for the mix to take up.
 *
 * @param wantedLitres what the bag uses a day, L
 * @param availableLitres what it holds for the plant; a run is at most a quarter of it
 * @returns undefined when the emitters could not bring it in four runs of half an hour
 * @example
 * proposeDrip(3, 12, { emitters: 2, litresPerHourEach: 2, loss: 0 })
 * // => { minutes: 23, timesADay: 2, litresADay: 3.0666666666666664 }
 */
export function proposeDrip(
  wantedLitres: number,
  availableLitres: number,
  line: { readonly emitters: number; readonly litresPerHourEach: number; readonly loss: number },
): DripProposal | undefined {
  const perMinute = (line.emitters * line.litresPerHourEach) / 60;
  const minutes = wantedLitres / (1 - line.loss) / perMinute;
  const longest = Math.min(LONGEST_RUN_MINUTES, (LONGEST_RUN_SHARE * availableLitres) / perMinute);
  const timesADay = Math.max(1, Math.ceil(minutes / longest));
  if (timesADay > 4 && minutes / 4 > LONGEST_RUN_MINUTES) return undefined;
  const times = Math.min(4, timesADay);
  const each = Math.max(1, Math.round(minutes / times));
  return { minutes: each, timesADay: times, litresADay: perMinute * each * times };
}
