import { WIDEST_DAY_DEGREES } from '@rundel/core/records';
import { amountField } from '../form/index.ts';
import { entryForm } from './entry-form.ts';

export const weatherForm = entryForm<'weather'>()({
  fields: () => ({
    min: amountField({ label: 'Coldest', purpose: 'temperature', low: -40, high: 45, isOptional: true }),
    max: amountField({ label: 'Warmest', purpose: 'temperature', low: -30, high: 55, isOptional: true }),
    rain: amountField({ label: 'Rain', purpose: 'rain', low: 0, high: 500, isOptional: true }),
  }),
  start: ({ minCelsius, maxCelsius, rainMillimetres }) => ({
    values: { min: minCelsius, max: maxCelsius, rain: rainMillimetres },
  }),
  check: ({ min, max, rain }) => {
    if (min === undefined && max === undefined && rain === undefined)
      return [{ at: 'min', problem: 'Say one of them, the one that you know.' }];
    const degrees = min === undefined || max === undefined ? 0 : max - min;
    if (degrees < 0) return [{ at: 'max', problem: 'The warmest cannot be colder than the coldest.' }];
    return degrees > WIDEST_DAY_DEGREES
      ? [{ at: 'max', problem: 'No day is so cold and so warm: look at the units.' }]
      : [];
  },
  facts: ({ min, max, rain }) => ({ minCelsius: min, maxCelsius: max, rainMillimetres: rain }),
});
