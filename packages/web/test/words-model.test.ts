/** The table of words as plain data: rows, searching, progress, what is typed and pasted. */
import { applySteps, type Project, parseScreen } from '@hovrin/core';
import { describe, expect, it } from 'vitest';
import { pasted, progressOf, rowsWanted, targets, typedSteps, wordsRows } from '../src/words/wordsModel.ts';
import { trialProject } from './trialProject.ts';

const parsed = parseScreen(
  '<screen name="A" title="Supper"><text name="one" text="Supper" /><text name="two" text="{n} guests" /><text name="three" text="Soup" /></screen>',
  {
    file: 'A',
    context: { namesKnown: false, bands: [] } as never,
    newId: (() => {
      let last = 0;
      return () => `w${last++}`;
    })(),
  },
);
if (!parsed.ok) throw new Error('The screen cannot be read.');
const project: Project = {
  ...trialProject,
  screens: [parsed.screen],
  components: [],
  locales: [
    { tag: 'en' },
    {
      tag: 'de',
      strings: {
        'A.title': { text: 'Abendessen', source: 'Supper', note: 'short' },
        'A.one.text': { text: 'Essen', source: 'Dinner' },
        'A.two.text': { text: 'Gäste', source: '{n} guests' },
        'A.gone.text': { text: 'weg' },
      },
    },
    { tag: 'ar' },
  ],
};
const rows = wordsRows(project);
const after = (typed: Parameters<typeof typedSteps>[1]) => {
  const applied = applySteps(project, typedSteps(project, typed));
  if (!applied.ok) throw new Error(applied.reason);
  return targets(applied.project);
};

describe('the rows', () => {
  it('are the texts in their order, with how each stands in each language', () => {
    expect(rows.map(({ key, in: all }) => [key, all.get('de')?.state, all.get('ar')?.state])).toEqual([
      ['A.title', 'done', 'missing'],
      ['A.one.text', 'stale', 'missing'],
      ['A.two.text', 'wrong', 'missing'],
      ['A.three.text', 'missing', 'missing'],
      ['A.gone.text', 'unused', undefined],
    ]);
    expect(rows.map(({ same }) => same)).toEqual([1, 1, 0, 0, 0]);
    expect(rows.every(({ near }) => near.length === 0)).toBe(true);
  });

  it('know texts that differ in capitals, spaces and signs only', () => {
    const [screen] = project.screens;
    const children = ['Check in', 'Check-in', 'Check in', 'Check', '…', '!'].map((text, index) => ({
      id: `n${index}`,
      kind: 'text',
      props: { text },
      children: [],
    }));
    const near = wordsRows({ ...project, screens: [{ ...screen!, children }] });
    const of = (text: string) => near.filter(({ source }) => source === text).map((row) => row.near);
    expect(of('Check in')).toEqual([['Check-in'], ['Check-in']]);
    expect(of('Check-in')).toEqual([['Check in']]);
    expect(of('Check')).toEqual([[]]);
  });

  it('are filtered, and found by any word of theirs', () => {
    const keys = (wanted: Parameters<typeof rowsWanted>[1], typed = '') =>
      rowsWanted(rows, wanted, typed).map(({ key }) => key);
    expect(keys('all')).toHaveLength(4);
    expect(keys('stale')).toEqual(['A.one.text']);
    expect(keys('wrong')).toEqual(['A.two.text']);
    expect(keys('same')).toEqual(['A.title', 'A.one.text']);
    expect(keys('unused')).toEqual(['A.gone.text']);
    expect(keys('all', 'essen')).toEqual(['A.title', 'A.one.text']);
    expect(keys('all', ' SOUP ')).toEqual(['A.three.text']);
  });

  it('say how far a language is', () => {
    expect([progressOf(rows, 'de'), progressOf(rows, 'ar'), progressOf([], 'fr')]).toEqual([0.5, 0, 1]);
  });
});

describe('what is typed', () => {
  it('is made from the source of now; its note stays', () => {
    const [german] = after([{ row: rows[0]!, tag: 'de', text: 'Znacht' }]);
    expect(german?.strings?.['A.title']).toEqual({ text: 'Znacht', source: 'Supper', note: 'short' });
  });

  it('goes into several languages at once, and away', () => {
    const [german, arabic] = after([
      { row: rows[1]!, tag: 'de', text: '' },
      { row: rows[3]!, tag: 'ar', text: 'حساء' },
    ]);
    expect(german?.strings).not.toHaveProperty('A.one.text');
    expect(arabic?.strings).toEqual({ 'A.three.text': { text: 'حساء', source: 'Soup' } });
  });
});

it('what is pasted from a spreadsheet goes into rows and columns from the cell on; what has no place is left', () => {
  const texts = pasted(rows, ['de', 'ar'], { row: 3, column: 0 }, 'Suppe\tحساء\tzu viel\nWeg\r\nzu weit\n');
  expect(texts.map(({ row, tag, text }) => [row.key, tag, text])).toEqual([
    ['A.three.text', 'de', 'Suppe'],
    ['A.three.text', 'ar', 'حساء'],
    ['A.gone.text', 'de', 'Weg'],
  ]);
});
