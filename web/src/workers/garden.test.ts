// @vitest-environment happy-dom
import { DEMO_EVENING, gannetSlip } from '@rundel/core/demo';
import { expose } from 'comlink';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type * as GardenModule from './garden.ts';
import { createApi } from './garden.worker.ts';

const demo = gannetSlip(3);
const container = demo.containers.filter(({ binnedAt }) => !binnedAt).slice(0, 1);
const garden = { ...demo, containers: container };

let begun = 0;
const errors: (() => void)[] = [];

/** Workers of which the first ones never come: the server was gone just then. */
function workersAfter(broken: number): void {
  begun = 0;
  errors.length = 0;
  vi.stubGlobal(
    'Worker',
    class {
      private readonly port: MessagePort;

      constructor() {
        const { port1, port2 } = new MessageChannel();
        this.port = port1;
        if (begun++ >= broken) expose(createApi(), port2);
      }

      postMessage(message: unknown): void {
        this.port.postMessage(message);
      }

      addEventListener(type: string, listener: () => void): void {
        if (type === 'error') errors.push(listener);
        else this.port.addEventListener(type, listener);
        this.port.start();
      }

      removeEventListener(type: string, listener: () => void): void {
        this.port.removeEventListener(type, listener);
      }
    },
  );
}

afterEach(() => vi.unstubAllGlobals());

describe('a worker that does not start', () => {
  it('is told to whoever waits for it, and the next question begins with another and the whole garden', async () => {
    workersAfter(2);
    // read a second time, since the tests of other files share the first and have begun its workers
    const again = './garden.ts?begun-anew';
    const { GardenInWorkers, workerPool } = (await import(/* @vite-ignore */ again)) as typeof GardenModule;
    const workers = new GardenInWorkers();
    const ask = () => workers.statesOf(garden, container, DEMO_EVENING);
    const waiting = ask();
    // the second is asked while the first is waited for
    await vi.waitFor(() => expect(errors).toHaveLength(2));
    for (const broken of errors.slice()) broken();
    await expect(waiting).rejects.toThrow(/did not start\. Nothing is lost/);
    const [state] = await ask();
    expect(state).toMatchObject({ containerId: container[0]?.id });
    expect(begun).toBe(4);
    // and nothing is begun anew while it works
    expect(workerPool.at(0)).toBe(workerPool.at(0));
    await ask();
    expect(begun).toBe(4);
    // one that breaks while nobody waits for it is missed at the next question
    errors.at(-1)?.();
    expect((await workers.statesOf(garden, container, DEMO_EVENING))[0]).toMatchObject({
      containerId: container[0]?.id,
    });
    expect(begun).toBe(5);
  });
});
