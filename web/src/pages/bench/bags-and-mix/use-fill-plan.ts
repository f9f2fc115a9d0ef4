import { queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { useBags, useGarden, type Bag, told } from '../../../store/index.ts';
import { isFilled } from '@rundel/core/garden-state';
import { EMPTY_PLAN, fillPlanSchema, type FillPlan } from './fill-plan.ts';

/**
 * The plan for filling, shared by the topics that work with it, and the bags that it is for: those chosen, or while
 * nothing is chosen those not filled yet this year, or all. What another place sent along stands in it at once; until
 * the kept plan has been read nothing may be stored by it.
 */
export function useFillPlan(sent: Partial<FillPlan> = {}): {
  readonly plan: FillPlan;
  readonly isRead: boolean;
  readonly chosen: readonly Bag[];
  readonly bags: readonly Bag[];
  change(patch: Partial<FillPlan>): Promise<void>;
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
  const plan = { ...(query.data ?? EMPTY_PLAN), ...sent };
  const now = clock.now();
  const unfilled = bags.filter((b) => !isFilled(b.container.id, live, now));
  const chosen = plan.containerIds
    ? bags.filter((b) => plan.containerIds?.includes(b.container.id))
    : unfilled.length > 0
      ? unfilled
      : bags;
  return {
    plan,
    isRead: !query.isPending,
    chosen,
    bags,
    async change(patch) {
      // a change can come before the kept plan has been read, and must not be lost under it
      const known = client.getQueryData<FillPlan>(queryKey) ?? (await client.ensureQueryData(options));
      const next = { ...known, ...patch };
      client.setQueryData(queryKey, next);
      told(store.writeNote('fillPlan', next));
    },
  };
}
