import { describe, expect, it } from 'vitest';
import { html } from '../src/export/page.ts';
import { programOf } from '../src/export/program.ts';
import { stylesheet } from '../src/export/stylesheet.ts';
import { applyStep, type Project, type StateVariable } from '../src/index.ts';
import { named, noCode, noPieces, projectOf, projectWith } from './documents.ts';

/** The rules of a project's controls, without theme and kinds. */
function rules(source: string): string {
  const css = stylesheet(projectOf(source));
  return css
    .slice(css.indexOf('/* s */') + 8)
    .replace(/\s+/g, ' ')
    .trim();
}

const page = (project: Project) =>
  html.files(project, {
    fonts: { files: [], standIns: [] },
    script: 'var hovrinPage;',
    pieces: noPieces,
    compileCode: noCode,
  });

describe('the stylesheet', () => {
  it.each([
    ['<row><text name="t" width="share 2" /></row>', '.screen-s .t { flex: 2 1 0px; min-width: 0; }'],
    ['<column><text name="t" width="share" /></column>', '.screen-s .t { align-self: stretch; }'],
    [
      '<row><text name="t" width="120" height="50%" /></row>',
      '.screen-s .t { width: 120px; flex: none; height: 50%; }',
    ],
    [
      '<grid name="t" columns="repeat(auto-fill, minmax(25.9, 1fr))" auto-rows="7.42 fit-content(8.6)" />',
      '.screen-s .t { grid-template-columns: repeat(auto-fill, minmax(25.9px, 1fr)); grid-auto-rows: 7.42px fit-content(8.6px); }',
    ],
    ['<row><text name="t" width="fit" height="fit" /></row>', '.screen-s .t { height: fit-content; }'],
    [
      '<column><text name="t" height="share" min-height="20" /></column>',
      '.screen-s .t { flex: 1 1 0px; min-height: 20px; }',
    ],
    ['<text name="t" margin="1 2 3 4" />', '.screen-s .t { margin-block: 1px 3px; margin-inline: 4px 2px; }'],
    [
      '<text name="t" padding="0 8" size="20" color="warm" />',
      '.screen-s .t { padding: 0 8px; font-size: 1.25rem; color: var(--warm); }',
    ],
    ['<row name="t" gap="4 8.5" />', '.screen-s .t { gap: 4px 8.5px; }'],
    [
      '<row name="t" gap="8" row-gap="4" justify="between" wrap="true" />',
      '.screen-s .t { gap: 4px 8px; justify-content: space-between; flex-wrap: wrap; }',
    ],
    [
      '<row name="t" border-width="1 0" border-color="#abc" background="none" />',
      '.screen-s .t { background: transparent; border-style: solid; border-width: 1px 0; border-color: #abc; }',
    ],
    ['<divider name="t" color="ink" />', '.screen-s .t { background: var(--ink); }'],
  ])('of %s', (inside, expected) => {
    expect(rules(`<screen name="s">${inside}</screen>`)).toBe(expected);
  });

  it('says in media queries only what changes, and sends back what falls away', () => {
    const css = rules(
      '<screen name="s"><row><text name="t" width="share" lap.width="200" desk.width="200" hidden="true" desk.hidden="false" /></row></screen>',
    );
    expect(css).toBe(
      '.screen-s .t { display: none; flex: 1 1 0px; min-width: 0; } ' +
        '@media (min-width: 560px) { .screen-s .t { min-width: revert-layer; width: 200px; flex: none; } } ' +
        '@media (min-width: 960px) { .screen-s .t { display: revert-layer; } }',
    );
  });

  it('lets an orientation win over bands', () => {
    const css = rules('<screen name="s"><row name="r" gap="8" lap.gap="24" portrait.gap="8" /></screen>');
    expect(css).toContain('@media (min-width: 560px) { .screen-s .r { gap: 24px; } }');
    expect(
      css.indexOf('(orientation: portrait) and (min-width: 560px) { .screen-s .r { gap: 8px; } }'),
    ).toBeGreaterThan(css.indexOf('gap: 24px'));
  });

  it('has rules only for the kinds in use', () => {
    const css = stylesheet(projectOf('<screen name="s"><text /></screen>'));
    expect(css).toContain('.k-text {');
    expect(css).not.toContain('.k-checkbox');
  });
});

describe('the page', () => {
  it('has all screens in its body, all but the first hidden, and dialogs in templates', () => {
    const project = {
      ...projectOf(
        '<screen name="A"><image name="i" /></screen>',
        '<screen name="B" title="Late &amp; early" />',
        '<screen name="C" dialog="true" />',
      ),
      start: 'B',
    };
    const html = page(project).files.get('index.html')!;
    expect(html).toContain('<title>Late &amp; early</title>');
    expect(html).toMatch(
      /<body>\s*<main class="k-screen screen-A" data-name="A" id="A" hidden>\s*<img [^>]*loading="lazy"[^>]*>\s*<\/main>\s*<main class="k-screen screen-B" data-name="B" id="B"><\/main>\s*<template data-screen="C">/,
    );
  });

  it('shows the initial values, bound or not, by rules and no inline style', () => {
    const { files } = page(
      projectOf(
        '<screen name="s"><text text="{guests} of {{46}}" /><textField label="Who" value.bind="name" /><checkbox label="Late" checked.bind="late" /><row hidden="{guests &gt; 2}" /><column hidden="{guests &gt; 1}" /><lamp value="3" colors="0 accent" /></screen>',
      ),
    );
    const html = files.get('index.html')!;
    expect(html).toContain('>3 of {46}</p>');
    expect(html).toContain('value="Ilka"');
    expect(html).not.toContain('checked');
    expect(html).not.toContain('style=');
    // Two that are hidden at first share a rule; the lamp's part has no class but that of its own.
    expect(html).toContain('<div class="k-row row1 first-1"');
    expect(html).toContain('<div class="k-column column1 first-1"');
    expect(html).toContain('<span class="first-2"');
    const css = files.get('style.css')!.replace(/\s+/g, ' ');
    expect(css).toContain('#s .first-1 { display: none; }');
    expect(css).toContain('#s .first-2 { background: var(--accent); border-color: var(--accent); }');
    expect(css).not.toContain('first-3');
  });

  it('carries a program without parser: the last good values of drafts, nothing of drafts that were never good', () => {
    const project = projectOf(
      '<screen name="s"><text name="t" text="{guests}" /><button name="b" on.press="guests = 1" /></screen>',
    );
    const draft = applyStep(project, {
      type: 'set',
      control: named(project, 't').id,
      property: 'text',
      value: { draft: '{guests +}', good: '{guests}' },
    });
    const event =
      draft.ok &&
      applyStep(draft.project, {
        type: 'set',
        control: named(project, 'b').id,
        property: 'on.press',
        value: { draft: 'gues' },
      });
    if (!event) throw new Error('The first step does not apply');
    if (!event.ok) throw new Error(event.reason);
    const [screen] = programOf(event.project).screens;
    expect(screen!.content).toMatchObject([{ control: 't', template: { whole: true } }]);
    expect(screen!.events).toEqual([]);
  });

  it('names the fonts and pictures it needs', () => {
    const project = {
      ...projectOf('<screen name="s"><text desk.font="Zilla Slab" /></screen>'),
      assets: [{ name: 'a b.png', type: 'image/png', width: 1, height: 1 }],
    };
    const fonts = ['Hanken Grotesk', 'Zilla Slab', 'JetBrains Mono'].map((family) => ({
      family,
      weight: 400,
      file: family,
      unicodeRange: 'U+0-FF',
      italic: false,
    }));
    const made = html.files(project, {
      fonts: { files: fonts, standIns: [] },
      script: '',
      pieces: noPieces,
      compileCode: noCode,
    });
    expect(made.fonts).toEqual(['Hanken Grotesk.woff2', 'Zilla Slab.woff2']);
    expect(made.assets).toEqual(['a b.png']);
    expect(made.files.get('script.js')).toContain('"a b.png":"assets/a%20b.png"');
  });

  it('takes fonts of other scripts along where their letters occur, of the weights in use', () => {
    const file = (name: string, unicodeRange: string, weight = 400) => ({
      ...{ family: 'Hanken Grotesk', italic: false, weight },
      ...{ file: `${name}-${weight}`, unicodeRange },
    });
    const files = [400, 500, 600].flatMap((weight) => [
      file('latin', 'U+0-FF', weight),
      file('latin-ext', 'U+100-24F', weight),
      file('greek', 'U+370-3FF', weight),
      // Both have the hyphen; it is of the one in front.
      file('cyrillic', 'U+400-4FF,U+2010', weight),
      file('hebrew', 'U+590-5FF,U+2010', weight),
    ]);
    const made = (project: Project) =>
      html.files(project, {
        fonts: { files, standIns: [] },
        script: '',
        pieces: noPieces,
        compileCode: noCode,
      });
    const greek = projectOf('<screen name="s"><text weight="600" text="{`Καλ` + 2}" /></screen>');
    expect(made(greek).fonts).toEqual(
      [400, 500, 600].flatMap((weight) =>
        ['latin', 'latin-ext', 'greek'].map((name) => `${name}-${weight}.woff2`),
      ),
    );
    const state = [{ name: 'who', type: 'text' as const, initial: 'a\u2010b' }];
    const { fonts, files: texts } = made({ ...projectOf('<screen name="s" />'), state });
    expect(fonts.filter((name) => name.endsWith('400.woff2'))).toEqual([
      'latin-400.woff2',
      'latin-ext-400.woff2',
      'cyrillic-400.woff2',
    ]);
    expect(texts.get('fonts.css')!.match(/@font-face/g)).toHaveLength(fonts.length);
    expect(texts.get('style.css')).not.toContain('@font-face');
  });
});

describe('a navigation', () => {
  const options = 'options="home: Home | list: The list | more: More"';
  const files = (rest: string) =>
    page(
      projectOf(
        `<screen name="home"><nav name="n" ${options} ${rest} /></screen>`,
        '<screen name="list" />',
        '<screen name="more" />',
      ),
    ).files.get('index.html')!;

  it('has all its places, but for those that are left out', () => {
    expect(files('')).toContain('The list');
    const left = files('omit="list | more"');
    expect(left).toContain('Home');
    expect(left).not.toContain('The list');
    expect(left).not.toContain('#more');
  });
});

it('icons that lists and what follows them may ask for travel with the page, each drawn once', () => {
  const project = projectOf('<screen name="s"><icon icon="bed" /><icon icon="bed" /></screen>');
  const { files } = page({
    ...project,
    state: [
      { name: 'gear', type: 'list', initial: [{ sign: 'bed' }] },
      { name: 'sign', type: 'text', initial: '', computed: "gear.length > 3 ? 'moon' : 'no-such-icon'" },
    ],
  });
  const html = files.get('index.html')!;
  expect([...html.matchAll(/<symbol id="([^"]+)"/g)].map(([, id]) => id)).toEqual(['icon-bed', 'icon-moon']);
  expect(html.match(/<use href="#icon-bed"\/>/g)).toHaveLength(2);
});

describe('the program at the end of the script', () => {
  const scriptOf = (state: StateVariable[], source: string) =>
    page(projectWith(state, source)).files.get('script.js')!;

  it('has no places of the source in it, and none of its lines is indented', () => {
    const script = scriptOf(
      [{ name: 'guests', type: 'number', initial: 3 }],
      '<screen name="s"><text text="{guests + 1}" /><button text="Add" on.press="guests += 1" /></screen>',
    );
    expect(script).toContain('"guests"');
    expect(script).not.toContain('"span"');
    expect(script).not.toMatch(/^\s+["[{}\]]/m);
  });

  it('keeps what a variable begins with, whatever its fields are called', () => {
    const script = scriptOf(
      [{ name: 'bridges', type: 'list', initial: [{ name: 'Ridge', span: [12, 40] }] }],
      '<screen name="s" />',
    );
    expect(script).toContain('"span":[12,40]');
  });
});
