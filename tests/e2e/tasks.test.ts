/** Tasks: recorded in Try, kept, done again at every size, and by the command line, with the exit code for a build. */
import { cp, mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { workspace } from '@hovrin/files';
import type { FrameLocator, Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { run } from '../../packages/cli/src/main.ts';
import { axeFaults } from '../browser/axe.ts';
import { demoForAll } from './demo-for-all.ts';
import { saved } from './workbench.ts';

describe('in Try', () => {
  let page: Page;
  demoForAll(async (demo) => {
    page = demo.page;
    await page.getByText('CheckIn', { exact: true }).first().click();
    await page.keyboard.press('t');
    await page.getByRole('button', { name: 'Tasks' }).click();
  });
  const lap = (): FrameLocator => page.frameLocator('iframe[title^="Lap,"]');
  const named = (name: string) => lap().locator(`[data-name="${name}"]`);
  const tasks = () => page.getByRole('region', { name: 'Tasks' });
  const steps = () => tasks().getByRole('list', { name: 'Steps' }).getByRole('listitem');
  /** Presses on what is expected; frames are scaled, which a mouse of a test does not know. */
  const expectThat = async (name: string) => {
    await page.getByRole('button', { name: 'Expect' }).click();
    await named(name).evaluate((element: HTMLElement) => element.click());
    await expect
      .poll(() => page.getByRole('button', { name: 'Expect' }).getAttribute('aria-pressed'))
      .toBe('false');
  };

  it('the tasks of the project are listed, and are done at all sizes', async () => {
    const list = tasks().getByRole('list', { name: 'All tasks' });
    await expect.poll(() => list.getByRole('listitem').count()).toBe(3);
    await page.getByRole('button', { name: 'Do all' }).click();
    await expect.poll(() => list.getByText('went well').count(), { timeout: 60_000 }).toBe(3);
    expect(await axeFaults(page)).toEqual([]);
  });

  it('what is done and expected is recorded, named, and kept with one undo', async () => {
    await page.getByRole('button', { name: 'Record' }).click();
    await expect.poll(() => named('guest').count()).toBe(1);
    await named('guest').locator('input').fill('Fenna');
    await named('guest').locator('input').fill('Fenna Quill');
    await named('meal2').locator('input').press(' ');
    await expectThat('total');
    await expectThat('guest');
    await named('cancel').press('Enter');
    await page.getByRole('button', { name: 'Expect' }).click();
    await named('heading').evaluate((element: HTMLElement) => element.click());
    await expect.poll(() => steps().count()).toBe(6);
    const words = (await steps().allInnerTexts()).map((text) => text.replace(/\s+/g, ' '));
    expect(words[0]).toContain('Enter “Fenna Quill” into guest on CheckIn');
    expect(words[1]).toContain('Tick meal2');
    expect(words[2]).toMatch(/total says “.*120/);
    expect(words[3]).toContain('guest holds “Fenna Quill”');
    expect(words[4]).toContain('Press cancel');
    expect(words[5]).toContain('heading says “Arrivals” on Arrivals');
    await page.getByRole('button', { name: 'Remove step 6' }).click();
    await page.getByRole('button', { name: 'Stop', exact: true }).click();
    expect(await axeFaults(page)).toEqual([]);
    await page.keyboard.type('An order is taken in the kitchen');
    await tasks().getByText('There is a task of that name.').waitFor();
    await page.getByLabel('What is done in it').fill('Tea is two francs a flask');
    await page.keyboard.press('Enter');
    await tasks().getByRole('button', { name: 'Tea is two francs a flask', exact: true }).click();
    await expect.poll(() => steps().count()).toBe(5);
  });

  it('a step that cannot be done says why, at which size', async () => {
    await tasks().getByRole('button', { name: 'Remove step 1' }).click();
    await tasks().getByRole('button', { name: 'Do Tea is two francs a flask' }).click();
    await tasks().getByText('failed at Hand, Lap, Desk').waitFor({ timeout: 60_000 });
    await tasks().getByText('Hand: guest holds “”.').waitFor();
    await tasks().getByRole('button', { name: 'Delete Tea is two francs a flask' }).click();
    await expect
      .poll(() => tasks().getByRole('list', { name: 'All tasks' }).getByRole('listitem').count())
      .toBe(3);
    await page.getByRole('button', { name: 'Build' }).click();
    await saved(page);
  });
});

describe('hovrin test', () => {
  let folder: string;
  const said: string[] = [];
  const test = (...words: readonly string[]) => {
    said.length = 0;
    return run(
      ['test', folder, ...words],
      (text) => said.push(text),
      (text) => said.push(text),
    );
  };
  beforeAll(async () => {
    folder = await mkdtemp(join(tmpdir(), 'hovrin-tasks-'));
    await cp(join(workspace, 'starters/service'), folder, { recursive: true });
  });
  afterAll(() => rm(folder, { recursive: true }));

  it('does all tasks at two sizes, against the simulated service', async () => {
    expect(await test()).toBe(0);
    expect(said.at(-1)).toBe('4 passed, 0 failed\n');
  });

  it('says which step failed, at which size, and gives exit code 1', async () => {
    const file = join(folder, 'tasks/the-warden-signs-in.task.json');
    await writeFile(file, (await readFile(file, 'utf8')).replace('"4621"', '"4622"'));
    expect(await test('--size', '390x844', '--task', 'The warden signs in')).toBe(1);
    expect(said.join('')).toContain('FAIL  The warden signs in, 390x844\n  step 7, “sign says “Sign out””: ');
    expect(await test('--size', '390x844', '--task', 'The warden signs in', '--json')).toBe(1);
    expect(JSON.parse(said.join(''))).toMatchObject([
      { task: 'The warden signs in', size: '390x844', done: 6 },
    ]);
  });

  it('refuses what it cannot do: exit code 2', async () => {
    expect(await test('--task', 'Nothing')).toBe(2);
    expect(said.join('')).toContain('There is no task “Nothing”; there are: ');
    expect(await test('--browser', '/nowhere/chromium')).toBe(2);
    expect(said.join('')).toContain('No browser is at /nowhere/chromium');
    await rm(join(folder, 'tasks'), { recursive: true });
    expect(await test()).toBe(2);
    expect(said.join('')).toContain('has no tasks');
  });
});
