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
  /** the strip of mix at the foot in which the labels stand, its flecks, and words on it */
  readonly soil: string;
  readonly soilFleck: string;
  readonly onSoil: string;
  /** a plant label, and what is written on it */
  readonly label: string;
  readonly onLabel: string;
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
  /** cold behind the year: the less likely frost is, the paler */
  readonly cold: string;
  /** water from dust-dry to wet: straw to slate blue, with lightness falling all the way */
  readonly water: readonly [string, string, string, string, string];
  readonly weight: { readonly text: number; readonly strong: number };
}

const light: Tokens = {
  ground: '#e5eaea',
  surface: '#f8faf8',
  raised: '#ffffff',
  ink: '#231a14',
  muted: '#5a5048',
  line: '#bdc6c4',
  action: '#3d2b1f',
  onAction: '#fffaf0',
  actionWash: '#f5ecd6',
  soil: '#3d2b1f',
  soilFleck: '#8a7566',
  onSoil: '#f3e6cd',
  label: '#fdfcf8',
  onLabel: '#231a14',
  flower: '#f3b51f',
  onFlower: '#231a14',
  fruit: '#b3241c',
  leaf: '#3c7550',
  leafPale: '#7fa86b',
  mix: '#4c3b33',
  mixFleck: '#8a7566',
  mulch: '#cda75e',
  wall: '#2b221b',
  cold: '#aeb9bd',
  water: ['#d8b56b', '#b9a479', '#7896a0', '#4d7b98', '#285a80'],
  weight: { text: 430, strong: 650 },
};

const dusk: Tokens = {
  ...light,
  ground: '#181410',
  surface: '#221c17',
  raised: '#2c251f',
  ink: '#f4ede3',
  muted: '#c2b6a7',
  line: '#564a3f',
  action: '#ecd7a4',
  onAction: '#231a14',
  actionWash: '#3c3122',
  soil: '#0c0805',
  soilFleck: '#5b483e',
  onSoil: '#e6d9c2',
  label: '#3a3028',
  onLabel: '#f4ede3',
  fruit: '#ff8a7a',
  leaf: '#6fae83',
  leafPale: '#a5c98d',
  mix: '#5b483e',
  mixFleck: '#9b8574',
  wall: '#dacfc0',
  cold: '#4b5357',
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
  action: '#1f1206',
  onAction: '#ffffff',
  actionWash: '#ffe9a8',
  soil: '#1f1206',
  soilFleck: '#b59f8d',
  onSoil: '#ffffff',
  label: '#ffffff',
  onLabel: '#000000',
  flower: '#ffcc00',
  onFlower: '#000000',
  fruit: '#a30000',
  leaf: '#0b5a25',
  leafPale: '#2d7a33',
  mix: '#2e211b',
  mixFleck: '#b59f8d',
  mulch: '#e0b34a',
  wall: '#000000',
  cold: '#b4bec2',
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
