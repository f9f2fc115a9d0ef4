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
  /** height above the lowest mix, mm → px; the ground lies at −floorMillimetres */
  py(z: number): number;
  /** the bag's inside, closed, and its wall, open at the top */
  readonly inside: string;
  readonly wall: string;
  readonly halfAt: (z: number) => number;
}

/** Width to make room for, mm: a slim bag still has leaves beside it. */
const widest = (scene: Scene) => Math.max(scene.halfWidest * 2, 260);

/** Height to make room for, mm, from the ground up. */
const tallOf = (scene: Scene) => (scene.top + scene.floorMillimetres) * 1.04;

/** Height of paper that a scene fills when its width decides the scale, px; room for a few labels at the least. */
export function heightNeeded(scene: Scene, width: number, margin: Margin): number {
  const scale = (width - margin.left - margin.right) / widest(scene);
  return Math.max(230, tallOf(scene) * scale + margin.top + margin.bottom);
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
  const scale = fixedScale ?? Math.min(room.y / Math.max(tallOf(scene), 300), room.x / widest(scene));
  const middle = margin.left + room.x / 2;
  const px = (x: number) => middle + x * scale;
  const py = (z: number) => height - margin.bottom - (z + scene.floorMillimetres) * scale;
  const left = scene.outline.map((p) => `${px(-p.half).toFixed(1)} ${py(p.z).toFixed(1)}`);
  const right = scene.outline.map((p) => `${px(p.half).toFixed(1)} ${py(p.z).toFixed(1)}`);
  const closed = `M${[...left].reverse().join(' L')} L${right.join(' L')}`;
  const wall = `${closed}${scene.isClosed ? ' Z' : ''}`;
  const rings = scene.rings.map(
    ({ x, half, from, to }) =>
      `M${px(x - half)} ${py(to)} L${px(x - half)} ${py(from)} L${px(x + half)} ${py(from)} L${px(x + half)} ${py(to)} Z`,
  );
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
    inside: [`${closed} Z`, ...rings].join(' '),
    wall,
    halfAt,
  };
}
