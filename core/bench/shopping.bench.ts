import { DEFAULT_ASSUMED } from '../src/assumed/index.ts';
import { chanceFrom } from '../hidden/index.ts';
import { INGREDIENTS, mixFrom } from '../src/mixes/index.ts';
import { needsOf, shoppingList, type KnownPack } from '../src/stock/index.ts';

/**
 * Time of a shopping list for 200 bags: 12 ingredients in all, 40 pack sizes, odd sizes and prices.
 * Prints one line of JSON: the median and the slowest over lists that differ, after warming up.
 */
const BAGS = 200;
const PACKS = 40;
const RUNS = 60;
const WARM_UP = 10;

const chance = chanceFrom(17);
const ingredients = INGREDIENTS.slice(0, 12);
const mixes = ingredients.map((first, i) =>
  mixFrom({
    id: `mix_bench${i}`,
    name: 'bench',
    parts: [0, 1, 2, 3].map((step) => ({
      ingredientId: ingredients[(i + step) % ingredients.length]?.id ?? first.id,
      parts: 1 + Math.floor(chance.next() * 4),
    })),
  }),
);

/** One list's worth: bags of 10 to 90 L, packs of 8 to 120 L at about the same price a litre. */
function draw() {
  const bags = Array.from({ length: BAGS }, (_, i) => ({
    mix: mixes[i % mixes.length] ?? mixFrom({ id: 'none', name: 'none', parts: [] }),
    looseLitres: 10 + 80 * chance.next(),
  }));
  const packs = Array.from({ length: PACKS }, (_, i): KnownPack => {
    const amount = Math.round((8 + 112 * chance.next()) * 10) / 10;
    const price = Math.round(amount * (0.14 + 0.04 * chance.next()) * 100) / 100;
    return { id: `pak_bench${i}`, productId: ingredients[i % ingredients.length]?.id ?? '', amount, price };
  });
  return { bags, packs };
}

const times: number[] = [];
for (let run = 0; run < RUNS + WARM_UP; run++) {
  const { bags, packs } = draw();
  const started = performance.now();
  const list = shoppingList(needsOf(bags, DEFAULT_ASSUMED), packs);
  if (list.lines.length < 12) throw new Error('the bench shops for fewer than twelve ingredients');
  if (run >= WARM_UP) times.push(performance.now() - started);
}
times.sort((a, b) => a - b);
const round = (ms: number | undefined) => Math.round((ms ?? 0) * 100) / 100;
console.log(
  JSON.stringify({
    bags: BAGS,
    packs: PACKS,
    runs: RUNS,
    medianMs: round(times[Math.floor(times.length / 2)]),
    slowestMs: round(times.at(-1)),
  }),
);
