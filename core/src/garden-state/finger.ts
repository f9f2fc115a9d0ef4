import type { Assumed } from '../assumed/index.ts';
import { entriesAt, type Entry, type Container } from '../records/index.ts';
import { middleOfGrade } from '../water/index.ts';
import type { BagProperties } from './properties.ts';
import { gaugeScale } from './readings.ts';

/** How this grower's finger compares with scales: where the top layer lies below the bag, and how far a grade is off. */
export interface LearntFinger {
  readonly fingerOffset: number;
  readonly fingerNoise: number;
  /** checks by finger within the hour of a weighing */
  readonly pairs: number;
}

const WITHIN_MILLISECONDS = 3_600_000;

/**
 * Learns a grower's finger from checks that were made within an hour of a weighing of the same bag, with nothing poured
 * between. Shrunk towards the numbers in use, so that no pairs change nothing.
 *
 * @param bodies each container's body, by its id
 * @param live the garden's live entries, oldest first
 */
export function learnFinger(
  containers: readonly Pick<Container, 'id' | 'gauges'>[],
  propertiesById: ReadonlyMap<string, BagProperties>,
  live: readonly Entry[],
  assumed: Pick<Assumed, 'fingerOffset' | 'fingerNoise' | 'fingerPrior'>,
): LearntFinger {
  const offs: number[] = [];
  for (const container of containers) {
    const properties = propertiesById.get(container.id);
    if (!properties) continue;
    const { full, dry } = gaugeScale(
      'scale',
      container.gauges?.find((g) => g.kind === 'scale'),
      properties,
    );
    let felt: { readonly at: number; readonly grade: number } | undefined;
    let weighed: { readonly at: number; readonly share: number } | undefined;
    for (const entry of entriesAt(live, container.id)) {
      const at = Date.parse(entry.at);
      if (entry.kind === 'watering') felt = weighed = undefined;
      if (entry.kind !== 'check') continue;
      if (entry.check.method === 'finger') felt = { at, grade: entry.check.grade };
      else if (entry.check.method === 'scale')
        weighed = { at, share: (entry.check.kilograms - dry) / (full - dry) };
      else continue;
      if (felt && weighed && Math.abs(felt.at - weighed.at) <= WITHIN_MILLISECONDS) {
        // grades at the ends have no middle that says much
        if (felt.grade > 1 && felt.grade < 5) offs.push(weighed.share - middleOfGrade(felt.grade));
        felt = weighed = undefined;
      }
    }
  }
  const pairs = offs.length;
  const weight = pairs / (pairs + assumed.fingerPrior);
  const mean = pairs === 0 ? 0 : offs.reduce((sum, off) => sum + off, 0) / pairs;
  const fingerOffset = (1 - weight) * assumed.fingerOffset + weight * mean;
  const square = offs.reduce((sum, off) => sum + (off - fingerOffset) ** 2, 0);
  const fingerNoise = Math.sqrt(
    (assumed.fingerPrior * assumed.fingerNoise ** 2 + square) / (assumed.fingerPrior + pairs),
  );
  return { fingerOffset, fingerNoise, pairs };
}
