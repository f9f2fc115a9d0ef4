import { useQuery } from '@tanstack/react-query';

/** How much of the browser's storage is used, and whether it has promised to keep it. */
export interface StorageRoom {
  readonly usedBytes: number | undefined;
  readonly allBytes: number | undefined;
  /** undefined: the browser does not say */
  readonly isKept: boolean | undefined;
}

/** Asks the browser; undefined until it has answered. */
export function useStorageRoom() {
  const { data, refetch } = useQuery({
    queryKey: ['storage-room'],
    staleTime: 30_000,
    queryFn: async (): Promise<StorageRoom> => {
      // not there in a private window or where the address is not a safe one
      const storage = navigator.storage as StorageManager | undefined;
      const [estimate, isKept] = await Promise.all([
        storage?.estimate?.().catch(() => undefined),
        storage?.persisted?.().catch(() => undefined),
      ]);
      return { usedBytes: estimate?.usage, allBytes: estimate?.quota, isKept };
    },
  });
  return {
    room: data,
    /** Asks the browser not to throw the garden away when space is short. */
    async askToKeep(): Promise<boolean> {
      const isKept = (await (navigator.storage as StorageManager | undefined)?.persist?.()) ?? false;
      await refetch();
      return isKept;
    },
  };
}
