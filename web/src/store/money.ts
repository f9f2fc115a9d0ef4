import type { Settings } from '@rundel/core/records';
import { trimmed } from '@rundel/core/units';
import { useMemo } from 'react';
import { useGarden } from './garden-context.tsx';

/** Amounts of money in the grower's own sign. */
export interface Money {
  readonly sign: string;
  show(amount: number): string;
}

export function moneyIn(sign: string): Money {
  return {
    sign,
    show: (amount) => `${sign}${Math.abs(amount) >= 1000 ? trimmed(amount, 0) : amount.toFixed(2)}`,
  };
}

/** The sign that a new garden begins with, by the units that its grower works in. */
export const USUAL_SIGN: Readonly<Record<Settings['units'], string>> = { metric: '€', us: '$', uk: '£' };

/** The sign of a garden that has none of its own: what all of them had before new ones began with one. */
const FIRST_SIGN = '£';

/** Money in a garden's own sign. */
export const moneyOf = ({ currency }: Pick<Settings, 'currency'>): Money => moneyIn(currency ?? FIRST_SIGN);

export function useMoney(): Money {
  const { currency } = useGarden().garden.settings;
  return useMemo(() => moneyOf({ currency }), [currency]);
}
