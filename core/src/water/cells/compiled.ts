import { POINTS, USE_CELLS, USE_MULTIPLIERS, WATER_CELLS } from '../grid.ts';
import { COMPILED_CODE } from './compiled-code.ts';
import { POINTS_A_CELL } from './watering-moves.ts';
import type { CellWork } from './work.ts';

/** What this needs of the platform, which core otherwise knows nothing of. */
declare const WebAssembly:
  | {
      readonly Module: new (code: Uint8Array) => object;
      readonly Instance: new (module: object) => { readonly exports: object };
    }
  | undefined;
declare function atob(text: string): string;

type Operations = Pick<CellWork, 'lose' | 'wander' | 'weigh' | 'scale' | 'trim' | 'pour'>;
type Places = Exclude<keyof CellWork, keyof Operations> | 'useMultipliers' | 'pointWeights';
type Kernel = Operations & { readonly memory: { readonly buffer: ArrayBuffer } } & {
  readonly [P in Places]: { readonly value: number };
};

/** The compiled loops (`core/kernel`); undefined where the platform does not run them. */
export function compiledCells(): CellWork | undefined {
  const kernel = started();
  if (!kernel) return undefined;
  const doubles = (place: Places, length: number) =>
    new Float64Array(kernel.memory.buffer, kernel[place].value, length);
  const integers = (place: Places, length: number) =>
    new Int32Array(kernel.memory.buffer, kernel[place].value, length);
  doubles('useMultipliers', USE_CELLS).set(USE_MULTIPLIERS);
  doubles('pointWeights', POINTS_A_CELL).set(POINTS.map(({ weight }) => weight));
  return {
    mass: doubles('mass', WATER_CELLS * USE_CELLS),
    marginal: doubles('marginal', WATER_CELLS),
    weights: doubles('weights', WATER_CELLS),
    edges: doubles('edges', WATER_CELLS + 1),
    targets: doubles('targets', WATER_CELLS + 1),
    brims: integers('brims', WATER_CELLS),
    lowers: integers('lowers', WATER_CELLS * POINTS_A_CELL),
    uppers: doubles('uppers', WATER_CELLS * POINTS_A_CELL),
    reach: integers('reach', 2),
    lose: kernel.lose,
    wander: kernel.wander,
    weigh: kernel.weigh,
    scale: kernel.scale,
    trim: kernel.trim,
    pour: kernel.pour,
  };
}

function started(): Kernel | undefined {
  if (typeof WebAssembly === 'undefined') return undefined;
  try {
    const code = Uint8Array.from(atob(COMPILED_CODE), (letter) => letter.charCodeAt(0));
    return new WebAssembly.Instance(new WebAssembly.Module(code)).exports as Kernel;
  } catch {
    // switched off, or without the instructions that take two cells at once
    return undefined;
  }
}
