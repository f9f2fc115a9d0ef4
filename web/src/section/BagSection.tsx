import { FINGER_GRADES, fingerGradeOf } from '@rundel/core/water';
import { useId, useMemo } from 'react';
import type { Shown } from '../store/index.ts';
import { Plant } from './Plant.tsx';
import type { Scene } from './scene.ts';
import { Support } from './Support.tsx';

const MARGIN = { top: 26, bottom: 26, left: 74, right: 122 };

/** Moves labels apart that would lie on one another; heights from the top, in the order given. */
function spread(wanted: readonly number[], gap: number, bottom: number): readonly number[] {
  const order = wanted.map((y, i) => ({ y, i })).sort((a, b) => a.y - b.y);
  let last = -Infinity;
  for (const label of order) {
    label.y = Math.max(label.y, last + gap);
    last = label.y;
  }
  let below = bottom;
  for (const label of [...order].reverse()) {
    label.y = Math.min(label.y, below);
    below = label.y - gap;
  }
  const placed: number[] = [];
  for (const { y, i } of order) placed[i] = y;
  return placed;
}

/** Water's colour by its grade, straw to slate blue. */
export function waterColour(share: number): string {
  return `var(--water-${fingerGradeOf(share)})`;
}

/**
 * The bag in section, to scale: outline, mix, mulch, the waterline band, what is buried, the plant and what holds it.
 * The zero of the scale is the surface of the mix.
 */
export function BagSection({
  scene,
  shown,
  width = 420,
  height = 560,
  title,
}: {
  readonly scene: Scene;
  readonly shown: Pick<Shown, 'show' | 'range' | 'system'>;
  readonly width?: number;
  readonly height?: number;
  readonly title: string;
}) {
  const id = useId();
  const drawing = useMemo(() => layout(scene, width, height), [scene, width, height]);
  const { scale, px, py, inside, wall } = drawing;
  const { water, plants } = scene;
  const tallest = plants.reduce<(typeof plants)[number] | undefined>(
    (best, p) => (!best || p.heightMillimetres > best.heightMillimetres ? p : best),
    undefined,
  );
  const first = plants[0];
  const labelX = width - MARGIN.right + 14;
  const right = rightLabels(scene, shown, tallest);
  const places = spread(
    right.map((l) => py(l.z)),
    31,
    py(0) - 4,
  );
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={title}
      style={{ width: '100%', height: '100%', display: 'block' }}
      fontFamily="inherit"
    >
      <defs>
        <clipPath id={`${id}in`}>
          <path d={inside} />
        </clipPath>
        <pattern id={`${id}fleck`} width="23" height="19" patternUnits="userSpaceOnUse">
          <circle cx="4" cy="5" r="1.3" fill="var(--mix-fleck)" opacity="0.6" />
          <circle cx="15" cy="12" r="1" fill="var(--mix-fleck)" opacity="0.5" />
          <circle cx="20" cy="3" r="0.8" fill="var(--mix-fleck)" opacity="0.7" />
          <circle cx="9" cy="16" r="0.7" fill="var(--mix-fleck)" opacity="0.6" />
        </pattern>
        <pattern
          id={`${id}band`}
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(40)"
        >
          <rect width="7" height="7" fill={waterColour(water?.share.likely ?? 0)} opacity="0.34" />
          <line
            x1="0"
            y1="0"
            x2="0"
            y2="7"
            stroke={waterColour(water?.share.likely ?? 0)}
            strokeWidth="2.4"
          />
        </pattern>
        <pattern id={`${id}straw`} width="18" height="9" patternUnits="userSpaceOnUse">
          <path d="M1 7 L8 2 M9 8 L17 5 M11 2 L15 1" stroke="var(--wall)" strokeWidth="0.9" opacity="0.4" />
        </pattern>
      </defs>
      <Scale scene={scene} drawing={drawing} system={shown.system} />
      <Support scene={scene} drawing={drawing} isBehind />
      <g clipPath={`url(#${id}in)`}>
        <rect x="0" y={py(scene.mixTop)} width={width} height={height} fill="var(--mix)" />
        <rect x="0" y={py(scene.mixTop)} width={width} height={height} fill={`url(#${id}fleck)`} />
        {water && (
          <>
            <rect
              data-part="water"
              x="0"
              width={width}
              height={height}
              y={py(water.low)}
              fill={waterColour(water.share.likely)}
              opacity="0.62"
              style={{ transition: 'y 700ms ease' }}
            />
            <rect
              data-part="band"
              x="0"
              width={width}
              y={py(water.high)}
              height={Math.max(1, (water.high - water.low) * scale)}
              fill={`url(#${id}band)`}
              style={{ transition: 'y 700ms ease, height 700ms ease' }}
            />
            <rect
              data-part="waterline"
              x="0"
              width={width}
              y={py(water.likely) - 1.5}
              height="3"
              fill="var(--surface)"
              style={{ transition: 'y 700ms ease' }}
            />
          </>
        )}
        {scene.mulchTop > scene.mixTop && (
          <>
            <rect
              x="0"
              y={py(scene.mulchTop)}
              width={width}
              height={(scene.mulchTop - scene.mixTop) * scale}
              fill="var(--mulch)"
            />
            <rect
              x="0"
              y={py(scene.mulchTop)}
              width={width}
              height={(scene.mulchTop - scene.mixTop) * scale}
              fill={`url(#${id}straw)`}
            />
          </>
        )}
      </g>
      {plants.map((plant) => (
        <Buried key={plant.seed} plant={plant} drawing={drawing} mixTop={scene.mixTop} />
      ))}
      <path
        d={wall}
        fill="none"
        stroke="var(--wall)"
        strokeLinecap="round"
        strokeLinejoin="round"
        strokeWidth={scene.wall === 'film' ? 3 : 6}
        strokeDasharray={scene.wall === 'fabric' ? '0.5 7.5' : undefined}
      />
      <path
        d={wall}
        fill="none"
        stroke="var(--wall)"
        strokeLinejoin="round"
        strokeWidth={scene.wall === 'film' ? 2.5 : scene.wall === 'fabric' ? 3.5 : 5}
      />
      {plants.map((plant) => (
        <Plant key={plant.seed} plant={plant} x={px(plant.x)} base={py(scene.mixTop)} scale={scale} />
      ))}
      <Support scene={scene} drawing={drawing} />
      <line
        x1={MARGIN.left - 30}
        x2={width - MARGIN.right + 30}
        y1={py(0)}
        y2={py(0)}
        stroke="var(--ink)"
        strokeWidth="2"
      />
      {right.map((label, i) => (
        <g key={label.big}>
          <path
            d={`M${label.fromX(drawing)} ${py(label.z)} L${labelX - 5} ${places[i] ?? 0}`}
            stroke="var(--ink)"
            strokeWidth="1"
            fill="none"
          />
          <text x={labelX} y={(places[i] ?? 0) - 1} fontSize="13.5" fontWeight="700" fill="var(--ink)">
            {label.big}
          </text>
          <text x={labelX} y={(places[i] ?? 0) + 13} fontSize="11.5" fill="var(--muted)">
            {label.small}
          </text>
        </g>
      ))}
      {first && first.buriedMillimetres > 15 && (
        <g>
          <path
            d={`M${MARGIN.left - 6} ${py(scene.mixTop - first.buriedMillimetres / 2)} H${px(first.x) - 4}`}
            stroke="var(--surface)"
            strokeWidth="1.2"
          />
          <text
            x={MARGIN.left - 10}
            y={py(scene.mixTop - first.buriedMillimetres / 2)}
            fontSize="13.5"
            fontWeight="700"
            fill="var(--ink)"
            textAnchor="end"
          >
            {shown.show(first.buriedMillimetres, 'depth')}
          </text>
          <text
            x={MARGIN.left - 10}
            y={py(scene.mixTop - first.buriedMillimetres / 2) + 14}
            fontSize="11.5"
            fill="var(--muted)"
            textAnchor="end"
          >
            stem under
          </text>
        </g>
      )}
    </svg>
  );
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

function layout(scene: Scene, width: number, height: number): Drawing {
  const room = { x: width - MARGIN.left - MARGIN.right, y: height - MARGIN.top - MARGIN.bottom };
  const widest = Math.max(scene.halfWidest * 2, 260);
  const scale = Math.min(room.y / Math.max(scene.top * 1.04, 300), room.x / widest);
  const middle = MARGIN.left + room.x / 2;
  const px = (x: number) => middle + x * scale;
  const py = (z: number) => height - MARGIN.bottom - z * scale;
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

function rightLabels(
  scene: Scene,
  shown: Pick<Shown, 'show' | 'range'>,
  tallest: Scene['plants'][number] | undefined,
): { z: number; big: string; small: string; fromX: (d: Drawing) => number }[] {
  const labels: { z: number; big: string; small: string; fromX: (d: Drawing) => number }[] = [];
  const { support, water } = scene;
  if (support.kind !== 'none' && support.heightMillimetres > 0) {
    const names = { stake: 'stake', string: 'wire', cage: 'cage', canes: 'canes' } as const;
    labels.push({
      z: support.heightMillimetres,
      big: shown.show(support.heightMillimetres, 'height'),
      small: `${names[support.kind]}, from the ground`,
      fromX: (d) => d.px(support.kind === 'string' ? scene.halfWidest : 12),
    });
  }
  if (tallest) {
    const plant = tallest;
    labels.push({
      z: scene.mixTop + plant.heightMillimetres,
      big: `${plant.isHeightMeasured ? '' : 'about '}${shown.show(plant.heightMillimetres, 'height')}`,
      small: plant.isHeightMeasured ? 'above the mix' : 'tall, by its age',
      fromX: (d) => d.px(plant.x) + 8,
    });
  }
  if (scene.mulchTop > scene.mixTop) {
    const z = (scene.mulchTop + scene.mixTop) / 2;
    labels.push({
      z,
      big: shown.show(scene.mulchTop - scene.mixTop, 'depth'),
      small: 'mulch',
      fromX: (d) => d.px(d.halfAt(z)),
    });
  }
  if (water) {
    const percent = (share: number) => Math.round(share * 100);
    labels.push({
      z: water.likely,
      big: `${percent(water.share.likely)} % left`,
      small: `${percent(water.share.low)} to ${percent(water.share.high)} · ${FINGER_GRADES[fingerGradeOf(water.share.likely) - 1] ?? ''}`,
      fromX: (d) => d.px(d.halfAt(water.likely)),
    });
  } else {
    labels.push({
      z: scene.mixTop * 0.4,
      big: shown.show(scene.mixTop, 'depth'),
      small: 'of mix',
      fromX: (d) => d.px(d.halfAt(scene.mixTop * 0.4)),
    });
  }
  return labels;
}

/** The scale at the left: zero at the surface of the mix. */
function Scale({
  scene,
  drawing,
  system,
}: {
  readonly scene: Scene;
  readonly drawing: Drawing;
  readonly system: string;
}) {
  const isMetric = system === 'metric';
  const unit = isMetric ? 10 : 25.4;
  const above = (scene.top - scene.mixTop) / unit;
  const steps = isMetric ? [5, 10, 25, 50] : [3, 6, 12, 24];
  const step = steps.find((s) => s * unit * drawing.scale > 38) ?? (steps.at(-1) as number);
  const ticks = Array.from({ length: Math.floor(above / step) + 1 }, (_, i) => i * step);
  const x = MARGIN.left - 14;
  return (
    <g fontSize="11.5" fill="var(--muted)" aria-hidden>
      {ticks.map((tick) => {
        const y = drawing.py(scene.mixTop + tick * unit);
        return (
          <g key={tick}>
            <line x1={x - 10} x2={x} y1={y} y2={y} stroke="var(--muted)" strokeWidth="1" />
            <text x={x - 14} y={y + 4} textAnchor="end">
              {tick}
              {tick === 0 ? (isMetric ? ' cm' : ' in') : ''}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** Root ball, buried stem, roots and graft. */
function Buried({
  plant,
  drawing,
  mixTop,
}: {
  readonly plant: Scene['plants'][number];
  readonly drawing: Drawing;
  readonly mixTop: number;
}) {
  const { px, py, scale } = drawing;
  const x = px(plant.x);
  const surface = py(mixTop);
  const ballTop = py(mixTop - plant.buriedMillimetres);
  const width = plant.ball.width * scale;
  const roots = Math.round(plant.buriedMillimetres / 28);
  return (
    <g data-part="buried">
      {Array.from({ length: roots }, (_, i) => {
        const y = surface + ((i + 0.6) / roots) * (ballTop - surface);
        const side = i % 2 === 0 ? 1 : -1;
        const reach = (22 + ((plant.seed >> i) & 15)) * (0.5 + plant.age) * scale * 4;
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
      })}
      <rect
        x={x - width / 2}
        y={ballTop}
        width={width}
        height={plant.ball.height * scale}
        rx="4"
        fill="var(--wall)"
        opacity="0.55"
        stroke="var(--mulch)"
        strokeWidth="1.2"
      />
      <line x1={x} x2={x} y1={surface} y2={ballTop} stroke="var(--leaf-pale)" strokeWidth="4" />
      {plant.graftMillimetres !== undefined && (
        <circle
          cx={x}
          cy={py(mixTop - plant.buriedMillimetres + plant.graftMillimetres)}
          r="4"
          fill="var(--flower)"
          stroke="var(--ink)"
          strokeWidth="1.2"
        >
          <title>graft</title>
        </circle>
      )}
    </g>
  );
}
