import { momentOf } from '@rundel/core/climate';

/** Where "now" comes from. The grower's garden follows the real clock; the demo stands on an evening in July. */
export interface Clock {
  /** local time with its offset */
  now(): string;
  readonly offsetMinutes: number;
}

export const realClock: Clock = {
  get offsetMinutes() {
    return -new Date().getTimezoneOffset();
  },
  now() {
    return momentOf(Date.now(), -new Date().getTimezoneOffset());
  },
};

/**
 * A clock that was set to a moment and runs on from there while the page is open. It is set to the latest of what
 * the demo was given, so that a reload never makes recorded entries lie in the future.
 */
export function clockSetTo(moment: string, offsetMinutes: number): Clock {
  const startedAt = Date.now();
  const base = Date.parse(moment);
  return { offsetMinutes, now: () => momentOf(base + (Date.now() - startedAt), offsetMinutes) };
}
