import { supportOf } from '@rundel/core/plants';
import { FINGER_GRADES, fingerGradeOf } from '@rundel/core/water';
import { useMediaQuery } from '@mui/material';
import { useId, useMemo } from 'react';
import type { UnitFormat } from '../store/index.ts';
import { Handle, type SectionHandle } from './Handle.tsx';
import { heightNeeded, layout, type Drawing } from './layout.ts';
import type { Scene } from './scene.ts';
import { SectionBody } from './SectionBody.tsx';
import { Spots, type Spot } from './Spots.tsx';

const MARGIN = { top: 26, bottom: 26, left: 74, right: 128 };

/** Words stay legible where a leaf or a line lies behind them. */
const HALO = {
  stroke: 'var(--surface)',
  strokeWidth: 3,
  paintOrder: 'stroke',
  strokeLinejoin: 'round',
} as const;

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

/**
 * The bag in section, to scale: outline, mix, mulch, the waterline band, what is buried, the plant and what holds it.
 * The zero of the scale is the surface of the mix.
 */
export function BagSection({
  scene,
  unitFormat,
  width: wide = 420,
  height: tall = 560,
  title,
  handles = [],
  isCut = false,
  spots = [],
}: {
  readonly scene: Scene;
  readonly unitFormat: Pick<UnitFormat, 'show' | 'range' | 'system'>;
  readonly width?: number;
  readonly height?: number;
  readonly title: string;
  /** lines that can be moved; with any, the drawing is an editor and not a picture */
  readonly handles?: readonly SectionHandle[];
  /** the bag as large as it goes, with its plants and what holds them cut off above it */
  readonly isCut?: boolean;
  /** parts that can be touched to say more of them */
  readonly spots?: readonly Spot[];
}) {
  // on a phone the paper is narrower, so that its words stay as large as the rest
  const width = useMediaQuery('(max-width: 599px)') ? Math.min(wide, 350) : wide;
  // a bag that lies flat needs less paper than one with a wire above it
  const seen = useMemo(() => (isCut ? cutAbove(scene) : scene), [isCut, scene]);
  const height = Math.min(tall, heightNeeded(seen, width, MARGIN));
  const drawing = useMemo(() => layout(seen, width, height, MARGIN), [seen, width, height]);
  const cutId = useId();
  const { px, py } = drawing;
  const { plants } = scene;
  const tallest = plants.reduce<(typeof plants)[number] | undefined>(
    (best, p) => (!best || p.heightMillimetres > best.heightMillimetres ? p : best),
    undefined,
  );
  const first = plants[0];
  // kept clear of the zero of the scale
  const underMiddle = first
    ? first.surface - (first.trench ? first.trench.depth : first.buriedMillimetres) / 2
    : 0;
  const underY = first ? Math.max(py(underMiddle), py(first.surface) + 20) : 0;
  const labelX = width - MARGIN.right + 14;
  const right = rightLabels(scene, unitFormat, tallest).filter(({ z }) => z <= seen.top);
  const places = spread(
    right.map((l) => py(l.z)),
    31,
    py(-scene.floorMillimetres) - 4,
  );
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role={handles.length > 0 || spots.length > 0 ? 'group' : 'img'}
      aria-label={title}
      style={{ width: '100%', height: '100%', display: 'block' }}
      fontFamily="inherit"
    >
      <Scale scene={seen} drawing={drawing} system={unitFormat.system} />
      {isCut ? (
        <>
          <clipPath id={cutId}>
            <path d={tornOff(width, height, py(seen.top))} />
          </clipPath>
          <g clipPath={`url(#${cutId})`}>
            <SectionBody scene={scene} drawing={drawing} />
          </g>
        </>
      ) : (
        <SectionBody scene={scene} drawing={drawing} />
      )}
      <line
        x1={MARGIN.left - 30}
        x2={labelX - 5}
        y1={py(-scene.floorMillimetres)}
        y2={py(-scene.floorMillimetres)}
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
          <text
            x={labelX}
            y={(places[i] ?? 0) - 1}
            fontSize="13.5"
            fontWeight="700"
            fill="var(--ink)"
            {...HALO}
          >
            {label.big}
          </text>
          <text x={labelX} y={(places[i] ?? 0) + 13} fontSize="11.5" fill="var(--muted)" {...HALO}>
            {label.small}
          </text>
        </g>
      ))}
      {first && first.buriedMillimetres > 15 && (
        <g>
          <path
            d={`M${MARGIN.left - 6} ${py(underMiddle)} H${px(first.x) - 4}`}
            stroke="var(--surface)"
            strokeWidth="1.2"
          />
          <text
            x={MARGIN.left - 10}
            y={underY}
            fontSize="13.5"
            fontWeight="700"
            fill="var(--ink)"
            textAnchor="end"
            {...HALO}
          >
            {unitFormat.show(first.buriedMillimetres, 'depth')}
          </text>
          <text
            x={MARGIN.left - 10}
            y={underY + 14}
            fontSize="11.5"
            fill="var(--muted)"
            textAnchor="end"
            {...HALO}
          >
            stem under
          </text>
        </g>
      )}
      {handles.map((handle) => {
        const line = py(handle.z);
        const edge = handle.side === 'left' ? px(-scene.halfWidest) + 20 : px(scene.halfWidest) - 20;
        return (
          <g key={handle.id}>
            <line
              x1={px(-scene.halfWidest)}
              x2={px(scene.halfWidest)}
              y1={line}
              y2={line}
              stroke="var(--flower)"
              strokeWidth="1.6"
              strokeDasharray="7 4"
            />
            <Handle handle={handle} drawing={drawing} x={edge} />
          </g>
        );
      })}
      <Spots spots={spots} scene={seen} drawing={drawing} />
    </svg>
  );
}

/** A scene that ends a hand above its bag. */
function cutAbove(scene: Scene): Scene {
  const rim = Math.max(scene.heightMillimetres, scene.mulchTop, ...scene.rings.map(({ to }) => to));
  const collars = scene.plants.map(({ collar }) => collar?.to ?? 0);
  return { ...scene, top: Math.min(scene.top, Math.max(rim, ...collars) + HAND_MILLIMETRES) };
}

/** How much of the stems a cut drawing shows, mm. */
const HAND_MILLIMETRES = 90;

/** All of the paper below a line that shows by its teeth that there is more. */
function tornOff(width: number, height: number, y: number): string {
  const teeth = Array.from({ length: Math.ceil(width / 8) + 1 }, (_, i) => `L${i * 8} ${y + (i % 2) * 5}`);
  return `M0 ${height} V${y} ${teeth.join(' ')} V${height} Z`;
}

/** How high the paper of a cut drawing is that its width decides, px. */
export function cutHeight(scene: Scene, width: number): number {
  return heightNeeded(cutAbove(scene), width, MARGIN);
}

/** Letters that fit beside the drawing. */
const LABEL_LETTERS = 19;

/** A name cut at a word's end to what fits beside the drawing. */
function shortened(name: string): string {
  if (name.length <= LABEL_LETTERS) return name;
  return `${name.slice(0, name.lastIndexOf(' ', LABEL_LETTERS - 1))}…`;
}

function rightLabels(
  scene: Scene,
  unitFormat: Pick<UnitFormat, 'show' | 'range'>,
  tallest: Scene['plants'][number] | undefined,
): { z: number; big: string; small: string; fromX: (d: Drawing) => number }[] {
  const labels: { z: number; big: string; small: string; fromX: (d: Drawing) => number }[] = [];
  const { support, water } = scene;
  if (support.kind !== 'none' && support.heightMillimetres > 0) {
    labels.push({
      z: support.heightMillimetres,
      big: unitFormat.show(support.heightMillimetres + scene.floorMillimetres, 'height'),
      small: `${supportOf(support.kind).short} above ground`,
      fromX: (d) => d.px(support.kind === 'string' ? scene.halfWidest : 12),
    });
  }
  if (tallest) {
    const plant = tallest;
    labels.push({
      z: plant.surface + plant.heightMillimetres,
      big: `${plant.isHeightMeasured ? '' : 'about '}${unitFormat.show(plant.heightMillimetres, 'height')}`,
      small: plant.isHeightMeasured ? 'above the mix' : 'tall, by its age',
      fromX: (d) => d.px(plant.x) + 8,
    });
  }
  if (scene.mulchTop > scene.mixTop) {
    const z = (scene.mulchTop + scene.mixTop) / 2;
    labels.push({
      z,
      big: unitFormat.show(scene.mulchTop - scene.mixTop, 'depth'),
      small: 'mulch',
      fromX: (d) => d.px(d.halfAt(z)),
    });
  }
  for (const { name, from, to } of scene.layers) {
    const z = (from + to) / 2;
    labels.push({
      z,
      big: unitFormat.show(to - from, 'depth'),
      small: shortened(name.toLowerCase()),
      fromX: (d) => d.px(d.halfAt(z)),
    });
  }
  if (scene.under?.litres !== undefined) {
    labels.push({
      z: -scene.floorMillimetres / 2,
      big: unitFormat.show(scene.under.litres, 'bag'),
      small: 'in the reservoir',
      fromX: (d) => d.px(scene.halfWidest),
    });
  }
  if (scene.holeMillimetres > 0) {
    labels.push({
      z: scene.holeMillimetres,
      big: unitFormat.show(scene.holeMillimetres, 'depth'),
      small: 'up to the holes',
      fromX: (d) => d.px(d.halfAt(scene.holeMillimetres)) + 4,
    });
  }
  if (water) {
    const percent = (share: number) => Math.round(share * 100);
    labels.push({
      z: water.likely,
      big: FINGER_GRADES[fingerGradeOf(water.share.likely) - 1] ?? '',
      small: `${percent(water.share.likely)} % left, ${percent(water.share.low)} to ${percent(water.share.high)}`,
      fromX: (d) => d.px(d.halfAt(water.likely)),
    });
  } else if (scene.layers.length === 0) {
    labels.push({
      z: scene.mixTop * 0.4,
      big: unitFormat.show(scene.mixTop, 'depth'),
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
