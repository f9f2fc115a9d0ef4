import type { LeavingReason } from '../records/index.ts';
import { phrase, readAtBags } from './at-bags.ts';
import type { CommandContext, CommandReading } from './command.ts';
import { without } from './leftover.ts';
import { readBags, type NamedBag } from './which-bags.ts';

/** What growers say of plants that stand no longer. */
const GONE: readonly (readonly [LeavingReason, RegExp])[] = [
  [
    'died',
    phrase(
      '(?:has |have )?died|(?:is|are|was|were) dead(?! dry)|(?:stone )?dead(?! (?:dry|leaf|leaves|flowers?|shoots?|tips?))',
    ),
  ],
  ['stolen', phrase('(?:was |were |got |has been |have been )?stolen')],
  ['given-away', phrase('(?:gave|given) away')],
  ['finished', phrase('(?:is |are )?finished|uprooted|pulled (?:up|out)')],
];
/** "gave 5 away" */
const GAVE_AWAY = /(?<!\p{L})gave (.+?) away(?!\p{L})/u;
/** Every plant of a bag. */
const ALL_OF_THEM =
  /\b(?:all|both)(?: of)?(?: the)?(?: plants)?(?= in\b| of\b| at\b)|\b(?:all|both)? ?(?:the )?plants\b/;

/** Of what was picked, and no plant. */
const FRUIT_AWAY =
  /(?<!\p{L})gave (?:(?:about|the) )*(?:half|some|most|the rest|a few|a bag|a bowl|\d[\d.,/]* ?(?:g|kg|lb|lbs|oz|fruits?|tomato(?:es)?)|(?:\p{L}+ )?pounds?)(?: of (?:it|them))? away(?!\p{L})/u;
export const isFruitGiven = (text: string): boolean => FRUIT_AWAY.test(text);
const inOrder = (text: string) => text.replace(FRUIT_AWAY, ' ').replace(GAVE_AWAY, 'gave away $1');

/** Whether a text says that a plant stands no longer. */
export const isGone = (text: string): boolean => GONE.some(([, pattern]) => pattern.test(inOrder(text)));

/**
 * Reads that plants stand no longer: "5 died", "gave 7 away", "both plants in 12 died of frost". Of several in one bag it must be
 * said which, by its name or its variety.
 *
 * @param said in small letters
 * @param text as it was written
 */
export function readGone(said: string, text: string, context: CommandContext): CommandReading {
  const found = GONE.find(([, pattern]) => pattern.test(inOrder(said)));
  if (!found) return { kind: 'other' };
  const [why, pattern] = found;
  const isAll = ALL_OF_THEM.test(said);
  const rest = inOrder(said)
    .replace(pattern, ' ')
    .replace(isAll ? ALL_OF_THEM : /^$/, ' ')
    .replace(/\bplants?\b/g, ' ');
  const reading = readAtBags(
    'gone',
    { rest: atBagsOnly(rest, context), said, text },
    context,
    (base, bag) => {
      const plants = isAll ? (bag.plants ?? []) : plantsMeant(bag, said);
      if (plants.length === 0) return `No plant stands in bag ${bag.label}.`;
      if (plants.length > 1 && !isAll)
        return `There are ${plants.length} plants in bag ${bag.label}. All of them is “all in ${bag.label}”; one is said by its name, or at the plant on the bag’s page.`;
      return plants.map(({ stationId, plantId }) => ({
        kind: 'cleared',
        ...base,
        stationId,
        plantId,
        ...(why === 'finished' ? {} : { why }),
      }));
    },
  );
  // "finished weeding by 7", "pulled out the tags at 7" are of something else
  const isOther = why === 'finished' && reading.kind === 'command' && reading.commands[0].note !== undefined;
  return isOther ? { kind: 'other' } : reading;
}

/** Where a bag is named as well, "Ada in 4" is of that one, and not of all in which there is an Ada. */
function atBagsOnly(rest: string, { bags }: CommandContext): string {
  const names = bags.all.flatMap((bag) => bag.names);
  const bare = names.reduce((text, name) => without(text, name.toLowerCase().replace(SPECIAL, '\\$&')), rest);
  return readBags(bare, bags).bags.length > 0 ? bare : rest;
}
const SPECIAL = /[.*+?^${}()|[\]\\]/g;

/** The plants of a bag that a text can mean: those that it names, else all. */
export function plantsMeant({ plants = [] }: NamedBag, said: string): NonNullable<NamedBag['plants']> {
  const named = plants.filter(({ names }) => names.some((name) => said.includes(name.toLowerCase())));
  return named.length > 0 ? named : plants;
}
