import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomScreen } from '../../../tests/parity/documents.ts';
import {
  type Control,
  defaultBands,
  parseScreen,
  printFolder,
  printScreen,
  readFolder,
} from '../src/index.ts';
import type { AttributeContext } from '../src/meaning/property-text.ts';
import { projectOf } from './documents.ts';

const context: AttributeContext = {
  bands: defaultBands,
  names: new Map([['guests', 'number']]),
  screens: new Set(['Arrivals', 'trial']),
  namesKnown: true,
};

function parse(text: string) {
  let count = 0;
  return parseScreen(text, { file: 'Tonight.screen.xml', context, newId: () => `c${++count}` });
}
const problems = (text: string) => {
  const parsed = parse(text);
  return parsed.ok ? [] : parsed.problems.map(({ line, column, message }) => `${line}:${column} ${message}`);
};
const withoutIds = ({ id: _, ...control }: Control): unknown => ({
  ...control,
  children: control.children.map(withoutIds),
});

describe('a screen as text', () => {
  it('keeps everything from print to parse to print', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
        const printed = printScreen(randomScreen(seed), defaultBands);
        const parsed = parse(printed);
        if (!parsed.ok) throw new Error(`${JSON.stringify(parsed.problems)}\n${printed}`);
        expect(withoutIds(parsed.screen)).toEqual(withoutIds(randomScreen(seed)));
        expect(printScreen(parsed.screen, defaultBands)).toBe(printed);
      }),
      { numRuns: 300 },
    );
  });

  it('keeps any words, whatever characters they have', () => {
    fc.assert(
      fc.property(
        fc.string({
          unit: fc.constantFrom('a', ' ', '<', '>', '&', '"', "'", '\n', '\t', '{{', '}}', 'é', '€', '山'),
        }),
        (text) => {
          const screen: Control = {
            id: 's',
            kind: 'screen',
            props: {},
            children: [{ id: 't', kind: 'text', props: { text }, children: [] }],
          };
          const parsed = parse(printScreen(screen, defaultBands));
          expect(parsed.ok && parsed.screen.children[0]?.props.text).toBe(text);
        },
      ),
    );
  });

  it('keeps comments where they stand', () => {
    const text = `<!-- What matters tonight -->
<screen name="Tonight">
  <!-- first -->
  <row>
    <!-- nothing yet -->
  </row>
  <!-- last -->
</screen>
<!-- end -->
`;
    const parsed = parse(text);
    expect(parsed.ok && printScreen(parsed.screen, defaultBands)).toBe(text);
  });

  it('prints attributes in the order of the catalogue, name first, long tags one a line', () => {
    const parsed = parse(
      '<screen><text size="20px" lap.text-align="end" text="A rather long line of words that goes on past the hundredth column" name="title" width="share 2.0" /></screen>',
    );
    expect(parsed.ok && printScreen(parsed.screen, defaultBands)).toBe(`<screen>
  <text
    name="title"
    text="A rather long line of words that goes on past the hundredth column"
    width="share 2"
    size="20"
    lap.text-align="end"
  />
</screen>
`);
  });

  it.each([
    ['<screen><rwo /></screen>', '1:9 There is no element <rwo>. Did you mean `row`?'],
    ['<screen><row gpa="4" /></screen>', '1:14 A row has no attribute `gpa`. Did you mean `gap`?'],
    [
      '<screen>\n  <row align="centre" /></screen>',
      '2:15 align: `centre` is not one of `start`, `center`, `end`, `stretch`, `baseline`. Did you mean `center`?',
    ],
    [
      '<screen><row width="-4" /></screen>',
      '1:21 width: `-4` is not a number, `fit`, `share`, `share N` or a percentage.',
    ],
    [
      '<screen><text text="{guest}" /></screen>',
      '1:22 text: There is no state variable `guest`. Did you mean `guests`?',
    ],
    [
      '<screen><text text="{guests +}" /></screen>',
      '1:30 text: Something is missing or does not belong here.',
    ],
    [
      '<screen><button on.press="go(&quot;Arrivls&quot;)" /></screen>',
      '1:30 on.press: There is no screen `Arrivls`. Did you mean `Arrivals`?',
    ],
    [
      '<screen><text name="a" /><text name="a" /></screen>',
      '1:38 `a` is taken by another control on this screen.',
    ],
    ['<screen><text name="class" /></screen>', '1:21 `class` is a word of JavaScript and cannot be a name.'],
    ['<screen><text lup.size="4" /></screen>', '1:15 There is no band or state `lup`. Did you mean `lap`?'],
    ['<screen><text><row /></text></screen>', '1:15 A text holds no other controls.'],
    ['<screen>words</screen>', '1:9 Words stand in an attribute such as `text`, not between tags.'],
    ['<row />', '1:1 The outermost element is <screen>, not <row>.'],
    [
      '<!DOCTYPE screen [<!ENTITY a "b">]><screen />',
      expect.stringContaining('A document type cannot stand here.'),
    ],
    ['<screen><row></screen>', expect.stringContaining('1:')],
    ['', expect.stringContaining('1:1')],
  ])('says where %s is wrong', (text, message) => {
    expect(problems(text)).toContainEqual(message);
  });

  it('refuses what is past the limits, without hanging', () => {
    const deep = `<screen>${'<row>'.repeat(100)}${'</row>'.repeat(100)}</screen>`;
    expect(problems(deep)[0]).toMatch(/nested at most 100 deep/);
    const many = `<screen>${'<row />'.repeat(20_000)}</screen>`;
    expect(problems(many)[0]).toMatch(/at most 20000 controls/);
    expect(problems(`<screen title="${'x'.repeat(5_000_001)}" />`)[0]).toMatch(/larger than 5 MB/);
  });
});

describe('the demo', () => {
  it('is kept in canonical form', async () => {
    const folder = join(import.meta.dirname, '../../../demo/velmora-hut');
    const paths = [
      'project.json',
      ...(await readdir(join(folder, 'screens'))).map((name) => `screens/${name}`),
      ...(await readdir(join(folder, 'components'))).map((name) => `components/${name}`),
      ...(await readdir(join(folder, 'theme'))).map((name) => `theme/${name}`),
      ...(await readdir(join(folder, 'tables'))).map((name) => `tables/${name}`),
    ];
    const files = new Map(
      await Promise.all(
        paths.map(async (path) => [path, await readFile(join(folder, path), 'utf8')] as const),
      ),
    );
    let count = 0;
    const read = readFolder(files, () => `d${++count}`);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    for (const [path, text] of printFolder(read.project, read.rows))
      if (path !== 'project.json') expect(text).toBe(files.get(path));
  });
});

describe('a project as a folder', () => {
  it('comes back as it was', () => {
    const project = projectOf(
      '<screen name="Tonight"><text text="{guests} guests" /></screen>',
      '<screen name="Arrivals"><button on.press="go(&quot;Tonight&quot;)" /></screen>',
    );
    let count = 0;
    const read = readFolder(printFolder(project), () => `n${++count}`);
    expect(read.ok && printFolder(read.project)).toEqual(printFolder(project));
  });

  it('names the file that is wrong', () => {
    const read = readFolder(
      new Map([
        ['project.json', '{ "format": 1, "name": "Hut", "stat": [] }'],
        ['screens/A.screen.xml', '<screen />'],
      ]),
      () => 'x',
    );
    expect(read).toMatchObject({
      ok: false,
      problems: [
        { file: 'project.json', message: 'There is no entry `stat` in a project. Did you mean `start`?' },
      ],
    });
  });
});
