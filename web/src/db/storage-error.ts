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

const KEPT = 'Nothing was changed, and what you entered is still on the screen.';

const WORDS: readonly (readonly [RegExp, string])[] = [
  [
    /QuotaExceeded/,
    `The browser’s storage is full. ${KEPT} Save the garden to a file, make room (photographs take most), and try again.`,
  ],
  [
    /VersionError/,
    'A newer Rundel has stored this garden. Nothing was changed. Load the page again to have the newer one.',
  ],
  [
    /Blocked/,
    'Another tab still works with an older Rundel, and this one has to wait for it. Nothing was changed. Close the other tabs and load this page again.',
  ],
  [
    /MissingAPI|SecurityError|OpenFailed|InvalidState/,
    'The browser lets Rundel store nothing here: perhaps this is a private window, or storage is switched off for this address. Nothing was stored. Open Rundel in an ordinary window, or allow it to store.',
  ],
  [/DatabaseClosed/, `The garden was closed by another tab. ${KEPT} Load the page again.`],
  [/ConstraintError/, `An entry of this id is there already. ${KEPT}`],
];

function wordsOf(cause: unknown): string {
  const names = namesOf(cause);
  const known = WORDS.find(([name]) => names.some((one) => name.test(one)));
  if (known) return known[1];
  const why = cause instanceof Error ? cause.message : String(cause);
  return `The browser could not store or read this garden (${why}). Nothing was changed.`;
}

interface Wrapped {
  readonly name?: string;
  readonly inner?: unknown;
  readonly cause?: unknown;
  readonly failures?: readonly unknown[];
}

/** The names of an error and of what it wraps. */
function namesOf(error: unknown): readonly string[] {
  const names: string[] = [];
  let open: unknown[] = [error];
  // an error may wrap itself
  for (let depth = 0; depth < 5 && open.length > 0; depth++) {
    const wrapped = open.filter((one): one is Wrapped => typeof one === 'object' && one !== null);
    names.push(...wrapped.flatMap(({ name }) => name ?? []));
    open = wrapped.flatMap(({ inner, cause, failures = [] }) => [inner, cause, failures[0]]);
  }
  return names;
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
