import { bodyOf, type BagBody, type BagWater, type Occupant } from '@rundel/core/bag-state';
import type { Container, Stand } from '@rundel/core/garden';
import { useMemo } from 'react';
import { useGarden } from './garden-context.tsx';
import { containersInUse, nameOfBag, occupantsNow } from './selectors.ts';
import { useWaters } from './waters.ts';

/** A bag with everything that a screen says about it. */
export interface Bag {
  readonly container: Container;
  readonly stand: Stand | undefined;
  readonly body: BagBody;
  readonly occupants: readonly Occupant[];
  /** what stands in it, in words */
  readonly name: string;
  /** undefined until it has been worked out */
  readonly water: BagWater | undefined;
}

/** Every bag in use, in the order of the walk, and those that could not be worked out. */
export function useBags(): {
  readonly bags: readonly Bag[];
  readonly unreadable: readonly { readonly container: Container; readonly problem: string }[];
  readonly isReady: boolean;
} {
  const { garden, live } = useGarden();
  const { byId, failed, isReady } = useWaters();
  return useMemo(() => {
    const bags: Bag[] = [];
    const unreadable: { container: Container; problem: string }[] = [];
    for (const container of containersInUse(garden)) {
      try {
        const occupants = occupantsNow(garden, live, container);
        const body = bodyOf(container, garden);
        const stand = garden.stands.find((s) => s.id === container.standId);
        bags.push({
          container,
          stand,
          body,
          occupants,
          name: nameOfBag(occupants),
          water: byId.get(container.id),
        });
        const failure = failed.find((f) => f.containerId === container.id);
        if (failure) unreadable.push({ container, problem: failure.problem });
      } catch (cause) {
        unreadable.push({ container, problem: cause instanceof Error ? cause.message : String(cause) });
      }
    }
    return { bags, unreadable, isReady };
  }, [byId, failed, garden, isReady, live]);
}
