/**
 * Types of what expressions give, against what is wanted where it goes: a number where a colour is wanted, a text
 * that is kept in a number. It is said while it is typed; the value holds nonetheless, and where it does not fit the
 * property is what it is without.
 */

import { readAttribute } from '../cascade/attributes.ts';
import { convert } from '../cascade/values.ts';
import { messageOf } from '../document/error-message.ts';
import { fitting, stateTypes } from '../document/state.ts';
import type { StateType } from '../document/types.ts';
import { actionNamed, alteringNamed } from '../expression/actions/catalogue.ts';
import { assignedBy } from '../expression/assigned.ts';
import type { Expression, Statement } from '../expression/ast.ts';
import { asText } from '../expression/evaluate.ts';
import { allStatements } from '../expression/names.ts';
import { parseStatements } from '../expression/parse.ts';
import type { Problem } from '../expression/problem.ts';
import { type Result, type ResultType, resultsOf, type TypeOf } from '../expression/results.ts';
import { hasExpression, parseTemplate } from '../expression/template.ts';
import type { Kind, Property } from '../kinds/kind.ts';
import { isOneOf } from '../sure.ts';
import { type AttributeContext, unknownIn } from './property-text.ts';

const typeWords: Readonly<Record<ResultType, string>> = {
  text: 'a text',
  number: 'a number',
  boolean: 'a yes or no',
  date: 'a date',
  list: 'a list',
  record: 'a record',
  function: 'a function',
};

/** Values of each type; where none of them fits, nothing of that type is taken to fit. A text may be anything. */
const examples: Readonly<Record<ResultType, readonly unknown[]>> = {
  text: [],
  number: [0, 1, 2, 16, 45, 400, 700, 0.5, -1, 2026],
  boolean: [true, false],
  date: [],
  list: [[], ['a'], [1], [{ value: 'a', label: 'a' }], [{}]],
  record: [{}, { a: 1 }],
  function: [() => undefined],
};

/** What does not fit about a result; undefined where it may. */
type Judge = (value: unknown) => string | undefined;

function misfit(result: Result, judge: Judge, wanted: string): Problem | undefined {
  if ('value' in result) {
    const message = judge(result.value);
    return message === undefined ? undefined : { message, at: result.at };
  }
  const tried = examples[result.type];
  return tried.length > 0 && tried.every((value) => judge(value) !== undefined)
    ? { message: `This gives ${typeWords[result.type]}; what is wanted here is ${wanted}.`, at: result.at }
    : undefined;
}

const firstMisfit = (results: readonly Result[], judge: Judge, wanted: string): Problem | undefined => {
  for (const result of results) {
    const problem = misfit(result, judge, wanted);
    if (problem) return problem;
  }
  return undefined;
};

/** What a property says to a value that an expression gave; undefined where it takes it. */
function refusal(property: Property, value: unknown, context: AttributeContext): string | undefined {
  try {
    const { value: taken, message } = convert(property.type, value, context.tokens);
    return message ?? (taken === undefined ? undefined : unknownIn(property, taken, context));
  } catch (error) {
    // What has no text, a function among them, is no value of any property.
    return messageOf(error);
  }
}

/**
 * What in an attribute's text gives something else than is wanted.
 *
 * @param text one that is valid by itself.
 * @param atStart the value of an expression's text as everything begins, for types that depend on data; undefined: none.
 * @returns the first of it, with its place in the text; undefined where all fits, or nothing is known.
 */
export function misfitIn(
  kind: Kind,
  attribute: string,
  text: string,
  context: AttributeContext,
  atStart: (text: string) => unknown,
): Problem | undefined {
  const meaning = readAttribute(kind, attribute, context.bands);
  if (typeof meaning === 'string') return undefined;
  const typeOf: TypeOf = (name) => context.names.get(name);
  if (meaning.role === 'event') return misfitInEvent(text, typeOf);
  if (meaning.role !== 'value' || !hasExpression(text)) return undefined;
  const template = parseTemplate(text);
  if (!template.ok || !template.value.whole) return undefined;
  const { property } = meaning;
  // Whatever it is, it has a text.
  if (property.type.field === 'words') return undefined;
  const results = resultsOf(template.value.parts[0] as Expression, typeOf, 1);
  const judge: Judge = (value) => refusal(property, value, context);
  const known = firstMisfit(results, judge, property.type.expects);
  if (known) return known;
  const message = judge(atStart(text));
  return message === undefined ? undefined : { message: `As everything begins: ${message}`, at: 0 };
}

/** What an event keeps in a variable that cannot hold it, or gives to an action that takes something else. */
function misfitInEvent(text: string, typeOf: TypeOf): Problem | undefined {
  const read = parseStatements(text);
  if (!read.ok) return undefined;
  for (const statement of allStatements(read.value)) {
    const problem = misfitInAssignment(statement, typeOf) ?? misfitInAction(statement, typeOf);
    if (problem) return problem;
  }
  return undefined;
}

function misfitInAssignment(statement: Statement, typeOf: TypeOf): Problem | undefined {
  if (statement.type !== 'assign' || statement.path.length > 0 || statement.local) return undefined;
  const { name, span } = statement;
  const type = typeOf(name);
  if (!isStateType(type)) return undefined;
  const results = resultsOf(assignedBy(statement), typeOf, span[0]);
  const judge: Judge = (given) =>
    fitting(type, given) === undefined
      ? `\`${name}\` is ${typeWords[type]}; ${shown(given)} cannot be kept in it.`
      : undefined;
  return firstMisfit(results, judge, `${typeWords[type]}, to be kept in \`${name}\``);
}

function misfitInAction(statement: Statement, typeOf: TypeOf): Problem | undefined {
  if (statement.type !== 'action' && statement.type !== 'alter') return undefined;
  // The variable that an action changes is its first argument.
  const [name, entry, first] =
    statement.type === 'alter'
      ? ([statement.action, alteringNamed(statement.action), 1] as const)
      : ([statement.name, actionNamed(statement.name), 0] as const);
  for (const [index, given] of statement.arguments.entries()) {
    const type = entry?.types?.[index + first];
    if (type === undefined) continue;
    const judge: Judge = (value) =>
      fitting(type, value) === undefined || (type === 'text' && typeof value !== 'string')
        ? `\`${name}\` takes ${typeWords[type]} here; ${shown(value)} is none.`
        : undefined;
    const problem = firstMisfit(resultsOf(given, typeOf, 0), judge, typeWords[type]);
    if (problem) return problem;
  }
  return undefined;
}

const isStateType = (type: string | undefined): type is StateType => isOneOf(stateTypes, type);

const shown = (value: unknown): string => (typeof value === 'string' ? `“${value}”` : `\`${asText(value)}\``);
