import { readdirSync } from 'node:fs';
import { basename, join } from 'node:path';

const HERE = import.meta.dirname;
const STARTED = readdirSync(HERE).filter((file) => /\.(bench|worker)\.ts$/.test(file));

/** The benches built as the app is (its target, made small): what is measured is what a grower's browser runs. */
export default {
  root: HERE,
  logLevel: 'warn',
  publicDir: false,
  build: {
    ssr: true,
    target: 'es2022',
    minify: true,
    rolldownOptions: {
      input: Object.fromEntries(STARTED.map((file) => [basename(file, '.ts'), join(HERE, file)])),
    },
  },
};
