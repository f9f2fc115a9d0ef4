import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../../assumed/index.ts';
import { addDays } from '../../calendar/index.ts';
import { cropOf, heightBelief, type Occupant } from '../../plants/index.ts';
import { TENDED_TASKS, TRAINING_FORM_IDS } from '../../records/kinds.ts';
import { bareStem, trainingDue, type TrainedPlant } from './due.ts';
import { formOfPlant, ruleKey, rulesFollowed, TRAINING_FORMS, trainingForm } from './forms.ts';
import type { TrainingRule } from './rules.ts';

const PLANTED = '2026-05-20';

/** A plant that grows to a height in so many weeks, as it is on a day. */
function plantOn(today: string, more: Partial<TrainedPlant> = {}, full = 2000, weeks = 11): TrainedPlant {
  const around = (value: number) => ({ value, low: value * 0.8, high: value * 1.2 });
  return {
    belief: heightBelief(
      { fullHeightMillimetres: around(full), weeksToFull: around(weeks) },
      150,
      [],
      DEFAULT_ASSUMED.heightNoise,
      DEFAULT_ASSUMED,
    ),
    grewFrom: PLANTED,
    plantedOn: PLANTED,
    stages: {},
    lastOn: undefined,
    isUnderCover: false,
    topMillimetres: undefined,
    firstFrost: undefined,
    today,
    ...more,
  };
}
const rule = (facts: Partial<TrainingRule>): TrainingRule => ({
  task: 'pinched',
  isUsual: true,
  what: '',
  why: '',
  how: '',
  marks: [],
  from: {},
  rhythm: { by: 'once' },
  ...facts,
});
const due = (of: Partial<TrainingRule>, plant: TrainedPlant) => trainingDue(rule(of), plant, DEFAULT_ASSUMED);

describe('a rule of training', () => {
  it('begins once age, height and stage are all reached', () => {
    const seen = { flowers: { day: '2026-07-01', isNoted: true } };
    expect(due({ from: { days: 10 } }, plantOn(PLANTED))?.dueOn).toBe('2026-05-30');
    expect(due({ from: { days: 10, stage: 'flowers' } }, plantOn(PLANTED, { stages: seen }))?.dueOn).toBe(
      '2026-07-01',
    );
    // nobody knows when it flowers
    expect(due({ from: { stage: 'flowers' } }, plantOn(PLANTED))).toBeUndefined();
    const tall = due({ from: { height: 1000 } }, plantOn(PLANTED))?.dueOn ?? '';
    expect(tall > '2026-06-10' && tall < '2026-07-20').toBe(true);
  });

  it('of a plant that stays smaller than it speaks of begins at nine tenths of its own height', () => {
    const small = due({ from: { height: 1000 } }, plantOn(PLANTED, {}, 400, 8));
    expect(small?.dueOn).toBeDefined();
    expect((small?.dueOn ?? '') > '2026-06-15').toBe(true);
  });

  it('is over at its end, even where it was missed', () => {
    const first = { from: { days: 5 }, until: { days: 30 } } as const;
    expect(due(first, plantOn('2026-06-01'))?.dueOn).toBe('2026-05-25');
    expect(due(first, plantOn('2026-06-25'))).toBeUndefined();
    // an end that is not in sight is none
    expect(due({ from: { days: 5 }, until: { stage: 'last-flush' } }, plantOn('2026-06-25'))).toBeDefined();
  });

  it('that is done once is not asked again; one that recurs is, counted from when it was done', () => {
    const done = { lastOn: '2026-06-10' };
    expect(due({ from: { days: 5 } }, plantOn('2026-06-20', done))).toBeUndefined();
    expect(
      due({ from: { days: 5 }, rhythm: { by: 'days', days: 8 } }, plantOn('2026-06-20', done)),
    ).toMatchObject({
      dueOn: '2026-06-18',
      everyDays: 8,
      lastOn: '2026-06-10',
    });
    // done before it begins: it is asked when it begins
    const later = { from: { days: 40 }, rhythm: { by: 'days', days: 3 } } as const;
    expect(due(later, plantOn('2026-06-20', done))?.dueOn).toBe(addDays(PLANTED, 40));
  });

  it('by growth comes oftener while it grows fast, within its bounds', () => {
    const by = { from: {}, rhythm: { by: 'growth', millimetres: 120, leastDays: 3, mostDays: 12 } } as const;
    const every = (lastOn: string) => due(by, plantOn('2026-09-30', { lastOn }))?.everyDays ?? 0;
    expect(every('2026-06-20')).toBeLessThan(every('2026-09-01'));
    expect(every('2026-09-20')).toBe(12);
    const fast = { ...by, rhythm: { ...by.rhythm, millimetres: 1 } };
    expect(due(fast, plantOn('2026-06-25', { lastOn: '2026-06-20' }))?.everyDays).toBe(3);
  });

  it('under a roof alone is not asked in the open', () => {
    const roof = { from: {}, isUnderCover: true } as const;
    expect(due(roof, plantOn(PLANTED))).toBeUndefined();
    expect(due(roof, plantOn(PLANTED, { isUnderCover: true }))).toBeDefined();
  });

  it('stops a plant at the top of what holds it, or in time before frost, whichever is first', () => {
    const stop = { isLast: true } as const;
    const frost = '2026-10-20';
    expect(due(stop, plantOn(PLANTED))).toBeUndefined();
    const before = addDays(frost, -7 * DEFAULT_ASSUMED.stopBeforeFrost);
    expect(due(stop, plantOn(PLANTED, { firstFrost: frost }))?.dueOn).toBe(before);
    const low = due(stop, plantOn(PLANTED, { firstFrost: frost, topMillimetres: 900 }))?.dueOn ?? '';
    expect(low < before).toBe(true);
    const covered = due(stop, plantOn(PLANTED, { firstFrost: frost, isUnderCover: true }))?.dueOn ?? '';
    expect(covered > before).toBe(true);
  });

  it('that waits for a stage nobody saw says so', () => {
    const reckoned = plantOn(PLANTED, { stages: { flowers: { day: '2026-06-24', isNoted: false } } });
    expect(due({ from: { stage: 'flowers' } }, reckoned)?.waitsFor).toBe('flowers');
  });
});

describe('how far up lower leaves may go', () => {
  it('rises with the plant, from a hand to two', () => {
    expect([300, 1000, 1500, 3000].map(bareStem)).toEqual([150, 180, 270, 300]);
  });
});

describe('forms', () => {
  const plant = (cropId: string, habitId: string, more: object = {}) => {
    const crop = cropOf(cropId);
    const habit = crop.habits.find((h) => h.id === habitId);
    if (!habit) throw new Error(`${cropId} has no ${habitId}`);
    const record = { id: 'pla_forms0001', varietyId: 'var_forms0001', createdAt: '', changedAt: '', ...more };
    return { crop, habit, plant: record } as unknown as Pick<Occupant, 'crop' | 'habit' | 'plant'>;
  };

  it.each([
    ['tomato', 'tall', 'string', {}, 'one-leader'],
    ['tomato', 'tall', 'string', { leaders: 2 }, 'two-leaders'],
    ['tomato', 'bush', 'cage', {}, 'bush'],
    ['tomato', 'bush', 'cage', { leaders: 1 }, 'one-leader'],
    ['tomato', 'micro', 'none', {}, 'dwarf'],
    ['pepper', 'bush', 'stake', {}, 'pepper'],
    ['aubergine', 'bush', 'stake', {}, 'aubergine'],
    ['cucumber', 'climbing', 'string', {}, 'cucumber-string'],
    ['cucumber', 'climbing', 'none', {}, 'cucumber-sprawl'],
    ['cucumber', 'bush', 'none', {}, 'cucumber-sprawl'],
    ['tomato', 'tall', 'string', { trainingFormId: 'left' }, 'left'],
  ] as const)('%s, %s, held by %s, %o: %s', (cropId, habitId, support, more, form) => {
    expect(formOfPlant(plant(cropId, habitId, more), support)).toBe(form);
  });

  it('are there for every id, name only jobs of the diary, and mark where to cut for each', () => {
    expect(TRAINING_FORMS.map((f) => f.id)).toEqual([...TRAINING_FORM_IDS]);
    for (const form of TRAINING_FORMS) {
      expect(new Set(form.rules.map((r) => r.task)).size, form.id).toBe(form.rules.length);
      for (const each of form.rules) {
        expect(TENDED_TASKS).toContain(each.task);
        expect(each.marks.length, `${form.id} ${each.task}`).toBeGreaterThan(0);
      }
    }
    expect(() => trainingForm('espalier' as never)).toThrow(/trainingFormId/);
  });

  it('follow what is usual, but for what the grower does otherwise', () => {
    const form = trainingForm('pepper');
    const tasks = (own?: Record<string, boolean>) => rulesFollowed(form, own).map((r) => r.task);
    expect(tasks()).toEqual(form.rules.filter((r) => r.isUsual).map((r) => r.task));
    expect(tasks({ [ruleKey('pepper', 'tipped')]: false })).not.toContain('tipped');
    expect(tasks({ [ruleKey('pepper', 'pinched')]: true })).toContain('pinched');
  });
});
