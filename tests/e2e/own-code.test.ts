/** The worked example of `docs/handing-over.md`: written out as it stands there, compiled, served, used. */
import { spawnSync } from 'node:child_process';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defaultBands, type Project, parseScreen, type StateVariable } from '@hovrin/core';
import { workspace, writeExport } from '@hovrin/files';
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { sharedBrowser } from '../browser/browser.ts';
import { makePage } from '../browser/exported-page.ts';
import { fillNumber } from '../browser/hands.ts';
import { asHeadersSay, type ServedFolder, serveFolder } from '../browser/served-folder.ts';

let folder: string;
let server: ServedFolder;
let page: Page;
const problems: string[] = [];
/** The pass that the service takes now, and how often somebody signed in. */
let pass = 'first';
let signIns = 0;
let works = true;

beforeAll(async () => {
  const text = await readFile(join(workspace, 'docs/handing-over.md'), 'utf8');
  const block = (path: string): string => {
    const found = new RegExp(`^\`\`\`\\w+ ${path.replaceAll('.', '\\.')}\\n([\\s\\S]*?)^\`\`\`$`, 'm').exec(
      text,
    );
    if (!found?.[1]) throw new Error(`The document has no ${path}.`);
    return found[1];
  };
  const state = JSON.parse(block('state.json')) as StateVariable[];
  let ids = 0;
  const parsed = parseScreen(block('screens/Stay.screen.xml'), {
    file: 'Stay',
    newId: () => `c${++ids}`,
    context: {
      bands: defaultBands,
      names: new Map(state.map(({ name, type }) => [name, type])),
      screens: new Set(),
      namesKnown: true,
    },
  });
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
  const project: Project = {
    format: 1,
    name: 'Stay',
    bands: defaultBands,
    state,
    assets: [],
    screens: [parsed.screen],
  };
  folder = await mkdtemp(join(tmpdir(), 'hovrin-own-'));
  await writeExport(await makePage(project), folder, folder);
  await writeFile(join(folder, 'handlers.js'), block('handlers.js'));
  server = await serveFolder(
    folder,
    ({ url: { pathname, searchParams }, headers }) => {
      if (pathname === '/service/sign-in') {
        signIns++;
        return { status: 200, body: { pass } };
      }
      if (pathname !== '/service/price') return undefined;
      if (headers.authorization !== `Bearer ${pass}`) return { status: 401, body: {} };
      return works
        ? { status: 200, body: { crowns: Number(searchParams.get('nights')) * 58 } }
        : { status: 503, body: {} };
    },
    asHeadersSay(folder),
  );
  page = await (await sharedBrowser()).newPage();
  page.on('console', (message) => problems.push(message.text()));
  page.on('pageerror', (error) => problems.push(error.message));
  await page.goto(`${server.address}/index.html`);
});
afterAll(async () => {
  await page.close();
  await server.close();
  await rm(folder, { recursive: true });
});

const told = () => page.locator('[data-name="told"]').innerText();
const ask = () => page.getByRole('button', { name: 'What does it cost?' }).click();

it('its types hold: the code compiles against them, and a wrong name does not', async () => {
  const compile = () =>
    spawnSync(
      process.execPath,
      [
        join(workspace, 'node_modules/typescript/bin/tsc'),
        '--noEmit',
        '--allowJs',
        '--checkJs',
        '--strict',
        '--target',
        'es2023',
        '--types',
        '',
        'handlers.js',
        'hovrin.d.ts',
      ],
      { cwd: folder, encoding: 'utf8' },
    ).stdout;
  expect(compile()).toBe('');
  const right = await readFile(join(folder, 'handlers.js'), 'utf8');
  await writeFile(join(folder, 'handlers.js'), right.replace("set('asked', false)", "set('asked', 7)"));
  expect(compile()).toContain("'number' is not assignable to parameter of type 'boolean'");
  await writeFile(join(folder, 'handlers.js'), right);
});

it('a price comes from the service, after signing in once', async () => {
  expect(await told()).toBe('Nobody has asked yet.');
  await ask();
  await expect.poll(told).toBe('116 crowns');
  await fillNumber(page.getByLabel('Nights'), '3');
  await expect.poll(told).toBe('Nobody has asked yet.');
  await ask();
  await expect.poll(told).toBe('174 crowns');
  expect([signIns, problems]).toEqual([1, []]);
});

it('a pass that has run out is asked for anew; what fails is said, and nothing is shown as if it were known', async () => {
  pass = 'second';
  await fillNumber(page.getByLabel('Nights'), '4');
  await ask();
  await expect.poll(told).toBe('232 crowns');
  expect(signIns).toBe(2);
  works = false;
  await fillNumber(page.getByLabel('Nights'), '5');
  await ask();
  await expect
    .poll(() => problems.filter((text) => text.includes('handlers.quote')))
    .toEqual(['`handlers.quote`: The service says 503.']);
  expect(await told()).toBe('Nobody has asked yet.');
});

it('the page can be read, set, followed and led from outside', async () => {
  const seen = await page.evaluate(() => {
    const { hovrinPage } = window as unknown as {
      hovrinPage: {
        get(name: string): unknown;
        set(name: string, value: unknown): boolean;
        subscribe(name: string, apply: (value: unknown) => void): () => void;
      };
    };
    const heard: unknown[] = [];
    const end = hovrinPage.subscribe('nights', (value) => heard.push(value));
    const took = [hovrinPage.set('nights', 7), hovrinPage.set('nights', 'many')];
    end();
    hovrinPage.set('nights', 1);
    return { heard, took, now: hovrinPage.get('nights') };
  });
  expect(seen).toEqual({ heard: [5, 7], took: [true, false], now: 1 });
});
