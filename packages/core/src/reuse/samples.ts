/**
 * What names hold at a control as everything begins: variables, items of repeats, and inside a component its parameters, of which
 * the first place where the component stands gives samples.
 */

import { parameterGiven } from '../cascade/attributes.ts';
import { textInForce } from '../cascade/cascade.ts';
import { repetitionOf } from '../cascade/repetition.ts';
import { pathTo, walk } from '../document/tree.ts';
import { type Control, inForce, type Project, treesOf } from '../document/types.ts';
import { EvaluationError, evaluateTemplate, type Scope } from '../expression/evaluate.ts';
import { initialScope } from '../expression/initial-scope.ts';
import { itemScope } from '../expression/item-scope.ts';
import { hasExpression, parseTemplate, unescapeBraces } from '../expression/template.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { surroundOf } from '../kinds/screen.ts';
import { definitionOf, type Parameter } from './definition.ts';
import { initialOf } from './given.ts';

/** What a text with expressions gives; undefined where it gives nothing. */
function valueIn(text: string, scope: Scope): unknown {
  const read = parseTemplate(text);
  if (!read.ok) return undefined;
  try {
    return evaluateTemplate(read.value, scope);
  } catch (error) {
    if (error instanceof EvaluationError) return undefined;
    throw error;
  }
}

/** The names of a control's surroundings, and what they hold: inside repeats that of their first item. */
export function scopeAround(
  project: Project,
  control: Control,
): { readonly scope: Scope; readonly items: readonly string[] } {
  const path = pathTo(project, control.id);
  let scope = insideScope(project, initialScope(project), path[0]);
  const items: string[] = [];
  for (const around of path.slice(0, -1)) {
    const repetition = repetitionOf(around);
    if (!repetition) continue;
    const list = valueIn(textInForce(around, { name: repetition.list }, ['']) ?? '', scope);
    const first: unknown = Array.isArray(list) ? list[0] : undefined;
    scope = itemScope(scope, repetition.as, first, 0);
    items.unshift(repetition.as);
  }
  return { scope, items };
}

/** Names inside a component, then those around. The same elsewhere. */
function insideScope(project: Project, around: Scope, tree: Control | undefined): Scope {
  const own = valuesInside(project, tree);
  return own.size === 0 ? around : (name) => (own.has(name) ? own.get(name) : around(name));
}

/** The first place where a component stands, and what is given there, by parameter. */
function firstGiven(
  project: Project,
  name: string,
): { control: Control; given: Control['props'] } | undefined {
  for (const tree of treesOf(project))
    for (const control of walk(tree)) {
      if (control.kind === name) return { control, given: control.props };
      if (inForce(control.props[surroundOf.name]) !== name) continue;
      const kind = kindOf(control);
      const entries = Object.entries(control.props).flatMap(([attribute, value]) => {
        const parameter = parameterGiven(kind, attribute);
        return parameter === undefined ? [] : [[parameter, value] as const];
      });
      return { control, given: Object.fromEntries(entries) };
    }
  return undefined;
}

const known = new WeakMap<
  Control,
  { readonly project: Project; readonly values: ReadonlyMap<string, unknown> }
>();
/** Components whose samples are being looked for: those that hold each other are no samples. */
const looking = new Set<string>();

/** What the parameters and own variables of a component begin with, by name; of a parameter without that, a sample. */
export function valuesInside(project: Project, tree: Control | undefined): ReadonlyMap<string, unknown> {
  if (!tree || kindOf(tree).root !== 'components') return new Map();
  const before = known.get(tree);
  if (before?.project === project) return before.values;
  const values = new Map<string, unknown>();
  const { parameters, variables, name } = definitionOf(tree);
  for (const { name: own, type, initial } of [...parameters.values(), ...variables.values()])
    values.set(own, initialOf(type, initial));
  const wanted = [...parameters.values()].filter(({ initial }) => initial === undefined);
  if (wanted.length > 0 && !looking.has(name)) {
    looking.add(name);
    try {
      for (const [own, value] of samples(project, name, wanted)) values.set(own, value);
    } finally {
      looking.delete(name);
    }
  }
  known.set(tree, { project, values });
  return values;
}

function samples(project: Project, name: string, wanted: readonly Parameter[]): [string, unknown][] {
  const place = firstGiven(project, name);
  if (!place) return [];
  const { scope } = scopeAround(project, place.control);
  return wanted.flatMap((parameter): [string, unknown][] => {
    const bound = inForce(place.given[`${parameter.name}.bind`]);
    const text = bound === undefined ? inForce(place.given[parameter.name]) : `{${bound}}`;
    if (text === undefined) return [];
    const value = hasExpression(text)
      ? valueIn(text, scope)
      : initialOf(parameter.type, unescapeBraces(text));
    return value === undefined ? [] : [[parameter.name, value]];
  });
}
