import { resolveAssumed, type Assumed } from '../assumed/index.ts';
import { addDays, dayOf, daysBetween, growingSeason, seasonYearOf, type Day } from '../calendar/index.ts';
import { ripeDays, ripeSpan, trussesOf, type RipeSpan } from '../care/index.ts';
import { datesOf, harvestHeldUntil } from '../garden-state/index.ts';
import { totalForecast, type YieldForecast } from '../pickings/index.ts';
import { entriesAt } from '../records/index.ts';
import { groupedBy } from '../statistics/index.ts';
import type { TallyContext } from './context.ts';
import { foreteller, learntYields, mondayOf, standsOf, warmOf } from './stands.ts';

/** Fruit that ripens soon: a truss, or the first of a bag. */
export interface RipeComing {
  readonly containerId: string;
  readonly plantId: string;
  readonly stationId: string;
  /** from below; undefined: the plant's first fruit */
  readonly truss: number | undefined;
  readonly fruit: number | undefined;
  readonly from: Day;
  readonly likely: Day;
  readonly to: Day;
  /** what it is counted from */
  readonly by: RipeSpan['by'] | 'planting';
  /** it may not be picked before this day, by a spray's label */
  readonly heldUntil: Day | undefined;
}

/** What a bag is still to give. */
export interface BagComing {
  readonly containerId: string;
  readonly cropId: string;
  readonly varietyId: string;
  readonly week: YieldForecast;
  readonly rest: YieldForecast;
  readonly until: Day;
}

/** What is coming in a garden. */
export interface Coming {
  readonly ripe: readonly RipeComing[];
  readonly bags: readonly BagComing[];
  readonly byCrop: Readonly<Record<string, YieldForecast>>;
  readonly week: YieldForecast;
  readonly rest: YieldForecast;
  /** week by week from the present one on, up to the season's end */
  readonly weeks: readonly ({ readonly from: Day } & YieldForecast)[];
}

/**
 * What is coming: ripe dates by truss and by bag, and yields by week and for the rest of the season.
 *
 * @param today what was picked up to and with it is known
 * @see docs/model.md, 14. The tally
 */
export function comingOf(context: TallyContext, today: Day): Coming {
  const { garden } = context;
  const assumed = resolveAssumed(garden.settings.assumptions);
  const season = growingSeason(
    seasonYearOf(today, garden.settings.latitudeDegrees),
    garden.settings.latitudeDegrees,
  );
  const stands = standsOf(context, season, today, learntYields(context, season.year, assumed));
  const warm = warmOf(context);
  const tomorrow = addDays(today, 1);
  const bags = stands.flatMap((stand) => {
    const foretell = foreteller(stand, today, warm, assumed);
    const end =
      stand.bearers
        .map(({ bearer }) => bearer.end)
        .sort()
        .at(-1) ?? today;
    const [eldest] = stand.occupants;
    if (!eldest || end <= today) return [];
    return [{ stand, foretell, end, eldest }];
  });
  const total = (from: Day, to: Day, of = bags) =>
    totalForecast(
      of.map(({ foretell }) => foretell(from, to)),
      assumed,
    );
  const last =
    bags
      .map(({ end }) => end)
      .sort()
      .at(-1) ?? addDays(today, -7);
  const mondays: Day[] = [];
  for (
    let monday = mondayOf(tomorrow);
    monday <= last && monday <= addDays(tomorrow, 371);
    monday = addDays(monday, 7)
  )
    mondays.push(monday);
  return {
    ripe: ripeOf(context, today, assumed),
    bags: bags.map(({ stand, foretell, end, eldest }) => ({
      containerId: stand.container.id,
      cropId: eldest.crop.id,
      varietyId: eldest.variety.id,
      week: totalForecast([foretell(tomorrow, addDays(today, 7))], assumed),
      rest: totalForecast([foretell(tomorrow, end)], assumed),
      until: end,
    })),
    byCrop: Object.fromEntries(
      [...groupedBy(bags, ({ eldest }) => eldest.crop.id)].map(([cropId, of]) => [
        cropId,
        total(tomorrow, last, [...of]),
      ]),
    ),
    week: total(tomorrow, addDays(today, 7)),
    rest: total(tomorrow, last),
    weeks: mondays.map((monday) => ({
      from: monday,
      ...total(monday < tomorrow ? tomorrow : monday, addDays(monday, 6)),
    })),
  };
}

/** A truss or a first fruit that was due so long ago, and of which nobody has said that it is picked, is no news, days. */
const LONG_PAST = 14;

/** Trusses that hang, and the first fruit of plants that have given none. */
function ripeOf(context: TallyContext, today: Day, assumed: Assumed): readonly RipeComing[] {
  const { garden, live } = context;
  return garden.containers
    .filter((c) => !c.binnedAt)
    .flatMap((container) => {
      const here = entriesAt(live, container.id).filter((e) => dayOf(e.at) <= today);
      const heldUntil = harvestHeldUntil(here, today)?.until;
      const cover = garden.places.find((p) => p.id === container.placeId)?.cover ?? 'open';
      return context
        .occupants(container.id)
        .filter((o) => o.plantedOn <= today && (o.clearedOn === undefined || o.clearedOn > today))
        .flatMap((o): readonly RipeComing[] => {
          const at = { containerId: container.id, plantId: o.plant.id, stationId: o.stationId, heldUntil };
          const days = ripeDays(o.crop.id, o.variety);
          const trusses = trussesOf(here, o.plant.id);
          const hanging = trusses.flatMap((truss): readonly RipeComing[] => {
            const span = ripeSpan(truss, days, assumed.flowersToSet);
            return span ? [{ ...at, ...span, truss: truss.number, fruit: truss.count }] : [];
          });
          if (hanging.length > 0 || trusses.length > 0) return hanging;
          const { seen } = o.stages;
          if (seen.ripe !== undefined) return [];
          const span = ripeSpan(
            { setOn: seen.set, floweredOn: seen.flowers, pickedOn: undefined },
            days,
            assumed.flowersToSet,
          );
          if (span) return [{ ...at, ...span, truss: undefined, fruit: undefined }];
          const { from, to } = datesOf(o, garden, cover).firstPicking;
          const likely = addDays(from, Math.round(daysBetween(from, to) / 2));
          return [{ ...at, from, likely, to, by: 'planting', truss: undefined, fruit: undefined }];
        });
    })
    .filter(({ to }) => addDays(to, LONG_PAST) >= today)
    .sort((a, b) => (a.likely < b.likely ? -1 : a.likely > b.likely ? 1 : 0));
}

/** What ripens between now and a week on: its likely day is near, or past and not picked. */
export function isRipeThisWeek(
  { from, likely, to }: Pick<RipeComing, 'from' | 'likely' | 'to'>,
  today: Day,
): boolean {
  const week = addDays(today, 7);
  return likely <= week || (from <= today && to <= addDays(week, 7));
}
