import { resolveAssumed } from '@rundel/core/assumed';
import { addDays, dayOf, type Day } from '@rundel/core/calendar';
import { bagsOfTank, tankCourse, tankEvents, type TankCourse } from '@rundel/core/garden-state';
import type { Tank } from '@rundel/core/records';
import { useMemo } from 'react';
import { useBags, useGarden, type Bag } from '../../store/index.ts';

/** A tank with the bags on it and how it stands. */
export interface TankView {
  readonly tank: Tank;
  readonly bags: readonly Bag[];
  readonly course: TankCourse;
}

/** Days of use that say how fast a tank goes down while its levels say little. */
const USE_DAYS = 5;

/** What some bags used a day of late, together, L. */
export function usedPerDay(bags: readonly Bag[], today: Day): number {
  const from = addDays(today, -USE_DAYS);
  return bags.reduce((sum, { water }) => {
    const days = (water?.usePerDay ?? []).filter(({ day }) => day > from && day <= today);
    return sum + days.reduce((litres, day) => litres + day.litres, 0) / Math.max(1, days.length);
  }, 0);
}

/** Every tank in use. */
export function useTanks(): readonly TankView[] {
  const { garden, live, clock } = useGarden();
  const { bags } = useBags();
  const now = clock.now();
  const today = dayOf(now);
  return useMemo(
    () =>
      garden.tanks
        .filter((tank) => !tank.binnedAt)
        .map((tank) => {
          const ids = new Set(bagsOfTank(tank.id, garden).map(({ id }) => id));
          const drinking = bags.filter((b) => ids.has(b.container.id));
          const perDay = usedPerDay(drinking, today);
          const assumed = resolveAssumed(garden.settings.assumptions);
          return {
            tank,
            bags: drinking,
            course: tankCourse(tank, tankEvents(tank, garden, live), perDay, now, assumed),
          };
        }),
    [bags, garden, live, now, today],
  );
}
