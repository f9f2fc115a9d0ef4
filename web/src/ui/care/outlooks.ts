import { addDays, dayOf } from '@rundel/core/calendar';
import { fruitOutlooks, type FruitOutlook } from '@rundel/core/care';
import { knownWeather, waterSpells } from '@rundel/core/garden-state';
import { entriesAt, type Entry } from '@rundel/core/records';
import { useMemo } from 'react';
import { shortDay } from '../../text/text.ts';
import { useGarden, type Bag, type UnitFormat } from '../../store/index.ts';

/** So far back dry spells bear on fruit that swells now, days. */
const SWELL_DAYS = 21;

/** The days that are known or foretold from today on, of several words on a day the last. */
export function daysAhead(live: readonly Entry[], today: string) {
  const byDay = new Map(knownWeather(live).flatMap((w) => (w.day >= today ? [[w.day, w] as const] : [])));
  return [...byDay.values()].sort((a, b) => (a.day < b.day ? -1 : 1));
}

/** What is coming to a bag's flowers and fruit. */
export function outlooksOf(
  bag: Bag,
  live: readonly Entry[],
  days: ReturnType<typeof daysAhead>,
  today: string,
): readonly FruitOutlook[] {
  const [first] = bag.occupants;
  if (!first) return [];
  const { assumed } = bag.properties;
  const { stageDates } = bag.feeding ?? {};
  const has = (stage: 'flowers' | 'set') =>
    bag.occupants.some((o) => o.stages.seen[stage]) || (stageDates?.[stage]?.day ?? '9') <= today;
  const leaves = entriesAt(live, bag.container.id).findLast(
    (e) => e.kind === 'tended' && e.task === 'leaves-off' && e.isNothingThere !== true,
  );
  const spells =
    bag.water?.hasBeenChecked === true
      ? waterSpells(bag.water.estimate.path, assumed.refillPoint, addDays(today, -SWELL_DAYS), today)
      : undefined;
  return fruitOutlooks(
    {
      cropId: first.crop.id,
      isFlowering: has('flowers'),
      hasFruit: has('set'),
      dryOuts: spells?.dryOuts ?? 0,
      leavesOffOn: leaves && dayOf(leaves.at),
      gainCelsius: (bag.place?.cover ?? 'open') === 'open' ? 0 : assumed.coldCoverGain,
    },
    days,
    today,
    assumed,
  );
}

export function useOutlooks(bag: Bag): readonly FruitOutlook[] {
  const { live, clock } = useGarden();
  const today = dayOf(clock.now());
  return useMemo(() => outlooksOf(bag, live, daysAhead(live, today), today), [bag, live, today]);
}

/** One outlook, with what can be done about it. */
export function outlookWords(outlook: FruitOutlook, unitFormat: UnitFormat, today: string): string {
  const between = (from: string, to: string) =>
    from === to ? `on ${shortDay(from, today)}` : `from ${shortDay(from, today)} to ${shortDay(to, today)}`;
  switch (outlook.kind) {
    case 'drop-heat':
      return `Flowers that open ${between(outlook.from, outlook.to)} may drop unset: ${unitFormat.show(outlook.celsius, 'temperature')} is expected. Shade and air; shake them in the cool of the morning. It is the heat, and passes.`;
    case 'drop-cold':
      return `Flowers may drop unset ${between(outlook.from, outlook.to)}: nights down to ${unitFormat.show(outlook.celsius, 'temperature')}. Close up or fleece; shake them about noon.`;
    case 'end-rot':
      return `It went dry ${outlook.dryOuts} times in three weeks while fruit swelled: blossom ends may darken. Even water from now on keeps the next fruit sound.`;
    case 'scald':
      return `Leaves came off on ${shortDay(outlook.leavesOffOn, today)}, and ${unitFormat.show(outlook.celsius, 'temperature')} is expected: shade bared fruit, it burns.`;
  }
}
