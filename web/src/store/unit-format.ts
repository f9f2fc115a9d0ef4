import { show, showParts, type Purpose, type UnitSystem } from '@rundel/core/units';
import { useMemo } from 'react';
import { useGarden } from './garden-context.tsx';

/** Amounts in the grower's own system. */
export interface UnitFormat {
  readonly system: UnitSystem;
  show(siValue: number, purpose: Purpose): string;
  parts(siValue: number, purpose: Purpose): { readonly number: string; readonly symbol: string };
  /** "26 to 47 L", with the unit of the upper end once */
  range(low: number, high: number, purpose: Purpose): string;
}

export function unitFormatIn(system: UnitSystem): UnitFormat {
  return {
    system,
    // a number and its unit stay on one line
    show: (siValue, purpose) => show(siValue, purpose, system).replace(' ', '\u00a0'),
    parts: (siValue, purpose) => showParts(siValue, purpose, system),
    range(low, high, purpose) {
      const from = showParts(low, purpose, system, high);
      const to = showParts(high, purpose, system);
      const first = from.number === to.number ? '' : `${from.number} to `;
      return `${first}${to.number}\u00a0${to.symbol}`;
    },
  };
}

export function useUnitFormat(): UnitFormat {
  const { units } = useGarden().garden.settings;
  return useMemo(() => unitFormatIn(units), [units]);
}
