import { compare, type Comparison, type Truth } from './season/compare.ts';
import { SITUATIONS } from './season/play.ts';

/**
 * The season test: forty bags over four weather years, a hundred and twenty days, two climates, and what a perfect forecast
 * of the weather would be worth. Prints one line of JSON, from which `npm run bench` writes docs/season-test.md.
 */
const started = performance.now();
const trial = { seeds: [11, 12, 13, 14], bagsEach: 10, days: 120 };
const comparisons: readonly (Comparison & { readonly foreseen: Truth })[] = (['coolWet', 'hot'] as const).map(
  (climate) => ({
    ...compare(climate, trial),
    foreseen: compare(climate, { ...trial, only: 'Rundel', foresees: true }).truth,
  }),
);
/** What else may be true of a garden, each beside the same other growers. */
const situations = SITUATIONS.map((situation) => ({
  name: situation.name,
  climates: (['coolWet', 'hot'] as const).map((climate) => compare(climate, { ...trial, situation })),
}));
console.log(JSON.stringify({ situations, seconds: (performance.now() - started) / 1000, comparisons }));
