import type { CompanionSize } from '../../records/index.ts';

/** Leaf cover when grown, m². */
export const COMPANION_COVER: Readonly<Record<CompanionSize, number>> = {
  none: 0,
  small: 0.03,
  middling: 0.08,
  large: 0.2,
};

/** As far as water goes they are all one leafy plant: crop coefficient and depletion of small vegetables (FAO-56). */
export const COMPANION_KC = 1;
export const COMPANION_DEPLETION = 0.4;
export const COMPANION_WEEKS_TO_FULL = 6;
