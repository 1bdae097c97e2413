/** What people write for something that is called otherwise here leads to what is meant. */
import { expect, it } from 'vitest';
import { checkStatements } from '../src/expression/check.ts';
import { checkTemplate, contextOf, kindNamed, readAttributeText } from '../src/index.ts';
import { projectOf } from './documents.ts';

const around = {
  names: new Map([
    ['rows', 'list'],
    ['item', 'item'],
  ]),
  screens: new Set(['Tonight']),
};
const said = (text: string) => {
  const checked = text.startsWith('{') ? checkTemplate(text, around) : checkStatements(text, around);
  return checked.ok ? '' : checked.problem.message;
};

it.each([
  ['{view.now}', '`View.now`'],
  ['{view.clock}', '`View.band`, `View.locale`'],
  ['{now}', '`View.now`'],
  ['{Math.random()}', 'Random.next'],
  ['{Date.now()}', '`View.now`'],
  ['item = true', '`item.title = …`'],
  ['repeat(3)', '`for (const item of list) { … }`'],
  ['alert("soup")', '`message("…")`'],
])('%s', (text, words) => {
  expect(said(text)).toContain(words);
});

it('counts of a pattern are read as they are, and expressions in one are expressions', () => {
  const field = kindNamed('textField')!;
  const read = (text: string) =>
    readAttributeText(field, 'pattern', text, contextOf(projectOf('<screen name="s" />')));
  expect(read('\\d{2}-\\w{2,4}x{3,}')).toEqual({ ok: true, text: '\\d{{2}}-\\w{{2,4}}x{{3,}}' });
  expect(read('\\d{{2}}')).toEqual({ ok: true, text: '\\d{{2}}' });
  expect(read('{name}')).toEqual({ ok: true, text: '{name}' });
  expect(read('{nowhere}')).toMatchObject({ ok: false });
});
