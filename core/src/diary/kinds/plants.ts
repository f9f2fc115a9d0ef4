import * as z from '../../schema/index.ts';
import { idSchema } from '../../garden/index.ts';
import { seedlingSchema } from '../../planting/index.ts';
import { asEntered, entryBase, inContainer } from './base.ts';

const atStation = { stationId: idSchema('station'), plantId: idSchema('plant') };

/** A plant went into a station. The seedling as measured, and how deep it went if the grower said. */
export const plantedEntry = z.object({
  kind: z.literal('planted'),
  ...entryBase,
  ...inContainer,
  ...atStation,
  seedling: seedlingSchema,
  schoolId: z.string().min(1).max(40).optional(),
  buriedMillimetres: z.number().min(0).max(1500).optional(),
});

/** A plant came out of its station; the station is free from then on. */
export const clearedEntry = z.object({
  kind: z.literal('cleared'),
  ...entryBase,
  ...inContainer,
  ...atStation,
});

/** Fruit taken off: by weight, by count, or both. */
export const pickingEntry = z
  .object({
    kind: z.literal('picking'),
    ...entryBase,
    ...inContainer,
    stationId: idSchema('station').optional(),
    plantId: idSchema('plant').optional(),
    kilograms: z.number().gt(0).max(100).optional(),
    count: z.number().int().min(1).max(5000).optional(),
    asEntered,
  })
  .refine((p) => p.kilograms !== undefined || p.count !== undefined, {
    path: ['kilograms'],
    message: 'A picking needs a weight or a count.',
  });
