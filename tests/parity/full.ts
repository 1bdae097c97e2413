/** The full run: many random documents in five views each; prints documents, boxes compared, worst difference. */
import { parseArgs } from 'node:util';
import { defaultBands, printScreen, type View } from '@hovrin/core';
import { ParityBench, tolerance } from './compare.ts';
import { randomScreen, trialAssets } from './documents.ts';

const { values } = parseArgs({
  options: { documents: { type: 'string', default: '500' }, seed: { type: 'string', default: '41000' } },
});
const first = Number(values.seed);
const documents = Number(values.documents);
const views: View[] = [
  { width: 360, height: 640 },
  { width: 390, height: 844, textScale: 1.3 },
  { width: 820, height: 1180 },
  { width: 1280, height: 800 },
  { width: 1680, height: 1050 },
];

const bench = await ParityBench.open();
let boxes = 0;
let worst = 0;
const differing: number[] = [];
for (let seed = first; seed < first + documents; seed++) {
  const screen = randomScreen(seed);
  const result = await bench.compare(
    { format: 1, name: 'trial', bands: defaultBands, state: [], assets: trialAssets, screens: [screen] },
    views,
  );
  boxes += result.boxes;
  worst = Math.max(worst, result.worst);
  if (result.differences.length === 0) continue;
  differing.push(seed);
  if (differing.length === 1)
    console.log(
      `Seed ${seed} differs:\n${printScreen(screen, defaultBands)}\n${JSON.stringify(result.differences.slice(0, 3), null, 1)}`,
    );
}
await bench.close();
console.log(
  `${documents} documents, ${boxes} boxes compared, worst difference ${worst.toFixed(3)} px, ${differing.length} documents with a difference over ${tolerance} px`,
);
if (differing.length > 0) console.log(`Their seeds: ${differing.join(' ')}`);
process.exitCode = differing.length > 0 ? 1 : 0;
