/** All benchmarks. Every figure is a ratio measured in this one run. `--json`, `--write`: into docs/. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { loadShaper, workspace } from '@hovrin/files';
import { engines, memory } from './engines.ts';
import { growth, growthPlot } from './growth.ts';
import type { Measured } from './measure.ts';
import { relayout } from './relayout.ts';
import { sweeps } from './sweeps.ts';
import { texts } from './texts.ts';

const shaper = await loadShaper();
const results: Measured[] = [
  ...memory(shaper),
  ...engines(shaper),
  ...relayout(shaper),
  ...texts(shaper),
  ...(await sweeps(shaper)),
];
const grown = growth(shaper);

if (process.argv.includes('--json')) console.log(JSON.stringify([...results, ...grown]));
else {
  for (const { name, against, ratio, aim, unit } of results)
    console.log(
      `${name}: ${ratio} times as ${unit === 'smaller' ? 'small' : 'fast'} as ${against}${aim === null ? '' : ` (aim ${aim})`}`,
    );
  for (const { shape, points } of grown)
    console.log(
      `time per control, ${shape}: ${points.map(({ controls, times }) => `${controls}: ${times}`).join(', ')}`,
    );
}
if (process.argv.includes('--write')) writeFileSync(join(workspace, 'docs/growth.svg'), growthPlot(grown));
