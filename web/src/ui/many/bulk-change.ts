import { containerKind } from '@rundel/core/bags';
import type { Container } from '@rundel/core/records';
import { needsFirmMix, supportOf } from '@rundel/core/plants';
import type { RecordChange } from '../../store/index.ts';

/** What is changed in several bags at once; a field left out stays as it is in each. */
export type BulkChange = Partial<
  Pick<Container, 'placeId' | 'mixId' | 'mulchMillimetres' | 'support' | 'price'>
>;

/**
 * The changes to bags; those that would be as they were are left out. Another mix takes the place of layers. A bag that
 * cannot hold a cane keeps its own support where a cane was asked for.
 */
export function changedTogether(
  containers: readonly Container[],
  change: BulkChange,
  now: string,
): readonly RecordChange<'containers'>[] {
  return containers.flatMap((before) => {
    const { support, ...rest } = change;
    const keeps =
      support !== undefined &&
      needsFirmMix(supportOf(support.kind)) &&
      !containerKind(before.kindId).holdsCane;
    const { layers, ...without } = before;
    const after: Container = {
      ...without,
      ...(layers && change.mixId === undefined ? { layers } : {}),
      ...rest,
      ...(support && !keeps ? { support } : {}),
    };
    const isSame = (Object.keys({ ...before, ...after }) as (keyof Container)[]).every(
      (key) => JSON.stringify(before[key]) === JSON.stringify(after[key]),
    );
    return isSame ? [] : [{ table: 'containers' as const, before, after: { ...after, changedAt: now } }];
  });
}
