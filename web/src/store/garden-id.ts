/** Which garden is open on this device: the grower's own or the demo. Remembered between visits. */
export type GardenId = 'own' | 'demo';

const KEY = 'rundel.garden';

export const DATABASE_NAMES: Record<GardenId, string> = { own: 'rundel', demo: 'rundel-demo' };

/** The garden to open: what the address asks for (`?garden=demo`), else what was open last, else the grower's own. */
export function gardenToOpen(search: string, remembered: string | null): GardenId {
  const asked = new URLSearchParams(search).get('garden');
  if (asked === 'demo' || asked === 'own') return asked;
  return remembered === 'demo' ? 'demo' : 'own';
}

export function rememberedGarden(): string | null {
  return localStorage.getItem(KEY);
}

export function rememberGarden(gardenId: GardenId): void {
  localStorage.setItem(KEY, gardenId);
}
