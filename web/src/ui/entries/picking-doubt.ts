import { dayOf } from '@rundel/core/calendar';
import { usualFruit } from '@rundel/core/pickings';
import { occupantsOf } from '@rundel/core/plants';
import type { Entry, Garden } from '@rundel/core/records';
import type { Bag, UnitFormat } from '../../store/index.ts';
import { shortDay } from '../../text/text.ts';

/** More than this at one picking from one bag is asked about, kg. */
const MUCH_KILOGRAMS = 12;
/** And a weight so many times what its count usually weighs. */
const MUCH_TIMES = 6;

/**
 * What is doubtful about a picking, as a question; undefined where nothing is. It is asked once, and kept all the same where the
 * grower says it again.
 */
export function pickingDoubt(
  { kilograms, count }: { readonly kilograms?: number | undefined; readonly count?: number | undefined },
  bags: readonly Bag[],
  at: string,
  {
    garden,
    live,
    unitFormat,
  }: {
    readonly garden: Garden;
    readonly live: readonly Entry[];
    readonly unitFormat: UnitFormat;
  },
): string | undefined {
  const day = dayOf(at);
  const empty = bags.filter(({ container }) =>
    occupantsOf(container, live, garden).every(
      (o) => o.plantedOn > day || (o.clearedOn !== undefined && o.clearedOn < day),
    ),
  );
  if (empty.length > 0) {
    const [first] = empty.length === 1 ? (empty[0]?.occupants ?? []) : [];
    const later =
      first && first.plantedOn > day ? ` It is down as planted ${shortDay(first.plantedOn)}.` : '';
    return `Nothing stood in ${empty.map(({ container }) => container.label).join(', ')} on ${shortDay(day)}.${later}`;
  }
  if (kilograms === undefined && count === undefined)
    return 'No weight and no count: it counts as picked, and how much stays unknown.';
  if (kilograms === undefined) return undefined;
  if (kilograms > MUCH_KILOGRAMS) return `${unitFormat.show(kilograms, 'crop')} at one picking is much.`;
  const [first] = bags[0]?.occupants ?? [];
  if (!first || count === undefined) return undefined;
  const usual = usualFruit(first.crop, first.variety, []).kilograms * count;
  return kilograms > MUCH_TIMES * usual
    ? `${count} ${first.crop.name.toLowerCase()} fruit usually weigh about ${unitFormat.show(usual, 'crop')}.`
    : undefined;
}
