// React as it is delivered has no `act`, in which the testing library wraps every render and event.
import { createRequire } from 'node:module';
import { flushSync } from 'react-dom';

const React = createRequire(import.meta.url)('react') as { act?: unknown };

/** Does something and lets React finish what follows from it at once; what a promise brings is waited for first. */
React.act = (deed: () => unknown) => {
  const done = flushSync(deed);
  if (typeof (done as PromiseLike<unknown> | undefined)?.then !== 'function') return done;
  return (done as PromiseLike<unknown>).then(async (value) => {
    // what waits for its turn in the scheduler is not finished by flushing
    await new Promise((next) => setTimeout(next, 1));
    flushSync(() => {});
    return value;
  });
};
