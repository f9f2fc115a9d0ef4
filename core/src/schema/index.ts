import { config } from 'zod';

/**
 * Zod, set up once before any schema is made. It would otherwise try to compile schemas with `new Function`, which
 * the page's content policy forbids; so schemas are always made with this module, as `import * as z`, which also
 * lets bundlers leave out what nobody uses.
 */
config({ jitless: true });

export * from 'zod';
