/**
 * `npm run demo`: installs and builds what is missing, then starts the server with the demo data.
 * Words behind `--` go to the server: --port N, --fresh, --yes, --data FOLDER.
 */
import { installPackages, requireNode } from './install.mjs';

requireNode();
installPackages();
const { ensureBuilt } = await import('./build.mjs');
await ensureBuilt(undefined, (name) => console.log(`Building ${name} …`));
// The server reads the words behind the script's name, as if it had been started by itself.
await import('../packages/server/dist/server.mjs');
