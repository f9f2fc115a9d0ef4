import { useCallback, useRef, type MouseEvent } from 'react';

/** A tap of a finger or mouse, and the button that it met. */
export interface Tap {
  readonly at: number;
  readonly x: number;
  readonly y: number;
  readonly button: Element | null;
}

/** A second tap as soon and as near as this is a wet finger that bounced, or a double click. */
const BOUNCE_MILLISECONDS = 350;
const SAME_PLACE_PIXELS = 24;

/**
 * Whether a tap is one that bounced: what it meets was moved there by the first, or would be chosen twice. Steps up and down
 * may be tapped as fast as one likes.
 */
export function isBounce(before: Tap | undefined, tap: Tap): boolean {
  if (!before || tap.at - before.at > BOUNCE_MILLISECONDS) return false;
  if (Math.hypot(tap.x - before.x, tap.y - before.y) > SAME_PLACE_PIXELS) return false;
  return tap.button !== before.button || (tap.button?.hasAttribute('aria-pressed') ?? false);
}

/** Keeps taps that bounced from what is inside; keys are left alone. */
export function useBounceGuard(): (event: MouseEvent<HTMLElement>) => void {
  const last = useRef<Tap>(undefined);
  return useCallback((event) => {
    // a click by key or by a screen reader has no place, and a menu that opens under the finger is meant to be tapped there
    if (event.detail === 0 || !event.currentTarget.contains(event.target as Node)) return;
    const button = (event.target as Element).closest('button, a, [role="switch"]');
    const tap = { at: event.timeStamp, x: event.clientX, y: event.clientY, button };
    const isOne = isBounce(last.current, tap);
    last.current = tap;
    if (!isOne) return;
    event.preventDefault();
    event.stopPropagation();
  }, []);
}
