import { useQuery, useQueryClient } from '@tanstack/react-query';
import { StorageError, type LoosePhotos } from '../db/index.ts';
import { shrinkPhotos } from '../workers/photo.ts';
import { versionOf } from './bag-states-query.ts';
import { useGarden } from './garden-context.tsx';
import { newId } from './ids.ts';

/** Puts photographs of the grower's into the open garden; they count once an entry names them. */
export function useAddPhotos(): (files: readonly File[]) => Promise<readonly string[]> {
  const { store, clock } = useGarden();
  const client = useQueryClient();
  return async (files) => {
    let shrunk: readonly ArrayBuffer[];
    try {
      shrunk = await shrinkPhotos(files);
    } catch (cause) {
      throw new StorageError(cause instanceof Error ? cause.message : String(cause), { cause });
    }
    const addedAt = clock.now();
    const photos = shrunk.map((bytes) => ({ id: newId('photo'), bytes, addedAt }));
    await store.addPhotos(photos);
    for (const { id, bytes } of photos) client.setQueryData(['photo', store.name, id], urlOf(bytes));
    return photos.map(({ id }) => id);
  };
}

/**
 * Photographs of this device that nothing in the open garden names: of an entry that was never put down, or of a garden that was
 * here before. They stay until the grower lets them go.
 */
export function useLoosePhotos(): { readonly loose: LoosePhotos | undefined; letGo(): Promise<void> } {
  const { garden, setAside, store } = useGarden();
  const client = useQueryClient();
  const queryKey = ['loose-photos', store.name, versionOf(garden)] as const;
  const { data } = useQuery({
    queryKey,
    queryFn: () => {
      const named = new Set(garden.entries.flatMap(({ photoIds = [] }) => photoIds));
      return store.loosePhotos(named, setAside.map(({ text = '' }) => text).join('\n'));
    },
  });
  return {
    loose: data,
    async letGo() {
      await store.letPhotosGo(data?.ids ?? []);
      await client.invalidateQueries({ queryKey });
    },
  };
}

const urlOf = (bytes: ArrayBuffer) => URL.createObjectURL(new Blob([bytes], { type: 'image/jpeg' }));

/** The address of a photograph for showing it; null: it is not on this device; undefined: it is being looked up. */
export function usePhotoUrl(photoId: string): string | null | undefined {
  const { store } = useGarden();
  const { data } = useQuery({
    queryKey: ['photo', store.name, photoId],
    // an address holds its picture in memory: it stays for the visit, and is not made twice
    staleTime: Infinity,
    gcTime: Infinity,
    queryFn: async () => {
      const bytes = await store.photo(photoId);
      return bytes ? urlOf(bytes) : null;
    },
  });
  return data;
}
