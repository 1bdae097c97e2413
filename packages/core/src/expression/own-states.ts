/** States that a control declares itself: `late: {row.time > 18} | near: hover`. What is in braces is read first, `|` included. */
import { type BuiltInState, builtInStates, isOwnStateName } from '../document/control-states.ts';
import { quoted } from '../document/nearest.ts';
import { isOneOf } from '../sure.ts';
import type { Template } from './ast.ts';
import { bracedAt } from './message.ts';
import { ExpressionError, type Outcome, outcome } from './problem.ts';
import { parseTemplate } from './template.ts';

export interface OwnState {
  readonly name: string;
  /** An expression that says when it holds, or the state of the control that it goes with. */
  readonly when: Template | BuiltInState;
}

/** Most states that a control declares. */
export const mostOwnStates = 50;

/** The parts of a text between `|` outside of braces, each with its place. */
function partsOf(text: string): { part: string; at: number }[] {
  const parts: { part: string; at: number }[] = [];
  let begin = 0;
  for (let index = 0; index < text.length; index++) {
    if (text[index] === '{') index = bracedAt(text, index).to - 1;
    else if (text[index] === '|') {
      parts.push({ part: text.slice(begin, index), at: begin });
      begin = index + 1;
    }
  }
  return [...parts, { part: text.slice(begin), at: begin }];
}

function readOne(part: string, at: number): OwnState {
  const [, before = '', name = '', after = '', rest = ''] =
    /^(\s*)([\w$]*)(\s*:\s*)(.*?)\s*$/s.exec(part) ?? [];
  if (name === '')
    throw new ExpressionError('A state is written as `late: {an expression}` or `near: hover`.', at);
  if (!isOwnStateName(name))
    throw new ExpressionError(`${quoted(name)} cannot be the name of a state.`, at + before.length);
  const from = at + before.length + name.length + after.length;
  if (isOneOf(builtInStates, rest)) return { name, when: rest };
  if (!rest.startsWith('{') || bracedAt(rest, 0).to !== rest.length)
    throw new ExpressionError(
      `${quoted(name)} holds by an expression in braces, or with one of ${builtInStates.map((each) => `\`${each}\``).join(', ')}.`,
      from,
    );
  const read = parseTemplate(rest);
  if (!read.ok) throw new ExpressionError(read.problem.message, from + read.problem.at);
  return { name, when: read.value };
}

/** Reads the text of a control's `states`. Places in problems count from its start. */
export function parseOwnStates(text: string): Outcome<readonly OwnState[]> {
  return outcome(() => {
    if (text.trim() === '') return [];
    const states = partsOf(text).map(({ part, at }) => readOne(part, at));
    const twice = states.find(({ name }, index) => states.findIndex((each) => each.name === name) < index);
    if (twice) throw new ExpressionError(`${quoted(twice.name)} is declared twice.`, 0);
    if (states.length > mostOwnStates)
      throw new ExpressionError(`A control declares at most ${mostOwnStates} states.`, 0);
    return states;
  });
}

const known = new Map<string, readonly OwnState[]>();

/** The states that a text declares; none where it cannot be read. Kept, since texts recur. */
export function ownStatesIn(text: string | undefined): readonly OwnState[] {
  if (text === undefined || text === '') return none;
  let found = known.get(text);
  if (!found) {
    const read = parseOwnStates(text);
    found = read.ok ? read.value : none;
    if (known.size > 2000) known.clear();
    known.set(text, found);
  }
  return found;
}
const none: readonly OwnState[] = [];
