/** Which names an expression reads and writes, and renaming them in its text. */
import type { Transition } from '../document/transitions.ts';
import { actionNamed } from './actions/catalogue.ts';
import type { Expression, RecordEntry, Span, Spread, Statement, Template } from './ast.ts';
import { assignedIn, expressionsIn, innerOf } from './statement-parts.ts';

/** A name from outside (a state variable, for example) at a place in the text. */
export interface NameUse {
  readonly name: string;
  readonly span: Span;
  /** True where it is assigned. */
  readonly written: boolean;
  /** True where it is also the key of a record's entry. */
  readonly shorthand?: boolean;
  /** Of a function of the project's own code: what it is called with. */
  readonly given?: readonly (Expression | Spread)[];
  /** The screen that it is brought to, whose own variables are known there. */
  readonly to?: string;
}

/** A call of an action at the top of a statement. */
export interface ActionUse {
  readonly name: string;
  readonly arguments: readonly Expression[];
  /** Of `go`: how the screen comes. */
  readonly transition?: Transition;
}

function visit(node: Expression | Spread | RecordEntry, bound: readonly string[], found: NameUse[]): void {
  switch (node.type) {
    case 'name':
      if (!bound.includes(node.name))
        found.push({ name: node.name, span: node.span, written: false, shorthand: node.shorthand === true });
      return;
    case 'literal':
    case 'pattern':
      return;
    case 'member':
      visit(node.of, bound, found);
      visit(node.key, bound, found);
      return;
    case 'unary':
    case 'spread':
      visit(node.of, bound, found);
      return;
    case 'binary':
    case 'logical':
      visit(node.left, bound, found);
      visit(node.right, bound, found);
      return;
    case 'choice':
      for (const part of [node.test, node.whenTrue, node.whenFalse]) visit(part, bound, found);
      return;
    case 'template':
      for (const part of node.parts) visit(part, bound, found);
      return;
    case 'list':
      for (const item of node.items) visit(item, bound, found);
      return;
    case 'record':
      for (const entry of node.entries) visit(entry, bound, found);
      return;
    case 'entry':
      visit(node.key, bound, found);
      visit(node.value, bound, found);
      return;
    case 'let':
      visit(node.value, bound, found);
      visit(node.in, [...bound, node.name], found);
      return;
    case 'arrow':
      visit(node.body, [...bound, ...node.parameters], found);
      return;
    case 'call':
      if (node.span) found.push({ name: node.name, span: node.span, written: false, given: node.arguments });
      for (const argument of node.arguments) visit(argument, bound, found);
      return;
    case 'method':
      visit(node.of, bound, found);
      for (const argument of node.arguments) visit(argument, bound, found);
      return;
  }
}

/** Names that an expression reads from outside itself. */
export function namesOf(expression: Expression): NameUse[] {
  const found: NameUse[] = [];
  visit(expression, [], found);
  return found;
}

/** Names that a value with expressions reads. */
export function namesOfTemplate(template: Template): NameUse[] {
  return template.parts.flatMap((part) => (typeof part === 'string' ? [] : namesOf(part)));
}

/** Statements in turn: what one of them names itself is known to those behind it. */
function visitAll(statements: readonly Statement[], bound: readonly string[], found: NameUse[]): void {
  let known = bound;
  for (const statement of statements) {
    visitStatement(statement, known, found);
    if (statement.type === 'let') known = [...known, statement.name];
  }
}

function visitStatement(statement: Statement, bound: readonly string[], found: NameUse[]): void {
  for (const { name, span, local } of assignedIn(statement))
    if (!local) found.push({ name, span, written: true });
  if (statement.type === 'ask') found.push({ name: statement.name, span: statement.span, written: false });
  if (statement.type === 'action') visitAction(statement, bound, found);
  else for (const expression of expressionsIn(statement)) visit(expression, bound, found);
  for (const { statements, names } of innerOf(statement)) visitAll(statements, [...bound, ...names], found);
}

function visitAction(
  { arguments: given, brings = [] }: Statement & { readonly type: 'action' },
  bound: readonly string[],
  found: NameUse[],
): void {
  for (const expression of given) visit(expression, bound, found);
  const [screen] = given;
  const to = screen?.type === 'literal' ? { to: String(screen.value) } : {};
  for (const { name, span, value } of brings) {
    found.push({ name, span, written: true, ...to });
    // What is written once for both, `{ guest }`, takes another name as a whole.
    if (value.type !== 'name' || value.span[0] !== span[0]) visit(value, bound, found);
  }
}

/** Names that an event reads and writes. */
export function namesOfStatements(statements: readonly Statement[]): NameUse[] {
  const found: NameUse[] = [];
  visitAll(statements, [], found);
  return found;
}

/** All statements of an event, those inside others too. */
export const allStatements = (statements: readonly Statement[]): Statement[] =>
  statements.flatMap((statement) => [
    statement,
    ...innerOf(statement).flatMap((inner) => allStatements(inner.statements)),
  ]);

/** Actions that an event calls. */
export const actionsOf = (statements: readonly Statement[]): ActionUse[] =>
  allStatements(statements).flatMap((statement) => (statement.type === 'action' ? statement : []));

/** A screen, or a control of the same screen, that an action is given by its name. */
export interface PointerUse {
  readonly action: string;
  readonly what: 'screen' | 'control' | 'motion';
  readonly name: string;
  /** Where the name is written, with its quotes. */
  readonly span: Span;
}

/** What an event's actions lead to, as far as it is written there and not worked out. */
export const pointersOf = (statements: readonly Statement[]): PointerUse[] =>
  actionsOf(statements).flatMap(({ name: action, arguments: [first] }): PointerUse[] => {
    const what = actionNamed(action)?.pointsTo;
    return what && first?.type === 'literal' && first.span
      ? [{ action, what, name: String(first.value), span: first.span }]
      : [];
  });

/** A text with the named uses replaced; all else stays letter for letter. */
export function renameIn(text: string, uses: readonly NameUse[], from: string, to: string): string {
  return uses
    .filter((use) => use.name === from)
    .toSorted((a, b) => b.span[0] - a.span[0])
    .reduce(
      (result, { span: [start, end], shorthand }) =>
        `${result.slice(0, start)}${shorthand ? `${from}: ${to}` : to}${result.slice(end)}`,
      text,
    );
}
