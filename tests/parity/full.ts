/**
 * The full run: many random documents in five views each; prints documents, boxes compared, worst difference. A
 * document that differs is made as small as it can be and kept in `found/`, where the tests hold it from then on.
 */
import { mkdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { type Control, defaultBands, isOneOf, printScreen, type View } from '@hovrin/core';
import { workspace } from '@hovrin/files';
import { engineNames } from '../browser/engines.ts';
import { alteredNests } from './altered-nests.ts';
import { ParityBench, tolerance } from './compare.ts';
import { crossings, nests, turns } from './crossings.ts';
import { randomScreen, readTrial, shrink, trialProject } from './documents.ts';
import { compareEngines, samplesOf } from './engines.ts';
import { foundFolder } from './found.ts';
import { texts } from './texts.ts';

const { values } = parseArgs({
  options: {
    documents: { type: 'string', default: '500' },
    seed: { type: 'string', default: '41000' },
    /** Properties and kinds that no document has. */
    without: { type: 'string', default: '' },
    /** How many screens more whose containers mostly know how high they are; a quarter as many where nothing is said. */
    heights: { type: 'string' },
    /** How many screens more with numbers that are not round; a quarter as many where nothing is said. */
    odd: { type: 'string' },
    /** How many documents more of random texts; a tenth as many where nothing is said. */
    texts: { type: 'string' },
    /** How many documents more of random nests, and of altered ones; a tenth as many, and every container around everything, where nothing is said. */
    nests: { type: 'string' },
    /** A document of its own instead of random ones: every box of it in every view, as the core and the page have it. */
    file: { type: 'string' },
    /** How often a differing document is laid out to make it smaller. */
    tries: { type: 'string', default: '200' },
    /** Engines to measure instead, by commas: how near each comes to the core, `--documents` plain and random ones. */
    engines: { type: 'string' },
    /** How many of their documents that are far off are made as small as they can be. */
    smallest: { type: 'string', default: '0' },
    /** Shrinks and shows, keeps nothing. */
    look: { type: 'boolean', default: false },
  },
});
const first = Number(values.seed);
const documents = Number(values.documents);
const high = Number(values.heights ?? Math.floor(documents / 4));
const odd = Number(values.odd ?? Math.floor(documents / 4));
const worded = Number(values.texts ?? Math.floor(documents / 10));
const nested = Number(values.nests ?? Math.floor(documents / 10));
/** Turns in which every container stands around all kinds of content; they have no seed. */
const crossed = values.nests === undefined && documents > 0 ? turns : 0;
const without = values.without.split(',').filter(Boolean);
const views: View[] = [
  { width: 360, height: 640 },
  { width: 390, height: 844, textScale: 1.3 },
  { width: 820, height: 1180 },
  { width: 1280, height: 800, rightToLeft: true },
  { width: 1680, height: 1050 },
];

if (values.engines) {
  const asked = values.engines.split(',');
  const unknown = asked.find((name) => !isOneOf(engineNames, name));
  if (unknown !== undefined) throw new Error(`There is no engine ${unknown}: ${engineNames.join(', ')}.`);
  const count = Math.min(documents, values.documents === '500' ? 60 : documents);
  await compareEngines(
    engineNames.filter((name) => asked.includes(name)),
    await samplesOf(count, count, first),
    Number(values.smallest),
  );
  process.exit();
}
const bench = await ParityBench.open();
if (values.file) {
  const project = readTrial(await readFile(values.file, 'utf8'));
  for (const { name, view, core, browser } of (await bench.compare(project, views, Number.NEGATIVE_INFINITY))
    .differences)
    console.log(`${view.width}\t${name}\tcore ${core.join(' ')}\tbrowser ${browser?.join(' ')}`);
  await bench.close();
  process.exit();
}
let boxes = 0;
let worst = 0;
const differing: string[] = [];
/** Documents whose page the browser itself gave up. */
const givenUp: string[] = [];

/** Makes a differing document small, shows it, and keeps it. */
async function keep(seed: string, screen: Control, view: View): Promise<void> {
  let tries = 0;
  const least = await shrink(
    screen,
    async (less) =>
      tries++ < Number(values.tries) &&
      (await bench.compare(trialProject(less), [view])).differences.length > 0,
  );
  const { differences } = await bench.compare(trialProject(least), [view]);
  const text = printScreen(least, defaultBands);
  console.log(`Seed ${seed} differs at ${JSON.stringify(view)}:\n${text}`);
  for (const { name, core, browser, by } of differences.slice(0, 4))
    console.log(`  ${name}: core ${core.join(' ')}, browser ${browser?.join(' ')}, by ${by.toFixed(3)}`);
  if (values.look) return;
  await mkdir(join(workspace, foundFolder), { recursive: true });
  await writeFile(join(workspace, foundFolder, `seed${seed}.screen.xml`), text);
}

/** The documents of a kind, by seeds from the first on. */
const some = (count: number, kind: string, make: (seed: number) => Control) =>
  Array.from({ length: count }, (_, index) => ({
    seed: `${first + index}${kind}`,
    screen: () => make(first + index),
  }));
const all = [
  ...some(documents, '', (seed) => randomScreen(seed, { without })),
  ...some(high, '-heights', (seed) => randomScreen(seed, { without, heights: true })),
  ...some(odd, '-odd', (seed) => randomScreen(seed, { without, odd: true })),
  ...some(worded, '-texts', (seed) => readTrial(texts(seed)).screens[0]!),
  ...Array.from({ length: crossed }, (_, turn) => ({
    seed: `${turn}-crossings`,
    screen: () => readTrial(crossings(turn)).screens[0]!,
  })),
  ...some(nested, '-nests', (seed) => readTrial(nests(seed)).screens[0]!),
  ...some(nested, '-altered', (seed) => readTrial(alteredNests(seed)).screens[0]!),
];
for (const { seed, screen: make } of all) {
  const screen = make();
  const result = await bench.compare(trialProject(screen), views).catch(async (error: Error) => {
    console.log(`Seed ${seed}: ${error.message}`);
    await bench.reopen();
    return undefined;
  });
  if (!result) {
    givenUp.push(seed);
    continue;
  }
  boxes += result.boxes;
  worst = Math.max(worst, result.worst);
  if (result.differences.length === 0) continue;
  differing.push(seed);
  if (differing.length <= 12) await keep(seed, screen, result.differences[0]!.view);
}
await bench.close();
console.log(
  `${all.length} documents, ${boxes} boxes compared, worst difference ${worst.toFixed(3)} px, ${differing.length} documents with a difference over ${tolerance} px`,
);
if (differing.length > 0) console.log(`Their seeds: ${differing.join(' ')}`);
if (givenUp.length > 0) console.log(`The browser gave up: ${givenUp.join(' ')}`);
process.exitCode = differing.length + givenUp.length > 0 ? 1 : 0;
