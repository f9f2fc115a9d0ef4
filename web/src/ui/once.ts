import { useCallback, useRef } from 'react';
import { told } from '../store/index.ts';

/** So long after an action has ended what is pressed again belongs to the same double click or held key, ms. */
const SETTLING_MILLISECONDS = 400;

/**
 * An action that is begun once, however often its button is pressed before it has ended: a double click or a held Enter
 * would store an entry twice.
 */
export function useOnce<A extends readonly unknown[]>(action: (...args: A) => unknown): (...args: A) => void {
  const isRunning = useRef(false);
  const latest = useRef(action);
  latest.current = action;
  return useCallback((...args: A) => {
    if (isRunning.current) return;
    isRunning.current = true;
    const settle = () => setTimeout(() => (isRunning.current = false), SETTLING_MILLISECONDS);
    told(Promise.resolve(latest.current(...args)).finally(settle));
  }, []);
}
