import type { Drawing } from './layout.ts';
import type { Scene } from './scene.ts';

/** The parts of a drawing that can be touched to say more of them. */
export type SpotId =
  | 'fill'
  | 'mulch'
  | 'mix'
  | 'holes'
  | 'water'
  | 'support'
  | 'ball'
  | 'companions'
  | 'place';

export interface Spot {
  readonly id: SpotId;
  onPress(): void;
}

/** Half a fingertip, px of the drawing; the mark in it is smaller. */
const REACH = 20;
const MARK = 10;
/** Two spots are at least this far apart, px. */
const APART = 34;

/** Where a part lies on the paper. */
function placeOf(id: SpotId, scene: Scene, { px, py }: Drawing): { readonly x: number; readonly y: number } {
  const { halfWidest: half, mixTop } = scene;
  const first = scene.plants[0];
  switch (id) {
    case 'mulch':
      return { x: px(-half * 0.62), y: py(Math.max(scene.mulchTop, mixTop)) };
    case 'fill':
      // at the rim: how far it is filled
      return { x: px(half), y: py(scene.heightMillimetres) };
    case 'companions':
      return { x: px(half * 0.62), y: py(Math.max(scene.mulchTop, mixTop)) };
    case 'mix':
      return { x: px(-half * 0.5), y: py(mixTop * 0.45) };
    case 'holes':
      return { x: px(half), y: py(scene.holeMillimetres + 12) };
    case 'water':
      return { x: px(-half * 0.5), y: py(-scene.floorMillimetres) + MARK };
    case 'ball':
      return {
        x: px(first?.x ?? 0),
        y: py(first ? first.surface - first.buriedMillimetres - first.ball.height / 2 : mixTop * 0.6),
      };
    case 'support':
      return { x: px(0) + 16, y: py(Math.max(scene.top * 0.94, mixTop + 150)) };
    case 'place':
      // on the ground under it: beside it stand the words
      return { x: px(half * 0.5), y: py(-scene.floorMillimetres) + MARK };
  }
}

/** Marks on the drawing to be touched. Keyboards and screen readers have the same parts as a list beside it. */
export function Spots({
  spots,
  scene,
  drawing,
}: {
  readonly spots: readonly Spot[];
  readonly scene: Scene;
  readonly drawing: Drawing;
}) {
  const placed: { readonly spot: Spot; readonly x: number; readonly y: number }[] = [];
  for (const spot of spots) {
    const { x, y: wanted } = placeOf(spot.id, scene, drawing);
    let y = Math.max(MARK + 2, wanted);
    // one that would lie on another moves down beside it
    while (placed.some((other) => Math.hypot(other.x - x, other.y - y) < APART)) y += 6;
    placed.push({ spot, x, y: Math.min(y, drawing.height - MARK - 2) });
  }
  return (
    <g aria-hidden>
      {placed.map(({ spot, x, y }) => (
        <g
          key={spot.id}
          data-spot={spot.id}
          onClick={() => spot.onPress()}
          style={{ cursor: 'pointer' }}
          transform={`translate(${x} ${y})`}
        >
          <circle r={REACH} fill="transparent" />
          <circle r={MARK} fill="var(--raised)" stroke="var(--ink)" strokeWidth="1.5" />
          <path d="M-4.5 0 H4.5 M0 -4.5 V4.5" stroke="var(--ink)" strokeWidth="1.8" strokeLinecap="round" />
        </g>
      ))}
    </g>
  );
}
