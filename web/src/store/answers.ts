import type { Container } from '@rundel/core/records';
import { estimateWorker } from '../workers/estimate.ts';

/** What a worker found out last about each bag, by what it was worked out from. */
export type Answers<T> = Map<string, { readonly from: readonly unknown[]; readonly answer: T }>;

/** A question about a bag: everything that its answer depends on stands in `from`. */
export interface Asked {
  readonly container: Container;
  readonly key: string;
  readonly from: readonly unknown[];
}

type Worker = ReturnType<typeof estimateWorker>;

/**
 * The answers about some bags, in their order; only those of which something has changed are worked out again. Each
 * worker gets its bags in one message, so that the garden is copied once and not for every bag.
 *
 * @param work asks a worker about its share; answers in the same order
 */
export async function answersFor<T>(
  known: Answers<T>,
  asked: readonly Asked[],
  work: (worker: Worker, containers: readonly Container[]) => Promise<readonly T[]>,
): Promise<readonly T[]> {
  const shares = new Map<Worker, Asked[]>();
  for (const each of asked) {
    if (isSameList(known.get(each.key)?.from ?? [], each.from)) continue;
    const worker = estimateWorker(each.container.id);
    shares.set(worker, [...(shares.get(worker) ?? []), each]);
  }
  await Promise.all(
    [...shares].map(async ([worker, share]) => {
      const found = await work(
        worker,
        share.map(({ container }) => container),
      );
      share.forEach(({ key, from }, i) => known.set(key, { from, answer: found[i] as T }));
    }),
  );
  return asked.flatMap(({ key }) => known.get(key)?.answer ?? []);
}

/** Whether two lists hold the very same things in the same order. */
export function isSameList(a: readonly unknown[], b: readonly unknown[]): boolean {
  return a.length === b.length && a.every((part, i) => part === b[i]);
}
