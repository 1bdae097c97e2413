/** A project as a folder of files, and back: `project.json` and one XML file a screen. */

import { nameProblem } from '../document/names.ts';
import { contextOf } from '../document/property-text.ts';
import {
  type Asset,
  type Band,
  type Control,
  defaultBands,
  type Project,
  projectFormat,
  type StateVariable,
} from '../document/types.ts';
import { assetsProblem, bandsProblem, projectProblem, stateProblem } from '../document/validate.ts';
import { parseScreen } from './parse.ts';
import { printScreen } from './print.ts';
import { placeAt, type SourceProblem } from './problem.ts';

/** What stands in `project.json`. */
interface ProjectFile {
  readonly format: number;
  readonly name: string;
  readonly start?: string;
  /** Names of the screens in their order. */
  readonly screens?: readonly string[];
  readonly bands?: readonly Band[];
  readonly state?: readonly StateVariable[];
  readonly assets?: readonly Asset[];
}

export type FolderReading =
  | { readonly ok: true; readonly project: Project }
  | { readonly ok: false; readonly problems: readonly SourceProblem[] };

const knownKeys = ['$schema', 'format', 'name', 'start', 'screens', 'bands', 'state', 'assets'];

/** A screen's name by its file: `screens/Tonight.screen.xml` is `Tonight`. */
export const screenNameOf = (path: string): string =>
  path
    .split('/')
    .at(-1)!
    .replace(/\.screen\.xml$/, '');

/**
 * Reads a project's text files.
 *
 * @param files text by path inside the folder, `/` between names; `project.json` may be missing.
 * @param newId makes an id for a control.
 */
export function readFolder(files: ReadonlyMap<string, string>, newId: () => string): FolderReading {
  const head = readProjectFile(
    files.get('project.json') ?? `{ "format": ${projectFormat}, "name": "Untitled" }`,
  );
  if ('problem' in head) return { ok: false, problems: [head.problem] };
  const paths = [...files.keys()].filter((path) => path.endsWith('.screen.xml')).toSorted();
  const base: Project = {
    format: projectFormat,
    name: head.file.name,
    ...(head.file.start === undefined ? {} : { start: head.file.start }),
    bands: head.file.bands ?? defaultBands,
    state: head.file.state ?? [],
    assets: head.file.assets ?? [],
    screens: [],
  };
  // Names of all screens first, since events of one may lead to another.
  const named = new Map(
    paths.map((path) => [
      path,
      /<screen\b[^>]*?\sname\s*=\s*["']([^"']+)["']/.exec(files.get(path)!)?.[1] ?? screenNameOf(path),
    ]),
  );
  const dialogs = paths.filter((path) => /<screen\b[^>]*?\sdialog\s*=\s*["']true["']/.test(files.get(path)!));
  const context = {
    ...contextOf(base),
    screens: new Set(named.values()),
    dialogs: new Set(dialogs.map((path) => named.get(path)!)),
  };
  const problems: SourceProblem[] = [];
  const screens: Control[] = [];
  for (const path of paths) {
    const parsed = parseScreen(files.get(path)!, { file: path, context, newId });
    if (!parsed.ok) {
      problems.push(...parsed.problems);
      continue;
    }
    const name = parsed.screen.name ?? named.get(path)!;
    const problem =
      nameProblem(name) ??
      (screens.some((other) => other.name === name) ? `There is already a screen \`${name}\`.` : undefined);
    if (problem) problems.push({ file: path, line: 1, column: 1, message: problem });
    screens.push({ ...parsed.screen, name });
  }
  if (problems.length > 0) return { ok: false, problems };
  const order = head.file.screens ?? [];
  const rank = (screen: Control) =>
    order.includes(screen.name!) ? order.indexOf(screen.name!) : order.length;
  const project = { ...base, screens: screens.toSorted((a, b) => rank(a) - rank(b)) };
  const missing = [...order, ...(base.start === undefined ? [] : [base.start])].find(
    (name) => !screens.some((screen) => screen.name === name),
  );
  const message =
    missing === undefined ? projectProblem(project) : `There is no file for the screen \`${missing}\`.`;
  return message
    ? { ok: false, problems: [{ file: 'project.json', line: 1, column: 1, message }] }
    : { ok: true, project };
}

function readProjectFile(text: string): { file: ProjectFile } | { problem: SourceProblem } {
  const fail = (message: string, index = 0) => ({
    problem: { file: 'project.json', ...placeAt(text, index), message },
  });
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    const position = /position (\d+)/.exec((error as Error).message);
    return fail((error as Error).message, position ? Number(position[1]) : 0);
  }
  if (typeof data !== 'object' || data === null || Array.isArray(data)) return fail('An object is expected.');
  const file = data as ProjectFile;
  const unknown = Object.keys(file).find((key) => !knownKeys.includes(key));
  if (unknown) return fail(`There is no entry \`${unknown}\` in a project.`, text.indexOf(`"${unknown}"`));
  if (file.format !== projectFormat)
    return fail(`The format is ${String(file.format)}; this version reads format ${projectFormat}.`);
  if (typeof file.name !== 'string' || file.name === '') return fail('The project has no name.');
  if (
    file.screens !== undefined &&
    !(Array.isArray(file.screens) && file.screens.every((name) => typeof name === 'string'))
  )
    return fail('`screens` is not a list of names.');
  const problem =
    (file.bands === undefined ? undefined : bandsProblem(file.bands)) ??
    (file.state === undefined ? undefined : stateProblem(file.state)) ??
    (file.assets === undefined ? undefined : assetsProblem(file.assets));
  return problem ? fail(problem) : { file };
}

/** The text files of a project, by path. Pictures go beside them into `assets/`. */
export function printFolder(project: Project): Map<string, string> {
  const file: ProjectFile = {
    format: project.format,
    name: project.name,
    ...(project.start === undefined ? {} : { start: project.start }),
    screens: project.screens.map((screen) => screen.name!),
    bands: project.bands,
    state: project.state,
    assets: project.assets,
  };
  const files = new Map([['project.json', `${JSON.stringify(file, null, 2)}\n`]]);
  for (const screen of project.screens)
    files.set(`screens/${screen.name}.screen.xml`, printScreen(screen, project.bands));
  return files;
}
