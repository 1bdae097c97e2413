/**
 * Files for the application's own code: the types of all that a page offers it and asks of it, and a file to begin with.
 * The page loads `handlers.js` in front of its own script, as a plain script: a module could not be opened from disk.
 */

import { pageModule } from '../document/code.ts';
import { isDialog, type Project } from '../document/types.ts';
import { ownHandlersOf } from '../expression/own-functions.ts';
import { type Handler, handlersOf, handlersText, stateTypeText } from '../meaning/handlers.ts';
import { addressOf } from './program.ts';

/** The file of the application's own code. */
export const ownCodeFile = 'handlers.js';

/** The script of the project's own code. */
export const codeFile = 'code.js';

/** The handlers that events call and the project's own code does not have. */
const handlersBeside = (project: Project): readonly Handler[] => {
  const own = ownHandlersOf(project);
  return handlersOf(project).filter(({ name }) => !own.has(name));
};

/** Whether a page calls code of the application's that lies beside it. */
export const callsOwnCode = (project: Project): boolean => handlersBeside(project).length > 0;

const union = (names: readonly string[]): string =>
  names.length > 0 ? names.map((name) => JSON.stringify(name)).join(' | ') : 'never';

/** The state and what a page offers, as types of TypeScript. */
function pageTypes(project: Project): string {
  const variables = project.state.map(
    (variable) =>
      `  ${variable.computed === undefined ? '' : 'readonly '}${variable.name}: ${stateTypeText(variable)};\n`,
  );
  const screens = project.screens.filter((screen) => !isDialog(screen)).map(addressOf);
  return `/** The state variables; those that are worked out cannot be set. */
interface HovrinState {
${variables.join('')}}

type HovrinScreen = ${union(screens)};

interface HovrinPage {
  /** What a variable holds now. */
  get<Name extends keyof HovrinState>(name: Name): HovrinState[Name];
  /** Sets a variable. Returns whether it took the value; where it did not, the console says why. */
  set<Name extends keyof HovrinState>(name: Name, value: HovrinState[Name]): boolean;
  /** Calls a function with what a variable holds, now and after each change. Returns what ends that. */
  subscribe<Name extends keyof HovrinState>(
    name: Name,
    apply: (value: HovrinState[Name]) => void,
  ): () => void;
  /** Goes to a screen, with values for variables. */
  go(screen: HovrinScreen, values?: Partial<HovrinState>): void;
  /** Shows words for a while. */
  message(text: string): void;
${secretsText(project)}}
`;
}

/** `hovrin.d.ts`: what a page is to the application's own code. */
export const typesText = (project: Project): string =>
  `/* Types of the page for code of your own. Exporting again writes this file anew. */

${pageTypes(project)}
/** There once the page has started: in handlers, and from \`DOMContentLoaded\` on. */
declare const hovrinPage: HovrinPage;

/** What events call. An event goes on when what is promised has come; what fails is said, and the rest left out. */
${handlersText(handlersBeside(project)).replace('export interface Handlers', 'interface HovrinHandlers')}
interface Window {
  handlers: HovrinHandlers;
}
`;

/** What the project's own code is checked with: the module `hovrin`, and what events call. */
export const codeTypesText = (project: Project): string => `${pageTypes(project)}
/** The rows of a table. */
type Row<Table extends keyof HovrinState> = HovrinState[Table] extends readonly (infer Each)[] ? Each : never;

${handlersText(handlersOf(project)).replace('export interface Handlers', 'interface HovrinHandlers')}
declare module '${pageModule}' {
  /** The state variables: read as they are now, and set by assignment. */
  export const state: HovrinState;
  export const subscribe: HovrinPage['subscribe'];
  export const go: HovrinPage['go'];
  export const message: HovrinPage['message'];
${secretsText(project) === '' ? '' : "  export const setSecret: HovrinPage['setSecret'];\n"}}
`;

/** What gives secrets, where services are asked with one. */
function secretsText({ sources = [] }: Project): string {
  const names = [...new Set(sources.flatMap(({ auth }) => auth?.secret ?? []))];
  return names.length === 0
    ? ''
    : `  /** Services are asked with this secret from now on; empty: with none. */
  setSecret(name: ${union(names)}, text: string): void;
`;
}

/** \`handlers.js\` to begin with: each handler says in the console that it was called. */
export function firstOwnCode(project: Project): string {
  const handlers = handlersBeside(project).map(({ name, parameters }) => {
    const given = parameters.map((parameter) => parameter.name).join(', ');
    return `  ${name}(${given}) {\n    console.info('handlers.${name}'${given && `, ${given}`});\n  },\n`;
  });
  return `/// <reference path="./hovrin.d.ts" />
// Code of your own, which events call. Exporting again leaves this file as it is.

/** @type {HovrinHandlers} */
window.handlers = {
${handlers.join('')}};
`;
}
