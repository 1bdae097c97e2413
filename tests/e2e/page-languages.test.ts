/** A page in several languages: which one somebody gets, and how it changes while it is open, with all that was done kept. */
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import { inLocale, type Project } from '@hovrin/core';
import { readProject } from '@hovrin/files';
import { expect, it } from 'vitest';
import { projectFrom } from '../../packages/core/test/documents.ts';
import { inFirefox, sharedBrowser } from '../browser/browser.ts';
import { type ExportedPage, openPage } from '../browser/exported-page.ts';

const hostile = '</script><img src=x onerror="document.title=\'taken\'">{{ ‮ {guests}';

const hut: Project = projectFrom(
  {
    language: 'en',
    state: [
      { name: 'guests', type: 'number', initial: 2 },
      { name: 'parties', type: 'list', initial: ['Ilka', 'Oddvar'] },
      { name: 'words', type: 'record', initial: { bye: 'See you', never: 'Never' } },
      { name: 'loud', type: 'text', initial: '', computed: 'words.bye.toUpperCase()' },
    ],
    locales: [
      { tag: 'en' },
      {
        tag: 'de-CH',
        strings: {
          'Hut.title': { text: 'Hütte' },
          'Hut.quiet.text': { text: 'Bitte Ruhe' },
          'Hut.told.text': { text: '{guests, plural, one {# Gast} other {# Gäste}} im Haus' },
          'Hut.who.label': { text: 'Wer kommt' },
          'Hut.who.placeholder': { text: 'Name der Gruppe' },
          'Hut.party.text': { text: 'Gruppe {party}' },
          'Hut.tongue.options.ar': { text: 'Arabisch' },
          'Hut.says.on.press.1': { text: 'Gute Nacht' },
          'House.title': { text: 'Haus' },
          'words.bye': { text: 'Bis bald' },
          'House.rule.text': { text: 'Um zehn ist Ruhe' },
        },
      },
      { tag: 'ar', strings: { 'Hut.quiet.text': { text: 'هدوء' }, 'House.rule.text': { text: 'الهدوء' } } },
      { tag: 'xx', strings: { 'Hut.told.text': { text: hostile }, 'Hut.quiet.text': { text: '<b>{{</b>' } } },
    ],
  },
  `<screen name="Hut" title="Hut">
    <text name="quiet" text="Quiet, please" />
    <text name="told" text="{guests, plural, one {# guest} other {# guests}} in the house" />
    <textField name="who" label="Who comes" placeholder="Name of the party" />
    <repeat name="list" each="{parties}" as="party"><text name="party" text="Party {party}" /></repeat>
    <select name="tongue" label="Language" value="{View.language}" options="en: English | de-CH: Deutsch | ar: Arabic | xx: None" on.change="View.locale = value" />
    <button name="comes" text="+" on.press="guests = guests + 1" />
    <button name="says" text="!" on.press='message("Good night")' />
    <button name="rules" text="?" on.press="open(&quot;House&quot;)" />
    <text name="bye" text="{words.bye}, {loud}, {words.never}" />
    <text name="where" text="{View.locale} {View.language}" />
  </screen>`,
  `<screen name="House" title="House" dialog="true">
    <text name="rule" text="Quiet from ten" />
    <button name="german" text="de" on.press='View.locale = "de-CH"' />
  </screen>`,
);

/** Opens the page as somebody comes by an address, and waits until it stands in a language. */
async function opened(search: string, tag: string): Promise<ExportedPage> {
  const found = await openPage(hut);
  await found.page.goto(`${found.page.url().split('?')[0]}${search}`);
  await expect.poll(() => language(found)).toBe(tag);
  return found;
}

const language = ({ page }: ExportedPage) => page.evaluate(() => document.documentElement.lang);
const text = (hut: ExportedPage, name: string) => hut.named(name).innerText();

it.each([
  ['?locale=de-CH', 'de-CH', 'Bitte Ruhe', '2 Gäste im Haus', 'Hütte', 'ltr'],
  ['?locale=de', 'de-CH', 'Bitte Ruhe', '2 Gäste im Haus', 'Hütte', 'ltr'],
  ['?locale=DE-ch', 'de-CH', 'Bitte Ruhe', '2 Gäste im Haus', 'Hütte', 'ltr'],
  ['?locale=ar-EG', 'ar', 'هدوء', '2 guests in the house', 'Hut', 'rtl'],
  ['?locale=fi', 'en', 'Quiet, please', '2 guests in the house', 'Hut', ''],
  ['?locale=no tag', 'en', 'Quiet, please', '2 guests in the house', 'Hut', ''],
  ['', 'en', 'Quiet, please', '2 guests in the house', 'Hut', ''],
])('an address that asks %j gets %s', async (search, tag, quiet, told, title, dir) => {
  const found = await opened(search, tag);
  try {
    await expect.poll(() => text(found, 'told')).toBe(told);
    expect(await text(found, 'quiet')).toBe(quiet);
    expect(await text(found, 'bye')).toBe(
      tag === 'de-CH' ? 'Bis bald, BIS BALD, Never' : 'See you, SEE YOU, Never',
    );
    expect(await found.page.title()).toBe(title);
    expect(await found.page.evaluate(() => document.documentElement.dir)).toBe(dir);
    expect(found.problems).toEqual([]);
  } finally {
    await found.close();
  }
});

it('is in another language at once, with all that was typed, chosen and opened', async () => {
  const found = await opened('', 'en');
  const { page, named } = found;
  const rows = () => named('list').locator('.k-text').allInnerTexts();
  try {
    await named('who').locator('input').fill('Fenna');
    await named('comes').click();
    await named('rules').click();
    expect(await text(found, 'rule')).toBe('Quiet from ten');
    await named('german').click();
    await expect.poll(() => text(found, 'rule')).toBe('Um zehn ist Ruhe');
    await page.keyboard.press('Escape');
    expect(await text(found, 'told')).toBe('3 Gäste im Haus');
    expect(await text(found, 'where')).toBe('de-CH de-CH');
    expect(await text(found, 'bye')).toBe('Bis bald, BIS BALD, Never');
    expect(await named('who').locator('input').inputValue()).toBe('Fenna');
    expect(await named('who').locator('input').getAttribute('placeholder')).toBe('Name der Gruppe');
    expect(await named('who').locator('.part-label').innerText()).toBe('Wer kommt');
    expect(await rows()).toEqual(['Gruppe Ilka', 'Gruppe Oddvar']);
    expect(await named('tongue').locator('select').inputValue()).toBe('de-CH');
    expect(await named('tongue').locator('option').allInnerTexts()).toContain('Arabisch');
    expect(await page.title()).toBe('Hütte');
    await named('says').click();
    await expect.poll(() => page.locator('[role="status"]').allInnerTexts()).toContain('Gute Nacht');
    // What is opened afterwards, too.
    await named('rules').click();
    expect(await text(found, 'rule')).toBe('Um zehn ist Ruhe');
    await page.keyboard.press('Escape');
    // And back to the words of the source, which are on the page.
    await named('tongue').locator('select').selectOption('en');
    await expect.poll(() => text(found, 'told')).toBe('3 guests in the house');
    expect(await rows()).toEqual(['Party Ilka', 'Party Oddvar']);
    expect(await text(found, 'bye')).toBe('See you, SEE YOU, Never');
    expect(await page.title()).toBe('Hut');
    expect(found.problems).toEqual([]);
  } finally {
    await found.close();
  }
});

it('keeps the choice for the next visit, which an address overrules', async () => {
  const found = await opened('', 'en');
  try {
    await found.named('tongue').locator('select').selectOption('ar');
    await expect.poll(() => language(found)).toBe('ar');
    await found.page.reload();
    await expect.poll(() => language(found)).toBe('ar');
    await found.page.goto(`${found.page.url()}?locale=de`);
    await expect.poll(() => language(found)).toBe('de-CH');
    await found.page.evaluate(() => localStorage.clear());
  } finally {
    await found.close();
  }
});

it('a translation is words, whatever stands in it', async () => {
  const found = await opened('?locale=xx', 'xx');
  try {
    // Braces that begin nothing are none of a message; the source text stands there.
    await expect.poll(() => text(found, 'told')).toMatch(/guests in the house|<img/);
    expect(await found.page.title()).toBe('Hut');
    expect(await found.page.locator('img').count()).toBe(0);
  } finally {
    await found.close();
  }
});

it('says the words of the source where a language does not come, and without script', async () => {
  const found = await openPage(hut);
  const address = found.page.url().split('?')[0]!;
  try {
    await rm(new URL('words/de-CH.js', address));
    await found.page.goto(`${address}?locale=de`);
    await expect.poll(() => text(found, 'told')).toBe('2 guests in the house');
    await expect.poll(() => found.problems.join()).toContain('words/de-CH.js did not come');
    await found.named('comes').click();
    await expect.poll(() => text(found, 'told')).toBe('3 guests in the house');
    const still = await (await sharedBrowser()).newPage({ javaScriptEnabled: false });
    await still.goto(`${address}?locale=de`);
    expect(await still.locator('[data-name="quiet"]').innerText()).toBe('Quiet, please');
    await still.close();
  } finally {
    await found.close();
  }
});

it.skipIf(inFirefox)('is in the language that the browser wishes for', async () => {
  const found = await openPage(hut);
  const wishing = await (await sharedBrowser()).newPage({ locale: 'de-AT' });
  try {
    await wishing.goto(found.page.url());
    await expect.poll(() => wishing.locator('[data-name="where"]').innerText()).toBe('de-AT de-CH');
  } finally {
    await wishing.close();
    await found.close();
  }
});

/** The words of each screen of a page with their boxes, in whole px. */
async function readOn(found: ExportedPage, screens: readonly string[]): Promise<unknown[]> {
  const seen: unknown[] = [];
  for (const screen of screens)
    for (const width of [320, 820, 1280]) {
      await found.page.setViewportSize({ width, height: 800 });
      await found.page.evaluate((hash) => {
        location.hash = hash;
      }, screen);
      await found.page.locator(`body > [data-name="${screen}"]`).waitFor();
      await found.page.evaluate(() => document.fonts.ready.then(() => undefined));
      seen.push(
        await found.page.evaluate(() =>
          [...document.querySelectorAll('body > .k-screen *')].map((each) => {
            const { x, y, width, height } = each.getBoundingClientRect();
            const words = each.children.length === 0 ? each.textContent : '';
            return [words, each.ariaLabel, ...[x, y, width, height].map(Math.round)].join(' ');
          }),
        ),
      );
    }
  return seen;
}

it('is laid out and says what the page does that is made in that language alone', async () => {
  const reading = await readProject(join(import.meta.dirname, '../../demo/velmora-hut'));
  if (!reading.ok) throw new Error('The demo cannot be read.');
  const { project } = reading;
  const screens = project.screens.flatMap(({ name, props }) => (props.dialog ? [] : (name ?? [])));
  const all = await openPage(project);
  const alone = await openPage(inLocale(project, 'de'));
  try {
    await all.page.goto(`${all.page.url()}?locale=de`);
    await expect.poll(() => language(all)).toBe('de');
    const [one, other] = [await readOn(all, screens), await readOn(alone, screens)];
    expect(one).toEqual(other);
    expect(one).toHaveLength(3 * screens.length);
  } finally {
    await all.close();
    await alone.close();
  }
});
