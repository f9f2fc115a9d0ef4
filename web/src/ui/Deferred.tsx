import { useDeferredValue, type ReactNode } from 'react';
import { GardenProvider, useGarden } from '../store/index.ts';

/**
 * What stands beside the answer and may follow a moment later: an entry is not drawn here in the same task as where it
 * was made. Its children should be kept with `memo`, and get what they are given deferred too.
 */
export function Deferred({ children }: { readonly children: ReactNode }) {
  return <GardenProvider open={useDeferredValue(useGarden())}>{children}</GardenProvider>;
}
