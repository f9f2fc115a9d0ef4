import type { Drawing } from './layout.ts';
import type { Scene, ScenePlant } from './scene.ts';

/** What of a plant is under the surface: its root ball, the buried stem with its roots, the graft; and a collar on the bag. */
export function Buried({
  plant,
  drawing,
  mixTop,
  fleck,
}: {
  readonly plant: Scene['plants'][number];
  readonly drawing: Drawing;
  readonly mixTop: number;
  /** id of the mix's pattern */
  readonly fleck: string;
}) {
  return (
    <g data-part="buried">
      {plant.collar && (
        <Collar collar={plant.collar} plant={plant} drawing={drawing} mixTop={mixTop} fleck={fleck} />
      )}
      {plant.trench ? (
        <Lying plant={plant} trench={plant.trench} drawing={drawing} />
      ) : (
        <Upright plant={plant} drawing={drawing} />
      )}
    </g>
  );
}

const BALL = { fill: '#1a130e', opacity: 0.7, stroke: 'var(--mulch)', strokeWidth: 1.2 } as const;

function Upright({ plant, drawing }: { readonly plant: ScenePlant; readonly drawing: Drawing }) {
  const { px, py, scale } = drawing;
  const x = px(plant.x);
  const surface = py(plant.surface);
  const ballTop = py(plant.surface - plant.buriedMillimetres);
  const width = plant.ball.width * scale;
  return (
    <>
      <Roots
        plant={plant}
        drawing={drawing}
        at={(share) => ({ x, y: surface + share * (ballTop - surface) })}
      />
      <rect x={x - width / 2} y={ballTop} width={width} height={plant.ball.height * scale} rx="4" {...BALL} />
      <line x1={x} x2={x} y1={surface} y2={ballTop} stroke="var(--leaf-pale)" strokeWidth="4" />
      {plant.graftMillimetres !== undefined && (
        <Graft x={x} y={py(plant.surface - plant.buriedMillimetres + plant.graftMillimetres)} />
      )}
    </>
  );
}

/** A stem that lies along its trench and is bent up at the end; the tip is where the plant stands. */
function Lying({
  plant,
  trench,
  drawing,
}: {
  readonly plant: ScenePlant;
  readonly trench: NonNullable<ScenePlant['trench']>;
  readonly drawing: Drawing;
}) {
  const { px, py, scale } = drawing;
  const axis = plant.surface - trench.depth + plant.ball.width / 2;
  const rise = Math.min(trench.bend, plant.surface - axis);
  // the ball lies towards the side where there is more room
  const side = plant.x > 0 ? -1 : 1;
  const far = plant.x + side * (trench.length - plant.ball.height);
  const bendAt = plant.x + side * trench.bend;
  const [left, right] = side === 1 ? [far, far + plant.ball.height] : [far - plant.ball.height, far];
  const y = py(axis);
  return (
    <>
      <Roots
        plant={plant}
        drawing={drawing}
        at={(share) => ({ x: px(bendAt + (far - bendAt) * share), y })}
      />
      <rect
        x={px(left)}
        y={py(axis + plant.ball.width / 2)}
        width={px(right) - px(left)}
        height={plant.ball.width * scale}
        rx="4"
        {...BALL}
      />
      <path
        d={`M${px(far)} ${y} L${px(bendAt)} ${y} Q${px(plant.x)} ${y} ${px(plant.x)} ${py(axis + rise)} L${px(plant.x)} ${py(plant.surface)}`}
        fill="none"
        stroke="var(--leaf-pale)"
        strokeWidth="4"
        strokeLinecap="round"
      />
    </>
  );
}

/** Roots along the buried stem; `at` gives a place by the share of the way from the surface to the ball. */
function Roots({
  plant,
  drawing,
  at,
}: {
  readonly plant: ScenePlant;
  readonly drawing: Drawing;
  at(share: number): { readonly x: number; readonly y: number };
}) {
  const count = Math.round(plant.buriedMillimetres / 28);
  return Array.from({ length: count }, (_, i) => {
    const { x, y } = at((i + 0.6) / count);
    const side = i % 2 === 0 ? 1 : -1;
    const reach = (22 + ((plant.seed >> i) & 15)) * (0.5 + plant.age) * drawing.scale * 4;
    return (
      <path
        key={i}
        d={`M${x} ${y} q${side * reach * 0.5} 1 ${side * reach} ${reach * 0.24}`}
        fill="none"
        stroke="var(--mulch)"
        strokeWidth="1.1"
        opacity="0.85"
      />
    );
  });
}

function Graft({ x, y }: { readonly x: number; readonly y: number }) {
  return (
    <circle cx={x} cy={y} r="4" fill="var(--flower)" stroke="var(--ink)" strokeWidth="1.2">
      <title>graft</title>
    </circle>
  );
}

/** A bottomless pot pressed into the top, with its mix. */
function Collar({
  collar: { half, from, to },
  plant,
  drawing,
  mixTop,
  fleck,
}: {
  readonly collar: NonNullable<ScenePlant['collar']>;
  readonly plant: ScenePlant;
  readonly drawing: Drawing;
  readonly mixTop: number;
  readonly fleck: string;
}) {
  const { px, py, scale } = drawing;
  const left = px(plant.x - half);
  const width = 2 * half * scale;
  const height = Math.max(0, (plant.surface - mixTop) * scale);
  return (
    <g data-part="collar">
      <rect x={left} y={py(plant.surface)} width={width} height={height} fill="var(--mix)" />
      <rect x={left} y={py(plant.surface)} width={width} height={height} fill={`url(#${fleck})`} />
      <path
        d={`M${left} ${py(to)} V${py(from)} M${left + width} ${py(to)} V${py(from)}`}
        stroke="var(--wall)"
        strokeWidth="4.5"
        strokeLinecap="round"
      />
    </g>
  );
}
