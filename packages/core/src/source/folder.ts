/** A project as a folder of files, and back: `project.json`, one XML file a screen or component, one JSON file a stored table, tokens, styles, code. */

import { projectProblem } from '../collections/project-problem.ts';
import { messageOf } from '../document/error-message.ts';
import { componentNameProblem, nameProblem } from '../document/names.ts';
import { initialRows, mostTableRows, rowsProblem, withRows } from '../document/stored-table.ts';
import type { Row } from '../document/table.ts';
import type { Control, Project, StateVariable } from '../document/types.ts';
import { insideComponent } from '../meaning/component-context.ts';
import { type AttributeContext, contextOf } from '../meaning/property-text.ts';
import { circleOf, definitionOf, definitionsOf } from '../reuse/definition.ts';
import { expansionOf } from '../reuse/expand.ts';
import { entryOf, itemAt } from '../sure.ts';
import { shippedTokens } from '../tokens/shipped.ts';
import { printCodeFiles, readCodeFiles } from './code-files.ts';
import { parseScreen } from './parse.ts';
import { printScreen } from './print.ts';
import type { SourceProblem } from './problem.ts';
import { printProjectFile, readProjectFile, untitled } from './project-file.ts';
import { printStringFiles, readStringFiles } from './string-files.ts';
import { printStyleFile, readStyleFile, styleFile } from './style-file.ts';
import { printTaskFiles, readTaskFiles } from './task-files.ts';
import { printTokenFiles, readTokenFiles, tokenProblems } from './token-files.ts';

/** All rows of a project's stored tables, by the tables' ids. */
export type StoredRows = ReadonlyMap<string, readonly Row[]>;

export type FolderReading =
  | { readonly ok: true; readonly project: Project; readonly rows: StoredRows }
  | { readonly ok: false; readonly problems: readonly SourceProblem[] };

/** A screen's name by its file: `screens/Tonight.screen.xml` is `Tonight`. */
export const screenNameOf = (path: string): string =>
  itemAt(path.split('/'), -1).replace(/\.screen\.xml$/, '');

/**
 * Reads a project's text files.
 *
 * @param files text by path inside the folder, `/` between names; `project.json` may be missing.
 * @param newId makes an id for a control.
 * @param namesKnown false: what expressions and links name need not be there, since it may be mended later.
 */
export function readFolder(
  files: ReadonlyMap<string, string>,
  newId: () => string,
  namesKnown = true,
): FolderReading {
  const text = files.get('project.json');
  const head: ReturnType<typeof readProjectFile> =
    text === undefined ? { project: untitled(), order: [] } : readProjectFile(text);
  if ('problem' in head) return { ok: false, problems: [head.problem] };
  const paths = [...files.keys()].filter((path) => path.endsWith('.screen.xml')).toSorted();
  const tables = readTables(head.project.state, files);
  if ('problem' in tables) return { ok: false, problems: [tables.problem] };
  let base: Project = { ...head.project, state: tables.state };
  // Names of all screens first, since events of one may lead to another.
  const named = new Map(
    paths.map((path) => [
      path,
      /<screen\b[^>]*?\sname\s*=\s*["']([^"']+)["']/.exec(entryOf(files, path))?.[1] ?? screenNameOf(path),
    ]),
  );
  const dialogs = paths.filter((path) =>
    /<screen\b[^>]*?\sdialog\s*=\s*["']true["']/.test(entryOf(files, path)),
  );
  const tokens = readTokenFiles(files, shippedTokens);
  if (!tokens.ok) return tokens;
  if (tokens.tokens.length > 0) base = { ...base, tokens: tokens.tokens };
  const styleText = files.get(styleFile);
  const styles = styleText === undefined ? undefined : readStyleFile(styleText, contextOf(base));
  if (styles && !styles.ok) return styles;
  if (styles && styles.styles.length > 0) base = { ...base, styles: styles.styles };
  const unresolved = namesKnown ? tokenProblems(base, files) : [];
  if (unresolved.length > 0) return { ok: false, problems: unresolved };
  const tasks = readTaskFiles(files);
  if (!tasks.ok) return tasks;
  if (tasks.tasks.length > 0) base = { ...base, tasks: tasks.tasks };
  const strings = readStringFiles(files, base.locales ?? []);
  if (!strings.ok) return strings;
  if (strings.locales.length > 0) base = { ...base, locales: strings.locales };
  const code = readCodeFiles(files);
  if (!code.ok) return code;
  if (code.modules.length > 0) base = { ...base, code: code.modules };
  const context: AttributeContext & { components?: Project['components'] } = {
    ...contextOf(base),
    screens: new Set(named.values()),
    dialogs: new Set(dialogs.map((path) => entryOf(named, path))),
    namesKnown,
  };
  const components = readComponents(files, context, newId);
  if (!components.ok) return components;
  if (components.trees.length > 0) {
    base = { ...base, components: components.trees };
    context.components = components.trees;
  }
  const problems: SourceProblem[] = [];
  const screens: Control[] = [];
  for (const path of paths) {
    const parsed = parseScreen(entryOf(files, path), { file: path, context, newId });
    if (!parsed.ok) {
      problems.push(...parsed.problems);
      continue;
    }
    const name = parsed.screen.name ?? entryOf(named, path);
    const problem =
      nameProblem(name) ??
      (screens.some((other) => other.name === name) ? `There is already a screen \`${name}\`.` : undefined);
    if (problem) problems.push({ file: path, line: 1, column: 1, message: problem });
    screens.push({ ...parsed.screen, name });
  }
  if (problems.length > 0) return { ok: false, problems };
  const { order } = head;
  const rank = (screen: Control) =>
    order.includes(screen.name ?? '') ? order.indexOf(screen.name ?? '') : order.length;
  const project = { ...base, screens: screens.toSorted((a, b) => rank(a) - rank(b)) };
  const missing = [...order, ...(base.start === undefined ? [] : [base.start])].find(
    (name) => !screens.some((screen) => screen.name === name),
  );
  const tooMuch = screens.flatMap((screen, index) => {
    const { problem } = expansionOf(project, screen);
    return problem === undefined
      ? []
      : [{ file: itemAt(paths, index), line: 1, column: 1, message: problem }];
  });
  if (tooMuch.length > 0) return { ok: false, problems: tooMuch };
  const message =
    missing === undefined ? projectProblem(project) : `There is no file for the screen \`${missing}\`.`;
  return message
    ? { ok: false, problems: [{ file: 'project.json', line: 1, column: 1, message }] }
    : { ok: true, project, rows: tables.rows };
}

/** A component's name by its file: `components/Bunk.component.xml` is `Bunk`. */
const componentNameOf = (path: string): string =>
  itemAt(path.split('/'), -1).replace(/\.component\.xml$/, '');

type ComponentsReading =
  | { readonly ok: true; readonly trees: readonly Control[] }
  | { readonly ok: false; readonly problems: readonly SourceProblem[] };

/** Reads the components of a folder: first what they declare, then, with all that known, what stands in them. */
function readComponents(
  files: ReadonlyMap<string, string>,
  context: AttributeContext,
  newId: () => string,
): ComponentsReading {
  const paths = [...files.keys()].filter((path) => path.endsWith('.component.xml')).toSorted();
  const problems: SourceProblem[] = [];
  const read = (path: string, around: AttributeContext): Control | undefined => {
    const options = { file: path, context: around, newId, list: 'components' } as const;
    const parsed = parseScreen(entryOf(files, path), options);
    if (parsed.ok) return { ...parsed.screen, name: parsed.screen.name ?? componentNameOf(path) };
    problems.push(...parsed.problems);
    return undefined;
  };
  const declared = new Map(paths.map((path) => [path, read(path, { ...context, namesKnown: false })]));
  const trees = [...declared.values()].flatMap((tree) => tree ?? []);
  const known = paths.flatMap((path) => {
    const first = declared.get(path);
    if (!first) return [];
    const definition = definitionOf(first);
    const fail = (message: string) => problems.push({ file: path, line: 1, column: 1, message });
    const name = componentNameProblem(first.name!);
    if (name) fail(name);
    if (trees.some((other) => other !== first && other.name === first.name))
      fail(`There are two components \`${first.name}\`.`);
    const circle = circleOf(definitionsOf({ components: trees }), first.name!);
    if (circle) fail(`\`${first.name}\` holds itself: ${circle.join(' → ')}.`);
    for (const { message } of definition.faults) fail(message);
    if (!definition.root) fail('A component has one control as its root; it is missing.');
    if (problems.length > 0 || !context.namesKnown) return first;
    return read(path, insideComponent({ ...context, components: trees }, definition)) ?? [];
  });
  return problems.length > 0 ? { ok: false, problems } : { ok: true, trees: known };
}

/** Where the rows of a table lie in a folder. */
export const tableFile = (name: string): string => `tables/${name}.json`;

/** State with the rows of its tables, which lie in files of their own. */
function readTables(
  state: readonly StateVariable[],
  files: ReadonlyMap<string, string>,
): { state: readonly StateVariable[]; rows: StoredRows } | { problem: SourceProblem } {
  const rows = new Map<string, readonly Row[]>();
  const filled: StateVariable[] = [];
  for (const variable of state) {
    const { table } = variable;
    if (!table) {
      filled.push(variable);
      continue;
    }
    const file = tableFile(variable.name);
    const text = files.get(file);
    const fail = (message: string) => ({ problem: { file, line: 1, column: 1, message } });
    if (text === undefined) return fail(`The rows of \`${variable.name}\` are missing.`);
    let read: unknown;
    try {
      read = JSON.parse(text);
    } catch (error) {
      return fail(messageOf(error));
    }
    const problem = rowsProblem(read);
    if (problem) return fail(problem);
    const all = read as readonly Row[];
    if (all.length > mostTableRows) return fail(`A table has at most ${mostTableRows} rows.`);
    rows.set(table.id, all);
    filled.push(withRows({ ...variable, table }, all));
  }
  return { state: filled, rows };
}

/** Rows as a file has them: one on each line, so that a change of one is a change of a line. */
const rowLines = (rows: readonly Row[]): string =>
  rows.length === 0 ? '[]\n' : `[\n${rows.map((row) => `  ${JSON.stringify(row)}`).join(',\n')}\n]\n`;

/**
 * The text files of a project, by path. Pictures go beside them into `assets/`.
 *
 * @param rows of its stored tables; without them, the rows that the document holds.
 */
export function printFolder(project: Project, rows: StoredRows = new Map()): Map<string, string> {
  // The rows of a table, and how many they are, stand in its own file.
  const files = new Map([['project.json', printProjectFile(project)]]);
  for (const variable of project.state) {
    const { name, table } = variable;
    if (table) files.set(tableFile(name), rowLines(rows.get(table.id) ?? initialRows(variable)));
  }
  for (const [path, text] of printTokenFiles(project.tokens ?? [])) files.set(path, text);
  if (project.styles && project.styles.length > 0)
    files.set(styleFile, printStyleFile(project.styles, project.bands));
  for (const [path, text] of printTaskFiles(project.tasks ?? [])) files.set(path, text);
  for (const [path, text] of printStringFiles(project.locales ?? [])) files.set(path, text);
  for (const [path, text] of printCodeFiles(project.code ?? [])) files.set(path, text);
  for (const screen of project.screens)
    files.set(`screens/${screen.name}.screen.xml`, printScreen(screen, project.bands));
  for (const component of project.components ?? [])
    files.set(`components/${component.name}.component.xml`, printScreen(component, project.bands));
  return files;
}
