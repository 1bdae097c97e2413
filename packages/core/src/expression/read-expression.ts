/** From acorn's tree to expressions: what `ast.ts` knows of ECMAScript; all else is refused with a sentence. */

import type { AnyNode, Node } from 'acorn';
import { forbiddenKeys } from '../document/forbidden-keys.ts';
import { didYouMean } from '../document/nearest.ts';
import { isOneOf, itemAt } from '../sure.ts';
import {
  binaryOperators,
  deepestExpression,
  dottedName,
  type Taken,
  unaryOperators,
  withTaken,
} from './acorn-names.ts';
import { functions } from './all-functions.ts';
import type { Expression, RecordEntry, Span, Spread } from './ast.ts';
import { constants, methodNames, namespaces, patternMethods } from './functions.ts';
import { meantBy } from './meant.ts';
import { isOwnCode } from './own-code.ts';
import { PatternRefused, readPattern } from './patterns/read.ts';
import { ExpressionError } from './problem.ts';
import { isViewName, viewNames } from './view-names.ts';

/** Reads expressions from acorn's tree. */
export class ExpressionReader {
  /** Parameters of the arrow functions around the place being read. */
  protected readonly parameters: string[] = [];

  constructor(private readonly offset: number) {}

  protected refuse(node: Node, message: string): never {
    throw new ExpressionError(message, node.start + this.offset);
  }

  protected span(node: Node): Span {
    return [node.start + this.offset, node.end + this.offset];
  }

  /** The values of an action, which has its own number of them. */
  protected arguments(nodes: readonly AnyNode[], depth: number): Expression[] {
    return nodes.map((node) => {
      if (node.type === 'SpreadElement') return this.refuse(node, '`...` is not available in actions.');
      return this.value(node, depth);
    });
  }

  /** The values of a call, a list among them spread. */
  private values(nodes: readonly AnyNode[], depth: number): (Expression | Spread)[] {
    return nodes.map((node) =>
      node.type === 'SpreadElement' ? this.spread(node, depth) : this.value(node, depth),
    );
  }

  private value(node: AnyNode, depth: number): Expression {
    return node.type === 'ArrowFunctionExpression' ? this.arrow(node, depth) : this.expression(node, depth);
  }

  private arrow(node: AnyNode & { type: 'ArrowFunctionExpression' }, depth: number): Expression {
    if (node.async) return this.refuse(node, 'Write the function as `item => expression`.');
    const count = this.parameters.length;
    const taken: Taken[] = [];
    const parameters = node.params.map((parameter, index) => {
      if (parameter.type === 'Identifier') return parameter.name;
      // No name that somebody writes has a space.
      const whole = `value ${index}`;
      this.pattern(parameter, { type: 'name', name: whole, span: this.span(parameter) }, taken);
      return whole;
    });
    this.parameters.push(...parameters, ...taken.map(({ name }) => name));
    const { body } = node;
    const inner =
      body.type === 'BlockStatement'
        ? this.block(body, body.body, depth + 1)
        : this.expression(body, depth + 1);
    this.parameters.length = count;
    return { type: 'arrow', parameters, body: withTaken(taken, inner) };
  }

  /** The names that a pattern takes out of a value: `{ guest, nights: count }`, `[first, second]`. */
  protected pattern(node: AnyNode, of: Expression, taken: Taken[]): void {
    const member = (inner: AnyNode, key: Expression) =>
      this.pattern(inner, { type: 'member', of, key, optional: true }, taken);
    if (node.type === 'Identifier') {
      this.refuseKey(node, node.name);
      taken.push({ name: node.name, value: of });
    } else if (node.type === 'ArrayPattern')
      for (const [index, inner] of node.elements.entries()) {
        if (inner) member(inner, { type: 'literal', value: index });
      }
    else if (node.type === 'ObjectPattern')
      for (const property of node.properties) {
        const { key, value } = this.taken(property);
        member(value, { type: 'literal', value: key.name, span: this.span(key) });
      }
    else this.refuse(node, 'Only names stand here, or `{ a, b }` and `[a, b]` of names.');
  }

  /** What a pattern takes out under a name. */
  private taken(node: AnyNode): { readonly key: AnyNode & { type: 'Identifier' }; readonly value: AnyNode } {
    if (node.type !== 'Property' || node.computed || node.key.type !== 'Identifier')
      return this.refuse(node, 'Only names stand here: `{ guest, nights }`.');
    this.refuseKey(node.key, node.key.name);
    return { key: node.key, value: node.value };
  }

  /** What `const` and `let` name, in turn. */
  protected declared(node: AnyNode & { type: 'VariableDeclaration' }, depth: number): Taken[] {
    if (node.kind === 'var') return this.refuse(node, 'Write it as `const name = value`.');
    return node.declarations.flatMap(({ id, init }) => {
      if (!init) return this.refuse(id, 'It needs a value: `const name = value`.');
      const taken: Taken[] = [];
      if (id.type === 'Identifier') this.pattern(id, this.expression(init, depth), taken);
      else {
        const name = `value ${id.start}`;
        taken.push({ name, value: this.expression(init, depth) });
        this.pattern(id, { type: 'name', name, span: this.span(id) }, taken);
      }
      this.parameters.push(...taken.map((each) => each.name));
      return taken;
    });
  }

  /** What a function with a body gives back: constants, `if`, and `return` on each way. */
  private block(around: AnyNode, statements: readonly AnyNode[], depth: number): Expression {
    const [first, ...rest] = statements;
    if (!first) return this.refuse(around, 'Each way through a function ends with `return` and a value.');
    if (depth > deepestExpression) this.refuse(around, 'This is nested too deeply.');
    switch (first.type) {
      case 'EmptyStatement':
        return this.block(around, rest, depth + 1);
      case 'BlockStatement':
        return this.block(around, [...first.body, ...rest], depth + 1);
      case 'ReturnStatement':
        return first.argument
          ? this.expression(first.argument, depth + 1)
          : this.refuse(first, 'A function gives a value back: `return value`.');
      case 'IfStatement': {
        const test = this.expression(first.test, depth + 1);
        const whenTrue = this.block(first, [first.consequent, ...rest], depth + 1);
        const otherwise = first.alternate ? [first.alternate, ...rest] : rest;
        return { type: 'choice', test, whenTrue, whenFalse: this.block(around, otherwise, depth + 1) };
      }
      case 'VariableDeclaration': {
        const count = this.parameters.length;
        const taken = this.declared(first, depth + 1);
        const inner = this.block(around, rest, depth + 1);
        this.parameters.length = count;
        return withTaken(taken, inner);
      }
      default:
        return this.refuse(first, 'Only `const`, `if` and `return` can stand in a function.');
    }
  }

  expression(node: AnyNode, depth: number): Expression {
    if (depth > deepestExpression) this.refuse(node, 'This is nested too deeply.');
    const next = depth + 1;
    switch (node.type) {
      case 'Literal':
        return this.literal(node);
      case 'Identifier':
        return this.name(node);
      case 'ParenthesizedExpression':
        return this.expression(node.expression, next);
      case 'ChainExpression':
        return this.expression(node.expression, next);
      case 'UnaryExpression':
        if (!isOneOf(unaryOperators, node.operator))
          return this.refuse(node, `\`${node.operator}\` is not available here.`);
        return {
          type: 'unary',
          operator: node.operator,
          of: this.expression(node.argument, next),
        };
      case 'BinaryExpression':
        if (!isOneOf(binaryOperators, node.operator))
          return this.refuse(node, `\`${node.operator}\` is not available here.`);
        return {
          type: 'binary',
          operator: node.operator,
          left: this.expression(node.left, next),
          right: this.expression(node.right, next),
        };
      case 'LogicalExpression':
        return {
          type: 'logical',
          operator: node.operator,
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

  private literal(node: AnyNode & { type: 'Literal' }): Expression {
    const { value } = node;
    if (value instanceof RegExp || ('regex' in node && node.regex))
      return this.refuse(
        node,
        `A regular expression stands in ${[...patternMethods].map((name) => `\`${name}\``).join(', ')}, or in front of \`.test(text)\`.`,
      );
    if (typeof value === 'bigint') return this.refuse(node, 'Numbers ending in `n` are not available here.');
    return {
      type: 'literal',
      value: value ?? null,
      ...(typeof value === 'string' ? { span: this.span(node) } : {}),
    };
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
              : String(entry.key.type === 'Literal' ? entry.key.value : ''),
          span: this.span(entry.key),
        };
    if (key.type === 'literal') this.refuseKey(entry, String(key.value));
    const value = this.expression(entry.value, depth);
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
      namespaces.has(itemAt(full.split('.'), 0)) &&
      !this.parameters.includes(itemAt(full.split('.'), 0))
    )
      return this.refuse(
        node.property,
        `There is no \`${full}\` here.${meantBy(full) || didYouMean(full, [...Object.keys(functions), ...Object.keys(constants), ...viewNames])}`,
      );
    const key: Expression = node.computed
      ? this.expression(node.property, depth)
      : {
          type: 'literal',
          value: node.property.type === 'Identifier' ? node.property.name : '',
          span: this.span(node.property),
        };
    if (key.type === 'literal') this.refuseKey(node.property, String(key.value));
    return { type: 'member', of: this.expression(node.object, depth), key, optional: node.optional };
  }

  private calledByName(name: string, node: AnyNode & { type: 'CallExpression' }, depth: number): Expression {
    const given = this.values(node.arguments, depth);
    const [of, arrow, ...more] = given;
    // `Array.from(list, f)` is `Array.from(list).map(f)` (ECMAScript §23.1.2.1).
    if (name === 'Array.from' && of && arrow?.type === 'arrow' && more.length === 0)
      return {
        type: 'method',
        of: { type: 'call', name, arguments: [of] },
        name: 'map',
        arguments: [arrow],
        optional: false,
      };
    return { type: 'call', name, arguments: given };
  }

  /** A regular expression, where one may stand; undefined for all else. */
  private regularExpression(node: AnyNode | undefined): Expression | undefined {
    if (node?.type !== 'Literal' || !('regex' in node) || !node.regex) return undefined;
    try {
      return { type: 'pattern', program: readPattern(node.regex.pattern, node.regex.flags) };
    } catch (error) {
      if (!(error instanceof PatternRefused)) throw error;
      return this.refuse(node, error.message);
    }
  }

  /** `/^\d+$/.test(text)`, as what the text is asked. */
  private tested(node: AnyNode & { type: 'CallExpression' }, depth: number): Expression | undefined {
    const { callee } = node;
    if (callee.type !== 'MemberExpression' || callee.computed || callee.property.type !== 'Identifier')
      return undefined;
    const pattern = this.regularExpression(callee.object as AnyNode);
    if (!pattern) return undefined;
    const given = this.values(node.arguments, depth);
    if (callee.property.name !== 'test' || given.length !== 1)
      return this.refuse(callee.property, 'Behind a regular expression stands `.test(text)`.');
    const of: Expression = { type: 'call', name: 'String', arguments: given };
    return { type: 'method', of, name: 'test', arguments: [pattern], optional: false };
  }

  /** The values of a method; the first of some is a regular expression. */
  private methodValues(
    name: string,
    callee: Node,
    nodes: readonly AnyNode[],
    depth: number,
  ): (Expression | Spread)[] {
    const pattern = patternMethods.has(name) ? this.regularExpression(nodes[0]) : undefined;
    if (!pattern) {
      if (name === 'match' || name === 'matchAll' || name === 'search')
        return this.refuse(nodes[0] ?? callee, `\`${name}\` takes a regular expression: \`/^\\d+$/\`.`);
      return this.values(nodes, depth);
    }
    const isAll = name === 'matchAll' || name === 'replaceAll';
    if (isAll && pattern.type === 'pattern' && !pattern.program.flags.includes('g'))
      this.refuse(itemAt(nodes, 0), `\`${name}\` takes one with the flag \`g\`.`);
    return [pattern, ...this.values(nodes.slice(1), depth)];
  }

  private call(node: AnyNode & { type: 'CallExpression' }, depth: number): Expression {
    const { callee } = node;
    if (callee.type === 'Super') return this.refuse(callee, 'This is not available here.');
    const tested = this.tested(node, depth);
    if (tested) return tested;
    const full = dottedName(callee);
    if (full !== undefined && Object.hasOwn(functions, full)) return this.calledByName(full, node, depth);
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
      // A variable may be called `code`, too; its methods are those of every value.
      if (
        full !== undefined &&
        isOwnCode(full) &&
        !methodNames.has(name) &&
        !this.parameters.includes('code')
      )
        return {
          type: 'call',
          name: full,
          arguments: this.values(node.arguments, depth),
          span: this.span(callee),
        };
      if (!methodNames.has(name))
        return this.refuse(
          callee.property,
          `There is no method \`${name}\` here.${(full && meantBy(full)) || didYouMean(name, methodNames)}`,
        );
      return {
        type: 'method',
        of: this.expression(callee.object, depth),
        name,
        arguments: this.methodValues(name, callee.property, node.arguments, depth),
        optional: callee.optional,
      };
    }
    return this.refuse(
      callee,
      `${full ? `\`${full}\`` : 'This'} cannot be called here.${full ? meantBy(full) || didYouMean(full, Object.keys(functions)) : ''}`,
    );
  }
}
