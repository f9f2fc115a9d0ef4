import { config, z } from 'zod';

/**
 * Zod, set up once before any schema is made. It would otherwise try to compile schemas with `new Function`, which
 * the page's content policy forbids; schemas are therefore always made with the `z` of this module.
 */
config({ jitless: true });

export { z };
