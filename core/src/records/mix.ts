import * as z from '../schema/index.ts';

/** A mix as a recipe: parts by volume of ingredients, and lime if it gets any. */
export const recipePartsSchema = z
  .array(z.object({ ingredientId: z.string().min(1).max(40), parts: z.number().gt(0).max(1000) }))
  .min(1, 'A mix needs at least one part of something.')
  .max(12);

/** A layered fill, from the base upwards; the shares of the depth sum to 1. */
export const layersSchema = z
  .array(z.object({ mixId: z.string().min(1).max(40), share: z.number().gt(0).max(1) }))
  .min(2)
  .max(4)
  .refine((layers) => Math.abs(layers.reduce((sum, l) => sum + l.share, 0) - 1) < 0.005, {
    message: 'The layers must add up to the whole bag.',
  });

export type Layers = z.infer<typeof layersSchema>;
