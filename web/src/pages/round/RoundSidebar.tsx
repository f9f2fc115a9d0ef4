import type { RoundPlan } from '@rundel/core/round';
import { Button } from '@mui/material';
import { lazy, memo, Suspense } from 'react';
import type { Bag, Walk } from '../../store/index.ts';
import { useTicking } from '../../ui/ticking.ts';
import { WhenSeen } from '../../ui/WhenSeen.tsx';
import { LaterList } from './LaterList.tsx';
import { StopList, type WalkStop } from './StopList.tsx';

const ManyBar = lazy(() =>
  import('../../ui/many/ManyBar.tsx').then((module) => ({ default: module.ManyBar })),
);
const Jobs = lazy(() => import('./Jobs.tsx'));
const ShortTime = lazy(() => import('./ShortTime.tsx'));
const DeviceReadings = lazy(() => import('./DeviceReadings.tsx'));
const Harvest = lazy(() => import('./Harvest.tsx'));
const RoundTimer = lazy(() => import('./RoundTimer.tsx'));
const WeatherCard = lazy(() => import('./WeatherCard.tsx'));

/** The room of the day's weather, px: its form is much to read, and stands below the fold. */
const CARD_HIGH = 190;

/** The walk as it stands beside the bag. */
export interface RoundSidebarProps {
  readonly stops: readonly WalkStop[];
  readonly currentId: string | undefined;
  readonly bags: readonly Bag[];
  readonly plan: RoundPlan | undefined;
  readonly walk: Walk | undefined;
  onKeepTo(containerIds: readonly string[] | undefined): void;
}

/** What stands beside the bag, or under it: the stops, devices, jobs, the day's weather, and what can wait. */
export const RoundSidebar = memo(function RoundSidebar({
  stops,
  currentId,
  bags,
  plan,
  walk,
  onKeepTo,
}: RoundSidebarProps) {
  const ticking = useTicking();
  return (
    <>
      <StopList stops={stops} currentId={currentId} ticking={ticking} />
      {bags.length > 1 && (
        <Button
          aria-pressed={ticking.isOn}
          onClick={() => (ticking.isOn ? ticking.untick() : ticking.start())}
          sx={{ paddingInline: 0, textDecoration: 'underline' }}
        >
          {ticking.isOn ? 'One at a time' : 'Several at once'}
        </Button>
      )}
      {ticking.ids.size > 0 && (
        <Suspense>
          <ManyBar bags={bags.filter((b) => ticking.ids.has(b.container.id))} onUntick={ticking.untick} />
        </Suspense>
      )}
      <Suspense>
        {plan && walk && <ShortTime plan={plan} bags={bags} walk={walk} onKeepTo={onKeepTo} />}
        {walk && bags.some(({ container }) => container.gauges) && (
          <DeviceReadings bags={bags} walkId={walk.startedAt} />
        )}
        <Jobs />
        {/* with the jobs and not before them: what stands below would be pushed down */}
        <WhenSeen height={CARD_HIGH}>
          <Suspense>
            <WeatherCard />
          </Suspense>
        </WhenSeen>
        <RoundTimer stops={stops} />
        <LaterList
          bags={bags}
          laterIds={plan?.later.map((l) => l.containerId) ?? []}
          walkIds={walk?.containerIds ?? []}
        />
        <Harvest bags={bags} />
      </Suspense>
    </>
  );
});
