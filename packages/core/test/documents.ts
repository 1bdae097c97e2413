/** Short ways to documents for tests. */

import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { pieceNames } from '../src/export/pieces.ts';
import type { Acting } from '../src/expression/actions/action.ts';
import {
  type Control,
  contextOf,
  defaultBands,
  type PackedFonts,
  type Project,
  parseScreen,
  projectFormat,
  type StateVariable,
} from '../src/index.ts';
import { addStatements } from '../src/runtime/carrying-out.ts';
import { loops } from '../src/runtime/loops.ts';
import { Shaper } from '../src/text/shaper.ts';

// What a page has by a piece of its own.
addStatements(loops);

const fonts = join(import.meta.dirname, '../fonts');

/** The shaper with the fonts that ship. */
export async function testShaper(): Promise<Shaper> {
  const manifest = JSON.parse(await readFile(join(fonts, 'fonts.json'), 'utf8')) as PackedFonts;
  return Shaper.load(manifest, (file) => readFile(join(fonts, file)));
}

/** State variables of the test project: `guests` 3, `name` "Ilka", `late` false. */
export const testState: readonly StateVariable[] = [
  { name: 'guests', type: 'number', initial: 3 },
  { name: 'name', type: 'text', initial: 'Ilka' },
  { name: 'late', type: 'boolean', initial: false },
];

/** A project of screens given as source text. @throws Error with the first problem where one is not valid. */
export const projectOf = (...sources: string[]): Project => projectWith(testState, ...sources);

/** The same with state variables of its own. */
export const projectWith = (state: readonly StateVariable[], ...sources: string[]): Project =>
  projectFrom({ state }, ...sources);

/** Screens in a project that has more than those. */
export function projectFrom(more: Partial<Project>, ...sources: string[]): Project {
  let count = 0;
  const base: Project = {
    format: projectFormat,
    name: 'Velmora Hut',
    bands: defaultBands,
    state: testState,
    assets: [],
    screens: [],
    ...more,
  };
  const names = sources.map((source) => /<screen[^>]*\sname="([^"]+)"/.exec(source)?.[1] ?? 'screen');
  const { dialogs: _, ...known } = contextOf(base);
  const context = { ...known, screens: new Set(names) };
  const screens = sources.map((source, index): Control => {
    const parsed = parseScreen(source, { file: 'test', context, newId: () => `t${++count}` });
    if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
    return { ...parsed.screen, name: names[index]! };
  });
  return { ...base, screens };
}

/** The control of a name on the first screen. */
export function named(project: Project, name: string): Control {
  const find = (control: Control): Control | undefined =>
    control.name === name ? control : control.children.map(find).find(Boolean);
  const found = project.screens.map(find).find(Boolean);
  if (!found) throw new Error(`There is no ${name}`);
  return found;
}

/** What does nothing, for programs that run without a page. */
export const noActing: Acting = {
  go() {},
  back() {},
  openDialog() {},
  closeDialog() {},
  message() {},
  focus() {},
  scrollTo() {},
  copy() {},
  download() {},
};

/** The script of no code. */
export const noCode = (): string => '';

/** The pieces of a page's script, none of which has anything in it: for pages that are read and not run. */
export const noPieces: ReadonlyMap<string, string> = new Map(pieceNames.map((name) => [name, '']));
