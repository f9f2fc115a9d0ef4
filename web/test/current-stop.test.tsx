// @vitest-environment happy-dom
import { renderHook } from '@testing-library/react';
import { expect, it } from 'vitest';
import { useCurrentStop } from '../src/pages/round/current-stop.ts';
import type { WalkStop } from '../src/pages/round/StopList.tsx';
import type { Walk } from '../src/store/index.ts';
import type { Bag } from '../src/store/index.ts';

const MORNING: Walk = { startedAt: '2026-07-14T06:00:00.000Z', containerIds: [] };
const EVENING: Walk = { ...MORNING, startedAt: '2026-07-14T18:00:00.000Z' };

const bags = ['1', '2', '3', '4'].map((id) => ({ container: { id } }) as Bag);

/** Stops at bags by their number; negative: already seen to. */
function stopsAt(...numbers: readonly number[]): readonly WalkStop[] {
  return numbers.map((n) => ({
    bag: bags[Math.abs(n) - 1] as Bag,
    status: n > 0 ? { kind: 'check' } : { kind: 'skipped' },
    feeds: [],
  }));
}

/** The round before anything is known of it; what is shown changes as stops, a walk and an address come in. */
function opened() {
  const { result, rerender } = renderHook(
    ({ stops, walk, asked }) => useCurrentStop(asked, bags, stops, walk)?.container.id,
    { initialProps: { stops: stopsAt(), walk: undefined, asked: undefined } as UnitFormat },
  );
  return (stops: readonly WalkStop[], walk: Walk | undefined = MORNING, asked?: string) => {
    rerender({ stops, walk, asked });
    return result.current;
  };
}
interface UnitFormat {
  readonly stops: readonly WalkStop[];
  readonly walk: Walk | undefined;
  readonly asked: string | undefined;
}

it('the first stop that wants the grower is shown', () => {
  const unitFormat = opened();
  expect(unitFormat([], undefined)).toBeUndefined();
  expect(unitFormat(stopsAt(-1, 3, 4))).toBe('3');
});

it('what is shown stays when a bag before it joins the walk, until it is seen to', () => {
  const unitFormat = opened();
  expect(unitFormat(stopsAt(3, 4))).toBe('3');
  expect(unitFormat(stopsAt(1, 2, 3, 4))).toBe('3');
  expect(unitFormat(stopsAt(1, 2, -3, 4))).toBe('1');
});

it('another walk begins at its own first stop', () => {
  const unitFormat = opened();
  unitFormat(stopsAt(3, 4));
  expect(unitFormat(stopsAt(1, 3, 4), EVENING)).toBe('1');
});

it('a bag that is left out of a short walk is not kept to', () => {
  const unitFormat = opened();
  unitFormat(stopsAt(2, 3));
  expect(unitFormat(stopsAt(3, 4))).toBe('3');
});

it('the address says more than the walk does, also of a bag that is not on it', () => {
  const unitFormat = opened();
  expect(unitFormat(stopsAt(3, 4), MORNING, '2')).toBe('2');
  expect(unitFormat(stopsAt(3, 4), MORNING, 'no-such-bag')).toBe('3');
});
