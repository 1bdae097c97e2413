/**
 * Makes packages/core/fonts from the font packages: each file as .woff2 (what pages load) and as .ttf (what the
 * shaper reads), and fonts.json, the list of them. Does nothing when they are already there.
 */
import { existsSync } from 'node:fs';
import { copyFile, mkdir, readFile, writeFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

const root = dirname(import.meta.dirname);
const out = join(root, 'packages/core/fonts');
const families = [
  ['Hanken Grotesk', 'hanken-grotesk'],
  ['Source Serif 4', 'source-serif-4'],
  ['Zilla Slab', 'zilla-slab'],
  ['JetBrains Mono', 'jetbrains-mono'],
];
const weights = [400, 500, 600, 700];
// In order of preference for a character that two sets hold.
const sets = ['latin', 'latin-ext'];

export async function makeFonts() {
  if (existsSync(join(out, 'fonts.json'))) return;
  const require = createRequire(join(root, 'packages/core/package.json'));
  const { decompress } = require('wawoff2');
  await mkdir(out, { recursive: true });
  const files = [];
  for (const [family, name] of families) {
    const folder = dirname(require.resolve(`@fontsource/${name}/package.json`));
    const ranges = JSON.parse(await readFile(join(folder, 'unicode.json'), 'utf8'));
    for (const weight of weights)
      for (const set of sets) {
        const file = `${name}-${set}-${weight}`;
        const source = join(folder, `files/${name}-${set}-${weight}-normal.woff2`);
        await copyFile(source, join(out, `${file}.woff2`));
        await writeFile(join(out, `${file}.ttf`), await decompress(await readFile(source)));
        files.push({ family, weight, file, unicodeRange: ranges[set] });
      }
  }
  // The workbench itself is set in these fonts too; the same rules as in exported pages.
  const rules = files
    .toReversed()
    .map(
      ({ family, weight, file, unicodeRange }) =>
        `@font-face { font-family: "${family}"; font-weight: ${weight}; font-display: block; src: url("${file}.woff2") format("woff2"); unicode-range: ${unicodeRange}; }\n`,
    );
  await writeFile(join(out, 'fonts.css'), rules.join(''));
  await writeFile(join(out, 'fonts.json'), `${JSON.stringify({ files }, null, 1)}\n`);
}

if (process.argv[1] === import.meta.filename) await makeFonts();
