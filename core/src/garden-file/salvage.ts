/** What can be had of a file whose JSON is broken: its parts that are whole, and how many pieces were not. */
export interface Salvage {
  readonly file: Record<string, unknown>;
  readonly lost: number;
}

/** A part begins with its name at the margin or right behind the bracket: ` "entries": [`. */
const PART = /(?:^|[{,]|\n ?)\s*"(format|version|minor|savedAt|settings|[a-z]+)"\s*:\s*/g;

/**
 * Reads what is whole of a text that is no JSON any more: cut short, with a hole, with letters that were changed. Each row of each
 * table is read by itself; where one is broken, reading goes on at the next line that begins a row.
 *
 * @param text a garden file, as it was saved or without its white space
 */
export function salvage(text: string): Salvage {
  const file: Record<string, unknown> = {};
  let lost = 0;
  let at = 0;
  PART.lastIndex = 0;
  for (let part = PART.exec(text); part; PART.lastIndex = at, part = PART.exec(text)) {
    const name = part[1] ?? '';
    at = PART.lastIndex;
    if (text[at] !== '[') {
      const end = endOfValue(text, at);
      const value = end === undefined ? undefined : parsed(text.slice(at, end));
      if (value === undefined) lost += 1;
      else if (!(name in file)) file[name] = value;
      at = end ?? at;
      continue;
    }
    const rows: unknown[] = [];
    at += 1;
    for (;;) {
      at = afterSpace(text, at);
      if (at >= text.length || text[at] !== '{') break;
      const end = endOfValue(text, at);
      const row = end === undefined ? undefined : parsed(text.slice(at, end));
      const next = nextRow(text, at);
      // a broken row runs on into those behind it
      const isBroken = row === undefined || (next !== undefined && end !== undefined && end > next);
      if (isBroken) lost += 1;
      else rows.push(row);
      if (!isBroken && end !== undefined) at = end;
      else if (next === undefined) break;
      else at = next;
    }
    if (!Array.isArray(file[name])) file[name] = rows;
  }
  return { file, lost };
}

/** Where the next row that stands on a line of its own begins; undefined where its table ends before. */
function nextRow(text: string, from: number): number | undefined {
  const line = /\n( {1,2}\{| ?\])/g;
  line.lastIndex = from;
  const found = line.exec(text);
  return found && !found[0].endsWith(']') ? found.index + found[0].length - 1 : undefined;
}

function afterSpace(text: string, from: number): number {
  let at = from;
  while (at < text.length && /[\s,]/.test(text.charAt(at))) at += 1;
  return at;
}

/** Where a value ends that begins at a place; undefined where it does not. */
function endOfValue(text: string, from: number): number | undefined {
  let depth = 0;
  let isText = false;
  for (let at = from; at < text.length; at++) {
    const sign = text[at];
    if (isText) {
      if (sign === '\\') at += 1;
      else if (sign === '"') isText = false;
      else if (sign === '\n') return undefined;
    } else if (sign === '"') isText = true;
    else if (sign === '{' || sign === '[') depth += 1;
    else if (sign === '}' || sign === ']') {
      if (depth === 0) return at;
      depth -= 1;
    } else if (sign === ',' && depth === 0) return at;
    if (!isText && depth === 0 && at >= from && /["}\]]/.test(text.charAt(at))) return at + 1;
  }
  return undefined;
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
}
