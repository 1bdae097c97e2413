/** All benchmarks. Every figure is a ratio measured in this one run. */
import { loadShaper } from '@hovrin/files';
import { relayout } from './relayout.ts';

const results = relayout(await loadShaper());
if (process.argv.includes('--json')) console.log(JSON.stringify(results));
else
  for (const { name, against, ratio, aim } of results)
    console.log(`${name}: ${ratio} times as fast as ${against}${aim === null ? '' : ` (aim ${aim})`}`);
