export { BagMark } from './BagMark.tsx';
export { BagSection, waterColour } from './BagSection.tsx';
export { plantingOf, sceneOf, type Scene, type ScenePlant } from './scene.ts';
