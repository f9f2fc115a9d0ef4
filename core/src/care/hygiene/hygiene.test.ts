import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../../assumed/index.ts';
import type { Container, Draft, Entry } from '../../records/index.ts';
import { outcomesOf, troubleCases } from './cases.ts';
import { cleanlinessAfter, heatLimitCelsius, plantingRisks } from './cleaning.ts';

const noon = (day: string) => `${day}T12:00:00.000+01:00`;
const bag = (label: string): Container => ({
  id: `con_clean00${label}`,
  label,
  kindId: 'round-fabric',
  size: { by: 'label', litres: 40 },
  mixId: 'bought',
  mulchMillimetres: 0,
  support: { kind: 'none', heightMillimetres: 0 },
  placeId: 'std_clean001',
  stations: [{ id: `stn_clean00${label}` }],
  order: 0,
  createdAt: noon('2025-01-01'),
  changedAt: noon('2025-01-01'),
});
const [one, two] = [bag('1'), bag('2')];
let count = 0;
const entry = (draft: Draft): Entry =>
  ({ ...draft, id: `ent_clean${String(count++).padStart(4, '0')}`, recordedAt: draft.at }) as Entry;
const trouble = (what: string, day: string, of = one, more: Partial<Draft<'trouble'>> = {}): Entry =>
  entry({
    kind: 'trouble',
    at: noon(day),
    containerId: of.id,
    caseId: `cas_${what.replace('-', '')}01`,
    what,
    livesInMix: what === 'wilt',
    ...more,
  });
const cleaned = (day: string, facts: Partial<Draft<'cleaned'>>): Entry =>
  entry({ kind: 'cleaned', at: noon(day), containerId: one.id, what: 'bag', ...facts });
const followed = (what: string, day: string, facts: Partial<Draft<'followed-up'>>, of = one): Entry =>
  entry({
    kind: 'followed-up',
    at: noon(day),
    containerId: of.id,
    caseId: `cas_${what.replace('-', '')}01`,
    outcome: 'same',
    ...facts,
  });
const risks = (live: readonly Entry[], today = '2026-05-20') =>
  plantingRisks(one, [one, two], live, today, DEFAULT_ASSUMED).map(({ kind }) => kind);

describe('how clean a bag is', () => {
  const after = (...entries: readonly Entry[]) => cleanlinessAfter(entries, '2026-01-01', DEFAULT_ASSUMED);

  it('is enough once it is washed and then dried, disinfected or heated long enough, in one go or several', () => {
    expect(after(cleaned('2026-02-01', { isWashed: true, isDried: true })).kind).toBe('clean');
    expect(
      after(cleaned('2026-02-01', { isWashed: true }), cleaned('2026-02-08', { isDried: true })),
    ).toEqual({
      kind: 'clean',
      on: '2026-02-08',
    });
    const heat = (celsius: number, minutes: number) =>
      after(cleaned('2026-02-01', { isWashed: true, heated: { celsius, minutes } })).kind;
    expect([heat(60, 40), heat(45, 40), heat(60, 5)]).toEqual(['clean', 'part', 'part']);
  });

  it('says what is wanting where it was begun', () => {
    expect(after(cleaned('2026-02-01', { isWashed: true }))).toMatchObject({ kind: 'part', wants: ['dry'] });
    expect(after(cleaned('2026-02-01', { isDried: true }))).toMatchObject({ kind: 'part', wants: ['wash'] });
    expect(after(cleaned('2025-02-01', { isWashed: true, isDried: true }))).toEqual({ kind: 'not' });
  });

  it('only fabric has a limit of heat: the others are not heated', () => {
    expect(heatLimitCelsius('fabric', DEFAULT_ASSUMED)).toBe(DEFAULT_ASSUMED.fabricHeatLimit);
    expect(heatLimitCelsius('film', DEFAULT_ASSUMED)).toBeUndefined();
  });
});

describe('a new plant', () => {
  const wilt = trouble('wilt', '2025-08-20');

  it('is warned of a sick bag that was not cleaned, or by halves, and not after', () => {
    expect(risks([wilt])).toEqual(['sick-bag']);
    expect(risks([wilt, cleaned('2025-10-01', { isWashed: true })])).toEqual(['sick-bag']);
    expect(risks([wilt, cleaned('2025-10-01', { isWashed: true, isDried: true })])).toEqual([]);
    // cleaned before it was sick
    expect(risks([cleaned('2025-04-01', { isWashed: true, isDried: true }), wilt])).toEqual(['sick-bag']);
  });

  it('is not warned of what does not go on: cold nights, and what turned out to be them', () => {
    expect(risks([trouble('cold', '2025-08-20')])).toEqual([]);
    expect(risks([wilt, followed('wilt', '2025-08-30', { outcome: 'over', what: 'cold' })])).toEqual([]);
  });

  it('is warned of a bag beside it while its trouble goes on, and not for ever', () => {
    const beside = trouble('mites', '2026-05-10', two);
    expect(risks([beside])).toEqual(['beside']);
    expect(risks([beside, followed('mites', '2026-05-18', { outcome: 'over' }, two)])).toEqual([]);
    expect(risks([trouble('magnesium', '2026-05-10', two)])).toEqual([]);
    expect(risks([beside], '2026-09-01')).toEqual([]);
  });
});

describe('a case', () => {
  it('is what the last word on it says, and lives on in the mix or not by that', () => {
    const live = [trouble('wilt', '2026-06-01'), followed('wilt', '2026-06-08', { what: 'too-wet' })];
    expect(troubleCases(one.id, live)).toMatchObject([{ what: 'too-wet', livesInMix: false, isOver: false }]);
  });

  it('keeps its follow-ups when its first entry is corrected', () => {
    const first = trouble('wilt', '2026-06-01');
    const corrected = { ...first, id: 'ent_corrected1', replaces: first.id };
    const live = [corrected, followed('wilt', '2026-06-08', { outcome: 'better' })];
    expect(troubleCases(one.id, live)[0]?.followUps).toHaveLength(1);
  });

  it('teaches once it is over, or was named anew; what is open teaches nothing', () => {
    const open = trouble('mites', '2026-06-01', two);
    expect(outcomesOf([two.id], [open])).toEqual({});
    expect(outcomesOf([two.id], [open, followed('mites', '2026-06-09', { outcome: 'over' }, two)])).toEqual({
      mites: 1,
    });
    expect(outcomesOf([two.id], [open, followed('mites', '2026-06-09', { what: 'cold' }, two)])).toEqual({
      cold: 1,
    });
  });
});
