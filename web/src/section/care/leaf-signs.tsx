import type { ReactNode } from 'react';
import {
  DARK,
  DEAD,
  FINE,
  GREEN,
  INK,
  LEAF,
  LIGHT,
  Leaf,
  PALE,
  SPOTS,
  SmallPlant,
  YELLOW,
  dots,
} from './sign-shapes.tsx';

/** Signs on leaves, by their id. */
export const LEAF_SIGNS: Readonly<Record<string, () => ReactNode>> = {
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
};
