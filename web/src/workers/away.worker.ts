import {
  dryDaysByMonth,
  planAway,
  type AwayBag,
  type AwayPlan,
  type AwayQuestion,
  type DryMonth,
  type Rounds,
} from '@rundel/core/away';
import { resolveAssumed } from '@rundel/core/assumed';
import { dayOf, type Day } from '@rundel/core/calendar';
import { knownWeather, siteOf, waterCase } from '@rundel/core/garden-state';
import type { Garden, Container } from '@rundel/core/records';
import { fitWeather } from '@rundel/core/climate';
import { FilterRun, type WaterBag } from '@rundel/core/water';
import { expose } from 'comlink';

/** Bags by what is in the garden, each with the last day that is asked about, or bags that are only thought of. */
export type BagsOnRounds =
  | { readonly of: 'garden'; readonly untilById: Readonly<Record<string, Day>> }
  | {
      readonly of: 'thought';
      readonly bags: readonly { readonly key: string; readonly bag: WaterBag }[];
      readonly from: Day;
      readonly until: Day;
    };

/** Chance is the same each time that the same is asked. */
const SEED = 20_260;

export const api = {
  /**
   * Plans the time away for bags that can be worked out; the others are left out (they are named where bags are listed).
   *
   * @param garden its entries live and oldest first
   */
  plan(
    garden: Garden,
    containers: readonly Container[],
    now: string,
    question: AwayQuestion,
    onProgress: (share: number) => void,
  ): AwayPlan {
    const assumed = resolveAssumed(garden.settings.assumptions);
    return planAway(bagsNow(garden, containers, now), question, climateOf(garden), SEED, onProgress, assumed);
  },

  /** What some rounds leave dry, month by month, by bag or by the key of one that is thought of. */
  dryDays(
    garden: Garden,
    asked: BagsOnRounds,
    now: string,
    rounds: Rounds,
  ): Readonly<Record<string, readonly DryMonth[]>> {
    const assumed = resolveAssumed(garden.settings.assumptions);
    const bags =
      asked.of === 'garden'
        ? bagsNow(
            garden,
            garden.containers.filter(({ id }) => id in asked.untilById),
            now,
          ).map((bag) => ({ ...bag, until: asked.untilById[bag.containerId] as Day }))
        : asked.bags.map(({ key, bag }) => ({
            containerId: key,
            bag,
            belief: FilterRun.start(bag, assumed).belief,
            assumed,
            until: asked.until,
          }));
    const from = asked.of === 'garden' ? dayOf(now) : asked.from;
    const found = dryDaysByMonth(bags, rounds, climateOf(garden), from, SEED, assumed);
    return Object.fromEntries(found.map(({ containerId, months }) => [containerId, months]));
  },
};

/** Bags as they stand now, without those whose record does not make sense. */
function bagsNow(garden: Garden, containers: readonly Container[], now: string): readonly AwayBag[] {
  return containers.flatMap((container): AwayBag[] => {
    try {
      const { bag, properties, belief } = waterCase(garden, container, now, garden.entries);
      return [{ containerId: container.id, bag, belief, assumed: properties.assumed }];
    } catch {
      return [];
    }
  });
}

function climateOf({ entries, settings }: Garden) {
  const known = knownWeather(entries);
  const { normalSpread } = resolveAssumed(settings.assumptions);
  return { model: fitWeather(known, siteOf(settings), normalSpread), known };
}

export type AwayApi = typeof api;

expose(api);
