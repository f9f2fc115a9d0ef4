import type { Container, Draft } from '@rundel/core/records';

/** The entries of bags that come to stand elsewhere: since when, so that earlier days keep the sky that they had. */
export function movedDrafts(
  changes: readonly { readonly before: Container | undefined; readonly after: Container }[],
  at: string,
): readonly Draft<'moved'>[] {
  return changes.flatMap(({ before, after }) =>
    before && before.placeId !== after.placeId
      ? [
          {
            kind: 'moved' as const,
            at,
            containerId: after.id,
            fromPlaceId: before.placeId,
            toPlaceId: after.placeId,
          },
        ]
      : [],
  );
}
