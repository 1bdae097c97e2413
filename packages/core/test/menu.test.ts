/** The application's own menu: folders, order, what a navigation without places shows; and the splash. */
import { describe, expect, it } from 'vitest';
import { html } from '../src/export/page.ts';
import { programOf } from '../src/export/program.ts';
import { applyStep, parseScreen, printFolder, problemsOf, readFolder } from '../src/index.ts';
import { expansionOf } from '../src/reuse/expand.ts';
import { noCode, noPieces, projectFrom } from './documents.ts';

const screens = [
  '<screen name="Opening" splash="2" when="{1 == 1}" />',
  '<screen name="Tonight" title="Tonight" icon="moon"><nav /></screen>',
  '<screen name="Kitchen" title="{1 + 1} meals"><nav options="Tonight" /></screen>',
  '<screen name="Mast" icon="wind" />',
  '<screen name="Books" menu="true" />',
  '<screen name="Help" menu="false" />',
  '<screen name="Ask" dialog="true" />',
];
const folders = [{ name: 'Office', screens: ['Mast', 'Books'], menu: false }];
const project = projectFrom({ folders, start: 'Opening' }, ...screens);
const counted = () => {
  let last = 0;
  return () => `n${last++}`;
};
const navOf = (name: string, of = project) =>
  expansionOf(of, of.screens.find((screen) => screen.name === name)!).screen.children[0];

describe('a navigation without places', () => {
  it('has the screens of the menu, in their order, with title and icon', () => {
    expect(navOf('Tonight')?.props).toEqual({ options: 'Tonight | Kitchen | Books', icons: 'Tonight: moon' });
    const titled = projectFrom({}, '<screen name="A" title="Bunks | beds"><nav /></screen>');
    expect(navOf('A', titled)?.props.options).toBe('A: Bunks / beds');
  });

  it('leaves one alone that has some', () => {
    expect(navOf('Kitchen')?.props).toEqual({ options: 'Tonight' });
  });

  it('stays the same object while the menu does', () => {
    expect(navOf('Tonight')).toBe(navOf('Tonight', { ...project, name: 'Another' }));
    expect(navOf('Tonight', { ...project, folders: [] })?.props.options).toContain('Mast');
  });

  it('stands on the page with its links', () => {
    const { files } = html.files(project, {
      fonts: { files: [], standIns: [] },
      script: '',
      pieces: noPieces,
      compileCode: noCode,
    });
    const page = String(files.get('index.html'));
    expect(page).toMatch(/href="#Kitchen"[\s\S]*href="#Books"/);
    expect(page).not.toContain('href="#Mast"');
  });
});

describe('folders', () => {
  it('are read and printed, and follow the name of a screen', () => {
    const printed = printFolder(project, new Map());
    const again = readFolder(printed, counted());
    expect(again).toMatchObject({ ok: true, project: { folders } });
    const renamed = applyStep(project, { type: 'rename', of: 'screens', key: 'Mast', to: 'Wind' });
    expect(renamed.ok && renamed.project.folders?.[0]?.screens).toEqual(['Wind', 'Books']);
  });

  it.each([
    [
      [
        { name: 'A', screens: ['Mast'] },
        { name: 'B', screens: ['Mast'] },
      ],
      'two folders',
    ],
    [[{ name: 'A', screens: ['Mast', 'Mast'] }], 'twice'],
    [[{ name: ' A', screens: [] }], 'without spaces'],
    [[{ name: 'A', screens: 'Mast' }], 'no list'],
    [[{ name: 'A', screens: [], menu: 'no' }], 'true or false'],
  ])('%j: %s', (given, message) => {
    const files = new Map([
      ['project.json', JSON.stringify({ format: 2, name: 'Hut', folders: given, screens: [] })],
    ]);
    const read = readFolder(files, () => 'x');
    expect(read.ok ? '' : read.problems[0]?.message).toContain(message);
  });
});

describe('a splash', () => {
  it('gives its place to the first screen that is none', () => {
    expect(programOf(project).screens[0]?.splash).toEqual({ seconds: 2, to: 'Tonight' });
    expect(programOf({ ...project, start: 'Tonight' }).screens[0]?.splash).toBeUndefined();
  });

  it('leads somewhere, so that what follows is reached', () => {
    const alone = projectFrom({}, '<screen name="A" splash="1" />', '<screen name="B" />');
    expect(
      problemsOf(alone).filter(({ kind }) => kind === 'unreached' || kind === 'no-way-out'),
    ).toMatchObject([{ kind: 'no-way-out', sentence: expect.stringContaining('`B`') }]);
  });

  it('takes seconds', () => {
    const parsed = parseScreen('<screen name="A" splash="soon" />', {
      file: 'a',
      context: { bands: [], screens: new Set(), names: new Map(), items: new Map() } as never,
      newId: () => 'x',
    });
    expect(parsed.ok).toBe(false);
  });
});
