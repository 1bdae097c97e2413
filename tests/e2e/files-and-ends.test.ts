/** Files that a person chooses, lists that stay at their end, dials and columns of a width, on an exported page. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type ExportedPage, openExported } from '../browser/exported-page.ts';

const source = `<screen name="A" padding="8" gap="8">
  <fileField name="list" label="List" accept=".csv" value.bind="list" on.change="heard = value.name" />
  <fileField name="many" label="Papers" several="true" value.bind="papers" />
  <text name="told" text="{list.name} {list.size} {list.text} {heard} {papers.map(each =&gt; each.name).join('+')}" />
  <image name="shown" src="{papers.length ? papers[0].content : null}" alt="x" width="20" height="20" />
  <button name="forget" text="Forget" on.press="reset(list)" />
  <scroll name="log" height="60" at-end="true"><repeat each="{lines}" as="line"><text text="{line}" /></repeat></scroll>
  <button name="more" text="More" on.press="add(lines, 'Line ' + lines.length)" />
  <dial name="wind" label="Wind" value="{speed}" max="120" unit="km/h" colors="0 accent | 60 alert" />
  <button name="gust" text="Gust" on.press="speed = 90" />
  <table name="stays" label="Stays" width="400" widths="120 1fr" rows="{[{guest: 'Ilva', nights: 2, room: 7}]}" columns="guest: Guest | nights: Nights | room: Room" />
</screen>`;
const state = [
  { name: 'list', type: 'record', initial: {} },
  { name: 'papers', type: 'list', initial: [] },
  { name: 'heard', type: 'text', initial: '' },
  { name: 'lines', type: 'list', initial: ['a', 'b', 'c', 'd', 'e', 'f'] },
  { name: 'speed', type: 'number', initial: 30 },
] as const;

let opened: ExportedPage;
beforeAll(async () => {
  opened = await openExported([source], state);
});
afterAll(() => opened.close());
const told = () => opened.named('told').innerText();
const input = (name: string) => opened.named(name).locator('input');
const file = (name: string, mimeType: string, text: string) => ({
  name,
  mimeType,
  buffer: Buffer.from(text),
});

describe('a file', () => {
  it('is there with its name, size and text, before the event that tells of it', async () => {
    await input('list').setInputFiles(file('guests.csv', 'text/csv', 'Ilka,3'));
    await expect.poll(told).toBe('guests.csv 6 Ilka,3 guests.csv');
    await opened.named('forget').click();
    await expect.poll(told).toBe('guests.csv');
    expect(await input('list').inputValue()).toBe('');
  });

  it('is one of several where they may be; a picture is shown from what is in it', async () => {
    const svg =
      '<svg xmlns="http://www.w3.org/2000/svg" width="4" height="4"><rect width="4" height="4"/></svg>';
    await input('many').setInputFiles([file('a.svg', 'image/svg+xml', svg), file('b.bin', '', '\u0000')]);
    await expect.poll(told).toContain('a.svg+b.bin');
    const shown = () => opened.named('shown').evaluate((image) => (image as HTMLImageElement).naturalWidth);
    await expect.poll(shown).toBe(4);
    expect(opened.problems).toEqual([]);
  });
});

it('a list stays at its end, unless a person has gone back', async () => {
  const log = opened.named('log');
  const left = () =>
    log.evaluate(({ scrollHeight, clientHeight, scrollTop }) => scrollHeight - clientHeight - scrollTop);
  await expect.poll(left).toBeLessThan(2);
  await opened.named('more').click();
  await opened.page.getByText('Line 6').waitFor();
  await expect.poll(left).toBeLessThan(2);
  await log.evaluate((element) => element.scrollTo(0, 0));
  await expect.poll(left).toBeGreaterThan(50);
  await opened.named('more').click();
  await opened.page.getByText('Line 7').waitFor();
  expect(await log.evaluate(({ scrollTop }) => scrollTop)).toBe(0);
});

it('a dial says its value, and follows it', async () => {
  const dial = opened.named('wind').getByRole('meter', { name: 'Wind' });
  expect(await dial.getAttribute('aria-valuetext')).toBe('30 km/h');
  const filled = () => dial.locator('path').nth(1).getAttribute('d');
  const before = await filled();
  await opened.named('gust').click();
  await expect.poll(() => dial.getAttribute('aria-valuenow')).toBe('90');
  expect(await filled()).not.toBe(before);
  expect(await dial.getAttribute('style')).toContain('alert');
});

it('columns are as wide as they are said to be', async () => {
  const heads = opened.named('stays').getByRole('columnheader');
  const widths = await heads.evaluateAll((each) => each.map((head) => head.getBoundingClientRect().width));
  expect(widths[0]).toBe(120);
  expect(widths[1]!).toBeGreaterThan(widths[2]!);
  expect(widths.reduce((sum, width) => sum + width)).toBeCloseTo(400, 0);
});
