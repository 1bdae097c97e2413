/**
 * Which handlers a file of the application's own code sets. It is read, not run: what stands there plainly is found, and
 * where it is worked out, that is said.
 */
import { type AnyNode, Parser } from 'acorn';
import { messageOf } from '../document/error-message.ts';
import { nearest } from '../document/nearest.ts';
import type { Project } from '../document/types.ts';
import { handlersOf } from './handlers.ts';

export interface HandlersAtHand {
  readonly names: ReadonlySet<string>;
  /** Others may be set besides: a spread, a name that is worked out. */
  readonly more: boolean;
}

/** The name of a member that stands there plainly: `a.b`, `a['b']`, `{ b }`. */
function plainName(key: AnyNode, computed: boolean): string | undefined {
  if (key.type === 'Identifier' && !computed) return key.name;
  return key.type === 'Literal' && typeof key.value === 'string' ? key.value : undefined;
}

/** Whether an expression is `handlers`, of the window or by itself. */
function isHandlers(node: AnyNode): boolean {
  if (node.type === 'Identifier') return node.name === 'handlers';
  if (node.type !== 'MemberExpression' || node.object.type !== 'Identifier') return false;
  return (
    ['window', 'globalThis', 'self'].includes(node.object.name) &&
    plainName(node.property, node.computed) === 'handlers'
  );
}

class Found {
  readonly names = new Set<string>();
  more = false;
  isSet = false;

  /** Takes the members of what `handlers` is set to. */
  whole(value: AnyNode): void {
    this.isSet = true;
    if (value.type !== 'ObjectExpression') {
      this.more = true;
      return;
    }
    for (const member of value.properties) {
      const name = member.type === 'Property' ? plainName(member.key, member.computed) : undefined;
      this.one(name);
    }
  }

  one(name: string | undefined): void {
    this.isSet = true;
    if (name === undefined) this.more = true;
    else this.names.add(name);
  }

  visit(node: AnyNode): void {
    if (node.type === 'AssignmentExpression' && node.left.type !== 'ArrayPattern') {
      const { left, right } = node;
      if (isHandlers(left)) this.whole(right);
      else if (left.type === 'MemberExpression' && isHandlers(left.object))
        this.one(plainName(left.property, left.computed));
    }
    if (node.type === 'CallExpression' && node.arguments.some((given) => isHandlers(given))) this.more = true;
    for (const part of Object.values(node))
      for (const child of Array.isArray(part) ? part : [part])
        if (child && typeof child === 'object' && typeof child.type === 'string') this.visit(child);
  }
}

/** Reads a file of handlers. @returns what is wrong with it as `problem`. */
export function handlersAtHand(text: string): HandlersAtHand | { readonly problem: string } {
  let program: AnyNode;
  try {
    program = Parser.parse(text, { ecmaVersion: 'latest', sourceType: 'script', allowHashBang: true });
  } catch (error) {
    return { problem: messageOf(error) };
  }
  const found = new Found();
  found.visit(program);
  return found.isSet || found.more
    ? { names: found.names, more: found.more }
    : { problem: 'it does not set `window.handlers`' };
}

/** An event that calls a handler which is not at hand. */
export interface MissingHandler {
  readonly screen: string;
  readonly control: string;
  readonly event: string;
  /** A sentence. */
  readonly sentence: string;
}

/**
 * The events that call handlers which are not at hand; none where others may be set besides.
 *
 * @param nameOf what a control is called in its screen.
 */
export function missingHandlers(
  project: Project,
  { names, more }: HandlersAtHand,
  nameOf: (screen: string, control: string) => string,
): MissingHandler[] {
  if (more) return [];
  return handlersOf(project).flatMap(({ name, uses }) => {
    if (names.has(name)) return [];
    const near = nearest(name, [...names]);
    const hint = near === undefined ? '' : ` Did you mean \`${near}\`?`;
    return uses.map(({ screen, control, event }) => ({
      screen: screen.name ?? '',
      control: nameOf(screen.id, control.id),
      event,
      sentence: `\`on.${event}\` calls \`handlers.${name}\`, which the code does not set.${hint}`,
    }));
  });
}
