/** Whole tasks through the real interface: a form built by mouse, a screen built by keys, what survives what. */
import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { unzipSync } from 'fflate';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  addByKeys,
  drag,
  fact,
  facts,
  pressScaled,
  saved,
  trayPart,
  tree,
  treeNames,
  Workbench,
} from './workbench.ts';

let bench: Workbench;
beforeAll(async () => {
  bench = await Workbench.start();
});
afterAll(() => bench.stop());

describe('with the mouse', () => {
  it('a check-in form is built from nothing, connected, run, handed over, and found again', async () => {
    const page = await bench.window();
    await bench.newProject(page, 'Evening desk');

    // State first.
    await page.getByRole('link', { name: 'Data' }).click();
    for (const [name, type, start] of [
      ['guest', 'text', ''],
      ['nights', 'number', '2'],
      ['halfBoard', 'boolean', ''],
    ] as const) {
      await page.getByRole('button', { name: 'Add a variable' }).click();
      await page.getByLabel(/^Name of value/).fill(name);
      await page.keyboard.press('Enter');
      await page.getByLabel(`Type of ${name}`).selectOption(type);
      if (start) await page.getByLabel(`Start of ${name}`).fill(start);
    }
    await page.getByRole('link', { name: 'Build' }).click();

    // Parts from the tray onto the bench; the line says where.
    const bay = page.locator('[data-bay="working"]');
    await drag(page, await trayPart(page, 'Ask', 'Text field'), bay, 0.5, 0.3);
    await page.getByText('new text field: into Screen1').waitFor();
    await page.mouse.up();
    expect(
      await facts(page)
        .getByLabel('Name')
        .evaluate((field) => field === document.activeElement),
    ).toBe(true);
    await page.keyboard.type('guestField');
    await page.keyboard.press('Enter');
    await fact(page, 'Label').fill('Name of the guest');
    await fact(page, 'Value kept in').selectOption('guest');

    await drag(page, await trayPart(page, 'Ask', 'Checkbox'), bay, 0.5, 0.6);
    await page.getByText('into Screen1, after guestField').first().waitFor();
    await page.mouse.up();
    await page.keyboard.type('board');
    await page.keyboard.press('Enter');
    await fact(page, 'Label').fill('Half board');
    await fact(page, 'Checked kept in').selectOption('halfBoard');

    // A row with two buttons, added at the `+` and by the tray.
    await page.getByRole('button', { name: 'Add into Screen1, after board' }).click();
    await page.getByRole('option', { name: /^Row/ }).click();
    await page.keyboard.type('actions');
    await page.keyboard.press('Enter');
    await (await trayPart(page, 'Act', 'Button')).click();
    await page.keyboard.type('save');
    await page.keyboard.press('Enter');
    await fact(page, 'Text').fill('Check in {guest}');
    await fact(page, 'Disabled').check();
    await fact(page, 'Disabled').uncheck();
    await fact(page, 'Width').fill('share 2');
    await fact(page, 'On press').fill('nights = nights + 1; guest = "done " + nights');
    await tree(page, 'actions').click();
    await (await trayPart(page, 'Show', 'Text')).click();
    await page.keyboard.type('total');
    await page.keyboard.press('Enter');
    await fact(page, 'Text').fill('{nights * (halfBoard ? 58 : 36)} crowns');
    expect(await treeNames(page)).toEqual(['Screen1', 'guestField', 'board', 'actions', 'save', 'total']);
    await bay.getByText('72 crowns').waitFor();
    for (const side of ['Lap', 'Desk'])
      await page.locator(`[data-bay="${side}"]`).getByText('72 crowns').waitFor();

    // On the bench: from the row to the top of the screen, by dragging.
    await drag(page, bay.getByText('72 crowns'), bay, 0.5, 0.01);
    await page.mouse.up();
    expect(await treeNames(page)).toEqual(['Screen1', 'total', 'guestField', 'board', 'actions', 'save']);
    // In the tree: behind the checkbox.
    await drag(page, tree(page, 'total'), tree(page, 'board'), 0.5, 0.9);
    await page.mouse.up();
    expect(await treeNames(page)).toEqual(['Screen1', 'guestField', 'board', 'total', 'actions', 'save']);

    // Names are refused in place, with the reason.
    await tree(page, 'total').click();
    const name = facts(page).getByLabel('Name');
    await name.fill('board');
    await page.getByText('`board` is taken by another checkbox on this screen.').waitFor();
    await name.fill('1st');
    await page.getByText('A name cannot begin with a digit').waitFor();
    await page.keyboard.press('Escape');
    expect(await name.inputValue()).toBe('total');

    // A wrong expression: said where it is, the last good one runs on, what was typed stays.
    await fact(page, 'Text').fill('{nihts * 36} crowns');
    await page.getByText('There is no state variable `nihts`. Did you mean `nights`?').waitFor();
    await bay.getByText('72 crowns').waitFor();
    await saved(page);
    await page.reload();
    await page.locator('[data-bay]').first().waitFor();
    await tree(page, 'total').click();
    expect(await fact(page, 'Text').inputValue()).toBe('{nihts * 36} crowns');
    await fact(page, 'Text').fill('{nights * (halfBoard ? 58 : 36)} crowns');
    await saved(page);

    // Try: all sizes, then one.
    await page.getByRole('button', { name: 'Try' }).click();
    const hand = page.frameLocator('iframe[title^="Hand"]');
    await hand.getByLabel('Name of the guest').fill('Ilka');
    await hand.getByRole('button', { name: 'Check in Ilka' }).waitFor();
    const handFrame = page.locator('iframe[title^="Hand"]');
    await pressScaled(page, handFrame, hand.getByLabel('Half board'));
    await hand.getByText('116 crowns').waitFor();
    await pressScaled(page, handFrame, hand.getByRole('button', { name: 'Check in Ilka' }));
    await expect.poll(() => hand.getByLabel('Name of the guest').inputValue()).toBe('done 3');
    await page.frameLocator('iframe[title^="Desk"]').getByText('174 crowns').waitFor();
    await page.getByText('Lap', { exact: true }).first().click();
    await expect.poll(() => page.locator('iframe').count()).toBe(1);
    await page.getByRole('button', { name: 'Build' }).click();

    // Ship: the zip, opened from disk without a server.
    await page.getByRole('link', { name: 'Ship' }).click();
    // What the page says of itself: what is wrong stays in its field, and the rest goes out with it.
    const language = page.getByRole('combobox', { name: 'Language' });
    await language.pressSequentially('ger!');
    await page.keyboard.press('Tab');
    await page.getByRole('alert').getByText('is no language').waitFor();
    expect(await language.inputValue()).toBe('ger!');
    await language.click();
    await page.keyboard.press('Control+a');
    await language.pressSequentially('de-CH');
    await page.keyboard.press('Enter');
    await page.locator('span', { hasText: 'Swiss High German' }).waitFor();
    await page.getByLabel('Description').pressSequentially('Beds, and soup.');
    await page.keyboard.press('Tab');
    await saved(page);
    const coming = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Download as zip' }).click();
    const download = await coming;
    const folder = await mkdtemp(join(tmpdir(), 'hovrin-page-'));
    const files = unzipSync(
      new Uint8Array(await (await import('node:fs/promises')).readFile((await download.path())!)),
    );
    for (const [path, bytes] of Object.entries(files)) {
      await mkdir(dirname(join(folder, path)), { recursive: true });
      await writeFile(join(folder, path), bytes);
    }
    const opened = await bench.window();
    await opened.goto(`file://${join(folder, 'index.html')}`);
    expect(await opened.evaluate(() => document.documentElement.lang)).toBe('de-CH');
    expect(await opened.locator('meta[name="description"]').getAttribute('content')).toBe('Beds, and soup.');
    await opened.getByLabel('Half board').check();
    await opened.getByText('116 crowns').waitFor();
    await opened.close();
    await rm(folder, { recursive: true });

    // And in the list, after a reload, with its history.
    await page.goto(bench.address);
    await page.getByRole('link', { name: /Evening desk/ }).click();
    await tree(page, 'save').waitFor();
    await page.getByRole('button', { name: 'Undo' }).click();
    expect(bench.problems).toEqual([]);
    await page.close();
  });
});

describe('with keys alone', () => {
  it('a screen is built, changed, copied to another screen, and taken back to the beginning', async () => {
    const page = await bench.window();
    await bench.newProject(page, 'By keys');
    await addByKeys(page, 'colu', 'page');
    await addByKeys(page, 'words', 'title');
    await addByKeys(page, 'press', 'later');
    expect(await treeNames(page)).toEqual(['Screen1', 'page', 'title', 'later']);

    // From the field back to the bench, then move, duplicate, select, copy.
    await page.keyboard.press('Alt+ArrowUp');
    expect(await treeNames(page)).toEqual(['Screen1', 'page', 'later', 'title']);
    await page.keyboard.press('Control+d');
    expect(await treeNames(page)).toEqual(['Screen1', 'page', 'later', 'later1', 'title']);
    await page.keyboard.press('Alt+ArrowLeft');
    expect(await treeNames(page)).toEqual(['Screen1', 'page', 'later', 'title', 'later1']);
    await page.keyboard.press('ArrowUp');
    await page.keyboard.press('Control+c');
    await page.keyboard.press('Control+Shift+A');
    await page.keyboard.type('Kitchen');
    await page.keyboard.press('Enter');
    await page.getByRole('treeitem', { name: 'Kitchen' }).waitFor();
    await page.keyboard.press('Control+v');
    expect(await treeNames(page)).toEqual(['Kitchen', 'page', 'later', 'title']);
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Delete');
    await page.keyboard.press('Control+x');
    expect(await treeNames(page)).toEqual(['Kitchen', 'page']);

    // The list of commands has their keys.
    await page.keyboard.press('?');
    await page.getByRole('option', { name: /Move out of its container.*Alt\+←/ }).waitFor();
    await page.keyboard.press('Escape');

    // Undo across screens, after a reload, to the very beginning; and all of it again.
    await saved(page);
    await page.reload();
    await page.locator('[data-bay]').first().waitFor();
    let undone = 0;
    while (await page.getByRole('button', { name: 'Undo' }).isEnabled()) {
      await page.keyboard.press('Control+z');
      undone++;
    }
    expect(undone).toBeGreaterThan(10);
    expect(await treeNames(page)).toEqual(['Screen1']);
    for (let redone = 0; redone < undone; redone++) await page.keyboard.press('Control+Shift+z');
    expect(await page.getByRole('button', { name: 'Redo' }).isDisabled()).toBe(true);
    expect(await treeNames(page)).toEqual(['Kitchen', 'page']);
    expect(bench.problems).toEqual([]);
    await page.close();
  });
});

describe('two windows and a power cut', () => {
  it('what one window does, the other shows', async () => {
    const one = await bench.window();
    await bench.newProject(one, 'Together');
    const two = await bench.window();
    await two.goto(one.url());
    await two.locator('[data-bay]').first().waitFor();
    await addByKeys(one, 'text', 'notice');
    await tree(two, 'notice').waitFor();
    await tree(two, 'notice').click();
    await fact(two, 'Text').fill('Soup at seven');
    await one.locator('[data-bay="working"]').getByText('Soup at seven').waitFor();
    expect(bench.problems).toEqual([]);
    await one.close();
    await two.close();
  });

  it('after kill -9 everything that was shown as saved is there; what was done meanwhile is sent later', async () => {
    const page = await bench.window(true);
    await bench.newProject(page, 'Power cut');
    await addByKeys(page, 'text', 'kept');
    await saved(page);
    await bench.killServer();
    await page.locator('[data-saving="offline"]').waitFor();
    await addByKeys(page, 'text', 'meanwhile');
    await fact(page, 'Text').fill('Typed while the server was away');
    await page.getByText('Not connected: changes are kept here').waitFor();

    await bench.startServer();
    await saved(page);
    await page.reload();
    await page.locator('[data-bay="working"]').getByText('Typed while the server was away').waitFor();
    expect(await treeNames(page)).toEqual(['Screen1', 'kept', 'meanwhile']);

    // A window that is closed while the server is away leaves its changes to the next one.
    await bench.killServer();
    await page.locator('[data-saving="offline"]').waitFor();
    await addByKeys(page, 'button', 'last');
    const address = page.url();
    await page.close();
    await bench.startServer();
    const next = await bench.window();
    await next.goto(address);
    await tree(next, 'last').waitFor();
    await next.getByRole('button', { name: 'Undo' }).click();
    await next.getByRole('button', { name: 'Undo' }).click();
    expect(await treeNames(next)).toEqual(['Screen1', 'kept', 'meanwhile']);
    await next.close();
    expect(bench.problems).toEqual([]);
  });
});

describe('the list of projects', () => {
  it('renames, duplicates, deletes and brings back', async () => {
    const page = await bench.window();
    await page.goto(bench.address);
    await page.getByRole('button', { name: 'More for Velmora Hut' }).click();
    await page.getByRole('menuitem', { name: 'Duplicate' }).click();
    await page.getByRole('link', { name: /Velmora Hut \(copy\)/ }).waitFor();
    await page.getByRole('button', { name: 'More for Velmora Hut (copy)' }).click();
    await page.getByRole('menuitem', { name: 'Rename' }).click();
    await page.getByRole('textbox', { name: 'Name' }).fill('Winter room');
    await page.getByRole('button', { name: 'Rename', exact: true }).click();
    await page.getByRole('link', { name: /Winter room/ }).waitFor();
    await page.getByRole('button', { name: 'More for Winter room' }).click();
    await page.getByRole('menuitem', { name: 'Delete' }).click();
    await page.getByRole('link', { name: /Winter room/ }).waitFor({ state: 'detached' });
    await page.getByRole('button', { name: 'Bring it back' }).click();
    await page.getByRole('link', { name: /Winter room/ }).waitFor();
    expect(bench.problems).toEqual([]);
    await page.close();
  });
});
