/**
 * How near to the core each engine lays out exported pages: the demo, plain documents, random ones. Prints a line for each
 * engine and kind of document, and the boxes that are farthest off.
 */
import { join } from 'node:path';
import { type Control, type Project, printScreen, type View } from '@hovrin/core';
import { readProjectFolder, workspace } from '@hovrin/files';
import { type EngineName, isInstalled } from '../browser/engines.ts';
import { type Difference, ParityBench } from './compare.ts';
import { randomScreen, readTrial, shrink, stillProject, trialProject } from './documents.ts';
import { plainScreen } from './plain.ts';

/** A kind of documents that are measured together. */
export interface Sample {
  readonly name: string;
  readonly documents: readonly { readonly name: string; readonly project: Project }[];
}

/** Widths that most screens have. */
export const usualViews: readonly View[] = [320, 390, 600, 820, 1024, 1280, 1600].map((width) => ({
  width,
  height: 800,
}));

/** The demo's screens, and so many plain and random documents. */
export async function samplesOf(plain: number, random: number, first = 1): Promise<Sample[]> {
  const reading = await readProjectFolder(join(workspace, 'demo/velmora-hut'));
  if (!reading.ok) throw new Error(JSON.stringify(reading.problems));
  const { project } = reading;
  return [
    {
      name: 'demo',
      documents: project.screens.map(({ name = '' }) => ({ name, project: stillProject(project, name) })),
    },
    {
      name: 'plain',
      documents: Array.from({ length: plain }, (_, index) => ({
        name: `plain ${first + index}`,
        project: readTrial(plainScreen(first + index)),
      })),
    },
    {
      name: 'random',
      documents: Array.from({ length: random }, (_, index) => ({
        name: `random ${first + index}`,
        project: trialProject(randomScreen(first + index)),
      })),
    },
  ];
}

/** How far boxes are off. */
export interface Shares {
  readonly boxes: number;
  /** Largest difference of an edge, CSS px. */
  readonly worst: number;
  /** How many boxes are off by at most so many CSS px. */
  within(px: number): number;
  /** Those that are off most, with their documents. */
  readonly farthest: readonly (Difference & { readonly document: string })[];
}

/** Measures a sample in an engine. @param failed is told of documents that the browser gave up. */
export async function measure(
  bench: ParityBench,
  sample: Sample,
  views: readonly View[],
  failed: (name: string, why: unknown) => void,
): Promise<Shares> {
  const off: number[] = [];
  const farthest: (Difference & { document: string })[] = [];
  for (const { name, project } of sample.documents) {
    try {
      const { differences } = await bench.compare(project, views, Number.NEGATIVE_INFINITY);
      for (const each of differences) off.push(each.by);
      farthest.push(...differences.filter(({ by }) => by > 0.5).map((each) => ({ ...each, document: name })));
    } catch (error) {
      failed(name, error);
      await bench.reopen();
    }
  }
  return {
    boxes: off.length,
    worst: off.reduce((most, by) => Math.max(most, by), 0),
    within: (px) => off.filter((by) => by <= px).length,
    farthest: farthest.toSorted((a, b) => b.by - a.by),
  };
}

/** Edges that are farther off than this are looked into, CSS px. */
const far = 1;

/** Prints the smallest document that one of a sample can be made that is still far off. */
async function showSmallest(bench: ParityBench, project: Project, view: View): Promise<void> {
  let tries = 0;
  const differences = async (screen: Control) =>
    (await bench.compare({ ...project, screens: [screen] }, [view], far)).differences;
  const [screen] = project.screens;
  if (!screen) return;
  const least = await shrink(screen, async (less) => tries++ < 150 && (await differences(less)).length > 0);
  console.log(`At ${view.width}:\n${printScreen(least, project.bands)}`);
  for (const { name, core, browser } of (await differences(least)).slice(0, 3))
    console.log(`  ${name}: core ${core.join(' ')}, here ${browser?.join(' ')}`);
}

/**
 * Measures and prints; engines that are not installed are told.
 *
 * @param smallest how many documents that are far off are made as small as they can be and shown.
 */
export async function compareEngines(
  names: readonly EngineName[],
  samples: readonly Sample[],
  smallest = 0,
): Promise<void> {
  for (const name of names) {
    if (!isInstalled(name)) {
      console.log(`${name}: not installed here`);
      continue;
    }
    const bench = await ParityBench.open(name);
    for (const sample of samples) {
      const shares = await measure(bench, sample, usualViews, (document, why) =>
        console.log(`${name}: ${document} was given up: ${String(why)}`),
      );
      const part = (px: number) => ((100 * shares.within(px)) / Math.max(1, shares.boxes)).toFixed(1);
      console.log(
        `${name}\t${sample.name}\t${shares.boxes} boxes\twithin 0.1 px ${part(0.1)} %\t0.5 px ${part(0.5)} %\t1 px ${part(1)} %\tworst ${shares.worst.toFixed(2)} px`,
      );
      for (const { document, name: box, view, core, browser, by } of shares.farthest.slice(0, 4))
        console.log(
          `  ${document} at ${view.width}: ${box} off by ${by.toFixed(2)}: core ${core.map((n) => n.toFixed(1)).join(' ')}, here ${browser?.map((n) => n.toFixed(1)).join(' ')}`,
        );
      const seen = new Set<string>();
      for (const { document, view, by } of shares.farthest.toReversed()) {
        if (by <= far || seen.has(document) || seen.size >= smallest) continue;
        seen.add(document);
        const found = sample.documents.find(({ name: each }) => each === document);
        if (found) await showSmallest(bench, found.project, view);
      }
    }
    await bench.close();
  }
}
