import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useGarden } from './garden-context.tsx';

const NOTE = 'savedToFile';

/** When the open garden was last saved to a file on this device; null: never; undefined while it is read. */
export function useSavedToFile(): string | null | undefined {
  const { gardenId, store } = useGarden();
  const { data } = useQuery({
    queryKey: ['saved-to-file', gardenId],
    staleTime: Infinity,
    queryFn: async () => {
      const note = await store.readNote(NOTE);
      return typeof note === 'string' ? note : null;
    },
  });
  return data;
}

/** Notes that the garden has just been saved to a file. */
export function useNoteSavedToFile(): (at: string) => Promise<void> {
  const { gardenId, store } = useGarden();
  const client = useQueryClient();
  return async (at) => {
    client.setQueryData(['saved-to-file', gardenId], at);
    await store.writeNote(NOTE, at);
  };
}
