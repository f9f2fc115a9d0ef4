/** What a grower can say was done, by the stems of its words. */
export const VERBS = [
  { kind: 'picking', pattern: /^(pick(ed|ing|s)?|harvest(ed)?|yield(ed|s)?|produced|weigh(ed)?|got|took)$/ },
  { kind: 'watering', pattern: /^(water(ed|ing|s)?|pour(ed)?|gave|drink|drank)$/ },
  { kind: 'check', pattern: /^(check(ed|s)?|felt|feel|feels|look(ed)?|lift(ed)?|found|weighs)$/ },
  { kind: 'feed', pattern: /^(fed|feed|feeding|fertili[sz]ed)$/ },
  { kind: 'note', pattern: /^(note[ds]?|remark|wrote|saw)$/ },
] as const;

/** What is said of the weather, a job, a stage, trouble, what was measured, a plant that is gone or a bag that was carried needs no verb, or has one of many. */
export type SaidKind =
  | (typeof VERBS)[number]['kind']
  | 'weather'
  | 'tended'
  | 'stage'
  | 'trouble'
  | 'gone'
  | 'moved'
  | 'height'
  | 'warmth';

/** Words that carry nothing. */
export const FILLERS: ReadonlySet<string> = new Set([
  'a',
  'an',
  'each',
  'now',
  'already',
  'still',
  'both',
  'it',
  'mine',
  'plant',
  'plants',
  'bit',
  'the',
  'of',
  'from',
  'at',
  'in',
  'on',
  'to',
  'with',
  'and',
  'but',
  'for',
  'is',
  'was',
  'were',
  'are',
  'bag',
  'bags',
  'pot',
  'pots',
  'it',
  'them',
  'i',
  'we',
  'some',
  'no',
  'number',
  'nr',
  'off',
  'into',
  'hand',
  'just',
  'again',
  'about',
  'around',
  'roughly',
  'approx',
  'circa',
  'ca',
  'nearly',
  'almost',
  'out',
  'ones',
  'when',
  'by',
  'weighing',
  'has',
  'whole',
  'scale',
  'scales',
  'probe',
]);

/** What is said of fruit that nobody weighed or counted. */
export const UNMEASURED =
  /(?<![\p{L}\d])(some|(?:a|one|two|three|several|many|\d) (?:handful|bowl|bowlful|basket|basketful|bucket|bucketful|punnet)s?|a few|a lot|lots|plenty|unweighed|not weighed|(?:did not|didn[’']?t) weigh)(?: of| it| them)?(?![\p{L}\d])/u;

/** What is said of things that are counted. */
export const FRUITS =
  /^(fruits?|toms?|tomato(es)?|peppers?|chill?ies|chilli|cucumbers?|aubergines?|eggplants?|pieces?|pcs)$/;

const OF_FRUIT =
  'of|the|its|lower|upper|top|bottom|ripe|green|red|young|old|new|split|rotten|bad|damaged|small|big|large|first';
/** "on about 4 fruits": so many of a plant's parts are no bag. */
export const COUNTED = new RegExp(
  String.raw`(?:(?:about|some|only|just|at least|over|nearly) )*(?<![\p{L}\d])\d+ (?:(?:ripe|green|red)(?= (?:ones?|on|at|in) )|of (?:them|these|those)|(?:(?:${OF_FRUIT}) )*(?:fruits?|tomato(?:es)?|peppers?|chill?ies|cucumbers?|aubergines?|leaf|leaves|shoots?|flowers?|truss(?:es)?|spots?|branch(?:es)?|slugs?|snails?|caterpillars?))(?!\p{L})`,
  'u',
);

/** How a finger finds the mix, from the driest grade to the wettest: their names and what else people say. */
export const FINGER_WORDS: readonly (readonly string[])[] = [
  ['dust-dry', 'dust dry', 'dusty', 'bone-dry', 'bone dry', 'dead dry', 'stone dry', 'very dry', 'parched'],
  ['dry', 'drying out', 'dryish'],
  ['barely damp', 'damp', 'nearly dry', 'almost dry'],
  ['moist'],
  [
    'wet',
    'soaking',
    'soaking wet',
    'soggy',
    'sodden',
    'waterlogged',
    'dripping',
    'drenched',
    'saturated',
    'very moist',
    'very wet',
  ],
];

export const LIFT_WORDS: readonly (readonly string[])[] = [['light'], ['middling', 'medium'], ['heavy']];

export const WILTED = ['wilted', 'wilting', 'limp', 'drooping', 'hanging'];

export const TOGETHER =
  /\b(in all|in total|altogether|together|all told|(?:shared|split|divided) (?:between|among|over)|shared|between them|between|among)\b/;

export const WEEKDAYS = [
  'monday',
  'tuesday',
  'wednesday',
  'thursday',
  'friday',
  'saturday',
  'sunday',
] as const;

/** Hours of the day that have a name. */
export const HOURS: Readonly<Record<string, number>> = {
  dawn: 5,
  breakfast: 8,
  morning: 8,
  lunchtime: 12,
  lunch: 12,
  noon: 12,
  midday: 12,
  afternoon: 15,
  teatime: 17,
  dinner: 18,
  evening: 18,
  dusk: 21,
  night: 21,
};
