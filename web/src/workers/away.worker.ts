import { planAway, type AwayBag, type AwayPlan, type AwayQuestion } from '@rundel/core/away';
import { resolveAssumed } from '@rundel/core/assumed';
import { knownWeather, siteOf, waterCase, type Garden } from '@rundel/core/bag-state';
import { fitWeather } from '@rundel/core/climate';
import type { Container } from '@rundel/core/garden';
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
    tell: (share: number) => void,
  ): AwayPlan {
    const known = knownWeather(garden.entries);
    const site = siteOf(garden.settings);
    const spread = resolveAssumed(garden.settings.assumptions).normalSpread;
    const bags = containers.flatMap((container): AwayBag[] => {
      try {
        const { bag, body, belief } = waterCase(garden, container, now, garden.entries);
        return [{ containerId: container.id, bag, belief, assumed: body.assumed }];
      } catch {
        return [];
      }
    });
    return planAway(bags, question, { model: fitWeather(known, site, spread), known }, seed, tell);
  },
};

export type AwayApi = typeof api;

expose(api);
