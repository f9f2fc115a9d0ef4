/** Raised when something could not be stored or read; what was entered is still on the screen. */
export class StorageError extends Error {
  override readonly name = 'StorageError';
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
