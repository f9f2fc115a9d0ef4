import type { OwnMix } from '@rundel/core/records';

/** One part of a mix as typed. */
export interface PartText {
  readonly ingredientId: string;
  readonly parts: string;
}

type MixFields = Pick<OwnMix, 'name' | 'parts' | 'limeGramsPerLitre'>;

/**
 * Reads a mix as typed. What is wrong is said by field: `name`, `lime`, `parts0`, `ingredient0` and so on.
 *
 * @param others the grower's other mixes, whose names are taken
 */
export function readParts(
  name: string,
  parts: readonly PartText[],
  lime: string,
  others: readonly Pick<OwnMix, 'name'>[],
):
  | { readonly kind: 'read'; readonly mix: MixFields }
  | { readonly kind: 'refused'; readonly problems: Readonly<Record<string, string>> } {
  const problems: Record<string, string> = {};
  const trimmed = name.trim();
  if (trimmed === '') problems['name'] = 'Give it a name.';
  else if (others.some((m) => m.name === trimmed)) problems['name'] = 'Another mix has this name.';
  const seen = new Set<string>();
  const read = parts.map((part, i) => {
    const number = Number(part.parts.replace(',', '.'));
    if (part.parts.trim() === '' || !(number > 0)) problems[`parts${i}`] = 'More than 0.';
    else if (number > 1000) problems[`parts${i}`] = 'Up to 1000.';
    if (seen.has(part.ingredientId)) problems[`ingredient${i}`] = 'It is in the mix already.';
    seen.add(part.ingredientId);
    return { ingredientId: part.ingredientId, parts: number };
  });
  const limeNumber = lime.trim() === '' ? 0 : Number(lime.replace(',', '.'));
  if (!(limeNumber >= 0 && limeNumber <= 20)) problems['lime'] = 'From 0 to 20 grams a litre.';
  if (Object.keys(problems).length > 0) return { kind: 'refused', problems };
  return {
    kind: 'read',
    mix: { name: trimmed, parts: read, ...(limeNumber > 0 ? { limeGramsPerLitre: limeNumber } : {}) },
  };
}
