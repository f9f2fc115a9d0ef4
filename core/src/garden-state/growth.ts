import { addDays, daysBetween, dayOf, type Day } from '../calendar/index.ts';
import {
  habitFigures,
  heightBelief,
  heightOn,
  heightOnCurve,
  type HeightBelief,
  type HeightRange,
  type HeightRecord,
  type Occupant,
} from '../plants/index.ts';
import { entriesAt, type Entry, type Settings } from '../records/index.ts';
import { planUpright, type UprightPlanting } from '../planting/index.ts';
import type { BagProperties } from './properties.ts';

/** How a plant that stands in a bag was put there: as recorded, or as the practice in use would have it. */
export function plantingOf(
  occupant: Occupant,
  properties: BagProperties,
  practiceId: string,
): UprightPlanting | undefined {
  const { planted, crop } = occupant;
  const mixMillimetres = planted.levelMillimetres ?? properties.fill.mixMillimetres;
  const place = { depth: crop.depth, mixMillimetres, practiceId: planted.practiceId ?? practiceId };
  const advice = planUpright(planted.seedling, place, properties.assumed);
  const planned = advice.kind === 'upright' ? advice.planting : advice.instead;
  const buried = planted.buriedMillimetres;
  if (buried === undefined || !planned) return planned;
  const { stemMillimetres, ballMillimetres } = planted.seedling;
  return {
    ...planned,
    buriedMillimetres: buried,
    aboveMillimetres: stemMillimetres - buried,
    holeMillimetres: buried + ballMillimetres,
    belowBallMillimetres: Math.max(0, mixMillimetres - buried - ballMillimetres),
  };
}

/** The level of the mix in a bag now: lower than its fill while top-ups are still to come, mm. */
export function levelOf(
  properties: BagProperties,
  occupants: readonly Occupant[],
  live: readonly Entry[],
): number {
  const full = properties.fill.mixMillimetres;
  const low = occupants.find((o) => o.planted.levelMillimetres !== undefined);
  if (!low) return full;
  const raised = entriesAt(live, low.planted.containerId).findLast(
    (e) => e.kind === 'topped-up' && Date.parse(e.at) >= Date.parse(low.planted.at),
  );
  const level = raised?.kind === 'topped-up' ? raised.levelMillimetres : low.planted.levelMillimetres;
  // a collar stands above the bag's own mix: the bag itself is full
  return Math.min(full, level ?? full);
}

/** What is believed of a plant's growth, heights counted from the mix as it stood at planting. */
export interface PlantGrowth {
  readonly belief: HeightBelief;
  readonly records: readonly HeightRecord[];
  readonly startMillimetres: number;
}

/**
 * The last answer for each planting, by what it was worked out from: the drawing, its tasks and its supports all ask, and an
 * entry about something else changes nothing.
 */
const known = new WeakMap<
  Occupant['planted'],
  {
    readonly properties: BagProperties;
    readonly variety: Occupant['variety'];
    readonly ageFrom: Day;
    readonly settings: object;
    readonly measured: string;
    readonly growth: PlantGrowth;
  }
>();

/**
 * A plant's growth by its habit, its planting, and the heights that the grower measured.
 *
 * @param live the garden's live entries, oldest first
 */
export function growthOf(
  occupant: Occupant,
  properties: BagProperties,
  live: readonly Entry[],
  settings: Pick<Settings, 'depthPracticeId' | 'assumptions'>,
): PlantGrowth {
  const { planted, variety, ageFrom } = occupant;
  const records = recordsOf(occupant, live);
  const measured = JSON.stringify(records);
  const last = known.get(planted);
  if (
    last &&
    last.properties === properties &&
    last.variety === variety &&
    last.ageFrom === ageFrom &&
    last.settings === settings &&
    last.measured === measured
  )
    return last.growth;
  const growth = workedOut(occupant, properties, records, settings);
  known.set(planted, { properties, variety, ageFrom, settings, measured, growth });
  return growth;
}

/** The day from which a plant's height is counted: of its first planting, or of sowing, shifted by when it came up. */
export function grewFrom({ origin, crop, ageFrom }: Pick<Occupant, 'origin' | 'crop' | 'ageFrom'>): Day {
  return isSown(origin) ? addDays(ageFrom, -seedlingDaysOf(crop)) : dayOf(origin.at);
}

const isSown = (origin: Occupant['origin']) => origin.plantingMethodId === 'seed';
const seedlingDaysOf = (crop: Occupant['crop']) => Math.round(crop.seedlingWeeks.value * 7);

/** The heights that were measured of a plant, counted from the mix as it stood at planting; in every bag that it stood in. */
function recordsOf(occupant: Occupant, live: readonly Entry[]): readonly HeightRecord[] {
  const { planted, origin } = occupant;
  const from = grewFrom(occupant);
  const bags = [...new Set([origin.containerId, planted.containerId])];
  const records: HeightRecord[] = [];
  for (const containerId of bags) {
    const low = containerId === planted.containerId ? planted.levelMillimetres : origin.levelMillimetres;
    let level = low;
    for (const e of entriesAt(live, containerId)) {
      if (e.kind === 'topped-up' && level !== undefined) level = Math.max(level, e.levelMillimetres);
      if (e.kind !== 'height' || e.plantId !== planted.plantId) continue;
      const days = daysBetween(from, dayOf(e.at));
      if (days < 0) continue;
      // measured from a surface that has risen since planting
      const risen = level === undefined ? 0 : level - (low ?? level);
      records.push({ days, millimetres: e.heightMillimetres + risen });
    }
  }
  return records.sort((a, b) => a.days - b.days);
}

function workedOut(
  occupant: Occupant,
  properties: BagProperties,
  records: readonly HeightRecord[],
  settings: Pick<Settings, 'depthPracticeId' | 'assumptions'>,
): PlantGrowth {
  const { origin, habit, crop } = occupant;
  const above = isSown(origin)
    ? 1
    : (plantingOf({ ...occupant, planted: origin }, properties, settings.depthPracticeId)?.aboveMillimetres ??
      origin.seedling.stemMillimetres);
  const startMillimetres = Math.max(1, above);
  const figures = habitFigures(crop.id, habit, settings.assumptions);
  const around = (value: number, prior: { value: number; low: number; high: number }) => ({
    value,
    low: (value * prior.low) / prior.value,
    high: (value * prior.high) / prior.value,
  });
  const prior = {
    fullHeightMillimetres: around(figures.fullHeightMillimetres, habit.fullHeightMillimetres),
    // seed has the weeks of a young plant before it
    weeksToFull: around(
      figures.weeksToFull + (isSown(origin) ? crop.seedlingWeeks.value : 0),
      habit.weeksToFull,
    ),
  };
  return {
    belief: heightBelief(
      prior,
      startMillimetres,
      records,
      properties.assumed.heightNoise,
      properties.assumed,
    ),
    records,
    startMillimetres,
  };
}

/** A plant's height above the mix as it stands now, mm, and whether it was measured within a day. */
export function heightNow(
  growth: PlantGrowth,
  daysSincePlanting: number,
  risenMillimetres = 0,
  isStartGuessed = false,
): HeightRange & { readonly isMeasured: boolean } {
  const range = heightOn(growth.belief, daysSincePlanting);
  const last = growth.records.at(-1);
  const measured = last !== undefined && daysSincePlanting - last.days <= 1 ? last.millimetres : undefined;
  const less = (mm: number) => Math.max(10, mm - risenMillimetres);
  if (measured !== undefined) {
    const height = less(measured);
    return { low: height, likely: height, high: height, isMeasured: true };
  }
  return {
    low: less(range.low),
    likely: less(range.likely),
    high: less(range.high),
    isMeasured: daysSincePlanting === 0 && !isStartGuessed,
  };
}

/** A plant this much smaller or larger than its habit says was mismeasured or is another plant. */
const SMALLEST = 0.4;
const LARGEST = 1.8;

/**
 * How large a plant is for its age, by the heights that were measured: 1 is what its habit leads one to expect. Its canopy
 * is taken to be as much larger or smaller.
 */
export function sizeForAge(
  occupant: Occupant,
  properties: BagProperties,
  live: readonly Entry[],
  settings: Pick<Settings, 'depthPracticeId' | 'assumptions'>,
  day: string,
): number {
  const { belief, records, startMillimetres } = growthOf(occupant, properties, live, settings);
  const days = daysBetween(grewFrom(occupant), day);
  if (records.length === 0 || days <= 0) return 1;
  const figures = habitFigures(occupant.crop.id, occupant.habit, settings.assumptions);
  const usual = heightOnCurve(
    {
      startMillimetres,
      fullMillimetres: figures.fullHeightMillimetres,
      weeksToFull: figures.weeksToFull + (isSown(occupant.origin) ? occupant.crop.seedlingWeeks.value : 0),
    },
    days,
  );
  return Math.min(LARGEST, Math.max(SMALLEST, heightOn(belief, days).likely / usual));
}
