import { knownWeather, occupantsOf, siteOf, type Occupant } from '@rundel/core/bag-state';
import { dayOf } from '@rundel/core/climate';
import { isCarriedOut, yearOfOccupant, yearOfPlan, type CropYear } from '@rundel/core/season';
import { frostYear, timingSchoolOf, type FrostYear, type TimingPlace } from '@rundel/core/timing';
import { SUPPORT_SCHOOLS } from '@rundel/core/supports';
import { useMemo } from 'react';
import type { Plan, Stand } from '@rundel/core/garden';
import { useBags, useGarden, type Bag } from '../store/index.ts';

/** One bag's row: its crops of the year, planted and planned. */
export interface YearRow {
  readonly bag: Bag;
  readonly years: readonly CropYear[];
}

export interface Years {
  readonly frost: FrostYear;
  readonly rows: readonly YearRow[];
  placeOf(cover: Stand['cover']): TimingPlace;
  /** a plan as it would be on another day */
  tried(plan: Plan, bag: Bag, plantOn: string): CropYear;
}

/** Every bag's year, from a day that lies in it. */
export function useYears(on: string): Years {
  const { garden, live, clock } = useGarden();
  const { bags } = useBags();
  const today = dayOf(clock.now());
  return useMemo(() => {
    const { settings } = garden;
    const site = siteOf(settings);
    const frost = frostYear(site, settings.frost, knownWeather(live), on);
    const school = timingSchoolOf(settings.timingSchoolId);
    const supportDays = SUPPORT_SCHOOLS.find((s) => s.id === settings.supportSchoolId) ?? SUPPORT_SCHOOLS[0];
    const placeOf = (cover: Stand['cover']): TimingPlace => ({ cover, frost, site, school });
    const contextOf = (bag: Bag) => ({
      place: placeOf(bag.stand?.cover ?? 'open'),
      supportDays,
      today,
      assumed: bag.body.assumed,
    });
    const end = `${Number(frost.start.slice(0, 4)) + 1}${frost.start.slice(4)}`;
    const isInYear = (day: string) => day >= frost.start && day < end;
    const rows = bags.map((bag): YearRow => {
      const everyone = occupantsOf(bag.container, live, garden);
      const planted = distinct(everyone.filter((o) => isInYear(o.plantedOn)));
      const planned = garden.plans.filter(
        (p) =>
          !p.binnedAt &&
          p.containerId === bag.container.id &&
          isInYear(p.plantOn) &&
          !isCarriedOut(p, everyone),
      );
      const context = contextOf(bag);
      return {
        bag,
        years: [
          ...planted.map((o) => yearOfOccupant(o, live, context)),
          ...planned.map((p) => yearOfPlan(p, context)),
        ],
      };
    });
    return {
      frost,
      rows,
      placeOf,
      tried: (plan, bag, plantOn) => yearOfPlan(plan, contextOf(bag), plantOn),
    };
  }, [bags, garden, live, on, today]);
}

/** Plants of one variety that went into a bag on one day share a row. */
function distinct(occupants: readonly Occupant[]): readonly Occupant[] {
  const seen = new Set<string>();
  return occupants.filter((o) => {
    const key = `${o.variety.id} ${o.plantedOn} ${o.clearedOn ?? ''}`;
    return !seen.has(key) && seen.add(key);
  });
}
