import { show, showParts, type Purpose, type UnitSystem } from '@rundel/core/units';
import { useMemo } from 'react';
import { useGarden } from './garden-context.tsx';

/** Amounts in the grower's own system. */
export interface Shown {
  readonly system: UnitSystem;
  show(inner: number, purpose: Purpose): string;
  parts(inner: number, purpose: Purpose): { readonly number: string; readonly symbol: string };
  /** "26 to 47 L", with the unit of the upper end once */
  range(low: number, high: number, purpose: Purpose): string;
}

export function shownIn(system: UnitSystem): Shown {
  return {
    system,
    // a number and its unit stay on one line
    show: (inner, purpose) => show(inner, purpose, system).replace(' ', '\u00a0'),
    parts: (inner, purpose) => showParts(inner, purpose, system),
    range(low, high, purpose) {
      const from = showParts(low, purpose, system, high);
      const to = showParts(high, purpose, system);
      const first = from.number === to.number ? '' : `${from.number} to `;
      return `${first}${to.number}\u00a0${to.symbol}`;
    },
  };
}

export function useShown(): Shown {
  const { units } = useGarden().garden.settings;
  return useMemo(() => shownIn(units), [units]);
}
