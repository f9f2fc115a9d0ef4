import { dayOf } from '@rundel/core/calendar';
import { cropOf, type Occupant } from '@rundel/core/plants';
import {
  entriesAt,
  type Entry,
  type Garden,
  type LeavingReason,
  type PickSize,
  type PickStage,
  type PickUse,
  type Stage,
} from '@rundel/core/records';

type Named = Pick<Occupant, 'stationId' | 'position' | 'plant' | 'variety'>;

/** What one of a bag's plants is called: its own name, its variety where no other has it, else "plant 2" as they are drawn. */
export function plantName(occupant: Named, occupants: readonly Named[]): string {
  if (occupant.plant.name) return occupant.plant.name;
  const same = occupants.filter((o) => o.variety.id === occupant.variety.id);
  return same.length > 1 ? `plant ${occupant.position + 1}` : occupant.variety.name;
}

/** One of a bag's plants by its station; "one plant" for one that is gone. */
export function plantWords(stationId: string, occupants: readonly Named[]): string {
  const found = occupants.find((o) => o.stationId === stationId);
  return found ? plantName(found, occupants) : 'one plant';
}

/** What is needed to tell which plant an entry is about. */
export type PlantsOf = Pick<Garden, 'plants' | 'varieties' | 'containers' | 'entries'>;

/** The plant that an entry is about, as the grower calls it; undefined for one about a whole bag. */
export function plantOfEntry(entry: Entry, garden: PlantsOf): string | undefined {
  const { stationId, plantId } = entry as { readonly stationId?: string; readonly plantId?: string };
  if (stationId === undefined && plantId === undefined) return undefined;
  const id = plantId ?? plantAt(entry, stationId, garden);
  const plant = garden.plants.find((p) => p.id === id);
  if (plant?.name) return plant.name;
  const container = 'containerId' in entry && garden.containers.find((c) => c.id === entry.containerId);
  const place = container ? container.stations.findIndex((s) => s.id === stationId) : -1;
  if (container && container.stations.length > 1 && place >= 0) return `plant ${place + 1}`;
  const variety = garden.varieties.find((v) => v.id === plant?.varietyId);
  if (!variety) return 'one plant';
  // where only one plant stands it is plain which it was; its planting says what it is
  return entry.kind === 'planted' && variety.name !== cropOf(variety.cropId).name ? variety.name : undefined;
}

/** Who stood in a station when something was put on record of it. */
function plantAt(entry: Entry, stationId: string | undefined, garden: PlantsOf): string | undefined {
  const containerId = 'containerId' in entry ? entry.containerId : undefined;
  if (containerId === undefined) return undefined;
  const planted = entriesAt(garden.entries, containerId).filter(
    (e) => e.kind === 'planted' && e.stationId === stationId && dayOf(e.at) <= dayOf(entry.at),
  );
  const last = planted.sort((a, b) => Date.parse(a.at) - Date.parse(b.at)).at(-1);
  return last?.kind === 'planted' ? last.plantId : undefined;
}

/** A stage, as it is asked for; and as something that was seen, or was not there yet. */
export const STAGE_NAMES: Readonly<Record<Stage, string>> = {
  up: 'up',
  rooted: 'roots down',
  flowers: 'first flowers',
  set: 'first truss set',
  ripe: 'first ripe fruit',
  'last-flush': 'the last of the flush',
};

export const STAGE_WORDS: Readonly<Record<Stage, string>> = {
  up: 'It came up',
  rooted: 'Roots are down',
  flowers: 'First flowers seen',
  set: 'First truss has set',
  ripe: 'First ripe fruit seen',
  'last-flush': 'The last of its flush',
};

/** Why a plant left. */
export const LEAVING_WORDS: Readonly<Record<LeavingReason, string>> = {
  finished: 'its time was over',
  died: 'it died',
  replaced: 'replaced by another',
  moved: 'moved to another bag',
  'given-away': 'given away',
  stolen: 'stolen',
  other: 'for another reason',
};

/** How ripe, how large, and what became of it, as a picking says it. */
export const PICK_STAGE_WORDS: Record<PickStage, string> = {
  green: 'green',
  blush: 'first blush',
  ripe: 'ripe',
  over: 'over',
};
export const PICK_SIZE_WORDS: Record<PickSize, string> = {
  small: 'smaller than I like',
  right: 'as I like it',
  large: 'larger',
};
export const PICK_USE_WORDS: Record<PickUse, string> = {
  eaten: 'eaten',
  given: 'given away',
  sold: 'sold',
  stored: 'stored',
  lost: 'lost',
};
