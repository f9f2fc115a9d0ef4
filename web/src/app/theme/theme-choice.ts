import { useCallback, useSyncExternalStore } from 'react';
import type { ThemeName } from './tokens.ts';

/** The look chosen on this device; `auto` follows the system's dark and contrast settings. */
export type ThemeChoice = ThemeName | 'auto';

const KEY = 'rundel.theme';
const listeners = new Set<() => void>();
const dark = matchMedia('(prefers-color-scheme: dark)');
const contrast = matchMedia('(prefers-contrast: more)');

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  dark.addEventListener('change', listener);
  contrast.addEventListener('change', listener);
  return () => {
    listeners.delete(listener);
    dark.removeEventListener('change', listener);
    contrast.removeEventListener('change', listener);
  };
}

function chosen(): ThemeChoice {
  const kept = localStorage.getItem(KEY);
  return kept === 'light' || kept === 'dusk' || kept === 'glare' ? kept : 'auto';
}

/** The choice, the check that results from it, and how to choose another. */
export function useThemeChoice(): {
  readonly choice: ThemeChoice;
  readonly themeName: ThemeName;
  choose(next: ThemeChoice): void;
} {
  const choice = useSyncExternalStore(subscribe, chosen);
  const system = useSyncExternalStore(subscribe, (): ThemeName =>
    contrast.matches ? 'glare' : dark.matches ? 'dusk' : 'light',
  );
  const choose = useCallback((next: ThemeChoice) => {
    localStorage.setItem(KEY, next);
    for (const listener of listeners) listener();
  }, []);
  return { choice, themeName: choice === 'auto' ? system : choice, choose };
}
