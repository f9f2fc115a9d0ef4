import type { CompanionSize } from '@rundel/core/records';
import type { Drawing } from './layout.ts';
import type { Scene } from './scene.ts';

/** How high a tuft stands above the mulch, mm, and how many there are. */
const TUFTS: Readonly<Record<CompanionSize, { readonly high: number; readonly count: number }>> = {
  none: { high: 0, count: 0 },
  small: { high: 90, count: 1 },
  middling: { high: 150, count: 2 },
  large: { high: 120, count: 4 },
};

/** Flowers, herbs or passing salad beside the crop: tufts of leaf along the rim, crop off centre. */
export function Companions({ scene, drawing }: { readonly scene: Scene; readonly drawing: Drawing }) {
  const { px, py, scale } = drawing;
  const { high, count } = TUFTS[scene.beside];
  const foot = Math.max(scene.mulchTop, scene.mixTop);
  return Array.from({ length: count }, (_, i) => {
    // alternately at the right rim and the left, inwards
    const side = i % 2 === 0 ? 1 : -1;
    const x = px(side * scene.halfWidest * (0.74 - 0.22 * Math.floor(i / 2)));
    const y = py(foot);
    const h = high * scale;
    return (
      <g key={i} data-part="companion" fill="var(--leaf-pale)" stroke="var(--leaf)" strokeWidth="1">
        <path
          d={`M${x} ${y} q ${-h * 0.5} ${-h * 0.35} ${-h * 0.42} ${-h * 0.8} q ${h * 0.42} ${h * 0.2} ${h * 0.42} ${h * 0.8}`}
        />
        <path
          d={`M${x} ${y} q ${h * 0.5} ${-h * 0.35} ${h * 0.42} ${-h * 0.8} q ${-h * 0.42} ${h * 0.2} ${-h * 0.42} ${h * 0.8}`}
        />
        <path d={`M${x} ${y} q ${-h * 0.25} ${-h * 0.6} 0 ${-h} q ${h * 0.25} ${h * 0.4} 0 ${h}`} />
      </g>
    );
  });
}
