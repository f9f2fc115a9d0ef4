import { hardinessOf, knownWeather } from '@rundel/core/garden-state';
import { addDays, dayOf } from '@rundel/core/calendar';
import type { Crop } from '@rundel/core/plants';
import { coldNightAdvice } from '@rundel/core/season';
import { useGarden, useUnitFormat, type Bag } from '../store/index.ts';
import { Remark } from './Remark.tsx';

/**
 * What the coming night asks, for crops in bags, when its minimum was entered (as tomorrow's weather): not to plant out
 * tonight, or fleece and less water. Says nothing when the night is not known.
 */
export function ColdNightNotice({
  crops,
  bags,
  isPlanted,
}: {
  readonly crops: readonly Crop[];
  readonly bags: readonly Bag[];
  readonly isPlanted: boolean;
}) {
  const { clock, live } = useGarden();
  const unitFormat = useUnitFormat();
  const tomorrow = addDays(dayOf(clock.now()), 1);
  const { minCelsius } = knownWeather(live).find((d) => d.day === tomorrow) ?? {};
  if (minCelsius === undefined) return null;
  const said = new Map<string, { text: string; labels: Set<string> }>();
  for (const bag of bags) {
    const mine = isPlanted
      ? bag.occupants.map(
          (o) => [o.crop, hardinessOf(o, dayOf(clock.now()), bag.properties.assumed)] as const,
        )
      : crops.map((crop) => [crop, 'not-planted'] as const);
    for (const [crop, stands] of mine) {
      const word = coldNightAdvice(
        minCelsius,
        crop,
        bag.place?.cover ?? 'open',
        stands,
        bag.properties.assumed,
      );
      if (!word) continue;
      const cold = `${unitFormat.show(minCelsius, 'temperature')} is expected`;
      const text =
        word.kind === 'not-tonight'
          ? `Not tonight: ${cold}, and ${crop.name.toLowerCase()} wants ${unitFormat.show(word.limitCelsius, 'temperature')} or more outdoors.`
          : `Fleece tonight: ${cold}. Give no more water than they need before a cold night.`;
      const found = said.get(text) ?? { text, labels: new Set<string>() };
      found.labels.add(bag.container.label);
      said.set(text, found);
    }
  }
  return [...said.values()].map(({ text, labels }) => (
    <Remark key={text}>
      <strong>{text}</strong> {labels.size > 1 ? 'Bags' : 'Bag'} {[...labels].join(', ')}.
    </Remark>
  ));
}
