/** `hovrin picture`: a screen at a size as an SVG file that needs nothing else, or as a PNG file. */
import { readdir, readFile, writeFile } from 'node:fs/promises';
import { extname, join } from 'node:path';
import { expandedProject, itemAt } from '@hovrin/core';
import { drawScreen, fontFolder } from '@hovrin/files';
import { BadInput, readInput } from './bad-input.ts';
import { readOptions, readSize } from './options.ts';
import { inLocale, readStates, readViewOptions, viewOptions } from './view-options.ts';

export async function pictureCommand(
  words: readonly string[],
  print: (text: string) => void,
): Promise<number> {
  const { values, positionals } = readOptions(words, {
    ...viewOptions,
    size: { type: 'string' },
    screen: { type: 'string' },
    whole: { type: 'boolean' },
    ratio: { type: 'string' },
    out: { type: 'string' },
  });
  if (positionals.length !== 1 || values.size === undefined)
    throw new BadInput(
      'A file and a size are needed: `hovrin picture FILE --size 390x844 --out FILE.svg` or `FILE.png`',
    );
  const size = readSize(values.size);
  const isPng = values.out !== undefined && extname(values.out).toLowerCase() === '.png';
  const ratio = readRatio(values.ratio ?? '1');
  const view = { ...size, ...readViewOptions(values) };
  const { assetFolder, ...input } = await readInput(itemAt(positionals, 0));
  const project = expandedProject(inLocale(input.project, values.locale));
  const screen = values.screen
    ? project.screens.find(({ name }) => name === values.screen)
    : project.screens[0];
  if (!screen)
    throw new BadInput(
      values.screen === undefined
        ? 'There is no screen in this project.'
        : `There is no screen \`${values.screen}\`.`,
    );
  const svg = await drawScreen({
    project,
    screen,
    view: { ...view, ...readStates(project, values.state) },
    isWhole: values.whole === true,
    pictureBytes: (name) => readFile(join(assetFolder, name)).catch(() => undefined),
  });
  if (values.out === undefined) print(svg);
  else
    await writeFile(values.out, isPng ? await drawn(svg, ratio) : svg).catch(() => {
      throw new BadInput(`\`${values.out}\` cannot be written.`);
    });
  return 0;
}

/** Most device px for each CSS px. */
const greatestRatio = 4;

function readRatio(text: string): number {
  const ratio = Number(text);
  if (!(ratio > 0 && ratio <= greatestRatio))
    throw new BadInput(`\`${text}\` is no ratio; a number up to ${greatestRatio} is meant.`);
  return ratio;
}

/** Weights of a family whose files say that they are families of their own; a browser goes by its style sheet instead. */
const familiesInFiles = [
  { family: 'Zilla Slab', weight: 500, inFile: 'Zilla Slab Medium' },
  { family: 'Zilla Slab', weight: 600, inFile: 'Zilla Slab SemiBold' },
];

/** Draws an SVG picture as PNG, with the fonts that ship. */
async function drawn(svg: string, ratio: number): Promise<Uint8Array> {
  // Loaded here: no other command needs it, and it is native.
  const { Resvg } = await import('@resvg/resvg-js');
  const fontFiles = (await readdir(fontFolder))
    .filter((file) => file.endsWith('.ttf'))
    .map((file) => join(fontFolder, file));
  const named = familiesInFiles.reduce(
    (text, { family, weight, inFile }) =>
      text.replaceAll(
        `font-family="${family}" font-weight="${weight}"`,
        `font-family="${inFile}" font-weight="${weight}"`,
      ),
    svg,
  );
  return new Resvg(named, {
    font: { fontFiles, loadSystemFonts: false, defaultFontFamily: 'Hanken Grotesk' },
    fitTo: { mode: 'zoom', value: ratio },
  })
    .render()
    .asPng();
}
