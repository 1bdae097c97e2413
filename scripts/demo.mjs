/**
 * `npm run demo`: installs and builds what is missing, then starts the server with the demo data.
 * Words behind `--` go to the server: --port N, --fresh, --yes, --data FOLDER.
 */
import { spawn } from 'node:child_process';
import { dirname, join } from 'node:path';
import { installPackages, requireNode } from './install.mjs';

requireNode();
installPackages();
const { ensureBuilt } = await import('./build.mjs');
await ensureBuilt(undefined, (name) => console.log(`Building ${name} …`));
const server = spawn(
  process.execPath,
  [join(dirname(import.meta.dirname), 'packages/server/dist/server.mjs'), ...process.argv.slice(2)],
  { stdio: 'inherit' },
);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 1));
