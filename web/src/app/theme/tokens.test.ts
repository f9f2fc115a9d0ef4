import { describe, expect, it } from 'vitest';
import { cssVariables, TOKENS, type ThemeName, type Tokens } from './tokens.ts';

/** Relative luminance and contrast as WCAG 2.2 defines them. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const c = parseInt(hex.slice(at, at + 2), 16) / 255;
    return c <= 0.03928 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
function contrast(a: string, b: string): number {
  const [low, high] = [luminance(a), luminance(b)].sort((x, y) => x - y) as [number, number];
  return (high + 0.05) / (low + 0.05);
}

const THEME_NAMES = Object.keys(TOKENS) as ThemeName[];
type Name = Exclude<keyof Tokens, 'water' | 'weight'>;

/** Words and what they stand on. */
const TEXTS: readonly (readonly [Name, Name])[] = [
  ['ink', 'ground'],
  ['ink', 'surface'],
  ['ink', 'raised'],
  ['ink', 'actionWash'],
  ['muted', 'ground'],
  ['muted', 'surface'],
  ['muted', 'raised'],
  ['action', 'surface'],
  ['action', 'ground'],
  ['onAction', 'action'],
  ['onSoil', 'soil'],
  ['onLabel', 'label'],
  ['muted', 'actionWash'],
  ['onFlower', 'flower'],
  ['fruit', 'surface'],
];

describe('contrast is measured as it is known to be', () => {
  it('black on white is 21, a colour on itself 1, and #767676 on white just enough', () => {
    expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 6);
    expect(contrast('#3d2b1f', '#3d2b1f')).toBe(1);
    expect(contrast('#767676', '#ffffff')).toBeCloseTo(4.54, 2);
  });
});

describe.each(THEME_NAMES)('the look for %s', (themeName) => {
  const t = TOKENS[themeName];

  it.each(TEXTS)('reads: %s on %s', (words, under) => {
    expect(contrast(t[words], t[under])).toBeGreaterThanOrEqual(themeName === 'glare' ? 7 : 4.5);
  });

  it('water darkens all the way from dust-dry to wet, in steps that can be told apart', () => {
    const lights = t.water.map(luminance);
    for (let i = 1; i < lights.length; i++) {
      const [drier, wetter] = [lights[i - 1], lights[i]] as [number, number];
      expect(wetter, `grade ${i + 1}`).toBeLessThan(drier);
      expect((drier + 0.05) / (wetter + 0.05), `grade ${i + 1}`).toBeGreaterThan(1.12);
    }
  });

  it('has no violet anywhere', () => {
    for (const [name, value] of Object.entries(cssVariables(t))) {
      const [r, g, b] = [1, 3, 5].map((at) => parseInt(value.slice(at, at + 2), 16)) as [
        number,
        number,
        number,
      ];
      expect(g < r - 8 && g < b - 8, `${name} ${value}`).toBe(false);
    }
  });

  it('a label stands out from the mix that it stands in', () => {
    expect(contrast(t.flower, t.soil)).toBeGreaterThanOrEqual(3);
    expect(contrast(t.flower, t.ground) + contrast(t.ink, t.ground)).toBeGreaterThanOrEqual(3);
  });

  it('the bag’s wall stands out from what is behind it', () => {
    expect(contrast(t.wall, t.surface)).toBeGreaterThanOrEqual(3);
  });

  it('gives every colour to the drawings as a variable', () => {
    const variables = cssVariables(t);
    expect(variables['--on-action']).toBe(t.onAction);
    expect(variables['--water-5']).toBe(t.water[4]);
    for (const [name, value] of Object.entries(variables)) {
      expect(name).toMatch(/^--[a-z]+(-[a-z0-9]+)*$/);
      expect(value).toMatch(/^#[0-9a-f]{6}$/);
    }
  });
});
