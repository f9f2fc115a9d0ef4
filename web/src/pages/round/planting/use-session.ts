import { useCallback } from 'react';
import { queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { useGarden } from '../../../store/index.ts';
import { sessionSchema, type PlantingSession } from '@rundel/core/garden-state';

/** The planting that is under way on this device, or null; undefined until it has been read. */
export function usePlantingSession(): {
  readonly session: PlantingSession | null | undefined;
  keep(session: PlantingSession | null): Promise<void>;
} {
  const { store, gardenId } = useGarden();
  const client = useQueryClient();
  const options = queryOptions({
    queryKey: ['planting-session', gardenId] as const,
    queryFn: async () => sessionSchema.safeParse(await store.readNote('planting')).data ?? null,
    staleTime: Infinity,
  });
  const { data } = useQuery(options);
  const keep = useCallback(
    async (session: PlantingSession | null) => {
      client.setQueryData(['planting-session', gardenId], session);
      await store.writeNote('planting', session);
    },
    [client, gardenId, store],
  );
  return { session: data, keep };
}
