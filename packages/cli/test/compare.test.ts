/** `hovrin compare`: folders, zips and revisions of git against each other. */
import { execFileSync } from 'node:child_process';
import { cp, mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { workspace } from '@hovrin/files';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { run } from '../src/main.ts';

let folder: string;
const path = (name: string) => join(folder, name);

async function hovrin(...words: string[]) {
  const printed: string[] = [];
  const complained: string[] = [];
  const code = await run(
    words,
    (text) => printed.push(text),
    (text) => complained.push(text),
  );
  return { code, out: printed.join(''), err: complained.join('') };
}
const change = async (file: string, from: string, to: string) => {
  const text = await readFile(file, 'utf8');
  expect(text).toContain(from);
  await writeFile(file, text.replace(from, to));
};
const git = (...words: string[]) =>
  execFileSync('git', ['-c', 'user.name=Warden', '-c', 'user.email=warden@hut.example', ...words], {
    cwd: path('one'),
  });

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'hovrin-compare-'));
  for (const name of ['one', 'other']) {
    await cp(join(workspace, 'starters/form'), path(name), { recursive: true });
    await writeFile(
      join(path(name), 'project.json'),
      await readFile(join(workspace, 'starters/form/project.json')),
    );
  }
});
afterAll(() => rm(folder, { recursive: true, force: true }));

it('says that a folder and its zip are alike', async () => {
  await hovrin('pack', path('one'), '--out', path('one.zip'));
  expect(await hovrin('compare', path('one'), path('one.zip'))).toMatchObject({
    code: 0,
    out: 'They are alike.\n',
  });
});

it('tells what differs, and at which widths', async () => {
  const [first] = (await readFile(join(path('other'), 'project.json'), 'utf8')).match(/"name": "[^"]+"/) ?? [
    '',
  ];
  await change(join(path('other'), 'project.json'), first, '"name": "Another"');
  const name = execFileSync('ls', [join(path('other'), 'screens')], { encoding: 'utf8' }).split('\n')[0]!;
  const file = join(path('other'), 'screens', name);
  await change(file, 'gap="', 'gap="1');
  const { code, out } = await hovrin('compare', path('one'), path('other'));
  expect(code).toBe(1);
  expect(out).toContain('project: name');
  expect(out).toMatch(/gap “\d+” → “1\d+”/);
  expect(out).toMatch(/differs at/);
  const json = JSON.parse((await hovrin('compare', path('one'), path('other'), '--json')).out);
  expect(json.trees[0]).toMatchObject({ how: 'changed', widths: [{ from: expect.any(Number) }] });
  expect(json.trees[0].moved.length).toBeGreaterThan(0);
});

it('reads a revision of a folder', async () => {
  git('init', '-q');
  git('add', '.');
  git('commit', '-qm', 'first');
  expect((await hovrin('compare', path('one'), `${path('one')}@HEAD`)).code).toBe(0);
  await change(join(path('one'), 'project.json'), '"name": "', '"name": "Later ');
  expect((await hovrin('compare', `${path('one')}@HEAD`, path('one'))).out).toContain('project: name');
});

it.each([
  [[], 'Two versions are needed'],
  [['one', 'other', 'one'], 'Two versions are needed'],
  [['one', 'nowhere'], 'There is no file or folder'],
  [['one', 'one@nothing'], 'nothing'],
  [['one', 'one@-x'], 'There is no file or folder'],
  [['one', 'other', '--from', '900', '--to', '300'], 'end (300) before'],
])('refuses %j', async (words, message) => {
  const given = words.map((word) => (/^(?:one|other|nowhere)/.test(word) ? path(word) : word));
  const { code, err } = await hovrin('compare', ...given);
  expect([code, err]).toEqual([2, expect.stringContaining(message)]);
});
