/** Building with several controls at once, on pinboards and in grids, and through the source. */
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, beforeEach, expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { sourceField, sourceText, writeSource } from './source-drawer.ts';
import { drag, fact, facts, trayPart, tree, treeNames, Workbench } from './workbench.ts';

let bench: Workbench;
let page: Page;
beforeAll(async () => {
  bench = await Workbench.start();
  page = await bench.window();
  await bench.newProject(page, 'Many');
  await page.keyboard.press('x');
  await page.locator('.cm-content').waitFor();
});
afterAll(async () => {
  expect(bench.problems).toEqual([]);
  await bench.stop();
});

const source = () => sourceField(page);
const text = () => sourceText(page);
const write = (screen: string) => writeSource(page, screen);
const box = async (name: string) => {
  await tree(page, name).click();
  return (await page.locator(`[data-bay="working"] ~ div [data-selected="${name}"]`).boundingBox())!;
};

beforeEach(() =>
  write(
    '<screen name="Screen1" padding="20" gap="10"><text name="a" text="one"/><text name="b" text="two"/><row name="line" gap="8"><text name="c" text="three"/></row></screen>',
  ),
);

it('what is typed in the source is on the bench, and what is done on the bench is in the source', async () => {
  expect(await treeNames(page)).toEqual(['Screen1', 'a', 'b', 'line', 'c']);
  await tree(page, 'b').click();
  await fact(page, 'Text').fill('second');
  expect(await text()).toContain('<text name="b" text="second"/>');
  await tree(page, 'line').click();
  expect(await source().locator('.cm-line', { hasText: '<row name="line"' }).count()).toBe(1);
  await source().getByText('"c"').click();
  await expect.poll(() => facts(page).getByLabel('Name').inputValue()).toBe('c');
});

it('a text that cannot be read leaves the bench as it was, says where, and offers the nearest name', async () => {
  await source().getByText('"a"').click();
  await page.keyboard.press('Home');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.insertText('te');
  await page.getByText(/the bench shows the last good state/).waitFor();
  expect(await treeNames(page)).toEqual(['Screen1', 'a', 'b', 'line', 'c']);
  await page.keyboard.press('Control+z');
  await page.getByText(/the bench shows the last good state/).waitFor({ state: 'detached' });
  await source().getByText('"c"').click();
  await page.keyboard.press('End');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.insertText(' siz="20"');
  await page.locator('.cm-lintRange-error').first().hover();
  await page.getByRole('button', { name: 'Change to size' }).click();
  await tree(page, 'c').click();
  await expect
    .poll(() => facts(page).getByRole('textbox', { name: 'Size', exact: true }).inputValue())
    .toBe('20');
});

it('an element of no kind is mended at both of its ends by one press', async () => {
  await source().getByText('"line"').click();
  await page.keyboard.press('Home');
  const before = await text();
  await source().click();
  await page.keyboard.press('Control+a');
  await page.keyboard.insertText(before.replaceAll('<row ', '<rox ').replaceAll('</row>', '</rox>'));
  await page.getByRole('button', { name: /^Line \d+: There is no element <rox>/ }).click();
  await page.getByRole('button', { name: 'Change to row' }).click();
  await page.getByText(/the bench shows the last good state/).waitFor({ state: 'detached' });
  expect(await text()).toBe(before);
});

it('a text that cannot be read is there when the drawer opens again, and waits when the screen changes', async () => {
  const before = await text();
  await source().click();
  await page.keyboard.press('Control+End');
  await page.keyboard.insertText('<text');
  await page.getByText(/the bench shows the last good state/).waitFor();
  await page.getByRole('button', { name: 'Close the drawer' }).click();
  await page.keyboard.press('x');
  await page.getByText(/the bench shows the last good state/).waitFor();
  await tree(page, 'b').click();
  await fact(page, 'Text').fill('third');
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect.poll(text).toContain('</screen> <text');
  await tree(page, 'b').click();
  await fact(page, 'Text').fill('two');
  await page.getByRole('button', { name: 'Drop it' }).click();
  await page.getByRole('button', { name: 'Drop it' }).waitFor({ state: 'detached' });
  expect(await text()).toBe(before);
});

it('what is typed after the drawer was opened anew is undone by itself', async () => {
  const type = async (words: string) => {
    await source().getByText('"c"').click();
    await page.keyboard.press('End');
    for (let back = 0; back < 2; back++) await page.keyboard.press('ArrowLeft');
    await page.keyboard.insertText(words);
    await tree(page, 'b').click();
  };
  await type(' size="20"');
  await page.getByRole('button', { name: 'Close the drawer' }).click();
  await page.keyboard.press('x');
  await source().waitFor();
  await type(' weight="700"');
  await expect.poll(text).toMatch(/"c"[^>]*size="20"/);
  expect(await text()).toContain('weight="700"');
  await page.keyboard.press('Control+z');
  await expect.poll(text).not.toContain('weight="700"');
  expect(await text()).toContain('size="20"');
});

it('several are selected by keys, wrapped, duplicated, unwrapped, and each is undone at once', async () => {
  await tree(page, 'a').click();
  await page.keyboard.press('Shift+ArrowDown');
  await expect.poll(() => page.getByRole('treeitem', { selected: true }).count()).toBe(2);
  await page.keyboard.press('Alt+R');
  expect(await treeNames(page)).toEqual(['Screen1', 'row1', 'a', 'b', 'line', 'c']);
  await page.keyboard.press('Control+Shift+D');
  await page.getByLabel('Copies').fill('2');
  await page.keyboard.press('Enter');
  expect((await treeNames(page)).filter((name) => name.startsWith('row'))).toEqual(['row1', 'row2', 'row3']);
  await page.keyboard.press('Control+z');
  await tree(page, 'row1').click();
  await page.keyboard.press('Alt+U');
  expect(await treeNames(page)).toEqual(['Screen1', 'a', 'b', 'line', 'c']);
});

it('Facts set what several have in common on all of them, and say where they differ', async () => {
  await tree(page, 'a').click();
  await tree(page, 'c').click({ modifiers: ['Shift'] });
  await tree(page, 'line').click({ modifiers: ['Control'] });
  await facts(page).getByText('3 controls', { exact: true }).waitFor();
  await expect.poll(() => fact(page, 'Text').getAttribute('placeholder')).toBe('several');
  await facts(page).getByRole('textbox', { name: 'Size', exact: true }).fill('22');
  expect((await text()).match(/size="22"/g)?.length).toBe(3);
});

it('another kind keeps what applies and says what does not', async () => {
  await tree(page, 'line').click();
  await page.keyboard.press('k');
  await page.keyboard.type('layers');
  await page.keyboard.press('Enter');
  await page.getByText('A layers has no gap; undo brings it back.').waitFor();
  expect(await text()).toContain('<layers name="line">');
});

it('a click takes the innermost and climbs with Ctrl, a list shows all under the pointer, a lasso takes what it holds', async () => {
  const working = page.locator('[data-bay="working"]');
  const at = await box('c');
  const named = () => facts(page).getByLabel('Name').inputValue();
  await tree(page, 'Screen1').click();
  const [x, y] = [at.x + at.width / 2, at.y + at.height / 2];
  await page.mouse.click(x, y);
  await expect.poll(named).toBe('c');
  await page.keyboard.down('Control');
  await page.mouse.click(x, y);
  await page.keyboard.up('Control');
  await expect.poll(named).toBe('line');
  await page.mouse.click(x, y, { button: 'right' });
  await page.getByRole('menu', { name: 'Under the pointer' }).getByRole('menuitem', { name: 'line' }).click();
  await expect.poll(named).toBe('line');
  const whole = (await working.boundingBox())!;
  await page.mouse.move(whole.x + 2, whole.y + 2);
  await page.mouse.down();
  await page.mouse.move(whole.x + 40, whole.y + 20);
  await page.mouse.move(whole.x + whole.width - 2, at.y - 2, { steps: 5 });
  await page.mouse.up();
  await facts(page).getByText('2 controls', { exact: true }).waitFor();
});

it('on a pinboard a drag draws to what lines up, and lining up names its target', async () => {
  await write(
    '<screen name="Screen1"><pinboard name="board" height="400"><spacer name="a" left="40" top="40" width="80" height="40"/><spacer name="b" left="201" top="160" width="80" height="40"/></pinboard></screen>',
  );
  const [a, b] = [await box('a'), await box('b')];
  const scale = a.width / 80;
  await page.mouse.move(b.x + 20, b.y + 10);
  await page.mouse.down();
  await page.mouse.move(b.x + 10, b.y + 14);
  // Nearly below the other one: its left edge draws it there.
  await page.mouse.move(a.x + 20 + 3 * scale, b.y + 24, { steps: 5 });
  await page.locator('[data-guide="x"]').first().waitFor();
  await page.mouse.up();
  await expect.poll(() => fact(page, 'Left').inputValue()).toBe('40');
  await page.keyboard.press('Control+ArrowRight');
  await expect.poll(() => fact(page, 'Left').inputValue()).toBe('41');
  await tree(page, 'a').click({ modifiers: ['Control'] });
  await facts(page)
    .getByRole('button', { name: 'Line up with' })
    .or(facts(page).getByRole('button', { name: 'each other' }))
    .click();
  await page.getByRole('menuitem', { name: 'the parent' }).click();
  await facts(page).getByRole('button', { name: 'Line up right' }).click();
  expect((await text()).match(/left="310"/g)?.length).toBe(2);
});

it('what has no keys is found by its name and done by Enter; what cannot be done now says so', async () => {
  await write(
    '<screen name="Screen1"><pinboard name="board" height="400"><spacer name="a" left="40" top="40" width="80" height="40"/><spacer name="b" left="201" top="160" width="120" height="40"/></pinboard></screen>',
  );
  await tree(page, 'a').click();
  await tree(page, 'b').click({ modifiers: ['Control'] });
  await page.keyboard.press('?');
  await page.keyboard.type('same width');
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await text()).match(/width="80"/g)?.length).toBe(2);
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await text()).match(/width="80"/g)?.length).toBe(1);
  await page.keyboard.press('?');
  await page.keyboard.type('redo zzz');
  await page.getByText('No command is called “redo zzz”.').waitFor();
  await page.getByRole('combobox', { name: 'Command' }).fill('table columns cells');
  await page.getByRole('option', { name: /not for what is selected now/ }).waitFor();
  await page.keyboard.press('Enter');
  // It stays open, and nothing has happened.
  await page.keyboard.press('Escape');
  await expect.poll(async () => (await text()).match(/<spacer/g)?.length).toBe(2);
});

it('a pinboard is arranged: shown first, taken as one change', async () => {
  await write(
    '<screen name="Screen1"><pinboard name="board" height="300"><text name="title" text="Check-in" left="20" top="18"/><text name="label" text="Guest" left="22" top="72"/><spacer name="field" left="120" top="70" width="240" height="24"/><text name="other" text="Nights" left="19" top="112"/><spacer name="count" left="121" top="110" width="239" height="25"/></pinboard></screen>',
  );
  const before = await box('count');
  await page.keyboard.press('Shift+N');
  await page.getByText('board in rows, columns and grids').waitFor();
  expect(await text()).toContain('<pinboard name="board"');
  await page.getByRole('button', { name: 'Take it' }).click();
  expect(await text()).toMatch(/<column name="board".*<text name="title".*<grid name="grid1"/);
  const after = await box('count');
  expect(Math.abs(after.x - before.x) + Math.abs(after.y - before.y)).toBeLessThan(12);
  await tree(page, 'board').click();
  await page.keyboard.press('Control+z');
  expect(await text()).toContain('<pinboard name="board"');
});

it('in a grid a drag names the cell, and the grip sets a size like a sibling’s', async () => {
  await write(
    '<screen name="Screen1"><grid name="cells" columns="100 100 1fr" rows="60 60"><spacer name="a"/></grid><text name="b" text="two" width="140"/><text name="c" text="three" width="100"/></screen>',
  );
  const cell = await box('a');
  const b = await box('b');
  await page.mouse.move(b.x + 10, b.y + 6);
  await page.mouse.down();
  await page.mouse.move(b.x + 20, b.y);
  await page.mouse.move(cell.x + cell.width * 1.5, cell.y + cell.height * 1.5, { steps: 5 });
  await page.getByText('into cells, in column 2, row 2').first().waitFor();
  await page.mouse.up();
  await expect.poll(() => fact(page, 'Column').inputValue()).toBe('2');
  await expect.poll(() => fact(page, 'Row').inputValue()).toBe('2');
  await page.keyboard.press('Control+z');
  await tree(page, 'c').click();
  const scale = cell.width / 100;
  const grip = (await page.locator('[data-grip="1 0"]').boundingBox())!;
  await page.mouse.move(grip.x + 2, grip.y + 5);
  await page.mouse.down();
  await page.mouse.move(grip.x + 2 + 38 * scale, grip.y + 5, { steps: 4 });
  await page.getByText('140 like b').waitFor();
  await page.mouse.up();
  await expect.poll(() => fact(page, 'Width').inputValue()).toBe('140');
});

it('source text from another program is pasted as controls', async () => {
  await tree(page, 'line').click();
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData('text/plain', '<badge name="a" text="late" />\n<badge text="new" />');
    document.body.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true }));
  });
  expect(await treeNames(page)).toEqual(['Screen1', 'a', 'b', 'line', 'c', 'a1', 'badge1']);
  await drag(page, tree(page, 'badge1'), tree(page, 'a'), 0.5, 0.1);
  await page.mouse.up();
  expect(await treeNames(page)).toEqual(['Screen1', 'a1', 'badge1', 'a', 'b', 'line', 'c']);
});

it('the tree shows what is looked for, and Enter selects all of it', async () => {
  const find = page.getByRole('textbox', { name: 'Find in the tree' });
  await find.fill('three');
  expect(await treeNames(page)).toEqual(['Screen1', 'line', 'c']);
  await find.fill('text');
  await page.keyboard.press('Enter');
  await facts(page).getByText('3 controls', { exact: true }).waitFor();
  await find.fill('nothing like it');
  await page.getByText('Nothing on this screen has “nothing like it” in it.').waitFor();
  await page.keyboard.press('Escape');
  expect((await treeNames(page)).length).toBe(5);
});

it('a picture from the computer is dropped where it shall stand', async () => {
  const working = page.locator('[data-bay="working"]');
  await working.evaluate((bay) => {
    const data = new DataTransfer();
    const svg =
      '<svg xmlns="http://www.w3.org/2000/svg" width="80" height="40"><rect width="80" height="40"/></svg>';
    data.items.add(new File([svg], 'Hut plan.svg', { type: 'image/svg+xml' }));
    const { left, top } = bay.getBoundingClientRect();
    const at = {
      clientX: left + 60,
      clientY: top + 300,
      bubbles: true,
      cancelable: true,
      dataTransfer: data,
    };
    bay.dispatchEvent(new DragEvent('dragover', at));
    bay.dispatchEvent(new DragEvent('drop', at));
  });
  await tree(page, 'image1').waitFor();
  expect(await text()).toContain('<image name="image1" src="Hut-plan.svg" width="80"/>');
  await page.getByRole('heading', { name: /^On / }).click();
  await page.keyboard.press('Control+z');
  expect(await treeNames(page)).toEqual(['Screen1', 'a', 'b', 'line', 'c']);
});

it('the workbench has no fault that axe finds, in light and in dark, with its panels open', async () => {
  await tree(page, 'c').click();
  for (const colorScheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme });
    expect(await axeFaults(page)).toEqual([]);
  }
  await page.keyboard.press('a');
  await page.getByRole('combobox').waitFor();
  expect(await axeFaults(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await page.emulateMedia({ colorScheme: 'light' });
});

it('distances from the selection to what is pointed at show while a key is held', async () => {
  await write(
    '<screen name="Screen1" padding="20"><pinboard name="board" height="240"><button name="p" text="P" left="20" top="20" width="80" height="40"/><button name="q" text="Q" left="140" top="110" width="80" height="40"/></pinboard></screen>',
  );
  const q = await box('q');
  await tree(page, 'p').click();
  await page.mouse.move(q.x + q.width / 2, q.y + q.height / 2);
  const figures = page.locator('[data-bay="working"] ~ div [data-measured]');
  expect(await figures.count()).toBe(0);
  await page.keyboard.down('Alt');
  await expect.poll(() => figures.allInnerTexts()).toEqual(['40', '50']);
  await page.keyboard.up('Alt');
  await figures.first().waitFor({ state: 'detached' });
});

it('a part that is chosen is drawn: its place and size on a pinboard, its cells in a grid', async () => {
  await write(
    '<screen name="Screen1"><pinboard name="board" height="200"/><grid name="cells" columns="100 100 100" rows="60 60" height="120"/></screen>',
  );
  const bay = (await page.locator('[data-bay="working"]').boundingBox())!;
  const scale = bay.width / 390;
  const draw = async (part: string, from: [number, number], to: [number, number]) => {
    await (await trayPart(page, 'Arrange', part)).click({ modifiers: ['Shift'] });
    await page.locator('[data-drawing]').waitFor();
    await page.mouse.move(bay.x + from[0] * scale, bay.y + from[1] * scale);
    await page.mouse.down();
    await page.mouse.move(bay.x + to[0] * scale, bay.y + to[1] * scale, { steps: 5 });
    await page.mouse.up();
    await page.locator('[data-drawing]').waitFor({ state: 'detached' });
  };
  await draw('Column', [40, 30], [200, 110]);
  expect(await text()).toMatch(
    /<column name="column1"[^>]*width="1[56]\d"[^>]*height="[78]\d"[^>]*left="[34]\d" top="[23]\d"/,
  );
  await draw('Row', [10, 210], [190, 310]);
  expect(await text()).toMatch(/<row name="row1"[^>]*col="1" row="1" col-span="2" row-span="2"/);
  // The edge of an item of a grid goes from track to track.
  await tree(page, 'row1').click();
  const grip = (await page.locator('[data-grip="1 0"]').boundingBox())!;
  await page.mouse.move(grip.x + 2, grip.y + 4);
  await page.mouse.down();
  await page.mouse.move(grip.x + 90 * scale, grip.y + 4, { steps: 5 });
  await page.getByText('3 columns').waitFor();
  await page.mouse.up();
  expect(await text()).toContain('col-span="3"');
});

it('what is dropped on a closed tab is in its panel; a part of a pinboard is arranged by itself', async () => {
  await write(
    '<screen name="Screen1" padding="10" gap="10"><tabs name="tabs" options="One | Two"><column name="first"/><column name="second"/></tabs><text name="a" text="one"/><pinboard name="board" height="200"><text name="b" text="b" left="10" top="10"/><text name="c" text="c" left="12" top="50"/><text name="d" text="d" left="200" top="150"/></pinboard></screen>',
  );
  const bay = page.locator('[data-bay="working"]');
  const two = (await bay.getByText('Two', { exact: true }).boundingBox())!;
  const a = (await tree(page, 'a').boundingBox())!;
  await page.mouse.move(a.x + 60, a.y + 10);
  await page.mouse.down();
  await page.mouse.move(a.x + 80, a.y + 14);
  await page.mouse.move(two.x + two.width / 2, two.y + two.height / 2, { steps: 6 });
  await page.getByText('a: into second, in tab 2').waitFor();
  await page.mouse.up();
  await expect.poll(text).toMatch(/<column name="second"> <text name="a" text="one"\/> <\/column>/);
  await tree(page, 'b').click();
  await tree(page, 'c').click({ modifiers: ['Control'] });
  await page.keyboard.press('Shift+N');
  await page.getByText('2 controls of board in rows, columns and grids').waitFor();
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect.poll(text).toMatch(/<pinboard name="board"[^>]*> <column name="column1"[^>]*> <text name="b"/);
});

it('of ten thousand items the bench paints those that can be seen, wherever it is scrolled to', async () => {
  await write(
    `<screen name="Screen1"><repeat name="list" each="{'x'.repeat(10000).split('').map((x, index) => index)}" as="n" gap="4"><text name="line" text="Line {n}"/></repeat></screen>`,
  );
  const working = page.locator('[data-bay="working"]');
  const painted = () => working.locator('span').allInnerTexts();
  await expect.poll(async () => (await painted())[0]).toBe('Line 0');
  expect((await painted()).length).toBeLessThan(500);
  const { x, y } = (await working.boundingBox())!;
  await page.mouse.move(x + 40, y + 40);
  await page.mouse.wheel(0, 40_000);
  const seen = () =>
    working.locator('span').evaluateAll((spans) =>
      spans
        .filter((span) => {
          const { top, bottom } = span.getBoundingClientRect();
          return bottom > 0 && top < window.innerHeight;
        })
        .map((span) => Number(span.textContent.slice(5))),
    );
  await expect.poll(async () => (await seen()).at(-1)).toBeGreaterThan(500);
  const numbers = await seen();
  expect(numbers).toEqual(numbers.map((_, index) => numbers[0]! + index));
  expect(numbers.length).toBeGreaterThan(10);
  expect((await painted()).length).toBeLessThan(500);
});
