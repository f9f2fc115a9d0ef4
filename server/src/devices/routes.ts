import { isDay } from '@rundel/core/calendar';
import { momentSchema } from '@rundel/core/records';
import { Router, type Request, type Response } from 'express';
import * as z from 'zod';
import { DEVICES, FAULTS, later, SilentDevice, Simulator } from './simulator.ts';

const day = z.string().refine(isDay, 'A day is written 2026-07-16.');
const span = z
  .object({ from: day, to: day })
  .refine(({ from, to }) => from <= to, 'The span ends before it begins.');
const ahead = z.object({ from: day, days: z.coerce.number().int().min(1).max(10).default(10) });
const moment = z.object({ at: momentSchema });
const stream = z.object({
  from: momentSchema,
  /** simulated seconds in a real one */
  speed: z.coerce.number().min(1).max(86_400).default(600),
});
const fault = z.object({ fault: z.enum(FAULTS) });
const drip = z.object({ litresADay: z.number().min(0).max(50) });

/** Live readings come this often, and a stream ends by itself after so many. */
const TICK_MILLISECONDS = 1000;
const MOST_TICKS = 3600;
/** So many listen at once; a tab that is open needs one. */
const MOST_LISTENERS = 24;

/** The simulated devices over HTTP (docs/devices.md): JSON, and server-sent events for live readings. */
export function deviceRoutes(seed: number): Router {
  const simulator = new Simulator(seed);
  const routes = Router();
  let listeners = 0;
  const find = (request: Request) => DEVICES.find(({ id }) => id === request.params['id']);

  routes.get('/station/days', (request, response) => {
    const asked = check(span, request.query, response);
    if (!asked) return;
    const days = simulator.days(asked.from, asked.to).map(({ clearness, ...known }) => ({
      ...known,
      sunHours: Math.round(clearness * 130) / 10,
    }));
    response.json({ days });
  });

  routes.get('/station/forecast', (request, response) => {
    const asked = check(ahead, request.query, response);
    if (!asked) return;
    const days = simulator.forecast(asked.from, asked.days).map(({ clearness, ...foretold }) => ({
      ...foretold,
      sunHours: Math.round(clearness * 130) / 10,
    }));
    response.json({ days });
  });

  routes.get('/station/now', (request, response) => {
    const asked = check(moment, request.query, response);
    if (!asked) return;
    const air = simulator.air(asked.at);
    if (!air) response.status(422).json({ error: 'The station has no record of that day.' });
    else response.json({ at: asked.at, celsius: air.celsius });
  });

  routes.get('/devices', (_, response) => {
    response.json({ devices: DEVICES });
  });

  routes.get('/devices/:id/reading', (request, response) => {
    const device = find(request);
    const asked = check(moment, request.query, response);
    if (!asked) return;
    if (!device) response.status(404).json({ error: 'There is no such device.' });
    else answer(response, () => simulator.read(device.id, asked.at));
  });

  routes.put('/devices/:id/fault', (request, response) => {
    const device = find(request);
    const asked = check(fault, request.body, response);
    if (!asked) return;
    if (!device) response.status(404).json({ error: 'There is no such device.' });
    else {
      simulator.setFault(device.id, asked.fault);
      response.json({ deviceId: device.id, fault: asked.fault });
    }
  });

  routes.put('/devices/timer-a/setting', (request, response) => {
    const asked = check(drip, request.body, response);
    if (!asked) return;
    simulator.setDrip(asked.litresADay);
    response.json(asked);
  });

  routes.get('/stream', (request, response) => {
    const asked = check(stream, request.query, response);
    if (!asked) return;
    if (listeners >= MOST_LISTENERS) {
      response.status(503).json({ error: 'Too many listen already. Close a tab that does.' });
      return;
    }
    listeners += 1;
    response.set({
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-cache',
      Connection: 'keep-alive',
    });
    response.flushHeaders();
    let ticks = 0;
    const tick = () => {
      const at = later(asked.from, ticks * asked.speed);
      for (const device of DEVICES) {
        try {
          response.write(`event: reading\ndata: ${JSON.stringify(simulator.read(device.id, at))}\n\n`);
        } catch (cause) {
          // silence is told as such: a listener must be able to tell it from a broken line
          const problem = cause instanceof Error ? cause.message : String(cause);
          response.write(`event: silent\ndata: ${JSON.stringify({ deviceId: device.id, at, problem })}\n\n`);
        }
      }
      ticks += 1;
      if (ticks >= MOST_TICKS) response.end();
    };
    tick();
    const timer = setInterval(tick, TICK_MILLISECONDS);
    response.on('close', () => {
      clearInterval(timer);
      listeners -= 1;
    });
  });
  return routes;
}

/** A request's input by its schema; answered with what is wrong where it does not read. */
function check<T extends z.ZodType>(schema: T, input: unknown, response: Response): z.output<T> | undefined {
  const read = schema.safeParse(input);
  if (read.success) return read.data;
  const issue = read.error.issues[0];
  response
    .status(400)
    .json({ error: `${issue?.path.join('.') || 'The request'}: ${issue?.message ?? 'does not read'}` });
  return undefined;
}

function answer(response: Response, read: () => unknown): void {
  try {
    response.json(read());
  } catch (cause) {
    const error = cause instanceof Error ? cause.message : String(cause);
    response.status(cause instanceof SilentDevice ? 504 : 422).json({ error });
  }
}
