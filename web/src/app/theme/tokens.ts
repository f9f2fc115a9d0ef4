/** The three themes. Everything coloured in the app comes from these names; drawings use them as CSS variables. */
export type ThemeName = 'light' | 'dusk' | 'glare';

export interface Tokens {
  readonly ground: string;
  readonly surface: string;
  readonly raised: string;
  readonly ink: string;
  readonly muted: string;
  readonly line: string;
  readonly action: string;
  readonly onAction: string;
  readonly actionWash: string;
  readonly rail: string;
  readonly onRail: string;
  /** what wants attention, and the ink on it */
  readonly flower: string;
  readonly onFlower: string;
  /** ripe fruit and danger only */
  readonly fruit: string;
  readonly leaf: string;
  readonly leafPale: string;
  readonly mix: string;
  readonly mixFleck: string;
  readonly mulch: string;
  readonly wall: string;
  /** water from dust-dry to wet: straw to slate blue, with lightness falling all the way */
  readonly water: readonly [string, string, string, string, string];
  readonly weight: { readonly text: number; readonly strong: number };
}

const light: Tokens = {
  ground: '#e5ebec',
  surface: '#f8faf9',
  raised: '#ffffff',
  ink: '#22142a',
  muted: '#5c5164',
  line: '#bcc7ca',
  action: '#48204f',
  onAction: '#ffffff',
  actionWash: '#f1e8f2',
  rail: '#3b1a42',
  onRail: '#efe4f0',
  flower: '#f3b51f',
  onFlower: '#22142a',
  fruit: '#b3241c',
  leaf: '#3c7550',
  leafPale: '#7fa86b',
  mix: '#4c3b33',
  mixFleck: '#8a7566',
  mulch: '#cda75e',
  wall: '#2b2430',
  water: ['#d8b56b', '#b9a479', '#7896a0', '#4d7b98', '#285a80'],
  weight: { text: 420, strong: 650 },
};

const dusk: Tokens = {
  ...light,
  ground: '#17121c',
  surface: '#221a29',
  raised: '#2b2133',
  ink: '#f3ecf4',
  muted: '#bdb0c3',
  line: '#54465e',
  action: '#e0b5e8',
  onAction: '#22142a',
  actionWash: '#3a2b43',
  rail: '#0f0b13',
  onRail: '#d9cbdd',
  fruit: '#ff8a7a',
  leaf: '#6fae83',
  leafPale: '#a5c98d',
  mix: '#5b483e',
  mixFleck: '#9b8574',
  wall: '#d8ccdc',
  water: ['#e3c27c', '#c4ac80', '#7fa2ac', '#5a8db0', '#4079ab'],
};

const glare: Tokens = {
  ...light,
  ground: '#ffffff',
  surface: '#ffffff',
  raised: '#ffffff',
  ink: '#000000',
  muted: '#1d1d1d',
  line: '#000000',
  action: '#2c0036',
  onAction: '#ffffff',
  actionWash: '#ffe9a8',
  rail: '#000000',
  onRail: '#ffffff',
  flower: '#ffcc00',
  onFlower: '#000000',
  fruit: '#a30000',
  leaf: '#0b5a25',
  leafPale: '#2d7a33',
  mix: '#2e211b',
  mixFleck: '#b59f8d',
  mulch: '#e0b34a',
  wall: '#000000',
  water: ['#f0c34e', '#b39a66', '#668e9a', '#2c668c', '#0c3d66'],
  weight: { text: 560, strong: 760 },
};

export const TOKENS: Record<ThemeName, Tokens> = { light, dusk, glare };

/** Tokens as CSS variables: `--ink`, `--water-1` … */
export function cssVariables(tokens: Tokens): Record<string, string> {
  const plain = Object.entries(tokens).filter(([, value]) => typeof value === 'string') as [string, string][];
  const dashed = (name: string) => name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);
  return Object.fromEntries([
    ...plain.map(([name, value]) => [`--${dashed(name)}`, value] as const),
    ...tokens.water.map((value, i) => [`--water-${i + 1}`, value] as const),
  ]);
}
