import { registerSW } from 'virtual:pwa-register';
import { setOffline } from '../store/offline.ts';

/** A newer build is looked for so often while the app stays open, ms. */
const LOOKED_EVERY = 3_600_000;

/** Where a file did not come it is tried again after so long, ms. */
const TRIED_AGAIN_AFTER = 20_000;

/** On a thin line the first fetching of all may fail, upon which the browser gives it up: it is begun again. */
function tryAgain(url: string, registration: ServiceWorkerRegistration): void {
  const { installing: worker } = registration;
  worker?.addEventListener('statechange', () => {
    if (worker.state !== 'redundant' || registration.active) return;
    setTimeout(() => {
      const again = navigator.serviceWorker.register(url, { scope: registration.scope });
      void again.then((next) => tryAgain(url, next)).catch(() => undefined);
    }, TRIED_AGAIN_AFTER);
  });
}

/** Has the browser keep the whole app, and tells how far that is. */
export async function keepOffline(): Promise<void> {
  if (!('serviceWorker' in navigator)) {
    setOffline({ kind: 'impossible' });
    return;
  }
  const update = registerSW({
    immediate: true,
    onOfflineReady: () => setOffline({ kind: 'ready' }),
    onNeedRefresh: () => setOffline({ kind: 'waiting', take: () => update(true) }),
    onRegisteredSW(url, registration) {
      if (!registration) return;
      setInterval(() => void registration.update().catch(() => undefined), LOOKED_EVERY);
      tryAgain(url, registration);
    },
    onRegisterError: () => setOffline({ kind: 'impossible' }),
  });
  const known = await navigator.serviceWorker.getRegistration().catch(() => undefined);
  // another page may have begun it, of whose end this one is not told otherwise
  void navigator.serviceWorker.ready.then(() => setOffline({ kind: 'ready' }));
  setOffline({ kind: known?.active && !known.installing ? 'ready' : 'fetching' });
}
