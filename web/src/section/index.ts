export { BagElevation } from './BagElevation.tsx';
export { BagIcon } from './BagIcon.tsx';
export type { SectionHandle } from './Handle.tsx';
export type { Spot, SpotId } from './Spots.tsx';
export { BagSection, cutHeight } from './BagSection.tsx';
export { sceneOf, withPlan, type Scene, type ScenePlant } from './scene.ts';
export { grownOccupants, imaginedOccupant, type ImaginedPlanting } from './imagined.ts';
