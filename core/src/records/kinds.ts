/**
 * Kinds that records and entries name. Their ids are part of the file format and never change. They stand apart from the schemas that
 * allow them: a page that names a kind checks no rows.
 */

/** Every kind of record, in the order in which files and databases have them. */
export const RECORD_TABLES = [
  'places',
  'containers',
  'varieties',
  'batches',
  'plants',
  'measures',
  'mixes',
  'products',
  'packs',
  'templates',
  'plans',
  'regimes',
  'tanks',
  'trials',
] as const;
export type TableName = (typeof RECORD_TABLES)[number];

/** How a plant goes into a bag. */
export const PLANTING_METHOD_IDS = [
  'upright',
  'trench',
  'collar',
  'ring',
  'low-start',
  'net-cup',
  'seed',
] as const;
export type PlantingMethodId = (typeof PLANTING_METHOD_IDS)[number];

/** What holds plants up. */
export const SUPPORT_KINDS = [
  'none',
  'stake',
  'string',
  'cage',
  'canes',
  'triangle',
  'tower',
  'two-cages',
  'frame',
  'planter-frame',
] as const;
export type SupportKindId = (typeof SUPPORT_KINDS)[number];

/** What supports are made of, as things that a grower owns by length and number. */
export const SUPPORT_THINGS = ['cane', 'stake', 'cage', 'tower', 'frame'] as const;
export type SupportThing = (typeof SUPPORT_THINGS)[number];

/**
 * Plants beside the crop: companion flowers and herbs, and passing tenants such as salad until the crop is large. They take up water
 * and feed from the same bag; all figures are *assumed*, by how much ground they shade.
 */
export const PRESENT_COMPANIONS = ['small', 'middling', 'large'] as const;
export const COMPANION_SIZES = ['none', ...PRESENT_COMPANIONS] as const;
export type CompanionSize = (typeof COMPANION_SIZES)[number];

/**
 * What a plant does for the first time, in the order in which it comes: up through the mix, roots down to the base or the water
 * below, first flowers, first truss set, first fruit ripe, the last of a flush that is coming to its end.
 */
export const STAGES = ['up', 'rooted', 'flowers', 'set', 'ripe', 'last-flush'] as const;
export type Stage = (typeof STAGES)[number];

/** Why a plant left its station. */
export const LEAVING_REASONS = [
  'finished',
  'died',
  'replaced',
  'moved',
  'given-away',
  'stolen',
  'other',
] as const;
export type LeavingReason = (typeof LEAVING_REASONS)[number];

/** How long a variety bears: all at once, or from its first fruit to the end of the season. */
export const BEARINGS = ['one-flush', 'all-season'] as const;
export type Bearing = (typeof BEARINGS)[number];

/** Why a smaller bag than usual will do: a short, late crop; picked green; it must be carried. */
export const SIZE_EXCEPTIONS = ['short-late', 'picked-green', 'carried'] as const;
export type SizeException = (typeof SIZE_EXCEPTIONS)[number];

/** What winter and summer are like at a place, in words that a grower can choose from. */
export const SEASONS_IDS = ['sea', 'between', 'inland', 'hot-dry', 'hot-humid', 'high'] as const;
export type SeasonsId = (typeof SEASONS_IDS)[number];

/** How the plants of a bag are trained. */
export const TRAINING_FORM_IDS = [
  'one-leader',
  'two-leaders',
  'bush',
  'dwarf',
  'pepper',
  'aubergine',
  'cucumber-string',
  'cucumber-sprawl',
  'left',
] as const;
export type TrainingFormId = (typeof TRAINING_FORM_IDS)[number];

/** How far a truss has come: in flower, fruit set on it, all of it picked. */
export const TRUSS_STAGES = ['flowering', 'set', 'picked'] as const;
export type TrussStage = (typeof TRUSS_STAGES)[number];

/** What weather a place can be warned of. */
export const ALERT_KINDS = ['frost', 'cold', 'hot', 'heat-wave', 'swing', 'wind'] as const;
export type AlertKind = (typeof ALERT_KINDS)[number];

/** What is sprayed or put out, by kind; what it is called and how it is used stands on its label. */
export const SPRAY_AGENTS = ['soap', 'oil', 'sulphur', 'other', 'water', 'bait'] as const;
export type SprayAgent = (typeof SPRAY_AGENTS)[number];

/** What came of something that was seen or sprayed, when it was looked at again. */
export const OUTCOMES = ['better', 'same', 'worse', 'over', 'leaf-clean', 'leaf-marked'] as const;
export type Outcome = (typeof OUTCOMES)[number];

/** Jobs at a bag that leave nothing to measure: steps of a planting, and what recurs. */
export const TENDED_TASKS = [
  'loosened',
  'moistened',
  'soaked',
  'stripped',
  'firmed',
  'labelled',
  'shaded',
  'unshaded',
  'wound',
  'tied',
  'tucked',
  'parted',
  'kneaded',
  'holed',
  'slit',
  'fleeced',
  'unfleeced',
  'pinched',
  'shoot-kept',
  'leaves-off',
  'flowers-off',
  'tipped',
  'stopped',
  'shaken',
] as const;
export type TendedTask = (typeof TENDED_TASKS)[number];

/** What may be known of a day's weather; each by itself is enough. */
export const WEATHER_PARTS = [
  'minCelsius',
  'maxCelsius',
  'rainMillimetres',
  'humidityPercent',
  'windMetresPerSecond',
  'sunHours',
] as const;

/** Between the coldest and the warmest hour of a day: what is more is a slip. */
export const WIDEST_DAY_DEGREES = 60;

/** How ripe fruit was picked. */
export const PICK_STAGES = ['green', 'blush', 'ripe', 'over'] as const;
export type PickStage = (typeof PICK_STAGES)[number];

/** How large, against what the cook likes: for fruit that is picked by its size. */
export const PICK_SIZES = ['small', 'right', 'large'] as const;
export type PickSize = (typeof PICK_SIZES)[number];

/** What became of it. */
export const PICK_USES = ['eaten', 'given', 'sold', 'stored', 'lost'] as const;
export type PickUse = (typeof PICK_USES)[number];

/** What a trial goes by: weight, number of fruit, weight of one, weight by litre of mix, or days to the first picking. */
export const TRIAL_MEASURES = ['kilograms', 'count', 'fruit', 'per-litre', 'first-picking'] as const;
export type TrialMeasure = (typeof TRIAL_MEASURES)[number];

/** The trade classes that growers speak in; what each may hold stands with the bags. Part of the file format. */
export const TRADE_CLASS_NAMES = ['#1', '#3', '#5', '#7', '#10', '#15', '#20'] as const;
export type TradeClass = (typeof TRADE_CLASS_NAMES)[number];

/** What a feed is, which decides how it is given and how it becomes available. */
export const FEED_FORMS = [
  'soluble',
  'liquid',
  'two-part',
  'granular',
  'slow-release',
  'meal',
  'manure',
  'spike',
  'tea',
  'foliar',
] as const;
export type FeedForm = (typeof FEED_FORMS)[number];

/** Units of a dose as people give it. A spoon is a level tablespoon; a handful is the grower's own. */
export const FEED_UNITS = ['gram', 'millilitre', 'spoon', 'teaspoon', 'handful', 'litre', 'piece'] as const;
export type FeedUnit = (typeof FEED_UNITS)[number];

/** Whether a form is given in water, by the litre; the others are laid on or worked into the mix. */
export function isGivenInWater(form: FeedForm): boolean {
  return (
    form === 'soluble' || form === 'liquid' || form === 'two-part' || form === 'tea' || form === 'foliar'
  );
}

/** Why a bag that was due was left. */
export const SKIP_REASONS = ['no-time', 'looks-well', 'rain-coming', 'cannot-reach', 'other'] as const;

/** Why a feed that was due was left. Enough: counted as if given. The others: asked for again at the next round. */
export const FEED_SKIP_REASONS = ['enough', 'too-dry', 'too-wet', 'no-time', 'none-left', 'other'] as const;
