import {
  ENTRY_SCHEMAS,
  RECORD_SCHEMAS,
  settingsSchema,
  type Entry,
  type Garden,
  type TableName,
} from '../src/records/index.ts';
import * as z from '../src/schema/index.ts';

/** A number from 0 to 1, the same sequence for the same seed. */
export type Random = () => number;

export function randomFrom(seed: number): Random {
  let state = seed >>> 0 || 1;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}

const among = <T>(random: Random, all: readonly T[]): T => all[Math.floor(random() * all.length)] as T;

/** What a broken disk, a broken editor and a bored child do to a text. */
const DAMAGES: readonly ((text: string, random: Random) => string)[] = [
  (text, r) => text.slice(0, Math.floor(r() * text.length)),
  (text, r) => text.slice(Math.floor(r() * text.length * 0.2)),
  (text, r) => {
    const at = Math.floor(r() * text.length);
    return text.slice(0, at) + String.fromCharCode(32 + Math.floor(r() * 90)) + text.slice(at + 1);
  },
  (text, r) => {
    const at = Math.floor(r() * text.length);
    return text.slice(0, at) + text.slice(at + 1 + Math.floor(r() * 400));
  },
  (text, r) => {
    const lines = text.split('\n');
    const at = Math.floor(r() * lines.length);
    return [...lines.slice(0, at), lines[at] ?? '', ...lines.slice(at)].join('\n');
  },
  (text, r) => {
    const lines = text.split('\n');
    lines.splice(Math.floor(r() * lines.length), 1 + Math.floor(r() * 3));
    return lines.join('\n');
  },
  // a number becomes another thing
  (text, r) => {
    const numbers = [...text.matchAll(/:(-?\d+(?:\.\d+)?)/g)];
    const found = among(r, numbers);
    if (!found) return text;
    const other = among(r, [
      '1e999',
      '-1',
      '0',
      '5e-324',
      '"7"',
      'null',
      '[]',
      '{}',
      '1e308',
      'NaN',
      '0x10',
      '01',
      'true',
    ]);
    return `${text.slice(0, found.index + 1)}${other}${text.slice(found.index + found[0].length)}`;
  },
  // a text becomes another thing
  (text, r) => {
    const texts = [...text.matchAll(/:"([^"\\]*)"/g)];
    const found = among(r, texts);
    if (!found) return text;
    const other = among(r, [
      '""',
      '"__proto__"',
      '"constructor"',
      `"${'x'.repeat(5000)}"`,
      'null',
      '7',
      '"0000-01-01"',
      '"9999-12-31T23:59:59.999Z"',
      '"<script>alert(1)</script>"',
      '"\\u0000"',
      '"\\ud800"',
      '["a"]',
      '"=HYPERLINK(1)"',
      '"con_aaaaaa"',
    ]);
    return `${text.slice(0, found.index + 1)}${other}${text.slice(found.index + found[0].length)}`;
  },
  // a field is called otherwise
  (text, r) => {
    const names = [...text.matchAll(/"(\w+)":/g)];
    const found = among(r, names);
    if (!found) return text;
    const other = among(r, ['__proto__', 'id', 'kind', 'toString', '', 'entries', 'x']);
    return `${text.slice(0, found.index)}"${other}":${text.slice(found.index + found[0].length)}`;
  },
  // something is nested without end
  (text, r) => {
    const found = among(r, [...text.matchAll(/:(\d+)/g)]);
    if (!found) return text;
    const deep = 100 + Math.floor(r() * 20_000);
    const nest =
      r() < 0.5 ? `${'['.repeat(deep)}${']'.repeat(deep)}` : `${'{"a":'.repeat(deep)}1${'}'.repeat(deep)}`;
    return `${text.slice(0, found.index + 1)}${nest}${text.slice(found.index + found[0].length)}`;
  },
  (text) => text.replaceAll('\n', ''),
  (text, r) => text + among(r, ['x', '\0', '}', text.slice(0, 200), '\uFEFF']),
];

/** A text with one to four things wrong with it. */
export function damaged(text: string, random: Random): string {
  const times = 1 + Math.floor(random() * 4);
  let hurt = text;
  for (let i = 0; i < times; i++) hurt = among(random, DAMAGES)(hurt, random);
  return hurt;
}

interface Shape {
  readonly type?: string;
  readonly const?: unknown;
  readonly enum?: readonly unknown[];
  readonly minimum?: number;
  readonly maximum?: number;
  readonly exclusiveMinimum?: number;
  readonly properties?: Readonly<Record<string, Shape>>;
  readonly required?: readonly string[];
  readonly items?: Shape;
  readonly anyOf?: readonly Shape[];
  readonly oneOf?: readonly Shape[];
  readonly pattern?: string;
  readonly maxLength?: number;
  readonly minItems?: number;
  readonly maxItems?: number;
}

const shapes = new Map<z.ZodMiniType, Shape>();
function shapeOf(schema: z.ZodMiniType): Shape {
  const known = shapes.get(schema);
  if (known) return known;
  const shape = z.toJSONSchema(schema, { unrepresentable: 'any', io: 'input' }) as Shape;
  shapes.set(schema, shape);
  return shape;
}

const DAYS = ['1950-01-01', '2024-02-29', '2026-07-16', '2026-12-31', '2199-12-31'];

/** A value at the edge of what a schema lets through. */
function extreme(shape: Shape, random: Random, before: unknown): unknown {
  if (shape.const !== undefined) return shape.const;
  if (shape.enum) return among(random, shape.enum);
  const choices = shape.anyOf ?? shape.oneOf;
  if (choices) return extreme(among(random, choices), random, before);
  switch (shape.type) {
    case 'number':
    case 'integer': {
      const low = shape.minimum ?? shape.exclusiveMinimum ?? -1e6;
      const high = shape.maximum ?? 1e6;
      const number = among(random, [low, high, low + (high - low) * random(), 0, 1]);
      return shape.type === 'integer' ? Math.round(number) : number;
    }
    case 'boolean':
      return random() < 0.5;
    case 'array': {
      const count = Math.max(shape.minItems ?? 0, Math.min(shape.maxItems ?? 4, Math.floor(random() * 4)));
      return Array.from({ length: count }, () => extreme(shape.items ?? {}, random, undefined));
    }
    case 'object': {
      const fields = Object.entries(shape.properties ?? {});
      return Object.fromEntries(
        fields.flatMap(([name, inside]) =>
          shape.required?.includes(name) || random() < 0.5
            ? [[name, extreme(inside, random, undefined)]]
            : [],
        ),
      );
    }
    case 'string':
      return textLike(shape, random, before);
    default:
      return before;
  }
}

function textLike(shape: Shape, random: Random, before: unknown): unknown {
  const prefix = /\^\(?\??:?([a-z]{3})_/.exec(shape.pattern ?? '')?.[1];
  if (prefix)
    return random() < 0.5 ? (before ?? `${prefix}_nowhere0`) : `${prefix}_nowhere${Math.floor(random() * 9)}`;
  if (typeof before === 'string' && /^\d{4}-\d{2}-\d{2}T/.test(before))
    return `${among(random, DAYS)}${before.slice(10)}`;
  if (typeof before === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(before)) return among(random, DAYS);
  const long = Math.min(shape.maxLength ?? 40, 300);
  return among(random, [
    'x',
    'Ä'.repeat(long),
    '__proto__',
    '<b>',
    '٣',
    'no-such-id',
    ' '.repeat(3) + 'y',
    '💧'.repeat(long >> 1),
  ]);
}

/** A row with a few of its fields at their edges, as long as its schema still takes it. */
function atItsEdges<T extends object>(row: T, schema: z.ZodMiniType, random: Random): T {
  const properties = shapeOf(schema).properties ?? {};
  let now = row;
  for (let i = 0; i < 1 + random() * 3; i++) {
    const name = among(random, Object.keys(properties));
    if (
      name === undefined ||
      name === 'id' ||
      name === 'kind' ||
      name === 'createdAt' ||
      name === 'changedAt'
    )
      continue;
    const value = extreme(properties[name] as Shape, random, (now as Record<string, unknown>)[name]);
    const next = { ...now, [name]: value };
    const read = schema.safeParse(next);
    if (read.success) now = read.data as T;
  }
  return now;
}

/**
 * A garden that every schema lets through and no grower has: fields at their edges, ids that lead nowhere, corrections and removals
 * in rings, everything on one day or centuries apart.
 */
export function absurd(garden: Garden, random: Random): Garden {
  const share = among(random, [0.1, 0.5, 1]);
  const tables = Object.fromEntries(
    (Object.keys(RECORD_SCHEMAS) as TableName[]).map((table) => {
      const rows = garden[table] as readonly { readonly id: string }[];
      const schema: z.ZodMiniType = RECORD_SCHEMAS[table];
      if (random() < 0.05) return [table, []];
      return [table, rows.map((row) => (random() < share ? atItsEdges(row, schema, random) : row))];
    }),
  );
  const byKind = new Map(ENTRY_SCHEMAS.map((schema) => [schema.shape.kind.def.values[0] as string, schema]));
  const entries = garden.entries.map((entry): Entry => {
    if (random() >= share) return entry;
    const edged = atItsEdges(entry, byKind.get(entry.kind) as unknown as z.ZodMiniType, random);
    if (random() > 0.1) return edged;
    const other = among(random, garden.entries);
    return { ...edged, replaces: other?.id ?? edged.id };
  });
  const removals = garden.entries.slice(0, Math.floor(random() * 30)).map((entry, i): Entry => ({
    kind: 'removed',
    id: `ent_absurd${String(i).padStart(4, '0')}`,
    at: entry.at,
    recordedAt: entry.recordedAt,
    removes: random() < 0.5 ? entry.id : `ent_absurd${String((i + 1) % 7).padStart(4, '0')}`,
  }));
  return {
    ...garden,
    ...tables,
    settings: atItsEdges(garden.settings, settingsSchema, random),
    entries: random() < 0.05 ? [] : [...entries, ...removals],
  } as Garden;
}
