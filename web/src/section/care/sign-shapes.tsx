import type { ReactNode } from 'react';

/** Brown of dead leaf, and of what lies on it, by tokens that every theme has. */
export const DEAD = 'var(--mulch)';
export const DARK = 'var(--mix)';
export const GREEN = 'var(--leaf)';
export const PALE = 'var(--leaf-pale)';
export const YELLOW = 'var(--flower)';
export const LIGHT = 'var(--raised)';
export const INK = 'var(--ink)';

export const LEAF = 'M32 5 C49 13 56 33 32 59 C8 33 15 13 32 5 Z';

/** A leaf with its veins; `id` names the shape to clip by, since one page holds many. */
export function Leaf({
  id,
  fill = GREEN,
  veins = PALE,
  children,
}: {
  readonly id: string;
  readonly fill?: string;
  readonly veins?: string;
  readonly children?: ReactNode;
}) {
  return (
    <>
      <clipPath id={`leaf-${id}`}>
        <path d={LEAF} />
      </clipPath>
      <path d={LEAF} fill={fill} />
      <g clipPath={`url(#leaf-${id})`}>{children}</g>
      <g fill="none" stroke={veins} strokeWidth="1.8" strokeLinecap="round">
        <path d="M32 8 V59" />
        <path d="M32 46 L19 35 M32 46 L45 35 M32 34 L17 24 M32 34 L47 24 M32 22 L23 15 M32 22 L41 15" />
      </g>
      <path d={LEAF} fill="none" stroke={INK} strokeWidth="1.2" />
    </>
  );
}

export const dots = (at: readonly (readonly [number, number])[], r: number, fill: string) =>
  at.map(([x, y]) => <circle key={`${x} ${y}`} cx={x} cy={y} r={r} fill={fill} />);

export const SPOTS = [
  [25, 20],
  [40, 26],
  [22, 33],
  [36, 40],
  [30, 50],
] as const;
export const FINE = [
  [24, 17],
  [29, 14],
  [38, 17],
  [42, 23],
  [36, 24],
  [22, 24],
  [27, 27],
  [44, 31],
  [39, 33],
  [20, 32],
  [25, 36],
  [35, 40],
  [29, 43],
  [38, 44],
  [31, 51],
] as const;

/** A plant of a stem and some leaves, upright or hanging. */
export function SmallPlant({
  hangs = 0,
  hangsOn = 'both',
}: {
  readonly hangs?: number;
  readonly hangsOn?: 'both' | 'one';
}) {
  const leaf = (x: number, y: number, side: 1 | -1) => {
    const drop = hangsOn === 'one' && side === -1 ? 0 : hangs;
    return (
      <path
        key={`${x} ${y}`}
        d={`M${x} ${y} q${side * 10} ${-9 + drop * 12} ${side * 19} ${-6 + drop * 22} q${side * -12} ${8} ${side * -19} ${6 - drop * 22}`}
        fill={GREEN}
        stroke={INK}
        strokeWidth="1"
      />
    );
  };
  return (
    <>
      <path d="M18 52 H46 L43 62 H21 Z" fill={DARK} />
      <path d="M32 52 C31 40 33 26 32 12" fill="none" stroke={GREEN} strokeWidth="3" />
      {leaf(32, 42, 1)}
      {leaf(32, 34, -1)}
      {leaf(32, 26, 1)}
      {leaf(32, 18, -1)}
    </>
  );
}

export function Fruit({
  fill = 'var(--fruit)',
  children,
}: {
  readonly fill?: string;
  readonly children?: ReactNode;
}) {
  return (
    <>
      <circle cx="32" cy="36" r="21" fill={fill} stroke={INK} strokeWidth="1.2" />
      <path d="M32 16 l-8 3 M32 16 l8 3 M32 16 V8" stroke={GREEN} strokeWidth="3" strokeLinecap="round" />
      {children}
    </>
  );
}

export function MixTop({ children }: { readonly children?: ReactNode }) {
  return (
    <>
      <path d="M6 30 H58 L54 60 H10 Z" fill={DARK} stroke={INK} strokeWidth="1.2" />
      {dots(
        [
          [16, 40],
          [28, 50],
          [40, 42],
          [48, 52],
          [22, 56],
        ],
        1.6,
        'var(--mix-fleck)',
      )}
      {children}
    </>
  );
}

export function Stem({ children }: { readonly children?: ReactNode }) {
  return (
    <>
      <path d="M26 4 H38 V60 H26 Z" fill={GREEN} stroke={INK} strokeWidth="1.2" />
      <path d="M38 24 q12 -2 18 -12 M26 38 q-12 -2 -18 -12" fill="none" stroke={GREEN} strokeWidth="4" />
      {children}
    </>
  );
}

export function Flower({
  y,
  hangs = false,
  fill = YELLOW,
}: {
  readonly y: number;
  readonly hangs?: boolean;
  readonly fill?: string;
}) {
  return (
    <g transform={`translate(32 ${y}) ${hangs ? 'rotate(150)' : ''}`}>
      {[0, 72, 144, 216, 288].map((turn) => (
        <ellipse
          key={turn}
          cx="0"
          cy="-9"
          rx="4"
          ry="8"
          fill={fill}
          transform={`rotate(${turn})`}
          stroke={INK}
          strokeWidth="0.8"
        />
      ))}
      <circle r="3.4" fill={DARK} />
    </g>
  );
}

/** Arrows that say how it goes on. */
export const arrow = (d: string) => (
  <path d={d} fill="none" stroke={INK} strokeWidth="3" strokeLinecap="round" strokeLinejoin="round" />
);

/** Where on a plant: the leaves that are meant are dark, the others pale. */
export function Where({
  low,
  high,
  side,
}: {
  readonly low?: boolean;
  readonly high?: boolean;
  readonly side?: boolean;
}) {
  const leaf = (x: number, y: number, to: 1 | -1, isMeant: boolean) => (
    <path
      key={`${x} ${y}`}
      d={`M${x} ${y} q${to * 10} -10 ${to * 20} -5 q${to * -10} 9 ${to * -20} 5`}
      fill={isMeant ? DEAD : PALE}
      stroke={INK}
      strokeWidth={isMeant ? 1.4 : 0.6}
    />
  );
  return (
    <>
      <path d="M20 54 H44 L42 62 H22 Z" fill={DARK} />
      <path d="M32 54 V8" stroke={GREEN} strokeWidth="3" />
      {leaf(32, 50, 1, low === true || side === true)}
      {leaf(32, 44, -1, low === true)}
      {leaf(32, 34, 1, side === true)}
      {leaf(32, 28, -1, false)}
      {leaf(32, 20, 1, high === true || side === true)}
      {leaf(32, 14, -1, high === true)}
      {side && <circle cx="57" cy="9" r="6" fill={YELLOW} stroke={INK} />}
    </>
  );
}
