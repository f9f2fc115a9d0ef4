import type { Day } from '@rundel/core/calendar';
import type { RipeComing } from '@rundel/core/tally';
import type { Bag } from '../store/index.ts';
import { plantName } from './plant-text.ts';
import { shortDay } from './text.ts';

/** What the days are counted from. */
const BY_WORDS: Readonly<Record<RipeComing['by'], string>> = {
  set: 'from the day it set',
  flowers: 'from its flowers',
  planting: 'reckoned from planting',
};

/** When a truss or a first fruit is ripe, and what that is counted from. */
export function ripeWords(ripe: RipeComing, bag: Pick<Bag, 'occupants'>, today: Day): string {
  const occupant = bag.occupants.find((o) => o.plant.id === ripe.plantId);
  const who = bag.occupants.length > 1 && occupant ? `${plantName(occupant, bag.occupants)}, ` : '';
  const what =
    ripe.truss === undefined
      ? 'first fruit'
      : `truss ${ripe.truss}${ripe.fruit === undefined ? '' : ` (${ripe.fruit} fruit)`}`;
  const when =
    ripe.from <= today
      ? ripe.to < today
        ? `was due by ${shortDay(ripe.to, today)}`
        : `ripe from now to ${shortDay(ripe.to, today)}`
      : `${shortDay(ripe.from, today)} to ${shortDay(ripe.to, today)}`;
  const held =
    ripe.heldUntil === undefined
      ? ''
      : `; no picking before ${shortDay(ripe.heldUntil, today)}, by a spray's label`;
  return `${who}${what} ${when}, ${BY_WORDS[ripe.by]}${held}`;
}
