import { ThemeProvider } from '@mui/material';
import { deriveBag, sharedOf, type BagState, type FailedBag } from '@rundel/core/garden-state';
import { type Garden, liveEntries } from '@rundel/core/records';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { Suspense } from 'react';
import { prerenderToNodeStream } from 'react-dom/static';
import { MemoryRouter, useRoutes } from 'react-router';
import { ROUTES } from '../src/app/routes.tsx';
import { themeFor } from '../src/app/theme/theme.ts';
import { clockSetTo } from '../src/store/clock.ts';
import { containersInUse, GardenProvider, type OpenGarden } from '../src/store/index.ts';
import { versionOf } from '../src/store/bag-states-query.ts';
import { quarterOf } from '../src/store/last-states.ts';

// there is no address bar here, and some places tell their own address
(globalThis as { location?: unknown }).location ??= new URL('http://localhost/');

/** A garden as the places are given it; nothing can be written to it. */
export function opened(garden: Garden, now: string, gardenId: OpenGarden['gardenId'] = 'own'): OpenGarden {
  const refused = () => Promise.reject(new Error('Nothing is written here.'));
  return {
    gardenId,
    garden,
    clock: { ...clockSetTo(now, 60), now: () => now },
    live: liveEntries(garden.entries),
    setAside: [],
    lastStates: undefined,
    stamp: '',
    isWhole: true,
    readRest: () => Promise.resolve(),
    store: { readNote: () => new Promise(() => {}), writeNote: refused } as unknown as OpenGarden['store'],
    lastChange: undefined,
    conflict: undefined,
    record: refused,
    remove: refused,
    saveRecords: refused,
    bin: refused,
    saveSettings: refused,
    replaceGarden: refused,
    moveTo: refused,
    undo: refused,
    redo: refused,
    restartDemo: refused,
    moveDemoTo: refused,
  };
}

/** What the workers would have answered, where the screens look for it. */
export function answered(open: OpenGarden): QueryClient {
  const { garden, clock, gardenId } = open;
  const now = clock.now();
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const shared = sharedOf(garden);
  const states = containersInUse(garden).map((container): BagState | FailedBag => {
    try {
      return deriveBag(garden, container, now, shared);
    } catch (cause) {
      return { containerId: container.id, problem: String(cause) };
    }
  });
  client.setQueryData(['bag-states', gardenId, quarterOf(now), versionOf(garden)], states);
  return client;
}

function Places() {
  return useRoutes(ROUTES);
}

/** The HTML of a place, with all that it loads when it is gone to. */
export async function screen(path: string, open: OpenGarden, client = answered(open)): Promise<string> {
  const { prelude } = await prerenderToNodeStream(
    <QueryClientProvider client={client}>
      <ThemeProvider theme={themeFor('light')}>
        <MemoryRouter initialEntries={[path]}>
          <GardenProvider open={open}>
            <Suspense>
              <Places />
            </Suspense>
          </GardenProvider>
        </MemoryRouter>
      </ThemeProvider>
    </QueryClientProvider>,
    {
      onError: (error) => {
        throw error;
      },
    },
  );
  const parts: Buffer[] = [];
  for await (const part of prelude as AsyncIterable<Buffer>) parts.push(part);
  return Buffer.concat(parts).toString('utf8');
}
