/** Components through the interface: made of what recurs, opened, changed once, given, swapped, detached; surrounds of screens. */
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { sourceText, writeSource } from './source-drawer.ts';
import { addByKeys, fact, facts, props, saved, tree, treeNames, Workbench } from './workbench.ts';

let bench: Workbench;
let page: Page;
beforeAll(async () => {
  bench = await Workbench.start();
  page = await bench.window();
  await bench.newProject(page, 'Reuse');
});
afterAll(async () => {
  await bench.stop();
  expect(bench.problems).toEqual([]);
});

const dialog = () => page.getByRole('dialog');
/** The list of screens or of components, shown. */
async function listed(what: 'Screens' | 'Components') {
  const list = page.getByRole('tabpanel', { name: what, exact: true });
  if (!(await list.isVisible())) await page.getByRole('tab', { name: what, exact: true }).click();
  return list;
}
const openScreen = async (name: string) =>
  (await listed('Screens')).getByRole('button', { name: new RegExp(`^${name}`) }).click();
const undo = () => page.locator('body').press('Control+z');
/** Texts that the working bay shows. */
const shown = () => page.locator('[data-bay="working"]').innerText();

const card = (name: string, label: string, more = '') =>
  `<column name="${name}" width="share" padding="8"><text name="${name}Label" text="${label}" /><text name="${name}Count" text="3"${more} /></column>`;

it('what recurs is found, and becomes a component and its instances in one change', async () => {
  await page.keyboard.press('x');
  await writeSource(
    page,
    `<screen name="Screen1"><row name="cards" gap="8">${card('here', 'In the hut')}${card('away', 'On the way', ' color="warm"')}${card('free', 'Free')}</row></screen>`,
  );
  await saved(page);
  await tree(page, 'here').click();
  await page.keyboard.press('Control+Alt+k');
  await dialog().waitFor();
  expect(await axeFaults(page)).toEqual([]);
  expect(await dialog().getByLabel('Name', { exact: true }).inputValue()).toBe('Card');
  expect(await dialog().getByRole('checkbox').count()).toBe(3);
  expect(
    await dialog()
      .getByLabel(/^Name for text/)
      .inputValue(),
  ).toBe('label');
  await page.keyboard.type('Figure');
  await page.keyboard.press('Enter');
  await dialog().waitFor({ state: 'detached' });
  await saved(page);
  expect(await treeNames(page)).toEqual(['Screen1', 'cards', 'here', 'away', 'free']);
  expect(await sourceText(page)).toContain(
    '<Figure name="here"/> <Figure name="away" label="On the way" countColor="warm"/> <Figure name="free" label="Free"/>',
  );
  expect(await shown()).toContain('On the way');
  await undo();
  await expect.poll(() => sourceText(page)).toContain('<text name="awayLabel"');
  await page.locator('body').press('Control+Shift+z');
  await expect.poll(() => sourceText(page)).toContain('<Figure name="away"');
});

it('an instance is given values, which hold and are taken back; its place is its own', async () => {
  await tree(page, 'away').click();
  await fact(page, 'label').fill('Still walking');
  await fact(page, 'label').press('Escape');
  await expect.poll(shown).toContain('Still walking');
  await facts(page).getByRole('button', { name: 'Reset' }).click();
  await expect.poll(shown).not.toContain('Still walking');
  await undo();
  await expect.poll(shown).toContain('Still walking');
  expect(await fact(page, 'Width').getAttribute('placeholder')).toBe('share');
  await saved(page);
  expect(await axeFaults(page)).toEqual([]);
});

it('pressed twice, the component opens; a change there is one everywhere', async () => {
  const bay = (await page.locator('[data-bay="working"]').boundingBox())!;
  await tree(page, 'here').click();
  await page.mouse.dblclick(bay.x + 30, bay.y + 22);
  await page.getByRole('heading', { name: 'On Figure' }).waitFor();
  expect(await treeNames(page)).toEqual(['Figure', 'label', 'countColor', 'column1', 'label', 'count']);
  await facts(page).getByRole('button', { name: 'here on Screen1' }).waitFor();
  await tree(page, 'count').click();
  await fact(page, 'Text').fill('four');
  await fact(page, 'Text').press('Escape');
  await facts(page).getByRole('button', { name: 'Make it a parameter' }).first().click();
  await saved(page);
  expect(await props(page, 'count')).toMatchObject({ text: '{count}' });
  await openScreen('Screen1');
  await tree(page, 'free').click();
  await fact(page, 'count').fill('{3 + 4}');
  await fact(page, 'count').press('Escape');
  await expect.poll(shown).toMatch(/four[\s\S]*four[\s\S]*7/);
});

it('a component is edited where an instance stands, with what is around it dimmed, and left by Escape', async () => {
  const around = page.locator('[data-bay="working"] ~ div [data-around]');
  await openScreen('Screen1');
  await tree(page, 'away').click();
  await page.keyboard.press('Control+Alt+e');
  await page.getByRole('heading', { name: 'On Figure' }).waitFor();
  await around.waitFor();
  const opened = page.getByRole('region', { name: 'Opened component' });
  expect(await opened.innerText()).toMatch(/in 3 places on\s+1 screen/);
  // What is selected is framed where that instance stands, not at the beginning of the screen.
  await tree(page, 'count').last().click();
  const bay = (await page.locator('[data-bay="working"]').boundingBox())!;
  const frame = (await page.locator('[data-selected]').first().boundingBox())!;
  expect(frame.x).toBeGreaterThan(bay.x + bay.width / 4);
  await opened.getByRole('button', { name: 'Alone' }).click();
  await around.waitFor({ state: 'detached' });
  await opened.getByRole('button', { name: 'On Screen1' }).click();
  await around.waitFor();
  await fact(page, 'Background').fill('tint');
  await fact(page, 'Background').press('Escape');
  await expect.poll(() => sourceText(page)).toContain('background="tint"');
  await undo();
  await expect.poll(() => sourceText(page)).not.toContain('background="tint"');
  for (const holder of ['column1', 'Figure']) {
    await page.locator('body').press('Escape');
    await page.getByRole('treeitem', { name: holder, selected: true }).waitFor();
  }
  await page.locator('body').press('Escape');
  await page.getByRole('heading', { name: 'On Screen1' }).waitFor();
  await page.getByRole('treeitem', { name: 'away', selected: true }).waitFor();
});

it('a component is shown in cases, which are entered in a table, by keys', async () => {
  await (await listed('Components')).getByRole('button', { name: /^Figure/ }).click();
  const bays = page.getByRole('region', { name: 'Cases', exact: true }).first();
  await bays.getByRole('button', { name: 'Add …' }).click();
  await dialog().waitFor();
  expect(await axeFaults(page)).toEqual([]);
  await page.keyboard.type('long one');
  await page.keyboard.press('Tab');
  await page.keyboard.type('On the way from the pass');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await page.keyboard.type('many');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Escape');
  await dialog().waitFor({ state: 'detached' });
  const picture = bays.getByRole('img', { name: 'In the case long one' });
  await expect.poll(() => picture.innerText()).toContain('On the way from the pass');
  expect(await bays.getByRole('img', { name: 'As it begins' }).innerText()).not.toContain('pass');
  expect(await shown()).not.toContain('pass');
  await bays.getByRole('button', { name: 'long one' }).click();
  await expect.poll(shown).toContain('On the way from the pass');
  expect(await sourceText(page)).toContain('<case name="long one" with.label="On the way from the pass"');
  await undo();
  await undo();
  await undo();
  await undo();
  await picture.waitFor({ state: 'detached' });
  await openScreen('Screen1');
});

it('on the shelf components are pictures, in folders', async () => {
  await (await listed('Components')).getByRole('button', { name: /^Figure/ }).click();
  await fact(page, 'Folder').fill('Numbers');
  await fact(page, 'Folder').press('Escape');
  await (await listed('Components')).getByRole('list', { name: 'Numbers' }).getByText('Figure').waitFor();
  await page.getByRole('tab', { name: 'Parts', exact: true }).click();
  const parts = page.getByRole('tabpanel', { name: 'Parts', exact: true });
  await parts.getByText('Own', { exact: true }).click();
  await parts.getByRole('heading', { name: 'Numbers' }).waitFor();
  await expect
    .poll(() => parts.getByRole('button', { name: 'Figure' }).innerText())
    .toMatch(/In the hut[\s\S]*Figure/);
  await parts.getByText('Arrange', { exact: true }).click();
  await undo();
  await openScreen('Screen1');
});

it('a parameter is renamed in the component and wherever it is given; one that every instance has is refused', async () => {
  await (await listed('Components')).getByRole('button', { name: 'Figure', exact: false }).first().click();
  await tree(page, 'count').first().click();
  await fact(page, 'Name').fill('width');
  await facts(page)
    .getByText(/Every instance has/)
    .waitFor();
  await fact(page, 'Name').fill('number');
  await fact(page, 'Name').press('Enter');
  await saved(page);
  expect(await props(page, 'count')).toMatchObject({ text: '{number}' });
  await expect.poll(async () => (await props(page, 'free'))!.number).toBe('{3 + 4}');
  await undo();
  await expect.poll(async () => (await props(page, 'free'))!.count).toBe('{3 + 4}');
});

it('the picker has it first by its name; an instance is detached and becomes its controls', async () => {
  await openScreen('Screen1');
  await tree(page, 'cards').click();
  await addByKeys(page, 'figure', 'last');
  await facts(page).getByRole('button', { name: 'Detach' }).click();
  await expect
    .poll(() => treeNames(page))
    .toEqual(['Screen1', 'cards', 'here', 'away', 'free', 'column1', 'label', 'count']);
  await undo();
  await expect.poll(() => treeNames(page)).toContain('last');
});

it('a component goes when its instances become controls; what is wrong in its text is said', async () => {
  await (await listed('Components')).getByRole('button', { name: 'More for component Figure' }).click();
  await page.getByRole('menuitem', { name: 'Delete, instances become controls' }).click();
  await expect.poll(() => sourceText(page)).not.toContain('<Figure');
  await undo();
  await expect.poll(() => sourceText(page)).toContain('<Figure');
  await (await listed('Components')).getByRole('button', { name: /^Figure/ }).click();
  await writeSource(
    page,
    '<component name="Figure"><parameter name="label" /><parameter name="count" /><parameter name="countColor" type="colour" initial="ink" /><row gap="4"><text text="{label}:" /><text text="{count}" color="{countColor}" /></row></component>',
  );
  await openScreen('Screen1');
  await expect.poll(shown).toContain('Still walking:');
});

it('what screens have in common becomes their surround, and new screens stand in it', async () => {
  const bar = '<bar name="top" edge="top"><text name="brand" text="Velmora Hut" /></bar>';
  await writeSource(page, `<screen name="Screen1">${bar}<text name="one" text="soup" /></screen>`);
  await listed('Screens');
  await page.getByRole('button', { name: 'New screen' }).click();
  await page.keyboard.press('Escape');
  await expect.poll(() => sourceText(page)).toContain('Screen2');
  await writeSource(page, `<screen name="Screen2">${bar}<text name="two" text="bread" /></screen>`);
  await page.keyboard.press('?');
  await page.getByRole('combobox').fill('surround');
  await page.keyboard.press('Enter');
  await dialog().getByText('In common: top').waitFor();
  await dialog().getByRole('button', { name: 'Make it' }).click();
  await expect
    .poll(() => sourceText(page))
    .toBe('<screen name="Screen2" surround="Frame"> <text name="two" text="bread"/> </screen>');
  expect(await shown()).toContain('Velmora Hut');
  await (await listed('Components')).getByRole('button', { name: 'More for component Frame' }).click();
  await page.getByRole('menuitem', { name: 'For new screens' }).click();
  await listed('Screens');
  await page.getByRole('button', { name: 'New screen' }).click();
  await expect.poll(() => sourceText(page)).toContain('surround="Frame"');
  expect(await shown()).toContain('Velmora Hut');
});

it('a component is saved as a kit, and brought into another project; what both have is asked about', async () => {
  await (await listed('Components')).getByRole('button', { name: 'More for component Frame' }).click();
  const downloading = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Save as a kit' }).click();
  const download = await downloading;
  expect(download.suggestedFilename()).toBe('Frame.hovrin-kit.zip');
  const path = await download.path();
  await bench.newProject(page, 'Other');
  for (const time of ['first', 'second']) {
    await listed('Components');
    await page.getByRole('button', { name: 'Add a component' }).click();
    const choosing = page.waitForEvent('filechooser');
    await page.getByRole('menuitem', { name: 'Bring in a kit …' }).click();
    await (await choosing).setFiles(path);
    await dialog().getByText('Components: Frame').waitFor();
    expect(await axeFaults(page)).toEqual([]);
    if (time === 'second') await dialog().getByText('the component Frame').waitFor();
    await dialog().getByRole('button', { name: 'Bring it in' }).click();
    await dialog().waitFor({ state: 'detached' });
    if (time === 'second') break;
    await (await listed('Components')).getByRole('button', { name: /^Frame/ }).click();
    await tree(page, 'brand').click();
    await fact(page, 'Text').fill('Another hut');
    await fact(page, 'Text').press('Escape');
    await saved(page);
  }
  const list = await listed('Components');
  expect(await list.getByRole('listitem').count()).toBe(2);
  await list.getByRole('button', { name: /^Frame1/ }).click();
  await expect.poll(shown).toContain('Velmora Hut');
});
