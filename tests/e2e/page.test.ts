/** An exported page that runs: repeats follow their lists, splits and scrolls what is bound. */
import { gzipSync } from 'node:zlib';
import { contextOf, parseScreen } from '@hovrin/core';
import { loadExportParts } from '@hovrin/files';
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { type ExportedPage, makePage, openExported } from '../browser/exported-page.ts';
import { readTrial } from '../parity/documents.ts';

const source = `<screen name="Bunks" padding="8">
  <row gap="8">
    <button name="more" text="More" on.press="count = count + 1; last = 'more'" />
    <button name="fewer" text="Fewer" on.press="count = count - 1" />
    <button name="turn" text="Turn" on.press="pane = pane === 'first' ? 'second' : 'first'" />
  </row>
  <text name="told" text="{last}" />
  <repeat name="bunks" each="{['Ilka', 'Bruno', 'Fenna', 'Oddvar'].slice(0, count)}" as="guest" gap="4">
    <row name="line" gap="4">
      <text name="who" text="{guest}, bunk {count}" width="{count * 50}" />
      <button name="pick" text="Pick" on.press="last = guest" />
      <repeat name="marks" each="{[1, 2]}" as="mark" like="row"><text name="mark" text="{guest.length + mark}" /></repeat>
    </row>
  </repeat>
  <text name="shown" text="{View.band} {View.locale}" width="{View.band === 'hand' ? 100 : 200}" />
  <text name="clock" text="{View.now}" />
  <split name="panes" show="{pane}"><text name="list" text="list" min-width="900" /><text name="detail" text="detail" /></split>
</screen>`;

let opened: ExportedPage;
let page: Page;
beforeAll(async () => {
  opened = await openExported(
    [source],
    [
      { name: 'count', type: 'number', initial: 2 },
      { name: 'last', type: 'text', initial: 'nobody' },
      { name: 'pane', type: 'text', initial: 'first' },
    ],
  );
  page = opened.page;
});
afterAll(() => opened.close());

const named = (name: string) => opened.named(name);
const names = () =>
  page
    .locator('[data-name^="who["]')
    .evaluateAll((found) => found.map((element) => (element as HTMLElement).dataset.name));

it('a repeat has as many copies as its list has items, each with its own item', async () => {
  expect(await names()).toEqual(['who[0]', 'who[1]']);
  expect(await named('who[1]').innerText()).toBe('Bruno, bunk 2');
  await named('more').click();
  expect(await names()).toEqual(['who[0]', 'who[1]', 'who[2]']);
  expect(await named('who[2]').innerText()).toBe('Fenna, bunk 3');
  expect((await named('who[0]').boundingBox())!.width).toBe(150);
  await named('fewer').click();
  await named('fewer').click();
  expect(await names()).toEqual(['who[0]']);
});

it('events and repeats inside a repeat know their item, once for each press', async () => {
  await named('more').click();
  await named('pick[1]').click();
  expect(await named('told').innerText()).toBe('Bruno');
  expect(await named('mark[1][1]').innerText()).toBe('7');
});

it('a split shows the pane that its expression names, where there is room for one', async () => {
  expect([await named('list').isVisible(), await named('detail').isVisible()]).toEqual([true, false]);
  await named('turn').click();
  expect([await named('list').isVisible(), await named('detail').isVisible()]).toEqual([false, true]);
  await page.setViewportSize({ width: 1900, height: 800 });
  expect([await named('list').isVisible(), await named('detail').isVisible()]).toEqual([true, true]);
});

it('what was entered before the script came is kept', async () => {
  const state = [
    { name: 'guest', type: 'text', initial: '' },
    { name: 'supper', type: 'boolean', initial: false },
    { name: 'nights', type: 'number', initial: 2 },
  ] as const;
  const project = { ...readTrial('<screen name="CheckIn" />'), state };
  const parsed = parseScreen(
    '<screen name="CheckIn"><textField name="who" label="Guest" value.bind="guest" /><checkbox name="eats" label="Supper" checked.bind="supper" /><numberField name="stays" label="Nights" value.bind="nights" /><text name="told" text="{guest}, {supper}, {nights}" /></screen>',
    { file: 'trial', context: contextOf(project), newId: () => `e${++made}` },
  );
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
  const { files } = await makePage({ ...project, screens: [parsed.screen] });
  const early = await page.context().browser()!.newPage();
  // The script comes by hand here, which the page's policy would not let in.
  await early.setContent(
    files.get('index.html')!.replace(/<(script|link|meta http-equiv)[^>]*>(<\/script>)?/g, ''),
  );
  await early.getByLabel('Guest').fill('Ilka');
  await early.getByLabel('Supper').check();
  await early.addScriptTag({ content: files.get('script.js')! });
  await expect.poll(() => early.locator('[data-name="told"]').textContent()).toBe('Ilka, true, 2');
  expect(await early.getByLabel('Guest').inputValue()).toBe('Ilka');
  await early.close();
});
let made = 0;

it('a timer passes as long as its screen is shown', async () => {
  const timed = await openExported(
    [
      `<screen name="Home" every="0.1" on.timer="ticks += 1; if (ticks >= 3) { go('Done') }"><text name="told" text="{ticks}" /></screen>`,
      '<screen name="Done"><text name="end" text="after {ticks}" /></screen>',
    ],
    [{ name: 'ticks', type: 'number', initial: 0 }],
  );
  try {
    await timed.named('end').waitFor();
    // Its screen is away, and with it the timer.
    await timed.page.waitForTimeout(500);
    expect(await timed.named('end').innerText()).toBe('after 3');
  } finally {
    await timed.close();
  }
});

it('what is kept is there again when the page is opened anew, what is not begins anew', async () => {
  const kept = await openExported(
    [
      `<screen name="Home" on.enter="visits += 1">
        <button name="more" text="More" on.press="count += 1; notes = [...notes, 'n' + count]; other += 1; focus('field')" />
        <text name="told" text="{count} {notes.join(' ')} {other} {visits} {twice}" />
        <textField name="field" label="Field" value.bind="typed" on.blur="left += 1" />
        <button name="away" text="Away" on.press="go('Other')" />
        <text name="leaves" text="left {left}" />
      </screen>`,
      '<screen name="Other"><button name="home" text="Home" on.press="back()" /></screen>',
    ],
    [
      { name: 'count', type: 'number', initial: 1, kept: true },
      { name: 'notes', type: 'list', initial: [], kept: true },
      { name: 'other', type: 'number', initial: 0 },
      { name: 'visits', type: 'number', initial: 0 },
      { name: 'left', type: 'number', initial: 0 },
      { name: 'typed', type: 'text', initial: '' },
      { name: 'twice', type: 'number', initial: 0, computed: 'count * 2' },
    ],
  );
  try {
    const told = () => kept.named('told').innerText();
    expect(await told()).toBe('1 0 1 2');
    await kept.named('more').click();
    expect(await told()).toBe('2 n2 1 1 4');
    // `focus` has put the cursor where one goes on; leaving it is an event.
    await kept.page.keyboard.type('Ilka');
    expect(await kept.page.getByLabel('Field').inputValue()).toBe('Ilka');
    await kept.named('away').click();
    await kept.named('home').click();
    expect(await kept.named('leaves').innerText()).toBe('left 1');
    expect(await told()).toBe('2 n2 1 2 4');
    await kept.page.reload();
    expect(await told()).toBe('2 n2 0 1 4');
  } finally {
    await kept.close();
  }
});

it('its script is small, whatever the page uses', async () => {
  const { script } = await loadExportParts();
  expect(gzipSync(script).length).toBeLessThan(28_200);
});

it('what is read of where the page is shown follows it: its width, the clock', async () => {
  const [width, height] = [600, 800];
  await page.setViewportSize({ width, height });
  await expect.poll(() => named('shown').innerText()).toBe('lap en-US');
  await page.setViewportSize({ width: 559, height });
  await expect.poll(() => named('shown').innerText()).toBe('hand en-US');
  expect((await named('shown').boundingBox())!.width).toBe(100);
  await page.setViewportSize({ width, height });
  await expect.poll(() => named('shown').innerText()).toBe('lap en-US');
  const before = await named('clock').innerText();
  // It is the time of this page, and goes on.
  const [loaded, now] = await page.evaluate(() => [performance.timeOrigin, Date.now()] as const);
  expect(Date.parse(before)).toBeGreaterThanOrEqual(loaded - 1000);
  expect(Date.parse(before)).toBeLessThanOrEqual(now);
  await expect
    .poll(async () => Date.parse(await named('clock').innerText()))
    .toBeGreaterThan(Date.parse(before));
});
