import type { Draw } from './garden-rows.ts';

/** Lets whatever waits go first: a tap, a frame. Unlike a timer it is not held back when it comes often. */
export function pause(): Promise<void> {
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(undefined);
  });
}

/** Draws a piece of work to its end, and lets taps and frames go first. */
export const paced: Draw = async (work) => {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
    await pause();
  }
};
