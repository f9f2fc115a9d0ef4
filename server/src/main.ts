import { hostname, networkInterfaces } from 'node:os';
import { resolve } from 'node:path';
import { createApp } from './app.ts';

/** The browser keeps a garden by address, so the port is fixed: another port would look like an empty garden. */
const DEFAULT_PORT = 4617;
/** Only this machine reaches it, unless the grower says otherwise: a phone that follows the calendar needs `RUNDEL_HOST=0.0.0.0`. */
const HOST = process.env['RUNDEL_HOST'] ?? '127.0.0.1';
const IS_OPEN = HOST !== '127.0.0.1' && HOST !== 'localhost';

/** What this machine is called in its own network. */
const NAMES = IS_OPEN
  ? [
      HOST,
      hostname(),
      `${hostname()}.local`,
      ...Object.values(networkInterfaces()).flatMap((all) => (all ?? []).map(({ address }) => address)),
    ]
  : [];

const port = Number(process.env['RUNDEL_PORT'] ?? DEFAULT_PORT);
if (!Number.isInteger(port) || port < 1 || port > 65535) {
  console.error(`RUNDEL_PORT is "${process.env['RUNDEL_PORT']}"; it must be a whole number from 1 to 65535.`);
  process.exit(2);
}

const server = createApp(resolve(import.meta.dirname, '../../web/dist'), {
  names: NAMES,
  calendars: resolve(import.meta.dirname, '../data/calendars'),
}).listen(port, HOST);

server.on('listening', () => {
  const address = `http://${IS_OPEN ? hostname() : HOST}:${port}`;
  console.log(
    `\n  Rundel is running.\n\n  The demo, Gannet Slip:  ${address}/?garden=demo\n  Your own bags:          ${address}/?garden=own\n\n  Stop it with Ctrl C.\n`,
  );
});

server.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EADDRINUSE') {
    console.error(
      `Port ${port} is taken: perhaps Rundel is running already at http://${HOST}:${port}/.\n` +
        'Close what uses it, or choose another with RUNDEL_PORT=4618 npm run demo. Mind that the browser keeps\n' +
        'each garden by its address: under another port you will find an empty one (nothing is lost).',
    );
  } else console.error(`The server could not start: ${error.message}`);
  process.exit(1);
});

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    server.close(() => process.exit(0));
    server.closeAllConnections();
  });
}
