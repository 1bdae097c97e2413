/** `npm run bench`: the benchmarks, as a table; `-- --json` prints one JSON array instead. */
import { runBundled } from './bundled.mjs';

process.exit(await runBundled('benchmarks/main.ts', process.argv.slice(2)));
