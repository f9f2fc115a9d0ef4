// React as it is delivered has no `act`, in which the testing library wraps every render and event.
import { createRequire } from 'node:module';
import { flushSync } from 'react-dom';

const require = createRequire(import.meta.url);
const React = require('react') as { act?: unknown };
const { unstable_IdlePriority: IDLE, unstable_scheduleCallback: schedule } = require('scheduler') as {
  readonly unstable_IdlePriority: number;
  unstable_scheduleCallback(priority: number, work: () => void): void;
};

/** Does something and lets React finish what follows from it at once; what a promise brings is waited for first. */
React.act = (deed: () => unknown) => {
  const done = flushSync(deed);
  if (typeof (done as PromiseLike<unknown> | undefined)?.then !== 'function') return done;
  return (done as PromiseLike<unknown>).then(async (value) => {
    await new Promise((next) => setTimeout(next));
    // what React still has to draw has its turn before what may wait
    await new Promise<void>((next) => schedule(IDLE, next));
    return value;
  });
};
