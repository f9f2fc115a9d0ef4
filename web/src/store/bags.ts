import {
  learntRipening,
  propertiesOf,
  taughtVarieties,
  type BagProperties,
  type BagWater,
  type BagJob,
  type BagState,
  type FeedingState,
} from '@rundel/core/garden-state';
import type { Garden, Entry, Container, Place } from '@rundel/core/records';
import { occupantsNow, type Occupant } from '@rundel/core/plants';
import { useMemo } from 'react';
import { useGarden } from './garden-context.tsx';
import { containersInUse, nameOfBag } from './selectors.ts';
import { useBagStates, type States } from './bag-states.ts';

/** A bag with everything that a screen says about it. */
export interface Bag {
  readonly container: Container;
  readonly place: Place | undefined;
  readonly properties: BagProperties;
  readonly occupants: readonly Occupant[];
  /** what stands in it, in words */
  readonly name: string;
  /** undefined until it has been worked out */
  readonly water: BagWater | undefined;
  readonly feeding: FeedingState | undefined;
  readonly jobs: readonly BagJob[];
}

/** All bags of a garden, as screens have them. */
interface AllBags {
  readonly bags: readonly Bag[];
  readonly unreadable: readonly { readonly container: Container; readonly problem: string }[];
}

/** Every bag in use, in the order of the walk, and those that could not be worked out. */
export function useBags(): AllBags & {
  readonly isReady: boolean;
  /** whether what is said of them is as it last was, and is being worked out anew */
  readonly isOld: boolean;
} {
  const { garden, live } = useGarden();
  const { states, isReady, isOld } = useBagStates();
  return useMemo(
    () => ({ ...allBagsOf(garden, live, states), isReady, isOld }),
    [garden, isOld, isReady, live, states],
  );
}

/** The last answer, and of what it was: a screen's many parts ask for the same bags one after another. */
let lastAnswer: { readonly from: readonly unknown[]; readonly answer: AllBags } | undefined;

function allBagsOf(garden: Garden, live: readonly Entry[], states: States): AllBags {
  const from = [garden, live, states];
  if (lastAnswer?.from.every((part, i) => part === from[i])) return lastAnswer.answer;
  const taught = { ...garden, varieties: taughtVarieties(garden.varieties, learntRipening(garden, live)) };
  const bags: Bag[] = [];
  const unreadable: { container: Container; problem: string }[] = [];
  const byId = new Map(states.map((state) => [state.containerId, state]));
  for (const container of containersInUse(garden)) {
    const state = byId.get(container.id);
    const isFailed = state !== undefined && 'problem' in state;
    try {
      bags.push(bagOf(container, taught, live, isFailed ? undefined : state));
      if (isFailed) unreadable.push({ container, problem: state.problem });
    } catch (cause) {
      unreadable.push({ container, problem: cause instanceof Error ? cause.message : String(cause) });
    }
  }
  const answer = { bags, unreadable };
  lastAnswer = { from, answer };
  return answer;
}

const NO_JOBS: readonly BagJob[] = [];

/** The last bag made of each container's record: one about which nothing has changed stays the same object. */
const known = new WeakMap<Container, { readonly from: readonly unknown[]; readonly bag: Bag }>();

/** A bag as screens have it; the same object as long as nothing about it has changed. */
export function bagOf(
  container: Container,
  garden: Garden,
  live: readonly Entry[],
  state: BagState | undefined,
): Bag {
  const occupants = occupantsNow(container, live, garden);
  const place = garden.places.find((s) => s.id === container.placeId);
  const { settings, mixes } = garden;
  const from = [
    settings,
    mixes,
    place,
    state,
    ...occupants.flatMap((o) => [o.planted, o.plant, o.ageFrom, JSON.stringify([o.variety, o.stages])]),
  ];
  const last = known.get(container);
  if (last && last.from.length === from.length && last.from.every((part, i) => part === from[i]))
    return last.bag;
  // a body has nothing of the diary in it: only a change of record, mix or number makes another
  const hasSameProperties = last !== undefined && last.from[0] === settings && last.from[1] === mixes;
  const properties = hasSameProperties ? last.bag.properties : propertiesOf(container, garden);
  const bag = {
    container,
    place,
    properties,
    occupants,
    name: nameOfBag(occupants),
    water: state?.water,
    feeding: state?.feeding,
    jobs: state?.jobs ?? NO_JOBS,
  };
  known.set(container, { from, bag });
  return bag;
}
