import { weightsOf as containerWeights, type Weights } from '../bags/index.ts';
import { cropOf, habitFigures, supportOf } from '../plants/index.ts';
import type { BagView } from './bag-view.ts';
import type { BagProperties } from './properties.ts';

/** Leaf cover that an empty station will have: that of a tall tomato, so that nothing is promised too light. */
function canopyOf(bag: Pick<BagView, 'occupants'>, own: Readonly<Record<string, number>>): number {
  const tall = cropOf('tomato').habits[0];
  const guess = tall ? habitFigures('tomato', tall, own).canopySquareMetres : 0;
  const planted = bag.occupants.reduce(
    (sum, o) => sum + habitFigures(o.crop.id, o.habit, own).canopySquareMetres,
    0,
  );
  return bag.occupants.length > 0 ? planted : guess;
}

/** What a bag weighs: dry, drained, and with its crop. */
export function weightsOf(bag: BagView, own: Readonly<Record<string, number>>): Weights {
  const { properties, container } = bag;
  return containerWeights(
    {
      mixLitres: properties.fill.mixLitres,
      dryKilogramsPerLitre: properties.mix.dryKilogramsPerLitre,
      capacity: properties.mix.capacity,
      emptyKilograms: properties.emptyKilograms,
      storedLitres: properties.reserveLitres + (properties.real.under?.litres ?? 0),
      canopySquareMetres: canopyOf(bag, own),
      supportKilograms: supportOf(container.support.kind).kilograms * container.stations.length,
    },
    properties.assumed,
  );
}

/** The ground that a bag stands on, m². */
export function footprintSquareMetres(properties: BagProperties): number {
  const base = properties.real.solid.areaAt(0);
  return (
    Math.max(base, properties.real.solid.areaAt(properties.real.solid.heightMillimetres / 2) * 0.6) / 1e6
  );
}
