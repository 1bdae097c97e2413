/**
 * All benchmarks. Every figure is a ratio measured in this one run. `--json`; `--write`: into docs/; `--only NAME`: one
 * of memory, engines, relayout, looks, components, texts, sweeps, checks, rechecks, runs, expressions, tables, words, attended, feel, growth.
 */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { loadShaper, workspace } from '@hovrin/files';
import { attended } from './attended.ts';
import { checks } from './checks.ts';
import { components } from './components.ts';
import { engines, memory } from './engines.ts';
import { expressions } from './expressions.ts';
import { feel } from './feel.ts';
import { growth, growthPlot } from './growth.ts';
import { looks } from './looks.ts';
import type { Measured } from './measure.ts';
import { rechecks } from './rechecks.ts';
import { relayout } from './relayout.ts';
import { runs } from './runs.ts';
import { sweeps } from './sweeps.ts';
import { tables } from './tables.ts';
import { texts } from './texts.ts';
import { words } from './words.ts';

const shaper = await loadShaper();
const { values: options } = parseArgs({
  options: {
    json: { type: 'boolean', default: false },
    write: { type: 'boolean', default: false },
    only: { type: 'string' },
  },
});
const suites: Readonly<Record<string, () => readonly Measured[] | Promise<readonly Measured[]>>> = {
  memory: () => memory(shaper),
  engines: () => engines(shaper),
  relayout: () => relayout(shaper),
  looks: () => looks(shaper),
  components: () => components(shaper),
  texts: () => texts(shaper),
  sweeps: () => sweeps(shaper),
  checks: () => checks(shaper),
  rechecks,
  runs,
  expressions,
  tables,
  words,
  attended,
  feel,
};
const asked = (name: string) => options.only === undefined || options.only === name;
const results: Measured[] = [];
for (const [name, run] of Object.entries(suites)) if (asked(name)) results.push(...(await run()));
const grown = asked('growth') ? growth(shaper) : [];

if (options.json) console.log(JSON.stringify([...results, ...grown]));
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
if (options.write) writeFileSync(join(workspace, 'docs/growth.svg'), growthPlot(grown));
