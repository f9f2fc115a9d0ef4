import { useLayoutEffect } from 'react';

/**
 * Keys of the round, while nothing is typed and no dialog is open. They are listened for before the stop is painted: whoever
 * sees it may already press one.
 *
 * @param take uses the key, and says whether it did
 */
export function useKeys(take: (event: KeyboardEvent) => boolean): void {
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (document.querySelector('[role="dialog"]')) return;
      if ((event.target as HTMLElement).closest('input, textarea, select, [contenteditable]')) return;
      if (take(event)) event.preventDefault();
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  });
}
