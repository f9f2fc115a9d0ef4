import { feedingCaseOf } from '@rundel/core/garden-state';
import { resolveAssumed } from '@rundel/core/assumed';
import { knownWeather, siteOf } from '@rundel/core/garden-state';
import { occupantsOf, type Occupant, SUPPORT_PRACTICES } from '@rundel/core/plants';
import { dayOf } from '@rundel/core/calendar';
import {
  isCarriedOut,
  yearOfOccupant,
  yearOfPlan,
  type CropYear,
  frostYear,
  timingPracticeOf,
  type FrostYear,
  type TimingPlace,
} from '@rundel/core/season';
import { useMemo } from 'react';
import { entriesAt, type Place, type Plan } from '@rundel/core/records';
import { plannedFeeds } from '@rundel/core/feeding';
import { useBags, useGarden, type Bag, type OpenGarden } from '../../store/index.ts';

/** One bag's row: its crops of the year, planted and planned. */
export interface YearRow {
  readonly bag: Bag;
  readonly years: readonly CropYear[];
  /** feeds given this year, and those that its regime will ask for */
  readonly feeds: readonly FeedTick[];
}

export interface FeedTick {
  readonly day: string;
  readonly isGiven: boolean;
}

export interface Years {
  readonly frost: FrostYear;
  readonly rows: readonly YearRow[];
  placeOf(cover: Place['cover']): TimingPlace;
  /** the same a year later */
  nextPlaceOf(cover: Place['cover']): TimingPlace;
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
    const assumed = resolveAssumed(settings.assumptions);
    const site = siteOf(settings);
    const frost = frostYear(site, settings.frost, knownWeather(live), on, assumed);
    const practice = timingPracticeOf(settings.timingPracticeId);
    const supportDays =
      SUPPORT_PRACTICES.find((s) => s.id === settings.supportPracticeId) ?? SUPPORT_PRACTICES[0];
    const end = `${Number(frost.start.slice(0, 4)) + 1}${frost.start.slice(4)}`;
    const nextFrost = frostYear(site, settings.frost, knownWeather(live), end, assumed);
    const placeOf = (cover: Place['cover']): TimingPlace => ({ cover, frost, site, practice });
    const contextOf = (bag: Bag) => ({
      place: placeOf(bag.place?.cover ?? 'open'),
      supportDays,
      today,
      assumed: bag.properties.assumed,
    });
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
        feeds: feedTicks(bag, { live, garden }, today).filter(({ day }) => isInYear(day)),
        years: [
          ...planted.map((o) => yearOfOccupant(o, live, context)),
          ...planned.map((p) => yearOfPlan(p, garden.varieties, context)),
        ],
      };
    });
    return {
      frost,
      rows,
      placeOf,
      nextPlaceOf: (cover) => ({ ...placeOf(cover), frost: nextFrost }),
      tried: (plan, bag, plantOn) => yearOfPlan(plan, garden.varieties, contextOf(bag), plantOn),
    };
  }, [bags, garden, live, on, today]);
}

/** Days on which a bag was fed, and those on which its regime would have it fed until its plants are done. */
function feedTicks(bag: Bag, open: Pick<OpenGarden, 'live' | 'garden'>, today: string): readonly FeedTick[] {
  const given = entriesAt(open.live, bag.container.id).flatMap((e) =>
    e.kind === 'fed' ? [dayOf(e.at)] : [],
  );
  const { feeding } = bag;
  const { regime, endsOn } = feeding ?? {};
  const first = bag.occupants[0]?.plantedOn;
  const planned =
    feeding && regime && endsOn && first && endsOn > today
      ? plannedFeeds(
          feedingCaseOf(
            bag.container,
            bag.occupants,
            open.live,
            open.garden,
            feeding.stageDates,
            regime,
            first,
          ),
          today,
          endsOn,
          bag.properties.assumed,
        )
      : [];
  return [
    ...[...new Set(given)].map((day) => ({ day, isGiven: true })),
    ...planned.map(({ day }) => ({ day, isGiven: false })),
  ];
}

/** Plants of one variety that went into a bag on one day share a row. */
function distinct(occupants: readonly Occupant[]): readonly Occupant[] {
  const seen = new Set<string>();
  return occupants.filter((o) => {
    const key = `${o.variety.id} ${o.plantedOn} ${o.clearedOn ?? ''}`;
    return !seen.has(key) && seen.add(key);
  });
}
