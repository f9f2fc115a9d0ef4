import { litresBelow } from '../../bags/index.ts';
import type { Obstacle, PlantingOutcome, PlantingSite, PlantingTask } from './planting-method.ts';
import type { PlantingMethodId } from '../../records/index.ts';

/** Cylinder, L. */
export function cylinderLitres(widthMillimetres: number, heightMillimetres: number): number {
  return ((Math.PI / 4) * widthMillimetres ** 2 * heightMillimetres) / 1e6;
}

/** A round hole round the root ball: how wide, and the loose mix that goes back into it. */
export function holeOf(
  { seedling, crop, site, assumed }: PlantingTask,
  depthMillimetres: number,
): { readonly widthMillimetres: number; readonly backfillLitres: number } {
  const widthMillimetres = crop.ball.widthMillimetres + 2 * assumed.holeGap;
  const gone = cylinderLitres(
    crop.ball.widthMillimetres,
    Math.min(depthMillimetres, seedling.ballMillimetres),
  );
  const settled = Math.max(0, cylinderLitres(widthMillimetres, depthMillimetres) - gone);
  return { widthMillimetres, backfillLitres: settled / (1 - site.settling) };
}

/** How far loose mix that settles to a level stood above it, mm. A straight bag's answer, near enough for others. */
export function sinks(site: PlantingSite, levelMillimetres: number): number {
  return (levelMillimetres * site.settling) / (1 - site.settling);
}

/** Loose mix between two settled levels, L. */
export function looseBetween(site: PlantingSite, from: number, to: number): number {
  const top = site.solid.heightMillimetres;
  const settled = litresBelow(site.solid, Math.min(to, top)) - litresBelow(site.solid, Math.min(from, top));
  return settled / (1 - site.settling);
}

export function cannot(plantingMethodId: PlantingMethodId, obstacle: Obstacle): PlantingOutcome {
  return { kind: 'cannot', plantingMethodId, obstacle };
}
