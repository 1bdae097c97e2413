/** The words of a project: where they stand, what they are in other languages, and their way out and back. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { programOf } from '../src/export/program.ts';
import {
  applyStep,
  applySteps,
  arriving,
  type Control,
  inLocale,
  isRightToLeft,
  type Locale,
  nameControl,
  type Project,
  printFolder,
  problemsOf,
  readFolder,
  ScreenView,
  stringFormats,
  stringRows,
  tableOf,
  textsOf,
  translating,
  translationFault,
  walk,
} from '../src/index.ts';
import { printStrings, readStrings } from '../src/source/string-files.ts';
import { projectFrom, testShaper } from './documents.ts';

const german: Locale = {
  tag: 'de-CH',
  strings: {
    'Tonight.title': { text: 'Heute Abend', source: 'Tonight' },
    'Tonight.guests.text': { text: '{count} Gäste sind da', source: '{count} guests are in' },
    'Tonight.sleep.options.dorm': { text: 'Massenlager', source: 'Dormitory' },
    'Tonight.save.on.press.1': { text: 'Gespeichert "für" heute', source: 'Kept' },
    'Tonight.save.text': { text: 'Behalten', source: 'Save' },
    'Gone.text.text': { text: 'Weg' },
  },
};
const project: Project = {
  ...projectFrom(
    { state: [{ name: 'count', type: 'number', initial: 3 }], locales: [{ tag: 'en' }, german] },
    `<screen name="Tonight" title="Tonight">
      <text name="guests" text="{count} guests are in" />
      <text name="number" text="{count}" />
      <select name="sleep" label="Where" options="dorm: Dormitory | Twin" />
      <button name="save" text="Keep" on.press="count = 1; message('Kept')" />
    </screen>`,
  ),
};
const counted = () => {
  let last = 0;
  return () => `n${last++}`;
};
const controlNamed = (of: Project, name: string) =>
  [...walk(of.screens[0]!)].find((control) => control.name === name)!;

describe('the texts of a project', () => {
  it('are found where people read or hear them, by their place', () => {
    expect(textsOf(project).map(({ key, text }) => [key, text])).toEqual([
      ['Tonight.title', 'Tonight'],
      ['Tonight.guests.text', '{count} guests are in'],
      ['Tonight.sleep.label', 'Where'],
      ['Tonight.sleep.options.dorm', 'Dormitory'],
      ['Tonight.sleep.options.Twin', 'Twin'],
      ['Tonight.save.text', 'Keep'],
      ['Tonight.save.on.press.1', 'Kept'],
    ]);
  });

  it('are told by how they stand in a language', () => {
    const states = Object.fromEntries(stringRows(project, german).map(({ key, state }) => [key, state]));
    expect(states).toMatchObject({
      'Tonight.title': 'done',
      'Tonight.sleep.label': 'missing',
      'Tonight.save.text': 'stale',
      'Gone.text.text': 'unused',
    });
  });
});

describe('a project in a language', () => {
  const made = inLocale(project, 'de-CH');

  it('has what is translated, and the source text elsewhere', () => {
    expect(made.language).toBe('de-CH');
    expect(made.screens[0]!.props.title).toBe('Heute Abend');
    expect(controlNamed(made, 'guests').props.text).toBe('{count} Gäste sind da');
    expect(controlNamed(made, 'sleep').props).toMatchObject({
      label: 'Where',
      options: 'dorm: Massenlager | Twin',
    });
    expect(controlNamed(made, 'save').props['on.press']).toBe(
      'count = 1; message("Gespeichert \\"für\\" heute")',
    );
    expect(controlNamed(made, 'number')).toBe(controlNamed(project, 'number'));
  });

  it('is the project itself in that of its source, and in one that it does not have', () => {
    expect(inLocale(project, 'en')).toBe(project);
    expect(inLocale(project, 'fr')).toBe(project);
    expect(inLocale(project, 'DE-ch')).toEqual(made);
  });

  it('never carries out what a translation says', () => {
    const evil = (text: string, key = 'Tonight.guests.text') =>
      inLocale({ ...project, locales: [{ tag: 'en' }, { tag: 'de', strings: { [key]: { text } } }] }, 'de');
    expect(controlNamed(evil('{count} {count + 1}'), 'guests').props.text).toBe('{count} guests are in');
    expect(controlNamed(evil('{count'), 'guests').props.text).toBe('{count} guests are in');
    expect(controlNamed(evil('{count} | x', 'Tonight.sleep.options.dorm'), 'sleep').props.options).toBe(
      'dorm: {{count}} / x | Twin',
    );
    expect(
      controlNamed(evil("'); count = 9; message('", 'Tonight.save.on.press.1'), 'save').props['on.press'],
    ).toBe(`count = 1; message("'); count = 9; message('")`);
  });

  it('is written from right to left where its script is', () => {
    expect(['ar', 'he-IL', 'fa', 'ur', 'de', 'ja', 'az-Arab', 'nonsense!'].map(isRightToLeft)).toEqual([
      true,
      true,
      true,
      true,
      false,
      false,
      true,
      false,
    ]);
  });
});

describe('a translation', () => {
  const place = { text: '{count} guests are in {{here}}' };
  it.each([
    ['Es sind {count} Gäste da', undefined],
    ['Es sind { count } Gäste da', undefined],
    ['Gäste', 'leaves out `{count}`'],
    ['{count} {other}', 'brings in `{other}`'],
    ['{count', 'cannot be read'],
  ])('%s: %s', (text, fault) => {
    const found = translationFault(place, text);
    if (fault === undefined) expect(found).toBeUndefined();
    else expect(found).toContain(fault);
  });

  it('that is wrong, or of another source text, is a problem', () => {
    const wrong = { ...german, strings: { ...german.strings, 'Tonight.guests.text': { text: 'Gäste' } } };
    const told = problemsOf({ ...project, locales: [{ tag: 'en' }, wrong] }).map(({ kind }) => kind);
    expect(told).toContain('translation');
    expect(told).toContain('stale');
  });
});

describe('keys follow', () => {
  const keys = (of: Project) => Object.keys(of.locales![1]!.strings!);

  it('a screen and a control that are called something else', () => {
    const renamed = applyStep(project, { type: 'rename', of: 'screens', key: 'Tonight', to: 'Evening' });
    expect(renamed.ok && keys(renamed.project)).toContain('Evening.save.text');
    const save = controlNamed(project, 'save');
    const steps = nameControl(project.screens[0]!, save, 'keep', [], project.locales);
    const named = applySteps(project, steps);
    expect(named.ok && keys(named.project)).toEqual(
      expect.arrayContaining(['Tonight.keep.text', 'Tonight.keep.on.press.1']),
    );
    expect(named.ok && keys(named.project)).not.toContain('Tonight.save.text');
  });
});

describe('the files of a project', () => {
  it('hold its languages and their translations, and give them back', () => {
    const files = printFolder(project);
    expect(files.get('project.json')).toContain('"en",\n    "de-CH"');
    const again = readFolder(files, counted());
    expect(again).toMatchObject({ ok: true, project: { locales: [{ tag: 'en' }, german] } });
    expect(again.ok && printFolder(again.project)).toEqual(files);
  });

  it.each([
    [['en', 'de'], { 'strings/fr.json': '{}' }, 'no such language'],
    [['en', 'de'], { 'strings/de.json': '{"A.b": {"text": 7}}' }, 'no `text`'],
    [['en', 'de'], { 'strings/de.json': '{"A.b": {"text": "x", "by": "me"}}' }, 'no `by`'],
    [['en', 'de'], { 'strings/de.json': '{' }, 'JSON'],
    [['en', '!'], {}, 'no language'],
    [['en', 'en'], {}, 'two languages'],
  ])('%j %j: %s', (locales, strings, message) => {
    const files = new Map(
      Object.entries({ 'project.json': JSON.stringify({ format: 2, name: 'H', locales }), ...strings }),
    );
    const read = readFolder(files as Map<string, string>, counted());
    expect(read.ok ? '' : read.problems[0]?.message).toContain(message);
  });
});

describe('strings on their way', () => {
  it.each(stringFormats.map((format) => [format.label, format] as const))(
    'as %s come back as they went',
    (_, format) => {
      const table = tableOf(project, german);
      const read = format.read(format.print(table), 'file');
      expect(read.problems).toEqual([]);
      const byKey = (one: { key: string }, other: { key: string }) => (one.key < other.key ? -1 : 1);
      expect(read.strings.toSorted(byKey)).toEqual(table.strings.toSorted(byKey));
      expect(arriving(project, german, read).changed).toEqual(
        // What was stale counts as made from the source text of today.
        { 'Tonight.save.text': { text: 'Behalten', source: 'Keep' } },
      );
    },
  );

  it.each(stringFormats.map((format) => [format.label, format] as const))(
    'as %s keep any text',
    (_, format) => {
      const text = fc.string({ unit: 'binary' }).map((each) =>
        // biome-ignore lint/suspicious/noControlCharactersInRegex: XML has no place for these.
        each.replaceAll(/[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]|\p{Cs}/gu, ''),
      );
      fc.assert(
        fc.property(text, text, text, (source, translation, note) => {
          const strings = [{ key: 'A.b.text', source, text: translation, ...(note === '' ? {} : { note }) }];
          const read = format.read(format.print({ from: 'en', to: 'ar', strings }), 'file');
          expect(read.strings).toEqual(strings);
        }),
        { numRuns: 200 },
      );
    },
  );

  it('are read from files of others, with what is wrong line by line', () => {
    const [xliff, csv] = stringFormats;
    const foreign = `<?xml version="1.0"?>
<xliff xmlns="urn:oasis:names:tc:xliff:document:2.0" xmlns:mtc="urn:oasis:names:tc:xliff:matches:2.0" version="2.0" srcLang="en" trgLang="de-CH">
<file id="f"><group id="g">
<unit id="Tonight.save.text"><mtc:matches><mtc:match><source>x</source><target>y</target></mtc:match></mtc:matches>
<segment><source>Keep</source><target>Be<pc id="1">hal</pc>ten &amp; mehr</target></segment></unit>
<unit id="Nowhere.text"><segment><source>a</source><target>b</target></segment></unit>
</group></file></xliff>`;
    const read = xliff!.read(foreign, 'a.xlf');
    expect(read).toMatchObject({ to: 'de-CH', problems: [] });
    const { changed, left } = arriving(project, german, read);
    expect(changed).toEqual({ 'Tonight.save.text': { text: 'Behalten & mehr', source: 'Keep' } });
    expect(left).toEqual([expect.stringContaining('no text `Nowhere.text`')]);
    expect(
      xliff!
        .read('<xliff version="1.2"><file>', 'b.xlf')
        .problems.map(({ message }) => message)
        .join(),
    ).toContain('1.2');
    expect(
      xliff!.read('<!DOCTYPE x [<!ENTITY a "b">]><xliff version="2.1"/>', 'c.xlf').problems[0]?.message,
    ).toContain('document type');
    expect(csv!.read('one,two\n', 'd.csv').problems[0]?.message).toContain('names the columns');
    expect(csv!.read('key,text\nA.b,x\nA.b,y\n,z\n', 'e.csv').problems.map(({ line }) => line)).toEqual([
      3, 4,
    ]);
  });

  it('are put into a language by steps, and taken out', () => {
    const steps = translating(project, german, {
      'Tonight.sleep.label': { text: 'Wo', source: 'Where' },
      'Tonight.title': undefined,
    });
    const applied = applySteps(project, steps);
    if (!applied.ok) throw new Error(applied.reason);
    const { strings } = applied.project.locales![1]!;
    expect(strings).toMatchObject({ 'Tonight.sleep.label': { text: 'Wo' } });
    expect(strings).not.toHaveProperty('Tonight.title');
    const back = applySteps(applied.project, applied.inverse);
    expect(back.ok && back.project).toEqual(project);
  });

  it('are printed one a line, and read again, whatever they say', () => {
    fc.assert(
      fc.property(
        fc.dictionary(
          fc
            .string()
            .map((key) => `A.${key}`)
            .filter((key) => /^[^\s.]+(?:\..+)+$/.test(key)),
          fc.string(),
        ),
        (texts) => {
          const strings = Object.fromEntries(Object.entries(texts).map(([key, text]) => [key, { text }]));
          expect(readStrings(printStrings(strings), 'f')).toEqual({ ok: true, strings });
        },
      ),
      { numRuns: 100 },
    );
  });
});

describe('messages in languages', () => {
  const polish: Locale = {
    tag: 'pl',
    strings: {
      'Tonight.guests.text': {
        text: '{count, plural, one {# gość} few {# goście} many {# gości} other {# gościa}}',
      },
      'Tonight.price.text': { text: 'Cena {count, number, ::currency/EUR}, {who}' },
    },
  };
  const hut = projectFrom(
    {
      state: [
        { name: 'count', type: 'number', initial: 3 },
        { name: 'who', type: 'text', initial: 'Ada' },
      ],
      locales: [{ tag: 'en' }, polish],
    },
    `<screen name="Tonight">
      <text name="guests" text="{count, plural, one {# guest} other {# guests}}" />
      <text name="price" text="For {who}: {count, number, ::currency/EUR}" />
    </screen>`,
  );
  it('plurals go by the categories of the language, numbers by its rules', async () => {
    const shaper = await testShaper();
    const wordsOf = (of: Project) =>
      new ScreenView(shaper)
        .layOut(of, of.screens[0]!, { width: 400, height: 300 })
        .boxes.flatMap(({ lines }) => lines.map(({ text }) => text))
        .join(' | ');
    expect(wordsOf(hut)).toBe('3 guests | For Ada: €3.00');
    expect(wordsOf(inLocale(hut, 'pl'))).toBe('3 goście | Cena 3,00\u00a0€, Ada');
  });

  it('a page is told the language of its words in its program', () => {
    const program = JSON.stringify(programOf(inLocale(hut, 'pl')));
    expect(program).toContain('"value":"pl"');
    expect(program).not.toContain('View.language');
  });

  it('a translation may turn what it is given into another message, and brings in nothing else', () => {
    const place = { text: '{count, plural, one {# guest} other {# guests}}' };
    expect(translationFault(place, '{count} Gäste')).toBeUndefined();
    expect(translationFault(place, '{count, select, 0 {Nobody} other {Some}}')).toBeUndefined();
    expect(translationFault(place, 'Gäste')).toMatch(/leaves out `\{count\}`/);
    expect(translationFault(place, '{count, plural, one {{who}} other {}}')).toMatch(/brings in `\{who\}`/);
    expect(translationFault(place, '{count, plural, one {#}}')).toMatch(/cannot be read: .*other/);
  });

  it('the columns of a grid and what a component is called for those who build are no words', () => {
    const titled: Control = {
      id: 'c1',
      kind: 'component',
      name: 'Bunk',
      props: { title: 'A place to sleep' },
      children: [{ id: 'c2', kind: 'text', props: { text: 'Free' }, children: [] }],
    };
    const made = projectFrom(
      { components: [titled] },
      `<screen name="Tonight"><grid name="all" columns="repeat(2, minmax(100, 1fr))" ignore="overlap: as meant"><text text="Hut" /></grid></screen>`,
    );
    expect(textsOf(made).map(({ text }) => text)).toEqual(['Hut', 'Free']);
  });
});
