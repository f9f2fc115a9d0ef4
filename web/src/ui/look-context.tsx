import { createContext, use } from 'react';

/** Which look is on, for places that must know (charts), and how to choose another (settings). */
export interface LookValue {
  readonly choice: 'auto' | 'light' | 'dusk' | 'glare';
  readonly look: 'light' | 'dusk' | 'glare';
  choose(next: LookValue['choice']): void;
}

const Context = createContext<LookValue>({ choice: 'auto', look: 'light', choose: () => {} });

export const LookProvider = Context;

export function useLookValue(): LookValue {
  return use(Context);
}
