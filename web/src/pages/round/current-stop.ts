import { useEffect, useRef, useState } from 'react';
import type { Bag, Walk } from '../../store/index.ts';
import { isOpen } from '@rundel/core/garden-state';
import type { WalkStop } from './StopList.tsx';
import { STOP_HEAD_ID } from './StopWords.tsx';

/**
 * The bag whose stop is shown: the one in the address, or else the first that wants the grower. Once shown, that one stays
 * while it is open, though a bag before it joins the walk: it may be under a finger.
 */
export function useCurrentStop(
  askedId: string | undefined,
  bags: readonly Bag[],
  stops: readonly WalkStop[],
  walk: Walk | undefined,
): Bag | undefined {
  const [held, setHeld] = useState<{ readonly id: string; readonly startedAt: string }>();
  const asked = bags.find((b) => b.container.id === askedId);
  const open = stops.filter((s) => isOpen(s.status));
  const isHeld = (s: WalkStop) => s.bag.container.id === held?.id && walk?.startedAt === held.startedAt;
  const first = (open.find(isHeld) ?? open[0])?.bag;
  if (!asked && first && walk && (held?.id !== first.container.id || held.startedAt !== walk.startedAt)) {
    setHeld({ id: first.container.id, startedAt: walk.startedAt });
  }
  const bag = asked ?? first;

  // the name of the next stop is what a screen reader reads first
  const shownId = useRef<string>(undefined);
  const bagId = bag?.container.id;
  useEffect(() => {
    if (shownId.current !== undefined && bagId !== undefined && shownId.current !== bagId) {
      document.getElementById(STOP_HEAD_ID)?.focus({ preventScroll: true });
    }
    shownId.current = bagId;
  }, [bagId]);
  return bag;
}
