import { createContext, use } from 'react';

/** Which look is on, for places that must know (charts), and how to choose another (settings). */
export interface ThemeValue {
  readonly choice: 'auto' | 'light' | 'dusk' | 'glare';
  readonly themeName: 'light' | 'dusk' | 'glare';
  choose(next: ThemeValue['choice']): void;
}

const Context = createContext<ThemeValue>({ choice: 'auto', themeName: 'light', choose: () => {} });

export const ThemeChoiceProvider = Context;

export function useThemeValue(): ThemeValue {
  return use(Context);
}
