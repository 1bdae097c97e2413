/** `npm run parity`: random documents in the core and in Chromium; `-- --documents N --seed N`. */
import { runBundled } from './bundled.mjs';

process.exit(await runBundled('tests/parity/full.ts', process.argv.slice(2)));
