/** The parts of the catalogue on an exported page: what a person enters, opens and hears of them. */
import { type Control, kinds, newControl, printScreen } from '@hovrin/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { type ExportedPage, openExported } from '../browser/exported-page.ts';
import { fillNumber } from '../browser/hands.ts';
import { trialProject } from '../parity/documents.ts';

const state = [
  { name: 'note', type: 'text', initial: 'First line' },
  { name: 'nights', type: 'number', initial: 2 },
  { name: 'day', type: 'text', initial: '2026-11-23' },
  { name: 'bunk', type: 'text', initial: 'twin' },
  { name: 'supper', type: 'text', initial: '' },
  { name: 'needs', type: 'text', initial: 'lunch' },
  { name: 'stove', type: 'number', initial: 4 },
  { name: 'quiet', type: 'boolean', initial: false },
  { name: 'pane', type: 'number', initial: 1 },
  { name: 'chosen', type: 'text', initial: '' },
  { name: 'changes', type: 'number', initial: 0 },
  { name: 'rooms', type: 'text', initial: 'a' },
  { name: 'sign', type: 'text', initial: 'sun' },
] as const;

const source = `<screen name="Parts" padding="8" gap="8">
  <nav name="places" options="Parts: All parts | Other" />
  <link name="away" text="Other" to="Other" />
  <textArea name="noteField" label="Note" value.bind="note" />
  <numberField name="nightsField" label="Nights" value.bind="nights" min="1" max="9" />
  <dateField name="dayField" label="Day" value.bind="day" />
  <select name="bunkField" label="Bunk" value.bind="bunk" options="{rooms === 'a' ? [{value: 'dorm', label: 'Dormitory'}, {value: 'twin', label: 'Twin room'}] : ['twin', 'family']}" on.change="changes = changes + 1" />
  <radioGroup name="supperField" label="Supper" value.bind="supper" options="six: At six | seven: At seven" />
  <choiceList name="needsField" label="Needs" many="true" value.bind="needs" options="blanket: Blanket | lunch: Packed lunch" />
  <slider name="stoveField" label="Stove" min="0" max="10" step="1" value.bind="stove" />
  <switch name="quietField" label="Quiet hours" checked.bind="quiet" />
  <textField name="guestField" label="Guest" hint="As in the pass" required="true" message="Say who it is." />
  <text name="told" text="{note} / {nights} / {day} / {bunk} / {supper} / {needs} / {stove} / {quiet} / {pane} / {chosen} / {changes}" />
  <menuButton name="menu" text="More" options="print: Print list | close: Close the hut" on.choose="chosen = choice" />
  <tabs name="panels" options="Stay | Guests" open.bind="pane"><text name="one" text="one" /><text name="two" text="two" /></tabs>
  <tabs name="boundPanels" options="{rooms === 'a' ? ['Stay', 'Guests'] : ['Nights', 'People']}" open.bind="pane"><text text="first" /><text text="second" /></tabs>
  <radioGroup name="turned" label="Room" tabindex="3" options="{rooms === 'a' ? ['dorm'] : ['twin', 'family']}" />
  <meter name="battery" label="Battery" value="{stove * 10}" unit="%" colors="0 alert | 50 accent" />
  <lamp name="lit" label="Stove" value="{stove}" colors="5 warm" />
  <chart name="line" label="Guests" data="{[1, 2, stove]}" labels="Mon | Tue | Wed" />
  <table name="list" label="Guests" rows="{[{guest: 'Ilva', nights: nights}]}" columns="guest: Guest | nights: Nights" />
  <icon name="weather" icon="{sign}" alt="Weather" />
  <button name="swap" text="Swap" icon="repeat" on.press="rooms = 'b'; sign = 'cloud'" />
  <repeat name="guests" each="{['Ilva', 'Teo'].slice(0, nights)}" as="guest"><textField name="each" label="Bunk of {guest}" hint="A number" /></repeat>
</screen>`;

let opened: ExportedPage;
const told = async () => (await opened.named('told').textContent())!.split('/').map((part) => part.trim());
const field = (name: string) => opened.named(name).locator('.part-input');

describe('on a page', () => {
  beforeAll(async () => {
    opened = await openExported(
      [source, '<screen name="Other"><text name="there" text="there" /></screen>'],
      state,
    );
  });
  afterAll(() => opened.close());

  it('fields show what their variables hold, and what is entered is kept in them', async () => {
    expect(await told()).toEqual([
      'First line',
      '2',
      '2026-11-23',
      'twin',
      '',
      'lunch',
      '4',
      'false',
      '1',
      '',
      '0',
    ]);
    expect(await field('bunkField').inputValue()).toBe('twin');
    await field('noteField').fill('Two\nlines');
    await fillNumber(field('nightsField'), '3');
    await field('dayField').fill('2026-12-24');
    await field('bunkField').selectOption('dorm');
    await opened.page.getByLabel('At seven').check();
    await opened.page.getByLabel('Blanket').check();
    await field('stoveField').fill('7');
    await opened.page.getByRole('switch', { name: 'Quiet hours' }).check();
    expect((await told()).slice(1)).toEqual([
      '3',
      '2026-12-24',
      'dorm',
      'seven',
      'blanket | lunch',
      '7',
      'true',
      '1',
      '',
      '1',
    ]);
    expect(await opened.named('stoveField').locator('output').innerText()).toBe('7');
  });

  it('what shows data follows it: meter, lamp, table, chart', async () => {
    expect(await opened.page.getByRole('meter').getAttribute('aria-valuetext')).toBe('70 %');
    expect(await opened.named('lit').getByRole('img').getAttribute('aria-label')).toBe('On, 7');
    expect(await opened.page.getByRole('cell').allInnerTexts()).toEqual(['Ilva', '3']);
    expect(await opened.named('line').locator('.part-scale').innerText()).toMatch(/^8/);
    expect(await opened.named('line').getAttribute('aria-label')).toBe('Guests: 1, 2, 7');
  });

  it('options and icons that are bound are made anew, and the choice stays', async () => {
    const before = await opened.named('weather').locator('svg').innerHTML();
    await field('bunkField').selectOption('twin');
    await opened.named('swap').click();
    expect(await field('bunkField').locator('option').allInnerTexts()).toEqual(['twin', 'family']);
    expect(await opened.named('boundPanels').getByRole('tab').allInnerTexts()).toEqual(['Nights', 'People']);
    expect(
      await opened
        .named('turned')
        .getByRole('radio')
        .evaluateAll((found) => found.map((radio) => (radio as HTMLInputElement).tabIndex)),
    ).toEqual([3, 3]);
    expect(await field('bunkField').inputValue()).toBe('twin');
    expect(await opened.named('weather').locator('svg').innerHTML()).not.toBe(before);
  });

  it('a menu opens by keys, is gone through by arrows, and says what was chosen', async () => {
    await opened.named('menu').getByRole('button').focus();
    await opened.page.keyboard.press('Enter');
    await opened.page.getByRole('menuitem', { name: 'Print list' }).waitFor();
    await opened.page.keyboard.press('ArrowDown');
    await opened.page.keyboard.press('Enter');
    expect((await told())[9]).toBe('close');
    expect(await opened.page.getByRole('menu').isVisible()).toBe(false);
    await opened.named('menu').getByRole('button').click();
    await opened.page.keyboard.press('Escape');
    expect(await opened.page.getByRole('menu').isVisible()).toBe(false);
  });

  it('tabs open their panels by press and by arrows, and their variable follows', async () => {
    expect([await opened.named('one').isVisible(), await opened.named('two').isVisible()]).toEqual([
      true,
      false,
    ]);
    await opened.page.getByRole('tab', { name: 'Stay' }).focus();
    await opened.page.keyboard.press('ArrowRight');
    expect([await opened.named('one').isVisible(), await opened.named('two').isVisible()]).toEqual([
      false,
      true,
    ]);
    expect((await told())[8]).toBe('2');
    await opened.page.getByRole('tab', { name: 'Stay' }).click();
    expect((await told())[8]).toBe('1');
  });

  it('a required field says so when it is left empty, not before', async () => {
    const message = opened.page.getByText('Say who it is.');
    expect(await message.isVisible()).toBe(false);
    await field('guestField').fill('Ilva');
    await field('guestField').fill('');
    await field('guestField').blur();
    expect(await message.isVisible()).toBe(true);
    await field('guestField').fill('Teo');
    expect(await message.isVisible()).toBe(false);
  });

  it('fields in a repeat have labels and hints of their own', async () => {
    await fillNumber(field('nightsField'), '1');
    expect(await opened.page.getByLabel('Bunk of').count()).toBe(1);
    await fillNumber(field('nightsField'), '2');
    const second = opened.page.getByLabel('Bunk of Teo');
    await opened.page.getByText('Bunk of Teo').click();
    expect(await second.evaluate((input) => input === document.activeElement)).toBe(true);
    const hint = await second.getAttribute('aria-describedby');
    expect(await opened.page.locator(`[id="${hint}"]`).count()).toBe(1);
    expect(
      await opened.page.evaluate(() => {
        const ids = [...document.querySelectorAll('[id]')].map(({ id }) => id);
        return ids.length - new Set(ids).size;
      }),
    ).toBe(0);
  });

  it('the place that is open is marked, and links lead to screens', async () => {
    expect(await opened.page.getByRole('link', { name: 'All parts' }).getAttribute('aria-current')).toBe(
      'page',
    );
    await opened.named('away').click();
    await opened.named('there').waitFor();
    expect(opened.problems).toEqual([]);
  });
});

describe('as they are placed', () => {
  it('all parts together have no fault that axe finds', async () => {
    let ids = 0;
    const alone = kinds.filter(({ name, confines }) => name !== 'screen' && !confines?.parents);
    let screen: Control = { id: 's', kind: 'screen', name: 'All', props: {}, children: [] };
    for (const { name } of alone) {
      const control = newControl(name, screen, () => `n${++ids}`);
      // A page has one heading of the first level.
      const props = name === 'heading' ? { ...control.props, level: '1' } : control.props;
      screen = { ...screen, children: [...screen.children, { ...control, props }] };
    }
    const page = await openExported([printScreen(screen, trialProject(screen).bands)]);
    try {
      expect(await axeFaults(page.page)).toEqual([]);
    } finally {
      await page.close();
    }
  });
});
