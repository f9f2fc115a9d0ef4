import '@fontsource-variable/hanken-grotesk/wght.css';
import '@fontsource-variable/bricolage-grotesque/wght.css';
import { notifyManager, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { keepOffline } from './keep-offline.ts';
import { Themed } from './Themed.tsx';

// what a query found is drawn in the same breath as what came with it, and not a timer's tick later
notifyManager.setScheduler(queueMicrotask);
const client = new QueryClient({
  defaultOptions: { queries: { refetchOnWindowFocus: false, networkMode: 'always' } },
});
const root = document.getElementById('root');
if (!root) throw new Error('index.html has no #root');

// the app and the demo are kept for days without a network; a newer build waits until it is taken.
// Filling that store takes the machine's attention, so the first round comes before it.
setTimeout(() => void keepOffline(), 3000);
// asks the browser not to throw the diary away when space is short; it may say no
void navigator.storage?.persist?.();

// starting all modules is more than one task should hold: what draws comes first, the places and their computation after it
const [{ App }, { readAhead }] = await Promise.all([import('./App.tsx'), import('./routes.tsx')]);

createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={client}>
      <Themed>
        <App />
      </Themed>
    </QueryClientProvider>
  </StrictMode>,
);

readAhead();
