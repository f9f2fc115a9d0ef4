import { wrap, type Remote } from 'comlink';

type Refuse = (problem: Error) => void;

/** Who waits for an answer of each worker. */
const waiting = new WeakMap<object, Set<Refuse>>();

/**
 * A worker's answers, as it is asked for them from here. A worker whose script does not come says so once and never answers.
 *
 * @param broken lets go of the worker, so that the next question begins with another, and says what is told to those who wait
 */
export function apiOf<A>(worker: Worker, broken: () => Error): Remote<A> {
  const api = wrap<A>(worker);
  const here = new Set<Refuse>();
  waiting.set(api, here);
  worker.addEventListener('error', () => {
    const problem = broken();
    for (const refuse of here) refuse(problem);
    here.clear();
  });
  return api;
}

/** Asks a worker, and waits no longer once it is broken. */
export function asked<A, T>(api: Remote<A>, work: (api: Remote<A>) => Promise<T>): Promise<T> {
  const here = waiting.get(api);
  if (!here) return work(api);
  // not a race with one promise that is kept: it would hold on to every answer there ever was
  return new Promise((resolve, refuse) => {
    here.add(refuse);
    void work(api)
      .then(resolve, refuse)
      .finally(() => here.delete(refuse));
  });
}
