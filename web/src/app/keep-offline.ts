import { registerSW } from 'virtual:pwa-register';
import { setOffline } from '../store/offline.ts';

/** A newer build is looked for so often while the app stays open, ms. */
const LOOKED_EVERY = 3_600_000;

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
    onRegisteredSW(_, registration) {
      if (registration) setInterval(() => void registration.update().catch(() => undefined), LOOKED_EVERY);
    },
    onRegisterError: () => setOffline({ kind: 'impossible' }),
  });
  const known = await navigator.serviceWorker.getRegistration().catch(() => undefined);
  setOffline({ kind: known?.active && !known.installing ? 'ready' : 'fetching' });
}
