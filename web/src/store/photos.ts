import { useQuery, useQueryClient } from '@tanstack/react-query';
import { PhotoDb, StorageError, storageError } from '../db/index.ts';
import { shrinkPhotos } from '../workers/photo.ts';
import { versionOf } from './bag-states-query.ts';
import { useGarden } from './garden-context.tsx';
import { newId } from './ids.ts';

/** Photographs are looked up one by one, and a page shows a few: the database is opened once and stays open. */
const databases = new Map<string, PhotoDb>();

function photosOf(garden: string): PhotoDb {
  const known = databases.get(garden);
  if (known) return known;
  const db = new PhotoDb(garden);
  databases.set(garden, db);
  return db;
}

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
    try {
      await photosOf(store.name).photos.bulkAdd(photos);
    } catch (cause) {
      throw storageError(cause);
    }
    for (const { id, bytes } of photos) client.setQueryData(['photo', store.name, id], urlOf(bytes));
    return photos.map(({ id }) => id);
  };
}

/** Photographs that no entry names, by their ids, and how much room they take. */
interface LoosePhotos {
  readonly ids: readonly string[];
  readonly bytes: number;
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
    queryFn: async (): Promise<LoosePhotos> => {
      const named = new Set(garden.entries.flatMap(({ photoIds = [] }) => photoIds));
      // a row that does not read may be read by a newer Rundel, and then wants its photographs
      const unread = setAside.map(({ text = '' }) => text).join('\n');
      const ids: string[] = [];
      let bytes = 0;
      await photosOf(store.name).photos.each((photo) => {
        if (named.has(photo.id) || unread.includes(photo.id)) return;
        ids.push(photo.id);
        bytes += photo.bytes.byteLength;
      });
      return { ids, bytes };
    },
  });
  return {
    loose: data,
    async letGo() {
      try {
        await photosOf(store.name).photos.bulkDelete([...(data?.ids ?? [])]);
      } catch (cause) {
        throw storageError(cause);
      }
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
      const photo = await photosOf(store.name).photos.get(photoId);
      return photo ? urlOf(photo.bytes) : null;
    },
  });
  return data;
}
