import { gannetSlip } from '@rundel/core/demo';
import { entrySchema, liveEntries, type Draft, type Entry } from '@rundel/core/records';
import { describe, expect, it } from 'vitest';
import { fieldsIn } from '../../../test/field-context.ts';
import { severalEntries, type CorrectedEntries } from './correct-several.ts';

const garden = gannetSlip(3);
const fieldContext = fieldsIn('metric');
const now = '2026-07-16T19:00:00.000+01:00';
const context = { garden, unitFormat: fieldContext.unitFormat, fieldContext, now, today: '2026-07-16' };
const AT = '2026-07-12T08:00:00.000+01:00';
const [one, two] = garden.containers.map((c) => c.id) as [string, string];

const watering = (id: string, containerId: string, litres: number, asEntered?: string): Entry => ({
  id,
  kind: 'watering',
  at: AT,
  recordedAt: AT,
  containerId,
  litres,
  ranThrough: false,
  isMeasured: true,
  ...(asEntered ? { asEntered } : {}),
});

type Several = readonly [Entry, ...Entry[]];

/** What comes of typing in the form for several entries. */
function corrected(entries: Several, typed: Readonly<Record<string, string>>, at?: string): CorrectedEntries {
  const several = severalEntries(entries, context);
  return several.correct({ ...several.start.texts, ...typed }, at);
}

function drafts(result: CorrectedEntries): readonly Draft[] {
  if (!result.ok) throw new Error(result.problem);
  for (const draft of result.drafts)
    expect(
      entrySchema.safeParse({ ...draft, id: 'ent_made0000', recordedAt: now }).error?.issues,
    ).toBeUndefined();
  return result.drafts;
}

describe('several entries put right at once', () => {
  const three = watering('ent_water00001', one, 3, '3');
  const four = watering('ent_water00002', two, 4, '4');

  it('show what they agree in, and nothing where they differ', () => {
    const { start, fields } = severalEntries([three, four], context);
    expect(start.texts).toMatchObject({ amount: '', through: 'none', isByEye: '' });
    expect(fields(start.texts)['amount']?.help).toContain('They differ');
    expect(severalEntries([three, watering('ent_water00005', two, 3)], context).start.texts['amount']).toBe(
      '3 L',
    );
  });

  it('keep what is not touched, each its own', () => {
    expect(drafts(corrected([three, four], { through: 'most' }))).toMatchObject([
      { replaces: three.id, at: AT, litres: 3, ranThrough: true, through: 'most' },
      { replaces: four.id, at: AT, litres: 4, ranThrough: true, through: 'most' },
    ]);
  });

  it('are left alone where nothing was changed', () => {
    expect(drafts(corrected([three, four], {}))).toEqual([]);
    expect(drafts(corrected([three, four], {}, AT))).toEqual([]);
  });

  it('all get a moment, or an amount, that is said of all', () => {
    const moved = drafts(corrected([three, four], {}, '2026-07-05T08:00:00.000+01:00'));
    expect(moved.map((d) => d.at.slice(0, 10))).toEqual(['2026-07-05', '2026-07-05']);
    expect(drafts(corrected([three, four], { amount: '2 L' }))).toMatchObject([{ litres: 2 }, { litres: 2 }]);
  });

  it('are read again in another unit, each its own number to the last digit', () => {
    const [first, second] = drafts(
      corrected([watering('ent_water00003', one, 2.345, '2.345'), four], { amount: 'us gal' }),
    );
    expect(first).toMatchObject({ litres: expect.closeTo(2.345 * 3.785412, 9) as number });
    expect(second).toMatchObject({ litres: expect.closeTo(4 * 3.785412, 9) as number });
  });

  it('of a switch that differs can be said to be on or off at all', () => {
    const byEye = { ...four, isMeasured: false };
    expect(drafts(corrected([three, byEye], { isByEye: 'no' }))).toMatchObject([
      { isMeasured: true },
      { isMeasured: true },
    ]);
    expect(drafts(corrected([three, byEye], { isByEye: 'on' }))).toMatchObject([
      { isMeasured: false },
      { isMeasured: false },
    ]);
  });

  it('say at which one something cannot be, and change none', () => {
    const result = corrected([watering('ent_water00004', one, 150), four], { amount: 'gal' });
    expect(result).toMatchObject({ ok: false, at: 'amount', entry: { id: 'ent_water00004' } });
  });

  it('of a yes and a no are both as they were until one of them is said', () => {
    const ran = { ...four, ranThrough: true };
    expect(severalEntries([three, ran], context).start.texts['through']).toBe('');
    expect(drafts(corrected([three, ran], { amount: '2 L' }))).toMatchObject([
      { ranThrough: false },
      { ranThrough: true },
    ]);
    expect(drafts(corrected([three, ran], { through: 'none' }))).toMatchObject([
      { ranThrough: false },
      { ranThrough: false },
    ]);
  });
});

describe('several plantings put right at once', () => {
  const plantings = liveEntries(garden.entries)
    .filter((e) => e.kind === 'planted')
    .slice(0, 4) as unknown as Several;

  it('get their day, and each keeps its plant', () => {
    const result = corrected(plantings, { plantedOn: '2026-04-20' });
    expect(drafts(result).map((d) => d.at.slice(0, 10))).toEqual(plantings.map(() => '2026-04-20'));
    expect(result.ok && result.changes.every(({ table }) => table === 'plants')).toBe(true);
    expect(drafts(result).map((d) => 'plantId' in d && d.plantId)).toEqual(
      plantings.map((e) => 'plantId' in e && e.plantId),
    );
  });

  it('get one new variety and one batch between them, and no name of one is another’s', () => {
    const several = severalEntries(plantings, context);
    expect(several.fields(several.start.texts)).not.toHaveProperty('plantName');
    const result = corrected(plantings, {
      cropId: 'tomato',
      habitId: 'tall',
      varietyName: 'Quay Gold',
      sownOn: '2026-03-01',
    });
    expect(drafts(result)).toHaveLength(4);
    const made = result.ok ? result.changes.filter((c) => !c.before) : [];
    expect(made.map(({ table }) => table)).toEqual(['varieties', 'batches']);
    const plants = result.ok ? result.changes.filter(({ table }) => table === 'plants') : [];
    const named = (change: (typeof plants)[number]) => (change.before as { readonly name?: string }).name;
    expect(plants.map((c) => (c.after as { readonly name?: string }).name)).toEqual(plants.map(named));
    expect(new Set(plants.map((c) => (c.after as unknown as { varietyId: string }).varietyId)).size).toBe(1);
  });
});
