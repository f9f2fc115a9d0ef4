import * as z from '../schema/index.ts';

/** A mix as a recipe: parts by volume of ingredients, and lime if it gets any. */
export const recipePartsSchema = z
  .array(
    z.object({
      ingredientId: z.string().check(z.minLength(1), z.maxLength(40)),
      parts: z.number().check(z.aboveZero(), z.lte(1000)),
    }),
  )
  .check(z.minLength(1, 'A mix needs at least one part of something.'), z.maxLength(12));

/** A layered fill, from the base upwards; the shares of the depth sum to 1. */
export const layersSchema = z
  .array(
    z.object({
      mixId: z.string().check(z.minLength(1), z.maxLength(40)),
      share: z.number().check(z.aboveZero(), z.lte(1)),
    }),
  )
  .check(
    z.minLength(2),
    z.maxLength(4),
    z.refine((layers) => Math.abs(layers.reduce((sum, l) => sum + l.share, 0) - 1) < 0.005, {
      message: 'The layers must add up to the whole bag.',
    }),
  );

export type Layers = z.infer<typeof layersSchema>;
