/**
 * What is the same for every item of a list is worked out once, in front of the list: in
 * `stays.filter(stay => stay.guest.includes(find.trim()))` that is `find.trim()`.
 */
import type { Expression } from '../expression/ast.ts';

/** Methods that give a text of every text, and need nothing else. */
const steadyMethods: ReadonlySet<string> = new Set([
  'toLowerCase',
  'toUpperCase',
  'trim',
  'trimEnd',
  'trimStart',
]);

/** Anything that an expression consists of. */
type Part = Expression | { readonly [key: string]: unknown } | readonly unknown[];
const isPart = (value: unknown): value is Part => typeof value === 'object' && value !== null;
const isExpression = (value: Part): value is Expression => 'type' in value;

class Hoisting {
  /** What is worked out in front, by how it is written. */
  readonly found = new Map<string, { readonly name: string; readonly value: Expression }>();

  constructor(private readonly isText: (name: string) => boolean) {}

  /** Whether it gives a text, whatever happens, that depends on no item. */
  private isSteady(node: Expression, items: readonly string[]): boolean {
    if (node.type === 'name') return !items.includes(node.name) && this.isText(node.name);
    return (
      node.type === 'method' &&
      node.arguments.length === 0 &&
      steadyMethods.has(node.name) &&
      this.isSteady(node.of, items)
    );
  }

  /** A part with names in place of the values that are worked out in front. @param items names of the items that it stands for. */
  without(part: unknown, items: readonly string[] = []): unknown {
    if (!isPart(part)) return part;
    if (Array.isArray(part)) return part.map((each) => this.without(each, items));
    let inner = items;
    if (isExpression(part)) {
      if (part.type === 'arrow') inner = [...items, ...part.parameters];
      else if (part.type === 'let') inner = [...items, part.name];
      else if (part.type === 'method' && items.length > 0 && this.isSteady(part, items))
        return { type: 'name', name: this.nameFor(part), span: [0, 0] };
    }
    return Object.fromEntries(Object.entries(part).map(([key, value]) => [key, this.without(value, inner)]));
  }

  private nameFor(value: Expression): string {
    const written = JSON.stringify(value, (key, inner: unknown) => (key === 'span' ? undefined : inner));
    const known = this.found.get(written);
    if (known) return known.name;
    // No name that somebody writes begins like this.
    const name = `#${this.found.size}`;
    this.found.set(written, { name, value });
    return name;
  }
}

/** An expression with a value known by a name inside: `[value].map(name => expression)[0]`. */
const knowing = (expression: Expression, name: string, value: Expression): Expression => ({
  type: 'member',
  of: {
    type: 'method',
    of: { type: 'list', items: [value] },
    name: 'map',
    arguments: [{ type: 'arrow', parameters: [name], body: expression }],
    optional: false,
  },
  key: { type: 'literal', value: 0 },
  optional: false,
});

/**
 * @param isText whether a name stands for a variable that always holds a text.
 * @returns an expression that gives the same; the same one where nothing is to be had in front.
 */
export function hoisted(expression: Expression, isText: (name: string) => boolean): Expression {
  const hoisting = new Hoisting(isText);
  const inner = hoisting.without(expression) as Expression;
  return [...hoisting.found.values()].reduce(
    (made, { name, value }) => knowing(made, name, value),
    hoisting.found.size === 0 ? expression : inner,
  );
}
