import { amountField } from '../form/index.ts';
import { entryForm } from './entry-form.ts';

export const weatherForm = entryForm<'weather'>()({
  fields: () => ({
    min: amountField({ label: 'Coldest', purpose: 'temperature', low: -40, high: 45 }),
    max: amountField({ label: 'Warmest', purpose: 'temperature', low: -30, high: 55 }),
    rain: amountField({
      label: 'Rain',
      help: 'Empty if you do not know.',
      purpose: 'rain',
      low: 0,
      high: 500,
      isOptional: true,
    }),
  }),
  start: ({ minCelsius, maxCelsius, rainMillimetres }) => ({
    values: { min: minCelsius, max: maxCelsius, rain: rainMillimetres },
  }),
  check: ({ min, max }) =>
    min !== undefined && max !== undefined && min > max
      ? [{ at: 'max', problem: 'The warmest cannot be colder than the coldest.' }]
      : [],
  facts: ({ min, max, rain }) => ({ minCelsius: min, maxCelsius: max, rainMillimetres: rain }),
});
