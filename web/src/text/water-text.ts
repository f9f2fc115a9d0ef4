import type { SKIP_REASONS } from '@rundel/core/records';
import type { Pour } from '@rundel/core/garden-state';
import { trimmed } from '@rundel/core/units';
import { linesOf, litresADay, type DripSetting, type StoreKind } from '@rundel/core/water';
import type { UnitFormat } from '../store/index.ts';
import { weekdaysWords } from './rounds-text.ts';

/** Why a bag that was due was left, as a button says it. */
export const SKIP_WORDS: Record<(typeof SKIP_REASONS)[number], string> = {
  'no-time': 'No time',
  'looks-well': 'It looks well',
  'rain-coming': 'Rain is coming',
  'cannot-reach': 'Cannot reach it',
  other: 'Another reason',
};

/** Stores of water, in a sentence. */
export const STORE_WORDS: Record<StoreKind, string> = {
  reservoir: 'reservoir',
  reserve: 'wet reserve below the holes',
  saucer: 'saucer',
  'clay-pots': 'buried clay pots',
  wick: 'wick and drum',
  soil: 'soil below',
  channel: 'channel',
  drum: 'drum',
};

/** "15 min 3 times a day, about 3 L" */
export function dripWords(setting: DripSetting, unitFormat: Pick<UnitFormat, 'show'>): string {
  return linesOf(setting)
    .map((line) => {
      const times = line.timesADay === 1 ? 'once' : `${line.timesADay} times`;
      const days = line.weekdays.length === 7 ? 'a day' : `on ${weekdaysWords(line.weekdays)}`;
      const wet = line.isOffInRain ? ', off on wet days' : '';
      return `${line.minutes} min ${times} ${days}, about ${unitFormat.show(litresADay(line), 'water')}${wet}`;
    })
    .join('; and ');
}

/** One part of a watering: "1 L at each plant", "2 fills of each of its 2 wells (6 L)". */
export function pourWords(pour: Pour, unitFormat: Pick<UnitFormat, 'show'>): string {
  const litres = unitFormat.show(pour.litres, 'water');
  switch (pour.into) {
    case 'plants':
      return `${unitFormat.show(pour.eachLitres, 'water')} close to each stem`;
    case 'wells': {
      const fills = trimmed(Math.round(pour.fills * 4) / 4 || 0.25, 2);
      const each = pour.count === 1 ? 'its well' : `each of its ${pour.count} wells`;
      return `${fills === '1' ? 'one fill' : `${fills} fills`} of ${each} (${litres})`;
    }
    case 'rings':
      return `${litres} inside the ring, where the roots are`;
    case 'outside':
      return `${litres} outside the ring; feed goes inside it`;
  }
}
