/** Kinds that records and entries name. Their ids are part of the file format and never change. */

/** How a plant goes into a bag. */
export const PLANTING_METHOD_IDS = [
  'upright',
  'trench',
  'collar',
  'ring',
  'low-start',
  'net-cup',
  'seed',
] as const;
export type PlantingMethodId = (typeof PLANTING_METHOD_IDS)[number];

/** What holds plants up. */
export const SUPPORT_KINDS = [
  'none',
  'stake',
  'string',
  'cage',
  'canes',
  'triangle',
  'tower',
  'two-cages',
  'frame',
  'planter-frame',
] as const;
export type SupportKindId = (typeof SUPPORT_KINDS)[number];

/**
 * Plants beside the crop: companion flowers and herbs, and passing tenants such as salad until the crop is large. They take up water
 * and feed from the same bag; all figures are *assumed*, by how much ground they shade.
 */
export const PRESENT_COMPANIONS = ['small', 'middling', 'large'] as const;
export const COMPANION_SIZES = ['none', ...PRESENT_COMPANIONS] as const;
export type CompanionSize = (typeof COMPANION_SIZES)[number];
