import type { Settings } from '../records/index.ts';
import { canonical } from './canonical.ts';
import { latestMoment, momentAfter } from './moments.ts';

/** Settings whose own entries are changed one by one: each of them counts as a field. */
const BY_NAME = ['assumptions', 'training', 'shopPrices'] as const;
/** What is said of the others, and is no field itself. */
const STAMPS = new Set(['changedAt', 'stamps']);
const isByName = (field: string): field is (typeof BY_NAME)[number] =>
  (BY_NAME as readonly string[]).includes(field);

/** Before anything that a grower can have said. */
const UNSAID = '1950-01-01T00:00:00.000Z';

/**
 * Settings that a garden begins with: what nobody chose gives way to whatever another device was told, however long before.
 *
 * @param chosen the fields that the grower was asked for
 */
export function asBegun(settings: Settings, chosen: readonly string[]): Settings {
  const usual = [...fieldsOf(settings).keys()].filter((field) => !chosen.includes(field));
  return { ...settings, stamps: Object.fromEntries(usual.map((field) => [field, UNSAID])) };
}

/** The settings as a list of fields: `units`, `assumptions.youngCheck`. */
function fieldsOf(settings: Settings): ReadonlyMap<string, unknown> {
  const fields = new Map<string, unknown>();
  for (const [field, value] of Object.entries(settings)) {
    if (STAMPS.has(field) || value === undefined) continue;
    if (!isByName(field)) fields.set(field, value);
    else for (const [name, inside] of Object.entries(value as object)) fields.set(`${field}.${name}`, inside);
  }
  return fields;
}

/** The settings that fields come to. */
function settingsOf(
  fields: ReadonlyMap<string, unknown>,
  stamps: ReadonlyMap<string, string>,
  changedAt: string,
): Settings {
  const flat: Record<string, unknown> = {};
  const byName: Record<string, Record<string, unknown>> = { assumptions: {} };
  for (const [field, value] of [...fields].sort(([a], [b]) => (a < b ? -1 : 1))) {
    const [group = '', name] = [field.slice(0, field.indexOf('.')), field.slice(field.indexOf('.') + 1)];
    if (isByName(group)) (byName[group] ??= {})[name] = value;
    else flat[field] = value;
  }
  // a field that was changed when all of it was needs no moment of its own; one that was taken away does
  const own = [...stamps].filter(([field, at]) => at !== changedAt || !fields.has(field)).sort();
  return {
    ...flat,
    ...byName,
    ...(own.length > 0 ? { stamps: Object.fromEntries(own) } : {}),
    changedAt,
  } as unknown as Settings;
}

/** When a field was changed; undefined where it was never said. */
function stampOf(
  settings: Settings,
  fields: ReadonlyMap<string, unknown>,
  field: string,
): string | undefined {
  return settings.stamps?.[field] ?? (fields.has(field) ? settings.changedAt : undefined);
}

/**
 * The fields in which two settings differ, those with entries by name one by one.
 *
 * @returns names such as `units` and `assumptions.youngCheck`, in their order
 */
export function fieldsChanged(before: Settings, after: Settings): readonly string[] {
  const [old, next] = [fieldsOf(before), fieldsOf(after)];
  return [...new Set([...old.keys(), ...next.keys()])]
    .filter((field) => canonical(old.get(field)) !== canonical(next.get(field)))
    .sort();
}

/**
 * Settings with the changes that led from one to another made to what they are now: what somebody else changed meanwhile stays.
 * Each field that changed is stamped with the moment.
 *
 * @param current as they are stored
 * @param before as they were when the change was begun
 * @param after as they were to be
 */
export function withChanges(current: Settings, before: Settings, after: Settings, now: string): Settings {
  const changed = fieldsChanged(before, after);
  if (changed.length === 0) return current;
  const next = fieldsOf(after);
  const fields = new Map(fieldsOf(current));
  const stamps = new Map<string, string>();
  for (const field of new Set([...fields.keys(), ...Object.keys(current.stamps ?? {})])) {
    const at = stampOf(current, fields, field);
    if (at !== undefined) stamps.set(field, at);
  }
  const changedAt = momentAfter(now, current.changedAt);
  for (const field of changed) {
    stamps.set(field, changedAt);
    if (next.has(field)) fields.set(field, next.get(field));
    else fields.delete(field);
  }
  return settingsOf(fields, stamps, changedAt);
}

/**
 * Two devices' settings as one: of each field what was said of it last. Of two said at one instant the greater, so that it does not
 * matter which device is asked.
 */
export function mergeSettings(a: Settings, b: Settings): Settings {
  const [ofA, ofB] = [fieldsOf(a), fieldsOf(b)];
  const fields = new Map<string, unknown>();
  const stamps = new Map<string, string>();
  const names = [ofA, ofB].flatMap((of) => [...of.keys()]);
  const stamped = [a, b].flatMap(({ stamps: own }) => Object.keys(own ?? {}));
  for (const field of new Set([...names, ...stamped])) {
    const said = [
      { at: stampOf(a, ofA, field), value: ofA.get(field) },
      { at: stampOf(b, ofB, field), value: ofB.get(field) },
    ]
      .filter((one): one is { at: string; value: unknown } => one.at !== undefined)
      .sort(
        (x, y) =>
          Date.parse(y.at) - Date.parse(x.at) ||
          (canonical(x.value) < canonical(y.value) ? 1 : canonical(x.value) > canonical(y.value) ? -1 : 0) ||
          (x.at < y.at ? 1 : -1),
      );
    const [last] = said;
    if (!last) continue;
    stamps.set(field, last.at);
    if (last.value !== undefined) fields.set(field, last.value);
  }
  return settingsOf(fields, stamps, latestMoment(a.changedAt, b.changedAt));
}
