import { spawn } from 'node:child_process';
import { build, installWhenNeeded, ROOT } from './install.mjs';

installWhenNeeded();
build();
// tsx is run by node itself, so that Ctrl C reaches the server and nothing stays behind
const server = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
  cwd: ROOT,
  stdio: 'inherit',
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
