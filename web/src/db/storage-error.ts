/** Raised when something could not be stored or read; what was entered is still on the screen. */
export class StorageError extends Error {
  override readonly name = 'StorageError';
}

/** The garden was put into another database meanwhile, by another tab: what was to be written is written there. */
export class MovedError extends StorageError {}

/**
 * What a browser's own error means to a grower: the cause, what was kept, what to do. Its names are of IndexedDB and of Dexie,
 * which wraps one in another.
 */
export function storageError(cause: unknown): StorageError {
  if (cause instanceof StorageError) return cause;
  return new StorageError(wordsOf(cause), { cause });
}

/** Whether the browser gave up a connection, which does not come back: it says so, or breaks off whatever is written and gives no reason. */
export function isConnectionLost(cause: unknown): boolean {
  const errors = errorsIn(cause);
  const isOf = (pattern: RegExp) => errors.some(({ name = '' }) => pattern.test(name));
  return isOf(/UnknownError|InvalidState/) || (isOf(/AbortError/) && !isOf(/Constraint|Quota/));
}

const KEPT = 'Nothing was changed, and what you entered is still on the screen.';

/** A browser that runs out of room says so in an error of this name, or only in the words of another. */
const IS_FULL = /QuotaExceeded|NO_SPACE|full disk/i;
const FULL = `The browser’s storage is full. ${KEPT} Save the garden to a file, make room (photographs take most), and try again.`;

const NO_ROOM = `Mostly the device has no room left. ${KEPT} Make room on the device and try again; if that does not help, load the page again.`;

const WORDS: readonly (readonly [RegExp, string])[] = [
  [
    /VersionError/,
    'A newer Rundel has stored this garden. Nothing was changed. Load the page again to have the newer one.',
  ],
  [
    /Blocked/,
    'Another tab still works with an older Rundel, and this one has to wait for it. Nothing was changed. Close the other tabs and load this page again.',
  ],
  [
    // whichever the browser wraps it in: it gave up its own files
    /UnknownError/,
    `The browser cannot get at what it stores. ${NO_ROOM}`,
  ],
  [
    /MissingAPI|SecurityError|OpenFailed|InvalidState/,
    'The browser lets Rundel store nothing here: perhaps this is a private window, or storage is switched off for this address. Nothing was stored. Open Rundel in an ordinary window, or allow it to store.',
  ],
  [/DatabaseClosed/, `The garden was closed by another tab. ${KEPT} Load the page again.`],
  [/ConstraintError/, `An entry of this id is there already. ${KEPT}`],
  [/AbortError/, `The browser broke off what it was storing. ${NO_ROOM}`],
];

function wordsOf(cause: unknown): string {
  const errors = errorsIn(cause);
  if (errors.some(({ name, message }) => IS_FULL.test(`${name} ${message}`))) return FULL;
  const known = WORDS.find(([pattern]) => errors.some(({ name = '' }) => pattern.test(name)));
  if (known) return known[1];
  const why = cause instanceof Error ? cause.message : String(cause);
  return `The browser could not store or read this garden (${why}). Nothing was changed.`;
}

interface Wrapped {
  readonly name?: string;
  readonly message?: string;
  readonly inner?: unknown;
  readonly cause?: unknown;
  readonly failures?: readonly unknown[];
}

/** An error and what it wraps. */
function errorsIn(error: unknown): readonly Wrapped[] {
  const found: Wrapped[] = [];
  let open: unknown[] = [error];
  // an error may wrap itself
  for (let depth = 0; depth < 5 && open.length > 0; depth++) {
    const wrapped = open.filter((one): one is Wrapped => typeof one === 'object' && one !== null);
    found.push(...wrapped);
    open = wrapped.flatMap(({ inner, cause, failures = [] }) => [inner, cause, failures[0]]);
  }
  return found;
}

/**
 * Leaves an action that writes to run by itself. That the browser refused it has been told at the foot of the screen
 * already; any other error is a fault of the program and stays unhandled, so that tests see it.
 */
export function told(action: Promise<unknown> | undefined): void {
  action?.catch((error: unknown) => {
    if (!(error instanceof StorageError)) throw error;
  });
}
