import * as z from '../schema/index.ts';

/**
 * The seedling as measured at planting. Heights are above the root ball's surface, mm.
 * `leaves` are the heights of the leaf joints from below; left out, they are taken as evenly spread.
 */
export const seedlingSchema = z
  .object({
    stemMillimetres: z.number().min(20).max(1500),
    ballMillimetres: z.number().min(20).max(400),
    graftMillimetres: z.number().min(10).max(500).optional(),
    leafMillimetres: z.array(z.number().min(0).max(1500)).max(40).optional(),
    seedLeafMillimetres: z.number().min(5).max(300).optional(),
  })
  .superRefine((s, context) => {
    const say = (path: string, message: string) =>
      context.addIssue({ code: 'custom', path: [path], message });
    if (s.graftMillimetres !== undefined && s.graftMillimetres >= s.stemMillimetres) {
      say('graftMillimetres', 'The graft cannot be higher than the plant.');
    }
    if (s.leafMillimetres?.some((height) => height > s.stemMillimetres)) {
      say('leafMillimetres', 'A leaf joint cannot be higher than the plant.');
    }
    if (s.seedLeafMillimetres !== undefined && s.seedLeafMillimetres >= s.stemMillimetres) {
      say('seedLeafMillimetres', 'The seed leaves cannot be higher than the plant.');
    }
  });

export type Seedling = z.infer<typeof seedlingSchema>;
