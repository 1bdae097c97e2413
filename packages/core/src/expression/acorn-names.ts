/** What is asked of acorn's tree on the way to expressions: names with dots, operators, what patterns take out. */
import type { AnyNode } from 'acorn';
import type { BinaryOperator, Expression, UnaryOperator } from './ast.ts';

/** Deepest nesting of one expression. */
export const deepestExpression = 100;

export const binaryOperators: readonly BinaryOperator[] = [
  '+',
  '-',
  '*',
  '/',
  '%',
  '**',
  '==',
  '!=',
  '===',
  '!==',
  '<',
  '<=',
  '>',
  '>=',
];
export const unaryOperators: readonly UnaryOperator[] = ['!', '-', '+', 'typeof'];

/** `Math.max` for the member node of that text, else undefined. */
export function dottedName(node: AnyNode): string | undefined {
  if (node.type === 'Identifier') return node.name;
  if (
    node.type === 'MemberExpression' &&
    !node.computed &&
    node.object.type === 'Identifier' &&
    node.property.type === 'Identifier'
  )
    return `${node.object.name}.${node.property.name}`;
  return undefined;
}

/** A name that stands for a value. */
export interface Taken {
  readonly name: string;
  readonly value: Expression;
}

/** An expression in which names stand for values, each known to those behind it. */
export const withTaken = (taken: readonly Taken[], inner: Expression): Expression =>
  taken.reduceRight<Expression>((rest, { name, value }) => ({ type: 'let', name, value, in: rest }), inner);
