/** Projects as zips: out and in without a change, and hostile ones refused as a whole. */
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { filesInFolder, packFolder, packProject, unpackInto, unpackProject, workspace } from '@hovrin/files';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { loadDemo } from '../src/demo-data.ts';
import { type Served, served } from './served.ts';

let server: Served;
let demo: string;
let folder: string;
beforeAll(async () => {
  server = await served();
  demo = await loadDemo(server.store);
  folder = await mkdtemp(join(tmpdir(), 'hovrin-zips-'));
});
afterAll(async () => {
  await server.close();
  await rm(folder, { recursive: true });
});

const bring = async (bytes: Uint8Array) => {
  const answer = await fetch(`${server.base}/api/projects/zip`, {
    method: 'POST',
    body: new Uint8Array(bytes),
  });
  return { status: answer.status, body: (await answer.json()) as { id: string; error: string } };
};
const takeOut = async (id: string) => {
  const answer = await fetch(`${server.base}/api/projects/${id}/project.zip`);
  return {
    bytes: new Uint8Array(await answer.arrayBuffer()),
    name: answer.headers.get('Content-Disposition'),
  };
};
const source = join(workspace, 'demo/velmora-hut');

describe('a project', () => {
  it('taken out and brought in again is the same, and its zip the same byte for byte', async () => {
    const { bytes, name } = await takeOut(demo);
    expect(name).toContain('Velmora Hut.hovrin.zip');
    const { status, body } = await bring(bytes);
    expect(status).toBe(200);
    const ids = (text: string) => text.replaceAll(/"id":"[\w-]+"/g, '');
    const [before, after] = [demo, body.id].map((id) => ids(JSON.stringify(server.store.read(id)!.project)));
    expect(after).toBe(before);
    expect((await takeOut(body.id)).bytes).toEqual(bytes);
    // What came from elsewhere is asked about before it calls anybody.
    expect([demo, body.id].map((id) => server.store.isForeign(id))).toEqual([false, true]);
  });

  it('is packed from its folder and unpacked without a changed byte', async () => {
    const zip = await packFolder(source);
    expect(await packFolder(source)).toEqual(zip);
    const out = join(folder, 'out');
    await unpackInto(zip, out);
    const [before, after] = [await filesInFolder(source), await filesInFolder(out)];
    expect(after).toEqual(before);
    expect(after.size).toBeGreaterThan(8);
    expect(await packFolder(out)).toEqual(zip);
  });

  it('goes out and comes in though it has no screen any more', async () => {
    const id = server.store.createBlank('Empty');
    const [screen] = server.store.read(id)!.project.screens;
    server.store.append(id, 'window-one', 0, [
      { sequence: 0, kind: 'change', label: 'Delete', steps: [{ type: 'remove', control: screen!.id }] },
    ]);
    const { bytes } = await takeOut(id);
    const { status, body } = await bring(bytes);
    expect(status).toBe(200);
    expect(server.store.read(body.id)!.project.screens).toEqual([]);
  });

  it('packed by hand with its folder around it is taken, too', async () => {
    const files = Object.fromEntries(
      [...(await filesInFolder(source))].map(([path, bytes]) => [`hut/${path}`, bytes]),
    );
    expect((await bring(zipSync(files))).status).toBe(200);
  });
});

describe('a zip that is refused', () => {
  const good = {
    'project.json': strToU8('{ "format": 2, "name": "x" }'),
    'screens/A.screen.xml': strToU8('<screen name="A" />'),
  };
  /** A zip whose entries have the mode of a link. */
  const withLink = (): Uint8Array =>
    zipSync({ ...good, 'assets/a.png': [strToU8('/etc/passwd'), { os: 3, attrs: 0xa1ff << 16 }] });
  it.each<[string, () => Uint8Array, RegExp]>([
    ['nothing', () => new Uint8Array(), /no zip/],
    ['words', () => strToU8('hello'), /no zip/],
    ['an empty one', () => zipSync({}), /nothing in this zip/],
    ['a half', () => zipSync(good).subarray(0, 80), /no zip/],
    [
      'a broken list',
      () => zipSync(good).map((byte, index, all) => (index === all.length - 6 ? byte ^ 0xff : byte)),
      /broken|no zip/,
    ],
    ['a way out', () => zipSync({ ...good, '../evil.screen.xml': strToU8('x') }), /leads out of the project/],
    ['an absolute path', () => zipSync({ ...good, '/etc/a.screen.xml': strToU8('x') }), /leads out/],
    ['a way out with backslashes', () => zipSync({ ...good, '..\\a.screen.xml': strToU8('x') }), /leads out/],
    ['a drive', () => zipSync({ ...good, 'C:a.screen.xml': strToU8('x') }), /leads out/],
    ['a link', withLink, /is a link/],
    [
      'a file that does not belong',
      () => zipSync({ ...good, 'run.sh': strToU8('x') }),
      /`run.sh` is no file of a project/,
    ],
    [
      'two files of one name',
      () => zipSync({ ...good, 'screens/a.screen.xml': strToU8('x') }),
      /There are two files/,
    ],
    ['a long path', () => zipSync({ ...good, [`${'x'.repeat(400)}.screen.xml`]: strToU8('x') }), /too long/],
    [
      'a bomb',
      () => zipSync({ ...good, 'tables/a.json': new Uint8Array(60_000_000) }, { level: 9 }),
      /packed more tightly/,
    ],
    [
      'a huge file',
      () => zipSync({ ...good, 'tables/a.json': new Uint8Array(101_000_000) }, { level: 1 }),
      /larger than 100 MB/,
    ],
    [
      'many files',
      () =>
        zipSync(
          Object.fromEntries(
            Array.from({ length: 10_001 }, (_, index) => [`s${index}.screen.xml`, strToU8('<screen/>')]),
          ),
        ),
      /more than 10000 files/,
    ],
    ['no project', () => zipSync({ 'assets/a.svg': strToU8('<svg/>') }), /There is no project here/],
    [
      'a picture that is missing',
      () =>
        zipSync({
          ...good,
          'project.json': strToU8(
            '{ "format": 2, "name": "x", "assets": [{ "name": "a.png", "type": "image/png", "width": 1, "height": 1 }] }',
          ),
        }),
      /`a.png` is missing/,
    ],
    [
      'a picture that is none',
      () =>
        zipSync({
          ...good,
          'assets/a.png': strToU8('x'),
          'project.json': strToU8(
            '{ "format": 2, "name": "x", "assets": [{ "name": "a.png", "type": "image/png", "width": 1, "height": 1 }] }',
          ),
        }),
      /not what it says it is/,
    ],
    [
      'a screen with a fault',
      () =>
        zipSync({ ...good, 'screens/B.screen.xml': strToU8('<screen name="B"><row gap="wide" /></screen>') }),
      /screens\/B.screen.xml:1:\d+/,
    ],
    [
      'a newer format',
      () => zipSync({ ...good, 'project.json': strToU8('{ "format": 99, "name": "x" }') }),
      /A newer version reads it/,
    ],
    [
      'a text that is no UTF-8',
      () => zipSync({ ...good, 'project.json': new Uint8Array([0xff, 0xfe, 0x00]) }),
      /not UTF-8/,
    ],
  ])(
    '%s says why, and nothing of it is brought in',
    async (_, make, message) => {
      const count = server.store.count();
      const { status, body } = await bring(make());
      expect(status).toBeGreaterThanOrEqual(400);
      expect(status).toBeLessThan(500);
      expect(body.error).toMatch(message);
      expect(server.store.count()).toBe(count);
    },
    60_000,
  );

  it('whose picture is not what it says it is is not brought in', async () => {
    const assets = '[{ "name": "a.png", "type": "image/png", "width": 1, "height": 1 }]';
    const zip = zipSync({
      ...good,
      'assets/a.png': strToU8('<html>'),
      'project.json': strToU8(`{ "format": 2, "name": "x", "assets": ${assets} }`),
    });
    const count = server.store.count();
    const { status, body } = await bring(zip);
    expect([status, body.error]).toEqual([422, 'a.png is not what it says it is: image/png.']);
    expect(server.store.count()).toBe(count);
  });

  it('leaves nothing behind where it cannot be stored in the middle of it', async () => {
    const before = [server.store.list(), server.store.list(true)];
    const put = vi.spyOn(server.store.pictures, 'put').mockImplementation(() => {
      // Nobody sees what is not all there, among the deleted ones neither.
      expect([server.store.list(), server.store.list(true)]).toEqual(before);
      throw Object.assign(new Error('database or disk is full'), { code: 'SQLITE_FULL' });
    });
    const { status, body } = await bring((await takeOut(demo)).bytes);
    expect([status, body.error]).toEqual([507, expect.stringMatching(/disk is full/)]);
    expect(put).toHaveBeenCalledTimes(1);
    put.mockRestore();
    expect([server.store.list(), server.store.list(true)]).toEqual(before);
  });

  it('loses what could act in its pictures as it comes in', async () => {
    const evil = '<svg xmlns="http://www.w3.org/2000/svg"><script>1</script><rect width="2"/></svg>';
    const assets = '[{ "name": "a.svg", "type": "image/svg+xml", "width": 1, "height": 1 }]';
    const zip = zipSync({
      ...good,
      'assets/a.svg': strToU8(evil),
      'project.json': strToU8(`{ "format": 2, "name": "x", "assets": ${assets} }`),
    });
    const { body } = await bring(zip);
    expect(server.store.pictures.get(body.id, 'a.svg')!.bytes.toString()).toBe(
      '<svg xmlns="http://www.w3.org/2000/svg"><rect width="2"></rect></svg>\n',
    );
    const out = unzipSync((await takeOut(body.id)).bytes);
    expect(Object.keys(out)).toContain('assets/a.svg');
  });

  it('into a folder writes nothing where anything in it is wrong', async () => {
    const out = join(folder, 'refused');
    const zip = zipSync({
      ...good,
      'screens/B.screen.xml': strToU8('<screen name="B"><nonsense /></screen>'),
    });
    await expect(unpackInto(zip, out)).rejects.toThrow('screens/B.screen.xml:1');
    await expect(readFile(join(out, 'project.json'))).rejects.toThrow();
  });
});

it('the files of a zip stand in their order, without a time', async () => {
  const files = new Map([
    ['screens/B.screen.xml', strToU8('b')],
    ['project.json', strToU8('a')],
  ]);
  const [one, other] = [packProject(files), packProject(new Map([...files].toReversed()))];
  expect(one).toEqual(other);
  expect([...unpackProject(one).keys()]).toEqual(['project.json', 'screens/B.screen.xml']);
  await writeFile(join(folder, 'x.zip'), one);
});
