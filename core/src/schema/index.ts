import en from 'zod/v4/locales/en.js';
import { config } from 'zod/mini';

/**
 * Zod, set up once before any schema is made. It would otherwise try to compile schemas with `new Function`, which
 * the page's content policy forbids; so schemas are always made with this module, as `import * as z`. Its small form, in which
 * checks are functions of their own, lets bundlers leave out what nobody uses: two thirds of what is loaded first of it.
 */
config({ jitless: true, ...en() });

export * from 'zod/mini';
