/** What an assignment assigns. */

import type { Assigned, AssignmentOperator, BinaryOperator, Expression, LogicalOperator } from './ast.ts';

type Working =
  | { readonly type: 'binary'; readonly operator: BinaryOperator }
  | { readonly type: 'logical'; readonly operator: LogicalOperator };

const workings: Readonly<Record<Exclude<AssignmentOperator, '='>, Working>> = {
  '+=': { type: 'binary', operator: '+' },
  '-=': { type: 'binary', operator: '-' },
  '*=': { type: 'binary', operator: '*' },
  '/=': { type: 'binary', operator: '/' },
  '%=': { type: 'binary', operator: '%' },
  '&&=': { type: 'logical', operator: '&&' },
  '||=': { type: 'logical', operator: '||' },
  '??=': { type: 'logical', operator: '??' },
};

/** What is assigned, as an expression that reads it. */
export const readOf = ({ name, span, path }: Assigned): Expression =>
  path.reduce<Expression>((of, key) => ({ type: 'member', of, key, optional: false }), {
    type: 'name',
    name,
    span,
  });

/** The value of an assignment as an expression: `count += 2` assigns `count + 2` (ECMAScript, Assignment Operators). */
export function assignedBy({
  operator,
  name,
  span,
  path,
  value,
}: Assigned & { readonly operator: AssignmentOperator; readonly value: Expression }): Expression {
  if (operator === '=') return value;
  return { ...workings[operator], left: readOf({ name, span, path }), right: value };
}
