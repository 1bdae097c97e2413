/** What the elements of a page mean: landmarks, sections, pairs; what its head says; nothing empty, and each icon once. */
import { describe, expect, it } from 'vitest';
import type { Project } from '../src/document/types.ts';
import { html } from '../src/export/page.ts';
import { noCode, noPieces, projectOf, projectWith } from './documents.ts';

const standIn = {
  ...{ family: 'Hanken Grotesk', weights: [400, 500], local: ['Arial'] },
  ...{ sizeAdjust: 101.5, ascent: 98, descent: 30 },
};
const latin = (family: string, weight: number) => ({
  ...{ family, weight, italic: false, unicodeRange: 'U+0-FF' },
  file: `${family}-${weight}`,
});

const filesOf = (project: Project) =>
  html.files(project, {
    fonts: {
      files: [
        latin('Hanken Grotesk', 400),
        latin('Zilla Slab', 400),
        { ...latin('Hanken Grotesk', 400), file: 'greek', unicodeRange: 'U+370-3FF' },
      ],
      standIns: [standIn, { ...standIn, family: 'JetBrains Mono' }],
    },
    script: '',
    pieces: noPieces,
    compileCode: noCode,
  }).files;
const page = (project: Project): string => filesOf(project).get('index.html')!;
const body = (source: string): string => page(projectOf(source)).replace(/[\s\S]*<body>/, '');

/** The tags of the elements, each with its control's name, in order; those without a control are left out. */
const tags = (source: string): string[] =>
  [...body(source).matchAll(/<([a-z]\w*)[^>]* data-name="([^"]+)"/g)].map(
    ([, tag, name]) => `${tag} ${name}`,
  );

describe('a line of text', () => {
  it('says what it is, what may be filled in, and what is suggested', () => {
    const html = body(
      '<screen name="s"><textField name="who" label="Who" type="email" autocomplete="email" options="a@hut.example: Ilka | b@hut.example" /><textField name="plain" label="Plain" /></screen>',
    );
    expect(html).toMatch(/<input[^>]* type="email"[^>]*/);
    expect(html).toMatch(/autocomplete="email"/);
    expect(html).toMatch(/list="s-who-list"/);
    expect(html.replaceAll(/\s+/g, ' ')).toContain(
      '<datalist class="part-list" id="s-who-list"> <option value="a@hut.example">Ilka</option>',
    );
    const plain = html.slice(html.indexOf('data-name="plain"'));
    expect(plain).toContain('type="text"');
    expect(plain).not.toContain('list');
  });
});

describe('a screen', () => {
  it('without bars is the main part of the page', () => {
    expect(tags('<screen name="s"><text name="t" text="x" /></screen>')).toEqual(['main s', 'p t']);
    expect(body('<screen name="s" />')).not.toContain('Skip');
  });

  it('with bars has a header, a footer, and a main part that one can skip to', () => {
    const source = `<screen name="s"><bar name="side" edge="start"><text text="x" /></bar><bar name="top" edge="top"><text text="x" /></bar>
      <bar name="low" edge="bottom"><text text="x" /></bar><bar name="lower" edge="bottom"><text text="x" /></bar><text name="t" text="x" /></screen>`;
    expect(tags(source).filter((each) => !each.includes('text'))).toEqual([
      ...['div s', 'header top', 'div side', 'p t'],
      ...['div lower', 'footer low'],
    ]);
    const written = body(source);
    expect(written).toMatch(/^\s*<div [^>]*>\s*<a class="part-skip" href="#s-content">Skip to content<\/a>/);
    expect(written).toMatch(/<main class="part-body" data-scrolls="" id="s-content">/);
    expect(written.match(/<main/g)).toHaveLength(1);
  });

  it('has its own place marked in its navigation', () => {
    const nav = '<nav options="a: A | b: B" />';
    const marked = page(projectOf(`<screen name="a">${nav}</screen>`, `<screen name="b">${nav}</screen>`));
    expect([...marked.matchAll(/href="#(\w)" aria-current="page"/g)].map(([, name]) => name)).toEqual([
      'a',
      'b',
    ]);
    expect(marked.match(/aria-current/g)).toHaveLength(2);
  });

  it('that is a dialog is no landmark and is not skipped into', () => {
    const project = projectOf(
      '<screen name="a" />',
      '<screen name="s" dialog="true"><bar edge="top"><text text="x" /></bar></screen>',
    );
    const written = page(project);
    expect(written.slice(written.indexOf('<template'))).not.toMatch(/<(main|header|footer)|Skip/);
  });
});

describe('sections', () => {
  it('are boxes that a heading begins', () => {
    expect(
      tags(
        '<screen name="s"><column name="c"><heading name="h" text="x" /><text name="t" text="x" /></column></screen>',
      ),
    ).toEqual(['main s', 'section c', 'h2 h', 'p t']);
    expect(tags('<screen name="s"><column name="c"><heading name="h" text="x" /></column></screen>')[1]).toBe(
      'div c',
    );
    expect(
      tags(
        '<screen name="s"><column name="c"><text name="t" text="x" /><heading name="h" text="x" /></column></screen>',
      )[1],
    ).toBe('div c');
  });

  it('have a header where words and buttons stand around their heading', () => {
    const head =
      '<row name="r"><column name="w"><heading name="h" text="x" /><text name="t" text="x" /></column><button name="b" text="x" /></row>';
    expect(
      tags(`<screen name="s"><column name="c">${head}<text name="u" text="x" /></column></screen>`),
    ).toEqual([...['main s', 'section c', 'header r', 'div w', 'h2 h', 'p t', 'button b', 'p u']]);
  });

  it('beside each other head nothing but themselves', () => {
    const card = (name: string) => `<column name="${name}"><heading text="x" /><text text="x" /></column>`;
    expect(
      tags(`<screen name="s"><row name="r">${card('a')}${card('b')}</row></screen>`).filter(
        (each) => !each.includes('text'),
      ),
    ).toEqual(['main s', 'div r', 'section a', 'h2 heading1', 'section b', 'h2 heading2']);
    // What is to be filled in is more than a header.
    const form = '<column name="a"><heading text="x" /><textField name="f" label="x" /></column>';
    expect(
      tags(`<screen name="s"><column name="c">${form}<text name="t" text="x" /></column></screen>`)[1],
    ).toBe('div c');
  });

  it('that are pressed stay buttons', () => {
    const source = `<screen name="s"><column name="c" on.press="message('x')"><heading text="x" /><text text="x" /></column></screen>`;
    expect(tags(source)[1]).toBe('div c');
  });
});

describe('names with values', () => {
  const pair = (name: string) =>
    `<column name="${name}"><text name="${name}n" text="x" /><text name="${name}v" text="1" /></column>`;

  it('are a description list, in boxes or in turn', () => {
    expect(
      tags(`<screen name="s"><row name="r" pairs="true">${pair('a')}${pair('b')}</row></screen>`),
    ).toEqual([...['main s', 'dl r', 'div a', 'dt an', 'dd av', 'div b', 'dt bn', 'dd bv']]);
    const inTurn = '<text name="n" text="x" /><text name="v" text="1" />';
    expect(tags(`<screen name="s"><grid name="g" pairs="true">${inTurn}</grid></screen>`)).toEqual([
      ...['main s', 'dl g', 'dt n', 'dd v'],
    ]);
  });

  it('are none where something else stands among them', () => {
    expect(
      tags(
        `<screen name="s"><row name="r" pairs="true">${pair('a')}<button name="b" text="x" /></row></screen>`,
      )[1],
    ).toBe('div r');
    const pressed = `<text text="x" on.press="message('x')" /><text text="1" />`;
    expect(tags(`<screen name="s"><row name="r" pairs="true">${pressed}</row></screen>`)[1]).toBe('div r');
    expect(tags('<screen name="s"><row name="r" pairs="true"><text text="x" /></row></screen>')[1]).toBe(
      'div r',
    );
  });
});

describe('parts for words', () => {
  it('that a control does not have are left out', () => {
    const plain = body(
      '<screen name="s"><checkbox label="x" /><textField label="x" /><progress value="4" /></screen>',
    );
    expect(plain).not.toMatch(/part-hint|part-message|part-head/);
    expect(plain).toContain('part-label');
    // Nothing is named by what is not there.
    expect(plain).toMatch(/<div class="part-bar" role="progressbar"/);
    expect(plain).toContain('aria-labelledby="s-checkbox1-label"');
  });

  it('stay where an expression fills them', () => {
    const state = [{ name: 'word', type: 'text' as const, initial: '' }];
    const bound = '<screen name="s"><checkbox label="x" hint="{word}" /></screen>';
    expect(page(projectWith(state, bound))).toContain('class="part-hint"');
  });
});

describe('the head', () => {
  const project = projectOf('<screen name="s" />');
  it('says the language, what the page is for, its colours and its icon', () => {
    const head = page({ ...project, name: 'élan & co', language: 'de-CH', description: 'Beds "and" soup' });
    expect(head).toContain('<html lang="de-CH">');
    expect(head).toContain('<meta name="description" content="Beds &quot;and&quot; soup">');
    expect(head.match(/name="theme-color"/g)).toHaveLength(2);
    expect(head).toContain('<link rel="icon" href="icon.svg" type="image/svg+xml">');
    expect(filesOf({ ...project, name: ' élan & co' }).get('icon.svg')).toContain('>É<');
    expect(filesOf({ ...project, name: '<b>' }).get('icon.svg')).toContain('>&lt;<');
    expect(page(project)).toContain('<html lang="en">');
    expect(page(project)).not.toContain('description');
  });

  it('takes the picture that was chosen as icon, as long as there is one', () => {
    const asset = { name: 'a b.png', type: 'image/png', width: 64, height: 64 };
    const chosen = { ...project, icon: 'a b.png', assets: [asset] };
    expect(page(chosen)).toContain('<link rel="icon" href="assets/a%20b.png" type="image/png">');
    expect(filesOf(chosen).has('icon.svg')).toBe(false);
    expect(page({ ...chosen, assets: [] })).toContain('href="icon.svg"');
  });

  it('leaves the fonts that the page begins with to the headers', () => {
    expect(page(project)).not.toContain('preload');
    const headers = filesOf(project).get('headers.txt')!;
    expect(headers).toContain('Link: <fonts/Hanken Grotesk-400.woff2>; rel=preload; as=font');
    // No other screen needs them at once, and nothing plain is Greek.
    expect(headers).not.toMatch(/Zilla|greek/);
  });
});

it('fonts of the device stand in, as large, for those in use', () => {
  const css = filesOf(projectOf('<screen name="s" />')).get('fonts.css')!;
  expect(css).toContain('font-display: swap');
  expect(css).toContain(
    'font-family: "Hanken Grotesk stand-in";\n  font-weight: 400 500;\n  src: local("Arial");',
  );
  expect(css).toContain('size-adjust: 101.5%;\n  ascent-override: 98%;\n  descent-override: 30%;');
  expect(css).not.toContain('JetBrains');
});

it('an icon that asks for it is mirrored by the stylesheet, where the page is read from the right', () => {
  const files = (more: string) => filesOf(projectOf(`<screen name="A"><icon icon="bed"${more} /></screen>`));
  const mirrored = files(' mirror="true"');
  expect(mirrored.get('index.html')).toContain('<svg class="part-mirrored" aria-hidden="true">');
  expect(mirrored.get('style.css')).toMatch(/\[dir="rtl"\] \.part-mirrored \{\s+scale: -1 1;/);
  expect(files('').get('index.html')).not.toContain('part-mirrored');
});
