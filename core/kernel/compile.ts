import asc from 'assemblyscript/asc';
import { readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const SOURCE = new URL('./cells.ts', import.meta.url);
const TARGET = new URL('../src/water/cells/compiled-code.ts', import.meta.url);

/** The text of the module that holds the compiled loops. */
export async function compiledModule(): Promise<string> {
  const written = new Map<string, string | Uint8Array>();
  const { error, stderr } = await asc.main(
    'cells.ts -o cells.wasm -O3 --noAssert --runtime stub --use abort= --enable simd'.split(' '),
    {
      readFile: (name) => (name === 'cells.ts' ? readFileSync(SOURCE, 'utf8') : null),
      writeFile: (name, contents) => void written.set(name, contents),
      listFiles: () => [],
    },
  );
  if (error) throw new Error(`The loops do not compile.\n${stderr}`, { cause: error });
  const code = written.get('cells.wasm');
  if (!(code instanceof Uint8Array)) throw new Error('The compiler wrote no code.');
  const text = Buffer.from(code).toString('base64');
  return `/** \`core/kernel/cells.ts\`, compiled by \`npm run kernel\`: WebAssembly in base 64. */\nexport const COMPILED_CODE =\n  '${text}';\n`;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) writeFileSync(TARGET, await compiledModule());
