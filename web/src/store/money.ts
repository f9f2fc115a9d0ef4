import { trimmed } from '@rundel/core/units';
import { useMemo } from 'react';
import { useGarden } from './garden-context.tsx';

/** Amounts of money in the grower's own sign, and back from what they typed. */
export interface Money {
  readonly sign: string;
  show(amount: number): string;
  /** a price as typed: a number of 0 or more, or what is wrong */
  read(
    text: string,
  ):
    | { readonly kind: 'given'; readonly amount: number }
    | { readonly kind: 'left-out' }
    | { readonly kind: 'refused'; readonly problem: string };
}

export function moneyIn(sign: string): Money {
  return {
    sign,
    show: (amount) => `${sign}${Math.abs(amount) >= 1000 ? trimmed(amount, 0) : amount.toFixed(2)}`,
    read(text) {
      const bare = text.replace(sign, '').replace(',', '.').trim();
      if (bare === '') return { kind: 'left-out' };
      const amount = Number(bare);
      return Number.isFinite(amount) && amount >= 0 && amount <= 100_000
        ? { kind: 'given', amount }
        : { kind: 'refused', problem: 'A price is a number from 0 up, as 6.90.' };
    },
  };
}

export function useMoney(): Money {
  const { currency } = useGarden().garden.settings;
  return useMemo(() => moneyIn(currency ?? '£'), [currency]);
}
