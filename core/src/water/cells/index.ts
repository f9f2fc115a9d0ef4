import { compiledCells } from './compiled.ts';
import { plainCells } from './plain.ts';
import type { CellWork } from './work.ts';

export { refillColumn } from './column.ts';
export { drainedFrom, planWatering } from './watering-moves.ts';

/** Where the loops of this thread work: compiled, or plain where that cannot be. */
export const CELLS: CellWork = compiledCells() ?? plainCells();
