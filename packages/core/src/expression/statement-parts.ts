/**
 * What stands in a statement: expressions, what it assigns, and other statements. Whoever goes through events asks here, so
 * that a new statement is known everywhere.
 */
import type { Assigned, Expression, Statement } from './ast.ts';

/** Statements that stand in another one. */
export interface InnerStatements {
  readonly statements: readonly Statement[];
  /** Names that the outer one makes known to them. */
  readonly names: readonly string[];
}

const none: readonly string[] = [];

/** The statements that stand in one, in their order. */
export function innerOf(statement: Statement): readonly InnerStatements[] {
  const plain = (statements: readonly Statement[], names = none): InnerStatements => ({ statements, names });
  switch (statement.type) {
    case 'if':
      return [plain(statement.whenTrue), plain(statement.whenFalse)];
    case 'each':
      return [plain(statement.body, [statement.name])];
    case 'while':
      return [plain(statement.body), plain(statement.after)];
    case 'try':
      return [
        plain(statement.body),
        plain(statement.caught, statement.name === undefined ? none : [statement.name]),
        plain(statement.lastly),
      ];
    default:
      return [];
  }
}

/** A statement whose inner statements are made into others. */
export function withInner(
  statement: Statement,
  map: (statements: readonly Statement[]) => readonly Statement[],
): Statement {
  switch (statement.type) {
    case 'if':
      return { ...statement, whenTrue: map(statement.whenTrue), whenFalse: map(statement.whenFalse) };
    case 'each':
      return { ...statement, body: map(statement.body) };
    case 'while':
      return { ...statement, body: map(statement.body), after: map(statement.after) };
    case 'try':
      return {
        ...statement,
        body: map(statement.body),
        caught: map(statement.caught),
        lastly: map(statement.lastly),
      };
    default:
      return statement;
  }
}

/** What a statement assigns by itself, state and names of the event alike. */
export function assignedIn(statement: Statement): readonly Assigned[] {
  const gives = 'gives' in statement && statement.gives ? [statement.gives] : [];
  return statement.type === 'assign' || statement.type === 'alter' ? [...gives, statement] : gives;
}

/** The expressions of a statement by itself, in the order in which they are written. */
export function expressionsIn(statement: Statement): readonly Expression[] {
  const gives = 'gives' in statement ? (statement.gives?.path ?? []) : [];
  switch (statement.type) {
    case 'assign':
      return [...statement.path, statement.value];
    case 'alter':
      return [...gives, ...statement.path, ...statement.arguments];
    case 'action':
      return [...statement.arguments, ...(statement.brings ?? []).map(({ value }) => value)];
    case 'ask':
      return [...gives, ...(statement.given ? [statement.given] : [])];
    case 'handler':
      return [...gives, ...statement.arguments];
    case 'let':
    case 'emit':
      return statement.value ? [statement.value] : [];
    case 'each':
      return [statement.of];
    case 'if':
    case 'while':
      return [statement.test];
    default:
      return [];
  }
}
