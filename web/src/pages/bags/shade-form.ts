import { dayField, numberField, type Field, type FieldProblem } from '../../ui/form/index.ts';

/** How much of the sun is kept off a place or a bag, and from when to when. */
export const shadeFields = (words: { readonly label: string; readonly help: string | undefined }) => ({
  shade: numberField({
    ...words,
    unit: '%',
    sign: '%',
    low: 0,
    high: 90,
    isOptional: true,
    problem: 'From 0 to 90 %.',
  }),
  shadeFrom: dayField({
    label: 'Over it from',
    help: 'Empty: it always was.',
    isOptional: true,
  }) as Field<string | undefined>,
  shadeUntil: dayField({
    label: 'Off again after',
    help: 'Empty: it stays.',
    isOptional: true,
  }) as Field<string | undefined>,
});

interface Shading {
  readonly shade?: number | undefined;
  readonly shadeFrom?: string | undefined;
  readonly shadeUntil?: string | undefined;
}

/** Days are asked once there is shade. */
export const isShadeAsked = (name: string, texts: { readonly shade?: string }): boolean =>
  !name.startsWith('shade') || name === 'shade' || !['', '0'].includes((texts.shade ?? '').trim());

/** What does not go together in two days. */
export const shadeProblems = ({ shadeFrom, shadeUntil }: Shading): readonly FieldProblem<'shadeUntil'>[] =>
  shadeFrom !== undefined && shadeUntil !== undefined && shadeUntil < shadeFrom
    ? [{ at: 'shadeUntil', problem: 'That is before it was put over.' }]
    : [];

/** As a place or a bag keeps it. */
interface ShadeRecord {
  readonly shade?: number;
  readonly shadeFrom?: string;
  readonly shadeUntil?: string;
}

/** The shade of a record: percent as typed, a share as stored. */
export function shadingOf({ shade, shadeFrom, shadeUntil }: Shading): ShadeRecord {
  if (!shade) return {};
  return {
    shade: shade / 100,
    ...(shadeFrom ? { shadeFrom } : {}),
    ...(shadeUntil ? { shadeUntil } : {}),
  };
}

/** "45 % leaves 0.55 of the light". */
export const lightWords = (percent: number): string =>
  `${Math.round(percent)} % leaves ${(1 - percent / 100).toFixed(2)} of the light: leaves use that much less, and a hot day scorches less.`;
