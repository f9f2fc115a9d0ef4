import { propertiesOf, plantingTaskOf, type BagJob } from '@rundel/core/garden-state';
import { cropOf, rankSupports, SUPPORTS } from '@rundel/core/plants';
import { planWith, PLANTING_METHODS, plantingMethodOf, type Obstacle } from '@rundel/core/planting';
import { type PlantingMethodId } from '@rundel/core/records';
import { describe, expect, it } from 'vitest';
import { unitFormatIn } from '../store/unit-format.ts';
import type { Bag } from '../store/index.ts';
import { obstacleWords, planSentence, reachingWords, remedyWords, stripSentence } from './planting-text.ts';
import { reasonWords } from './support-text.ts';
import { isDue, jobKey, taskDone, jobWords } from './job-text.ts';

const unitFormat = unitFormatIn('metric');
const plain = (text: string) => text.replaceAll('\u00a0', ' ');
const tomato = cropOf('tomato');
const container = {
  id: 'con_words0001',
  label: '7',
  kindId: 'pillow',
  size: { by: 'label' as const, litres: 50 },
  mixId: 'bought',
  mulchMillimetres: 0,
  stations: [{ id: 'stn_words0001' }],
  support: { kind: 'string' as const, heightMillimetres: 2000 },
};
const properties = propertiesOf(container, { settings: { assumptions: {} }, mixes: [] });
const bag = { container, properties } as unknown as Bag;
const task = (stemMillimetres: number) =>
  plantingTaskOf(properties, 1, 'first-leaves', tomato, tomato.habits[0] as never, {
    stemMillimetres,
    ballMillimetres: 90,
  });

describe('plantings in words', () => {
  it.each(PLANTING_METHODS.map((w) => [w.id, w] as const))(
    '%s is said with its numbers, or with what stands in its way',
    (id, plantingMethod) => {
      const outcome = plantingMethod.plan(task(400));
      const words =
        outcome.kind === 'planned'
          ? planSentence(outcome.plan, unitFormat)
          : obstacleWords(id, outcome.obstacle, unitFormat);
      expect(words).not.toMatch(/undefined|NaN|\?/);
      expect(words).toMatch(/\.$/);
    },
  );

  it('a trench says how long, how deep and how much of the stem', () => {
    const { outcome } = planWith(plantingMethodOf('trench'), task(400), {});
    if (outcome.kind !== 'planned') throw new Error('expected it to work');
    expect(plain(planSentence(outcome.plan, unitFormat))).toBe(
      'Dig a trench 31.6 cm long and 12 cm deep, lay 26.7 cm of the stem in it, and bend the tip up.',
    );
  });

  it('every obstacle has words of its own', () => {
    const places: readonly Obstacle['places'][] = [
      'mix-too-shallow',
      'ball-too-tall',
      'stem-too-short',
      'run-too-short',
      'graft-too-low',
      'collar-too-tall',
      'nothing-to-gain',
      'wrong-crop',
      'wrong-bag',
    ];
    const said = places.map((s) =>
      obstacleWords(
        'collar' as PlantingMethodId,
        { places: s, hasMillimetres: 100, needsMillimetres: 200, remedies: [] },
        unitFormat,
      ),
    );
    expect(new Set(said).size).toBe(places.length);
  });

  it('names what would change it', () => {
    expect(remedyWords([])).toBe('');
    expect(remedyWords(['deeper-bag'])).toBe('A deeper bag would change that.');
    expect(remedyWords(['trench', 'collar', 'wait'])).toBe(
      'The stem laid in a trench, a collar on the bag or letting it grow a little first would change that.',
    );
  });

  it('leaves come off by the school', () => {
    expect(stripSentence(0, 'at-once')).toBe('No leaves to strip.');
    expect(stripSentence(1, 'at-once')).toBe('Strip the lowest leaf, cleanly.');
    expect(stripSentence(3, 'days-before')).toContain('three days before');
    expect(stripSentence(3, 'later')).toContain('Leave the lowest 3 leaves for now');
  });

  it('a height is reached about a day, between two others, or hardly ever', () => {
    expect(reachingWords({ kind: 'reaches', low: 10, likely: 14, high: 20, chance: 1 }, '2026-05-20')).toBe(
      'about 3 Jun, between 30 May and 9 Jun',
    );
    const late = { kind: 'reaches', low: 10, likely: 14, high: undefined, chance: 0.8 } as const;
    expect(reachingWords(late, '2026-05-20')).toBe('about 3 Jun, from 30 May on, or never');
    expect(reachingWords(late, '2026-05-20', '2026-06-01')).toBe('about 3 Jun, from 1 Jun on, or never');
    expect(reachingWords(late, '2026-05-20', '2026-06-03')).toBe('any day now, or never');
    const sure = { ...late, high: 20 };
    expect(reachingWords(sure, '2026-05-20', '2026-06-05')).toBe('any day now, by 9 Jun at the latest');
    expect(reachingWords(sure, '2026-05-20', '2026-06-30')).toBe('any day now');
    expect(reachingWords({ kind: 'unlikely', chance: 0.04 }, '2026-05-20')).toBe('hardly ever (4 in 100)');
  });
});

describe('supports in words', () => {
  it('every reason can be said', () => {
    for (const holdsCane of [true, false])
      for (const wireMillimetres of [undefined, 200, 2200]) {
        const ranked = rankSupports({
          height: { low: 1500, likely: 1900, high: 2300 },
          grows: 'leader',
          holdsCane,
          liesFlat: !holdsCane,
          hasOwnFrame: false,
          wireMillimetres,
          mixTopMillimetres: 300,
          inShed: ['stake'],
        });
        expect(ranked).toHaveLength(SUPPORTS.length);
        for (const r of ranked)
          for (const reason of r.reasons)
            expect(reasonWords(reason, unitFormat)).toMatch(/^[a-z].*[a-z0-9)]$/i);
      }
  });
});

describe('handwork in words, and what it leaves in the diary', () => {
  const now = '2026-06-20T18:00:00.000+01:00';
  const jobs: readonly BagJob[] = [
    {
      kind: 'tend',
      task: 'wound',
      plants: [],
      dueOn: '2026-06-18',
      everyDays: 6,
      lastOn: '2026-06-12',
      since: 'done',
      isHeldForCold: false,
      grownMillimetres: 180,
    },
    {
      kind: 'top-up',
      dueOn: '2026-06-19',
      earliestOn: '2026-06-15',
      topUp: { toMillimetres: 260, litres: 6, when: { kind: 'unlikely', chance: 0 } },
    },
    { kind: 'support', dueOn: '2026-06-21', latestOn: '2026-07-05' },
    { kind: 'unshade', dueOn: '2026-06-20' },
  ];

  it('says what and why', () => {
    expect(jobs.map((t) => plain(jobWords(t, bag, unitFormat).what))).toEqual([
      'Wind it round its string',
      'Top up with 6 L of mix',
      'Put up: string to a wire',
      'Take the shade off',
    ]);
    expect(plain(jobWords(jobs[0] as BagJob, bag, unitFormat).why)).toBe(
      'about 18 cm of new growth since 12 Jun; every 6 days now',
    );
  });

  it('leaves the entry that ends it', () => {
    expect(jobs.flatMap((t) => taskDone(t, bag, now))).toEqual([
      { kind: 'tended', at: now, containerId: container.id, task: 'wound' },
      { kind: 'topped-up', at: now, containerId: container.id, litres: 6, levelMillimetres: 260 },
      { kind: 'supported', at: now, containerId: container.id, supportId: 'string', heightMillimetres: 2000 },
      { kind: 'tended', at: now, containerId: container.id, task: 'unshaded' },
    ]);
  });

  it('that is for some of the plants says which, and is put on record of each', () => {
    const plants = [
      { stationId: 'stn_left', plantId: 'pla_left' },
      { stationId: 'stn_right', plantId: 'pla_right' },
    ];
    const thin: BagJob = { kind: 'thin', dueOn: '2026-06-20', seeds: 3, plants };
    const occupants = plants.map(({ stationId, plantId }, position) => ({
      stationId,
      position,
      plant: { id: plantId, name: ['Ada', 'Bet'][position] },
    }));
    expect(jobWords(thin, { ...bag, occupants } as unknown as typeof bag, unitFormat).what).toBe(
      'Thin to the best one: Ada, Bet',
    );
    expect(taskDone(thin, bag, now)).toEqual(
      plants.map((plant) => ({
        kind: 'tended',
        at: now,
        containerId: container.id,
        ...plant,
        task: 'parted',
      })),
    );
    expect(jobKey(thin)).not.toBe(jobKey({ ...thin, plants: [] }));
  });

  it('is due from its day on', () => {
    expect(jobs.map((t) => isDue(t, '2026-06-20'))).toEqual([true, true, false, true]);
  });
});
