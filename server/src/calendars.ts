import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import express, { Router } from 'express';

/** Nobody guesses it: whoever knows the address may read the calendar, as a phone that follows it does. */
const TOKEN = /^[0-9a-z]{24,40}$/;
/** So many calendars are kept; the one that was not written for longest goes. */
const MOST = 20;
const LARGEST = '1mb';

/**
 * Calendars that phones subscribe to. The app puts one here each time it has changed; the server only hands it on and looks for no
 * garden in it.
 *
 * @param folder where they lie, one file each
 */
export function calendarRoutes(folder: string): Router {
  const routes = Router();
  const fileOf = (token: string) => join(folder, `${token}.ics`);
  routes.put('/:token', express.text({ type: 'text/calendar', limit: LARGEST }), (request, response) => {
    const { token } = request.params;
    const text: unknown = request.body;
    if (!TOKEN.test(token))
      return void response.status(400).json({ error: 'That is no address of a calendar.' });
    if (typeof text !== 'string' || !/^BEGIN:VCALENDAR\r?\n/.test(text))
      return void response.status(400).json({ error: 'What was sent is no calendar.' });
    mkdirSync(folder, { recursive: true });
    writeFileSync(fileOf(token), text);
    sweep(folder);
    response.json({ path: `/calendar/${token}.ics` });
  });
  routes.delete('/:token', (request, response) => {
    const { token } = request.params;
    if (TOKEN.test(token)) rmSync(fileOf(token), { force: true });
    response.json({ gone: true });
  });
  return routes;
}

/** Hands a calendar to whoever knows its address. */
export function calendarFeed(folder: string): Router {
  const routes = Router();
  routes.get('/:file', (request, response) => {
    const token = /^(.*)\.ics$/.exec(request.params.file)?.[1] ?? '';
    const file = join(folder, `${token}.ics`);
    if (!TOKEN.test(token) || !existsSync(file))
      return void response.status(404).json({ error: 'There is no calendar at this address (any more).' });
    response.set('Cache-Control', 'no-cache').type('text/calendar').send(readFileSync(file, 'utf8'));
  });
  return routes;
}

function sweep(folder: string): void {
  const files = readdirSync(folder)
    .filter((name) => name.endsWith('.ics'))
    .map((name) => ({ name, at: statSync(join(folder, name)).mtimeMs }))
    .sort((a, b) => b.at - a.at);
  for (const { name } of files.slice(MOST)) rmSync(join(folder, name), { force: true });
}
