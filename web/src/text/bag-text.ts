import { type Range, FINGER_GRADES, fingerGradeOf, hasLevel, type StoreLevel } from '@rundel/core/water';
import type { Bag, UnitFormat } from '../store/index.ts';
import { thirstWords, whenWords } from './text.ts';

/** "38 L round fabric", "#10 bucket": size as the grower said it, and the kind. */
export function kindWords(bag: Pick<Bag, 'container' | 'properties'>, unitFormat: UnitFormat): string {
  const { size } = bag.container;
  const kind = bag.properties.kind.short;
  if (size.by === 'class') return `${size.class} ${kind}`;
  const litres = size.by === 'label' ? size.litres : bag.properties.real.litres.likely;
  return `${unitFormat.show(litres, 'bag')} ${kind}`;
}

/** "7 · Lantern Drop" */
export function titleOf(bag: Pick<Bag, 'container' | 'name'>): string {
  return `${bag.container.label} · ${bag.name}`;
}

/** One bag by its title, several by their number: "7 · Lantern Drop", "5 bags" */
export function bagsWords(bags: readonly Pick<Bag, 'container' | 'name'>[]): string {
  const [first] = bags;
  return first && bags.length === 1 ? titleOf(first) : `${bags.length} bags`;
}

/** How many bags a line names before it breaks off. */
const NAMED_BAGS = 9;

/** "All 24 bags", "Bag 7", "All 8 of the Lean-to", "3 bags: 1, 2, 9" */
export function bagListWords(
  chosen: readonly Pick<Bag, 'container' | 'place'>[],
  all: readonly Pick<Bag, 'container' | 'place'>[],
): string {
  const [first] = chosen;
  if (!first) return 'No bags';
  if (chosen.length === all.length) return all.length === 1 ? 'The only bag' : `All ${all.length} bags`;
  if (chosen.length === 1) return `Bag ${first.container.label}`;
  const there = all.filter((b) => b.container.placeId === first.container.placeId);
  const isOnePlace = chosen.every((b) => b.container.placeId === first.container.placeId);
  if (first.place && isOnePlace && there.length === chosen.length)
    return `All ${chosen.length} bags of ${first.place.name}`;
  const named = chosen.slice(0, NAMED_BAGS).map((b) => b.container.label);
  return `${chosen.length} bags: ${named.join(', ')}${chosen.length > NAMED_BAGS ? ' …' : ''}`;
}

/** "dry to barely damp" */
export function gradeSpan(share: Range): string {
  const from = FINGER_GRADES[fingerGradeOf(share.low) - 1] ?? '';
  const to = FINGER_GRADES[fingerGradeOf(share.high) - 1] ?? '';
  return from === to ? from : `${from} to ${to}`;
}

/**
 * Why a bag is checked, in a sentence or two, as a person would put it.
 * `strong` is what one expects to feel, `rest` why.
 */
export function expectation(
  bag: Pick<Bag, 'water' | 'occupants'>,
  unitFormat: UnitFormat,
  now: string,
): { readonly strong: string; readonly rest: string } {
  const { water } = bag;
  if (!water) return { strong: '', rest: '' };
  const strong = gradeSpan(water.estimate.share);
  if (!water.hasBeenChecked) {
    return { strong, rest: 'Nobody has checked it yet, so this is little more than a guess.' };
  }
  const { usedSinceLitres, lastEventAt, useMultiplier } = water.estimate;
  const since = lastEventAt ? ` since ${whenWords(lastEventAt, now).replace(/^today /, '')}` : '';
  if (usedSinceLitres < 0.1)
    return { strong, rest: lastEventAt ? `You were last at it ${whenWords(lastEventAt, now)}.` : '' };
  const used = `It used about ${unitFormat.show(usedSinceLitres, 'water')}${since}`;
  const more = thirstWords(useMultiplier.likely);
  return { strong, rest: more ? `${used}; it takes ${more}.` : `${used}, as is usual for its kind.` };
}

/** When a bag wants its next check: "now", "tomorrow morning", "in a week or more". A bag never checked wants it now. */
export function nextCheckWords(water: NonNullable<Bag['water']>, now: string): string {
  const { nextCheck } = water.ahead;
  if (nextCheck.kind === 'now' || !water.hasBeenChecked) return 'now';
  return nextCheck.kind === 'at' ? whenWords(nextCheck.at, now) : 'in a week or more';
}

/** The store of a bag that is checked by its level, if it has one. */
export function seenStore(water: Bag['water']): StoreLevel | undefined {
  return water?.estimate.stores.find(({ kind }) => hasLevel(kind));
}
