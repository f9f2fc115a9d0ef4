import * as z from '../../schema/index.ts';
import type { ContainerKind, Dimensions } from './kind.ts';

/** Measured lengths checked against a kind: every field present, finite and inside its span. */
export function dimensionsSchema(kind: ContainerKind): z.ZodMiniType<Dimensions> {
  const fields = Object.fromEntries(
    kind.dimensions.map((d) => [d.key, z.number().check(z.gte(d.low), z.lte(d.high))]),
  );
  return z.object(fields).check(
    z.superRefine((size, context) => {
      const wrong = kind.check?.(size as Dimensions);
      if (wrong) context.addIssue({ code: 'custom', path: [wrong.key], message: wrong.message });
    }),
  ) as z.ZodMiniType<Dimensions>;
}
