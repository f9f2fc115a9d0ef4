/** Sizes that are often seen of a kind, litres: a press saves typing one. */
const USUAL_LITRES: Readonly<Record<string, readonly number[]>> = {
  bucket: [10, 15, 20],
  pillow: [30, 40, 50],
  trough: [40, 60, 80],
};
const MOST_USUAL: readonly number[] = [19, 38, 57];

/** The sizes that are offered for a kind, litres, the smallest first. */
export function usualLitres(kindId: string): readonly number[] {
  return USUAL_LITRES[kindId] ?? MOST_USUAL;
}
