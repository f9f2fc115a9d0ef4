import { DEFAULT_ASSUMED } from '../../assumed/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { habitOf } from '../crops/index.ts';
import { heightBelief } from '../growth/height.ts';
import { outgrows, tendingDue } from './tending.ts';
import { rankSupports, type SupportCase } from './rank.ts';
import { stringMillimetres, supportNeeds, wireLoad, type HeldPlant } from './needs.ts';
import { supportOf, SUPPORTS } from './kinds.ts';

const tall: SupportCase = {
  height: { low: 1700, likely: 2000, high: 2500 },
  grows: 'leader',
  holdsCane: true,
  liesFlat: false,
  hasOwnFrame: false,
  wireMillimetres: 2300,
  mixTopMillimetres: 350,
  inShed: [],
};
const bush: SupportCase = { ...tall, height: { low: 700, likely: 900, high: 1100 }, grows: 'bush' };
const idsOf = (c: SupportCase) =>
  rankSupports(c)
    .filter((r) => r.fit !== 'cannot')
    .map((r) => r.kind.id);
const reasonsOf = (c: SupportCase, id: string) =>
  rankSupports(c)
    .find((r) => r.kind.id === id)
    ?.reasons.map((r) => r.because);

describe('which support', () => {
  it('a tall plant under a wire gets a string, a bush a cage', () => {
    expect(idsOf(tall)[0]).toBe('string');
    expect(idsOf(bush)[0]).toBe('cage');
  });

  it('without a wire a tall plant gets something as high, and the string says why not', () => {
    const c = { ...tall, wireMillimetres: undefined };
    expect(['tower', 'stake', 'two-cages']).toContain(idsOf(c)[0]);
    expect(reasonsOf(c, 'string')).toEqual(['no-wire']);
  });

  it('a pillow bag holds no cane: a frame under it does, and stakes say why not', () => {
    const c = { ...tall, wireMillimetres: undefined, holdsCane: false, liesFlat: true };
    expect(idsOf(c)[0]).toBe('frame');
    expect(reasonsOf(c, 'stake')).toEqual(['cannot-hold-cane']);
  });

  it('a wire below the bag is no wire', () => {
    expect(reasonsOf({ ...tall, wireMillimetres: 300 }, 'string')).toEqual(['wire-below-bag']);
  });

  it('what is in the shed goes before its equal', () => {
    const c = { ...tall, wireMillimetres: undefined };
    const place = (inShed: SupportCase['inShed']) => idsOf({ ...c, inShed }).indexOf('stake');
    expect(place(['stake'])).toBeLessThanOrEqual(place([]));
    expect(reasonsOf({ ...c, inShed: ['stake'] }, 'stake')).toContain('in-shed');
  });

  it('a triangle of short canes is only for now', () => {
    expect(reasonsOf(tall, 'triangle')).toContain('for-now');
    expect(idsOf(tall)[0]).not.toBe('triangle');
  });

  it('ranks every kind once, whatever the case, and closed ones last', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 200, max: 3000 }),
        fc.boolean(),
        fc.boolean(),
        fc.constantFrom<'leader' | 'bush'>('leader', 'bush'),
        (likely, holdsCane, liesFlat, grows) => {
          const height = { low: likely * 0.8, likely, high: likely * 1.3 };
          const ranked = rankSupports({ ...tall, height, holdsCane, liesFlat, grows });
          expect(new Set(ranked.map((r) => r.kind.id)).size).toBe(SUPPORTS.length);
          const closed = ranked.findIndex((r) => r.fit === 'cannot');
          if (closed >= 0) expect(ranked.slice(closed).every((r) => r.fit === 'cannot')).toBe(true);
          for (const r of ranked) expect(r.reasons.length).toBeGreaterThan(0);
        },
      ),
    );
  });
});

const held = (more: Partial<HeldPlant>): HeldPlant => ({
  kindId: 'string',
  topMillimetres: 2000,
  mixTopMillimetres: 300,
  leaders: 1,
  buriedMillimetres: 150,
  ballMillimetres: 90,
  ...more,
});

describe('how much of what', () => {
  it('string: wire less bag, a seventh more for winding, foot and knots', () => {
    // 1700 × 1.15 = 1955; a loop 350, knots 300
    expect(stringMillimetres(held({}), 'loop', DEFAULT_ASSUMED)).toBe(2605);
    // under the ball: 150 down and twice 90
    expect(stringMillimetres(held({}), 'under-ball', DEFAULT_ASSUMED)).toBe(1955 + 330 + 300);
  });

  it('a wire that is not above the mix is refused', () => {
    expect(() => stringMillimetres(held({ topMillimetres: 250 }), 'loop', DEFAULT_ASSUMED)).toThrow(
      /topMillimetres/,
    );
  });

  it('adds up over plants and leaders, and takes the shed first', () => {
    const needs = supportNeeds(
      [
        held({}),
        held({ leaders: 2 }),
        held({ kindId: 'canes', topMillimetres: 1200 }),
        held({ kindId: 'cage' }),
      ],
      'loop',
      new Map([
        ['string', 5],
        ['cane-caps', 10],
      ]),
      DEFAULT_ASSUMED,
    );
    const of = (id: string) => needs.find((n) => n.productId === id);
    // 3 × 2.605 = 7.815 m
    expect(of('string')).toMatchObject({ amount: 8, fromShed: 5, toBuy: 3, lengthMillimetres: 2605 });
    // 900 above the mix and 250 in it: long canes
    expect(of('cane-long')).toMatchObject({ amount: 3, lengthMillimetres: 1200 });
    expect(of('cane-caps')).toMatchObject({ amount: 3, fromShed: 3, toBuy: 0 });
    expect(of('ties')).toMatchObject({ amount: 5 });
    expect(of('cage')).toMatchObject({ amount: 1, toBuy: 1 });
  });

  it('two cages take a stake through both', () => {
    const needs = supportNeeds([held({ kindId: 'two-cages' })], 'loop', new Map(), DEFAULT_ASSUMED);
    expect(needs.map((n) => [n.productId, n.amount])).toEqual([
      ['cage', 2],
      ['cane-long', 1],
      ['cane-caps', 1],
      ['ties', 4],
    ]);
  });

  it('more plants never take less', () => {
    const kinds = fc.constantFrom(...SUPPORTS.map((s) => s.id));
    fc.assert(
      fc.property(fc.array(kinds, { maxLength: 8 }), kinds, (ids, more) => {
        const sum = (list: readonly HeldPlant['kindId'][]) =>
          supportNeeds(
            list.map((kindId) => held({ kindId })),
            'loop',
            new Map(),
            DEFAULT_ASSUMED,
          ).reduce((s, n) => s + n.amount, 0);
        expect(sum([...ids, more])).toBeGreaterThanOrEqual(sum(ids));
      }),
    );
  });

  it('a wire bears the crop twice over', () => {
    expect(wireLoad(6 * 0.6, DEFAULT_ASSUMED)).toEqual({
      kilograms: expect.closeTo(25.2, 6),
      withMargin: expect.closeTo(50.4, 6),
    });
  });
});

describe('winding and tying', () => {
  const belief = heightBelief(habitOf('tomato', 'tall'), 200, [], 0.12, DEFAULT_ASSUMED);
  const due = (lastOn: string, today = lastOn) =>
    tendingDue(supportOf('string'), belief, '2026-05-20', lastOn, 1900, today, DEFAULT_ASSUMED);

  it('comes oftener when the plant grows faster', () => {
    expect(due('2026-06-20')?.everyDays).toBeLessThan(due('2026-05-22')?.everyDays ?? 0);
    expect(due('2026-06-20')).toMatchObject({ task: 'wound' });
  });

  it('counts from when it was last done, and says what has grown since', () => {
    const first = due('2026-06-20', '2026-06-25');
    expect(first?.dueOn).toBe(`2026-06-${20 + (first?.everyDays ?? 0)}`);
    expect(first?.grownMillimetres).toBeGreaterThan(60);
  });

  it('ends at the wire, and never begins without a support', () => {
    expect(due('2026-09-20')).toBeUndefined();
    expect(
      tendingDue(supportOf('none'), belief, '2026-05-20', '2026-06-01', 0, '2026-06-05', DEFAULT_ASSUMED),
    ).toBeUndefined();
  });

  it('a cage is outgrown before a wire is reached', () => {
    const cage = outgrows(belief, 900);
    const wire = outgrows(belief, 1800);
    if (cage.kind !== 'reaches' || wire.kind !== 'reaches') throw new Error('expected both');
    expect(cage.likely).toBeLessThan(wire.likely);
  });
});
