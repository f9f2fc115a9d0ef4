import { hourOf } from '@rundel/core/calendar';
import { feedDueIds, feedOffers, isBeforeColdNight, statusOf, wasFoundDry } from '@rundel/core/garden-state';
import { planRound, type RoundPlan } from '@rundel/core/round';
import { useCallback, useMemo } from 'react';
import { placesInUse, useBags, useGarden, wateringMeasure, type Bag } from '../../store/index.ts';
import { unanswered, withFeed } from './feeding.ts';
import type { WalkStop } from './StopList.tsx';
import { useWalk } from './walk.ts';

/** A walk with its stops, and any bag as a stop of it. */
export interface Stops extends ReturnType<typeof useWalk> {
  /** undefined while it is worked out */
  readonly plan: RoundPlan | undefined;
  readonly stops: readonly WalkStop[];
  stopOf(bag: Bag): WalkStop;
}

/** Which bags today's walk goes to, and what is to be done at each by what the diary has of it. */
export function useStops(): Stops {
  const { garden, live, clock } = useGarden();
  const { bags, isReady } = useBags();
  const measure = useMemo(() => wateringMeasure(garden), [garden]);
  const { products } = garden;
  const today = clock.now().slice(0, 10);
  const hour = Math.floor(hourOf(clock.now()));
  const fedIds = useMemo(
    () => feedDueIds(bags, products, `${today}T12:00:00.000Z`, hour),
    [bags, hour, products, today],
  );
  const plan = useMemo(
    () =>
      isReady
        ? planRound(
            bags.flatMap((b) => (b.water ? [b.water] : [])),
            bags.map((b) => b.container),
            placesInUse(garden),
            fedIds,
          )
        : undefined,
    [bags, fedIds, garden, isReady],
  );
  const { walk, keepTo } = useWalk(plan);
  const isCold = isBeforeColdNight(live, garden.settings.drierBelowCelsius, clock.now());
  const stopOf = useCallback(
    (bag: Bag): WalkStop => {
      const status = statusOf(bag, walk, live, measure, isCold);
      const isWatered = status.kind === 'watering' || ('wateredLitres' in status && status.wateredLitres > 0);
      const due = feedOffers(bag, products, `${today}T12:00:00.000Z`, {
        isWatered,
        hour,
        foundDry: wasFoundDry(status, bag),
      });
      const feeds = unanswered(due, bag, walk, live);
      return { bag, status: withFeed(status, feeds), feeds };
    },
    [hour, products, isCold, live, measure, today, walk],
  );
  const stops = useMemo((): readonly WalkStop[] => {
    const ids = new Set(walk?.spotIds ?? walk?.containerIds);
    return bags.filter((b) => ids.has(b.container.id)).map(stopOf);
  }, [bags, stopOf, walk]);
  return { plan, walk, keepTo, stopOf, stops };
}
