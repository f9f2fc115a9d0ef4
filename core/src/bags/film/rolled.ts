import { within } from '../../errors/index.ts';

/**
 * Diameter of a sheet rolled into a ring or cage, mm: its length less the overlap, over π.
 *
 * @throws RundelError when the overlap takes up the sheet
 * @see docs/model.md, 1. Bags
 * @example
 * rolledDiameter(1600, 30)
 * // ≈> 499.747
 */
export function rolledDiameter(lengthMillimetres: number, overlapMillimetres: number): number {
  within('overlapMillimetres', overlapMillimetres, 0, lengthMillimetres * 0.9);
  return (lengthMillimetres - overlapMillimetres) / Math.PI;
}

/**
 * Length of sheet for a ring or cage of a diameter, mm; the inverse of {@link rolledDiameter}.
 *
 * @example
 * sheetFor(500, 30)
 * // ≈> 1600.796
 */
export function sheetFor(diameterMillimetres: number, overlapMillimetres: number): number {
  within('overlapMillimetres', overlapMillimetres, 0, 1000);
  return within('diameterMillimetres', diameterMillimetres, 1, 5000) * Math.PI + overlapMillimetres;
}

/** Pieces cut from a sheet, and what is left of it. */
export interface SheetCut {
  readonly perSheet: number;
  readonly sheets: number;
  readonly wasteShare: number;
}

/**
 * How many pieces of a size come from a sheet, all laid the same way, and how many sheets a number of them takes.
 *
 * @throws RundelError when a piece is larger than the sheet
 * @example
 * piecesFrom({ lengthMillimetres: 1000, widthMillimetres: 500 }, { lengthMillimetres: 300, widthMillimetres: 120 }, 14)
 * // ≈> { perSheet: 12, sheets: 2, wasteShare: 0.496 }
 */
export function piecesFrom(
  sheet: { readonly lengthMillimetres: number; readonly widthMillimetres: number },
  piece: { readonly lengthMillimetres: number; readonly widthMillimetres: number },
  count: number,
): SheetCut {
  const laid = (long: number, wide: number) =>
    Math.floor(sheet.lengthMillimetres / long + 1e-9) * Math.floor(sheet.widthMillimetres / wide + 1e-9);
  const perSheet = Math.max(
    laid(piece.lengthMillimetres, piece.widthMillimetres),
    laid(piece.widthMillimetres, piece.lengthMillimetres),
  );
  within('pieces from a sheet', perSheet, 1, 1e6);
  const sheets = Math.ceil(within('count', count, 1, 100_000) / perSheet);
  const area = (a: { lengthMillimetres: number; widthMillimetres: number }) =>
    a.lengthMillimetres * a.widthMillimetres;
  return { perSheet, sheets, wasteShare: 1 - (count * area(piece)) / (sheets * area(sheet)) };
}

/**
 * The strip that lines a net cup: round its rim with an overlap, and down its depth.
 *
 * @example
 * liningStrip(75, 80, 10)
 * // ≈> { lengthMillimetres: 245.6194, widthMillimetres: 80 }
 */
export function liningStrip(rimMillimetres: number, depthMillimetres: number, overlapMillimetres: number) {
  return {
    lengthMillimetres: sheetFor(rimMillimetres, overlapMillimetres),
    widthMillimetres: within('depthMillimetres', depthMillimetres, 1, 1000),
  };
}
