import { ThemeProvider } from '@mui/material';
import type { Garden, Entry } from '@rundel/core/records';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, configure, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { expose } from 'comlink';
import Dexie from 'dexie';
import { expect } from 'vitest';
import { App } from '../src/app/App.tsx';
import { themeFor } from '../src/app/theme/theme.ts';
import { forgetWorkers } from '../src/store/bag-states-query.ts';
import { GardenStore } from '../src/db/index.ts';
import { DATABASE_NAMES, type PrivateFiles } from '../src/db/index.ts';

// what is hidden is looked through too: asking every element for its style takes most of the time; and a page whose modules
// are read for the first time on a busy machine is waited for
configure({
  asyncUtilTimeout: 30_000,
  defaultHidden: true,
  getElementError: (message) => new Error(message ?? 'It is not there.'),
});

/**
 * What an element looks like is not worked out here: it took a sixth of the time, for names of buttons that do not depend on
 * it. What a style hides is tried in the browser.
 */
const UNSTYLED = new Proxy({}, { get: (_, key) => (key === 'getPropertyValue' ? () => '' : '') });

/** Tabs of the same browser hear of each other; files of tests that run beside this one are other browsers. */
const browser = crypto.randomUUID();
class ChannelHere extends BroadcastChannel {
  constructor(name: string) {
    super(`${name} ${browser}`);
  }
}

/** What a worker of a name answers with. */
async function apiOf(name: string): Promise<object> {
  if (name === 'away') return (await import('../src/workers/away.worker.ts')).api;
  if (name === 'store') return (await import('../src/workers/store.worker.ts')).createStoreApi(() => beside);
  if (name === 'file') return (await import('../src/workers/file.worker.ts')).createFileApi(() => beside);
  return (await import('../src/workers/garden.worker.ts')).createApi();
}

/** A worker in this thread, which gets copies of what it is sent as between threads. */
class WorkerHere {
  private readonly port: MessagePort;

  constructor(_: URL, { name }: { readonly name: string }) {
    const { port1, port2 } = new MessageChannel();
    this.port = port1;
    void apiOf(name).then((api) => expose(api, port2));
  }

  postMessage(message: unknown, transfer: Transferable[] = []): void {
    this.port.postMessage(message, transfer);
  }

  addEventListener(type: string, listener: (event: MessageEvent) => void): void {
    this.port.addEventListener(type as 'message', listener);
    this.port.start();
  }

  removeEventListener(type: string, listener: (event: MessageEvent) => void): void {
    this.port.removeEventListener(type as 'message', listener);
  }

  terminate(): void {
    this.port.close();
  }
}

let open: GardenStore | undefined;
/** where second copies are */
let beside: Promise<PrivateFiles | undefined> = Promise.resolve(undefined);

/**
 * The whole app at a place, with a garden in the browser's database and its clock at a moment.
 *
 * @param own it is the grower's own, by the real clock, with its second copy in these files; the browser may have lost it
 */
export async function openApp(
  path: string,
  garden: Garden,
  now: string,
  own?: {
    readonly files: PrivateFiles;
    readonly isLost: boolean;
    /** what happens to it before it is opened */
    then?(store: GardenStore): Promise<void>;
  },
) {
  // here and not after each test: files share this module, and each has a window of its own
  cleanup();
  open?.close();
  // what the workers hold is of the garden before
  forgetWorkers();
  globalThis.Worker = WorkerHere as unknown as typeof Worker;
  globalThis.BroadcastChannel = ChannelHere;
  // nothing scrolls here: what is drawn when it is seen is drawn at once
  Reflect.deleteProperty(globalThis, 'IntersectionObserver');
  globalThis.getComputedStyle = () => UNSTYLED as CSSStyleDeclaration;
  beside = Promise.resolve(own?.files);
  const gardenId = own ? 'own' : 'demo';
  const store = new GardenStore(DATABASE_NAMES[gardenId]);
  open = store;
  if (own?.isLost) await loseOwn();
  else await store.replace(garden);
  await own?.then?.(store);
  if (!own) for (const note of ['demoStart', 'demoMoment']) await store.writeNote(note, now);
  sessionStorage.setItem('rundel.garden', gardenId);
  history.replaceState(null, '', path);
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const page = render(
    <QueryClientProvider client={client}>
      <ThemeProvider theme={themeFor('light')}>
        <App />
      </ThemeProvider>
    </QueryClientProvider>,
  );
  await screen.findByRole('heading', { level: 1 });
  const stored = async (): Promise<Garden> => (await store.load())?.garden as Garden;
  return {
    ...page,
    /** Goes to another address, as a link would. */
    async goTo(path: string): Promise<void> {
      await act(async () => {
        history.pushState(null, '', path);
        dispatchEvent(new PopStateEvent('popstate'));
        await Promise.resolve();
      });
    },
    stored,
    /** Leaves a note on this device, as an earlier visit would have. */
    note: (name: string, value: unknown) => store.writeNote(name, value),
    /** The entries that were made since the garden was opened, oldest first; of those that were made together by kind. */
    async made(): Promise<readonly Entry[]> {
      const before = new Set(garden.entries.map(({ id }) => id));
      const order = (e: Entry) => `${e.recordedAt} ${e.kind}`;
      return (await stored()).entries
        .filter(({ id }) => !before.has(id))
        .sort((a, b) => (order(a) < order(b) ? -1 : 1));
    },
  };
}

/** What a browser does that finds its databases damaged. */
async function loseOwn(): Promise<void> {
  for (const name of await Dexie.getDatabaseNames())
    if (/^rundel(~|-directory|-photos|$)/.test(name)) await Dexie.delete(name);
}

/** Types into the field of a label. */
export function fill(label: string | RegExp, value: string, at: HTMLElement = document.body): void {
  fireEvent.change(within(at).getByLabelText(label), { target: { value } });
}

/** Types a day, as "20/05/2027", into the field of a label. */
export async function fillDay(label: string, value: string, at: HTMLElement = document.body): Promise<void> {
  // the field is drawn in parts; what is typed at once arrives in the input behind them
  const field = await within(at).findByRole('group', { name: label });
  const behind = field.parentElement?.querySelector('input');
  fireEvent.change(behind as HTMLInputElement, { target: { value } });
}

/** Presses a button, once it is there and can be pressed. */
export async function press(name: string | RegExp, at?: HTMLElement): Promise<void> {
  const where = at ? within(at) : screen;
  const button = await where.findByRole('button', { name });
  await waitFor(() => expect(button).not.toHaveProperty('disabled', true));
  fireEvent.click(button);
  // a form reads its fields before it says what is wrong with them
  await act(() => new Promise((done) => setTimeout(done)));
}

/** Waits as long as a finger rests between two presses that are meant: what follows at once counts as the same press. */
export function pause(): Promise<void> {
  return new Promise((done) => setTimeout(done, 350));
}

/** The dialog that is open, once it is. */
export function dialog(): Promise<HTMLElement> {
  return screen.findByRole('dialog');
}

/** Says more of one part of a bag's form, in the sheet that opens for it. */
export async function part(name: string, say: (sheet: HTMLElement) => void | Promise<void>): Promise<void> {
  await press(new RegExp(`^${name}`));
  const sheet = await dialog();
  await say(sheet);
  await press('Done', sheet);
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
}

/** Ticks bags in the sheet that opens behind the line of a chooser, after all that were ticked are let go. */
export async function chooseBags(label: string, ...bags: readonly string[]): Promise<void> {
  await press(new RegExp(`^${label}: .*Change$`));
  const sheet = await dialog();
  await press('None', within(sheet).getByRole('group', { name: label }));
  for (const bag of bags) fireEvent.click(within(sheet).getByRole('checkbox', { name: `Bag ${bag}` }));
  await press(
    /^(This bag|These \d+ bags|None)$/,
    sheet.querySelector('.MuiDialogActions-root') as HTMLElement,
  );
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
}

/** Chooses from a list that drops down. */
export async function choose(label: string | RegExp, option: string | RegExp): Promise<void> {
  fireEvent.mouseDown(await screen.findByRole('combobox', { name: label }));
  fireEvent.click(await screen.findByRole('option', { name: option }));
  // a datalist is a list box too
  await waitFor(() => expect(document.querySelector('ul[role="listbox"]')).toBeNull());
}
