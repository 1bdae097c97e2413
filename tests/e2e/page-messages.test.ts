/** Messages on an exported page: in the language of its words, and again as what they read changes. */
import { inLocale, type Project } from '@hovrin/core';
import { expect, it } from 'vitest';
import { projectFrom } from '../../packages/core/test/documents.ts';
import { openPage } from '../browser/exported-page.ts';

const hut: Project = projectFrom(
  {
    state: [{ name: 'guests', type: 'number', initial: 0 }],
    locales: [
      { tag: 'en' },
      {
        tag: 'de',
        strings: {
          'Hut.told.text': {
            text: '{guests, plural, =0 {Niemand ist} one {# Gast ist} other {# Gäste sind}} da, {guests / 2, number, ::.0}',
          },
        },
      },
    ],
  },
  `<screen name="Hut">
    <text name="told" text="{guests, plural, =0 {Nobody is} one {# guest is} other {# guests are}} in, {guests / 2, number, ::.0}" />
    <button name="comes" text="Somebody comes" on.press="guests = guests + 1" />
    <button name="many" text="Many come" on.press="guests = guests + 1234" />
  </screen>`,
);

it.each([
  ['en', ['Nobody is in, 0.0', '1 guest is in, 0.5', '1,235 guests are in, 617.5']],
  ['de', ['Niemand ist da, 0,0', '1 Gast ist da, 0,5', '1.235 Gäste sind da, 617,5']],
])('in %s', async (language, [nobody, one, many]) => {
  const opened = await openPage(inLocale({ ...hut, language: 'en' }, language));
  try {
    const told = () => opened.named('told').innerText();
    await expect.poll(told).toBe(nobody);
    await opened.named('comes').click();
    await expect.poll(told).toBe(one);
    await opened.named('many').click();
    await expect.poll(told).toBe(many);
    expect(opened.problems).toEqual([]);
  } finally {
    await opened.close();
  }
});
