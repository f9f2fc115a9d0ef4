import { amountIn, NUMBER } from './amounts.ts';
import { phrase, readAtBags } from './at-bags.ts';
import { unfinished, type CommandContext, type CommandReading } from './command.ts';
import { plantsMeant } from './gone.ts';

const LENGTH = String.raw`${NUMBER} ?(?:cm|centimet(?:re|er)s?|m|met(?:re|er)s?|ft|feet|foot|inches|inch|in|'|"|’|”)(?![\p{L}\d])`;
/** "3 ft 4": the smaller unit goes without saying where no more is said of it */
const BARE = String.raw`(?<=(?:m|ft|feet|foot|'|’) ?)\d+(?:[.,]\d+|[¼½¾])?(?= ?(?:[.,;!?]|tall|high|now|$))`;
const LENGTHS = String.raw`${LENGTH}(?: ?(?:and )?${LENGTH}| ?${BARE})?`;
const HEIGHT = new RegExp(String.raw`(?<![\p{L}\d.,/])${LENGTHS}`, 'u');
const TALL = phrase(
  'tall|height(?: of)?|high|(?:has |have )?gr[eo]wn?(?: up)?(?: to)?|reached|measures|measured',
);
/** "2 now 50 cm": nothing else of a plant is told as so many centimetres. */
const NOW = new RegExp(
  String.raw`(?<!\p{L})(?:(?:is|are)(?: now| already| at| about)*|now(?: is| at| about)*|(?<=^[\p{L}\d]{1,8}) ?[:=]) ?:?(?=${LENGTHS}[.!]?$)`,
  'u',
);
/** What else at a bag is so long or so wide. */
const OF_ELSE =
  /(?<!\p{L})(?:cane|stake|string|cage|net|trellis|support|frame|hole|bag|pot|mix|water|level|leaf|leaves|root)s?(?!\p{L})/u;
const DEGREES = new RegExp(
  String.raw`(?<![\p{L}\d.,/])[-−–]?${NUMBER} ?(?:(?:°|º|degrees?|deg) ?(?:c|f|celsius|fahrenheit)?|c|f|celsius|fahrenheit)(?![\p{L}\d])`,
  'u',
);
const MIX = phrase('(?:the )?(?:mix|soil|compost|root(?:s| ball)?)(?: temperature| is| was| at| in| of)*');

/** Whether a text says how tall a plant is. */
export const isHeight = (text: string): boolean =>
  HEIGHT.test(text) && (TALL.test(text) || (NOW.test(text) && !OF_ELSE.test(text)));

/** Whether a text says how warm the mix of a bag is. */
export const isMixWarmth = (text: string): boolean => MIX.test(text) && DEGREES.test(text);

/**
 * Reads how tall plants are: "7 is 80 cm tall", "height of 7: 2 ft 8 in", "7 grew to 1.2 m", "7 now 50 cm". Of several in one bag it must be said
 * which, by its name.
 *
 * @param said in small letters
 * @param text as it was written
 */
export function readHeight(said: string, text: string, context: CommandContext): CommandReading {
  const [length = ''] = HEIGHT.exec(said) ?? [];
  const heightMillimetres = Math.round(amountIn(length, 'height', context.system) ?? NaN);
  if (!(heightMillimetres >= 10 && heightMillimetres <= 5000))
    return unfinished('How tall is it, as “7 is 80 cm tall”?');
  const rest = said.replace(NOW, ' ').replace(length, ' ').replace(TALL, ' ');
  const reading = readAtBags('height', { rest, said, text }, context, (base, bag) => {
    const plants = plantsMeant(bag, said);
    const [plant] = plants;
    if (!plant) return `No plant stands in bag ${bag.label}.`;
    if (plants.length > 1)
      return `There are ${plants.length} plants in bag ${bag.label}: one is said by its name, or measured at the plant on the bag’s page.`;
    const { stationId, plantId } = plant;
    return { kind: 'height', ...base, stationId, plantId, heightMillimetres, asEntered: length.trim() };
  });
  // "the gap at 7 is 5 cm" is of something else
  const isOther = !TALL.test(said) && reading.kind === 'command' && reading.commands[0].note !== undefined;
  return isOther ? { kind: 'other' } : reading;
}

/**
 * Reads how warm the mix is: "mix of 7 18 degrees", "soil in 3 and 4 is 64 F".
 *
 * @param said in small letters
 * @param text as it was written
 */
export function readMixWarmth(said: string, text: string, context: CommandContext): CommandReading {
  const [warmth = ''] = DEGREES.exec(said) ?? [];
  const mixCelsius = amountIn(warmth, 'temperature', context.system) ?? NaN;
  if (!(mixCelsius >= -10 && mixCelsius <= 60))
    return unfinished('How warm is the mix, as “mix of 7 18 degrees”?');
  const rest = said.replace(warmth, ' ').replace(MIX, ' ');
  return readAtBags('warmth', { rest, said, text }, context, (base) => ({
    kind: 'warmth',
    ...base,
    mixCelsius,
  }));
}
