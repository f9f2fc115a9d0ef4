import type { SprayAgent } from '../records/index.ts';
import { phrase } from './at-bags.ts';
import { unfinished, type CommandContext, type CommandReading } from './command.ts';
import { amountsIn } from './dosed.ts';
import { readFeed } from './feed.ts';
import { leftover, noBag } from './leftover.ts';
import { causeIn } from './trouble.ts';
import { readWhen } from './when.ts';
import { readBags } from './which-bags.ts';

const BAIT = '(?:slug )?(?:pellets|baits?)';
const DID = phrase('sprayed|dusted|misted|(?:put|spread|scattered|laid)(?: down| out)?(?: some)?');
const SPRAYED = phrase(
  `sprayed|dusted|misted|(?:put|spread|scattered|laid)(?: down| out)?(?: some)? ${BAIT}|(?<!(?:no|more|need|needs|some) (?:slug )?)${BAIT}(?= (?:on|at|in|around|round) )`,
);

/** What growers call what they put on or out, the rarer first: plain water is in most of the others. */
const AGENTS: readonly { readonly agent: SprayAgent; readonly pattern: RegExp }[] = [
  { agent: 'bait', pattern: phrase(BAIT) },
  { agent: 'soap', pattern: phrase('(?:insecticidal |soft |plant |potassium )?soap(?:y water| spray)?') },
  { agent: 'oil', pattern: phrase('(?:neem|plant|horticultural|rape(?:seed)?|winter)(?: oil)?|oil') },
  { agent: 'sulphur', pattern: phrase('(?:wettable )?sul(?:ph|f)ur') },
  { agent: 'water', pattern: phrase('(?:plain |cold |a jet of |just )*water') },
];
const ONE_LEAF = phrase(
  '(?:on |to )?(?:one|a|1|a single|a few) (?:test )?lea(?:f|ves)(?: as a test| to try(?: it)?)?|test leaf',
);
const WHOLE = phrase(
  '(?:the )?whole plants?|all over|(?:both|the under) ?sides?(?: of (?:the )?leaves)?|(?:the )?leaves',
);
/** What stands between the words that say something. */
const BETWEEN =
  /(?<!\p{L})(?:against|for|with|around|round|solution|spray|mixed|diluted|them|it|once|twice|again|well|thoroughly|per)(?!\p{L})/gu;
/** "2 g per litre", "20 ml to the gallon" */
const PER = / ?(?:per|to the|to a|to each|\/) ?(?=(?:l|litres?|liters?|gal|gallons?)(?!\p{L}))/u;

export const isSprayed = (text: string): boolean => SPRAYED.test(text);

/**
 * Reads that something was sprayed or put out: "sprayed 7 against aphids with soap, 20 ml in 1 l", "slug pellets around 3 and 4". A feed
 * that was sprayed is a feed. What its label wants is left to its form.
 *
 * @param said in small letters
 * @param text as it was written
 */
export function readSpray(said: string, text: string, context: CommandContext): CommandReading {
  const { bags, now } = context;
  const given = said.replace(DID, ' ').replace(PER, ' in 1 ');
  const when = readWhen(
    given,
    now,
    bags.all.map(({ label }) => label),
  );
  const cause = causeIn(when.rest);
  const amounts = amountsIn(cause?.rest ?? when.rest, context);
  if ('problem' in amounts) return unfinished(amounts.problem);
  const { water, amount } = amounts;
  const [found, second] = AGENTS.filter(({ pattern }) => pattern.test(amounts.rest));
  if (second && second.agent !== 'water')
    return unfinished('These are two: say them one after another, each with its bag.');
  if (!found) {
    const feed = readFeed(given.replace(WHOLE, ' '), context);
    if (feed.kind === 'feed' && feed.feed.productId !== undefined)
      return { kind: 'feed', feed: { ...feed.feed, isOnLeaves: true } };
  }
  const rest = [found?.pattern, ONE_LEAF, WHOLE, BETWEEN].reduce(
    (left: string, pattern) => (pattern ? left.replace(pattern, ' ') : left),
    amounts.rest,
  );
  const named = readBags(rest, bags, said);
  const meant = named.bags.length === 0 && bags.all.length === 1 ? bags.all : named.bags;
  if (meant.length === 0) return unfinished(noBag(named.rest, bags.all));
  const over = leftover(named.rest, text) ?? '';
  const agent = found?.agent ?? (/^misted/u.test(said.trim()) && over === '' ? 'water' : undefined);
  return {
    kind: 'spray',
    spray: {
      bags: meant,
      agent,
      // what it is called, or what else is to be said of soap
      ...(agent === undefined ? { name: over, note: '' } : { name: '', note: over }),
      extent: ONE_LEAF.test(said) ? 'test-leaf' : 'whole',
      against: cause?.id,
      water,
      amount,
      at: when.isSaid ? when.at : undefined,
    },
  };
}
