/** All functions that an expression may call: a page has those that it calls, everything else has all. */
import { dataFunctions } from './data-functions.ts';
import { dateFunctions } from './date-functions.ts';
import { formats } from './formats.ts';
import { addFunctions, addPatterns, type Functions, namespaces } from './functions.ts';
import { patternFunctions } from './patterns/functions.ts';
import { rangeFunctions } from './range-functions.ts';

addPatterns(patternFunctions);

/** Functions by full name. */
export const functions: Functions = addFunctions({
  ...formats,
  ...rangeFunctions,
  ...dateFunctions,
  ...dataFunctions,
});

/** Names that stand for functions, so that nothing else can be called so. */
export const functionNames: ReadonlySet<string> = new Set([
  ...namespaces,
  ...Object.keys(functions).filter((name) => !name.includes('.')),
]);
