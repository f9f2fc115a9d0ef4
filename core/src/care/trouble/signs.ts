/** Where on a plant or its bag something is seen. */
export type Part = 'leaves' | 'plant' | 'stem' | 'flowers' | 'fruit' | 'mix';

/** One thing that can be seen, or looked for and not found. */
export interface Sign {
  readonly id: string;
  readonly part: Part;
  /** as a person would say it */
  readonly name: string;
  /** what it says of the rest: what it looks like, where it is, how it goes on */
  readonly about: 'look' | 'where' | 'course';
  /** chance that it is seen where the cause has nothing to do with it */
  readonly usual: number;
  /** how readily it is looked at: 1 at a glance; less where a root ball must be tipped out or a stem cut */
  readonly ease: number;
  /** the question by which it is asked for afterwards */
  readonly question: string;
  /** signs that cannot be seen together with it */
  readonly excludes?: readonly string[];
}

const look = (
  part: Part,
  id: string,
  usual: number,
  name: string,
  question: string,
  ease = 1,
  excludes: readonly string[] = [],
): Sign => ({ id, part, name, about: 'look', usual, ease, question, excludes });

/** Every sign, in the order in which they are shown. Ids are part of the file format and never change. */
export const SIGNS: readonly Sign[] = [
  look('leaves', 'edges-brown', 0.05, 'brown, dry edges', 'Are edges of leaves brown and dry?'),
  look(
    'leaves',
    'between-veins-yellow',
    0.02,
    'yellow between green veins',
    'Is it yellow between veins that stay green?',
  ),
  look(
    'leaves',
    'all-yellow',
    0.05,
    'whole leaf pale or yellow',
    'Is the whole leaf pale or yellow, veins too?',
  ),
  look('leaves', 'bleached', 0.02, 'pale, papery patches', 'Are there pale patches like paper?'),
  look(
    'leaves',
    'spots',
    0.02,
    'small dark spots, some with rings',
    'Are there small dark spots, some with rings?',
  ),
  look(
    'leaves',
    'blotches',
    0.008,
    'large dark, wet-looking blotches',
    'Are there large dark blotches that look wet, with a pale rim?',
  ),
  look('leaves', 'powder', 0.004, 'white powder that wipes off', 'Is there white powder that wipes off?'),
  look('leaves', 'grey-fur', 0.004, 'grey fur', 'Is there grey fur, as on old bread?'),
  look('leaves', 'specks', 0.01, 'fine pale specks', 'Are there fine pale specks, like dust in the leaf?'),
  look(
    'leaves',
    'webs',
    0.004,
    'fine webs underneath',
    'Turn a leaf over: are there fine webs, or dots that move?',
    0.95,
  ),
  look(
    'leaves',
    'insects',
    0.015,
    'small insects, or sticky leaves',
    'Turn a leaf over: small insects, or is it sticky?',
    0.95,
  ),
  look('leaves', 'holes', 0.02, 'holes, or bitten edges', 'Are there holes, or bitten edges?'),
  look('leaves', 'rolled-up', 0.03, 'edges rolled up', 'Are edges rolled upwards, the leaf green and stiff?'),
  look('leaves', 'drooping', 0.05, 'hanging, curled down', 'Do leaves hang and curl down?'),
  look('leaves', 'mosaic', 0.005, 'light and dark patchwork', 'Is it a patchwork of light and dark green?'),
  look(
    'leaves',
    'ferny',
    0.004,
    'twisted, narrow as a fern',
    'Are young leaves twisted and narrow, as a fern?',
  ),
  look('leaves', 'purple', 0.03, 'purplish underneath', 'Are undersides or veins purplish?'),
  look('leaves', 'dark-lush', 0.02, 'dark, thick, curling tops', 'Are top leaves dark, thick and curling?'),
  look('leaves', 'tips-burnt', 0.02, 'burnt tips', 'Are just the tips burnt?'),
  {
    id: 'on-low',
    part: 'leaves',
    name: 'on the lower, older leaves',
    about: 'where',
    usual: 0.35,
    ease: 1,
    question: 'Is it on the lower, older leaves?',
  },
  {
    id: 'on-top',
    part: 'leaves',
    name: 'on the top, young leaves',
    about: 'where',
    usual: 0.3,
    ease: 1,
    question: 'Is it on the top, young leaves?',
  },
  {
    id: 'on-sunny-side',
    part: 'leaves',
    name: 'on the side to the sun',
    about: 'where',
    usual: 0.12,
    ease: 1,
    question: 'Is it mostly on the side to the sun?',
  },
  look('plant', 'wilts-dry', 0.03, 'hangs, and the mix is dry', 'Does it hang while the mix is dry?', 1, [
    'wilts-wet',
  ]),
  look(
    'plant',
    'wilts-wet',
    0.015,
    'hangs, though the mix is wet',
    'Does it hang though the mix is wet?',
    1,
    ['wilts-dry'],
  ),
  look('plant', 'wilts-one-side', 0.008, 'one side or branch hangs', 'Does only one side or branch hang?'),
  look(
    'plant',
    'wilts-noon',
    0.03,
    'hangs at noon, up by evening',
    'Does it hang at noon and stand again by evening?',
  ),
  look('plant', 'stalled', 0.05, 'has stopped growing', 'Has it stopped growing?'),
  look(
    'stem',
    'stem-streaks',
    0.004,
    'brown streaks inside',
    'Cut a side branch off: is the wood brown inside?',
    0.45,
  ),
  look('stem', 'stem-patches', 0.012, 'dark patches on the stem', 'Are there dark patches on the stem?'),
  look(
    'stem',
    'stem-base',
    0.012,
    'foot brown, soft or pinched',
    'Is the foot of the stem brown, soft or pinched?',
    0.9,
  ),
  look('flowers', 'flowers-drop', 0.03, 'flowers drop off', 'Do flowers drop off whole?'),
  look('flowers', 'flowers-dry', 0.03, 'flowers dry up on the plant', 'Do flowers dry up where they are?'),
  look('fruit', 'dark-end', 0.006, 'dark, sunken end', 'Is the end away from the stalk dark and sunken?'),
  look('fruit', 'cracks', 0.01, 'cracked or split', 'Is fruit cracked or split?'),
  look(
    'fruit',
    'pale-patch',
    0.006,
    'pale patch to the sun',
    'Is there a pale, thin patch on the side to the sun?',
  ),
  look('fruit', 'brown-firm', 0.008, 'brown, firm blotches', 'Are there brown, firm blotches?'),
  look('fruit', 'fruit-holes', 0.01, 'holes in it', 'Are there holes in the fruit?'),
  look('mix', 'green-film', 0.015, 'green film on top', 'Is there a green film on the mix?'),
  look(
    'mix',
    'small-flies',
    0.012,
    'small flies when touched',
    'Do small dark flies rise when the mix is touched?',
  ),
  look(
    'mix',
    'white-threads',
    0.008,
    'white threads or toadstools',
    'Are there white threads or toadstools on the mix?',
  ),
  look('mix', 'smells', 0.01, 'smells foul', 'Smell a pinch from a finger deep: foul?', 0.9),
  look(
    'mix',
    'roots-brown',
    0.015,
    'roots brown and soft',
    'Look at roots by the wall or a hole: brown and soft?',
    0.6,
    ['roots-white'],
  ),
  look(
    'mix',
    'roots-coiled',
    0.04,
    'roots coiled round the wall',
    'Are roots coiled round and round at the wall?',
    0.6,
  ),
  {
    id: 'roots-white',
    part: 'mix',
    name: 'roots white and firm',
    about: 'look',
    usual: 0.45,
    ease: 0.6,
    question: 'Look at roots by the wall or a hole: white and firm?',
    excludes: ['roots-brown'],
  },
  {
    id: 'few',
    part: 'plant',
    name: 'on a leaf or two',
    about: 'course',
    usual: 0.5,
    ease: 1,
    question: 'Is it on a leaf or two only?',
    excludes: ['most'],
  },
  {
    id: 'most',
    part: 'plant',
    name: 'on most of the plant',
    about: 'course',
    usual: 0.25,
    ease: 1,
    question: 'Is it on most of the plant?',
    excludes: ['few'],
  },
  {
    id: 'spreading',
    part: 'plant',
    name: 'more of it every day',
    about: 'course',
    usual: 0.3,
    ease: 0.9,
    question: 'Is there more of it than two days ago?',
    excludes: ['stood-still'],
  },
  {
    id: 'stood-still',
    part: 'plant',
    name: 'it has stood still',
    about: 'course',
    usual: 0.4,
    ease: 0.9,
    question: 'Has it stood still for some days?',
    excludes: ['spreading'],
  },
  {
    id: 'clean-growth',
    part: 'plant',
    name: 'new leaves are clean',
    about: 'course',
    usual: 0.5,
    ease: 0.95,
    question: 'Are the newest leaves clean and healthy?',
    excludes: ['bad-growth'],
  },
  {
    id: 'bad-growth',
    part: 'plant',
    name: 'new leaves have it too',
    about: 'course',
    usual: 0.3,
    ease: 0.95,
    question: 'Have the newest leaves got it too?',
    excludes: ['clean-growth'],
  },
];

const BY_ID = new Map(SIGNS.map((sign) => [sign.id, sign]));

/** A sign by its id; undefined for one that this version does not know. */
export function findSign(id: string): Sign | undefined {
  return BY_ID.get(id);
}

/** Pairs of what was marked that cannot be seen together. */
export function contradictionsIn(seen: readonly string[]): readonly (readonly [string, string])[] {
  return seen.flatMap((id, i) =>
    (findSign(id)?.excludes ?? [])
      .filter((other) => seen.indexOf(other) > i)
      .map((other) => [id, other] as const),
  );
}
