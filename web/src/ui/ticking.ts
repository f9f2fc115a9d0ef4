import { useCallback, useMemo, useState } from 'react';

/** Which bags are ticked, and whether a tap ticks rather than opens. */
export interface Ticked {
  readonly isOn: boolean;
  readonly ids: ReadonlySet<string>;
  toggle(id: string): void;
  /** ticks all of some, or unticks them where all were ticked */
  toggleAll(ids: readonly string[]): void;
  set(ids: ReadonlySet<string>): void;
  start(): void;
  untick(): void;
}

/** The ticks of a list of bags; a finger that rests on one, or a button, begins them. */
export function useTicking(isOnAtFirst = false): Ticked {
  const [isTicking, setTicking] = useState(isOnAtFirst);
  const [ids, setIds] = useState<ReadonlySet<string>>(new Set());
  const untick = useCallback(() => {
    setIds(new Set());
    setTicking(false);
  }, []);
  return useMemo(
    () => ({
      isOn: isTicking || ids.size > 0,
      ids,
      toggle: (id) =>
        setIds((now) => new Set(now.has(id) ? [...now].filter((each) => each !== id) : [...now, id])),
      toggleAll: (some) =>
        setIds((now) =>
          some.every((id) => now.has(id))
            ? new Set([...now].filter((each) => !some.includes(each)))
            : new Set([...now, ...some]),
        ),
      set: setIds,
      start: () => setTicking(true),
      untick,
    }),
    [ids, isTicking, untick],
  );
}
