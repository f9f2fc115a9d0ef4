import { toSi } from '../units/index.ts';
import { propertiesOf, waterBagOf, type BagProperties } from './properties.ts';
import { type Garden, TRADE_CLASS_NAMES, type Size } from '../records/index.ts';
import { TRADE_CLASSES, type ContainerKind } from '../bags/index.ts';
import { habitFigures, type Crop, type Habit } from '../plants/index.ts';
import {
  fitOf,
  hotDay,
  keptBy,
  pillowStations,
  plantsFor,
  spanFor,
  withGrown,
  type ExceptionId,
  type Fit,
  type HotDay,
  type SizeSpan,
  type SizingPractice,
} from '../planting/index.ts';
import type { WaterBag } from '../water/index.ts';

/** One size of a kind of bag, tried with a grown plant. */
export interface TriedSize {
  readonly key: string;
  /** what growers call it */
  readonly name: string;
  readonly size: Size;
  readonly properties: BagProperties;
  /** plants that it is tried with */
  readonly plants: number;
  readonly fit: Fit;
  readonly isRecommended: boolean;
  readonly hotDay: HotDay;
  /** as the water model sees it, with its plants grown */
  readonly waterBag: WaterBag;
  readonly kept: ReturnType<typeof keptBy>;
}

export interface SizeQuestion {
  readonly kind: ContainerKind;
  readonly crop: Crop;
  readonly habit: Habit;
  readonly cover: 'open' | 'glass';
  readonly roundsPerDay: number;
  readonly exceptions: readonly ExceptionId[];
  readonly practiceId: SizingPractice['id'];
}

/** Litres on the labels of kinds that are not spoken of by class. */
const LABELS: Readonly<Record<string, readonly number[]>> = {
  'net-cup': [1, 2, 3, 5],
  bed: [100, 200, 300, 450],
  trough: [25, 40, 60, 90],
};
const USUAL_LABELS = [20, 30, 40, 50, 60];

function sizesOf(kind: ContainerKind): readonly { readonly key: string; readonly size: Size }[] {
  if (kind.hasTradeClass) {
    return TRADE_CLASS_NAMES.filter((name) => TRADE_CLASSES[name].highCubicInches > 500).map((name) => ({
      key: name,
      size: { by: 'class', class: name },
    }));
  }
  return (LABELS[kind.id] ?? USUAL_LABELS).map((litres) => ({
    key: `${litres} L`,
    size: { by: 'label', litres },
  }));
}

/**
 * Every size of a kind, tried with a grown plant on a hot day. Kinds that stand open are judged for one plant by the
 * nominal size; those with several stations by how many plants they have room for.
 */
export function trySizes(
  question: SizeQuestion,
  garden: Pick<Garden, 'mixes' | 'settings'>,
): { readonly sizes: readonly TriedSize[]; readonly span: SizeSpan } {
  const { kind, crop, habit, cover } = question;
  const span = spanFor(habit, question.exceptions, question.practiceId);
  const figures = habitFigures(crop.id, habit, garden.settings.assumptions);
  const sizes = sizesOf(kind).map(({ key, size }): TriedSize => {
    const record = { kindId: kind.id, size, mixId: 'bought', mulchMillimetres: kind.isClosed ? 0 : 25 };
    const one = propertiesOf({ ...record, stations: [1] }, garden);
    const gallons = one.nominalGallons;
    const isShared = !kind.hasTradeClass && kind.stations.most > 1 && kind.id !== 'film-sleeve';
    const plants = Math.min(
      kind.stations.most,
      kind.isClosed || kind.id === 'ring-pillow'
        ? pillowStations(one.real.litres.likely, figures, one.assumed)
        : isShared
          ? plantsFor(gallons, habit)
          : 1,
    );
    const properties = propertiesOf({ ...record, stations: Array.from({ length: plants }) }, garden);
    const bag = waterBagOf(record, properties, { cover }, [], garden.settings);
    const grown = Array.from({ length: plants }, () => ({
      crop,
      canopySquareMetres: figures.canopySquareMetres,
    }));
    const hot = hotDay(bag, grown, properties.assumed);
    const fit = kind.isClosed ? 'works' : fitOf(gallons / plants, span);
    const gallonsEach = gallons / plants;
    return {
      key,
      name: kind.hasTradeClass
        ? key
        : `${Math.round((size.by === 'label' ? size.litres : toSi(gallons, 'usGallon')) * 10) / 10} L`,
      size,
      properties,
      plants,
      fit,
      isRecommended:
        kind.isClosed ||
        (gallonsEach * 1.07 >= span.recommended.low && gallonsEach * 0.95 <= span.recommended.high),
      hotDay: hot,
      waterBag: withGrown(bag, grown),
      kept: keptBy(hot.waterings, question.roundsPerDay),
    };
  });
  return { sizes, span };
}
