import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { freeOf, heldBy, ownedChoices, soldLength } from './owned.ts';
import { rankSupports, type SupportCase } from './rank.ts';

const FOOT = 250;
const CASE: SupportCase = {
  height: { low: 800, likely: 1000, high: 1200 },
  grows: 'bush',
  holdsCane: true,
  liesFlat: false,
  hasOwnFrame: false,
  wireMillimetres: undefined,
  mixTopMillimetres: 300,
  inShed: [],
};

describe('what is owned', () => {
  it('is free less what stands, the shortest that is long enough taken first', () => {
    const owned = [
      { thing: 'cane' as const, lengthMillimetres: 1800, count: 3 },
      { thing: 'cane' as const, lengthMillimetres: 1200, count: 4 },
    ];
    const standing = [{ kindId: 'canes' as const, aboveMillimetres: 900, times: 1 }];
    expect(freeOf(owned, standing, FOOT).map((o) => [o.lengthMillimetres, o.count])).toEqual([
      [1200, 1],
      [1800, 3],
    ]);
  });

  it('is never fewer than none, nor more than there are', () => {
    fc.assert(
      fc.property(fc.nat(9), fc.nat(9), fc.integer({ min: 200, max: 2400 }), (count, times, above) => {
        const owned = [{ thing: 'stake' as const, lengthMillimetres: 1500, count: count + 1 }];
        const [free] = freeOf(owned, [{ kindId: 'stake', aboveMillimetres: above, times }], FOOT);
        expect(free?.count).toBe(Math.max(0, count + 1 - times));
      }),
    );
  });

  it('makes a support only where there is enough of it', () => {
    const two = [{ thing: 'cane' as const, lengthMillimetres: 1500, count: 2 }];
    expect([...ownedChoices(two, 1000, 1, FOOT).keys()]).toEqual(['stake']);
    expect([...ownedChoices(two, 1000, 3, FOOT).keys()]).toEqual([]);
    expect(ownedChoices(two, 1000, 1, FOOT).get('stake')?.holdsMillimetres).toBe(heldBy('stake', 1500, FOOT));
  });

  it('is proposed first while it is high enough, and not when it is too low', () => {
    const best = (lengthMillimetres: number) => {
      const owned = ownedChoices([{ thing: 'cane', lengthMillimetres, count: 9 }], 1000, 1, FOOT);
      return rankSupports({ ...CASE, owned })[0];
    };
    expect(best(1500)?.kind.id).toBe('canes');
    expect(best(1500)?.reasons.map((r) => r.because)).toContain('owned');
    expect(best(600)?.kind.id).not.toBe('canes');
    expect(rankSupports(CASE)[0]?.kind.id).not.toBe('canes');
  });

  it('gives way to the frame that a planter has, until that is too low', () => {
    const frame = (likely: number) =>
      rankSupports({ ...CASE, height: { low: likely, likely, high: likely }, hasOwnFrame: true })[0]?.kind.id;
    expect(frame(1200)).toBe('planter-frame');
    expect(frame(2500)).not.toBe('planter-frame');
  });
});

describe('canes to buy', () => {
  it('come in lengths that are sold, never shorter than is wanted', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 2400 }), (wanted) => {
        expect(soldLength(wanted)).toBeGreaterThanOrEqual(wanted);
        expect(soldLength(wanted) % 300).toBe(0);
      }),
    );
    expect(soldLength(5000)).toBe(2400);
  });
});
