import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import { deviceRoutes } from './devices/routes.ts';

/** Only what the app ships: no address outside this server is ever asked for anything. */
const CONTENT_POLICY = [
  "default-src 'self'",
  // the loops over a belief's cells are compiled; they come with the app
  "script-src 'self' 'wasm-unsafe-eval'",
  "style-src 'self' 'unsafe-inline'",
  "img-src 'self' data: blob:",
  "font-src 'self' data:",
  "worker-src 'self' blob:",
  "connect-src 'self'",
  "base-uri 'self'",
  "frame-ancestors 'none'",
].join('; ');

/** The simulated place is the same on every machine. */
const SEED = 4617;

/**
 * The server: the built app, and the simulated devices.
 *
 * @param dist folder of the built app
 * @throws Error when the app has not been built
 */
export function createApp(dist: string): Express {
  const page = join(dist, 'index.html');
  if (!existsSync(page))
    throw new Error(`There is no built app in ${dist}. Run "npm run demo", which builds it first.`);
  const app = express();
  app.disable('x-powered-by');
  app.use((_, response, next) => {
    response.set('Content-Security-Policy', CONTENT_POLICY);
    response.set('X-Content-Type-Options', 'nosniff');
    response.set('Referrer-Policy', 'no-referrer');
    next();
  });
  app.get('/api/health', (_, response) => {
    response.json({ app: 'rundel', ok: true });
  });
  app.use('/api', express.json({ limit: '10kb' }), deviceRoutes(SEED));
  app.use('/api', (_, response) => {
    response.status(404).json({ error: 'There is nothing at this address.' });
  });
  // a phone in the garden has a thin line; the app packs to a third. What devices say comes as it comes, and is not held back
  app.use(compression());
  app.use(
    '/assets',
    express.static(join(dist, 'assets'), { immutable: true, maxAge: '365d', fallthrough: false }),
  );
  // the service worker must be asked for anew each time, or an old build would never be replaced
  app.get('/sw.js', (_, response) => {
    response.set('Cache-Control', 'no-cache').sendFile(join(dist, 'sw.js'));
  });
  app.use(express.static(dist, { index: false, maxAge: 0 }));
  // every other address is a place in the app
  app.get(/.*/, (request, response) => {
    if (/\.\w+$/.test(request.path)) response.status(404).type('text').send('There is no such file.');
    else response.set('Cache-Control', 'no-cache').sendFile(page);
  });
  return app;
}
