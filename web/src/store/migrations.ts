/**
 * Migrations of the stored format, files and browser database alike. Each is a pure function on a copy that takes a
 * garden of its version to the next; one fixture file for each old version stays in the tests.
 */
type Migration = (garden: Record<string, unknown>) => Record<string, unknown>;

/** MIGRATIONS[n - 1] takes version n to n + 1. */
const MIGRATIONS: readonly Migration[] = [
  // 2: the grower's own mixes and goods, packs with prices, templates of bags
  (garden) => ({ ...garden, mixes: [], goods: [], packs: [], templates: [] }),
  // 3: what is to go into a bag and when
  (garden) => ({ ...garden, plans: [] }),
  // 4: regimes of feeding
  (garden) => ({ ...garden, regimes: [] }),
];

export const LATEST_VERSION = MIGRATIONS.length + 1;

/** Takes a garden of an older version to the latest, leaving the one that was given as it was. */
export function migrate(garden: Record<string, unknown>, version: number): Record<string, unknown> {
  return MIGRATIONS.slice(version - 1).reduce(
    (older, step) => step(structuredClone(older)),
    structuredClone(garden),
  );
}
