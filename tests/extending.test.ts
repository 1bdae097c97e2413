/** What `docs/extending.md` says is written into a copy of the sources as it stands there, compiled, and used. */
import { spawnSync } from 'node:child_process';
import { cp, mkdir, mkdtemp, readFile, rm, symlink, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { build } from 'esbuild';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { slimPage } from '../scripts/page-script.mjs';

const root = dirname(import.meta.dirname);
let copy: string;

interface Block {
  readonly sort: string;
  readonly path: string;
  readonly text: string;
}

/** The blocks of the document that name a file. */
const blocksIn = (markdown: string): Block[] =>
  [...markdown.matchAll(/^```(tsx?|diff) (\S+)\n([\s\S]*?)^```$/gm)].map(
    ([, sort = '', path = '', text = '']) => ({ sort, path, text }),
  );

/** A file with the lines that a block adds, each behind the line that stands before it in the block, or in its place. */
function patched(file: string, block: Block): string {
  const lines = file.split('\n');
  let at = -1;
  const find = (line: string) => {
    const found = lines.findIndex((each, index) => index > at && each === line);
    if (found < 0) throw new Error(`${block.path} has no line ${line}`);
    return found;
  };
  const entries = block.text.split('\n').filter(Boolean);
  for (const [index, entry] of entries.entries()) {
    const line = entry.slice(1);
    if (entry.startsWith(' ')) at = find(line);
    else if (entry.startsWith('-')) {
      at = find(line) - 1;
      lines.splice(at + 1, 1);
    } else if (entries[index - 1] === undefined || at < 0) {
      // In front of the line that comes next.
      const next = entries.slice(index + 1).find((each) => each.startsWith(' '));
      lines.splice(find(next?.slice(1) ?? ''), 0, line);
    } else {
      lines.splice(at + 1, 0, line);
      at += 1;
    }
  }
  return lines.join('\n');
}

beforeAll(async () => {
  copy = await mkdtemp(join(tmpdir(), 'hovrin-extending-'));
  for (const name of ['core', 'page', 'web', 'files']) {
    const from = join(root, 'packages', name);
    await mkdir(join(copy, 'packages', name), { recursive: true });
    await cp(join(from, 'src'), join(copy, 'packages', name, 'src'), { recursive: true });
    await cp(join(from, 'package.json'), join(copy, 'packages', name, 'package.json'));
  }
  // Packages are found above; our own are those of the copy.
  await mkdir(join(copy, 'node_modules/@hovrin'), { recursive: true });
  for (const name of ['core', 'page', 'web', 'files'])
    await symlink(join(copy, 'packages', name), join(copy, 'node_modules/@hovrin', name));
  const listed = spawnSync('ls', ['-A', join(root, 'node_modules')], { encoding: 'utf8' }).stdout.split('\n');
  for (const name of listed)
    if (name && name !== '@hovrin')
      await symlink(join(root, 'node_modules', name), join(copy, 'node_modules', name));
  await symlink(join(root, 'packages/core/fonts'), join(copy, 'packages/core/fonts'));
  await cp(join(root, 'tsconfig.json'), join(copy, 'tsconfig.json'));
  for (const block of blocksIn(await readFile(join(root, 'docs/extending.md'), 'utf8'))) {
    const path = join(copy, block.path);
    await mkdir(dirname(path), { recursive: true });
    await writeFile(path, block.sort === 'diff' ? patched(await readFile(path, 'utf8'), block) : block.text);
  }
});
afterAll(() => rm(copy, { recursive: true, force: true }));

it('is compiled with the rest of the project', () => {
  const { stdout, status } = spawnSync(
    process.execPath,
    [join(root, 'node_modules/typescript/bin/tsc'), '--noEmit', '--project', join(copy, 'tsconfig.json')],
    { encoding: 'utf8' },
  );
  expect(stdout).toBe('');
  expect(status).toBe(0);
});

/** Uses each example, and prints what came of it. Runs in the copy. */
const use = `
import {
  actions, applySteps, checkAll, contextOf, defaultBands, exporterNamed, parseScreen, parseStatements, pictureOf,
  pieceNames, printFolder, printScreen, problemsOf, putting, ScreenView, usualCheck,
} from '@hovrin/core';
import { programOf } from '../src/export/program.ts';
import { propertyTypes, Runtime } from '@hovrin/core/runtime';
import { loadShaper } from '@hovrin/files';

let ids = 0;
const pieces = new Map(pieceNames.map((name) => [name, '']));
const shaper = await loadShaper();
const base = { format: 2, name: 'Trial', bands: defaultBands, state: [], assets: [], screens: [] };
const source = '<screen name="A"><stamp name="done" text="Paid" width="120" /><button name="tall" text="Go" height="200" /></screen>';
const parsed = parseScreen(source, { context: contextOf(base), bands: base.bands, newId: () => "c" + ++ids });
if (!parsed.screen) throw new Error(JSON.stringify(parsed.problems));
const project = { ...base, screens: [parsed.screen] };
const layout = new ScreenView(shaper).layOut(project, parsed.screen, { width: 390, height: 844 });
const stamp = layout.boxes.find(({ control }) => control === parsed.screen.children[0].id);
const said = [];
const runtime = new Runtime(programOf(project), {
  acting: new Proxy({}, { get: (_, name) => (...given) => void said.push([name, ...given]) }),
  problem: (text) => said.push(['problem', text]),
});
const event = parseStatements('remind("soup")');
runtime.run(event.value, undefined, { control: 'tall', event: 'press' });
const findings = checkAll(shaper, project, parsed.screen, { ...usualCheck, from: 380, to: 400, textScales: [1] });
const put = applySteps(project, [putting('chores', { name: 'soup', words: 'Cook it' })]);
console.log(JSON.stringify({
  box: [stamp.width, stamp.height],
  printed: printScreen(parsed.screen, base.bands).includes('<stamp name="done"'),
  picture: pictureOf(layout, {}).includes('Paid'),
  html: exporterNamed('html').files(project, { fonts: { files: [], standIns: [] }, script: '', pieces }).files.get('index.html').includes('k-stamp'),
  css: exporterNamed('html').files(project, { fonts: { files: [], standIns: [] }, script: '', pieces }).files.get('style.css').includes('.k-stamp {'),
  angle: propertyTypes.get('angle').read('45deg'),
  action: actions.some(({ name }) => name === 'remind'),
  said,
  findings: findings.filter(({ check }) => check === 'tall-button').map(({ sentence, fixes }) => [sentence, fixes.length]),
  problems: problemsOf({ ...project, screens: [{ ...parsed.screen, children: [{ ...parsed.screen.children[1], props: { text: 'SUPPER' } }] }] })
    .filter(({ kind }) => kind === 'shouting').map(({ sentence }) => sentence),
  outline: exporterNamed('outline').files(project, {}).files.get('outline.txt'),
  folder: put.ok && printFolder(put.project).get('project.json').includes('Cook it'),
}));
`;

it('is used as it stands there', async () => {
  const folder = join(copy, 'packages/core/dist');
  await mkdir(folder, { recursive: true });
  await writeFile(join(folder, 'use.ts'), use);
  await build({
    entryPoints: [join(folder, 'use.ts')],
    outfile: join(folder, 'use.mjs'),
    bundle: true,
    platform: 'node',
    format: 'esm',
    logLevel: 'error',
    plugins: [
      {
        name: 'packages-outside',
        setup: ({ onResolve }) =>
          onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
            path.startsWith('@hovrin/') || kind === 'entry-point' ? undefined : { path, external: true },
          ),
      },
    ],
  });
  const { stdout, stderr } = spawnSync(process.execPath, [join(folder, 'use.mjs')], { encoding: 'utf8' });
  expect(stderr).toBe('');
  expect(JSON.parse(stdout)).toEqual({
    box: [120, expect.closeTo(34.39, 0)],
    printed: true,
    picture: true,
    html: true,
    css: true,
    angle: { ok: true, value: 45, text: '45deg' },
    action: true,
    said: [
      ['message', 'soup'],
      ['copy', 'soup'],
    ],
    findings: [['`tall` is more than 120 px high.', 1]],
    problems: ['“SUPPER” is in capitals throughout.'],
    outline: 'screen A\n  stamp done\n  button tall\n',
    folder: true,
  });
});

it('gives the page the manner of the kind, and nothing else of it', async () => {
  const made = await build({
    stdin: {
      // As the piece of the kind has it.
      contents: `export { manner } from './stamp.ts'; export { Values } from '../cascade/values.ts';`,
      resolveDir: join(copy, 'packages/core/src/kinds'),
    },
    bundle: true,
    write: false,
    format: 'esm',
    platform: 'node',
    plugins: [slimPage],
  });
  const text = made.outputFiles[0]?.text ?? '';
  expect(text).not.toContain('A mark that something was done');
  const { manner, Values } = await import(
    `data:text/javascript;base64,${Buffer.from(text).toString('base64')}`
  );
  const values = new Values(
    new Map([
      ['text', 'Paid'],
      ['tone', 'danger'],
    ]),
  );
  expect(manner.anew(values).children).toEqual([{ tag: 'strong', text: 'Paid' }]);
});
