import { addDays } from '@rundel/core/calendar';
import type { WeatherAlert } from '@rundel/core/care';
import type { AlertKind } from '@rundel/core/records';
import type { UnitFormat } from '../store/index.ts';
import { degreesBetween, windWords } from './in-units.ts';
import { shortDay } from './text.ts';

/** A kind of warning, as it is named in settings. */
export const ALERT_NAMES: Record<AlertKind, string> = {
  frost: 'Frost',
  cold: 'Cold nights',
  hot: 'Hot days',
  'heat-wave': 'Heat waves',
  swing: 'Great swings from night to day',
  wind: 'Wind',
};

/** A warning in a sentence, and what it asks, with its end. */
export function alertWords(
  { kind, from, to, value }: Pick<WeatherAlert, 'kind' | 'from' | 'to' | 'value'>,
  unitFormat: UnitFormat,
  today: string,
): { readonly title: string; readonly tasks: string } {
  const span = from === to ? shortDay(from, today) : `${shortDay(from, today)} to ${shortDay(to, today)}`;
  // the night before a day is told with that day
  const night = `in the ${from === to ? 'night' : 'nights'} from ${shortDay(addDays(from, -1), today)} to ${shortDay(to, today)}`;
  const degrees = unitFormat.show(value, 'temperature');
  switch (kind) {
    case 'frost':
      return {
        title: `Frost ${night}: ${degrees}.`,
        tasks:
          'Fleece or buckets over everything by dusk, weighted down; move what can be moved; pick what is nearly ripe. Off again in the morning.',
      };
    case 'cold':
      return {
        title: `Cold ${night}: ${degrees}.`,
        tasks: `Fleece by dusk, weighted down, until ${shortDay(to, today)}; water in the mornings only, and little. Brown edges some days later would be from this.`,
      };
    case 'hot':
      return {
        title: `Hot on ${span}: up to ${degrees}.`,
        tasks:
          'Water early, shade what stands in the open, and look a second time after noon. Shade off in the evening.',
      };
    case 'heat-wave':
      return {
        title: `Heat from ${shortDay(from, today)} to ${shortDay(to, today)}, up to ${degrees}.`,
        tasks:
          'Water early, shade what stands in the open, and look twice a day until it is over. Pick early; no feed on dry mix. Drink yourself, and work in the morning.',
      };
    case 'swing':
      return {
        title: `From night to day ${degreesBetween(value, unitFormat)} on ${span}.`,
        tasks: 'Close up before dusk and air early. Young plants stay sheltered that day.',
      };
    case 'wind':
      return {
        title: `Wind on ${span}: about ${windWords(value, unitFormat)}.`,
        tasks:
          'Tie in, take cloth down or weigh it, and move light bags to the wall. Look at canes afterwards.',
      };
  }
}
