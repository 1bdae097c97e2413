/** Feeds of a page that is handed over come from where `config.json` says, with cookies where it says so. */
import { mkdir, mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'playwright-core';
import { afterAll, afterEach, beforeAll, expect, it } from 'vitest';
import { run } from '../../packages/cli/src/main.ts';
import { sharedBrowser } from '../browser/browser.ts';
import { asHeadersSay, type ServedFolder, serveFolder } from '../browser/served-folder.ts';

let folder: string;
let out: string;
let server: ServedFolder;
let page: Page;
/** What the service was asked: which guest, and with which cookies. */
const asked: string[] = [];
/** The keys that the office was asked with. */
const keys: string[] = [];
const problems: string[] = [];

const project = {
  format: 2,
  name: 'Wind',
  screens: ['Wind'],
  sources: [
    { name: 'office', base: 'stand-ins/office/hut/', auth: { as: 'header', header: 'X-Key', secret: 'key' } },
  ],
  state: [
    { name: 'who', type: 'text', initial: 'Ilka' },
    {
      name: 'wind',
      type: 'number',
      initial: 0,
      feed: { address: 'stand-ins/mast?of={who}', as: 'events', every: 1 },
    },
    {
      name: 'guests',
      type: 'record',
      initial: {},
      request: { source: 'office', method: 'GET', path: 'guests', every: 0, shape: { type: 'array' } },
    },
    { name: 'beds', type: 'number', initial: 7, feed: { address: 'service/{who}', as: 'json', every: 1 } },
  ],
};

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'hovrin-configured-'));
  out = join(folder, 'out');
  await mkdir(join(folder, 'screens'));
  await writeFile(join(folder, 'project.json'), JSON.stringify(project));
  await writeFile(
    join(folder, 'screens/Wind.screen.xml'),
    '<screen name="Wind"><text name="told" text="{wind} {beds}" /><text name="guests" text="{guests.state} {guests.result?.length} {guests.error}" /><button name="again" text="Again" on.press="ask(guests)" /><button name="other" text="Other" on.press="who = `Runa`" /></screen>',
  );
  await exported();
  server = await serveFolder(
    out,
    ({ url: { pathname, searchParams }, headers }) => {
      if (pathname === '/office/guests') {
        keys.push(headers['x-key']?.toString() ?? 'none');
        return keys.at(-1) === 'open' ? { status: 200, body: ['Ilka', 'Bram'] } : { status: 401, body: {} };
      }
      if (!pathname.startsWith('/service/')) return undefined;
      asked.push(`${pathname.slice(9)} ${searchParams.get('of') ?? ''} ${headers.cookie ?? 'nobody'}`);
      return { status: 200, body: pathname === '/service/mast' ? 6 : 12 };
    },
    async (response, path) => {
      await asHeadersSay(out)(response);
      if (path === '/index.html') response.setHeader('Set-Cookie', 'pass=warden; SameSite=Lax');
    },
  );
  page = await (await sharedBrowser()).newPage();
  page.on('console', (message) => problems.push(message.text()));
});
afterAll(async () => {
  await page.close();
  await server.close();
  await rm(folder, { recursive: true });
});
afterEach(() => {
  asked.length = 0;
  problems.length = 0;
});

const said: string[] = [];
const exported = () =>
  run(
    ['export', 'html', folder, '--out', out],
    (text) => said.push(text),
    (text) => said.push(text),
  );
const configure = (feeds: object) => writeFile(join(out, 'config.json'), JSON.stringify({ feeds }));
const told = () => page.locator('[data-name="told"]').innerText();
const open = () => page.goto(`${server.address}/index.html`);

it('begins with the names of the feeds; one on the page’s own server is asked as it stands, without cookies', async () => {
  expect(JSON.parse(await readFile(join(out, 'config.json'), 'utf8'))).toEqual({
    feeds: { wind: {}, beds: {} },
    sources: { office: {} },
  });
  await open();
  await expect.poll(told).toBe('0 12');
  expect(asked[0]).toBe('Ilka  nobody');
  await page.locator('[data-name="other"]').click();
  await expect.poll(() => asked.includes('Runa  nobody')).toBe(true);
});

it('a stand-in is replaced by a real service, which knows who asks', async () => {
  await configure({ wind: { address: 'service/mast?of=', as: 'json', credentials: true } });
  await open();
  await expect.poll(told).toBe('6 12');
  expect(asked).toContain('mast Ilka pass=warden');
  await page.locator('[data-name="other"]').click();
  await expect.poll(() => asked.includes('mast Runa pass=warden')).toBe(true);
});

it('a service is asked where it is said to be, with a secret that only the page’s own code knows', async () => {
  const guests = () => page.locator('[data-name="guests"]').innerText();
  await open();
  await expect.poll(guests).toContain('failed');
  await writeFile(join(out, 'config.json'), JSON.stringify({ sources: { office: { base: 'office/' } } }));
  await open();
  await expect.poll(guests).toBe('failed The service does not know who asks.');
  await page.evaluate(() =>
    (
      globalThis as unknown as { hovrinPage: { setSecret(name: string, text: string): void } }
    ).hovrinPage.setSecret('key', 'open'),
  );
  await page.locator('[data-name="again"]').click();
  await expect.poll(guests).toBe('done 2');
  expect(keys).toEqual(['none', 'open']);
});

it('exporting again keeps it, and lets the page ask the hosts that it names', async () => {
  await configure({ wind: { address: 'https://mast.hut.example:8443/wind?of=' } });
  said.length = 0;
  expect(await exported()).toBe(0);
  expect(said.join('')).toContain('Left as it is, your own: config.json');
  for (const file of ['index.html', 'headers.txt'])
    expect(await readFile(join(out, file), 'utf8')).toContain(
      "connect-src 'self' https://mast.hut.example:8443;",
    );
});

it('what is wrong with it is said, by the page and where it is exported', async () => {
  await writeFile(join(out, 'config.json'), '{ "feeds": ');
  await open();
  await expect.poll(told).toBe('0 12');
  expect(problems.join()).toContain('config.json cannot be read');
  await configure({ rain: {} });
  await open();
  await expect.poll(() => problems.join()).toContain('the page has no `rain` among its feeds');
  await configure({ wind: { adress: 'x' } });
  said.length = 0;
  expect(await exported()).toBe(2);
  expect(said.join('')).toContain('`wind` has `adress`');
});
