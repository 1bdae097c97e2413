/** What an instance gives its component: values for parameters, variables of its own, what is done when it tells something. */

import { emptyValues, fitting, stateTypes } from '../document/state.ts';
import { walk } from '../document/tree.ts';
import {
  type Control,
  inForce,
  type StateType,
  type StateValue,
  type StateVariable,
} from '../document/types.ts';
import { evaluateTemplate } from '../expression/evaluate.ts';
import { itemPlace } from '../expression/item-scope.ts';
import {
  hasExpression,
  mapExpressions,
  mapWords,
  parseTemplate,
  unescapeBraces,
  withoutMessages,
} from '../expression/template.ts';
import type { ParameterType } from '../kinds/component.ts';
import { isOneOf } from '../sure.ts';
import type { Definition, OwnVariable, Parameter } from './definition.ts';
import { boundIn, type Environment, eventIn, expressionIn, type Stand, type Told } from './environment.ts';

export interface Given {
  readonly definition: Definition;
  /** The attributes of the instance, by the names of the component. */
  readonly props: Control['props'];
  /** What names in these attributes stand for; undefined: themselves. */
  readonly around: Environment | undefined;
  /** What is put into it. */
  readonly content: readonly Control[];
  /** What the items around it are called. */
  readonly items: readonly string[];
  /** The screen that its variables belong to. */
  readonly screen: string;
  /** What tells it from all other instances: `Tonight.first`. */
  readonly stem: string;
  /** In front of the names of its controls. */
  readonly prefix: string;
}

/** An expression that tells the items around from all others. */
const itemKey = (items: readonly string[]): string => items.map(itemPlace).join(' + "/" + ');

const word = /[\p{ID_Start}$_][\p{ID_Continue}$]*/gu;

/** All words in some controls that could be names. */
function wordsIn(controls: readonly Control[]): Set<string> {
  const found = new Set<string>();
  for (const control of controls)
    for (const each of walk(control))
      for (const value of Object.values(each.props))
        for (const name of (inForce(value) ?? '').match(word) ?? []) found.add(name);
  return found;
}

/** What the names of a component stand for in an instance, and the variables that it has for itself. */
export function environmentOf(given: Given): {
  readonly environment: Environment;
  readonly variables: readonly StateVariable[];
} {
  const { definition, props, around, content, prefix } = given;
  const names = new Map<string, Stand>();
  const variables: StateVariable[] = [];
  const own = (declared: Pick<OwnVariable, 'name' | 'type'>, initial: StateValue) => {
    const { variable, stand } = ownVariable(given, declared, initial);
    variables.push(variable);
    names.set(declared.name, stand);
  };
  for (const parameter of definition.parameters.values()) {
    const bound = inForce(props[`${parameter.name}.bind`]);
    const text = inForce(props[parameter.name]) ?? parameter.initial;
    if (bound !== undefined)
      names.set(parameter.name, (around && boundIn(bound, around)) ?? { reads: bound, writes: bound });
    else if (parameter.twoWay && (text === undefined || !readsNames(text)))
      own(parameter, initialOf(parameter.type, text));
    else names.set(parameter.name, { reads: readsOf(parameter, text, around) });
  }
  for (const variable of definition.variables.values())
    own(variable, initialOf(variable.type, variable.initial));
  const events = new Map<string, Told>();
  for (const { name, gives } of definition.events.values()) {
    const text = inForce(props[`on.${name}`]);
    if (text === undefined) continue;
    const done = around ? eventIn(text, around, gives === undefined ? [] : [gives]) : text;
    events.set(name, { text: done, ...(gives === undefined ? {} : { gives }) });
  }
  const outside = [
    ...[...names.values()].flatMap(({ reads, writes }) => [reads, writes ?? '']),
    ...[...events.values()].map(({ text }) => text),
  ];
  const free = new Set([
    ...outside.flatMap((text) => text.match(word) ?? []),
    ...wordsIn(content),
    ...(around?.free ?? []),
  ]);
  return { environment: { names, events, free, control: (name) => `${prefix}${name}` }, variables };
}

/** A variable that an instance has for itself; in a repeat a record of its values, by the item's place. */
function ownVariable(
  { stem, screen, items }: Given,
  { name, type }: Pick<OwnVariable, 'name' | 'type'>,
  initial: StateValue,
): { readonly variable: StateVariable; readonly stand: Stand } {
  const held = `${stem}.${name}`.replaceAll('[]', '').replaceAll('.', '$');
  const stateType = isOneOf(stateTypes, type) ? type : 'text';
  const around = screen === '' ? {} : { screen };
  if (items.length === 0)
    return {
      variable: { name: held, type: stateType, initial, ...around },
      stand: { reads: held, writes: held },
    };
  const place = `${held}[${itemKey(items)}]`;
  const begins = JSON.stringify(initial);
  return {
    variable: { name: held, type: 'record', initial: {}, ...around },
    stand: { reads: `${place} ?? ${begins}`, writes: place, begins },
  };
}

/** Whether a text reads names of its surroundings. */
function readsNames(text: string): boolean {
  if (!hasExpression(text)) return false;
  return constantOf(text) === undefined;
}

/** What a text without names gives; undefined where it reads some, or cannot be read. */
function constantOf(text: string): { readonly value: unknown } | undefined {
  const read = parseTemplate(text);
  if (!read.ok) return undefined;
  try {
    return {
      value: evaluateTemplate(read.value, (name) => {
        throw new Error(name);
      }),
    };
  } catch {
    return undefined;
  }
}

/** What a variable begins with, from the text that says it. */
export function initialOf(type: ParameterType, text: string | undefined): StateValue {
  const stateType: StateType = isOneOf(stateTypes, type) ? type : 'text';
  if (text === undefined) return emptyValues[stateType];
  const plain = hasExpression(text) ? constantOf(text)?.value : unescapeBraces(text);
  const value = stateType === 'boolean' && typeof plain === 'string' ? plain.trim() === 'true' : plain;
  return fitting(stateType, value) ?? emptyValues[stateType];
}

/** A parameter's value as an expression. */
function readsOf(
  { type }: Pick<Parameter, 'type'>,
  text: string | undefined,
  around: Environment | undefined,
): string {
  if (text === undefined) return isOneOf(stateTypes, type) ? JSON.stringify(emptyValues[type]) : 'null';
  if (!hasExpression(text)) return literalOf(type, unescapeBraces(text));
  const plain = withoutMessages(text) ?? text;
  const read = parseTemplate(plain);
  if (!read.ok) return 'null';
  const put = (source: string) => (around ? expressionIn(source, around) : source).trim();
  if (read.value.whole) {
    let found = '';
    mapExpressions(plain, (source) => {
      found = put(source);
      return source;
    });
    return found;
  }
  return asTemplate(plain, put);
}

/** Text with expressions in it as one expression, a template literal. */
function asTemplate(text: string, put: (source: string) => string): string {
  const words = mapWords(text, (plain) => plain.replaceAll(/[\\`$]/g, (each) => `\\${each}`)) ?? '';
  // Braces around expressions become those of a template literal, doubled ones plain.
  const mapped = mapExpressions(words, (source) => `\u0000${put(source)}\u0001`) ?? '';
  return `\`${unescapeBraces(mapped.replaceAll('{\u0000', '\u0000').replaceAll('\u0001}', '\u0001'))
    .replaceAll('\u0000', '${')
    .replaceAll('\u0001', '}')}\``;
}

function literalOf(type: ParameterType, text: string): string {
  const plain = text.trim();
  switch (type) {
    case 'number':
      return String(Number(plain) || 0);
    case 'boolean':
      return String(plain === 'true');
    case 'list':
      return '[]';
    case 'record':
      return '{}';
    default:
      return JSON.stringify(text);
  }
}
