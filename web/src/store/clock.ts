import { momentOf } from '@rundel/core/calendar';

/** Where "now" comes from. The grower's garden follows the real clock; the demo stands on an evening in July. */
export interface Clock {
  /** local time with its offset */
  now(): string;
  /** a day and a time of day as a moment, with the offset that holds then: clocks may have been changed since */
  at(day: string, time: string): string;
  readonly offsetMinutes: number;
}

export const realClock: Clock = {
  get offsetMinutes() {
    return -new Date().getTimezoneOffset();
  },
  now() {
    return momentOf(Date.now(), -new Date().getTimezoneOffset());
  },
  at(day, time) {
    const local = new Date(`${day}T${time}`);
    // what is no time stays as it was given: whoever takes it says so
    return Number.isNaN(local.getTime())
      ? `${day}T${time}`
      : momentOf(local.getTime(), -local.getTimezoneOffset());
  },
};

/**
 * A clock that was set to a moment and runs on from there while the page is open. It is set to the latest of what
 * the demo was given, so that a reload never makes recorded entries lie in the future.
 */
export function clockSetTo(moment: string, offsetMinutes: number): Clock {
  const startedAt = Date.now();
  const base = Date.parse(moment);
  const offset = momentOf(base, offsetMinutes).slice(23);
  return {
    offsetMinutes,
    now: () => momentOf(base + (Date.now() - startedAt), offsetMinutes),
    at: (day, time) => `${day}T${time}:00.000${offset}`,
  };
}
