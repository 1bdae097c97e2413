/** Motions on an exported page: played by events and while something holds, in repeats, out of sight, for those who want less; and a splash. */
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { inFirefox } from '../browser/browser.ts';
import { type ExportedPage, openExported } from '../browser/exported-page.ts';

const source = `<screen name="Mast" padding="8" gap="8">
  <motion name="turn" seconds="100">
    <key control="arm" at="0" rotate="0" />
    <key control="arm" at="100%" rotate="90" />
  </motion>
  <motion name="breathe" seconds="50" repeat="forever" alternate="true" plays="{windy}">
    <key control="flag" at="50%" ease="ease-in-out" opacity="0.2" width="200" />
  </motion>
  <motion name="shine" seconds="20" plays="{true}"><key control="row" at="0" background="#ff0000" /></motion>
  <row gap="8">
    <button name="playIt" text="Play" on.press="play('turn')" />
    <button name="pauseIt" text="Pause" on.press="pause('turn')" />
    <button name="stopIt" text="Stop" on.press="stop('turn')" />
    <button name="rewindIt" text="Rewind" on.press="rewind('turn')" />
    <button name="wind" text="Wind" on.press="windy = !windy; count = count + 1" />
    <button name="go" text="Go" on.press="go('Low')" />
  </row>
  <text name="arm" text="Arm" width="80" />
  <text name="flag" text="Flag" width="100" />
  <repeat name="rows" each="{[1, 2, 3].slice(0, count)}"><text name="row" text="row {item}" /></repeat>
</screen>`;

const low = `<screen name="Low">
  <motion name="sink" plays="{true}" seconds="30"><key control="deep" at="0" opacity="0" /></motion>
  <text text="Above" height="3000" />
  <text name="deep" text="Deep" />
</screen>`;

let opened: ExportedPage;
let page: Page;
beforeAll(async () => {
  opened = await openExported(
    [source, low],
    [
      { name: 'windy', type: 'boolean', initial: false },
      { name: 'count', type: 'number', initial: 1 },
    ],
  );
  page = opened.page;
});
afterAll(() => opened.close());

/** The animations of a motion: how each stands, and at what time. */
const animations = (id: string) =>
  page.evaluate(
    (name) =>
      document
        .getAnimations()
        .filter((each) => each.id === name)
        .map(({ playState, currentTime }) => [playState, Math.floor(Number(currentTime) / 1000)] as const),
    id,
  );
const press = (name: string) => opened.named(name).click();
/** Has all animations of a motion at a time, ms. */
const setTime = (id: string, time: number) =>
  page.evaluate(
    ([name, at]) => {
      for (const each of document.getAnimations()) if (each.id === name) each.currentTime = at;
    },
    [id, time] as const,
  );

it('an event plays, pauses, rewinds and stops a motion', async () => {
  expect(await animations('turn')).toEqual([]);
  await press('playIt');
  expect(await animations('turn')).toEqual([['running', 0]]);
  await setTime('turn', 50_000);
  await press('pauseIt');
  expect(await animations('turn')).toEqual([['paused', 50]]);
  expect(await opened.named('arm').evaluate((element) => getComputedStyle(element).rotate)).toMatch(/^45/);
  await press('playIt');
  expect(await animations('turn')).toEqual([['running', 50]]);
  await press('rewindIt');
  expect(await animations('turn')).toEqual([['running', 0]]);
  await press('stopIt');
  expect(await animations('turn')).toEqual([]);
  expect(await opened.named('arm').evaluate((element) => getComputedStyle(element).rotate)).toBe('none');
});

it('one is played while what it plays by holds, for what comes meanwhile, too', async () => {
  expect(await animations('breathe')).toEqual([]);
  await press('wind');
  expect((await animations('breathe')).map(([state]) => state)).toEqual(['running', 'running']);
  await setTime('breathe', 25_000);
  expect(await opened.named('flag').evaluate((element) => getComputedStyle(element).opacity)).toMatch(
    /^0\.2/,
  );
  await expect.poll(async () => (await animations('shine')).length).toBe(2);
  await press('wind');
  expect(await animations('breathe')).toEqual([]);
  await expect.poll(async () => (await animations('shine')).length).toBe(3);
});

it('out of sight it waits', async () => {
  await press('go');
  await expect.poll(async () => (await animations('sink')).map(([state]) => state)).toEqual(['paused']);
  expect(await animations('shine')).toEqual([]);
  await opened.named('deep').scrollIntoViewIfNeeded();
  await expect.poll(async () => (await animations('sink')).map(([state]) => state)).toEqual(['running']);
});

// The driver of Firefox does not say what a person wishes for.
it.skipIf(inFirefox)('whoever wants less motion sees its end at once', async () => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.reload();
  await page.evaluate(() => {
    window.location.hash = '#Mast';
  });
  await press('playIt');
  expect((await animations('turn')).map(([state]) => state)).toEqual(['finished']);
  expect(await opened.named('arm').evaluate((element) => getComputedStyle(element).rotate)).toBe('90deg');
  await press('wind');
  expect((await animations('breathe')).every(([state]) => state === 'finished')).toBe(true);
  await page.emulateMedia({ reducedMotion: null });
  expect(opened.problems).toEqual([]);
});

it('a splash gives its place to the next screen, and nobody comes back to it', async () => {
  const splashed = await openExported(
    [
      '<screen name="Opening" splash="30" when="{ready}"><button name="on" text="On" on.press="ready = true" /></screen>',
      '<screen name="Ask" dialog="true" />',
      '<screen name="Tonight"><text name="here" text="Here" /></screen>',
    ],
    [{ name: 'ready', type: 'boolean', initial: false }],
  );
  await splashed.named('on').click();
  await splashed.named('here').waitFor();
  expect(new URL(splashed.page.url()).hash).toBe('#Tonight');
  expect(await splashed.page.evaluate(() => history.length)).toBeLessThan(3);
  await splashed.close();
});
