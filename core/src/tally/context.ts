import type { Assumed } from '../assumed/index.ts';
import { dayOf } from '../calendar/index.ts';
import { propertiesOf } from '../garden-state/index.ts';
import { weighedPickings, type WeighedPicking } from '../pickings/index.ts';
import { occupantsOf, type Occupant } from '../plants/index.ts';
import type { Container, Entry, EntryOf, Garden } from '../records/index.ts';
import type { TallyUnit } from './units.ts';

const isPicking = (e: Entry): e is EntryOf<'picking'> => e.kind === 'picking';

/** Who stood in a bag at a moment, or the one plant that a picking names. */
export function standingThen(
  { plantId, stationId, at }: Pick<EntryOf<'picking'>, 'plantId' | 'stationId' | 'at'>,
  occupants: readonly Occupant[],
): readonly Occupant[] {
  const day = dayOf(at);
  const there = occupants.filter(
    (o) => o.plantedOn <= day && (o.clearedOn === undefined || o.clearedOn >= day),
  );
  // what was picked a day or two after clearing is still of who stood there last
  const last = there.length > 0 ? there : occupants.filter((o) => o.plantedOn <= day).slice(-1);
  const named = last.filter((o) =>
    plantId === undefined ? stationId === undefined || o.stationId === stationId : o.plant.id === plantId,
  );
  return named.length > 0 ? named : last;
}

/** Pickings of a garden with a weight each: what was only counted is worth what such fruit usually weighs. */
export function pickingsWithWeights(garden: Garden, live: readonly Entry[]): readonly WeighedPicking[] {
  return weighedIn(live, occupantsByBag(garden, live));
}

function weighedIn(
  live: readonly Entry[],
  occupants: (containerId: string) => readonly Occupant[],
): readonly WeighedPicking[] {
  const pickings = live.filter(isPicking);
  return weighedPickings(pickings, (picking) => firstStanding(picking, occupants(picking.containerId)));
}

/** The first of those of whom a picking may be; asked for each picking there ever was, so that nothing is made on the way. */
function firstStanding(
  picking: Pick<EntryOf<'picking'>, 'plantId' | 'stationId' | 'at'>,
  occupants: readonly Occupant[],
): Occupant | undefined {
  const { plantId, stationId } = picking;
  if (plantId !== undefined || stationId !== undefined) return standingThen(picking, occupants)[0];
  const day = dayOf(picking.at);
  let last: Occupant | undefined;
  for (const o of occupants) {
    if (o.plantedOn > day) break;
    if (o.clearedOn === undefined || o.clearedOn >= day) return o;
    last = o;
  }
  return last;
}

/** Who ever stood in each bag, worked out once for each that is asked for. */
export function occupantsByBag(
  garden: Garden,
  live: readonly Entry[],
): (containerId: string) => readonly Occupant[] {
  const known = new Map<string, readonly Occupant[]>();
  const containers = new Map(garden.containers.map((c) => [c.id, c]));
  return (id) => {
    const found = known.get(id);
    if (found) return found;
    const container = containers.get(id);
    if (!container) return [];
    const occupants = occupantsOf(container, live, garden);
    known.set(id, occupants);
    return occupants;
  };
}

/** A container as made, as far as a tally asks. */
export interface Made {
  readonly litres: number;
  readonly kind: string;
  readonly mix: string;
  readonly assumed: Assumed;
}

/** What the tallies of several seasons share. */
export interface TallyContext {
  readonly garden: Garden;
  readonly live: readonly Entry[];
  readonly pickings: readonly WeighedPicking[];
  occupants(containerId: string): readonly Occupant[];
  /** a container as made; undefined where its record does not make sense */
  made(container: Container): Made | undefined;
  /** seasons that were added up already, by their year and day */
  readonly seasons: Map<string, readonly TallyUnit[]>;
}

export function tallyContext(garden: Garden, live: readonly Entry[]): TallyContext {
  const occupants = occupantsByBag(garden, live);
  const made = new Map<string, Made | undefined>();
  return {
    garden,
    live,
    pickings: weighedIn(live, occupants),
    occupants,
    made(container) {
      if (!made.has(container.id)) made.set(container.id, madeOf(container, garden));
      return made.get(container.id);
    },
    seasons: new Map(),
  };
}

/** A container as made, or undefined where its record does not make sense: its pickings count all the same. */
function madeOf(container: Container, garden: Garden): Made | undefined {
  try {
    const { fill, kind, mix, assumed } = propertiesOf(container, garden);
    return { litres: fill.mixLitres, kind: kind.name, mix: mix.name, assumed };
  } catch {
    return undefined;
  }
}
