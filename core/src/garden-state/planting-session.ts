import type { BagView } from './bag-view.ts';
import { plantingTaskOf } from './planting-site.ts';
import { cropOf, habitOf, SUPPORT_PRACTICES } from '../plants/index.ts';
import {
  entriesAt,
  type Entry,
  type Settings,
  momentSchema,
  seedlingSchema,
  PLANTING_METHOD_IDS,
} from '../records/index.ts';
import {
  firstWateringLitres,
  stepsFor,
  STRIP_PRACTICES,
  plantingMethodsFor,
  plantingMethodOf,
  planWith,
  type Obstacle,
  type OrderPractice,
  type OwnPlanting,
  type PlantingOutcome,
  type PlantingPlan,
  type StepId,
} from '../planting/index.ts';
import * as z from '../schema/index.ts';

/** One bag of a planting session: what goes in and how. */
const itemSchema = z.object({
  containerId: z.string(),
  /** the places in the bag that it fills; left out: all that are free */
  stationIds: z.optional(z.array(z.string())),
  cropId: z.string(),
  habitId: z.string(),
  varietyName: z.string(),
  plantName: z.optional(z.string()),
  seedling: seedlingSchema,
  isGuessed: z.optional(z.boolean()),
  seeds: z.optional(z.number()),
  sownOn: z.optional(z.string()),
  practiceId: z.optional(z.string()),
  plantingMethodId: z.enum(PLANTING_METHOD_IDS),
  /** lines that the grower moved on the bench: depth, level, collar */
  own: z.optional(
    z.object({
      buriedMillimetres: z.optional(z.number()),
      levelMillimetres: z.optional(z.number()),
      collarMillimetres: z.optional(z.number()),
    }),
  ),
});
export type SessionItem = z.infer<typeof itemSchema>;

/** A planting that is under way, kept on this device. What has been done of it follows from the diary. */
export const sessionSchema = z.object({
  startedAt: momentSchema,
  /** undefined while bags are still being chosen */
  hasBegun: z.boolean(),
  isMoistened: z.boolean(),
  /** filled in dry and soaked through in the bag, in two goes: little is wanted at planting */
  isFlooded: z.optional(z.boolean()),
  items: z.array(itemSchema),
  /** every step was done, or the grower ended it: what is chosen later does not bring it back */
  endedAt: z.optional(momentSchema),
});
export type PlantingSession = z.infer<typeof sessionSchema>;

/** What is to go into a bag, as it was said. */
export type Intended = Pick<SessionItem, 'cropId' | 'habitId' | 'varietyName' | 'seedling'> & {
  readonly plantName: string | undefined;
  readonly practiceId: string | undefined;
  readonly isGuessed?: boolean | undefined;
  readonly isSown?: boolean | undefined;
  readonly seeds?: number | undefined;
  readonly sownOn?: string | undefined;
  readonly own?: OwnPlanting | undefined;
};

/** The first of the ways that work in a bag, or the one asked for. */
export function itemFor(
  bag: BagView,
  intended: Intended,
  settings: Settings,
  askedMethodId: SessionItem['plantingMethodId'] | undefined,
  stationIds?: readonly string[],
):
  | {
      readonly kind: 'fits';
      readonly item: SessionItem;
      /** why it does not go in upright, where nobody asked for another method */
      readonly obstacle: Obstacle | undefined;
    }
  | { readonly kind: 'cannot'; readonly outcome: PlantingOutcome } {
  // seed is not planted, and a young plant is not sown
  const plantingMethodId = intended.isSown ? 'seed' : askedMethodId === 'seed' ? undefined : askedMethodId;
  const task = taskOf(bag, { ...intended, plantingMethodId: 'upright' }, settings);
  const { own } = intended;
  const outcome = plantingMethodId
    ? planWith(plantingMethodOf(plantingMethodId), task, own ?? {}).outcome
    : (plantingMethodsFor(task).find((o) => o.kind === 'cannot' || o.plan.plantingMethodId !== 'seed') ??
      plantingMethodOf('upright').plan(task));
  if (outcome.kind === 'cannot') return { kind: 'cannot', outcome };
  const { cropId, habitId, varietyName, plantName, seedling, practiceId, isGuessed, seeds, sownOn } =
    intended;
  const straight = plantingMethodOf('upright').plan(task);
  const isOther = plantingMethodId === undefined && outcome.plan.plantingMethodId !== 'upright';
  return {
    kind: 'fits',
    obstacle: isOther && straight.kind === 'cannot' ? straight.obstacle : undefined,
    item: {
      containerId: bag.container.id,
      cropId,
      habitId,
      varietyName,
      seedling,
      ...(stationIds ? { stationIds: [...stationIds] } : {}),
      ...(plantName ? { plantName } : {}),
      ...(practiceId ? { practiceId } : {}),
      ...(isGuessed ? { isGuessed } : {}),
      ...(seeds ? { seeds } : {}),
      ...(sownOn ? { sownOn } : {}),
      ...(own && plantingMethodId ? { own } : {}),
      plantingMethodId: outcome.plan.plantingMethodId,
    },
  };
}

type ItemSeedling = Pick<SessionItem, 'cropId' | 'habitId' | 'seedling' | 'plantingMethodId'> & {
  readonly practiceId?: string | undefined;
};

function taskOf(bag: BagView, item: ItemSeedling, settings: Settings) {
  const practiceId = item.practiceId ?? settings.depthPracticeId;
  const habit = habitOf(item.cropId, item.habitId);
  return plantingTaskOf(
    bag.properties,
    bag.container.stations.length,
    practiceId,
    cropOf(item.cropId),
    habit,
    item.seedling,
  );
}

/** A bag of the session with its plan, its steps and what is done of them. */
export interface SessionBagState {
  readonly bag: BagView;
  readonly item: SessionItem;
  readonly plan: PlantingPlan;
  readonly steps: readonly StepId[];
  /** by step: the entries that tick it */
  readonly done: ReadonlyMap<StepId, readonly string[]>;
  /** litres of the first watering */
  readonly wateringLitres: number;
}

/** The job that ticks each step of a planting that leaves nothing to measure. */
export const TASK_OF_STEP: Partial<Record<StepId, Extract<Entry, { kind: 'tended' }>['task']>> = {
  loosen: 'loosened',
  holes: 'holed',
  slit: 'slit',
  moisten: 'moistened',
  soak: 'soaked',
  strip: 'stripped',
  firm: 'firmed',
  label: 'labelled',
  shade: 'shaded',
};

/** What is done to the bag itself: it may have been done days before anything goes in. */
export const GROUND_STEPS: readonly StepId[] = ['loosen', 'holes', 'slit', 'moisten'];

function stepOf(entry: Entry): StepId | undefined {
  if (entry.kind === 'planted') return 'plant';
  if (entry.kind === 'supported') return 'support';
  if (entry.kind === 'watering') return 'watering';
  if (entry.kind !== 'tended') return undefined;
  if (entry.task === 'kneaded') return 'loosen';
  return (Object.keys(TASK_OF_STEP) as StepId[]).find((step) => TASK_OF_STEP[step] === entry.task);
}

/** What was moved by hand, without what was not. */
function ownOf(own: SessionItem['own']): OwnPlanting {
  return Object.fromEntries(Object.entries(own ?? {}).filter(([, mm]) => mm !== undefined));
}

/** After these, what was done to a bag before no longer holds for what goes in next. */
const BEGINS_ANEW: ReadonlySet<Entry['kind']> = new Set(['planted', 'cleared', 'filled']);

/** Every bag of a session as it stands by the diary; bags that are gone are left out. */
export function sessionState(
  session: PlantingSession,
  bags: readonly BagView[],
  live: readonly Entry[],
  settings: Settings,
): readonly SessionBagState[] {
  const since = Date.parse(session.startedAt);
  const stripPractice = STRIP_PRACTICES.find((s) => s.id === settings.stripPracticeId)?.id ?? 'at-once';
  const supportDays =
    settings.supportAfterDays ??
    SUPPORT_PRACTICES.find((s) => s.id === settings.supportPracticeId)?.fromDays ??
    0;
  return session.items.flatMap((item): SessionBagState[] => {
    const bag = bags.find((b) => b.container.id === item.containerId);
    if (!bag) return [];
    const { outcome } = planWith(
      plantingMethodOf(item.plantingMethodId),
      taskOf(bag, item, settings),
      ownOf(item.own),
    );
    if (outcome.kind === 'cannot') return [];
    const { plan } = outcome;
    const done = new Map<StepId, string[]>();
    for (const entry of entriesAt(live, item.containerId)) {
      if (Date.parse(entry.at) < since) {
        // the ground was laid for what goes in now, unless another crop or other mix came after it
        if (BEGINS_ANEW.has(entry.kind)) done.clear();
        const step = stepOf(entry);
        if (step && GROUND_STEPS.includes(step)) done.set(step, [...(done.get(step) ?? []), entry.id]);
        continue;
      }
      if (entry.kind === 'planted' && item.stationIds && !item.stationIds.includes(entry.stationId)) continue;
      const step = stepOf(entry);
      if (step) done.set(step, [...(done.get(step) ?? []), entry.id]);
    }
    const steps = stepsFor(
      {
        isCompressed: bag.properties.kind.isClosed || bag.properties.real.ring !== undefined,
        hasNoHoles: bag.container.hasNoHoles ?? done.has('holes'),
        isClosed: bag.properties.kind.isClosed,
        plantingMethodId: item.plantingMethodId,
        leavesToStrip: plan.stem.stripLeaves,
        stripPractice,
        isSupportedNow: bag.container.support.kind !== 'none' && supportDays === 0,
      },
      (settings.orderPracticeId as OrderPractice['id'] | undefined) ?? 'strip-first',
    );
    const share = Math.min(1, plan.levelMillimetres / bag.properties.fill.mixMillimetres);
    const wateringLitres = firstWateringLitres(
      bag.properties.fill.mixLitres * share,
      session.isFlooded ? 'flooded' : session.isMoistened ? 'moistened' : 'dry',
      bag.properties.assumed,
    );
    return [
      { bag, item, plan, steps, done, wateringLitres: Math.max(0.1, Math.round(wateringLitres * 10) / 10) },
    ];
  });
}

/** The steps of all bags together in working order, each with the bags that have it. */
export function stepsOf(
  states: readonly SessionBagState[],
): readonly { readonly step: StepId; readonly bags: readonly SessionBagState[]; readonly left: number }[] {
  const order: StepId[] = [];
  // bags differ in what applies to them, never in the order
  for (const longest of [...states].sort((a, b) => b.steps.length - a.steps.length))
    for (const [i, step] of longest.steps.entries())
      if (!order.includes(step)) {
        const before = longest.steps[i - 1];
        order.splice(before ? order.indexOf(before) + 1 : 0, 0, step);
      }
  return order.map((step) => {
    const having = states.filter((s) => s.steps.includes(step));
    // each plant goes in by itself; all else is done at the bag
    const bags =
      step === 'plant'
        ? having
        : having.filter((s, i) => having.findIndex((other) => other.bag === s.bag) === i);
    return { step, bags, left: bags.filter((s) => !s.done.has(step)).length };
  });
}
