import type { Assumption } from '../../assumed/index.ts';
import type { Bearing } from '../../records/index.ts';

/** The sizes of bag that growers use for a plant, in nominal US gallons: the classes that they speak in. */
export interface BagSizes {
  /** it has been done, and is watered twice a day in heat */
  readonly borderline: number;
  /** works, with more watering */
  readonly from: number;
  /** from here on it is easy */
  readonly ease: number;
  /** more than this is of no use to one plant */
  readonly most: number;
}

/** How a plant of a crop grows. The three figures are priors until the grower's own records replace them. */
export interface Habit {
  readonly id: string;
  readonly name: string;
  readonly description: string;
  /** how long it usually bears */
  readonly bearing: Bearing;
  /** height above the mix when it is done, mm */
  readonly fullHeightMillimetres: Assumption;
  /** shade it casts when grown, m² */
  readonly canopySquareMetres: Assumption;
  /** weeks from planting until it has done nine tenths of its growth */
  readonly weeksToFull: Assumption;
  readonly bagSizes: BagSizes;
  /** days from planting to the first ripe fruit, and weeks that it bears from then */
  readonly daysToPicking: Assumption;
  readonly weeksOfPicking: Assumption;
  /** fruit of one plant in a week of full bearing, kg */
  readonly kilogramsAWeek: Assumption;
  /** days from planting to the first full-sized green fruit, where the variety says */
  readonly daysToGreen?: Assumption | undefined;
  /** figures that are known of the variety, and not only usual */
  readonly known?: readonly ('fullHeightMillimetres' | 'daysToPicking' | 'daysToGreen' | 'weeksOfPicking')[];
}

/** A crop as data. To add one: write a file beside this one and list it in `index.ts`. */
export interface Crop {
  readonly id: string;
  readonly name: string;
  /** whether the stem roots when buried, or wants to stand as deep as before */
  readonly depth: 'stem-roots' | 'level';
  /** crop coefficient, mid-season and end: FAO-56 Table 12 */
  readonly kcMid: number;
  readonly kcEnd: number;
  /** share of available water that can be used without stress: FAO-56 Table 22, as model.md rounds it */
  readonly depletion: number;
  readonly ball: { readonly heightMillimetres: number; readonly widthMillimetres: number };
  /** weight of one fruit where neither its variety nor the grower's scale says, g */
  readonly fruitGrams: Assumption;
  /** colour of the ripe fruit, for the drawing only */
  readonly fruit: 'red' | 'green' | 'dark' | 'long-green';
  /** seed sown straight into a bag, and what it wants */
  readonly sowing: {
    readonly depthMillimetres: number;
    readonly perStation: number;
    /** the mix should be at least this warm, °C */
    readonly mixCelsius: number;
    readonly daysToEmerge: { readonly low: number; readonly high: number };
  };
  /** height of a young plant that is ready to go out, from its root ball, mm: used where nobody measured it */
  readonly usualSeedlingMillimetres: number;
  /** weeks from sowing to a plant that is ready to go out */
  readonly seedlingWeeks: Assumption;
  /** nights should be steadily above this outdoors, °C */
  readonly nightCelsius: Assumption;
  /** under cold cover fleece goes on below this, °C */
  readonly fleeceCelsius: Assumption;
  readonly habits: readonly Habit[];
}

/** Shorthand for a habit's sizes of bag, nominal US gallons. */
export const sizes = (borderline: number, from: number, ease: number, most: number): BagSizes => ({
  borderline,
  from,
  ease,
  most,
});

/** Shorthand for a habit's figure: every one is a judgement. */
export const prior = (
  value: number,
  low: number,
  high: number,
  unit: string,
  reason = 'Usual for the habit in a bag; your own records replace it.',
): Assumption => ({ value, low, high, unit, reason });
