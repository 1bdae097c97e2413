/**
 * Files for the application's own code: the types of all that a page offers it and asks of it, and a file to begin with.
 * The page loads `handlers.js` in front of its own script, as a plain script: a module could not be opened from disk.
 */

import { isDialog, type Project } from '../document/types.ts';
import { handlersOf, handlersText, stateTypeText } from '../meaning/handlers.ts';
import { addressOf } from './program.ts';

/** The file of the application's own code. */
export const ownCodeFile = 'handlers.js';

/** Whether a page calls code of the application's. */
export const callsOwnCode = (project: Project): boolean => handlersOf(project).length > 0;

const union = (names: readonly string[]): string =>
  names.length > 0 ? names.map((name) => JSON.stringify(name)).join(' | ') : 'never';

/** `hovrin.d.ts`: what a page is to the application's own code. */
export function typesText(project: Project): string {
  const variables = project.state.map(
    (variable) =>
      `  ${variable.computed === undefined ? '' : 'readonly '}${variable.name}: ${stateTypeText(variable)};\n`,
  );
  const screens = project.screens.filter((screen) => !isDialog(screen)).map(addressOf);
  return `/* Types of the page for code of your own. Exporting again writes this file anew. */

/** The state variables; those that are worked out cannot be set. */
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
${secretsText(project)}}

/** There once the page has started: in handlers, and from \`DOMContentLoaded\` on. */
declare const hovrinPage: HovrinPage;

/** What events call. An event goes on when what is promised has come; what fails is said, and the rest left out. */
${handlersText(handlersOf(project)).replace('export interface Handlers', 'interface HovrinHandlers')}
interface Window {
  handlers: HovrinHandlers;
}
`;
}

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
  const handlers = handlersOf(project).map(({ name, parameters }) => {
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
