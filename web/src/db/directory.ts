import Dexie, { type Table } from 'dexie';
import { Connection } from './connection.ts';

/** Which database holds a garden, and which one held it before it was last opened from a file. */
interface Held {
  /** the garden's own name: that of its first database */
  readonly garden: string;
  readonly name: string;
  /** stays until the garden has been shown from its new database once */
  readonly former?: string;
}

class DirectoryDb extends Dexie {
  gardens!: Table<Held, string>;

  constructor() {
    super('rundel-directory');
    this.version(1).stores({ gardens: 'garden' });
  }
}

const directory = new Connection(() => new DirectoryDb());
const heldOf = (garden: string) => directory.use(({ gardens }) => gardens.get(garden));
const hold = (held: Held) => directory.use(({ gardens }) => gardens.put(held));

/** A database that was being filled when the page was closed is swept away after so long, ms: another tab may be filling it. */
const SWEPT_AFTER = 3_600_000;

/** The database that holds a garden now. */
export async function databaseOf(garden: string): Promise<string> {
  return (await heldOf(garden))?.name ?? garden;
}

/** A name for a garden's next database. */
export function nextDatabase(garden: string): string {
  return `${garden}~${Date.now().toString(36)}${Math.random().toString(36).slice(2, 6)}`;
}

/** From now on the garden is in another database; the one it was in stays until it is settled. */
export async function moveTo(garden: string, name: string): Promise<void> {
  const held = await heldOf(garden);
  await hold({ garden, name, former: held?.name ?? garden });
  if (held?.former !== undefined) await Dexie.delete(held.former);
}

/** The garden has been shown: the database that it was in before goes, and what was half filled once. */
export async function settle(garden: string): Promise<void> {
  const held = await heldOf(garden);
  if (held?.former !== undefined) {
    await hold({ garden, name: held.name });
    await Dexie.delete(held.former);
  }
  for (const name of await Dexie.getDatabaseNames()) {
    const [of, made] = name.split('~');
    const age = Date.now() - Number.parseInt((made ?? '').slice(0, -4), 36);
    if (of === garden && made && name !== held?.name && age > SWEPT_AFTER) await Dexie.delete(name);
  }
}

/** Goes back to the database before the last opening. */
export async function goBack(garden: string): Promise<boolean> {
  const held = await heldOf(garden);
  if (held?.former === undefined) return false;
  await hold({ garden, name: held.former });
  await Dexie.delete(held.name);
  return true;
}
