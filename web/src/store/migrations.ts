/**
 * Migrations of the stored format, files and browser database alike. Each is a pure function on a copy that takes a
 * garden of its version to the next; one fixture file for each old version stays in the tests.
 */
type Migration = (garden: Record<string, unknown>) => Record<string, unknown>;

/** MIGRATIONS[n - 1] takes version n to n + 1. There is only version 1 so far. */
const MIGRATIONS: readonly Migration[] = [];

export const LATEST_VERSION = MIGRATIONS.length + 1;

/** Takes a garden of an older version to the latest, leaving the one that was given as it was. */
export function migrate(garden: Record<string, unknown>, version: number): Record<string, unknown> {
  return MIGRATIONS.slice(version - 1).reduce(
    (older, step) => step(structuredClone(older)),
    structuredClone(garden),
  );
}
