import { useMemo } from 'react';
import { layout } from './layout.ts';
import type { Scene } from './scene.ts';
import { SectionBody } from './SectionBody.tsx';

const MARGIN = { top: 8, bottom: 3, left: 6, right: 6 };
/** leaves reach out this far past a plant's stem, mm */
const LEAVES = 230;

/** A bag without words, at a scale that it shares with its neighbours, so that a row of them is as they stand. */
export function BagElevation({
  scene,
  pixelsPerMillimetre,
}: {
  readonly scene: Scene;
  readonly pixelsPerMillimetre: number;
}) {
  const reach = Math.max(scene.halfWidest, ...scene.plants.map((p) => Math.abs(p.x) + LEAVES));
  const width = 2 * reach * pixelsPerMillimetre + MARGIN.left + MARGIN.right;
  const height = scene.top * pixelsPerMillimetre + MARGIN.top + MARGIN.bottom + 8;
  const drawing = useMemo(
    () => layout(scene, width, height, MARGIN, pixelsPerMillimetre),
    [height, pixelsPerMillimetre, scene, width],
  );
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width={width}
      height={height}
      aria-hidden
      style={{ display: 'block', overflow: 'visible' }}
    >
      <SectionBody scene={scene} drawing={drawing} />
    </svg>
  );
}
