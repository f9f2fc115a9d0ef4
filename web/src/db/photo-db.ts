import Dexie, { type Table } from 'dexie';

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
