import { compare, type Comparison } from './season/compare.ts';

/**
 * The season test: forty bags over four weather years, a hundred and twenty days, two climates. Prints one line of JSON, from
 * which `npm run bench` writes docs/season-test.md.
 */
const started = performance.now();
const trial = { seeds: [11, 12, 13, 14], bagsEach: 10, days: 120 };
const comparisons: readonly Comparison[] = [compare('coolWet', trial), compare('hot', trial)];
console.log(JSON.stringify({ seconds: (performance.now() - started) / 1000, comparisons }));
