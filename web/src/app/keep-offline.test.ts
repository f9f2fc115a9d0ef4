// @vitest-environment happy-dom
import { afterEach, describe, expect, it, vi } from 'vitest';

interface Asked {
  onRegisteredSW(url: string, registration: object): void;
}
let asked: Asked | undefined;
vi.mock('virtual:pwa-register', () => ({
  registerSW: (options: Asked) => {
    asked = options;
    return () => Promise.resolve();
  },
}));

const { keepOffline } = await import('./keep-offline.ts');
const { useOffline } = await import('../store/offline.ts');
const { renderHook } = await import('@testing-library/react');

/** A worker that is being installed, in a registration. */
function installing() {
  const worker = Object.assign(new EventTarget(), { state: 'installing' });
  const registration = {
    installing: worker,
    active: null as object | null,
    scope: '/',
    update: () => Promise.resolve(),
  };
  const turn = (state: string) => {
    worker.state = state;
    worker.dispatchEvent(new Event('statechange'));
  };
  return { registration, turn };
}

describe('keeping the app for days without a network', () => {
  const real = Object.getOwnPropertyDescriptor(navigator, 'serviceWorker');
  afterEach(() => {
    vi.useRealTimers();
    if (real) Object.defineProperty(navigator, 'serviceWorker', real);
    else Reflect.deleteProperty(navigator, 'serviceWorker');
  });

  it('is begun again where a file did not come, and told when it is done', async () => {
    vi.useFakeTimers();
    const [first, second] = [installing(), installing()];
    let done: (() => void) | undefined;
    const register = vi.fn(() => Promise.resolve(second.registration));
    const serviceWorker = {
      register,
      getRegistration: () => Promise.resolve(first.registration),
      ready: new Promise<void>((resolve) => (done = resolve)),
    };
    Object.defineProperty(navigator, 'serviceWorker', { value: serviceWorker, configurable: true });
    const { result } = renderHook(() => useOffline());
    await keepOffline();
    asked?.onRegisteredSW('/sw.js', first.registration);
    expect(result.current.kind).toBe('fetching');
    first.turn('redundant');
    await vi.advanceTimersByTimeAsync(20_000);
    expect(register).toHaveBeenCalledExactlyOnceWith('/sw.js', { scope: '/' });
    // and once more, until all of it is there
    second.turn('redundant');
    await vi.advanceTimersByTimeAsync(20_000);
    expect(register).toHaveBeenCalledTimes(2);
    done?.();
    await vi.advanceTimersByTimeAsync(0);
    expect(result.current.kind).toBe('ready');
  });

  it('is not begun again once it is kept', async () => {
    vi.useFakeTimers();
    const { registration, turn } = installing();
    const register = vi.fn();
    const serviceWorker = {
      register,
      getRegistration: () => Promise.resolve(registration),
      ready: Promise.resolve(),
    };
    Object.defineProperty(navigator, 'serviceWorker', { value: serviceWorker, configurable: true });
    await keepOffline();
    asked?.onRegisteredSW('/sw.js', registration);
    registration.active = {};
    turn('redundant');
    await vi.advanceTimersByTimeAsync(60_000);
    expect(register).not.toHaveBeenCalled();
  });
});
