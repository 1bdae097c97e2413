/** From acorn's tree to the statements of an event. */

import type { AnyNode } from 'acorn';
import { forbiddenKeys } from '../document/forbidden-keys.ts';
import { isOneOf } from '../sure.ts';
import { actionNamed, alteringNamed, askingNamed } from './actions/catalogue.ts';
import type { Assigned, AssignmentOperator, Brought, Expression, Statement } from './ast.ts';
import { deepestExpression, dottedName, ExpressionReader } from './read-expression.ts';

const assignmentOperators: readonly AssignmentOperator[] = [
  '=',
  '+=',
  '-=',
  '*=',
  '/=',
  '%=',
  '??=',
  '||=',
  '&&=',
];

/** Reads statements of events. */
export class StatementReader extends ExpressionReader {
  statement(node: AnyNode, depth: number): Statement[] {
    if (depth > deepestExpression) this.refuse(node, 'This is nested too deeply.');
    switch (node.type) {
      case 'EmptyStatement':
        return [];
      case 'BlockStatement':
        return this.statements(node.body, depth + 1);
      case 'VariableDeclaration':
        return this.declared(node, depth + 1).map((taken): Statement => ({ type: 'let', ...taken }));
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
          'Only assignments, actions, `const`, `if`, `for (const item of list)` and `return` can stand in an event.',
        );
    }
  }

  /** Statements in turn; what they name is known until the last of them. */
  statements(nodes: readonly AnyNode[], depth: number): Statement[] {
    const count = this.parameters.length;
    const read = nodes.flatMap((node) => this.statement(node, depth));
    this.parameters.length = count;
    return read;
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
  private target(node: AnyNode, depth: number): Assigned {
    if (node.type === 'Identifier') {
      if (this.parameters.includes(node.name))
        return this.refuse(
          node,
          `\`${node.name}\` is a value of this event, and stays what it is; a row is changed by \`change(list, ${node.name}, { … })\`.`,
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
        ? { type: 'literal', value: property.name, span: this.span(property) }
        : this.expression(property, depth + 1);
    return { ...outer, path: [...outer.path, key] };
  }

  private action(node: AnyNode, depth: number): Statement[] {
    if (node.type === 'AssignmentExpression') {
      if (!isOneOf(assignmentOperators, node.operator))
        return this.refuse(node, `\`${node.operator}\` is not available here.`);
      const handler = node.operator === '=' ? handlerCalled(node.right) : undefined;
      if (handler) return [{ ...this.handled(handler, depth), gives: this.target(node.left, depth) }];
      const altered = node.operator === '=' ? this.alteringCalled(node.right, depth) : undefined;
      if (altered) return [{ ...altered, gives: this.target(node.left, depth), statement: this.span(node) }];
      const asked = node.operator === '=' ? this.asked(node.right, depth) : undefined;
      if (asked) return [{ ...asked, gives: this.target(node.left, depth) }];
      return [
        {
          type: 'assign',
          ...this.target(node.left, depth),
          operator: node.operator,
          value: this.expression(node.right, depth),
          statement: this.span(node),
        },
      ];
    }
    if (node.type === 'UpdateExpression') {
      const operator = node.operator === '++' ? '+=' : '-=';
      const value = { type: 'literal', value: 1 } as const;
      return [
        { type: 'assign', ...this.target(node.argument, depth), operator, value, statement: this.span(node) },
      ];
    }
    if (node.type === 'CallExpression') {
      const { callee } = node;
      const asked = this.asked(node, depth);
      if (asked) return [asked];
      if (callee.type === 'Identifier') return this.called(callee.name, node, depth);
      const handler = handlerCalled(node);
      if (handler) return [this.handled(handler, depth)];
    }
    return this.refuse(node, 'This does nothing: an assignment or an action is expected here.');
  }

  /** A call of an action on one list, whose result is asked for; undefined for all others. */
  private alteringCalled(node: AnyNode, depth: number): (Statement & { readonly type: 'alter' }) | undefined {
    if (node.type !== 'CallExpression' || node.callee.type !== 'Identifier') return undefined;
    if (!alteringNamed(node.callee.name)?.on?.includes('list')) return undefined;
    const [statement] = this.called(node.callee.name, node, depth);
    return statement?.type === 'alter' ? statement : undefined;
  }

  /** A call of what is done with requests; undefined for all others. */
  private asked(node: AnyNode, depth: number): (Statement & { readonly type: 'ask' }) | undefined {
    if (node.type !== 'CallExpression' || node.callee.type !== 'Identifier') return undefined;
    const asking = askingNamed(node.callee.name);
    if (!asking) return undefined;
    const [request, given] = node.arguments;
    const { name: how, takes, count, most = count } = asking;
    const isLocal = request?.type === 'Identifier' && this.parameters.includes(request.name);
    if (request?.type !== 'Identifier' || isLocal || node.arguments.length > most)
      return this.refuse(node, `\`${how}\` takes ${takes}.`);
    return {
      type: 'ask',
      how,
      name: request.name,
      span: this.span(request),
      ...(given ? { given: this.expression(given, depth + 1) } : {}),
    };
  }

  private handled({ name, call }: HandlerCall, depth: number): Statement & { type: 'handler' } {
    return { type: 'handler', name, arguments: this.arguments(call.arguments, depth) };
  }

  private called(name: string, node: AnyNode & { type: 'CallExpression' }, depth: number): Statement[] {
    if (name === emitting) return [this.emitted(node, depth)];
    const altering = alteringNamed(name);
    if (!altering) {
      const [screen, brought, options, ...more] = node.arguments;
      const action = actionNamed(name);
      if (
        !action?.brings ||
        !screen ||
        !brought ||
        more.length > 0 ||
        (options && (!action.replaces || options.type !== 'ObjectExpression'))
      )
        return [{ type: 'action', name, arguments: this.arguments(node.arguments, depth) }];
      const brings = this.brought(brought, depth);
      return [
        {
          type: 'action',
          name,
          arguments: this.arguments([screen], depth),
          brings,
          ...(options && this.replaces(options) ? { replaces: true } : {}),
        },
      ];
    }
    const { takes, count, several } = altering;
    const [first, ...others] = node.arguments;
    if (!first || (!several && node.arguments.length !== count))
      return this.refuse(node, `\`${name}\` takes ${takes}.`);
    if (several)
      return node.arguments.map((argument): Statement => {
        if (argument.type !== 'Identifier') return this.refuse(argument, `\`${name}\` takes ${takes}.`);
        return {
          type: 'alter',
          action: name,
          ...this.target(argument, depth),
          arguments: [],
          statement: this.span(node),
        };
      });
    return [
      {
        type: 'alter',
        action: name,
        ...this.target(first, depth),
        arguments: this.arguments(others, depth),
        statement: this.span(node),
      },
    ];
  }

  /** How a screen is gone to: `{ replace: true }`. */
  private replaces(node: AnyNode): boolean {
    const [option, ...others] = node.type === 'ObjectExpression' ? node.properties : [];
    const isReplace =
      option?.type === 'Property' && option.key.type === 'Identifier' && option.key.name === 'replace';
    if (!isReplace || others.length > 0 || option.value.type !== 'Literal')
      return this.refuse(node, 'Behind the values stands nothing but `{ replace: true }`.');
    return option.value.value === true;
  }

  private emitted(node: AnyNode & { type: 'CallExpression' }, depth: number): Statement {
    const [event, value, ...more] = node.arguments;
    if (event?.type !== 'Literal' || typeof event.value !== 'string' || more.length > 0)
      return this.refuse(node, '`emit` takes the name of an event in quotes, and what comes with it.');
    return {
      type: 'emit',
      event: event.value,
      span: this.span(node),
      ...(value ? { value: this.expression(value, depth + 1), valueSpan: this.span(value) } : {}),
    };
  }

  /** The variables that a screen is entered with. */
  private brought(node: AnyNode, depth: number): Brought[] {
    if (node.type !== 'ObjectExpression')
      return this.refuse(node, 'What a screen is entered with is a record: `{ variable: value }`.');
    return node.properties.map((entry) => {
      if (entry.type !== 'Property' || entry.computed || entry.key.type !== 'Identifier')
        return this.refuse(entry, 'What a screen is entered with are values by the names of variables.');
      const value = this.expression(entry.value, depth + 1);
      return { name: entry.key.name, span: this.span(entry.key), value };
    });
  }
}

/** The call by which a component tells of an event. */
export const emitting = 'emit';

interface HandlerCall {
  readonly name: string;
  readonly call: AnyNode & { type: 'CallExpression' };
}

/** A call `handlers.NAME(…)` of the application's own code; undefined for all others. */
function handlerCalled(node: AnyNode): HandlerCall | undefined {
  if (node.type !== 'CallExpression') return undefined;
  const [object, name, ...more] = dottedName(node.callee)?.split('.') ?? [];
  return object === 'handlers' && name !== undefined && more.length === 0 ? { name, call: node } : undefined;
}
