import { existsSync } from 'node:fs';
import { join } from 'node:path';
import express, { type ErrorRequestHandler, type Express, type RequestHandler } from 'express';
import expressStaticGzip from 'express-static-gzip';
import { calendarFeed, calendarRoutes } from './calendars.ts';
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
  "object-src 'none'",
  "form-action 'self'",
  "frame-ancestors 'none'",
].join('; ');

/** Names by which a machine calls itself. */
const OWN_NAMES = ['localhost', '127.0.0.1', '[::1]'];

/**
 * Answers only to names of this machine. A page elsewhere that makes its own name lead here would otherwise be let in as if it were
 * the app.
 */
function ownNamesOnly(names: readonly string[]): RequestHandler {
  const known = new Set([...OWN_NAMES, ...names].map((name) => name.toLowerCase()));
  return (request, response, next) => {
    const host = (request.headers.host ?? '').toLowerCase().replace(/:\d+$/, '');
    if (known.has(host)) return next();
    response.status(421).json({ error: 'This server is not called by that name.' });
  };
}

/** What went wrong, in words and without where: no path, no trace. */
const inWords: ErrorRequestHandler = (error: unknown, _, response, next) => {
  if (response.headersSent) return next(error);
  const { status, type } = (error ?? {}) as { status?: number; type?: string };
  const known = typeof status === 'number' && status >= 400 && status < 500 ? status : 500;
  const words =
    type === 'entity.too.large'
      ? 'That is too large.'
      : type === 'entity.parse.failed'
        ? 'What was sent is no JSON.'
        : known === 404
          ? 'There is no such file.'
          : known < 500
            ? 'The request does not read.'
            : 'The server failed at this.';
  response.status(known).json({ error: words });
};

/** The simulated place is the same on every machine. */
const SEED = 4617;

/** Files of a folder, packed to a third where the build has packed them: a phone in the garden has a thin line. */
const packed = (
  folder: string,
  serveStatic: Required<expressStaticGzip.ExpressStaticGzipOptions>['serveStatic'],
) => expressStaticGzip(folder, { index: false, serveStatic });

export interface ServerOptions {
  /** further names of this machine that it is called by, beside those of itself */
  readonly names?: readonly string[];
  /** where calendars for phones lie */
  readonly calendars: string;
}

/**
 * The server: the built app, the simulated devices, and calendars that phones subscribe to.
 *
 * @param dist folder of the built app
 * @throws Error when the app has not been built
 */
export function createApp(dist: string, { names = [], calendars }: ServerOptions): Express {
  const page = join(dist, 'index.html');
  if (!existsSync(page))
    throw new Error(`There is no built app in ${dist}. Run "npm run demo", which builds it first.`);
  const app = express();
  app.disable('x-powered-by');
  app.use((_, response, next) => {
    response.set('Content-Security-Policy', CONTENT_POLICY);
    response.set('X-Content-Type-Options', 'nosniff');
    response.set('Referrer-Policy', 'no-referrer');
    response.set('Cross-Origin-Opener-Policy', 'same-origin');
    response.set('Cross-Origin-Resource-Policy', 'same-origin');
    next();
  });
  app.use(ownNamesOnly(names));
  app.get('/api/health', (_, response) => {
    response.json({ app: 'rundel', ok: true });
  });
  app.use('/api/calendar', calendarRoutes(calendars));
  app.use('/calendar', calendarFeed(calendars));
  app.use('/api', express.json({ limit: '10kb' }), deviceRoutes(SEED));
  app.use('/api', (_, response) => {
    response.status(404).json({ error: 'There is nothing at this address.' });
  });
  app.use('/assets', packed(join(dist, 'assets'), { immutable: true, maxAge: '365d', fallthrough: false }));
  // the service worker must be asked for anew each time, or an old build would never be replaced
  app.get('/sw.js', (_, response) => {
    response.set('Cache-Control', 'no-cache').sendFile(join(dist, 'sw.js'));
  });
  app.use(packed(dist, { maxAge: 0 }));
  // every other address is a place in the app
  app.get(/.*/, (request, response) => {
    if (/\.\w+$/.test(request.path)) response.status(404).type('text').send('There is no such file.');
    else response.set('Cache-Control', 'no-cache').sendFile(page);
  });
  app.use(inWords);
  return app;
}
