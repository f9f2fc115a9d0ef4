import type { Entry } from '@rundel/core/diary';
import { FINGER_GRADES, LIFT_GRADES } from '@rundel/core/water';
import type { Shown } from '../store/index.ts';

/** An entry in a few words. */
export function entryWords(entry: Entry, shown: Shown): string {
  switch (entry.kind) {
    case 'look': {
      const names = entry.look.method === 'finger' ? FINGER_GRADES : LIFT_GRADES;
      return `Look: ${names[entry.look.grade - 1] ?? '?'}${entry.look.method === 'lift' ? ' when lifted' : ''}`;
    }
    case 'drink':
      return `Drink: ${shown.show(entry.litres, 'drink')}${entry.ranThrough ? ', ran through' : ''}${entry.isMeasured ? '' : ', by eye'}`;
    case 'planted':
      return `Planted, ${shown.show(entry.seedling.stemMillimetres, 'height')} tall`;
    case 'cleared':
      return 'Cleared';
    case 'picking': {
      const parts = [
        entry.kilograms === undefined ? '' : shown.show(entry.kilograms, 'crop'),
        entry.count === undefined ? '' : `${entry.count} fruit`,
      ];
      return `Picked: ${parts.filter(Boolean).join(', ')}`;
    }
    case 'note':
      return entry.text;
    case 'weather':
      return `Weather: ${shown.range(entry.minCelsius, entry.maxCelsius, 'temperature')}`;
    case 'removed':
      return 'Removed an entry';
  }
}
