import type { ReactNode } from 'react';
import {
  Leaf,
  DARK,
  DEAD,
  Flower,
  Fruit,
  GREEN,
  INK,
  LIGHT,
  MixTop,
  PALE,
  SmallPlant,
  Stem,
  Where,
  YELLOW,
  arrow,
  dots,
} from './sign-shapes.tsx';

/** Signs on the rest of a plant, its flowers, fruit and mix, and how it goes on; by their id. */
export const PLANT_SIGNS: Readonly<Record<string, () => ReactNode>> = {
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
  few: () => (
    <Leaf id="few">
      {dots(
        [
          [24, 22],
          [38, 40],
        ],
        5,
        DEAD,
      )}
    </Leaf>
  ),
  most: () => <Where low high side />,
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
