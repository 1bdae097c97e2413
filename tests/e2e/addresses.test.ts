/** Values in the address of an exported page's screens, and questions to those who leave one. */
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { type ExportedPage, openExported } from '../browser/exported-page.ts';
import { goBack, goForward } from '../browser/hands.ts';

const screens = [
  `<screen name="Tonight" title="Tonight">
    <button name="bunk" text="Bunk 7" on.press="go('Bunk', { bunk: 7 })" />
    <link name="edit" text="Edit" to="Edit" />
    <textField name="search" label="Search" value.bind="search" />
  </screen>`,
  `<screen name="Bunk" title="Bunk" address="{({ bunk, day: chosen, free })}">
    <text name="shown" text="{bunk} on {chosen}, {free ? 'free' : 'taken'}" />
    <button name="next" text="Next" on.press="bunk++" /><button name="all" text="All" on.press="bunk = 1; chosen = ''; free = false" />
    <button name="turn" text="Turn" on.press="free = !free; chosen = '2026-12-04'" />
    <button name="home" text="Home" on.press="go('Tonight')" />
    <button name="again" text="Again" on.press="go('Bunk', { bunk: 3 })" />
  </screen>`,
  `<screen name="Edit" title="Edit" leaving="{note == kept ? '' : 'Leave without keeping the note?'}">
    <textField name="note" label="Note" value.bind="note" />
    <button name="keep" text="Keep" on.press="kept = note" /><button name="cancel" text="Cancel" on.press="back()" />
    <link name="out" text="Tonight" to="Tonight" /><button name="bunks" text="Bunks" on.press="go('Bunk', { bunk: 2 })" />
  </screen>`,
];
const state = [
  { name: 'bunk', type: 'number', initial: 1 },
  { name: 'chosen', type: 'date', initial: '' },
  { name: 'free', type: 'boolean', initial: false },
  { name: 'search', type: 'text', initial: '' },
  { name: 'note', type: 'text', initial: '' },
  { name: 'kept', type: 'text', initial: '' },
] as const;

let opened: ExportedPage;
let start: string;
beforeAll(async () => {
  opened = await openExported(screens, state);
  start = opened.page.url();
});
afterAll(() => opened.close());
const goTo = async (hash: string) => {
  await opened.page.goto('about:blank');
  await opened.page.goto(start + hash);
};
beforeEach(() => goTo(''));

const title = () => opened.page.title();
const hash = () => opened.page.evaluate(() => location.hash);
const shown = () => opened.named('shown').innerText();

describe('values in an address', () => {
  it('follow what the screen shows, and are left out where it is as it began', async () => {
    await opened.named('bunk').click();
    await expect.poll(hash).toBe('#Bunk?bunk=7');
    const length = await opened.page.evaluate(() => history.length);
    await opened.named('next').click();
    await opened.named('next').click();
    await expect.poll(hash).toBe('#Bunk?bunk=9');
    await opened.named('turn').click();
    await expect.poll(hash).toBe('#Bunk?bunk=9&day=2026-12-04&free=true');
    expect(await opened.page.evaluate(() => history.length)).toBe(length);
    await opened.named('all').click();
    await expect.poll(hash).toBe('#Bunk');
  });

  it('are there again after a reload, by a link from elsewhere, and one entry of the history further', async () => {
    await goTo('#Bunk?bunk=12&free=true');
    await expect.poll(title).toBe('Bunk');
    expect(await shown()).toBe('12 on , free');
    await opened.named('next').click();
    await expect.poll(hash).toBe('#Bunk?bunk=13&free=true');
    await opened.page.reload();
    await expect.poll(shown).toBe('13 on , free');
    await opened.named('home').click();
    await expect.poll(title).toBe('Tonight');
    expect(await hash()).toBe('#Tonight');
    await opened.named('bunk').click();
    await expect.poll(hash).toBe('#Bunk?bunk=7&free=true');
    await goBack(opened.page);
    await goBack(opened.page);
    await expect.poll(shown).toBe('13 on , free');
    await goForward(opened.page);
    await goForward(opened.page);
    await expect.poll(shown).toBe('7 on , free');
  });

  it('of the shown screen may be typed; what it does not name is as it began; what does not fit stays out', async () => {
    await goTo('#Bunk?bunk=12&free=true');
    await opened.page.evaluate(() => {
      location.hash = '#Bunk?bunk=4&day=soon&free=perhaps&nothing=1';
    });
    await expect.poll(shown).toMatch(/^4 on/);
    await opened.named('again').click();
    await expect.poll(shown).toMatch(/^3 on/);
    expect(await title()).toBe('Bunk');
  });
});

describe('a screen that asks', () => {
  const question = () => opened.page.locator('.page-question');
  const answer = (text: string) => question().getByRole('button', { name: text }).click();
  const note = () => opened.named('note').locator('input');
  const begin = async () => {
    await opened.named('edit').click();
    await expect.poll(title).toBe('Edit');
    await note().fill('late');
  };

  it('lets those go who have nothing to lose', async () => {
    await opened.named('edit').click();
    await expect.poll(title).toBe('Edit');
    await opened.named('out').click();
    await expect.poll(title).toBe('Tonight');
    await begin();
    await opened.named('keep').click();
    await opened.named('cancel').click();
    await expect.poll(title).toBe('Tonight');
    expect(await question().count()).toBe(0);
  });

  it.each([
    ['a link', () => opened.named('out').click(), '#Tonight', 'Tonight'],
    ['an event', () => opened.named('bunks').click(), '#Bunk?bunk=2', 'Bunk'],
    ['`back()`', () => opened.named('cancel').click(), '', 'Tonight'],
    ['the browser’s Back', () => goBack(opened.page), '', 'Tonight'],
  ])('asks who leaves by %s', async (_, leave, address, where) => {
    await begin();
    await leave();
    await question().waitFor();
    expect(await question().innerText()).toContain('Leave without keeping the note?');
    await expect.poll(() => opened.page.evaluate(() => document.activeElement?.textContent)).toBe('Stay');
    await answer('Stay');
    await expect.poll(() => question().count()).toBe(0);
    expect([await title(), await note().inputValue()]).toEqual(['Edit', 'late']);
    await expect.poll(hash).toBe('#Edit');
    await leave();
    await question().waitFor();
    await opened.page.keyboard.press('Escape');
    await expect.poll(() => question().count()).toBe(0);
    await leave();
    await answer('Leave');
    await expect.poll(title).toBe(where);
    await expect.poll(hash).toBe(address);
    expect(await question().count()).toBe(0);
  });

  it('asks nobody who goes to another part of it', async () => {
    await begin();
    const part = await opened.page.evaluate(() => document.querySelector('.k-screen [id]')!.id);
    await opened.page.evaluate((id) => {
      location.hash = id;
    }, part);
    await expect.poll(hash).toBe(`#${part}`);
    expect([await question().count(), await title()]).toEqual([0, 'Edit']);
  });

  it('asks in the browser’s words who closes the page', async () => {
    await begin();
    const asked = new Promise<string>((resolve) =>
      opened.page.once('dialog', (dialog) => {
        resolve(dialog.type());
        void dialog.accept();
      }),
    );
    await opened.page.reload();
    expect(await asked).toBe('beforeunload');
  });
});
