import * as z from '@rundel/core/schema';

/** A town by which a grower's place is named. */
export interface Town {
  readonly name: string;
  /** two letters */
  readonly country: string;
  /** negative south of the equator */
  readonly latitudeDegrees: number;
  /** which of several of its name */
  readonly province?: string;
  readonly timeZone: string;
}

const listSchema = z.record(
  z.string(),
  z.array(z.array(z.union([z.string(), z.number()])).check(z.minLength(3), z.maxLength(4))),
);

/** The towns that ship with the app, of each time zone the largest first. */
export async function fetchTowns(): Promise<readonly Town[]> {
  const answer = await fetch(`${import.meta.env.BASE_URL}towns.json`);
  if (!answer.ok) throw new Error(`The list of towns could not be read (${answer.status}).`);
  return readTowns(await answer.json());
}

/** @param list as it ships: rows by time zone */
export function readTowns(list: unknown): readonly Town[] {
  return Object.entries(listSchema.parse(list)).flatMap(([timeZone, rows]) =>
    rows.map(([name, country, latitude, province]): Town => ({
      name: String(name),
      country: String(country),
      latitudeDegrees: Number(latitude),
      ...(province === undefined ? {} : { province: String(province) }),
      timeZone,
    })),
  );
}
