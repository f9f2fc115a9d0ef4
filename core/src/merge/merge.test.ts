import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, gannetSlip } from '../../demo/index.ts';
import { settingsSchema, type Entry, type Garden, type Place, type Settings } from '../records/index.ts';
import { canonical } from './canonical.ts';
import {
  asBegun,
  fieldsChanged,
  latestMoment,
  mergeGardens,
  mergeRecord,
  mergeSettings,
  momentAfter,
  whatWouldChange,
  withChanges,
} from './index.ts';

const demo = gannetSlip(1);
const bare: Garden = {
  ...(Object.fromEntries(Object.keys(demo).map((table) => [table, []])) as unknown as Garden),
  settings: { ...demo.settings, assumptions: {}, changedAt: '2026-01-01T00:00:00.000Z' },
};
/** Few, so that they are equal often; the last two are one instant. */
const MOMENTS = [
  '2026-07-16T18:00:00.000+01:00',
  '2026-07-16T18:00:00.001+01:00',
  '2026-07-17T09:00:00.000+01:00',
  '2026-07-17T10:00:00.000+02:00',
];
const at = fc.constantFrom(...MOMENTS);
const name = fc.constantFrom('Quay', 'Wall', 'Roof');

const places = fc.uniqueArray(
  fc.record({ id: fc.constantFrom('std_aaaaaa', 'std_bbbbbb', 'std_cccccc'), name, changedAt: at }),
  { selector: (p) => p.id },
);
const entries = fc.uniqueArray(
  fc.record({
    id: fc.constantFrom('ent_aaaaaa', 'ent_bbbbbb', 'ent_cccccc', 'ent_dddddd'),
    note: name,
    recordedAt: at,
  }),
  { selector: (e) => e.id },
);
/** Settings as devices come to them: one change after another, some of them taken away again. */
const changes = fc.array(
  fc.record({
    at,
    field: fc.constantFrom(
      'gardenName',
      'hourValue',
      'currency',
      'assumptions.youngCheck',
      'training.bush tipped',
    ),
    value: fc.constantFrom(undefined, 1, 2),
  }),
  { maxLength: 6 },
);
function changed(settings: Settings, field: string, value: number | undefined): Settings {
  const next: Record<string, unknown> = structuredClone(settings);
  const [group = '', inside] = field.split('.');
  if (field === 'gardenName') next['gardenName'] = `Garden ${String(value)}`;
  else if (inside)
    next[group] = {
      ...(next[group] as object),
      [inside]: group === 'training' && value ? value === 1 : value,
    };
  else next[group] = field === 'currency' && value !== undefined ? `c${value}` : value;
  return JSON.parse(JSON.stringify(next)) as Settings;
}
const gardens = fc
  .record({ places, entries, changes })
  .map(({ places: own, entries: written, changes: done }) => ({
    ...bare,
    places: own.map((place) => ({ ...place, createdAt: MOMENTS[0], cover: 'open', order: 0 }) as Place),
    entries: written.map((e) => ({ ...e, kind: 'note', at: MOMENTS[0] }) as Entry),
    settings: done.reduce(
      (settings, { at: moment, field, value }) =>
        withChanges(settings, settings, changed(settings, field, value), moment),
      bare.settings,
    ),
  }));

/** A garden as its file has it: rows by id, whatever order they lie in. */
const asFile = (garden: Garden) =>
  canonical({
    ...garden,
    places: [...garden.places].sort((a, b) => (a.id < b.id ? -1 : 1)),
    entries: [...garden.entries].sort((a, b) => (a.id < b.id ? -1 : 1)),
  });

/** All of them with `npm run fuzz`; with each test a part. */
const PAIRS = process.env['RUNDEL_FUZZ'] === 'whole' ? 10_000 : 2500;

describe('merging gardens', () => {
  it(`does not ask which of two comes first (${PAIRS} pairs, clocks that stand alike among them)`, () => {
    fc.assert(
      fc.property(gardens, gardens, (a, b) => asFile(mergeGardens(a, b)) === asFile(mergeGardens(b, a))),
      { numRuns: PAIRS },
    );
  });

  it('does not ask in what order three are merged', () => {
    fc.assert(
      fc.property(
        gardens,
        gardens,
        gardens,
        (a, b, c) =>
          asFile(mergeGardens(mergeGardens(a, b), c)) === asFile(mergeGardens(a, mergeGardens(b, c))),
      ),
      { numRuns: 1000 },
    );
  });

  it('a copy with itself, or twice with another, changes nothing more', () => {
    fc.assert(
      fc.property(gardens, gardens, (a, b) => {
        const once = mergeGardens(a, b);
        return asFile(mergeGardens(a, a)) === asFile(a) && asFile(mergeGardens(once, b)) === asFile(once);
      }),
      { numRuns: 1000 },
    );
  });

  it('leaves out no row of either', () => {
    fc.assert(
      fc.property(gardens, gardens, (a, b) => {
        const ids = new Set(mergeGardens(a, b).entries.map(({ id }) => id));
        return [...a.entries, ...b.entries].every(({ id }) => ids.has(id));
      }),
    );
  });

  it('keeps what is the very same, so that nothing is worked out anew for it', () => {
    const merged = mergeGardens(demo, structuredClone(demo));
    expect(merged.entries[5]).toBe(demo.entries[5]);
    expect(merged.settings).toEqual(demo.settings);
    expect(settingsSchema.safeParse(merged.settings).success).toBe(true);
  });
});

describe('what would change', () => {
  it('is counted by table, and settings by name', () => {
    const [place] = demo.places;
    const theirs = {
      ...demo,
      places: demo.places.map((p) => (p === place ? { ...p, name: 'Quay' } : structuredClone(p))),
      entries: [...demo.entries, { ...(demo.entries[0] as Entry), id: 'ent_another1' }],
      settings: { ...demo.settings, roundHours: [7] },
    };
    expect(whatWouldChange(demo, theirs)).toEqual({
      tables: [
        { table: 'places', added: 0, changed: 1 },
        { table: 'entries', added: 1, changed: 0 },
      ],
      settings: ['roundHours'],
    });
    expect(whatWouldChange(demo, structuredClone(demo))).toEqual({ tables: [], settings: [] });
  });
});

describe('settings of two devices', () => {
  const start = bare.settings;
  const later = (settings: Settings, patch: Partial<Settings>, moment: string) =>
    withChanges(settings, settings, { ...settings, ...patch }, moment);

  it('meet field by field: the hour of one and the units of the other both count', () => {
    const phone = later(start, { roundHours: [6] }, MOMENTS[0] ?? '');
    const desk = later(start, { units: 'us' }, MOMENTS[2] ?? '');
    expect(mergeSettings(phone, desk)).toMatchObject({ roundHours: [6], units: 'us' });
    expect(mergeSettings(desk, phone)).toEqual(mergeSettings(phone, desk));
  });

  it('numbers of the grower’s own meet one by one', () => {
    const phone = later(start, { assumptions: { youngCheck: 3 } }, MOMENTS[0] ?? '');
    const desk = later(start, { assumptions: { longestCheck: 9 } }, MOMENTS[2] ?? '');
    expect(mergeSettings(phone, desk).assumptions).toEqual({ youngCheck: 3, longestCheck: 9 });
  });

  it('what was taken away later stays away', () => {
    const priced = later(start, { hourValue: 12 }, MOMENTS[0] ?? '');
    const { hourValue: _, ...rest } = priced;
    const without = withChanges(priced, priced, rest, MOMENTS[2] ?? '');
    expect(mergeSettings(priced, without).hourValue).toBeUndefined();
    expect(mergeSettings(without, priced).hourValue).toBeUndefined();
  });

  it('a change made in one tab leaves what another tab has changed since', () => {
    const asOpened = start;
    const stored = later(start, { units: 'us' }, MOMENTS[0] ?? '');
    const saved = withChanges(stored, asOpened, { ...asOpened, gardenName: 'Roof' }, MOMENTS[2] ?? '');
    expect(saved).toMatchObject({ units: 'us', gardenName: 'Roof' });
    expect(fieldsChanged(asOpened, saved)).toEqual(['gardenName', 'units']);
  });

  it('what a new garden merely begins with gives way to what was chosen before it, and what its grower chose does not', () => {
    const old = { ...start, roundHours: [6], units: 'us' as const, changedAt: '2025-03-01T10:00:00.000Z' };
    const fresh = asBegun(
      { ...start, roundHours: [8, 18], units: 'uk', changedAt: '2026-03-01T10:00:00.000Z' },
      ['units'],
    );
    for (const merged of [mergeSettings(old, fresh), mergeSettings(fresh, old)])
      expect(merged).toMatchObject({ roundHours: [6], units: 'uk' });
    const later = withChanges(fresh, fresh, { ...fresh, roundHours: [7] }, '2026-03-02T10:00:00.000Z');
    expect(mergeSettings(old, later).roundHours).toEqual([7]);
  });

  it('nothing said is nothing changed', () => {
    expect(withChanges(start, start, { ...start }, MOMENTS[3] ?? '')).toBe(start);
  });
});

describe('moments of changes', () => {
  it('never go back, whatever the clock says', () => {
    expect(momentAfter('2020-01-01T00:00:00.000Z', DEMO_EVENING)).toBe('2026-07-16T18:00:00.001+01:00');
    expect(momentAfter(DEMO_EVENING, DEMO_EVENING) > DEMO_EVENING).toBe(true);
    expect(momentAfter(DEMO_EVENING, undefined)).toBe(DEMO_EVENING);
  });

  it('of one instant the same is taken from either side', () => {
    const [, , here = '', there = ''] = MOMENTS;
    expect(Date.parse(here)).toBe(Date.parse(there));
    expect(latestMoment(here, there)).toBe(latestMoment(there, here));
  });
});

describe('a record that two have changed', () => {
  const before = demo.places[0] as Place;

  it('takes a field from whoever changed it', () => {
    const theirs = { ...before, shade: 0.4, changedAt: MOMENTS[1] ?? '' };
    const mine = { ...before, name: 'Quay', changedAt: MOMENTS[2] ?? '' };
    expect(mergeRecord(before, mine, theirs)).toEqual({
      merged: { ...before, name: 'Quay', shade: 0.4, changedAt: MOMENTS[2] },
      disputed: [],
    });
  });

  it('names the fields of which each says something else, and the same said twice is no dispute', () => {
    const theirs = { ...before, name: 'Wall', wireMillimetres: 2000 };
    const mine = { ...before, name: 'Quay', wireMillimetres: 2000 };
    const { merged, disputed } = mergeRecord(before, mine, theirs);
    expect(disputed).toEqual(['name']);
    expect(merged.name).toBe('Quay');
  });

  it('lets go of a field that was emptied', () => {
    const full = { ...before, shade: 0.3 };
    const { shade: _, ...emptied } = full;
    expect(mergeRecord<Place>(full, emptied, { ...full, name: 'Wall' }).merged).toEqual({
      ...emptied,
      name: 'Wall',
    });
  });
});
