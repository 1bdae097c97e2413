/** Reading projects from disk. */
import { readdir, readFile, stat } from 'node:fs/promises';
import { basename, dirname, join, resolve } from 'node:path';
import {
  contextOf,
  defaultBands,
  expansionOf,
  isCodeFile,
  isStringsFile,
  isTaskFile,
  type Project,
  parseScreen,
  projectFormat,
  readFolder,
  type SourceProblem,
  type StoredRows,
  screenNameOf,
  styleFile,
  tokenFiles,
} from '@hovrin/core';

/** A project that was read, with the bytes of its pictures still on disk. */
export type ProjectReading =
  | {
      readonly ok: true;
      readonly project: Project;
      /** All rows of its stored tables. */
      readonly rows: StoredRows;
      /** Where its pictures lie. */
      readonly assetFolder: string;
    }
  | { readonly ok: false; readonly problems: readonly SourceProblem[] };

/** Ids for controls: counted, so that the same file gives the same document. */
export function countedIds(): () => string {
  let count = 0;
  return () => `c${++count}`;
}

const isFile = (path: string) =>
  stat(path).then(
    (found) => found.isFile(),
    () => false,
  );

const isFolder = (path: string) =>
  stat(path).then(
    (found) => found.isDirectory(),
    () => false,
  );

/** Reads a file as UTF-8; a problem where it is not. */
async function readText(path: string): Promise<string> {
  return new TextDecoder('utf-8', { fatal: true }).decode(await readFile(path));
}

/** Components lie anywhere; rows of tables, tokens, styles, tasks and code have their place. */
const isPlaced = (path: string): boolean =>
  path.endsWith('.component.xml') ||
  /^tables\/[^/]+\.json$/.test(path) ||
  isTaskFile(path) ||
  isCodeFile(path) ||
  isStringsFile(path) ||
  path === styleFile ||
  Object.values(tokenFiles).some((file) => file === path);

async function textFilesIn(folder: string, prefix = ''): Promise<string[]> {
  const entries = await readdir(join(folder, prefix), { withFileTypes: true });
  const found = await Promise.all(
    entries
      .filter((entry) => !entry.name.startsWith('.') && entry.name !== 'node_modules')
      .map(async (entry) => {
        const path = prefix ? `${prefix}/${entry.name}` : entry.name;
        if (entry.isDirectory()) return textFilesIn(folder, path);
        return entry.name === 'project.json' && prefix === ''
          ? [path]
          : entry.name.endsWith('.screen.xml') || isPlaced(path)
            ? [path]
            : [];
      }),
  );
  return found.flat();
}

/** Whether files make a project: one may have no screen yet, or screens only. */
export const isProject = (paths: Iterable<string>): boolean =>
  [...paths].some((path) => path === 'project.json' || path.endsWith('.screen.xml'));
export const noProject = 'There is no project here: neither a project.json nor a screen (`*.screen.xml`).';

/** Reads a project folder. @throws where the folder cannot be read. */
export async function readProjectFolder(folder: string, newId = countedIds()): Promise<ProjectReading> {
  const files = new Map<string, string>();
  for (const path of await textFilesIn(folder)) {
    try {
      files.set(path, await readText(join(folder, path)));
    } catch (error) {
      if (!(error instanceof TypeError)) throw error;
      return { ok: false, problems: [{ file: path, line: 1, column: 1, message: 'The file is not UTF-8.' }] };
    }
  }
  if (!isProject(files.keys()))
    return { ok: false, problems: [{ file: folder, line: 1, column: 1, message: noProject }] };
  const read = readFolder(files, newId);
  return read.ok ? { ...read, assetFolder: join(folder, 'assets') } : read;
}

/**
 * The project folder that a screen file belongs to: the nearest one above it with a `project.json`; where there is none, the
 * nearest one with components or a theme.
 */
async function folderAround(file: string): Promise<string | undefined> {
  const folder = dirname(file);
  const above = [folder, dirname(folder), dirname(dirname(folder))];
  for (const each of above) if (await isFile(join(each, 'project.json'))) return each;
  for (const each of above)
    if ((await isFolder(join(each, 'components'))) || (await isFolder(join(each, 'theme')))) return each;
  return undefined;
}

/**
 * Reads one screen. Where it belongs to a project folder, that project's bands, state and pictures hold, and the
 * project has this one screen; on its own, names in expressions are not checked.
 *
 * @throws where the file cannot be read.
 */
export async function readScreenFile(path: string, newId = countedIds()): Promise<ProjectReading> {
  const file = resolve(path);
  let text: string;
  try {
    text = await readText(file);
  } catch (error) {
    if (!(error instanceof TypeError)) throw error;
    return { ok: false, problems: [{ file: path, line: 1, column: 1, message: 'The file is not UTF-8.' }] };
  }
  const folder = await folderAround(file);
  const around = folder === undefined ? undefined : await readProjectFolder(folder, newId);
  const base: Project = around?.ok
    ? { ...around.project, screens: [] }
    : {
        format: projectFormat,
        name: screenNameOf(basename(path)),
        bands: defaultBands,
        state: [],
        assets: [],
        screens: [],
      };
  const known = around?.ok === true;
  const context = { ...contextOf(around?.ok ? around.project : base), namesKnown: known };
  const parsed = parseScreen(text, { file: path, context, newId });
  if (!parsed.ok) return parsed;
  const { problem } = expansionOf(base, parsed.screen);
  if (problem !== undefined)
    return { ok: false, problems: [{ file: path, line: 1, column: 1, message: problem }] };
  return {
    ok: true,
    project: { ...base, screens: [parsed.screen] },
    rows: around?.ok ? around.rows : new Map(),
    assetFolder: join(folder ?? dirname(file), 'assets'),
  };
}

/** Reads a screen file or a project folder, whichever the path is. @throws where it cannot be read. */
export async function readProject(path: string, newId = countedIds()): Promise<ProjectReading> {
  return (await stat(path)).isDirectory() ? readProjectFolder(path, newId) : readScreenFile(path, newId);
}
