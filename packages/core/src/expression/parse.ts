/** Reads expressions and event texts: ECMAScript by `acorn`, narrowed to what `ast.ts` knows. */
import { type AnyNode, type Node, Parser } from 'acorn';
import { forbiddenKeys } from '../document/forbidden-keys.ts';
import { didYouMean } from '../document/nearest.ts';
import { actionNamed, alteringNamed } from './actions/catalogue.ts';
import type {
  AssignmentOperator,
  BinaryOperator,
  Brought,
  Expression,
  LogicalOperator,
  RecordEntry,
  Span,
  Spread,
  Statement,
  UnaryOperator,
} from './ast.ts';
import { constants, functions, methodNames, namespaces } from './functions.ts';
import { meantBy } from './meant.ts';
import { ExpressionError, type Outcome, outcome } from './problem.ts';
import { isViewName, viewNames } from './view-names.ts';

/** Longest text of one expression or event, in UTF-16 units. */
export const longestExpression = 10_000;
/** Deepest nesting of one expression. */
export const deepestExpression = 100;

const binaryOperators = new Set('+ - * / % ** == != === !== < <= > >='.split(' '));
const unaryOperators = new Set(['!', '-', '+', 'typeof']);
const assignmentOperators = new Set('= += -= *= /= %= ??= ||= &&='.split(' '));
/** How events are read. */
export const parseOptions = {
  ecmaVersion: 2023,
  sourceType: 'script',
  allowReturnOutsideFunction: true,
} as const;

/**
 * Reads one expression.
 *
 * @param text ECMAScript.
 * @param offset added to positions, for expressions inside a longer text.
 */
export function parseExpression(text: string, offset = 0): Outcome<Expression> {
  return outcome(() => {
    if (text.trim() === '') throw new ExpressionError('An expression is missing here.', offset);
    refuseLong(text, offset);
    const node = acornRead(() => Parser.parseExpressionAt(text, 0, parseOptions), offset);
    const rest = /^\s*(\S)/.exec(text.slice(endWithParentheses(text, node.end)));
    if (rest) {
      const at = text.indexOf(rest[1]!, endWithParentheses(text, node.end));
      throw new ExpressionError(
        `\`${rest[1]}\` does not belong here; one expression is expected.`,
        at + offset,
      );
    }
    return new Reader(offset).expression(node as AnyNode, 0);
  });
}

/** `parseExpressionAt` stops behind the inner expression when the whole is in parentheses. */
function endWithParentheses(text: string, end: number): number {
  let at = end;
  let open = 0;
  for (const character of text.slice(0, end)) {
    if (character === '(') open++;
    else if (character !== ' ') break;
  }
  while (open > 0) {
    const next = /^\s*\)/.exec(text.slice(at));
    if (!next) break;
    at += next[0].length;
    open--;
  }
  return at;
}

/** Reads what an event does: assignments, actions and `if`, with `;` between. */
export function parseStatements(text: string): Outcome<Statement[]> {
  return outcome(() => {
    refuseLong(text, 0);
    const program = acornRead(() => Parser.parse(text, parseOptions), 0) as AnyNode & { body: AnyNode[] };
    const reader = new Reader(0);
    return program.body.flatMap((node) => reader.statement(node, 0));
  });
}

function refuseLong(text: string, offset: number): void {
  if (text.length > longestExpression)
    throw new ExpressionError(
      `This is ${text.length} characters long; at most ${longestExpression} are read.`,
      offset,
    );
}

function acornRead<T extends Node>(read: () => T, offset: number): T {
  try {
    return read();
  } catch (error) {
    if (error instanceof SyntaxError && 'pos' in error) {
      const at = Number(error.pos);
      const message = error.message.replace(/ \(\d+:\d+\)$/, '');
      const plain =
        message === 'Unexpected token' ? 'Something is missing or does not belong here.' : `${message}.`;
      throw new ExpressionError(plain, at + offset);
    }
    throw error;
  }
}

/** `Math.max` for the member node of that text, else undefined. */
function dottedName(node: AnyNode): string | undefined {
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

class Reader {
  /** Parameters of the arrow functions around the place being read. */
  private readonly parameters: string[] = [];

  constructor(private readonly offset: number) {}

  private refuse(node: Node, message: string): never {
    throw new ExpressionError(message, node.start + this.offset);
  }

  private span(node: Node): Span {
    return [node.start + this.offset, node.end + this.offset];
  }

  statement(node: AnyNode, depth: number): Statement[] {
    if (depth > deepestExpression) this.refuse(node, 'This is nested too deeply.');
    switch (node.type) {
      case 'EmptyStatement':
        return [];
      case 'BlockStatement':
        return node.body.flatMap((inner) => this.statement(inner, depth + 1));
      case 'IfStatement':
        return [
          {
            type: 'if',
            test: this.expression(node.test, depth + 1),
            whenTrue: this.statement(node.consequent, depth + 1),
            whenFalse: node.alternate ? this.statement(node.alternate, depth + 1) : [],
          },
        ];
      case 'ExpressionStatement':
        return this.action(node.expression, depth + 1);
      case 'ForOfStatement':
        return [this.each(node, depth)];
      case 'ReturnStatement':
        if (node.argument)
          return this.refuse(node.argument, 'An event gives nothing back: write `return` alone.');
        return [{ type: 'stop' }];
      default:
        return this.refuse(
          node,
          'Only assignments, actions, `if`, `for (const item of list)` and `return` can stand in an event.',
        );
    }
  }

  private each(node: AnyNode & { type: 'ForOfStatement' }, depth: number): Statement {
    const declared = node.left.type === 'VariableDeclaration' ? node.left : undefined;
    const id = declared?.declarations[0]?.id;
    if (declared?.kind !== 'const' || id?.type !== 'Identifier' || node.await)
      return this.refuse(node.left, 'Write it as `for (const item of list)`.');
    const of = this.expression(node.right, depth + 1);
    this.parameters.push(id.name);
    const body = this.statement(node.body, depth + 1);
    this.parameters.pop();
    return { type: 'each', name: id.name, of, body };
  }

  /** The variable that is assigned, and the keys that lead into it. */
  private target(node: AnyNode, depth: number): { name: string; span: Span; path: Expression[] } {
    if (node.type === 'Identifier') {
      if (this.parameters.includes(node.name))
        return this.refuse(
          node,
          `\`${node.name}\` is an item of a list; use \`change(list, ${node.name}, { … })\`.`,
        );
      return { name: node.name, span: this.span(node), path: [] };
    }
    if (
      node.type !== 'MemberExpression' ||
      node.object.type === 'Super' ||
      node.property.type === 'PrivateIdentifier'
    )
      return this.refuse(node, 'Only a state variable, or something in one, can be assigned.');
    const outer = this.target(node.object, depth + 1);
    const { property } = node;
    if (!node.computed && property.type === 'Identifier' && forbiddenKeys.has(property.name))
      return this.refuse(property, `\`${property.name}\` is out of reach for expressions.`);
    const key: Expression =
      !node.computed && property.type === 'Identifier'
        ? { type: 'literal', value: property.name }
        : this.expression(property, depth + 1);
    return { ...outer, path: [...outer.path, key] };
  }

  private action(node: AnyNode, depth: number): Statement[] {
    if (node.type === 'AssignmentExpression') {
      if (!assignmentOperators.has(node.operator))
        return this.refuse(node, `\`${node.operator}\` is not available here.`);
      return [
        {
          type: 'assign',
          ...this.target(node.left, depth),
          operator: node.operator as AssignmentOperator,
          value: this.expression(node.right, depth),
        },
      ];
    }
    if (node.type === 'UpdateExpression') {
      const operator = node.operator === '++' ? '+=' : '-=';
      const value = { type: 'literal', value: 1 } as const;
      return [{ type: 'assign', ...this.target(node.argument, depth), operator, value }];
    }
    if (node.type === 'CallExpression') {
      const { callee } = node;
      if (callee.type === 'Identifier') return this.called(callee.name, node, depth);
      const handler = dottedName(callee)?.split('.');
      if (handler?.length === 2 && handler[0] === 'handlers')
        return [{ type: 'handler', name: handler[1]!, arguments: this.arguments(node.arguments, depth) }];
    }
    return this.refuse(node, 'This does nothing: an assignment or an action is expected here.');
  }

  private called(name: string, node: AnyNode & { type: 'CallExpression' }, depth: number): Statement[] {
    const altering = alteringNamed(name);
    if (!altering) {
      const [screen, brought, ...more] = node.arguments;
      if (!actionNamed(name)?.brings || !screen || !brought || more.length > 0)
        return [{ type: 'action', name, arguments: this.arguments(node.arguments, depth) }];
      const brings = this.brought(brought, depth);
      return [{ type: 'action', name, arguments: this.arguments([screen], depth), brings }];
    }
    const { takes, count, several } = altering;
    const [first, ...others] = node.arguments;
    if (!first || (!several && node.arguments.length !== count))
      return this.refuse(node, `\`${name}\` takes ${takes}.`);
    if (several)
      return node.arguments.map((argument): Statement => {
        if (argument.type !== 'Identifier') return this.refuse(argument, `\`${name}\` takes ${takes}.`);
        return { type: 'alter', action: name, ...this.target(argument, depth), arguments: [] };
      });
    return [
      { type: 'alter', action: name, ...this.target(first, depth), arguments: this.arguments(others, depth) },
    ];
  }

  /** The variables that a screen is entered with. */
  private brought(node: AnyNode, depth: number): Brought[] {
    if (node.type !== 'ObjectExpression')
      return this.refuse(node, 'What a screen is entered with is a record: `{ variable: value }`.');
    return node.properties.map((entry) => {
      if (entry.type !== 'Property' || entry.computed || entry.key.type !== 'Identifier')
        return this.refuse(entry, 'What a screen is entered with are values by the names of variables.');
      const value = this.expression(entry.value as AnyNode, depth + 1);
      return { name: entry.key.name, span: this.span(entry.key), value };
    });
  }

  private arguments(nodes: readonly AnyNode[], depth: number): Expression[] {
    return nodes.map((node) => {
      if (node.type === 'SpreadElement') return this.refuse(node, '`...` is not available in calls.');
      return node.type === 'ArrowFunctionExpression' ? this.arrow(node, depth) : this.expression(node, depth);
    });
  }

  private arrow(node: AnyNode & { type: 'ArrowFunctionExpression' }, depth: number): Expression {
    if (node.async || node.body.type === 'BlockStatement')
      return this.refuse(node, 'Write the function as `item => expression`.');
    const parameters = node.params.map((parameter) =>
      parameter.type === 'Identifier'
        ? parameter.name
        : this.refuse(parameter, 'A parameter is a plain name here.'),
    );
    this.parameters.push(...parameters);
    const body = this.expression(node.body, depth + 1);
    this.parameters.length -= parameters.length;
    return { type: 'arrow', parameters, body };
  }

  expression(node: AnyNode, depth: number): Expression {
    if (depth > deepestExpression) this.refuse(node, 'This is nested too deeply.');
    const next = depth + 1;
    switch (node.type) {
      case 'Literal': {
        if ('regex' in node && node.regex)
          return this.refuse(node, 'Regular expressions are not available here.');
        if (typeof node.value === 'bigint')
          return this.refuse(node, 'Numbers ending in `n` are not available here.');
        return {
          type: 'literal',
          value: node.value as string | number | boolean | null,
          ...(typeof node.value === 'string' ? { span: this.span(node) } : {}),
        };
      }
      case 'Identifier':
        return this.name(node);
      case 'ParenthesizedExpression':
        return this.expression(node.expression, next);
      case 'ChainExpression':
        return this.expression(node.expression, next);
      case 'UnaryExpression':
        if (!unaryOperators.has(node.operator))
          return this.refuse(node, `\`${node.operator}\` is not available here.`);
        return {
          type: 'unary',
          operator: node.operator as UnaryOperator,
          of: this.expression(node.argument, next),
        };
      case 'BinaryExpression':
        if (!binaryOperators.has(node.operator))
          return this.refuse(node, `\`${node.operator}\` is not available here.`);
        return {
          type: 'binary',
          operator: node.operator as BinaryOperator,
          left: this.expression(node.left as AnyNode, next),
          right: this.expression(node.right, next),
        };
      case 'LogicalExpression':
        return {
          type: 'logical',
          operator: node.operator as LogicalOperator,
          left: this.expression(node.left, next),
          right: this.expression(node.right, next),
        };
      case 'ConditionalExpression':
        return {
          type: 'choice',
          test: this.expression(node.test, next),
          whenTrue: this.expression(node.consequent, next),
          whenFalse: this.expression(node.alternate, next),
        };
      case 'TemplateLiteral':
        return { type: 'template', parts: this.templateParts(node, next) };
      case 'ArrayExpression':
        return {
          type: 'list',
          items: node.elements.map((item) =>
            item === null
              ? { type: 'literal', value: undefined }
              : item.type === 'SpreadElement'
                ? this.spread(item, next)
                : this.expression(item, next),
          ),
        };
      case 'ObjectExpression':
        return { type: 'record', entries: node.properties.map((entry) => this.recordEntry(entry, next)) };
      case 'MemberExpression':
        return this.member(node, next);
      case 'CallExpression':
        return this.call(node, next);
      case 'ArrowFunctionExpression':
        return this.refuse(node, 'A function can only be given to a method such as `map`.');
      case 'AssignmentExpression':
      case 'UpdateExpression':
        return this.refuse(node, 'An expression cannot assign; use `==` to compare, or an event to assign.');
      default:
        return this.refuse(node, 'This part of ECMAScript is not available in expressions.');
    }
  }

  private templateParts(node: AnyNode & { type: 'TemplateLiteral' }, depth: number): Expression[] {
    return node.quasis.flatMap((quasi, index): Expression[] => {
      const text: Expression = { type: 'literal', value: quasi.value.cooked ?? '' };
      const inner = node.expressions[index];
      return inner ? [text, this.expression(inner, depth)] : [text];
    });
  }

  private spread(node: AnyNode & { type: 'SpreadElement' }, depth: number): Spread {
    return { type: 'spread', of: this.expression(node.argument, depth) };
  }

  private recordEntry(entry: AnyNode, depth: number): RecordEntry | Spread {
    if (entry.type === 'SpreadElement') return this.spread(entry, depth);
    if (entry.type !== 'Property' || entry.kind !== 'init' || entry.method)
      return this.refuse(entry, 'Only values can stand in a record.');
    const key: Expression = entry.computed
      ? this.expression(entry.key, depth)
      : {
          type: 'literal',
          value:
            entry.key.type === 'Identifier'
              ? entry.key.name
              : String((entry.key as { value?: unknown }).value),
        };
    if (key.type === 'literal') this.refuseKey(entry, String(key.value));
    const value = this.expression(entry.value as AnyNode, depth);
    return {
      type: 'entry',
      key,
      value: entry.shorthand && value.type === 'name' ? { ...value, shorthand: true } : value,
    };
  }

  private refuseKey(node: Node, key: string): void {
    if (forbiddenKeys.has(key)) this.refuse(node, `\`${key}\` is out of reach for expressions.`);
  }

  private name(node: AnyNode & { type: 'Identifier' }): Expression {
    if (this.parameters.includes(node.name)) return { type: 'name', name: node.name, span: this.span(node) };
    if (node.name === 'undefined') return { type: 'literal', value: undefined };
    if (Object.hasOwn(constants, node.name)) return { type: 'literal', value: constants[node.name] };
    this.refuseKey(node, node.name);
    return { type: 'name', name: node.name, span: this.span(node) };
  }

  private member(node: AnyNode & { type: 'MemberExpression' }, depth: number): Expression {
    const full = dottedName(node);
    if (full !== undefined && Object.hasOwn(constants, full))
      return { type: 'literal', value: constants[full] };
    if (full !== undefined && isViewName(full) && !this.parameters.includes('View'))
      return { type: 'name', name: full, span: this.span(node) };
    if (node.object.type === 'Super' || node.property.type === 'PrivateIdentifier')
      return this.refuse(node, 'This is not available here.');
    if (
      full !== undefined &&
      namespaces.has(full.split('.')[0]!) &&
      !this.parameters.includes(full.split('.')[0]!)
    )
      return this.refuse(
        node.property,
        `There is no \`${full}\` here.${meantBy(full) || didYouMean(full, [...Object.keys(functions), ...Object.keys(constants), ...viewNames])}`,
      );
    const key: Expression = node.computed
      ? this.expression(node.property, depth)
      : { type: 'literal', value: (node.property as { name: string }).name };
    if (key.type === 'literal') this.refuseKey(node.property, String(key.value));
    return { type: 'member', of: this.expression(node.object, depth), key, optional: node.optional };
  }

  private call(node: AnyNode & { type: 'CallExpression' }, depth: number): Expression {
    const { callee } = node;
    if (callee.type === 'Super') return this.refuse(callee, 'This is not available here.');
    const full = dottedName(callee);
    if (full !== undefined && Object.hasOwn(functions, full))
      return { type: 'call', name: full, arguments: this.arguments(node.arguments, depth) };
    if (
      callee.type === 'MemberExpression' &&
      !callee.computed &&
      callee.property.type === 'Identifier' &&
      callee.object.type !== 'Super'
    ) {
      const name = callee.property.name;
      this.refuseKey(callee.property, name);
      const space = full?.split('.')[0];
      if (space !== undefined && namespaces.has(space))
        return this.refuse(
          callee,
          `There is no \`${full}\` here.${meantBy(full!) || didYouMean(full!, Object.keys(functions))}`,
        );
      if (!methodNames.has(name))
        return this.refuse(
          callee.property,
          `There is no method \`${name}\` here.${(full && meantBy(full)) || didYouMean(name, methodNames)}`,
        );
      return {
        type: 'method',
        of: this.expression(callee.object, depth),
        name,
        arguments: this.arguments(node.arguments, depth),
        optional: callee.optional,
      };
    }
    return this.refuse(
      callee,
      `${full ? `\`${full}\`` : 'This'} cannot be called here.${full ? meantBy(full) || didYouMean(full, Object.keys(functions)) : ''}`,
    );
  }
}
