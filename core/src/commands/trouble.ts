import { addDays, dayOf } from '../calendar/index.ts';
import { CAUSES, type Cause } from '../care/index.ts';
import { phrase, readAtBags } from './at-bags.ts';
import { unfinished, type CommandContext, type CommandReading } from './command.ts';
import { COUNTED } from './words.ts';

/** What growers call what they see; where a word fits several causes, its form asks. */
const CALLED: Readonly<Record<string, string>> = {
  blight: 'blight',
  'leaf-spot': 'leaf spots?',
  mildew: '(?:powdery )?mildew',
  'grey-mould': 'gr[ea]y mou?ld|botrytis',
  virus: 'virus|mosaic',
  splits: '(?:fruits?|tomato(?:es)?) (?:are |is )?split(?:ting)?|split(?:ting)? (?:fruits?|tomato(?:es)?)',
  'end-rot': '(?:blossom[- ]?)?end rot',
  'sun-scald': 'sun ?scald',
  mites: '(?:red )?spider ?mites?|red spiders?|mites?',
  'sap-suckers': 'aphids?|green ?fl(?:y|ies)|black ?fl(?:y|ies)|white ?fl(?:y|ies)|sap suckers?',
  chewers: 'slugs?|snails?|caterpillars?|hornworms?',
  gnats: '(?:fungus )?gnats?',
  'root-rot': 'root rot|rotting roots',
  'green-film': 'green film',
};

const KNOWN: readonly { readonly cause: Cause; readonly pattern: RegExp }[] = CAUSES.flatMap((cause) => {
  const words = CALLED[cause.id];
  return words === undefined ? [] : [{ cause, pattern: phrase(words) }];
});
/** What was there and is not any more is said of a case, and not of a bag. */
const GONE = phrase('no|no more|gone|over|cleared up|without|free of');

/** What is put out against it is no trouble. */
const AGAINST = phrase('pellets?|bait|traps?|spray(?:ed)?|soap|netting');

/** The cause that a text names, and the text without it. */
export function causeIn(text: string): { readonly id: string; readonly rest: string } | undefined {
  const found = KNOWN.find(({ pattern }) => pattern.test(text));
  return found && { id: found.cause.id, rest: text.replace(found.pattern, ' ') };
}

/** Whether a text says that trouble was seen. */
export const isTrouble = (text: string): boolean =>
  !AGAINST.test(text) && KNOWN.some(({ pattern }) => pattern.test(text));

/**
 * Reads trouble that was seen, by what the grower takes it for: "aphids on 7", "blight on the terrace". It is looked at again when
 * its kind wants it.
 *
 * @param said in small letters
 * @param text as it was written
 */
export function readTrouble(said: string, text: string, context: CommandContext): CommandReading {
  const found = KNOWN.find(({ pattern }) => pattern.test(said));
  if (!found) return { kind: 'other' };
  if (GONE.test(said))
    return unfinished('That it is over is said where it stands: at the bag, under Trouble, “Look again”.');
  const { cause, pattern } = found;
  const [counted] = COUNTED.exec(said) ?? [];
  const rest = said.replace(COUNTED, ' ').replace(pattern, ' ');
  return readAtBags('trouble', { rest, said, text }, context, (base) => ({
    kind: 'trouble',
    ...base,
    ...(counted === undefined ? {} : { note: [counted, base.note].filter(Boolean).join(', ') }),
    what: cause.id,
    livesInMix: cause.livesInMix,
    checkOn: addDays(dayOf(base.at), cause.lookAgainDays),
  }));
}
