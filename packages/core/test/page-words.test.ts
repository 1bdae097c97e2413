/** The words of a page in its other languages: what differs, which language somebody gets, and how an event sets it. */
import { runInNewContext } from 'node:vm';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { languageFor } from '../src/document/language-for.ts';
import type { TreeElement } from '../src/export/element-tree.ts';
import { pageLanguages, translationsOf, withWordsMarked, wordsMark } from '../src/export/languages.ts';
import { html } from '../src/export/page.ts';
import { programOf } from '../src/export/program.ts';
import {
  contextOf,
  inLocale,
  isRightToLeft,
  type Project,
  parseScreen,
  parseStatements,
  printScreen,
  textsOf,
} from '../src/index.ts';
import { differenceOf, differently } from '../src/runtime/difference.ts';
import { Runtime } from '../src/runtime/index.ts';
import { noActing, noCode, noPieces, projectFrom } from './documents.ts';

describe('what differs between two pieces of data', () => {
  const data = fc.jsonValue({ maxDepth: 4 });

  it('makes the one of the other', () => {
    fc.assert(
      fc.property(data, data, (one, other) => {
        const difference = differenceOf(one, other);
        expect(difference === undefined ? one : differently(one, difference)).toEqual(other);
      }),
    );
  });

  it('is nothing where they are the same, and leaves what it is made of as it is', () => {
    fc.assert(
      fc.property(data, data, (one, other) => {
        expect(differenceOf(one, structuredClone(one))).toBeUndefined();
        const before = structuredClone(one);
        const difference = differenceOf(one, other);
        if (difference) differently(one, difference);
        expect(one).toEqual(before);
      }),
    );
  });

  it('names only the places that differ', () => {
    const one = { title: 'Hut', rows: [{ text: 'a' }, { text: 'b' }], held: null };
    expect(differenceOf(one, { ...one, rows: [{ text: 'a' }, { text: 'c' }] })).toEqual({
      rows: { 1: { text: ['c'] } },
    });
    expect(differenceOf(one, { ...one, rows: [] })).toEqual({ rows: [[]] });
    expect(differenceOf(one, { ...one, held: { x: 1 } })).toEqual({ held: [{ x: 1 }] });
  });
});

describe('the language that somebody gets', () => {
  it.each([
    [['en', 'de-CH', 'ar'], ['de-CH'], 'de-CH'],
    [['en', 'de-CH', 'ar'], ['DE-ch-1996'], 'de-CH'],
    [['en', 'de-CH', 'ar'], ['de'], 'de-CH'],
    [['en', 'de-CH', 'ar'], ['de-AT'], 'de-CH'],
    [['en', 'de', 'de-CH'], ['de-AT'], 'de'],
    [['en', 'de', 'de-CH'], ['de-CH'], 'de-CH'],
    [['en', 'zh-Hant'], ['zh-Hant-TW'], 'zh-Hant'],
    [['en', 'ar'], ['fi', 'ar', 'en'], 'ar'],
    // No tag that only begins with the same letters.
    [['en', 'den'], ['de'], undefined],
    [['en'], ['fi'], undefined],
    [['en'], [], undefined],
  ])('of %j, for somebody who wants %j, is %s', (tags, wanted, expected) => {
    expect(languageFor(tags, wanted)).toBe(expected);
  });
});

const hut = (strings: Readonly<Record<string, { text: string }>>, language = 'en'): Project =>
  projectFrom(
    { language, locales: [{ tag: 'en' }, { tag: 'ar', strings }] },
    '<screen name="Hut" title="Hut"><text name="quiet" text="Quiet" /><button name="save" text="Save" /><button name="again" text="Save" /></screen>',
  );

describe('the words of a page', () => {
  it('are those of each language but the first; of none where the page is made in one of them', () => {
    expect([...translationsOf(hut({})).keys()]).toEqual(['ar']);
    expect(translationsOf(hut({}, 'ar')).size).toBe(0);
    expect(translationsOf(projectFrom({}, '<screen name="s" />')).size).toBe(0);
    expect(pageLanguages({ ...hut({}), id: 'h1' }, false)).toEqual({
      of: 'h1',
      tags: { en: 'ltr', ar: 'rtl' },
    });
    expect(pageLanguages(hut({}), true).tags).toEqual({ en: 'rtl', ar: 'rtl' });
    expect(isRightToLeft('ar')).toBe(true);
  });

  const element = (inside: TreeElement['inside'], more: TreeElement['attributes'] = []): TreeElement => ({
    tag: 'p',
    attributes: more,
    inside,
  });

  it('are marked where they differ, one number for what is the same in every language', () => {
    const tree = (save: string, label: string, name: string) =>
      element([
        element(save, [
          ['class', name],
          ['aria-label', label],
        ]),
        element([element(save)]),
        element('Velmora'),
      ]);
    const { elements, texts } = withWordsMarked(
      [tree('Save', 'Save it', 'a')],
      [[tree('Sichern', 'Das sichern', 'b')], [tree('Garder', 'Save it', 'a')]],
    );
    expect(elements).toEqual([
      element([
        element('Save', [
          ['class', 'a'],
          ['aria-label', 'Save it'],
          [wordsMark, 'text:0 aria-label:1'],
        ]),
        element([element('Save', [[wordsMark, 'text:0']])]),
        element('Velmora'),
      ]),
    ]);
    expect(texts).toEqual([
      ['Sichern', 'Das sichern'],
      ['Garder', 'Save it'],
    ]);
  });

  it('stay those of the source where another language has another element', () => {
    const { elements, texts } = withWordsMarked(
      [element([element('One'), element('Two')])],
      [[element([{ ...element('Eins'), tag: 'b' }])]],
    );
    expect(elements).toEqual([element([element('One'), element('Two')])]);
    expect(texts).toEqual([[]]);
  });

  it('leave the language open in a program of several', () => {
    const project = projectFrom({}, '<screen name="s"><text text="{View.language}" /></screen>');
    const said = (program: object) => JSON.stringify(program).includes('"View.language"');
    expect(said(programOf(project))).toBe(false);
    expect(said(programOf(project, pageLanguages(project, false)))).toBe(true);
  });
});

describe('View.locale', () => {
  const messageOf = (text: string) => {
    const read = parseStatements(text);
    return read.ok ? undefined : read.problem.message;
  };

  it('is all that can be set of View', () => {
    expect(messageOf('View.locale = "de"')).toBeUndefined();
    expect(messageOf('View.dark = true')).toContain('only `View.locale` can be set');
    expect(messageOf('View.query.a = 1')).toContain('only `View.locale` can be set');
    expect(messageOf('View = 1')).toBeUndefined();
  });

  it('is followed by what reads it, as it is set', () => {
    const problems: string[] = [];
    const project = projectFrom({}, '<screen name="s" />');
    const runtime = new Runtime(programOf(project), {
      acting: noActing,
      problem: (message) => void problems.push(message),
      see: (_, hold) => hold('en'),
    });
    const heard: unknown[] = [];
    runtime.watch('View.locale', (value) => heard.push(value));
    const read = parseStatements('View.locale = "de"; View.locale += "-CH"');
    if (!read.ok) throw new Error(read.problem.message);
    runtime.run(read.value, undefined, { control: 'c', event: 'press' });
    expect(heard).toEqual(['en', 'de-CH']);
    expect(problems).toEqual([]);
  });
});

describe('whatever a translation says', () => {
  const base = projectFrom(
    { language: 'en', state: [{ name: 'n', type: 'number', initial: 2 }], locales: [{ tag: 'en' }] },
    `<screen name="Hut" title="Hut"><text name="told" text="{n} guests" /><select name="kind" label="Kind" options="a: Dormitory | b: Twin" /><button name="says" text="Save" on.press='message("Good night")' /></screen>`,
  );
  const pieces = [
    ...['</script>', '<!--', '<img onerror=x>', '{', '}', '{n}', '{n, plural, other {#}}', "'", '"', '`'],
    ...[
      '|',
      ':',
      '\\',
      '\n',
      '\u2028',
      '\u202e',
      '\u0000',
      '&amp;',
      '#',
      'ß',
      'שלום',
      '今夜',
      '{{',
      '}}',
      ' ',
      ';',
    ],
  ];
  const text = fc.array(fc.constantFrom(...pieces, 'Haus'), { maxLength: 6 }).map((parts) => parts.join(''));

  it('the project can be read again, and its page is a page with a file of words', () => {
    fc.assert(
      fc.property(fc.array(text, { minLength: 7, maxLength: 7 }), (said) => {
        const strings = Object.fromEntries(
          textsOf(base).map(({ key }, index) => [key, { text: said[index] ?? '' }]),
        );
        const project = { ...base, locales: [{ tag: 'en' }, { tag: 'xx', strings }] };
        const translated = inLocale(project, 'xx');
        // Nothing of it is worked out that the source does not work out.
        for (const [index, screen] of translated.screens.entries()) {
          const source = printScreen(screen, project.bands);
          const read = parseScreen(source, { file: 'x', context: contextOf(project), newId: () => 'i' });
          expect(read.ok, source).toBe(true);
          const statements = parseStatements(String(screen.children[2]!.props['on.press']));
          expect(statements.ok && statements.value.map(({ type }) => type)).toEqual(['action']);
          expect(screen.children).toHaveLength(project.screens[index]!.children.length);
        }
        const { files } = html.files(project, {
          fonts: { files: [], standIns: [] },
          script: '',
          pieces: noPieces,
          compileCode: noCode,
        });
        const file = files.get('words/xx.js')!;
        expect(file).not.toMatch(/<\/script/i);
        const given: unknown[] = [];
        runInNewContext(file, { hovrinPage: { words: (...all: unknown[]) => given.push(...all) } });
        expect(given).toMatchObject(['xx', { texts: expect.anything() }]);
      }),
      { numRuns: 60 },
    );
  });
});
