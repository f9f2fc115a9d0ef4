import { dayOf, momentOf } from '@rundel/core/calendar';
import type { Entry, Garden, Settings } from '@rundel/core/records';
import { expose } from 'comlink';
import {
  ConflictError,
  DATABASE_NAMES,
  GardenStore,
  PhotoStore,
  privateFiles,
  recentFrom,
  SecondCopy,
  StorageError,
  type Conflict,
  type GardenId,
  type PrivateFiles,
  type RecordChange,
  type StoredGarden,
  type StoredPhoto,
  type Written,
} from '../db/index.ts';
import { entriesOf, textsOf } from './entry-texts.ts';

/** What a store was asked for, or why it could not: an error that crosses threads is its message alone. */
export type StoreAnswer<T> = {
  /** which rows the garden stands in after it */
  readonly stamp: string;
} & ({ readonly value: T } | { readonly problem: string; readonly conflict?: Conflict });

/** A garden without its diary, which goes beside it as texts. */
export interface GardenAndTexts {
  readonly stored: StoredGarden;
  readonly texts: readonly string[];
}

/** What a store does and gives as it is. */
export type PlainWork =
  | 'append'
  | 'databaseName'
  | 'goBack'
  | 'looseEntries'
  | 'moveTo'
  | 'readNote'
  | 'readWalk'
  | 'settled'
  | 'write'
  | 'writeNote'
  | 'writeSettings';

/** What a store wrote, by what it was asked and gave; undefined: nothing that a second copy is of. */
function writtenBy(
  what: PlainWork,
  given: readonly unknown[],
  gave: unknown,
): Omit<Written, 'database'> | undefined {
  switch (what) {
    case 'append':
      return { entries: gave as readonly Entry[] };
    case 'write': {
      const changes = gave as readonly RecordChange[];
      const [, entries = []] = given as [unknown, (readonly Entry[])?];
      return { records: changes.map(({ table, after }) => ({ table, row: after })), entries };
    }
    case 'writeSettings':
      return { settings: gave as Settings };
    default:
      return undefined;
  }
}

/**
 * The browser's databases, in a thread of their own: whoever asks for a garden or writes to it asks here.
 *
 * @param files where the grower's own garden has its second copy
 */
export function createStoreApi(files: () => Promise<PrivateFiles | undefined> = privateFiles) {
  const stores = new Map<string, GardenStore>();
  const photos = new Map<string, PhotoStore>();
  const kept = <T>(known: Map<string, T>, garden: string, made: (garden: string) => T): T => {
    const there = known.get(garden) ?? made(garden);
    known.set(garden, there);
    return there;
  };
  const storeOf = (garden: string) => kept(stores, garden, (name) => new GardenStore(name));
  const copyOf = async (garden: string): Promise<SecondCopy | undefined> => {
    const there = garden === DATABASE_NAMES.own ? await files() : undefined;
    return there && new SecondCopy(garden, there);
  };
  /** Copies something; what cannot be copied is stored all the same. */
  const copying = async (garden: string, work: (copy: SecondCopy) => Promise<void>): Promise<void> => {
    const copy = await copyOf(garden);
    await (copy && work(copy))?.catch(() => undefined);
  };
  const photosOf = (garden: string) => kept(photos, garden, (name) => new PhotoStore(name));

  async function answer<T>(
    garden: string,
    work: (store: GardenStore) => Promise<T>,
  ): Promise<StoreAnswer<T>> {
    const store = storeOf(garden);
    try {
      const value = await work(store);
      return { stamp: store.stamp, value };
    } catch (error) {
      if (!(error instanceof StorageError)) throw error;
      const { stamp } = store;
      const problem = error.message;
      return error instanceof ConflictError
        ? { stamp, problem, conflict: error.conflict }
        : { stamp, problem };
    }
  }

  async function read(
    store: GardenStore,
    from: string | undefined,
    canTrust?: boolean,
  ): Promise<GardenAndTexts | undefined> {
    const found = await store.load(from, canTrust);
    if (!found) return undefined;
    const { texts, ...stored } = found;
    const { garden } = stored;
    return {
      stored: { ...stored, garden: { ...garden, entries: [] } },
      texts: [...texts, ...(await textsOf(garden.entries))],
    };
  }
  let ahead:
    | {
        readonly garden: string;
        readonly from: string | undefined;
        readonly read: Promise<StoreAnswer<GardenAndTexts | undefined>>;
      }
    | undefined;

  return {
    ask(garden: string, what: PlainWork, given: readonly unknown[]): Promise<StoreAnswer<unknown>> {
      return answer(garden, async (store) => {
        const [database, isSame] = given;
        // before it is there: what is written to it right after it must not be of nobody
        if (what === 'moveTo' && isSame === true)
          await copying(garden, async (copy) =>
            copy.note({ database: String(database), follows: await store.databaseName() }),
          );
        const work = store[what] as (...given: readonly unknown[]) => Promise<unknown>;
        const gave = await work.call(store, ...given);
        const written = writtenBy(what, given, gave);
        if (written)
          await copying(garden, async (copy) =>
            copy.note({ database: await store.databaseName(), ...written }),
          );
        return gave;
      });
    },
    /** Whether the garden has a second copy beside the databases. */
    async hasCopy(garden: string): Promise<boolean> {
      return (await (await copyOf(garden))?.isThere()) ?? false;
    },
    /** Whether the second copy is to be made whole. */
    isCopyDue(garden: string): Promise<StoreAnswer<boolean>> {
      return answer(
        garden,
        async (store) => (await (await copyOf(garden))?.isDue(await store.databaseName())) ?? false,
      );
    },
    /**
     * Begins to read what the page will ask for first, while the page itself is still being read.
     *
     * @param now by the page's clock, ms
     */
    readAhead(gardenId: GardenId, now: number): void {
      const garden = DATABASE_NAMES[gardenId];
      const from = recentFrom(gardenId, dayOf(momentOf(now, -new Date(now).getTimezoneOffset())));
      ahead = { garden, from, read: answer(garden, (store) => read(store, from)) };
    },
    async load(garden: string, from: string | undefined): Promise<StoreAnswer<GardenAndTexts | undefined>> {
      const begun = ahead;
      ahead = undefined;
      const found = begun?.garden === garden && begun.from === from ? await begun.read : undefined;
      return answer(garden, async (store) =>
        found && 'value' in found && (await store.isAsRead()) ? found.value : read(store, from),
      );
    },
    /** All of it, with each row and page read once more: what was taken as it lay there may have been damaged. */
    loadChecked(garden: string): Promise<StoreAnswer<GardenAndTexts | undefined>> {
      return answer(garden, (store) => read(store, undefined, false));
    },
    loadOlder(garden: string, until: string): Promise<StoreAnswer<readonly string[]>> {
      return answer(garden, async (store) => textsOf(await store.loadOlder(until)));
    },
    begin(
      garden: string,
      first: Garden,
      texts: readonly string[],
      notes: Readonly<Record<string, unknown>>,
    ): Promise<StoreAnswer<void>> {
      return answer(garden, async (store) =>
        store.begin({ ...first, entries: await entriesOf(texts) }, notes),
      );
    },
    replace(garden: string, next: Garden, texts: readonly string[]): Promise<StoreAnswer<void>> {
      return answer(garden, async (store) => store.replace({ ...next, entries: await entriesOf(texts) }));
    },
    addPhotos(garden: string, added: readonly StoredPhoto[]) {
      return answer(garden, async () => {
        await photosOf(garden).add(added);
        await copying(garden, async (copy) => {
          for (const { id, bytes } of added) await copy.keepPhoto(id, bytes);
        });
      });
    },
    photo(garden: string, photoId: string) {
      return answer(garden, () => photosOf(garden).find(photoId));
    },
    loosePhotos(garden: string, named: ReadonlySet<string>, unread: string) {
      return answer(garden, () => photosOf(garden).loose(named, unread));
    },
    letPhotosGo(garden: string, ids: readonly string[]) {
      return answer(garden, async () => {
        await photosOf(garden).letGo(ids);
        await copying(garden, async (copy) => {
          for (const id of ids) await copy.letPhotoGo(id);
        });
      });
    },
  };
}

export type StoreApi = ReturnType<typeof createStoreApi>;

const api = createStoreApi();
// `early.js` names the garden that the page will ask for, and when it was opened by its own clock
const [, early, now] = ((globalThis as { readonly name?: string }).name ?? '').split(' ');
if (early === 'own' || early === 'demo') api.readAhead(early, Number(now));
expose(api);
