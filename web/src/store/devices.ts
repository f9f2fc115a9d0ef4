import * as z from '@rundel/core/schema';
import { daySchema, momentSchema } from '@rundel/core/records';

/** The devices that answer at this app's own server, as docs/devices.md has them. */

const deviceSchema = z.object({
  id: z.string().check(z.minLength(1), z.maxLength(40)),
  kind: z.enum(['probe', 'scale', 'timer', 'kitchen-scale']),
  name: z.string(),
  unit: z.enum(['percent', 'kilograms', 'litres-a-day']),
});
export type Device = z.infer<typeof deviceSchema>;

const readingSchema = z.object({ deviceId: z.string(), at: momentSchema, value: z.number() });
export type DeviceReading = z.infer<typeof readingSchema>;

const stationDaySchema = z.object({
  day: daySchema,
  minCelsius: z.number().check(z.gte(-40), z.lte(45)),
  maxCelsius: z.number().check(z.gte(-30), z.lte(55)),
  rainMillimetres: z.number().check(z.gte(0), z.lte(500)),
  sunHours: z.number().check(z.gte(0), z.lte(24)),
});
export type StationDay = z.infer<typeof stationDaySchema>;

/** A device that does not answer, or answers what cannot be read; the message is for the grower. */
export class DeviceError extends Error {}

async function ask<T>(path: string, schema: z.ZodMiniType<T>): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, { cache: 'no-store' });
  } catch {
    throw new DeviceError('No devices answer: the server that they are at cannot be reached.');
  }
  const properties: unknown = await response.json().catch(() => undefined);
  if (!response.ok) {
    const said = z.object({ error: z.string() }).safeParse(properties);
    throw new DeviceError(said.success ? said.data.error : `The server answered ${response.status}.`);
  }
  const read = schema.safeParse(properties);
  if (!read.success) throw new DeviceError('What the device sent does not read.');
  return read.data;
}

/** The devices that can be paired. @throws DeviceError */
export async function listDevices(): Promise<readonly Device[]> {
  return (await ask('/api/devices', z.object({ devices: z.array(deviceSchema) }))).devices;
}

/** What a device shows at a moment. @throws DeviceError */
export function readDevice(deviceId: string, at: string): Promise<DeviceReading> {
  return ask(
    `/api/devices/${encodeURIComponent(deviceId)}/reading?at=${encodeURIComponent(at)}`,
    readingSchema,
  );
}

/** The station's days, both ends included. @throws DeviceError */
export async function stationDays(from: string, to: string): Promise<readonly StationDay[]> {
  const path = `/api/station/days?from=${from}&to=${to}`;
  return (await ask(path, z.object({ days: z.array(stationDaySchema) }))).days;
}

/** The days after a day as the station foretells them. @throws DeviceError */
export async function stationForecast(from: string, days: number): Promise<readonly StationDay[]> {
  const path = `/api/station/forecast?from=${from}&days=${days}`;
  return (await ask(path, z.object({ days: z.array(stationDaySchema) }))).days;
}

/**
 * Listens to live readings of a device.
 *
 * @param from the moment at which the stream begins
 * @param onSilent hears that the device or the line is silent
 * @returns ends the listening
 */
export function listenTo(
  deviceId: string,
  from: string,
  onReading: (reading: DeviceReading) => void,
  onSilent: (problem: string) => void,
): () => void {
  const source = new EventSource(`/api/stream?from=${encodeURIComponent(from)}&speed=60`);
  const parse = (event: MessageEvent<string>): unknown => JSON.parse(event.data);
  source.addEventListener('reading', (event) => {
    const read = readingSchema.safeParse(parse(event as MessageEvent<string>));
    if (read.success && read.data.deviceId === deviceId) onReading(read.data);
  });
  source.addEventListener('silent', (event) => {
    const read = z
      .object({ deviceId: z.string(), problem: z.string() })
      .safeParse(parse(event as MessageEvent<string>));
    if (read.success && read.data.deviceId === deviceId) onSilent(read.data.problem);
  });
  source.addEventListener('error', () => onSilent('The line to the server is broken; it is tried again.'));
  return () => source.close();
}
