import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

/** One `@example` of a docblock: the expression, what it should give, and how exactly. */
export interface DocExample {
  readonly file: string;
  readonly line: number;
  readonly expression: string;
  readonly expected: string;
  /** `// =>` asks for equality, `// ≈>` for a tenth of a percent (or half the last digit given) */
  readonly isExact: boolean;
}

const EXPECTS = /^\/\/ (=>|≈>) (.+)$/;

/** Finds every example in the docblocks of a source text. */
export function examplesIn(file: string, source: string): DocExample[] {
  const found: DocExample[] = [];
  let expression: string[] | undefined;
  source.split('\n').forEach((raw, index) => {
    const text = raw.replace(/^\s*\*( |$)/, '').trim();
    if (/^@example\b/.test(text)) expression = [];
    else if (expression !== undefined) {
      const expects = EXPECTS.exec(text);
      if (expects) {
        found.push({
          file,
          line: index + 1,
          expression: expression.join('\n'),
          expected: expects[2] as string,
          isExact: expects[1] === '=>',
        });
        expression = undefined;
      } else expression.push(text);
    }
  });
  return found;
}

/** The TypeScript sources below a folder, tests left out. */
export function sourcesBelow(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return sourcesBelow(path);
    return /\.ts$/.test(entry.name) && !/\.test\.ts$/.test(entry.name) ? [path] : [];
  });
}

export function allExamples(folder: string): DocExample[] {
  return sourcesBelow(folder).flatMap((file) => examplesIn(file, readFileSync(file, 'utf8')));
}
