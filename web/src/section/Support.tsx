import type { SupportKindId } from '@rundel/core/records';
import type { ReactNode } from 'react';
import type { Drawing } from './layout.ts';
import type { Scene } from './scene.ts';

interface Pen {
  readonly drawing: Drawing;
  readonly scene: Scene;
  /** top of the support, px */
  readonly top: number;
  /** where plants stand along the section, mm */
  readonly strung: readonly number[];
  /** half the width of what stands in the bag, mm */
  readonly half: number;
}

/** What holds the plants up, to scale. What goes round the plant has a half behind it and a half before it. */
export function Support({
  scene,
  drawing,
  isBehind = false,
}: {
  readonly scene: Scene;
  readonly drawing: Drawing;
  readonly isBehind?: boolean;
}) {
  const { kind, heightMillimetres } = scene.support;
  if (kind === 'none' || heightMillimetres <= 0) return null;
  const pen: Pen = {
    drawing,
    scene,
    top: drawing.py(heightMillimetres),
    // a leader has a string or stake of its own; a bush has one
    strung:
      scene.plants.length > 0
        ? scene.plants.flatMap((p) =>
            p.training.form === 'leader' ? p.training.tops.map((top) => p.x + top) : [p.x],
          )
        : [0],
    half: Math.min(scene.halfWidest * 0.8, 230),
  };
  const drawn = isBehind ? BEHIND[kind]?.(pen) : BEFORE[kind]?.(pen);
  return drawn ? <g data-part="support">{drawn}</g> : null;
}

function Cap({ x, y }: { readonly x: number; readonly y: number }) {
  return <circle cx={x} cy={y} r="4.5" fill="var(--flower)" stroke="var(--ink)" strokeWidth="1.2" />;
}

function Cane({ x, y, footX, footY }: Record<'x' | 'y' | 'footX' | 'footY', number>) {
  return (
    <line x1={footX} y1={footY} x2={x} y2={y} stroke="var(--mulch)" strokeWidth="4.5" strokeLinecap="round" />
  );
}

/** String: a wire, and one string down to each plant. */
function strings({ drawing: { px, py }, scene, top, strung }: Pen): ReactNode {
  return (
    <g stroke="var(--ink)">
      <line
        x1={px(-scene.halfWidest) - 12}
        x2={px(scene.halfWidest) + 12}
        y1={top}
        y2={top}
        strokeWidth="2.5"
      />
      {strung.map((x) => (
        <line
          key={x}
          x1={px(x)}
          x2={px(x)}
          y1={top}
          y2={py(scene.mixTop)}
          strokeWidth="1.4"
          strokeDasharray="5 4"
          opacity="0.8"
        />
      ))}
    </g>
  );
}

function stakes({ drawing: { px, py }, top, strung }: Pen): ReactNode {
  return strung.map((x) => (
    <g key={x}>
      <Cane x={px(x) + 8} y={top} footX={px(x) + 8} footY={py(30)} />
      <Cap x={px(x) + 8} y={top} />
    </g>
  ));
}

/** Canes that lean together, with their feet in the mix. */
function wigwam(feet: readonly number[], hasCap: boolean) {
  return ({ drawing: { px, py }, scene, top, half }: Pen): ReactNode => (
    <>
      {feet.map((share) => (
        <Cane
          key={share}
          x={px(half * share * 0.05)}
          y={top}
          footX={px(half * share)}
          footY={py(Math.max(10, scene.mixTop - 240))}
        />
      ))}
      {hasCap && <Cap x={px(0)} y={top} />}
    </>
  );
}

/** Three short canes upright round each seedling. */
function triangle(sides: readonly number[]) {
  return ({ drawing: { px, py }, scene, top, strung }: Pen): ReactNode =>
    strung.flatMap((x) =>
      sides.map((side) => (
        <g key={`${x} ${side}`}>
          <Cane x={px(x + side)} y={top} footX={px(x + side)} footY={py(Math.max(10, scene.mixTop - 120))} />
          <Cap x={px(x + side)} y={top} />
        </g>
      )),
    );
}

/** Rings of wire between two heights: half widths below and above, mm. */
function Rings({
  pen: { drawing },
  from,
  to,
  below,
  above,
  isBehind,
  feet,
}: {
  readonly pen: Pen;
  readonly from: number;
  readonly to: number;
  readonly below: number;
  readonly above: number;
  readonly isBehind: boolean;
  readonly feet: number;
}) {
  const { px, py } = drawing;
  const rings = Math.max(2, Math.round((to - from) / 300));
  const halfAt = (z: number) => below + ((above - below) * (z - from)) / Math.max(1, to - from);
  const bow = isBehind ? -6 : 6;
  const sides = isBehind ? [-1, 1] : [-0.45, 0.45];
  return (
    <g stroke="var(--muted)" fill="none" strokeWidth="1.8" opacity={isBehind ? 0.55 : 0.9}>
      {Array.from({ length: rings }, (_, i) => {
        const z = from + ((to - from) * (i + 1)) / rings;
        const half = halfAt(z);
        return <path key={i} d={`M${px(-half)} ${py(z)} Q${px(0)} ${py(z) + bow} ${px(half)} ${py(z)}`} />;
      })}
      {sides.map((side) => (
        <line key={side} x1={px(above * side)} x2={px(below * side)} y1={py(to)} y2={py(from - feet)} />
      ))}
    </g>
  );
}

function cage(isBehind: boolean) {
  return (pen: Pen): ReactNode => {
    const { scene, half } = pen;
    const { heightMillimetres } = scene.support;
    return (
      <Rings
        pen={pen}
        from={scene.mixTop}
        to={heightMillimetres}
        below={half}
        above={half}
        isBehind={isBehind}
        feet={60}
      />
    );
  };
}

/** The lower cage widens upwards, the upper one, upside down, narrows again; a stake goes through both. */
function twoCages(isBehind: boolean) {
  return (pen: Pen): ReactNode => {
    const { scene, half, drawing, top } = pen;
    const { heightMillimetres } = scene.support;
    const middle = (scene.mixTop + heightMillimetres) / 2;
    const narrow = half * 0.62;
    return (
      <>
        {isBehind && (
          <Cane x={drawing.px(narrow)} y={top} footX={drawing.px(narrow)} footY={drawing.py(20)} />
        )}
        <Rings
          pen={pen}
          from={scene.mixTop}
          to={middle}
          below={narrow}
          above={half}
          isBehind={isBehind}
          feet={60}
        />
        <Rings
          pen={pen}
          from={middle}
          to={heightMillimetres}
          below={half}
          above={narrow}
          isBehind={isBehind}
          feet={0}
        />
        {isBehind && <Cap x={drawing.px(narrow)} y={top} />}
      </>
    );
  };
}

/** One rod with a spiral round each plant. */
function tower({ drawing: { px, py }, scene, top, strung }: Pen): ReactNode {
  const turns = Math.max(4, Math.round((scene.support.heightMillimetres - scene.mixTop) / 170));
  const base = py(scene.mixTop);
  return strung.map((x) => {
    const wave = Array.from({ length: turns }, (_, i) => {
      const y = base + ((top - base) * (i + 1)) / turns;
      const middle = base + ((top - base) * (i + 0.5)) / turns;
      return `Q${px(x + (i % 2 === 0 ? 110 : -110))} ${middle} ${px(x)} ${y}`;
    });
    return (
      <g key={x} fill="none" stroke="var(--muted)" strokeLinecap="round">
        <path d={`M${px(x)} ${base} ${wave.join(' ')}`} strokeWidth="2.2" />
        <line x1={px(x)} x2={px(x)} y1={py(Math.max(10, scene.mixTop - 200))} y2={base} strokeWidth="3" />
      </g>
    );
  });
}

/** Two uprights whose feet lie under the bag, or are clipped to a planter, with bars between them. */
function frame(isUnder: boolean) {
  return ({ drawing: { px, py }, scene, top }: Pen): ReactNode => {
    const side = scene.halfWidest * (isUnder ? 0.94 : 1.02);
    const ground = py(-scene.floorMillimetres) - (isUnder ? 2 : 0);
    const foot = isUnder ? ground : py(scene.heightMillimetres * 0.55);
    const bars = Math.max(2, Math.round((scene.support.heightMillimetres - scene.mixTop) / 350));
    return (
      <g stroke="var(--mulch)" strokeWidth="4.5" strokeLinecap="round" fill="none">
        <path d={`M${px(-side)} ${foot} V${top} H${px(side)} V${foot}`} />
        {isUnder && <line x1={px(-side)} x2={px(side)} y1={ground} y2={ground} strokeWidth="5" />}
        {Array.from({ length: bars - 1 }, (_, i) => {
          const y = py(scene.mixTop + ((scene.support.heightMillimetres - scene.mixTop) * (i + 1)) / bars);
          return (
            <line
              key={i}
              x1={px(-side)}
              x2={px(side)}
              y1={y}
              y2={y}
              strokeWidth="1.6"
              strokeDasharray="6 4"
            />
          );
        })}
      </g>
    );
  };
}

type Draw = (pen: Pen) => ReactNode;

const BEHIND: Partial<Record<SupportKindId, Draw>> = {
  string: strings,
  stake: stakes,
  canes: wigwam([-1, 1], true),
  triangle: triangle([-70, 70]),
  cage: cage(true),
  'two-cages': twoCages(true),
  tower,
  frame: frame(true),
  'planter-frame': frame(false),
};

const BEFORE: Partial<Record<SupportKindId, Draw>> = {
  canes: wigwam([0.25], false),
  triangle: triangle([10]),
  cage: cage(false),
  'two-cages': twoCages(false),
};
