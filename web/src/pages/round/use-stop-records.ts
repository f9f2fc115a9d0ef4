import { asGiven, fedDrafts } from '@rundel/core/garden-state';
import type { EntryOf } from '@rundel/core/records';
import { useCallback, useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useGarden, wateringMeasure, type Bag } from '../../store/index.ts';
import { fillsWords } from '../../text/text.ts';
import type { SkipReason } from './SkipButton.tsx';
import type { WateringDone } from './WateringProposal.tsx';
import { placeNow } from '../../ui/place-now.ts';

/** What is put in the diary at a stop: a check, a watering with its feeds, or that it was left. */
export function useStopRecords(bag: Bag | undefined, goOn: (from: Bag) => void) {
  const { garden, clock, record } = useGarden();
  const { containerId } = useParams();
  const navigate = useNavigate();
  const measure = useMemo(() => wateringMeasure(garden), [garden]);
  const check = useCallback(
    async (seen: EntryOf<'check'>['check'], stationId?: string) => {
      if (!bag || isLeft(bag)) return;
      await record(
        [
          {
            kind: 'check',
            at: clock.now(),
            containerId: bag.container.id,
            ...(stationId ? { stationId } : {}),
            check: seen,
          },
        ],
        `check of ${bag.container.label}`,
      );
      if (!containerId)
        void navigate(`/round/${bag.container.id}`, { replace: true, preventScrollReset: true });
    },
    [bag, clock, containerId, navigate, record],
  );
  const watering = useCallback(
    async (given: WateringDone) => {
      if (!bag || isLeft(bag)) return;
      const { litres, seen, count, feeds } = given;
      const at = clock.now();
      const measureId = 'id' in measure && measure.id ? { measureId: measure.id } : {};
      await record(
        [
          {
            kind: 'watering',
            at,
            containerId: bag.container.id,
            litres,
            ...seen,
            isMeasured: true,
            asEntered: fillsWords(count, measure),
            ...(given.into === 'store' ? { into: 'store' as const } : {}),
            ...measureId,
          },
          ...feeds.flatMap((feed) => fedDrafts(asGiven(feed, bag, litres), at)),
        ],
        feeds.length > 0
          ? `watering with feed at ${bag.container.label}`
          : `watering at ${bag.container.label}`,
      );
      goOn(bag);
    },
    [bag, clock, goOn, measure, record],
  );
  const leaveOut = useCallback(
    async (reason: SkipReason) => {
      if (!bag || isLeft(bag)) return;
      await record(
        [{ kind: 'skipped', at: clock.now(), containerId: bag.container.id, reason }],
        `bag ${bag.container.label} left for later`,
      );
      goOn(bag);
    },
    [bag, clock, goOn, record],
  );
  return { check, watering, leaveOut };
}

/**
 * Whether the address has gone on from a bag that is still on the screen: the next one is being drawn. A tap that comes in
 * between was not meant for the old one.
 */
function isLeft(bag: Bag): boolean {
  const [, place, id] = placeNow().pathname.split('/');
  return place !== 'round' || (id !== undefined && id !== bag.container.id);
}
