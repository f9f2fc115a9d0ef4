import type { Scene } from './scene.ts';

/** Room left round a drawing, px. */
export interface Margin {
  readonly top: number;
  readonly bottom: number;
  readonly left: number;
  readonly right: number;
}

/** Where things lie on the paper. */
export interface Drawing {
  /** pixels per mm */
  readonly scale: number;
  readonly width: number;
  readonly height: number;
  /** along the section, mm from the middle → px */
  px(x: number): number;
  /** height above the ground, mm → px */
  py(z: number): number;
  /** the bag's inside, closed, and its wall, open at the top */
  readonly inside: string;
  readonly wall: string;
  readonly halfAt: (z: number) => number;
}

/** Width to make room for, mm: a slim bag still has leaves beside it. */
const widest = (scene: Scene) => Math.max(scene.halfWidest * 2, 260);

/** Height of paper that a scene fills when its width decides the scale, px; room for a few labels at the least. */
export function heightNeeded(scene: Scene, width: number, margin: Margin): number {
  const scale = (width - margin.left - margin.right) / widest(scene);
  return Math.max(230, scene.top * 1.04 * scale + margin.top + margin.bottom);
}

/** Lays a scene out on paper of a size: as large as it goes inside the margins, or at a scale that is given. */
export function layout(
  scene: Scene,
  width: number,
  height: number,
  margin: Margin,
  fixedScale?: number,
): Drawing {
  const room = { x: width - margin.left - margin.right, y: height - margin.top - margin.bottom };
  const scale = fixedScale ?? Math.min(room.y / Math.max(scene.top * 1.04, 300), room.x / widest(scene));
  const middle = margin.left + room.x / 2;
  const px = (x: number) => middle + x * scale;
  const py = (z: number) => height - margin.bottom - z * scale;
  const left = scene.outline.map((p) => `${px(-p.half).toFixed(1)} ${py(p.z).toFixed(1)}`);
  const right = scene.outline.map((p) => `${px(p.half).toFixed(1)} ${py(p.z).toFixed(1)}`);
  const isClosed = scene.wall === 'film';
  const wall = `M${[...left].reverse().join(' L')} L${right.join(' L')}${isClosed ? ' Z' : ''}`;
  const halfAt = (z: number) => {
    const above = scene.outline.find((p) => p.z >= z) ?? scene.outline.at(-1);
    return above?.half ?? 0;
  };
  return {
    scale,
    width,
    height,
    px,
    py,
    inside: `${`M${[...left].reverse().join(' L')} L${right.join(' L')}`} Z`,
    wall,
    halfAt,
  };
}
