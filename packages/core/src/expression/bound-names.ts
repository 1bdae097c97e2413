/** Names that a text binds itself, the parameters of `item => …` and of `for (const item of …)`, under other names. */
import { type AnyNode, Parser } from 'acorn';
import { freeName } from '../document/names.ts';
import { parseOptions } from './parse.ts';

const isNode = (value: unknown): value is AnyNode =>
  typeof value === 'object' && value !== null && typeof (value as { type?: unknown }).type === 'string';

/** The names in a pattern. */
function namesIn(pattern: AnyNode | null): string[] {
  switch (pattern?.type) {
    case 'Identifier':
      return [pattern.name];
    case 'ArrayPattern':
      return pattern.elements.flatMap(namesIn);
    case 'ObjectPattern':
      return pattern.properties.flatMap((each) => (each.type === 'Property' ? namesIn(each.value) : []));
    default:
      return [];
  }
}

const declaredIn = (node: AnyNode): string[] =>
  node.type === 'VariableDeclaration' ? node.declarations.flatMap(({ id }) => namesIn(id)) : [];

/** The names that a node binds for what is in it. */
function boundBy(node: AnyNode): string[] {
  switch (node.type) {
    case 'ArrowFunctionExpression':
      return node.params.flatMap(namesIn);
    case 'ForOfStatement':
      return declaredIn(node.left);
    case 'Program':
    case 'BlockStatement':
      return node.body.flatMap(declaredIn);
    default:
      return [];
  }
}

/** Where bound names stand, those of them that others are to be called. */
function placesIn(root: AnyNode, others: ReadonlyMap<string, string>) {
  const found: { readonly node: AnyNode & { type: 'Identifier' }; readonly isKey: boolean }[] = [];
  const visit = (node: AnyNode, bound: ReadonlySet<string>) => {
    const inner = new Set([...bound, ...boundBy(node).filter((name) => others.has(name))]);
    for (const [key, value] of Object.entries(node))
      for (const child of Array.isArray(value) ? value : [value]) {
        if (!isNode(child)) continue;
        const isPlain = 'computed' in node && !node.computed;
        if (isPlain && (key === 'property' || key === 'key')) continue;
        if (child.type !== 'Identifier') visit(child, inner);
        else if (inner.has(child.name))
          found.push({ node: child, isKey: node.type === 'Property' && node.shorthand });
      }
  };
  visit(root, new Set());
  return found;
}

/**
 * A text in which no name that it binds itself is one of some others.
 *
 * @param text an expression, or the text of an event; one that cannot be read stays as it is.
 */
export function withoutBinding(text: string, taken: ReadonlySet<string>): string {
  if (!/=>|\b(?:for|const|let)\b/.test(text)) return text;
  let root: AnyNode;
  try {
    root = Parser.parse(`(${text}\n)`, parseOptions) as AnyNode;
  } catch {
    return renamedIn(text, 0, text, taken);
  }
  return renamedAt(root, 1, text, taken);
}

/** The same for an event, which is no expression. */
function renamedIn(source: string, offset: number, text: string, taken: ReadonlySet<string>): string {
  try {
    return renamedAt(Parser.parse(source, parseOptions) as AnyNode, offset, text, taken);
  } catch {
    return text;
  }
}

function renamedAt(root: AnyNode, offset: number, text: string, taken: ReadonlySet<string>): string {
  const words = new Set(text.match(/[\p{ID_Start}$_][\p{ID_Continue}$]*/gu));
  const others = new Map(
    [...taken].flatMap((name) =>
      words.has(name)
        ? [[name, freeName(`${name}_`, (other) => words.has(other) || taken.has(other))] as const]
        : [],
    ),
  );
  return placesIn(root, others)
    .toSorted((a, b) => b.node.start - a.node.start)
    .reduce((result, { node, isKey }) => {
      const other = others.get(node.name)!;
      const written = isKey ? `${node.name}: ${other}` : other;
      return `${result.slice(0, node.start - offset)}${written}${result.slice(node.end - offset)}`;
    }, text);
}
