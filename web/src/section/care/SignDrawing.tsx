import type { ReactNode } from 'react';

/** Brown of dead leaf, and of what lies on it, by tokens that every theme has. */
const DEAD = 'var(--mulch)';
const DARK = 'var(--mix)';
const GREEN = 'var(--leaf)';
const PALE = 'var(--leaf-pale)';
const YELLOW = 'var(--flower)';
const LIGHT = 'var(--raised)';
const INK = 'var(--ink)';

const LEAF = 'M32 5 C49 13 56 33 32 59 C8 33 15 13 32 5 Z';

/** A leaf with its veins; `id` names the shape to clip by, since one page holds many. */
function Leaf({
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

const dots = (at: readonly (readonly [number, number])[], r: number, fill: string) =>
  at.map(([x, y]) => <circle key={`${x} ${y}`} cx={x} cy={y} r={r} fill={fill} />);

const SPOTS = [
  [25, 20],
  [40, 26],
  [22, 33],
  [36, 40],
  [30, 50],
] as const;
const FINE = [
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
function SmallPlant({
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

function Fruit({
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

function MixTop({ children }: { readonly children?: ReactNode }) {
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

function Stem({ children }: { readonly children?: ReactNode }) {
  return (
    <>
      <path d="M26 4 H38 V60 H26 Z" fill={GREEN} stroke={INK} strokeWidth="1.2" />
      <path d="M38 24 q12 -2 18 -12 M26 38 q-12 -2 -18 -12" fill="none" stroke={GREEN} strokeWidth="4" />
      {children}
    </>
  );
}

function Flower({
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
const arrow = (d: string) => (
  <path d={d} fill="none" stroke={INK} strokeWidth="3" strokeLinecap="round" strokeLinejoin="round" />
);

/** Where on a plant: the leaves that are meant are dark, the others pale. */
function Where({
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

const DRAWINGS: Readonly<Record<string, () => ReactNode>> = {
  'edges-brown': () => (
    <Leaf id="edges">
      <path d={LEAF} fill="none" stroke={DEAD} strokeWidth="13" />
    </Leaf>
  ),
  'between-veins-yellow': () => <Leaf id="between" fill={YELLOW} veins={GREEN} />,
  'all-yellow': () => <Leaf id="yellow" fill={YELLOW} veins={DEAD} />,
  bleached: () => (
    <Leaf id="bleached">
      <path
        d="M18 20 q10 -8 14 4 q-2 14 -12 10z M38 32 q10 -4 8 8 q-8 10 -12 0z"
        fill={LIGHT}
        stroke={DEAD}
      />
    </Leaf>
  ),
  spots: () => (
    <Leaf id="spots">
      {dots(SPOTS, 4, YELLOW)}
      {dots(SPOTS, 2.6, DARK)}
    </Leaf>
  ),
  blotches: () => (
    <Leaf id="blotches">
      <path
        d="M10 34 q10 -16 20 -4 q4 14 -8 20z M38 8 q14 6 12 20 q-12 4 -16 -8z"
        fill={DARK}
        stroke={PALE}
        strokeWidth="2.5"
      />
    </Leaf>
  ),
  powder: () => (
    <Leaf id="powder">
      <path d="M20 22 q8 -10 16 0 q-4 10 -14 8z M34 38 q10 -6 10 4 q-8 8 -14 2z" fill={LIGHT} opacity="0.9" />
      {dots(FINE, 2, LIGHT)}
    </Leaf>
  ),
  'grey-fur': () => (
    <Leaf id="fur">
      <path d="M18 40 q8 -12 22 -4 q4 12 -8 18z" fill="var(--muted)" />
      <path
        d="M20 38 v-8 M25 35 v-9 M30 33 v-9 M35 34 v-9 M39 37 v-8"
        stroke="var(--muted)"
        strokeWidth="2"
      />
    </Leaf>
  ),
  specks: () => <Leaf id="specks">{dots(FINE, 1.2, LIGHT)}</Leaf>,
  webs: () => (
    <Leaf id="webs">
      {dots(FINE, 0.9, DARK)}
      <path d="M14 26 L46 44 M20 44 L48 20 M32 10 L22 50 M40 14 L36 52" stroke={LIGHT} strokeWidth="1" />
    </Leaf>
  ),
  insects: () => (
    <Leaf id="insects">
      {SPOTS.map(([x, y]) => (
        <g key={`${x} ${y}`} transform={`translate(${x} ${y}) rotate(30)`}>
          <ellipse rx="2.6" ry="4" fill={DARK} />
          <path d="M-3 -2 l-3 -2 M3 -2 l3 -2 M-3 2 l-3 2 M3 2 l3 2" stroke={DARK} />
        </g>
      ))}
    </Leaf>
  ),
  holes: () => (
    <Leaf id="holes">
      <circle cx="24" cy="26" r="6" fill="var(--surface)" stroke={INK} />
      <circle cx="40" cy="38" r="7" fill="var(--surface)" stroke={INK} />
      <path d="M50 16 q-10 4 -4 12 q8 0 8 -4z" fill="var(--surface)" />
    </Leaf>
  ),
  'rolled-up': () => (
    <>
      <path d="M32 5 C40 16 41 38 32 59 C23 38 24 16 32 5Z" fill={GREEN} stroke={INK} />
      <path
        d="M32 5 C46 16 46 40 32 59 C40 38 41 18 32 5 M32 5 C18 16 18 40 32 59 C24 38 23 18 32 5"
        fill={PALE}
        stroke={INK}
      />
    </>
  ),
  drooping: () => <SmallPlant hangs={0.8} />,
  mosaic: () => (
    <Leaf id="mosaic">
      <path
        d="M16 18 h12 v8 h-12z M36 14 h12 v10 h-12z M28 30 h8 v10 h-8z M14 34 h10 v10 h-10z M38 38 h8 v10 h-8z"
        fill={PALE}
      />
      <path d="M28 10 h8 v8 h-8z M22 46 h8 v8 h-8z" fill={YELLOW} />
    </Leaf>
  ),
  ferny: () => (
    <g fill="none" stroke={GREEN} strokeWidth="2.6" strokeLinecap="round">
      <path d="M32 60 C36 44 26 26 34 6" />
      <path d="M32 48 l-14 -8 M33 42 l13 -10 M31 34 l-13 -8 M31 28 l12 -10 M31 20 l-9 -8" />
    </g>
  ),
  purple: () => (
    <Leaf id="purple" veins="var(--fruit)">
      <path d="M8 40 L56 40 L32 60Z" fill="var(--fruit)" opacity="0.45" />
    </Leaf>
  ),
  'dark-lush': () => (
    <>
      <path
        d="M32 58 C30 40 36 26 28 16 q-8 -8 4 -12 q16 2 14 16 q-2 12 -14 14"
        fill={GREEN}
        stroke={INK}
        strokeWidth="2"
      />
      <path d="M30 44 q-18 -2 -14 -14 q8 -4 14 6" fill={GREEN} stroke={INK} strokeWidth="2" />
    </>
  ),
  'tips-burnt': () => (
    <Leaf id="tips">
      <path d="M0 0 H64 V17 H0Z" fill={DEAD} />
    </Leaf>
  ),
  'on-low': () => <Where low />,
  'on-top': () => <Where high />,
  'on-sunny-side': () => <Where side />,
  'wilts-dry': () => (
    <>
      <SmallPlant hangs={1} />
      <path d="M22 56 l6 4 M34 54 l6 6" stroke={DEAD} strokeWidth="2" />
    </>
  ),
  'wilts-wet': () => (
    <>
      <SmallPlant hangs={1} />
      <path d="M12 60 q4 -5 8 0 t8 0 t8 0 t8 0 t8 0" fill="none" stroke="var(--water-5)" strokeWidth="3" />
    </>
  ),
  'wilts-one-side': () => <SmallPlant hangs={1} hangsOn="one" />,
  'wilts-noon': () => (
    <>
      <SmallPlant hangs={0.6} />
      <circle cx="54" cy="10" r="7" fill={YELLOW} stroke={INK} />
    </>
  ),
  stalled: () => (
    <>
      <SmallPlant />
      {arrow('M6 8 H20')}
    </>
  ),
  'stem-streaks': () => (
    <>
      <ellipse cx="32" cy="32" rx="22" ry="20" fill={PALE} stroke={INK} strokeWidth="1.4" />
      <ellipse
        cx="32"
        cy="32"
        rx="15"
        ry="13"
        fill="none"
        stroke={DARK}
        strokeWidth="5"
        strokeDasharray="6 3"
      />
      <ellipse cx="32" cy="32" rx="7" ry="6" fill={LIGHT} />
    </>
  ),
  'stem-patches': () => (
    <Stem>
      <path d="M26 14 q8 2 8 10 q-4 6 -8 2z M38 38 q-8 2 -7 10 q4 6 7 2z" fill={DARK} />
    </Stem>
  ),
  'stem-base': () => (
    <>
      <path d="M27 4 H37 L36 40 L33 54 H31 L28 40 Z" fill={GREEN} stroke={INK} />
      <path d="M28 38 H36 L33 55 H31Z" fill={DARK} />
      <path d="M8 54 H56 V62 H8Z" fill={DARK} />
    </>
  ),
  'flowers-drop': () => (
    <>
      <path d="M8 10 H56 M32 10 v6" stroke={GREEN} strokeWidth="3" />
      <Flower y={46} hangs />
      {arrow('M52 18 V34 M46 28 L52 35 L58 28')}
    </>
  ),
  'flowers-dry': () => (
    <>
      <path d="M8 8 H56 M32 8 v18" stroke={GREEN} strokeWidth="3" />
      <Flower y={36} fill={DEAD} />
    </>
  ),
  'dark-end': () => (
    <Fruit>
      <path d="M15 44 Q32 36 49 44 Q44 57 32 57 Q20 57 15 44Z" fill={DARK} />
    </Fruit>
  ),
  cracks: () => (
    <Fruit>
      <path d="M32 22 l-3 8 l5 5 l-4 8 M44 28 q4 8 0 16" fill="none" stroke={LIGHT} strokeWidth="3" />
    </Fruit>
  ),
  'pale-patch': () => (
    <Fruit>
      <ellipse cx="41" cy="32" rx="8" ry="11" fill={LIGHT} stroke={DEAD} />
    </Fruit>
  ),
  'brown-firm': () => (
    <Fruit fill={PALE}>
      <path d="M14 30 q10 -10 16 0 q4 12 -8 16 q-8 -4 -8 -16z M40 40 q10 0 10 -6 q4 12 -8 16z" fill={DEAD} />
    </Fruit>
  ),
  'fruit-holes': () => (
    <Fruit>
      <circle cx="40" cy="38" r="5" fill={DARK} />
      <circle cx="24" cy="32" r="3.4" fill={DARK} />
    </Fruit>
  ),
  'green-film': () => (
    <MixTop>
      <path d="M6 30 q7 -5 13 0 t13 0 t13 0 t13 0 V36 H7Z" fill={PALE} />
    </MixTop>
  ),
  'small-flies': () => (
    <MixTop>
      {[
        [16, 14],
        [30, 22],
        [44, 12],
        [52, 22],
      ].map(([x, y]) => (
        <path key={x} d={`M${x} ${y} l-5 -4 M${x} ${y} l5 -4 M${x} ${y} v4`} stroke={INK} strokeWidth="1.8" />
      ))}
    </MixTop>
  ),
  'white-threads': () => (
    <MixTop>
      <path d="M10 32 q8 6 16 0 t16 2 t12 -2" fill="none" stroke={LIGHT} strokeWidth="2" />
      <path d="M40 30 v-10 M32 20 q8 -10 16 0z" fill={DEAD} stroke={INK} />
    </MixTop>
  ),
  smells: () => (
    <MixTop>
      {arrow('M18 24 q-5 -5 0 -10 t0 -10 M32 24 q-5 -5 0 -10 t0 -10 M46 24 q-5 -5 0 -10 t0 -10')}
    </MixTop>
  ),
  'roots-brown': () => (
    <g fill="none" stroke={DEAD} strokeWidth="3" strokeLinecap="round">
      <path d="M32 4 V26 M32 26 q-12 8 -16 30 M32 26 q-2 16 -4 32 M32 26 q8 14 8 32 M32 26 q14 6 18 26" />
    </g>
  ),
  'roots-white': () => (
    <g fill="none" strokeLinecap="round">
      <rect x="4" y="24" width="56" height="38" fill={DARK} />
      <path d="M32 4 V26" stroke={GREEN} strokeWidth="4" />
      <path
        d="M32 26 q-12 8 -16 30 M32 26 q-2 16 -4 32 M32 26 q8 14 8 32 M32 26 q14 6 18 26"
        stroke={LIGHT}
        strokeWidth="2.6"
      />
    </g>
  ),
  'roots-coiled': () => (
    <g fill="none" strokeLinecap="round">
      <rect x="8" y="16" width="48" height="46" fill={DARK} />
      <path d="M32 4 V18" stroke={GREEN} strokeWidth="4" />
      <path
        d="M12 24 H52 V32 H12 V40 H52 V48 H12 V56 H50"
        stroke={LIGHT}
        strokeWidth="2.4"
        strokeLinejoin="round"
      />
    </g>
  ),
  spreading: () => (
    <>
      {dots([[32, 32]], 6, DEAD)}
      {arrow(
        'M32 22 V6 M26 12 L32 5 L38 12 M42 32 H58 M52 26 L59 32 L52 38 M22 32 H6 M12 26 L5 32 L12 38 M32 42 V58 M26 52 L32 59 L38 52',
      )}
    </>
  ),
  'stood-still': () => (
    <>
      {dots([[32, 32]], 8, DEAD)}
      <circle
        cx="32"
        cy="32"
        r="22"
        fill="none"
        stroke={INK}
        strokeWidth="3"
        strokeDasharray="2 7"
        strokeLinecap="round"
      />
    </>
  ),
  'clean-growth': () => (
    <>
      <Where low />
      <path
        d="M4 12 l6 7 l10 -14"
        fill="none"
        stroke={INK}
        strokeWidth="3.4"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </>
  ),
  'bad-growth': () => <Where low high />,
};

/** A sign as a small drawing of our own; its words stand beside it. */
export function SignDrawing({ id, size = 56 }: { readonly id: string; readonly size?: number }) {
  return (
    <svg viewBox="0 0 64 64" width={size} height={size} aria-hidden style={{ flexShrink: 0 }}>
      {DRAWINGS[id]?.()}
    </svg>
  );
}

/** The signs that have a drawing. */
export const DRAWN_SIGNS: readonly string[] = Object.keys(DRAWINGS);
