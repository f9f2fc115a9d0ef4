/**
 * Writes the tables of docs/garden-file.md from the schemas, between the marks that name them. What a field means stands in
 * prose beside them; which fields there are, of what type and in what bounds, stands here alone.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { ENTRY_SCHEMAS, RECORD_SCHEMAS, settingsSchema } from '@rundel/core/records';
import * as z from '@rundel/core/schema';

interface Shape {
  readonly type?: string;
  readonly const?: unknown;
  readonly enum?: readonly unknown[];
  readonly pattern?: string;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly properties?: Readonly<Record<string, Shape>>;
  readonly required?: readonly string[];
  readonly items?: Shape;
  readonly anyOf?: readonly Shape[];
  readonly oneOf?: readonly Shape[];
  readonly additionalProperties?: Shape | boolean;
}

/** Fields that every record and every entry has; they are named once. */
const OF_RECORDS = new Set(['id', 'createdAt', 'changedAt', 'binnedAt']);
const OF_ENTRIES = new Set(['id', 'kind', 'at', 'recordedAt', 'who', 'note', 'replaces', 'photoIds']);
const MOST_SAFE = Number.MAX_SAFE_INTEGER;

const shapeOf = (schema: z.ZodMiniType): Shape =>
  z.toJSONSchema(schema, { unrepresentable: 'any', io: 'input' }) as Shape;

function boundsOf({ type, minimum, maximum }: Shape): string {
  const noun = type === 'integer' ? 'whole number' : 'number';
  const low = minimum !== undefined && minimum > -MOST_SAFE ? minimum : undefined;
  const high = maximum !== undefined && maximum < MOST_SAFE ? maximum : undefined;
  if (low === z.LEAST) return high === undefined ? `${noun} above 0` : `${noun} above 0, to ${high}`;
  if (low !== undefined && high !== undefined) return `${noun}, ${low} to ${high}`;
  if (low !== undefined) return `${noun} from ${low}`;
  return high === undefined ? noun : `${noun} up to ${high}`;
}

/** A type in words. */
function typeOf(shape: Shape): string {
  if (shape.const !== undefined) return `\`${String(shape.const)}\``;
  if (shape.enum) return shape.enum.map((value) => `\`${String(value)}\``).join(', ');
  const choices = shape.anyOf ?? shape.oneOf;
  if (choices) return choices.map(typeOf).join(' or ');
  switch (shape.type) {
    case 'number':
    case 'integer':
      return boundsOf(shape);
    case 'boolean':
      return 'yes or no';
    case 'string':
      return textOf(shape.pattern);
    case 'array':
      return `list of ${typeOf(shape.items ?? {})}`;
    case 'object':
      return shape.properties
        ? `{ ${fieldsOf(shape).join('; ')} }`
        : `${typeOf(typeof shape.additionalProperties === 'object' ? shape.additionalProperties : {})} by name`;
    default:
      return 'any';
  }
}

/** What a text may be, by its pattern: an id names its table. */
function textOf(pattern: string | undefined): string {
  const prefix = /^\^\(?\??:?([a-z]{3})_/.exec(pattern ?? '')?.[1];
  return prefix ? `id \`${prefix}_…\`` : 'text';
}

function fieldsOf(
  { properties = {}, required = [] }: Shape,
  without: ReadonlySet<string> = new Set(),
): string[] {
  return Object.entries(properties)
    .filter(([name]) => !without.has(name))
    .map(([name, shape]) => `\`${name}\`${required.includes(name) ? '' : '?'} ${typeOf(shape)}`);
}

function table(heads: readonly string[], rows: readonly (readonly string[])[]): string {
  const line = (cells: readonly string[]) => `| ${cells.join(' | ')} |`;
  return [line(heads), line(heads.map(() => '---')), ...rows.map(line)].join('\n');
}

const rowOf = (name: string, shape: Shape, without: ReadonlySet<string>) => [
  `\`${name}\``,
  fieldsOf(shape, without).join('; ') || 'nothing more',
];

/** The tables by the name of their mark. */
export function formatTables(): Readonly<Record<string, string>> {
  return {
    settings: table(
      ['field', 'what it may be'],
      fieldsOf(shapeOf(settingsSchema), OF_RECORDS).map((field) => {
        const [name = '', ...rest] = field.split(' ');
        return [name, rest.join(' ')];
      }),
    ),
    records: table(
      ['table', 'fields'],
      Object.entries(RECORD_SCHEMAS)
        .filter(([name]) => name !== 'entries')
        .map(([name, schema]) => rowOf(name, shapeOf(schema), OF_RECORDS)),
    ),
    entries: table(
      ['kind', 'fields'],
      ENTRY_SCHEMAS.map((schema) =>
        rowOf(schema.shape.kind.def.values[0] ?? '', shapeOf(schema), OF_ENTRIES),
      ),
    ),
  };
}

/** A page with each table in place between its marks. */
export function withTables(page: string): string {
  return Object.entries(formatTables()).reduce((text, [name, rows]) => {
    const [start, end] = [`<!-- table: ${name} -->`, `<!-- end of table: ${name} -->`];
    const [from, to] = [text.indexOf(start), text.indexOf(end)];
    if (from < 0 || to < from) throw new Error(`docs/garden-file.md has no place for the table of ${name}`);
    return `${text.slice(0, from + start.length)}\n<!-- prettier-ignore -->\n${rows}\n\n${text.slice(to)}`;
  }, page);
}

export const PAGE = new URL('../docs/garden-file.md', import.meta.url);

if (process.argv[1] === import.meta.filename) writeFileSync(PAGE, withTables(readFileSync(PAGE, 'utf8')));
