import en from 'zod/v4/locales/en.js';
import { config, gte } from 'zod/mini';

/**
 * Zod, set up once before any schema is made. It would otherwise try to compile schemas with `new Function`, which
 * the page's content policy forbids; so schemas are always made with this module, as `import * as z`. Its small form, in which
 * checks are functions of their own, lets bundlers leave out what nobody uses: two thirds of what is loaded first of it.
 */
config({ jitless: true, ...en() });

export * from 'zod/mini';

/**
 * Above nothing by enough to reckon with: a thousandth of a gram, a millionth of a litre. What is smaller no grower means, and what is
 * divided by it runs out of numbers.
 */
export const aboveZero = () => gte(LEAST, { error: 'Too small: expected number to be above 0' });
export const LEAST = 1e-6;
