import Dexie, { type Table } from 'dexie';
import { Connection } from './connection.ts';

/** A photograph as it is kept: shrunk, and without what the camera wrote about place and device. */
export interface StoredPhoto {
  readonly id: string;
  /** JPEG */
  readonly bytes: ArrayBuffer;
  /** when it was put here */
  readonly addedAt: string;
}

/**
 * The photographs of one garden, in a database of their own: they are many times as large as all the rest, and stay where they
 * are when a garden file takes the garden's place.
 */
export class PhotoDb extends Dexie {
  photos!: Table<StoredPhoto, string>;

  /** @param garden its own name, as its first database has it */
  constructor(garden: string) {
    super(`${garden}-photos`);
    this.version(1).stores({ photos: 'id' });
  }
}

/** Photographs that no entry names, by their ids, and how much room they take. */
export interface LoosePhotos {
  readonly ids: readonly string[];
  readonly bytes: number;
}

/** The photographs of one garden: looked up one by one, and a page shows a few, so that their database stays open. */
export class PhotoStore {
  private readonly db: Connection<PhotoDb>;

  /** @param garden its own name */
  constructor(garden: string) {
    this.db = new Connection(() => new PhotoDb(garden));
  }

  /** Puts photographs there; they count once an entry names them. */
  async add(photos: readonly StoredPhoto[]): Promise<void> {
    await this.db.use((db) => db.photos.bulkAdd(photos));
  }

  /** The bytes of a photograph; undefined: it is not on this device. */
  async find(photoId: string): Promise<ArrayBuffer | undefined> {
    return (await this.db.use((db) => db.photos.get(photoId)))?.bytes;
  }

  /**
   * Photographs that nothing names.
   *
   * @param named those that entries name
   * @param unread rows that do not read, as text: what they name may be wanted by a newer Rundel
   */
  async loose(named: ReadonlySet<string>, unread: string): Promise<LoosePhotos> {
    return this.db.use(async (db) => {
      const ids: string[] = [];
      let bytes = 0;
      await db.photos.each((photo) => {
        if (named.has(photo.id) || unread.includes(photo.id)) return;
        ids.push(photo.id);
        bytes += photo.bytes.byteLength;
      });
      return { ids, bytes };
    });
  }

  async letGo(ids: readonly string[]): Promise<void> {
    await this.db.use((db) => db.photos.bulkDelete([...ids]));
  }
}
