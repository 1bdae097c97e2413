/** The handlers that a project calls, by name, with their parameters and the events that call them. */

import { readAttribute } from '../cascade/attributes.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce, type Project, type StateVariable, treesOf } from '../document/types.ts';
import type { Expression } from '../expression/ast.ts';
import { evaluate } from '../expression/evaluate.ts';
import { allStatements } from '../expression/names.ts';
import { parseStatements } from '../expression/parse.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { scopeAt } from './readable.ts';

export interface HandlerParameter {
  readonly name: string;
  /** A type of TypeScript. */
  readonly type: string;
}

export interface Handler {
  readonly name: string;
  readonly parameters: readonly HandlerParameter[];
  /** The type of its result, where an event keeps it; a type of TypeScript. */
  readonly gives: string;
  readonly uses: readonly { readonly screen: Control; readonly control: Control; readonly event: string }[];
}

/** Deepest that a record's type is written out. */
const deepest = 3;

/** The type of a value as TypeScript writes it. */
export function typeText(value: unknown, depth = 0): string {
  if (value === null || value === undefined) return 'unknown';
  if (Array.isArray(value)) {
    const inner = value.length === 0 ? 'unknown' : typeText(value[0], depth + 1);
    return inner.includes(' ') ? `readonly (${inner})[]` : `readonly ${inner}[]`;
  }
  if (typeof value !== 'object') return typeof value;
  if (depth >= deepest) return 'object';
  const entries = Object.entries(value).map(([name, held]) => {
    const key = /^[\p{ID_Start}$_][\p{ID_Continue}$]*$/u.test(name) ? name : JSON.stringify(name);
    return `${key}: ${typeText(held, depth + 1)}`;
  });
  return entries.length > 0 ? `{ ${entries.join('; ')} }` : 'object';
}

/** What an argument is called as a parameter: the last name in it. */
function nameOf(expression: Expression, index: number): string {
  if (expression.type === 'name') return expression.name;
  if (expression.type === 'member' && expression.key.type === 'literal') {
    const key = String(expression.key.value);
    if (/^[\p{ID_Start}$_][\p{ID_Continue}$]*$/u.test(key)) return key;
  }
  return `value${index + 1}`;
}

/** Handlers by name, in the order of their names. Types are those of the arguments as everything begins. */
export function handlersOf(project: Project): readonly Handler[] {
  const found = new Map<string, Handler>();
  for (const screen of treesOf(project))
    for (const control of walk(screen))
      for (const [attribute, held] of Object.entries(control.props)) {
        const meaning = readAttribute(kindOf(control), attribute, project.bands);
        if (typeof meaning === 'string' || meaning.role !== 'event') continue;
        const read = parseStatements(inForce(held) ?? '');
        if (!read.ok) continue;
        for (const statement of allStatements(read.value)) {
          if (statement.type !== 'handler') continue;
          const use = { screen, control, event: meaning.event.name };
          const before = found.get(statement.name);
          const parameters = statement.arguments.map((argument, index): HandlerParameter => {
            let type = 'unknown';
            try {
              type = typeText(evaluate(argument, scopeAt(project, control)));
            } catch {
              // What cannot be worked out at the beginning may be anything.
            }
            const name = nameOf(argument, index);
            const taken = statement.arguments.slice(0, index).some((other, at) => nameOf(other, at) === name);
            return { name: taken ? `${name}${index + 1}` : name, type };
          });
          const { gives } = statement;
          const kept = gives && project.state.find(({ name }) => name === gives.name);
          found.set(statement.name, {
            name: statement.name,
            gives: kept
              ? gives.path.length > 0
                ? 'unknown'
                : stateTypeText(kept)
              : (before?.gives ?? 'void'),
            parameters:
              before && before.parameters.length >= parameters.length ? before.parameters : parameters,
            uses: [...(before?.uses ?? []), use],
          });
        }
      }
  return [...found.values()].toSorted((a, b) => a.name.localeCompare(b.name));
}

const parametersText = (parameters: readonly HandlerParameter[]): string =>
  parameters.map(({ name, type }) => `${name}: ${type}`).join(', ');

/** The type of what a state variable holds, as TypeScript writes it. */
export function stateTypeText({
  type,
  initial,
  nullable,
}: Pick<StateVariable, 'type' | 'initial' | 'nullable'>): string {
  const plain = { text: 'string', date: 'string', number: 'number', boolean: 'boolean' };
  if (type === 'list' || type === 'record') return typeText(initial);
  return nullable ? `${plain[type]} | null` : plain[type];
}

/** What handlers have to be, as an interface of TypeScript. */
export const handlersText = (handlers: readonly Handler[]): string =>
  `export interface Handlers {\n${handlers
    .map(
      ({ name, parameters, gives }) =>
        `  ${name}(${parametersText(parameters)}): ${gives} | Promise<${gives}>;\n`,
    )
    .join('')}}\n`;

/** What a control is to code: its name, its kind, and the type of the value entered in it. */
export function referenceText(control: Control, name: string): string {
  const kind = kindOf(control);
  const value = kind.properties.find(({ twoWay }) => twoWay);
  const types = {
    text: 'string',
    date: 'string',
    number: 'number',
    boolean: 'boolean',
    list: 'unknown[]',
    record: 'object',
  };
  const [first] = value?.twoWay ?? [];
  const type = first && types[first];
  return `${name}: ${kind.name}${type ? `, ${value!.name}: ${type}` : ''}`;
}
