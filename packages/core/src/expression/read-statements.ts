/** From acorn's tree to the statements of an event. */

import type { AnyNode } from 'acorn';
import { forbiddenKeys } from '../document/forbidden-keys.ts';
import { didYouMean } from '../document/nearest.ts';
import {
  isEasing,
  longestTransition,
  type Transition,
  type TransitionName,
  transitions,
} from '../document/transitions.ts';
import { isOneOf } from '../sure.ts';
import { deepestExpression, dottedName, type Taken } from './acorn-names.ts';
import { actionNamed, alteringNamed, askingNamed } from './actions/catalogue.ts';
import type { Assigned, AssignmentOperator, Brought, Expression, Statement } from './ast.ts';
import { ExpressionReader } from './read-expression.ts';
import { isViewName, localeName } from './view-names.ts';

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

/** What gives something that a name or a variable can hold: a change of a list, a request, the application's own code. */
type Giving = Statement & { readonly type: 'alter' | 'ask' | 'handler' };

const always: Expression = { type: 'literal', value: true };

/** Reads statements of events. */
export class StatementReader extends ExpressionReader {
  /** Which of the names that are known here, by their places among them, may be assigned: those of `let`. */
  private lets: readonly number[] = [];

  statement(node: AnyNode, depth: number): Statement[] {
    if (depth > deepestExpression) this.refuse(node, 'This is nested too deeply.');
    switch (node.type) {
      case 'EmptyStatement':
        return [];
      case 'BlockStatement':
        return this.statements(node.body, depth + 1);
      case 'VariableDeclaration':
        return this.named(node, depth + 1);
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
      case 'ForStatement':
        return [this.counting(node, depth + 1)];
      case 'WhileStatement': {
        const test = this.expression(node.test, depth + 1);
        return [{ type: 'while', test, body: this.statement(node.body, depth + 1), after: [] }];
      }
      case 'TryStatement':
        return [this.trying(node, depth + 1)];
      case 'BreakStatement':
      case 'ContinueStatement':
        if (node.label) return this.refuse(node.label, 'Loops have no names here.');
        return [{ type: 'stop', how: node.type === 'BreakStatement' ? 'break' : 'continue' }];
      case 'ReturnStatement':
        if (node.argument)
          return this.refuse(node.argument, 'An event gives nothing back: write `return` alone.');
        return [{ type: 'stop' }];
      default:
        return this.refuse(
          node,
          'Only assignments, actions, `const`, `let`, `if`, `for`, `while`, `try` and `return` can stand in an event.',
        );
    }
  }

  /** Reads something; what it names is known until its end. */
  private within<T>(read: () => T): T {
    const [count, { lets }] = [this.parameters.length, this];
    const made = read();
    this.parameters.length = count;
    this.lets = lets;
    return made;
  }

  /** Statements in turn; what they name is known until the last of them. */
  statements(nodes: readonly AnyNode[], depth: number): Statement[] {
    return this.within(() => nodes.flatMap((node) => this.statement(node, depth)));
  }

  /** `const` and `let`; a name alone may hold what a call gives. */
  private named(node: AnyNode & { type: 'VariableDeclaration' }, depth: number): Statement[] {
    const count = this.parameters.length;
    const [first, ...others] = node.declarations;
    const alone = first?.id.type === 'Identifier' && others.length === 0 ? first.id : undefined;
    const call = alone && first?.init ? this.giving(first.init, depth) : undefined;
    if (!alone || !call) {
      const taken = this.declared(node, depth);
      if (node.kind === 'let') this.letFrom(count);
      return taken.map((each): Statement => ({ type: 'let', ...each }));
    }
    this.parameters.push(alone.name);
    if (node.kind === 'let') this.letFrom(count);
    const gives: Assigned = { name: alone.name, span: this.span(alone), path: [], local: true };
    const nothing: Expression = { type: 'literal', value: undefined };
    return [
      { type: 'let', name: alone.name, value: nothing },
      { ...call, gives },
    ];
  }

  /** The names that are known from a place among them on may be assigned. */
  private letFrom(count: number): void {
    this.lets = [...this.lets, ...this.parameters.slice(count).map((_, index) => count + index)];
  }

  private each(node: AnyNode & { type: 'ForOfStatement' }, depth: number): Statement {
    const declared = node.left.type === 'VariableDeclaration' ? node.left : undefined;
    const id = declared?.declarations[0]?.id;
    if (declared?.kind !== 'const' || !id || node.await)
      return this.refuse(node.left, 'Write it as `for (const item of list)`.');
    const of = this.expression(node.right, depth + 1);
    return this.within(() => {
      const name = id.type === 'Identifier' ? id.name : `value ${id.start}`;
      const taken: Taken[] = [];
      if (id.type !== 'Identifier') this.pattern(id, { type: 'name', name, span: this.span(id) }, taken);
      this.parameters.push(name, ...taken.map((each) => each.name));
      const lets = taken.map((each): Statement => ({ type: 'let', ...each }));
      return { type: 'each', name, of, body: [...lets, ...this.statement(node.body, depth + 1)] };
    });
  }

  /** `for (let i = 0; i < 5; i++)`: its beginning, and a loop behind it. */
  private counting(node: AnyNode & { type: 'ForStatement' }, depth: number): Statement {
    return this.within(() => {
      const { init, test, update } = node;
      const begins = !init
        ? []
        : init.type === 'VariableDeclaration'
          ? this.named(init, depth)
          : this.action(init, depth);
      const loop: Statement = {
        type: 'while',
        test: test ? this.expression(test, depth) : always,
        after: update ? this.action(update, depth) : [],
        body: this.statement(node.body, depth),
      };
      return { type: 'if', test: always, whenTrue: [...begins, loop], whenFalse: [] };
    });
  }

  private trying(
    { block, handler, finalizer }: AnyNode & { type: 'TryStatement' },
    depth: number,
  ): Statement {
    const param = handler?.param;
    if (param && param.type !== 'Identifier')
      return this.refuse(param, 'Write it as `catch (error)`, and read `error.message`.');
    return {
      type: 'try',
      body: this.statement(block, depth),
      catches: Boolean(handler),
      ...(param ? { name: param.name } : {}),
      caught: handler
        ? this.within(() => {
            if (param) this.parameters.push(param.name);
            return this.statement(handler.body, depth);
          })
        : [],
      lastly: finalizer ? this.statement(finalizer, depth) : [],
    };
  }

  /** The variable that is assigned, and the keys that lead into it. */
  private target(node: AnyNode, depth: number): Assigned {
    if (node.type === 'Identifier') {
      const known = this.parameters.lastIndexOf(node.name);
      if (known >= 0 && !this.lets.includes(known))
        return this.refuse(
          node,
          `\`${node.name}\` is a value of this event, and stays what it is where it is not begun with \`let\`; a row is changed by \`change(list, ${node.name}, { … })\`.`,
        );
      const local = known >= 0 ? { local: true as const } : {};
      return { name: node.name, span: this.span(node), path: [], ...local };
    }
    const view = dottedName(node);
    if (view !== undefined && isViewName(view) && !this.parameters.includes('View')) {
      if (view === localeName) return { name: view, span: this.span(node), path: [] };
      return this.refuse(
        node,
        `\`${view}\` tells how the page is shown; of \`View\`, only \`${localeName}\` can be set.`,
      );
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
      const call = node.operator === '=' ? this.giving(node.right, depth) : undefined;
      if (call) {
        const gives = this.target(node.left, depth);
        // What two of them would change is told from where the whole stands.
        return [call.type === 'alter' ? { ...call, gives, statement: this.span(node) } : { ...call, gives }];
      }
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
    if (node.type === 'SequenceExpression')
      return node.expressions.flatMap((each) => this.action(each, depth + 1));
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

  /** A call that gives something; undefined for all others. */
  private giving(node: AnyNode, depth: number): Giving | undefined {
    const handler = handlerCalled(node);
    return handler
      ? this.handled(handler, depth)
      : (this.alteringCalled(node, depth) ?? this.asked(node, depth));
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
          ...(options ? this.goOptions(options) : {}),
        },
      ];
    }
    const { takes, count, several } = altering;
    const [first, ...others] = node.arguments;
    const own = node.arguments.slice(0, several ? undefined : 1).find((each) => this.isOwn(each));
    if (own)
      return this.refuse(
        own,
        `\`${name}\` takes ${takes}; a name of this event is set instead: \`rows = [...rows, row]\`.`,
      );
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

  /** Whether something is a name that this event began with `let`, or lies in one. */
  private isOwn(node: AnyNode): boolean {
    if (node.type === 'MemberExpression') return this.isOwn(node.object);
    return node.type === 'Identifier' && this.lets.includes(this.parameters.lastIndexOf(node.name));
  }

  /** How a screen is gone to: `{ replace: true, transition: 'fade', seconds: 0.3 }`. */
  private goOptions(node: AnyNode): { replaces?: true; transition?: Transition } {
    const entries = node.type === 'ObjectExpression' ? node.properties : [];
    let replaces = false;
    const how: { name?: TransitionName; seconds?: number; ease?: string } = {};
    for (const entry of entries) {
      const value =
        entry.type === 'Property' && entry.value.type === 'Literal' ? entry.value.value : undefined;
      const key = entry.type === 'Property' && entry.key.type === 'Identifier' ? entry.key.name : '';
      if (key === 'replace' && typeof value === 'boolean') replaces = value;
      else if (key === 'transition' && typeof value === 'string')
        how.name = this.transitionNamed(entry, value);
      else if (key === 'seconds' && typeof value === 'number' && value >= 0 && value <= longestTransition)
        how.seconds = value;
      else if (key === 'ease' && typeof value === 'string' && isEasing(value)) how.ease = value;
      else
        this.refuse(
          entry,
          "Behind the values stand `replace: true`, `transition: 'fade'`, `seconds: 0.3` and `ease: 'ease-out'`.",
        );
    }
    const { name, ...rest } = how;
    if (name === undefined && Object.keys(rest).length > 0)
      this.refuse(node, '`seconds` and `ease` belong to a `transition`.');
    return { ...(replaces ? { replaces: true } : {}), ...(name ? { transition: { name, ...rest } } : {}) };
  }

  private transitionNamed(node: AnyNode, name: string): TransitionName {
    return isOneOf(transitions, name)
      ? name
      : this.refuse(node, `There is no transition \`${name}\`.${didYouMean(name, transitions)}`);
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
