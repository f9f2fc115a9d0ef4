import type { Draft } from '../records/index.ts';
import type { CommandContext } from './command.ts';
import type { NamedBag } from './which-bags.ts';

/** One plant of several in a bag, by its number there. */
interface OnePlant {
  /** with the bag in its place */
  readonly text: string;
  readonly plantId: string;
  /** in which nothing else stands in that bag */
  readonly context: CommandContext;
  /** an entry as of this plant, where its kind can be of one */
  of(draft: Draft): Draft;
}

const PLANT = String.raw`(?<![\p{L}\d])(?:the )?plant (?:no\.? ?|number |nr\.? ?)?(\d{1,2})(?![\p{L}\d]|[.,]\d)`;
/** Where there is but one bag it need not be named; "plant 2 and 3" are two. */
const IN_THE_ONE = new RegExp(String.raw`${PLANT}(?!,? ?(?:and|&|to|-|–|,) ?\d)`, 'iu');
const IN_A_BAG = new RegExp(String.raw`${PLANT} (?:in|of|from|at) (?:bag |pot )?([\p{L}\d]+)`, 'iu');
const OF_A_PLANT: ReadonlySet<Draft['kind']> = new Set([
  'stage',
  'picking',
  'tended',
  'trouble',
  'note',
  'sprayed',
]);

/** The plant that a text names by its number: "plant 2 in 3", and "plant 2" where there is but one bag; undefined: it names none so. */
export function onePlant(text: string, context: CommandContext): OnePlant | undefined {
  const { bags } = context;
  const named = IN_A_BAG.exec(text);
  const only = bags.all.length === 1 ? bags.all[0] : undefined;
  const inBag = named && bags.all.find(({ label }) => label.toLowerCase() === named[2]?.toLowerCase());
  // a note keeps its words as they are
  const found = inBag ? named : only && !/(?<!\p{L})note/iu.test(text) && IN_THE_ONE.exec(text);
  const bag = inBag ?? only;
  const plants = bag?.plants ?? [];
  const number = found ? Number(found[1]) : undefined;
  const plant = plants.find((each) => each.number !== undefined && each.number === number);
  if (!bag || !found || !plant || plants.length < 2) return undefined;
  const alone = { ...bag, plants: [plant] };
  const narrowed = (each: NamedBag): NamedBag => (each.containerId === bag.containerId ? alone : each);
  const { stationId, plantId } = plant;
  return {
    text: text.replace(found[0], inBag ? bag.label : 'it'),
    plantId,
    context: {
      ...context,
      bags: {
        all: bags.all.map(narrowed),
        called: bags.called.map((name) => ({ ...name, bags: name.bags.map(narrowed) })),
      },
    },
    of: (draft) =>
      draft.kind === 'check'
        ? ({ ...draft, stationId } as Draft)
        : OF_A_PLANT.has(draft.kind)
          ? ({ ...draft, stationId, plantId } as Draft)
          : draft,
  };
}
