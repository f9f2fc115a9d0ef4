import { phrase, readAtBags } from './at-bags.ts';
import { unfinished, type CommandContext, type CommandReading } from './command.ts';

const MOVED = phrase('moved|carried|brought|shifted');
const WHERE_TO = /(?<!\p{L})(?:back |out |in |over )*(?:to|into|onto|under) (?:the |my )?(?!bag|pot)/u;

const FROM_TO = /(?<!\p{L})from (?:bag |pot )?[\p{L}\d]+ (?:in)?to /u;

/** A place that is called "Outside the door" wants no word before it. */
const NOT_FROM = /(?<!\bfrom )(?<!\bfrom the )(?<![\p{L}\d])(?:back )?/u;

/** Whether a text may say that a bag was carried somewhere. */
export const isMoved = (text: string): boolean => MOVED.test(text);

/**
 * Reads that bags were carried to another place: "moved 3 and 4 to the glass house yesterday".
 *
 * @param said in small letters
 * @param text as it was written
 */
export function readMoved(said: string, text: string, context: CommandContext): CommandReading {
  const { places } = context;
  const calls = placeCalls(places);
  const behind = (where: RegExp) =>
    calls
      .map((call) => ({ ...call, at: new RegExp(`${where.source}${call.pattern}`, 'u').exec(said) }))
      .find(({ at }) => at !== null);
  const to = behind(WHERE_TO) ?? behind(NOT_FROM);
  if (!to?.at && !WHERE_TO.test(said)) return { kind: 'other' };
  if (!to?.at && FROM_TO.test(said))
    return unfinished(
      'A plant goes from one bag to another at the plant: on its bag’s page, “Move it to another bag”. A bag goes to a place.',
    );
  if (!to?.at)
    return unfinished(
      places.length < 2
        ? 'There is no other place yet; one is added on the Bags page.'
        : `Where to? The places here are ${places.map(({ name }) => name).join(', ')}.`,
    );
  const rest = said.replace(to.at[0], ' ').replace(MOVED, ' ');
  return readAtBags('moved', { rest, said, text }, context, (base, bag) =>
    bag.placeId === undefined || bag.placeId === to.id
      ? `Bag ${bag.label} stands there already.`
      : { kind: 'moved', ...base, fromPlaceId: bag.placeId, toPlaceId: to.id },
  );
}

/** A shorter word may be any. */
const SHORTEST_WORD = 4;

/** How places can be called: by their names, and by a word that is in no other's; the longest first. */
function placeCalls(
  places: CommandContext['places'],
): readonly { readonly id: string; readonly pattern: string }[] {
  const wordsOf = (name: string) =>
    name
      .toLowerCase()
      .split(/[^\p{L}\d]+/u)
      .filter((word) => word.length >= SHORTEST_WORD);
  const all = places.flatMap(({ name }) => [...new Set(wordsOf(name))]);
  return places
    .flatMap(({ id, name }) => {
      const own = wordsOf(name).filter((word) => all.filter((other) => other === word).length === 1);
      return [name.toLowerCase(), ...own].map((call) => ({ id, call }));
    })
    .sort((a, b) => b.call.length - a.call.length)
    .map(({ id, call }) => ({
      id,
      pattern: `${call.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}(?![\\p{L}\\d])`,
    }));
}
