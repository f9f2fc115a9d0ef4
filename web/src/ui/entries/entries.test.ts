import { gannetSlip } from '@rundel/core/demo';
import { entrySchema, liveEntries, type Entry, type EntryKind } from '@rundel/core/records';
import { describe, expect, it } from 'vitest';
import { fieldsIn } from '../../../test/field-context.ts';
import { readForm } from '../form/index.ts';
import { formOf } from './correct-forms.ts';
import { checkOf, correctionOf } from './entry-form.ts';
import { splitFruits } from './SplitFields.tsx';
import { wateringForm } from './water-forms.ts';

const garden = gannetSlip(3);
const base = {
  id: 'ent_forms0001',
  at: '2026-07-01T10:00:00.000+01:00',
  recordedAt: '2026-07-01T10:00:00.000+01:00',
};
const inBag = { ...base, containerId: garden.containers[0]?.id ?? '' };

/** Kinds that the demo has no entry of. */
const OTHERS: readonly Entry[] = [
  { ...inBag, kind: 'warmth', mixCelsius: 17.25 },
  { ...inBag, kind: 'topped-up', litres: 3.333, levelMillimetres: 187.7 },
  { ...inBag, kind: 'solution', what: 'topped-up', litres: 7.77, ph: 6.1 },
  { ...inBag, kind: 'check', check: { method: 'probe', reading: 41.37, deviceId: 'probe-1' } },
  { ...inBag, kind: 'check', check: { method: 'wilted' } },
  { ...base, kind: 'worked', minutes: 12.5, containerIds: [] },
  { ...base, kind: 'tea-tended', teaId: 'ent_forms0002', what: 'stirred' },
];

const live = [...liveEntries(garden.entries), ...OTHERS];
const byKind = new Map(
  live.map((entry) => [`${entry.kind}${entry.kind === 'check' ? entry.check.method : ''}`, entry]),
);

/** The correction that a form makes of an entry with some texts typed over. */
function corrected(
  entry: Entry,
  typed: Readonly<Record<string, string>>,
  system: 'metric' | 'us' = 'metric',
) {
  const context = fieldsIn(system);
  const form = formOf(entry.kind);
  const about = { garden, unitFormat: context.unitFormat };
  const read = readForm(
    form?.fields(about, entry) ?? {},
    { ...form?.start(entry), ...checkOf(form) },
    typed,
    context,
  );
  if (!read.ok) return read;
  const texts = { ...form?.start(entry).texts, ...typed };
  const shown = Object.fromEntries(Object.keys(read.fields).map((name) => [name, texts[name] ?? '']));
  return {
    ok: true,
    draft: correctionOf(entry, entry.at, form?.facts(read.values, shown, entry) ?? {}),
  } as const;
}

describe('the form of each kind of entry', () => {
  it.each([...byKind])('%s: untouched it says what the entry says, in any units', (_, entry) => {
    for (const system of ['metric', 'us'] as const) {
      const made = corrected(entry, {}, system);
      if (!made.ok) throw new Error(JSON.stringify(made.problems));
      const { asEntered: _typed, ...draft } = made.draft as unknown as Record<string, unknown>;
      const { id, recordedAt: _at, asEntered: _was, ...said } = entry as unknown as Record<string, unknown>;
      expect(draft).toEqual({ ...said, replaces: id });
      expect(entrySchema.safeParse({ ...made.draft, ...base, id: 'ent_forms0009' }).error).toBeUndefined();
    }
  });

  const of = (kind: EntryKind) => byKind.get(kind) as Entry;

  it('keeps a watering as it was typed, and reads it again in another unit', () => {
    const watering = { ...of('watering'), litres: 1.183, asEntered: '2½ us pints' } as Entry;
    expect(corrected(watering, {})).toMatchObject({ draft: { litres: 1.183, asEntered: '2½ us pints' } });
    const again = corrected(watering, { amount: '2½ US quarts' });
    expect(again).toMatchObject({ ok: true });
    expect(again.ok && again.draft.kind === 'watering' && again.draft.litres).toBeCloseTo(2.366, 3);
  });

  it('takes a field out that is emptied, and says what cannot be', () => {
    const picking = { ...inBag, kind: 'picking', kilograms: 0.4, count: 3 } as Entry;
    const counted = corrected(picking, { kilograms: '' });
    expect(counted.ok && 'kilograms' in counted.draft).toBe(false);
    // nobody weighed it after all; and once it is weighed it is no longer unknown
    const untold = corrected(picking, { kilograms: '', count: '' });
    expect(untold).toMatchObject({ ok: true, draft: { isUnmeasured: true } });
    const again = corrected({ ...inBag, kind: 'picking', isUnmeasured: true } as Entry, { count: '3' });
    expect(again).toMatchObject({ ok: true, draft: { count: 3 } });
    expect(again.ok && 'isUnmeasured' in again.draft).toBe(false);
    expect(corrected(of('weather'), { min: '30', max: '20' })).toMatchObject({
      problems: { max: expect.stringContaining('colder') as string },
    });
    expect(corrected(of('note'), { text: ' ' })).toMatchObject({ ok: false });
  });

  it('a meter asks for one of its two readings, a refill for its litres', () => {
    const solution = OTHERS.find((e) => e.kind === 'solution') as Entry;
    expect(corrected(solution, { what: 'reading', ph: '' })).toMatchObject({
      problems: { ec: expect.any(String) as string },
    });
    expect(corrected(solution, { litres: '' })).toMatchObject({ problems: { litres: 'How much went in?' } });
    expect(corrected(solution, { ec: '2100' })).toMatchObject({
      problems: { ec: expect.stringContaining('1000') as string },
    });
  });
});

describe('what may be typed for a watering', () => {
  const hose = { id: 'mea_hose000001', kind: 'hose', name: 'yard hose', litres: 0.2 } as const;
  const stamps = { createdAt: base.at, changedAt: base.at };
  const { unitFormat } = fieldsIn('metric');
  const helpWith = (wateringMeasureId: string | undefined) => {
    const measures = [...garden.measures, { ...hose, ...stamps }];
    const settings = { ...garden.settings, wateringMeasureId };
    return wateringForm
      .fields({ garden: { ...garden, measures, settings }, unitFormat } as never, undefined)
      .amount.help?.replaceAll('\u00a0', ' ');
  };

  it('is told in the can or the hose that the grower waters with', () => {
    expect(helpWith(garden.settings.wateringMeasureId)).toBe(
      'As "5 L", "1 gal" or "½ can" (your green can holds 9 L), or as long as your yard hose ran: "40 s".',
    );
    expect(helpWith(hose.id)).toBe('As "5 L", "1 gal" or "40 s" (your yard hose gives 12 L a minute).');
  });
});

describe('how many came from each', () => {
  it.each([
    [['', ''], undefined],
    [['2', ''], { fruits: [2, 0] }],
    [['2', '1.5'], { problem: 'Whole numbers of fruits, please; empty is none.' }],
    [['0', '0'], { problem: 'At least one came from one of them.' }],
  ])('reads %o', (texts, read) => {
    expect(splitFruits(texts, 2, {})).toEqual(read);
  });
});
