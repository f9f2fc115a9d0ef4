import type { GardenId } from '../db/index.ts';

const KEY = 'rundel.garden';

/** What is remembered of which garden was open: in this tab, and in whichever tab was used last. */
export interface Remembered {
  readonly tab: string | null;
  readonly last: string | null;
}

const isGarden = (name: string | null): name is GardenId => name === 'demo' || name === 'own';

/**
 * The garden to open: what the address asks for (`?garden=demo`), else what this tab has open; a new tab that comes to the
 * beginning goes on with what was open last, and one that comes to a place of its own to the grower's own garden.
 *
 * @param path without what the app as a whole lies under
 */
export function gardenToOpen(search: string, path: string, { tab, last }: Remembered): GardenId {
  const asked = new URLSearchParams(search).get('garden');
  if (isGarden(asked)) return asked;
  if (isGarden(tab)) return tab;
  return isGarden(last) && /^\/?(round\/?)?$/.test(path) ? last : 'own';
}

export function rememberedGarden(): Remembered {
  return { tab: sessionStorage.getItem(KEY), last: localStorage.getItem(KEY) };
}

export function rememberGarden(gardenId: GardenId): void {
  sessionStorage.setItem(KEY, gardenId);
  localStorage.setItem(KEY, gardenId);
}

/** An address with the garden that it is of: the grower's own needs no word. */
export function withGardenNamed(href: string, gardenId: GardenId): string {
  const url = new URL(href);
  if (gardenId === 'demo') url.searchParams.set('garden', 'demo');
  else url.searchParams.delete('garden');
  return url.href;
}
