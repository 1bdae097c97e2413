/** Lists on a page: long ones, of which only what is near has elements; words in place of those that are not there. */
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { type ExportedPage, openExported } from '../browser/exported-page.ts';

const source = `<screen name="Log" padding="8" gap="8">
  <row gap="8">
    <button name="fewer" text="Ten" on.press="many = 10" />
    <button name="none" text="None" on.press="many = 0" />
    <button name="all" text="All" on.press="many = 10000" />
    <button name="wait" text="Wait" on.press="status = 'waiting'" />
    <button name="fail" text="Fail" on.press="status = 'failed'" />
    <button name="late" text="Late" on.press="late = !late" />
  </row>
  <repeat name="list" each="{'x'.repeat(many).split('').map((x, index) => ({ n: index }))}" as="row" gap="4" status="{status}" loading="Just a moment" failed="The {what} does not answer" empty="Nobody yet">
    <row name="line" gap="8" padding="4" border-width="1">
      <text name="number" text="{row.n}{late ? ' late' : ''}" width="share" />
      <textField name="note" label="Note" />
      <button name="pick" text="Pick" on.press="picked = row.n" />
    </row>
  </repeat>
  <text name="told" text="{picked}" />
</screen>`;

let opened: ExportedPage;
let page: Page;
beforeAll(async () => {
  opened = await openExported(
    [source],
    [
      { name: 'many', type: 'number', initial: 10_000 },
      { name: 'picked', type: 'number', initial: -1 },
      { name: 'late', type: 'boolean', initial: false },
      { name: 'status', type: 'text', initial: 'live' },
      { name: 'what', type: 'text', initial: 'hut' },
    ],
  );
  page = opened.page;
});
afterAll(async () => {
  expect(opened.problems).toEqual([]);
  await opened.close();
});

const named = (name: string) => opened.named(name);
const lines = () => page.locator('[data-name^="line["]').count();
const height = () => named('list').evaluate((list) => list.getBoundingClientRect().height);
/** Numbers of the lines that can be seen now. */
const seen = () =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('[data-name^="number["]')]
      .filter((element) => {
        const { top, bottom } = element.getBoundingClientRect();
        return bottom > 0 && top < window.innerHeight;
      })
      .map((element) => Number.parseInt(element.innerText, 10)),
  );

it('of ten thousand items only those near what is seen have elements; the others have their room', async () => {
  await expect.poll(lines).toBeLessThan(120);
  const one = (await named('line[0]').boundingBox())!.height + 4;
  expect(Math.abs((await height()) - 10_000 * one)).toBeLessThan(10_000 * one * 0.01);
});

it('wherever one scrolls, what is seen is there, in order and at work', async () => {
  for (const part of [0.3, 0.31, 0.77, 1, 0.5, 0]) {
    await page.evaluate((to) => window.scrollTo(0, to * document.documentElement.scrollHeight), part);
    await expect.poll(async () => (await seen()).length).toBeGreaterThan(5);
    const numbers = await seen();
    expect(numbers).toEqual(numbers.map((_, index) => numbers[0]! + index));
    if (part === 1) expect(numbers.at(-1)).toBe(9999);
    if (part === 0) expect(numbers[0]).toBe(0);
    expect(await lines()).toBeLessThan(150);
  }
  await page.evaluate(() => window.scrollTo(0, 0.5 * document.documentElement.scrollHeight));
  await expect.poll(async () => (await seen())[0]).toBeGreaterThan(4000);
  const middle = (await seen())[3]!;
  await named(`pick[${middle}]`).click();
  await page.evaluate(() => window.scrollTo(0, document.documentElement.scrollHeight));
  await expect.poll(() => named('told').innerText()).toBe(String(middle));
  expect(await named('note[9999]').getByLabel('Note').getAttribute('id')).toContain('[9999]');
});

it('what all items follow is done for those that are there, and for others as they come', async () => {
  await page.evaluate(() => window.scrollTo(0, 0));
  await expect.poll(() => named('number[0]').count()).toBe(1);
  await named('late').click();
  expect(await named('number[0]').innerText()).toBe('0 late');
  await page.evaluate(() => window.scrollTo(0, 20_000));
  await expect.poll(async () => (await seen())[0]).toBeGreaterThan(100);
  const [first] = await seen();
  expect(await named(`number[${first}]`).innerText()).toBe(`${first} late`);
  await page.evaluate(() => window.scrollTo(0, 0));
});

it('a short list again has all its items, none says so, and so does one that is on its way or fails', async () => {
  await named('fewer').click();
  await expect.poll(lines).toBe(10);
  await named('none').click();
  await expect.poll(() => named('list').innerText()).toBe('Nobody yet');
  await named('fewer').click();
  await expect.poll(lines).toBe(10);
  await named('wait').click();
  await expect.poll(() => named('list').innerText()).toBe('Just a moment');
  await named('fail').click();
  await expect.poll(() => named('list').innerText()).toBe('The hut does not answer');
  expect(await lines()).toBe(0);
});
