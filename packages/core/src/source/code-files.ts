/** `code/NAME.ts`: one module of the project's own code a file, and back. */
import { type CodeModule, moduleFile, moduleProblem, mostModules } from '../document/code.ts';
import type { SourceProblem } from './problem.ts';

/** Whether a path in a folder is that of a module. */
export const isCodeFile = (path: string): boolean => /^code\/[^/]+(?<!\.d)\.ts$/.test(path);

export type CodeReading =
  | { readonly ok: true; readonly modules: readonly CodeModule[] }
  | { readonly ok: false; readonly problems: readonly SourceProblem[] };

/** Reads the modules of a folder, in the order of their names. */
export function readCodeFiles(files: ReadonlyMap<string, string>): CodeReading {
  const problems: SourceProblem[] = [];
  const fail = (file: string, message: string) => problems.push({ file, line: 1, column: 1, message });
  const modules = [...files.keys()].filter(isCodeFile).map((path) => {
    const module = { name: path.slice('code/'.length, -'.ts'.length), text: files.get(path) ?? '' };
    const message = moduleProblem(module);
    if (message) fail(path, message);
    return module;
  });
  if (modules.length > mostModules) fail('code', `A project has at most ${mostModules} files of code.`);
  return problems.length > 0
    ? { ok: false, problems }
    : { ok: true, modules: modules.toSorted((one, other) => (one.name < other.name ? -1 : 1)) };
}

/** The files of some modules, by path. */
export const printCodeFiles = (modules: readonly CodeModule[]): ReadonlyMap<string, string> =>
  new Map(modules.map(({ name, text }) => [moduleFile(name), text]));
