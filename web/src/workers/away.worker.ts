import { planAway, type AwayBag, type AwayPlan, type AwayQuestion } from '@rundel/core/away';
import { resolveAssumed } from '@rundel/core/assumed';
import { knownWeather, siteOf, waterCase } from '@rundel/core/garden-state';
import type { Garden, Container } from '@rundel/core/records';
import { fitWeather } from '@rundel/core/climate';
import { expose } from 'comlink';

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
    seed: number,
    onProgress: (share: number) => void,
  ): AwayPlan {
    const known = knownWeather(garden.entries);
    const site = siteOf(garden.settings);
    const assumed = resolveAssumed(garden.settings.assumptions);
    const bags = containers.flatMap((container): AwayBag[] => {
      try {
        const { bag, properties, belief } = waterCase(garden, container, now, garden.entries);
        return [{ containerId: container.id, bag, belief, assumed: properties.assumed }];
      } catch {
        return [];
      }
    });
    const climate = { model: fitWeather(known, site, assumed.normalSpread), known };
    return planAway(bags, question, climate, seed, onProgress, assumed);
  },
};

export type AwayApi = typeof api;

expose(api);
