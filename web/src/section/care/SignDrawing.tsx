import { LEAF_SIGNS } from './leaf-signs.tsx';
import { PLANT_SIGNS } from './plant-signs.tsx';

/** A sign as a small drawing of our own; its words stand beside it. */
export function SignDrawing({ id, size = 56 }: { readonly id: string; readonly size?: number }) {
  return (
    <svg viewBox="0 0 64 64" width={size} height={size} aria-hidden style={{ flexShrink: 0 }}>
      {(LEAF_SIGNS[id] ?? PLANT_SIGNS[id])?.()}
    </svg>
  );
}
