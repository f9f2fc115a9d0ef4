/**
 * Plants beside the crop: companion flowers and herbs, and passing tenants such as salad until the crop is large. They drink
 * and feed from the same bag; all figures are *assumed*, by how much ground they shade.
 */
export const COMPANION_SIZES = ['none', 'small', 'middling', 'large'] as const;
export type CompanionSize = (typeof COMPANION_SIZES)[number];

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
