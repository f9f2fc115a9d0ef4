import type { ScenePlant } from './scene.ts';
import { asideAt } from './training.ts';

/** Draws of chance that are the same for the same plant. */
function drawsOf(seed: number): () => number {
  let state = seed || 1;
  return () => {
    state = Math.imul(state ^ (state >>> 15), state | 1);
    state ^= state + Math.imul(state ^ (state >>> 7), state | 61);
    return ((state ^ (state >>> 14)) >>> 0) / 4294967296;
  };
}

interface LeafAt {
  readonly y: number;
  readonly side: 1 | -1;
  readonly reach: number;
}

/** A plant above the mix, by the form that it is trained to. Pixels; (x, base) is where the stem leaves the mix. */
export function Plant({
  plant,
  x,
  base,
  scale,
}: {
  readonly plant: ScenePlant;
  readonly x: number;
  readonly base: number;
  readonly scale: number;
}) {
  const { training } = plant;
  return (
    <g data-part="plant">
      {training.tops.map((top, i) => {
        // in a bush the middle is the tallest
        const isSide = training.form === 'bush' && top !== 0;
        return (
          <Leader
            key={top}
            plant={plant}
            seed={plant.seed + i * 7919}
            height={plant.heightMillimetres * (isSide ? 0.86 : 1) * scale}
            atHeight={(share, lean) =>
              x + lean * Math.sin(share * 2.6) + top * scale * asideAt(training, share)
            }
            base={base}
            scale={scale}
          />
        );
      })}
    </g>
  );
}

/** One stem with its leaves and what hangs on it. */
function Leader({
  plant,
  seed,
  height,
  atHeight: placed,
  base,
  scale,
}: {
  readonly plant: ScenePlant;
  readonly seed: number;
  readonly height: number;
  atHeight(share: number, lean: number): number;
  readonly base: number;
  readonly scale: number;
}) {
  const draw = drawsOf(seed);
  const many = plant.training.tops.length;
  const usual = Math.min(15, Math.round(plant.heightMillimetres / 95));
  const count = Math.max(3, many > 1 ? Math.ceil((usual * 1.3) / many) : usual);
  const lean = (draw() - 0.5) * 8;
  const atHeight = (share: number) => placed(share, lean);
  const lowest = plant.age > 0.45 && plant.heightMillimetres > 500 ? 0.16 : 0.08;
  const bare = many > 1 ? Math.max(lowest, plant.training.fork) : lowest;
  const leaves = Array.from({ length: count }, (_, i): LeafAt => {
    const share = bare + ((0.97 - bare) * (i + 0.4 * draw())) / count;
    const bell = Math.sin(Math.PI * Math.min(1, 0.25 + share * 0.68));
    const most = Math.min(330, 110 + plant.heightMillimetres * 0.17) * scale * (many > 1 ? 0.75 : 1);
    return { y: share, side: i % 2 === 0 ? 1 : -1, reach: most * bell * (0.75 + 0.45 * draw()) };
  });
  const trusses = plant.isBearing ? leaves.filter((_, i) => i % 3 === 1 && i < count * 0.75) : [];
  const flowers =
    plant.age > 0.3 ? leaves.filter((_, i) => i === Math.floor(count * 0.8) || i === count - 2) : [];
  const thickness = Math.max(1.8, Math.min(5.5, 1.5 + height / 75)) * (many > 1 ? 0.8 : 1);
  const stem = [0, 0.12, 0.25, 0.4, 0.5, 0.75, 1].map(
    (s) => `${atHeight(s).toFixed(1)} ${(base - height * s).toFixed(1)}`,
  );
  return (
    <g>
      {leaves.map((leaf, i) => (
        <Leaf
          key={i}
          crop={plant.crop}
          x={atHeight(leaf.y)}
          y={base - height * leaf.y}
          side={leaf.side}
          reach={leaf.reach}
          isPale={i % 3 === 2}
        />
      ))}
      <polyline
        points={stem.join(' ')}
        fill="none"
        stroke="var(--leaf)"
        strokeWidth={thickness}
        strokeLinecap="round"
        strokeLinejoin="round"
      />
      {trusses.map((leaf, i) => (
        <Fruit
          key={i}
          kind={plant.fruit}
          x={atHeight(leaf.y) - leaf.side * 7}
          y={base - height * leaf.y + 5}
          side={leaf.side === 1 ? -1 : 1}
          ripeness={i === 0 ? 1 : i === 1 ? 0.4 : 0}
          size={Math.max(3, 34 * scale)}
        />
      ))}
      {flowers.map((leaf, i) => (
        <g key={i} fill="var(--flower)">
          <circle cx={atHeight(leaf.y) - leaf.side * 8} cy={base - height * leaf.y - 2} r="2.6" />
          <circle cx={atHeight(leaf.y) - leaf.side * 13} cy={base - height * leaf.y + 3} r="2.2" />
        </g>
      ))}
    </g>
  );
}

function Leaf({
  crop,
  x,
  y,
  side,
  reach,
  isPale,
}: LeafAt & { readonly crop: string; readonly x: number; readonly isPale: boolean }) {
  const tipX = x + side * reach;
  const tipY = y - reach * 0.1;
  const stalk = `M${x} ${y} Q${x + side * reach * 0.5} ${y - reach * 0.3} ${tipX} ${tipY}`;
  const fill = isPale ? 'var(--leaf-pale)' : 'var(--leaf)';
  if (crop === 'tomato') {
    const leaflets = [0.45, 0.68, 0.88, 1.06];
    return (
      <g>
        <path d={stalk} fill="none" stroke="var(--leaf)" strokeWidth="1.6" />
        {leaflets.map((share, i) => {
          const cx = x + side * reach * share;
          const cy = y - reach * (0.36 * share * (1.75 - share));
          const size = reach * (i === 3 ? 0.19 : 0.15);
          return (
            <g key={share} transform={`translate(${cx} ${cy}) rotate(${side * (i % 2 === 0 ? 28 : -18)})`}>
              <path d={leafletPath(size, side)} fill={fill} opacity={i % 2 === 0 ? 1 : 0.85} />
            </g>
          );
        })}
      </g>
    );
  }
  const isLobed = crop === 'cucumber';
  const size = reach * (isLobed ? 0.36 : 0.5);
  return (
    <g>
      <path
        d={`M${x} ${y} Q${x + side * reach * 0.3} ${y - reach * 0.22} ${x + side * reach * 0.5} ${y - reach * 0.16}`}
        fill="none"
        stroke="var(--leaf)"
        strokeWidth="1.6"
      />
      <g
        transform={`translate(${x + side * reach * 0.66} ${y - reach * 0.12}) rotate(${side * 14}) scale(${side} 1)`}
      >
        <path d={isLobed ? lobedPath(size) : ovalPath(size)} fill={fill} />
        <path
          d={`M${-size * 0.7} 0 L${size * 0.75} 0`}
          stroke="var(--surface)"
          strokeWidth="0.8"
          opacity="0.55"
        />
      </g>
    </g>
  );
}

function leafletPath(size: number, side: number): string {
  const s = size * side;
  return `M${-s} 0 C${-s * 0.5} ${-size * 0.75} ${s * 0.35} ${-size * 0.7} ${s} 0 C${s * 0.3} ${size * 0.55} ${-s * 0.4} ${size * 0.6} ${-s} 0 Z`;
}

function ovalPath(size: number): string {
  return `M${-size * 0.8} 0 C${-size * 0.4} ${-size * 0.55} ${size * 0.4} ${-size * 0.5} ${size} 0 C${size * 0.4} ${size * 0.5} ${-size * 0.4} ${size * 0.55} ${-size * 0.8} 0 Z`;
}

/** Five blunt lobes, as on a cucumber. */
function lobedPath(size: number): string {
  const p = (x: number, y: number) => `${(x * size).toFixed(1)} ${(y * size).toFixed(1)}`;
  return `M${p(-0.6, 0)} Q${p(-1, -0.35)} ${p(-0.7, -0.72)} Q${p(-0.35, -0.95)} ${p(-0.05, -0.62)} Q${p(0.2, -0.95)} ${p(0.5, -0.7)} Q${p(0.62, -0.4)} ${p(0.62, -0.32)} Q${p(1, -0.2)} ${p(1.05, 0)} Q${p(1, 0.2)} ${p(0.62, 0.32)} Q${p(0.62, 0.4)} ${p(0.5, 0.7)} Q${p(0.2, 0.95)} ${p(-0.05, 0.62)} Q${p(-0.35, 0.95)} ${p(-0.7, 0.72)} Q${p(-1, 0.35)} ${p(-0.6, 0)} Z`;
}

function Fruit({
  kind,
  x,
  y,
  side,
  ripeness,
  size,
}: {
  readonly kind: ScenePlant['fruit'];
  readonly x: number;
  readonly y: number;
  readonly side: number;
  readonly ripeness: number;
  readonly size: number;
}) {
  const green = 'var(--leaf-pale)';
  if (kind === 'red') {
    const spots = [
      [0, 0],
      [6, 6],
      [-3, 9],
      [5, 14],
    ];
    return (
      <g stroke="var(--surface)" strokeWidth="0.8">
        {spots.map(([dx = 0, dy = 0], i) => (
          <circle
            key={i}
            cx={x + side * (6 + dx)}
            cy={y + dy}
            r={size}
            fill={ripeness > i / 4 ? 'var(--fruit)' : green}
          />
        ))}
      </g>
    );
  }
  const hang = side * 8;
  if (kind === 'long-green') {
    return (
      <rect
        x={x + hang - size * 0.6}
        y={y}
        width={size * 1.2}
        height={size * 5.5}
        rx={size * 0.6}
        fill="var(--leaf)"
        stroke="var(--surface)"
        strokeWidth="0.8"
      />
    );
  }
  const fill = kind === 'dark' ? 'var(--action)' : ripeness >= 1 ? 'var(--fruit)' : 'var(--leaf)';
  return (
    <path
      d={`M${x + hang - size} ${y + 2} C${x + hang - size * 1.6} ${y + size * 3} ${x + hang + size * 1.6} ${y + size * 3} ${x + hang + size} ${y + 2} Q${x + hang} ${y - 3} ${x + hang - size} ${y + 2} Z`}
      fill={fill}
      stroke="var(--surface)"
      strokeWidth="0.8"
    />
  );
}
