/** Dragging as a behaviour of the application: from one list to another and within one, by hand and by keys. */
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { type ExportedPage, openExported } from '../browser/exported-page.ts';

const list = (name: string, other: string) => `
  <column name="${name}Column" width="share" gap="8" padding="8">
    <heading text="${name}" level="2" />
    <repeat name="${name}" each="{${name}}" as="guest" gap="4" min-height="60" cargo="guest" on.drop="remove(${other}, dropped.value); place(${name}, dropped.value, dropped.at)">
      <row name="${name}Guest" padding="8" border-width="1" carries="{guest}" cargo="guest" on.press="pressed = guest.who"><text name="${name}Who" text="{guest.who}" /></row>
    </repeat>
  </column>`;
const source = `<screen name="Rooms" padding="8"><heading text="Rooms" level="1" />
  <row gap="8">${list('dorm', 'twin')}${list('twin', 'dorm')}</row>
  <column name="bin" height="60" padding="8" cargo="something else" on.drop="dorm = []"><text text="For other things" /></column>
  <text name="told" text="{pressed}" />
</screen>`;
const guests = (...names: string[]) => names.map((who) => ({ who }));

let opened: ExportedPage;
let page: Page;
beforeAll(async () => {
  opened = await openExported(
    [source],
    [
      { name: 'dorm', type: 'list', initial: guests('Ilka', 'Bruno', 'Fenna') },
      { name: 'twin', type: 'list', initial: guests('Oddvar') },
      { name: 'pressed', type: 'text', initial: 'nobody' },
    ],
  );
  page = opened.page;
});
afterAll(() => opened.close());

const who = (name: string) => page.locator(`[data-name^="${name}Who["]`).allInnerTexts();
const centre = async (name: string) => {
  const { x, y, width, height } = (await opened.named(name).boundingBox())!;
  return { x: x + width / 2, y: y + height / 2, height };
};
const dragTo = async (from: string, x: number, y: number) => {
  const start = await centre(from);
  await page.mouse.move(start.x, start.y);
  await page.mouse.down();
  await page.mouse.move(start.x + 10, start.y + 4, { steps: 2 });
  await page.mouse.move(x, y, { steps: 4 });
};

it('a row goes to another list, where it falls, and what takes it is lit', async () => {
  const over = await centre('twinGuest[0]');
  await dragTo('dormGuest[1]', over.x, over.y - over.height / 4);
  expect(await page.locator('.takes-it').count()).toBe(2);
  expect(await page.locator('.page-fall').count()).toBe(1);
  // What is dragged looks like itself, and no words are selected on the way.
  const looks = (selector: string) =>
    page
      .locator(selector)
      .evaluate((element) => [
        getComputedStyle(element).paddingLeft,
        getComputedStyle(element).borderTopWidth,
      ]);
  expect(await looks('.page-carried')).toEqual(await looks('[data-name="dormGuest[1]"]'));
  expect(await page.evaluate(() => String(getSelection()))).toBe('');
  await page.mouse.up();
  await expect.poll(() => who('twin')).toEqual(['Bruno', 'Oddvar']);
  expect(await who('dorm')).toEqual(['Ilka', 'Fenna']);
  expect(await page.locator('.takes-it, .page-fall, .page-carried').count()).toBe(0);
  // What was dragged was not pressed; what is pressed is not dragged.
  expect(await opened.named('told').innerText()).toBe('nobody');
  await opened.named('dormGuest[0]').click();
  expect(await opened.named('told').innerText()).toBe('Ilka');
});

it('within a list the order is kept, and where nothing takes it nothing happens', async () => {
  const last = await centre('dormGuest[1]');
  await dragTo('dormGuest[0]', last.x, last.y + last.height / 3);
  await page.mouse.up();
  await expect.poll(() => who('dorm')).toEqual(['Fenna', 'Ilka']);
  const bin = await centre('bin');
  await dragTo('dormGuest[0]', bin.x, bin.y);
  await page.mouse.up();
  expect(await who('dorm')).toEqual(['Fenna', 'Ilka']);
});

it('by keys it is taken up, moved, taken to another list, let go, or left', async () => {
  await opened.named('dormGuest[0]').focus();
  await page.keyboard.press(' ');
  await page.getByRole('status').filter({ hasText: 'Taken up' }).waitFor();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await page.getByRole('status').filter({ hasText: 'Place 3 of 3 in dorm' }).waitFor();
  await page.keyboard.press('Escape');
  expect(await who('dorm')).toEqual(['Fenna', 'Ilka']);
  await page.keyboard.press(' ');
  await page.keyboard.press('Tab');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press(' ');
  await expect.poll(() => who('twin')).toEqual(['Bruno', 'Fenna', 'Oddvar']);
  expect(await who('dorm')).toEqual(['Ilka']);
  expect(opened.problems).toEqual([]);
  expect(await axeFaults(page)).toEqual([]);
});
