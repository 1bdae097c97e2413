/**
 * The application's own code as a part of the project: modules of TypeScript, one file each. What `handlers` exports is
 * called by events (`handlers.NAME(…)`), what the others export by expressions (`code.NAME(…)`). It runs in the page only.
 */
import { isRecord } from './record.ts';

export interface CodeModule {
  /** The name of its file, without `.ts`. */
  readonly name: string;
  readonly text: string;
}

/** The module whose functions events call. */
export const handlersModule = 'handlers';
/** What a module imports to read and set state, and to go from screen to screen. */
export const pageModule = 'hovrin';

export const mostModules = 100;
/** Most characters of a module. */
export const longestModule = 200_000;

/** Why a text cannot be the name of a module; undefined where it can. */
export function moduleNameProblem(name: string): string | undefined {
  if (name === pageModule) return `\`${pageModule}\` is what modules import of the page.`;
  return /^[a-zA-Z][\w-]{0,59}$/.test(name)
    ? undefined
    : 'A file of code is named by a letter and then letters, digits, `-` and `_`, at most 60.';
}

/** What is wrong with a module from outside; undefined where nothing is. */
export function moduleProblem(module: unknown): string | undefined {
  if (!isRecord(module) || typeof module.name !== 'string') return 'A file of code has no name.';
  const named = moduleNameProblem(module.name);
  if (named) return named;
  if (typeof module.text !== 'string') return `\`${module.name}\` has no text.`;
  return module.text.length > longestModule
    ? `\`${module.name}\` is longer than ${longestModule} characters.`
    : undefined;
}

/** Where a module lies in a project's folder. */
export const moduleFile = (name: string): string => `code/${name}.ts`;
