import { useSyncExternalStore } from 'react';

/** How far Rundel itself is kept on this device. */
export type OfflineState =
  /** nothing is known yet, or this browser keeps no apps */
  | { readonly kind: 'unknown' }
  | { readonly kind: 'impossible' }
  | { readonly kind: 'fetching' }
  /** all of it is here: it works without a network */
  | { readonly kind: 'ready' }
  /** a newer one is here and waits; nothing changes before it is taken */
  | { readonly kind: 'waiting'; take(): Promise<void> };

let state: OfflineState = { kind: 'unknown' };
const listeners = new Set<() => void>();

export function setOffline(next: OfflineState): void {
  // a build that waits is not forgotten because the old one is ready too
  if (state.kind === 'waiting' && next.kind !== 'waiting') return;
  state = next;
  for (const listener of listeners) listener();
}

export function useOffline(): OfflineState {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => state,
    // where nothing can be known yet
    () => state,
  );
}
