/** What an input is bound to: a state variable, or a place in one or in an item of a repeat, `order.guest.name`, `row.title`. */
import type { Assigned, Expression } from './ast.ts';
import { parseExpression } from './parse.ts';
import type { Outcome } from './problem.ts';

const refused = (at: number): Outcome<Assigned> => ({
  ok: false,
  problem: {
    message: 'The name of a state variable is expected here, or a place in one: `order.guest`.',
    at,
  },
});

/** The name and keys that a chain of members begins with. */
function chainOf(node: Expression): Assigned | undefined {
  if (node.type === 'name') return { name: node.name, span: node.span, path: [] };
  if (node.type !== 'member' || node.optional) return undefined;
  const outer = chainOf(node.of);
  return outer && { ...outer, path: [...outer.path, node.key] };
}

/** Reads what an input is bound to. */
export function readTarget(text: string): Outcome<Assigned> {
  const begin = text.length - text.trimStart().length;
  const read = parseExpression(text.trim(), begin);
  if (!read.ok) return refused(read.problem.at);
  const chain = chainOf(read.value);
  return chain ? { ok: true, value: chain } : refused(begin);
}
