import { ThemeProvider } from '@mui/material';
import { bagFeeding, bagWater, propertiesOf, warmthOf, type BagWater } from '@rundel/core/garden-state';
import { type Garden, liveEntries } from '@rundel/core/records';
import { dayOf } from '@rundel/core/calendar';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { Suspense } from 'react';
import { prerenderToNodeStream } from 'react-dom/static';
import { MemoryRouter, useRoutes } from 'react-router';
import { ROUTES } from '../src/app/routes.tsx';
import { themeFor } from '../src/app/theme/theme.ts';
import { clockSetTo } from '../src/store/clock.ts';
import { containersInUse, GardenProvider, type OpenGarden } from '../src/store/index.ts';
import { versionOf } from '../src/store/waters-question.ts';
import type { FailedWater } from '../src/workers/estimate.ts';

/** A garden as the places are given it; nothing can be written to it. */
export function opened(garden: Garden, now: string, gardenId: OpenGarden['gardenId'] = 'own'): OpenGarden {
  const refused = () => Promise.reject(new Error('Nothing is written here.'));
  return {
    gardenId,
    garden,
    clock: { ...clockSetTo(now, 60), now: () => now },
    live: liveEntries(garden.entries),
    setAside: [],
    store: { readNote: () => new Promise(() => {}), writeNote: refused } as unknown as OpenGarden['store'],
    lastChange: undefined,
    record: refused,
    remove: refused,
    saveRecords: refused,
    bin: refused,
    saveSettings: refused,
    replaceGarden: refused,
    undo: refused,
    redo: refused,
    restartDemo: refused,
    moveDemoTo: refused,
  };
}

/** What the workers would have answered, where the screens look for it. */
export function answered(open: OpenGarden): QueryClient {
  const { garden, live, clock, gardenId } = open;
  const now = clock.now();
  const today = dayOf(now);
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const containers = containersInUse(garden);
  const waters = containers.map((container): BagWater | FailedWater => {
    try {
      return bagWater(garden, container, now, live);
    } catch (cause) {
      return { containerId: container.id, problem: String(cause) };
    }
  });
  const known = waters.filter((water): water is BagWater => !('problem' in water));
  const moves = known.reduce((sum, water) => sum + water.estimate.moves.length, 0);
  const warmth = warmthOf(live, garden.settings);
  const feedings = known.flatMap(({ containerId, estimate }) =>
    containers
      .filter(({ id }) => id === containerId)
      .map((container) =>
        bagFeeding(garden, container, propertiesOf(container, garden), live, today, warmth, estimate.moves),
      ),
  );
  const quarter = Math.floor(Date.parse(now) / 900_000);
  client.setQueryData(['waters', gardenId, quarter, versionOf(garden)], waters);
  client.setQueryData(['feedings', gardenId, today, versionOf(garden), moves], feedings);
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
