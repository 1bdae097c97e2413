/** Nothing is lost and nothing goes wrong in silence: typed key by key, in two windows, against a server that fails. */
import { readFile } from 'node:fs/promises';
import { strToU8, unzipSync, zipSync } from 'fflate';
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { addByKeys, fact, facts, props, saved, tree, Workbench } from './workbench.ts';

let bench: Workbench;
beforeAll(async () => {
  bench = await Workbench.start();
});
afterAll(async () => {
  expect(bench.problems).toEqual([]);
  await bench.stop();
});

/** Two windows on a new project. */
async function twoWindows(name: string): Promise<[Page, Page]> {
  const one = await bench.window(true);
  await bench.newProject(one, name);
  const two = await bench.window(true);
  await two.goto(one.url());
  await two.locator('[data-bay]').first().waitFor();
  return [one, two];
}
describe('typing in Facts, key by key', () => {
  let page: Page;
  beforeAll(async () => {
    page = await bench.window();
    await bench.newProject(page, 'Typing');
    await addByKeys(page, 'row', 'line');
  });
  afterAll(() => page.close());
  /** Types into a field as a person does, from nothing. */
  const type = async (label: string, text: string) => {
    await fact(page, label).click();
    await page.keyboard.press('Control+a');
    await page.keyboard.press('Delete');
    await page.keyboard.type(text);
  };

  it.each([
    ['Padding', '8 4', 'padding', '8 4'],
    ['Width', 'share 4', 'width', 'share 4'],
    ['Width', ' 50 % ', 'width', '50%'],
    ['Gap', '7  13', 'gap', '7 13'],
    ['Background', 'accent', 'background', 'accent'],
    ['Corner', '12px', 'corner', '12'],
  ])(
    '%s is never rewritten while “%s” is typed, and is kept as it is canonical',
    async (label, text, property, kept) => {
      await type(label, text);
      expect(await fact(page, label).inputValue()).toBe(text);
      await page.keyboard.press('Enter');
      await expect.poll(() => fact(page, label).inputValue()).toBe(kept);
      await saved(page);
      expect((await props(page, 'line'))![property]).toBe(kept);
    },
  );

  it('the beginning of a word has no effect before the word is whole or the field is left', async () => {
    await type('Background', 'alert');
    await page.keyboard.press('Enter');
    await type('Background', 'line');
    await saved(page);
    // It may become `linear-gradient`.
    expect((await props(page, 'line'))!.background).not.toBe('line');
    await page.keyboard.press('Tab');
    await saved(page);
    expect((await props(page, 'line'))!.background).toBe('line');
  });

  it('a mistake is told while one types, and gone when it is mended', async () => {
    await type('Padding', '8 x');
    await facts(page)
      .getByText(/`8 x` is not/)
      .waitFor();
    await page.keyboard.press('Backspace');
    await page.keyboard.type('4');
    await facts(page)
      .getByText(/`8 x` is not/)
      .waitFor({ state: 'detached' });
    expect(await fact(page, 'Padding').inputValue()).toBe('8 4');
  });

  it('options are typed a line each, and events keep their spaces', async () => {
    await tree(page, 'line').click();
    await addByKeys(page, 'select', 'board');
    await type('Options', '');
    await page.keyboard.type('Half board');
    await page.keyboard.press('Enter');
    await page.keyboard.type('Full board');
    expect(await fact(page, 'Options').inputValue()).toBe('Half board\nFull board');
    await page.keyboard.press('Tab');
    await saved(page);
    expect((await props(page, 'board'))!.options).toBe('Half board | Full board');
    await fact(page, 'On change').click();
    await page.keyboard.type('message("a b") ;  back() ');
    expect(await fact(page, 'On change').inputValue()).toBe('message("a b") ;  back() ');
  });

  it('Enter leaves no line break in words of one line, and makes one in a text', async () => {
    await tree(page, 'Screen1').click();
    await addByKeys(page, 'button', 'act');
    await type('Text', 'Book');
    await page.keyboard.press('Enter');
    await saved(page);
    expect((await props(page, 'act'))!.text).toBe('Book');
    await tree(page, 'Screen1').click();
    await addByKeys(page, 'text', 'note');
    await type('Text', 'one');
    await page.keyboard.press('Enter');
    await page.keyboard.type('two');
    await saved(page);
    expect((await props(page, 'note'))!.text).toBe('one\ntwo');
  });

  it('what waits when another control is selected is not lost', async () => {
    await tree(page, 'line').click();
    await type('Background', 'line');
    await tree(page, 'note').click();
    await saved(page);
    expect((await props(page, 'line'))!.background).toBe('line');
  });

  it('a number with a point opens no list, and undo works in a field in which nothing was typed', async () => {
    await tree(page, 'note').click();
    await type('Text', '{0.5');
    expect(await page.getByRole('listbox').count()).toBe(0);
    await page.keyboard.type(' + 1}');
    await tree(page, 'Screen1').click();
    await addByKeys(page, 'text', 'late');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await tree(page, 'late').waitFor({ state: 'detached' });
  });
});

it('one property on many controls at once is saved, undone, and there after a reload', async () => {
  const page = await bench.window();
  await bench.newProject(page, 'Many');
  await page.keyboard.press('x');
  const editor = page.getByRole('textbox', { name: /Source/ });
  await editor.click();
  await page.keyboard.press('Control+a');
  const rows = Array.from(
    { length: 14 },
    (_, index) => `<text name="guest${index}" text="Guest ${index}" />`,
  );
  await page.keyboard.insertText(`<screen name="Screen1">${rows.join('')}</screen>`);
  await tree(page, 'guest13').waitFor();
  await page.keyboard.press('Escape');
  await tree(page, 'guest0').click();
  await page.keyboard.down('Shift');
  await tree(page, 'guest13').click();
  await page.keyboard.up('Shift');
  await facts(page).getByText('14 controls').waitFor();
  await fact(page, 'Width').click();
  await page.keyboard.type('210');
  await saved(page);
  expect([await props(page, 'guest0'), await props(page, 'guest13')].map((each) => each!.width)).toEqual([
    '210',
    '210',
  ]);
  await page.reload();
  await tree(page, 'guest13').waitFor();
  await page.getByRole('button', { name: 'Undo' }).click();
  await saved(page);
  await expect.poll(async () => (await props(page, 'guest5'))!.width).toBeUndefined();
  await page.close();
});

describe('two windows', () => {
  it('that each add a variable have both; undo in one leaves the other’s', async () => {
    const [one, two] = await twoWindows('Both');
    for (const page of [one, two]) await page.getByRole('link', { name: 'Data' }).click();
    // At the same moment, on the same base: both would call it `value1`. By keys: a row that comes moves the button away
    // from the pointer.
    await Promise.all(
      [one, two].map((page) => page.getByRole('button', { name: 'Add a variable' }).press('Enter')),
    );
    for (const page of [one, two])
      for (const name of ['value1', 'value2']) await page.locator(`input[data-variable="${name}"]`).waitFor();
    await saved(one);
    await saved(two);
    // The later one was told that the name is taken, which the browser's console says, and took another.
    const told = bench.problems.findIndex((each) => each.includes('409'));
    if (told >= 0) bench.problems.splice(told, 1);
    await one.getByRole('button', { name: 'Undo' }).click();
    for (const page of [one, two])
      await expect.poll(() => page.locator('input[data-variable]').count()).toBe(1);
    await one.close();
    await two.close();
  });

  it('one of which deletes what the other edits: it is told, with its text, and a way back', async () => {
    const [one, two] = await twoWindows('Deleted');
    await addByKeys(one, 'text', 'notice');
    await saved(one);
    await tree(two, 'notice').click();
    await fact(two, 'Text').click();
    await tree(one, 'notice').click();
    await one.keyboard.press('Delete');
    await two.getByRole('button', { name: '1 set aside' }).click();
    const dialog = two.getByRole('dialog', { name: 'Set aside' });
    await dialog.getByText('“Delete notice”').waitFor();
    expect(await axeFaults(two)).toEqual([]);
    await dialog.getByRole('button', { name: 'Put it back' }).click();
    await dialog.getByText('Nothing is set aside any more.').waitFor();
    await two.keyboard.press('Escape');
    await tree(one, 'notice').waitFor();
    await one.close();
    await two.close();
  });

  it('one of which works without the server: what no longer fits is set aside with what was typed', async () => {
    const [one, two] = await twoWindows('Apart');
    await addByKeys(one, 'text', 'notice');
    await saved(one);
    await tree(two, 'notice').waitFor();
    await two.context().setOffline(false);
    // Only what this window sends is held back.
    await two.route('**/entries', (route) => route.abort('connectionfailed'));
    await tree(two, 'notice').click();
    await fact(two, 'Text').fill('a long text that nobody wants to type again');
    await two.getByText('Not connected: changes are kept here').waitFor();
    await tree(one, 'notice').click();
    await one.keyboard.press('Delete');
    await saved(one);
    await two.unroute('**/entries');
    await two.getByRole('button', { name: /set aside/ }).click({ timeout: 60_000 });
    const dialog = two.getByRole('dialog', { name: 'Set aside' });
    await dialog.getByText('text: a long text that nobody wants to type again').waitFor();
    const [file] = await Promise.all([
      two.waitForEvent('download'),
      dialog.getByRole('button', { name: 'Download it' }).first().click(),
    ]);
    expect(await readFile(await file.path(), 'utf8')).toContain('a long text that nobody');
    await dialog.getByRole('button', { name: 'Put it back' }).first().click();
    await saved(two);
    expect(await props(two, 'notice')).toEqual({ text: 'a long text that nobody wants to type again' });
    await one.close();
    await two.close();
  });

  it('six of them save', async () => {
    const pages = await Promise.all(Array.from({ length: 7 }, () => bench.window()));
    const [first, ...others] = pages as [Page, ...Page[]];
    await bench.newProject(first, 'Six');
    for (const page of others) {
      await page.goto(first.url());
      await page.locator('[data-bay]').first().waitFor();
    }
    const last = others.at(-1)!;
    await last.bringToFront();
    await addByKeys(last, 'text', 'notice');
    await saved(last);
    for (const page of pages) await tree(page, 'notice').waitFor();
    for (const page of pages) await page.close();
  });
});

describe('a server that fails', () => {
  it('is told apart from no connection, and one bad entry keeps nothing else back', async () => {
    const page = await bench.window();
    await bench.newProject(page, 'Failing');
    const problems = bench.problems.length;
    // What is refused is set aside, and its name goes: the server answers when the name has been seen.
    let answers = () => {};
    const seen = new Promise<void>((resolve) => {
      answers = resolve;
    });
    await page.route('**/entries', async (route) => {
      const { entries } = route.request().postDataJSON() as { entries: { label: string }[] };
      if (entries.some(({ label }) => label.includes('notice'))) {
        await seen;
        await route.fulfill({ status: 400, json: { error: 'This entry is not to our liking.' } });
      } else await route.continue();
    });
    await addByKeys(page, 'text', 'notice');
    answers();
    await addByKeys(page, 'button', 'act');
    await page.getByRole('button', { name: /set aside/ }).waitFor();
    await saved(page);
    await page.unroute('**/entries');
    await page.route('**/entries', (route) =>
      route.fulfill({ status: 507, json: { error: 'The disk is full.' } }),
    );
    await tree(page, 'Screen1').click();
    await fact(page, 'Padding').fill('20');
    await page.getByText('Not stored yet: changes are kept here').waitFor();
    await page.unroute('**/entries');
    await saved(page);
    await page.reload();
    await tree(page, 'Screen1').waitFor();
    // What was set aside is still there, after a reload, too.
    await page.getByRole('button', { name: /set aside/ }).waitFor();
    // The browser tells of the answers that were made up here.
    bench.problems.splice(problems);
    await page.close();
  });
});

describe('a project as a file', () => {
  it('goes out and comes in again, and is asked about before it calls anybody', async () => {
    const page = await bench.window();
    await page.goto(bench.address);
    await page.getByRole('button', { name: 'More for Velmora Hut' }).click();
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('menuitem', { name: 'Take it out as a file' }).click(),
    ]);
    expect(file.suggestedFilename()).toBe('Velmora Hut.hovrin.zip');
    const files = unzipSync(new Uint8Array(await readFile(await file.path())));
    const project = JSON.parse(new TextDecoder().decode(files['project.json'])) as {
      name: string;
      state: object[];
    };
    const feed = (address: string) => ({ address, as: 'json', every: 5 });
    const hostile = {
      ...project,
      name: 'From elsewhere',
      state: [
        ...project.state,
        { name: 'out', type: 'record', initial: {}, feed: feed('https://elsewhere.example/data') },
        { name: 'near', type: 'record', initial: {}, feed: feed('http://192.168.1.4/data') },
        { name: 'here', type: 'record', initial: {}, feed: feed('http://127.0.0.1:9/data') },
      ],
    };
    const zip = zipSync({ ...files, 'project.json': strToU8(JSON.stringify(hostile)) });
    const choose = (name: string, bytes: Uint8Array) =>
      page
        .getByLabel('A project’s file')
        .setInputFiles({ name, mimeType: 'application/zip', buffer: Buffer.from(bytes) });
    await choose(
      'broken.zip',
      zipSync({
        ...files,
        'screens/Tonight.screen.xml': strToU8('<screen name="Tonight"><row gap="wide" /></screen>'),
      }),
    );
    await page.getByText('“broken.zip” was not brought in; nothing was changed.').waitFor();
    await page.getByText(/screens\/Tonight.screen.xml:1:\d+/).waitFor();
    expect(await axeFaults(page)).toEqual([]);
    // The answer with its sentence is a failed request to the browser.
    bench.problems.splice(
      bench.problems.findIndex((each) => each.includes('422')),
      1,
    );
    await choose('elsewhere.hovrin.zip', zip);
    await page.locator('[data-bay]').first().waitFor();
    await page.getByRole('button', { name: 'Try' }).click();
    await page.getByText('This project calls other computers').waitFor();
    for (const words of [
      'https://elsewhere.example',
      'http://192.168.1.4',
      'an address in your own network',
      'this computer',
    ])
      await page.getByText(words, { exact: true }).waitFor();
    expect(await page.locator('iframe').count()).toBe(0);
    expect(await axeFaults(page)).toEqual([]);
    await page.getByRole('button', { name: 'Run it without them' }).click();
    await page.locator('iframe').first().waitFor();
    expect(await page.locator('iframe').first().getAttribute('src')).not.toContain('~calls');
    await page.close();
    // Refused by the page's own policy: nothing was called.
    bench.problems.splice(0);
  });
});

it('a wrong word typed over the bench changes nothing', async () => {
  const page = await bench.window();
  await bench.newProject(page, 'Words');
  await addByKeys(page, 'row', 'line');
  await addByKeys(page, 'text', 'note');
  await tree(page, 'note').click();
  await saved(page);
  const outline = () =>
    page.evaluate(async () => {
      const answer = await fetch(`/api/projects/${location.pathname.split('/')[2]}`);
      const { project } = (await answer.json()) as { project: unknown };
      return JSON.stringify(project);
    });
  const before = await outline();
  for (const word of ['Row', 'Column', 'Guests', 'Layers', 'Unwrap', 'Zoom']) {
    for (const letter of word.replaceAll(/[aA]/g, '')) await page.keyboard.press(letter);
    await page.keyboard.press('Backspace');
    await page.keyboard.press('Escape');
  }
  await page.keyboard.press('Escape');
  await page.waitForTimeout(600);
  expect(await outline()).toBe(before);
  await page.close();
});
