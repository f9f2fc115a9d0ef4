import type { Entry, RecordOf, Settings, TableName } from '@rundel/core/records';
import type { PrivateFiles } from './private-files.ts';

/** What was written to a garden in one go. */
export interface Written {
  /** the database that the garden was in */
  readonly database: string;
  readonly entries?: readonly Entry[];
  readonly records?: readonly { readonly table: TableName; readonly row: RecordOf<TableName> }[];
  readonly settings?: Settings;
  /** the database that the same garden was in before: what is written from here on is of it too */
  readonly follows?: string;
}

/** The copy as it lies there. */
export interface CopyFound {
  /** a garden file, as it was when the copy was last made whole */
  readonly text: string;
  /** what was written to the same garden since, oldest first */
  readonly written: readonly Written[];
}

interface Head {
  /** grows by one with each */
  readonly number: number;
  readonly database: string;
  /** of the garden file behind it */
  readonly bytes: number;
}

const SLOTS = ['a', 'b'] as const;
const JOURNAL = 'journal';
const HEAD_MOST = 400;
/** So much is written on at its end before the copy is made whole again, bytes: some hundred entries. */
const JOURNAL_MOST = 200_000;
const NEWLINE = 10;

/**
 * A second copy of a garden in files beside the browser's databases. A browser that finds those damaged throws away all of them,
 * which happens to one that was ended in the midst of writing; then the garden is brought back from here.
 *
 * The copy is a garden file, and behind it a journal of what was written since, a line each. What is in both does no harm: a merge
 * takes it once. Photographs lie beside them, a file each.
 */
export class SecondCopy {
  constructor(
    private readonly garden: string,
    private readonly files: PrivateFiles,
  ) {}

  private nameOf(part: string): string {
    return `${this.garden}.${part}`;
  }

  /** Writes on what was written to the garden. */
  async note(written: Written): Promise<void> {
    // a line that was cut short before does not spoil this one
    const bytes = new TextEncoder().encode(`\n${JSON.stringify(written)}`);
    await this.files.alone(this.nameOf(JOURNAL), () => this.files.append(this.nameOf(JOURNAL), bytes));
  }

  /** Keeps a photograph. */
  async keepPhoto(id: string, bytes: ArrayBuffer): Promise<void> {
    await this.files.write(this.photoName(id), new Uint8Array(bytes));
  }

  /** How large a photograph is there, bytes; 0: it is not. One that was cut short is smaller than it should be. */
  photoSize(id: string): Promise<number> {
    return this.files.size(this.photoName(id));
  }

  /** The bytes of a photograph; undefined: it is not there. */
  async findPhoto(id: string): Promise<Uint8Array<ArrayBuffer> | undefined> {
    const bytes = await this.files.read(this.photoName(id));
    return bytes.length > 0 ? bytes : undefined;
  }

  async letPhotoGo(id: string): Promise<void> {
    await this.files.remove(this.photoName(id));
  }

  private photoName(id: string): string {
    return this.nameOf(`${id}.jpg`);
  }

  async isThere(): Promise<boolean> {
    return (await this.newest()) !== undefined;
  }

  /** Whether it is to be made whole: it is not there, is of another database, or much was written since. */
  async isDue(database: string): Promise<boolean> {
    const newest = await this.newest();
    return newest?.head.database !== database || (await this.files.size(this.nameOf(JOURNAL))) > JOURNAL_MOST;
  }

  /**
   * Makes it whole again; until that is done the former copy stays.
   *
   * @param database that the garden is in
   * @param make gives the garden as a file
   */
  async make(database: string, make: () => Promise<Uint8Array<ArrayBuffer>>): Promise<void> {
    await this.files.unlessBusy(this.nameOf('making'), async () => {
      const journal = this.nameOf(JOURNAL);
      // what stands in the journal now is in the database already
      const covered = await this.files.alone(journal, () => this.files.size(journal));
      const file = await make();
      const newest = await this.newest();
      const slot = newest?.slot === 'a' ? 'b' : 'a';
      const head: Head = { number: (newest?.head.number ?? 0) + 1, database, bytes: file.length };
      await this.files.write(this.nameOf(slot), joined(`${JSON.stringify(head)}\n`, file));
      await this.files.alone(journal, async () =>
        this.files.write(journal, (await this.files.read(journal)).slice(covered)),
      );
      if (newest) await this.files.remove(this.nameOf(newest.slot));
    });
  }

  /** What is there to bring a garden back from. */
  async find(): Promise<CopyFound | undefined> {
    const newest = await this.newest();
    if (!newest) return undefined;
    const bytes = await this.files.read(this.nameOf(newest.slot));
    const journal = new TextDecoder().decode(await this.files.read(this.nameOf(JOURNAL)));
    // another database was filled from another file, or is this garden merged with one
    const same = new Set([newest.head.database]);
    const written = journal.split('\n').flatMap((line) => {
      // a line that was cut short is no line
      const one = parsed(line) as Written | undefined;
      if (one?.follows !== undefined && same.has(one.follows)) same.add(one.database);
      return one && same.has(one.database) ? [one] : [];
    });
    return { text: new TextDecoder().decode(bytes.subarray(newest.from)), written };
  }

  /** The newest that was written to its end. */
  private async newest() {
    const all = await Promise.all(SLOTS.map((slot) => this.slot(slot)));
    return all
      .filter((one) => one !== undefined)
      .sort((a, b) => b.head.number - a.head.number)
      .at(0);
  }

  private async slot(slot: (typeof SLOTS)[number]) {
    const name = this.nameOf(slot);
    const size = await this.files.size(name);
    if (size === 0) return undefined;
    const begin = await this.files.read(name, HEAD_MOST);
    const from = begin.indexOf(NEWLINE) + 1;
    const head = parsed(new TextDecoder().decode(begin.subarray(0, from))) as Head | undefined;
    return head && size === from + head.bytes ? { slot, head, from } : undefined;
  }
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

function joined(head: string, file: Uint8Array): Uint8Array<ArrayBuffer> {
  const first = new TextEncoder().encode(head);
  const whole = new Uint8Array(first.length + file.length);
  whole.set(first);
  whole.set(file, first.length);
  return whole;
}
