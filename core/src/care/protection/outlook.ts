import type { Assumed } from '../../assumed/index.ts';
import { addDays, type Day } from '../../calendar/index.ts';
import type { KnownDay } from '../../climate/index.ts';

/** What is coming to flowers and fruit, before it happens. */
export type FruitOutlook =
  /** flowers that are open in these days will drop unset */
  | {
      readonly kind: 'drop-heat' | 'drop-cold';
      readonly from: Day;
      readonly to: Day;
      readonly celsius: number;
    }
  /** bags that went dry so often while fruit swelled: the ends may darken */
  | { readonly kind: 'end-rot'; readonly dryOuts: number }
  /** leaves came off lately and heat is coming: bared fruit may burn */
  | { readonly kind: 'scald'; readonly leavesOffOn: Day; readonly from: Day; readonly celsius: number };

/** A bag's plants, as far as their flowers and fruit go. */
export interface FruitingBag {
  readonly cropId: string;
  readonly isFlowering: boolean;
  readonly hasFruit: boolean;
  /** times that it went below the refill point in the last weeks */
  readonly dryOuts: number;
  readonly leavesOffOn: Day | undefined;
  /** night's gain under cover, °C */
  readonly gainCelsius: number;
}

/** Colder nights than this keep pollen from setting, °C: published for tomato, pepper and aubergine, 13 and about. */
const SET_CELSIUS = 12;
/** Leaves that came off within so many days have not been replaced by others. */
const BARE_DAYS = 12;
const DAYS_AHEAD = 5;
/** From so many dry-outs on blossom-end rot is likely in what swells now. */
const RISKY_DRY_OUTS = 2;

/**
 * What is coming to a bag's flowers and fruit.
 *
 * @param days known or foretold, in order
 */
export function fruitOutlooks(
  bag: FruitingBag,
  days: readonly KnownDay[],
  today: Day,
  { hotCelsius }: Pick<Assumed, 'hotCelsius'>,
): readonly FruitOutlook[] {
  const ahead = days.filter((d) => d.day >= today && d.day <= addDays(today, DAYS_AHEAD));
  const hot = ahead.flatMap(({ day, maxCelsius: celsius }) =>
    celsius !== undefined && celsius >= hotCelsius ? [{ day, celsius }] : [],
  );
  const cold = ahead.flatMap(({ day, minCelsius }) => {
    const celsius = (minCelsius ?? Infinity) + bag.gainCelsius;
    return day > today && celsius < SET_CELSIUS - 2 ? [{ day, celsius }] : [];
  });
  const outlooks: FruitOutlook[] = [];
  const span = (of: readonly { readonly day: Day }[]) => ({
    from: of[0]?.day ?? today,
    to: of.at(-1)?.day ?? today,
  });
  const setsByPollen = bag.cropId !== 'cucumber';
  if (bag.isFlowering && setsByPollen && hot.length > 0)
    outlooks.push({ kind: 'drop-heat', ...span(hot), celsius: Math.max(...hot.map((d) => d.celsius)) });
  if (bag.isFlowering && setsByPollen && cold.length > 0)
    outlooks.push({
      kind: 'drop-cold',
      ...span(cold),
      celsius: Math.min(...cold.map((d) => d.celsius)),
    });
  if (bag.hasFruit && setsByPollen && bag.dryOuts >= RISKY_DRY_OUTS)
    outlooks.push({ kind: 'end-rot', dryOuts: bag.dryOuts });
  const { leavesOffOn } = bag;
  if (bag.hasFruit && leavesOffOn && leavesOffOn >= addDays(today, -BARE_DAYS) && hot[0])
    outlooks.push({
      kind: 'scald',
      leavesOffOn,
      from: hot[0].day,
      celsius: Math.max(...hot.map((d) => d.celsius)),
    });
  return outlooks;
}
