import { join } from 'node:path';
import { installWhenNeeded, ROOT, run } from './install.mjs';

installWhenNeeded();
run('npx', ['tsx', 'scripts/make-demo.ts'], { cwd: join(ROOT, 'web') });
run('npx', ['vite'], { cwd: join(ROOT, 'web') });
