import * as z from '../schema/index.ts';

/**
 * The seedling as measured at planting. Heights are above the root ball's surface, mm.
 * `leaves` are the heights of the leaf joints from below; left out, they are taken as evenly spread.
 */
export const seedlingSchema = z
  .object({
    stemMillimetres: z.number().check(z.gte(20), z.lte(1500)),
    ballMillimetres: z.number().check(z.gte(20), z.lte(400)),
    graftMillimetres: z.optional(z.number().check(z.gte(10), z.lte(500))),
    leafMillimetres: z.optional(z.array(z.number().check(z.gte(0), z.lte(1500))).check(z.maxLength(40))),
    seedLeafMillimetres: z.optional(z.number().check(z.gte(5), z.lte(300))),
  })
  .check(
    z.superRefine((s, context) => {
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
    }),
  );

export type Seedling = z.infer<typeof seedlingSchema>;
