/**
 * Migrations of the stored format, files and browser database alike. Each is a pure function that takes a
 * garden of its version to the next; one fixture file for each old version stays in the tests.
 */
type Migration = (garden: Record<string, unknown>) => Record<string, unknown>;

/** Fields that were called otherwise up to version 4, in every table. */
const RENAMED_FIELDS: Readonly<Record<string, string>> = {
  standId: 'placeId',
  goodId: 'productId',
  wayId: 'plantingMethodId',
  schoolId: 'practiceId',
  look: 'check',
  words: 'description',
  closes: 'shortensWithGrowth',
  drinkMeasureId: 'wateringMeasureId',
  depthSchoolId: 'depthPracticeId',
  sizingSchoolId: 'sizingPracticeId',
  timingSchoolId: 'timingPracticeId',
  supportSchoolId: 'supportPracticeId',
  orderSchoolId: 'orderPracticeId',
  stripSchoolId: 'stripPracticeId',
  // a grower's own numbers
  firstDrinkDry: 'firstWateringDry',
  firstDrinkMoist: 'firstWateringMoist',
  looseDrink: 'looseWatering',
  measuredDrink: 'measuredWatering',
  surpriseLetsGo: 'surpriseForgetting',
  contradictionLetsGo: 'contradictionForgetting',
  youngLook: 'youngCheck',
  longestLook: 'longestCheck',
  lookMinutes: 'checkMinutes',
  drinkMinutes: 'wateringMinutes',
  wayMinutes: 'walkMinutes',
};

/** Kinds of entries that were called otherwise up to version 4. */
const RENAMED_KINDS: Readonly<Record<string, string>> = { look: 'check', drink: 'watering' };

/** Tables that were called otherwise up to version 4. */
export const RENAMED_TABLES: Readonly<Record<string, string>> = { stands: 'places', goods: 'products' };

/** A row, settings or note of version 4 with the names of version 5; what the grower wrote is left as it is. */
export function withNewNames(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withNewNames);
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, inside]) => [RENAMED_FIELDS[key] ?? key, withNewNames(inside)]),
  );
}

/** An entry of version 4 with the names of version 5. */
export function entryWithNewNames(entry: unknown): unknown {
  const renamed = withNewNames(entry);
  if (renamed === null || typeof renamed !== 'object' || !('kind' in renamed)) return renamed;
  return { ...renamed, kind: RENAMED_KINDS[String(renamed.kind)] ?? renamed.kind };
}

/** MIGRATIONS[n - 1] takes version n to n + 1. */
export const MIGRATIONS: readonly Migration[] = [
  // 2: the grower's own mixes and goods, packs with prices, templates of bags
  (garden) => ({ ...garden, mixes: [], goods: [], packs: [], templates: [] }),
  // 3: what is to go into a bag and when
  (garden) => ({ ...garden, plans: [] }),
  // 4: regimes of feeding
  (garden) => ({ ...garden, regimes: [] }),
  // 5: names as growers and textbooks say them
  (garden) =>
    Object.fromEntries(
      Object.entries(garden).map(([key, part]) => {
        if (key === 'entries' && Array.isArray(part)) return [key, part.map(entryWithNewNames)];
        return [RENAMED_TABLES[key] ?? key, withNewNames(part)];
      }),
    ),
  // 6: what a variety is known for, when a batch was sown and came up, how far a bag is filled, stages by plant and not yet there,
  // why a plant left, bags that were carried: all of it may be left out
  (garden) => garden,
  // 7: tanks that several bags share; lines of drip, how much ran through
  (garden) => ({ ...garden, tanks: [] }),
  // 8: training, trusses, signs of trouble and what came of it, sprays, cleaning, alerts: all of it may be left out
  (garden) => garden,
  // 9: trials; the shelf, prices of the shop and minutes of a round may be left out
  (garden) => ({ ...garden, trials: [] }),
  // 10: a row a line with a checksum, photographs of entries, when each setting was changed: all of it may be left out
  (garden) => garden,
];

/** Takes a garden of an older version to the latest, leaving the one that was given as it was. */
export function migrate(garden: Record<string, unknown>, version: number): Record<string, unknown> {
  return MIGRATIONS.slice(version - 1).reduce((older, step) => step(older), { ...garden });
}
