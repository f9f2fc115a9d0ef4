import type { Assumed } from '../assumed/index.ts';
import { addDays, dayOf, seasonYearOf, type Day } from '../calendar/index.ts';
import { dripsOf } from '../garden-state/index.ts';
import { scoopsOf } from '../products/index.ts';
import { entriesAt, type Container, type Entry, type EntryOf, type Garden } from '../records/index.ts';
import { costOf, priceLogs, unitPrices, type StockContext } from '../stock/index.ts';
import { dripOfDay, type DripSpell } from '../water/index.ts';

/** Water that a bag was given by hand or by drip between two days, L; rain and what it shares of a tank are not known by litres. */
export function waterOf(
  container: Container,
  live: readonly Entry[],
  from: Day,
  to: Day,
  assumed: Assumed | undefined,
): (from: Day, to: Day) => number {
  const poured = entriesAt(live, container.id).flatMap((e) =>
    e.kind === 'watering' && dayOf(e.at) >= from && dayOf(e.at) <= to
      ? [{ day: dayOf(e.at), litres: e.litres }]
      : [],
  );
  const drips = assumed ? dripsOf(container.id, live, 0) : [];
  return (first, last) => {
    const start = first > from ? first : from;
    const end = last < to ? last : to;
    const byHand = poured.reduce(
      (sum, { day, litres }) => sum + (day >= start && day <= end ? litres : 0),
      0,
    );
    return byHand + drippedLitres(drips, start, addDays(end, 1));
  };
}

/** Water that its drip gave between two days, the second left out, L; days on which it was off for rain are not known. */
function drippedLitres(drips: readonly DripSpell[], from: Day, until: Day): number {
  if (drips.length === 0) return 0;
  let litres = 0;
  for (let day = from; day < until; day = addDays(day, 1)) litres += dripOfDay(drips, day).dryLitres;
  return litres;
}

/** What a season cost in money and work, and what the shop asks. */
export interface MoneyOfSeason {
  costOf(container: Container, assumed: Assumed | undefined): number;
  minutesOf(containerId: string): number;
  priceOf(varietyId: string, cropId: string): number | undefined;
}

export function moneyOf(garden: Garden, live: readonly Entry[], year: number): MoneyOfSeason {
  const { latitudeDegrees, shopPrices = {} } = garden.settings;
  const entries = live.filter((e) =>
    ['filled', 'bought', 'used', 'counted', 'priced', 'spent', 'worked', 'fed'].includes(e.kind),
  );
  const priceOf = unitPrices(
    priceLogs(entries),
    garden.packs.filter((p) => !p.binnedAt),
  );
  const bagsInUse = garden.containers.filter((c) => !c.binnedAt).length;
  const worked = entries.filter(
    (e): e is EntryOf<'worked'> => e.kind === 'worked' && seasonYearOf(dayOf(e.at), latitudeDegrees) === year,
  );
  const all = worked.reduce((sum, e) => sum + (e.containerIds.length === 0 ? e.minutes : 0), 0);
  const byBag = new Map<string, number>();
  for (const e of worked)
    for (const id of e.containerIds) byBag.set(id, (byBag.get(id) ?? 0) + e.minutes / e.containerIds.length);
  const context: Omit<StockContext, 'assumed'> = {
    mixes: garden.mixes,
    products: garden.products,
    scoops: scoopsOf(garden),
  };
  const { settings } = garden;
  return {
    costOf: (container, assumed) =>
      assumed
        ? costOf(container, entries, year, { ...context, settings, bagsInUse }, priceOf, assumed).total
        : 0,
    minutesOf: (containerId) => (byBag.get(containerId) ?? 0) + all / Math.max(1, bagsInUse),
    priceOf: (varietyId, cropId) => shopPrices[varietyId] ?? shopPrices[cropId],
  };
}
