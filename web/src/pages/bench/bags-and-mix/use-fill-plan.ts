import { queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { useBags, useGarden, type Bag, told } from '../../../store/index.ts';
import { isFilled } from '@rundel/core/garden-state';
import { EMPTY_PLAN, fillPlanSchema, type FillPlan } from './fill-plan.ts';

/**
 * The plan for filling, shared by the topics that work with it, and the bags that it is for: those chosen, or while
 * nothing is chosen those not filled yet this year, or all.
 */
export function useFillPlan(): {
  readonly plan: FillPlan;
  readonly chosen: readonly Bag[];
  readonly bags: readonly Bag[];
  change(patch: Partial<FillPlan>): void;
} {
  const { store, gardenId, live, clock } = useGarden();
  const { bags } = useBags();
  const client = useQueryClient();
  const queryKey = ['fill-plan', gardenId] as const;
  const options = queryOptions({
    queryKey,
    staleTime: Infinity,
    queryFn: async () => {
      const read = fillPlanSchema.safeParse(await store.readNote('fillPlan'));
      return read.success ? read.data : EMPTY_PLAN;
    },
  });
  const query = useQuery(options);
  const plan = query.data ?? EMPTY_PLAN;
  const now = clock.now();
  const unfilled = bags.filter((b) => !isFilled(b.container.id, live, now));
  const chosen = plan.containerIds
    ? bags.filter((b) => plan.containerIds?.includes(b.container.id))
    : unfilled.length > 0
      ? unfilled
      : bags;
  return {
    plan,
    chosen,
    bags,
    change(patch) {
      const put = (known: FillPlan) => {
        const next = { ...known, ...patch };
        client.setQueryData(queryKey, next);
        told(store.writeNote('fillPlan', next));
      };
      // a change can come before the kept plan has been read, and must not be lost under it
      const kept = client.getQueryData<FillPlan>(queryKey);
      if (kept) put(kept);
      else void client.ensureQueryData(options).then(put);
    },
  };
}
