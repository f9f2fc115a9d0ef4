import { useCallback, useRef } from 'react';
import { told } from '../store/index.ts';

/** So long after an action has ended what is pressed again belongs to the same double click or held key, ms. */
const SETTLING_MILLISECONDS = 300;

/**
 * An action that is begun once, however often its button is pressed before it has ended and shortly after: a double click or
 * a held Enter would store an entry twice. What is refused at once, before anything was stored, may be pressed again at once.
 */
export function useOnce<A extends readonly unknown[]>(action: (...args: A) => unknown): (...args: A) => void {
  const isRunning = useRef(false);
  const settling = useRef<ReturnType<typeof setTimeout>>(undefined);
  const latest = useRef(action);
  latest.current = action;
  return useCallback((...args: A) => {
    if (settling.current !== undefined) {
      // a key that is held goes on pressing: it is let go of before the next time
      clearTimeout(settling.current);
      settling.current = setTimeout(() => (settling.current = undefined), SETTLING_MILLISECONDS);
      return;
    }
    if (isRunning.current) return;
    isRunning.current = true;
    let isAtOnce = true;
    setTimeout(() => (isAtOnce = false));
    const settle = () => {
      isRunning.current = false;
      if (!isAtOnce)
        settling.current = setTimeout(() => (settling.current = undefined), SETTLING_MILLISECONDS);
    };
    told(Promise.resolve(latest.current(...args)).finally(settle));
  }, []);
}
