import { ThemeProvider } from '@mui/material';
import type { Garden } from '@rundel/core/bag-state';
import type { Entry } from '@rundel/core/diary';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { afterEach, expect, vi } from 'vitest';
import { PLACES } from '../src/app/places.tsx';
import { Root } from '../src/app/Root.tsx';
import { themeFor } from '../src/app/theme/theme.ts';
import { GardenStore } from '../src/store/garden-store.ts';
import { DATABASE_NAMES } from '../src/store/which.ts';

// charts measure a page that is not here
vi.mock('../src/parts/chart.ts', () => ({
  Chart: () => null,
  chartGround: () => ({ chart: {}, xaxis: {} }),
  chartMoment: () => ({}),
  lookColour: () => '#000',
}));

/** Workers work where they are asked, on copies of what they are sent, as between threads. */
vi.mock('comlink', () => {
  type Api = Record<string, (...args: unknown[]) => unknown>;
  let exposed: Api | undefined;
  const apis = new Map<string, Promise<Api>>();
  const start = async (name: string) => {
    await (name === 'away'
      ? import('../src/workers/away.worker.ts')
      : import('../src/workers/estimate.worker.ts'));
    return exposed as Api;
  };
  return {
    expose: (api: Api) => (exposed = api),
    proxy: <T,>(value: T) => value,
    wrap: ({ name }: { readonly name: string }) =>
      new Proxy(
        {},
        {
          get:
            (_, method: string) =>
            async (...args: unknown[]) => {
              const kind = name.split(' ')[0] as string;
              const api = await (apis.get(kind) ?? apis.set(kind, start(kind)).get(kind));
              const sent = args.map((arg) => (typeof arg === 'function' ? arg : structuredClone(arg)));
              return structuredClone(api?.[method]?.(...sent));
            },
        },
      ),
  };
});
vi.stubGlobal(
  'Worker',
  class {
    readonly name: string;
    constructor(_: URL, { name }: { readonly name: string }) {
      this.name = name;
    }
    addEventListener() {}
    terminate() {}
  },
);

let open: GardenStore | undefined;

afterEach(() => {
  cleanup();
  open?.close();
  open = undefined;
});

/** The whole app at a place, with a garden in the browser's database and its clock at a moment. */
export async function openApp(path: string, garden: Garden, now: string) {
  const store = new GardenStore(DATABASE_NAMES.demo);
  open = store;
  await store.replace(garden);
  for (const note of ['demoStart', 'demoMoment']) await store.writeNote(note, now);
  localStorage.setItem('rundel.garden', 'demo');
  history.replaceState(null, '', path);
  const router = createBrowserRouter([{ path: '/', element: <Root />, children: PLACES }]);
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const page = render(
    <QueryClientProvider client={client}>
      <ThemeProvider theme={themeFor('light')}>
        <RouterProvider router={router} />
      </ThemeProvider>
    </QueryClientProvider>,
  );
  await screen.findByRole('heading', { level: 1 });
  const stored = async (): Promise<Garden> => (await store.load())?.garden as Garden;
  return {
    ...page,
    router,
    stored,
    /** The entries that were made since the garden was opened. */
    async made(): Promise<readonly Entry[]> {
      const before = new Set(garden.entries.map(({ id }) => id));
      return (await stored()).entries.filter(({ id }) => !before.has(id));
    },
  };
}

/** Types into the field of a label. */
export function fill(label: string | RegExp, value: string, at: HTMLElement = document.body): void {
  fireEvent.change(within(at).getByLabelText(label), { target: { value } });
}

/** Presses a button, once it is there. */
export async function press(name: string | RegExp, at?: HTMLElement): Promise<void> {
  const where = at ? within(at) : screen;
  fireEvent.click(await where.findByRole('button', { name }));
}

/** Chooses from a list that drops down. */
export async function choose(label: string | RegExp, option: string | RegExp): Promise<void> {
  fireEvent.mouseDown(screen.getByRole('combobox', { name: label }));
  fireEvent.click(await screen.findByRole('option', { name: option }));
  await waitFor(() => expect(screen.queryByRole('listbox')).toBeNull());
}
