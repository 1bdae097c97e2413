/** What comes from outside: a mast that is listened to, its faults, what a person does about it, and ranges of a number. */
import type { FrameLocator, Page, Route } from 'playwright-core';
import { expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { demoForAll } from './demo-for-all.ts';
import { tree } from './workbench.ts';

let page: Page;
demoForAll((demo) => {
  page = demo.page;
});

const desk = (): FrameLocator => page.frameLocator('iframe[title^="Desk,"]');
const named = (name: string) => desk().locator(`[data-name="${name}"]`);
const tryWeather = async () => {
  await page.keyboard.press('t');
  await named('navBeside').getByRole('link', { name: 'Weather' }).press('Enter');
  await named('wind.value').waitFor();
};
const build = () => page.getByRole('button', { name: 'Build' }).click();

it('a value that comes from outside is there in all sizes, and what follows it follows', async () => {
  let streams = 0;
  page.on('request', (request) => {
    if (request.url().includes('/stand-ins/mast')) streams += 1;
  });
  await tryWeather();
  const sample = await named('adviceWords').innerText();
  expect(sample).toContain('ridge');
  await expect.poll(() => named('mastLamp').innerText()).toBe('The mast is live');
  const chart = () => named('windChart').innerHTML();
  const before = await chart();
  await expect.poll(chart).not.toBe(before);
  // What happens by itself happens once, not in each size for all.
  const points = async () =>
    (await named('windChart').locator('path').last().getAttribute('d'))!.split('L').length;
  const from = await points();
  await page.waitForTimeout(3000);
  const came = (await points()) - from;
  expect(came).toBeGreaterThanOrEqual(1);
  expect(came).toBeLessThanOrEqual(6);
  const hand = page.frameLocator('iframe[title^="Hand,"]');
  await expect
    .poll(async () => {
      const [one, other] = await Promise.all([
        named('wind.value').innerText(),
        hand.locator('[data-name="wind.value"]').innerText(),
      ]);
      return /^\d/.test(one) && one === other;
    })
    .toBe(true);
  // One of the sizes that are linked listens for all.
  expect(streams).toBe(1);
  await page.getByRole('checkbox', { name: 'Together' }).uncheck();
  await expect.poll(() => streams).toBe(3);
  await page.getByRole('checkbox', { name: 'Together' }).check();
});

it('without an answer the screen says so', async () => {
  await page.getByLabel('Rows').selectOption({ label: 'Failing feeds, tables and services' });
  await expect.poll(() => named('mastWords').count()).toBe(0);
  // The page may still be loading, and begin once more after it was pressed.
  await expect
    .poll(async () => {
      await named('navBeside').getByRole('link', { name: 'Weather' }).press('Enter');
      return named('wind.value').count();
    })
    .toBe(1);
  await expect.poll(() => named('mastLamp').innerText()).toBe('The mast is silent');
  expect(await named('wind.value').innerText()).toBe('–');
  await page.getByLabel('Rows').selectOption({ label: 'Rows as they are' });
  await page.waitForTimeout(300);
});

it('a feed is given to a variable, takes a sample, and tells how it goes', async () => {
  await build();
  await page.getByRole('link', { name: 'Data' }).click();
  await page.getByRole('button', { name: 'Add a variable' }).click();
  await page.keyboard.type('suppers');
  await page.keyboard.press('Enter');
  await page.getByLabel('Type of suppers').selectOption('list');
  await page.getByLabel('How suppers gets its value').selectOption('comes');
  await page.getByRole('button', { name: 'Take what comes now' }).last().click();
  await expect.poll(() => page.getByLabel('Start of suppers').inputValue()).toContain('"dish"');
  // Its address may follow other values.
  await page.getByLabel('Address of suppers').fill('stand-ins/suppers?size=2&page={newTabl}');
  await page.getByText('There is no state variable `newTabl`.').waitFor();
  await page.getByLabel('Address of suppers').fill('stand-ins/suppers?size=2&page={newTable}');
  await page.getByRole('button', { name: 'Take what comes now' }).last().click();
  await expect
    .poll(async () => JSON.parse(await page.getByLabel('Start of suppers').inputValue()).length)
    .toBe(2);
  await page.getByLabel('Status of suppers in').selectOption('+');
  await page.getByLabel('Name of suppersStatus').waitFor();
  await page.getByLabel('Source of suppers').selectOption({ label: 'an address' });
  await page.getByLabel('Address of suppers').fill('ftp://hut.example');
  await page.getByText('An address begins with http://').waitFor();
  await page.getByLabel('Address of suppers').fill('https://hut.example/list');
  expect(await page.getByText('An address begins with http://').count()).toBe(0);
  expect(await axeFaults(page)).toEqual([]);
  for (const name of ['suppersStatus', 'suppers'])
    await page.getByRole('button', { name: `Delete ${name}`, exact: true }).click();
});

it('the bench shows what feeds say now, as often as one wants, and stands still again', async () => {
  await page.getByRole('link', { name: 'Build' }).click();
  await page.getByRole('button', { name: 'Mast', exact: true }).first().click();
  const words = () => page.locator('[data-bay="working"]').innerText();
  const still = await words();
  const see = async (entry: string) => {
    await page.getByRole('button', { name: 'What is seen' }).click();
    await page.getByRole('menuitem', { name: entry }).click();
  };
  await see('Values of feeds, each second');
  await expect.poll(words).not.toBe(still);
  // A mast that is silent now and then is silent there too; what is seen stays as it was while one is elsewhere.
  const fault = async (words: string) => {
    await page.getByRole('link', { name: 'Data' }).click();
    await page.getByLabel('Fault of mast').selectOption({ label: words });
    await page.locator('[data-saving="saved"]').waitFor();
    await page.getByRole('link', { name: 'Build' }).click();
  };
  await fault('silent now and then');
  await expect.poll(words, { timeout: 30_000 }).toContain('The mast is silent');
  await expect.poll(words, { timeout: 30_000 }).toContain('The mast is live');
  await fault('none');
  await see('Values of feeds stand still');
  await expect.poll(words).toBe(still);
});

it('ranges are moved on their scale by keys and by hand, and the bench follows', async () => {
  await page.getByRole('link', { name: 'Build' }).click();
  await page.getByRole('button', { name: 'Mast', exact: true }).first().click();
  await tree(page, 'wind').click();
  const scale = page.getByRole('group', { name: 'Ranges of tone' });
  const shown = () =>
    page
      .locator('[data-bay="working"]')
      .getByText('6.2', { exact: true })
      .evaluate((element) => getComputedStyle(element).color);
  const before = await shown();
  await page.getByLabel('Range 2 begins at').fill('5');
  await page.keyboard.press('Enter');
  await expect.poll(shown).not.toBe(before);
  const handle = scale.getByRole('slider', { name: 'Range 2 from' });
  await handle.focus();
  for (let times = 0; times < 3; times++) await page.keyboard.press('Shift+ArrowRight');
  await expect.poll(shown).toBe(before);
  expect(Number(await handle.getAttribute('aria-valuenow'))).toBeGreaterThan(6.2);
  const box = (await scale.getByRole('slider', { name: 'Range 3 from' }).boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + 6);
  await page.mouse.down();
  await page.mouse.move(box.x + 60, box.y + 6, { steps: 4 });
  await page.mouse.up();
  expect(Number(await page.getByLabel('Range 3 begins at').inputValue())).toBeGreaterThan(20);
  expect(await axeFaults(page)).toEqual([]);
});

it('what cannot be a range is refused with a reason, and one move is one undo', async () => {
  const third = page.getByLabel('Range 3 begins at');
  const before = await third.inputValue();
  for (const [typed, message] of [
    ['1', /^This begins at [\d.]+ or below; more is needed here\.$/],
    ['many', '“many” is no number.'],
    ['', 'A range begins at a number.'],
  ] as const) {
    await third.fill(typed);
    await page.keyboard.press('Enter');
    await page.getByText(message).waitFor();
  }
  await page.keyboard.press('Escape');
  expect(await third.inputValue()).toBe(before);
  await third.fill('60');
  await page.keyboard.press('Enter');
  const end = page.getByLabel('The last range ends at');
  const endBefore = await end.inputValue();
  await end.fill('90');
  await page.keyboard.press('Enter');
  await tree(page, 'wind').click();
  await page.keyboard.press('Control+z');
  await expect.poll(() => end.inputValue()).toBe(endBefore);
  expect(await third.inputValue()).toBe('60');
  await page.keyboard.press('Control+z');
  await expect.poll(() => third.inputValue()).toBe(before);
});

it('a number where a colour is wanted is said, and offered ranges', async () => {
  await tree(page, 'snow').click();
  const colour = page.getByLabel(/^(Bound )?tone$/);
  await colour.fill('{mast.snow}');
  await page.getByText(/^As everything begins: `91` is not a colour/).waitFor();
  await page.getByRole('button', { name: 'By ranges of the number' }).last().click();
  await expect.poll(() => colour.inputValue()).toMatch(/^\{Range\.steps\(mast\.snow, /);
  expect(await page.getByLabel('Range 1 is').inputValue()).toBe('accent');
  await page.getByRole('button', { name: 'Choose the value of range 1' }).click();
  await page.getByRole('button', { name: 'warm', exact: true }).click();
  await page.keyboard.press('Escape');
  await expect.poll(() => colour.inputValue()).toMatch(/'warm'.*'warm'.*'alert'/);
  // A word that is none is said with the nearest, in the field and in the source; there it is mended by one press.
  await page.getByLabel('Range 3 is').fill('alrt');
  await page.getByText(/Did you mean `alert`/).waitFor();
  await page.keyboard.press('Tab');
  await tree(page, 'Mast').click();
  await page.keyboard.press('x');
  await page.getByRole('button', { name: 'A value does not fit where it goes' }).click();
  await page.getByRole('button', { name: 'Change to alert' }).click();
  await page
    .getByRole('button', { name: 'A value does not fit where it goes' })
    .waitFor({ state: 'detached' });
  await page.getByRole('button', { name: 'Close the drawer' }).click();
  await tree(page, 'snow').click();
  await expect.poll(() => colour.inputValue()).toContain("'alert'");
});

it('what a screen does as it is entered happens once, however many sizes are shown', async () => {
  await page
    .getByRole('button', { name: /^Tonight/ })
    .first()
    .click();
  await tree(page, 'Tonight').click();
  await page.getByLabel('On enter', { exact: true }).fill("kitchenNote = kitchenNote + 'x'");
  await page.keyboard.press('Tab');
  await page.locator('[data-saving="saved"]').waitFor();
  await page.getByRole('button', { name: 'Try' }).click();
  await named('navBeside').getByRole('link', { name: 'Check-in' }).press('Enter');
  const note = (label: string) =>
    page.frameLocator(`iframe[title^="${label},"]`).getByLabel('Note for the kitchen').inputValue();
  await expect.poll(() => note('Desk')).toBe('x');
  expect([await note('Hand'), await note('Lap')]).toEqual(['x', 'x']);
  await named('navBeside').getByRole('link', { name: 'Tonight' }).press('Enter');
  await named('navBeside').getByRole('link', { name: 'Check-in' }).press('Enter');
  await expect.poll(() => note('Desk')).toBe('xx');
  await page.waitForTimeout(500);
  expect([await note('Hand'), await note('Lap'), await note('Desk')]).toEqual(['xx', 'xx', 'xx']);
});

it('a link that is pressed in one size before its page runs is followed in all of them', async () => {
  await build();
  await page
    .getByRole('button', { name: /^Tonight/ })
    .first()
    .click();
  const waiting: Route[] = [];
  await page.route('**/script.js*', (route) => void waiting.push(route));
  await page.getByRole('button', { name: 'Try' }).click();
  await named('navBeside').getByRole('link', { name: 'Weather' }).press('Enter');
  await expect.poll(() => waiting.length).toBe(3);
  for (const route of waiting.toReversed()) await route.continue();
  await page.unroute('**/script.js*');
  for (const label of ['Hand', 'Lap', 'Desk'])
    await page.frameLocator(`iframe[title^="${label},"]`).locator('[data-name="wind.value"]').waitFor();
});

it('a mast that is stuck at one reading is not believed', async () => {
  await build();
  await page.getByRole('link', { name: 'Data' }).click();
  await page.getByLabel('Fault of mast').selectOption({ label: 'stuck at one reading' });
  await page.locator('[data-saving="saved"]').waitFor();
  await page.getByRole('link', { name: 'Build' }).click();
  await page.locator('[data-bay="working"]').waitFor();
  await tryWeather();
  await expect.poll(() => named('wind.value').innerText()).toMatch(/^\d/);
  await expect
    .poll(() => named('mastLamp').innerText(), { timeout: 40_000 })
    .toBe('The mast is stuck at one reading');
  expect(await named('wind.value').innerText()).toBe('–');
  expect(await named('adviceWords').innerText()).toContain('look out of the window');
});
