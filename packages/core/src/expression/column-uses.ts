/**
 * Which columns of which tables an expression names: `row.nights` where `row` is a row of `stays`. What a value is follows
 * from where it comes from, as far as that can be told without working it out.
 */
import { isIdentifier, keyText } from '../document/member-text.ts';
import type { Expression, RecordEntry, Span, Spread, Statement } from './ast.ts';
import { expressionsIn, innerOf } from './statement-parts.ts';

/** What a value is, as far as columns go: the rows of a table, or one of them. */
export interface Shape {
  /** `answers`: it holds rows as its `result`; `answer`: one. */
  readonly is: 'rows' | 'row' | 'answers' | 'answer';
  /** Name of the variable that holds the table. */
  readonly table: string;
}

/** What a name stands for; undefined where that is not known, or no table has to do with it. */
export type ShapeOf = (name: string) => Shape | undefined;

/** A column that is named in a text. */
export interface ColumnUse {
  readonly table: string;
  readonly column: string;
  /** Where it is written: after a dot, as a text in quotes, or as the key of a record's entry. */
  readonly as: 'member' | 'text' | 'key' | 'shorthand';
  readonly span: Span;
  /** A row gets a value there. */
  readonly written: boolean;
}

/** Methods that give rows of the list that they are called on, and those that give one of its rows. */
const givesRows = new Set(['filter', 'toSorted', 'toReversed', 'toSpliced', 'slice', 'concat', 'with']);
const givesRow = new Set(['find', 'findLast', 'at']);
/** Methods whose function gets a row, as which of its parameters. */
const rowAt: Readonly<Record<string, readonly number[]>> = {
  __proto__: null as never,
  ...Object.fromEntries(
    ['filter', 'find', 'findIndex', 'findLast', 'map', 'flatMap', 'some', 'every'].map((name) => [name, [0]]),
  ),
  toSorted: [0, 1],
  reduce: [1],
};

class Reader {
  readonly found: ColumnUse[] = [];

  constructor(private readonly shapeOf: ShapeOf) {}

  /** @returns what the value of an expression is. */
  read(node: Expression | Spread | RecordEntry, shapeOf: ShapeOf = this.shapeOf): Shape | undefined {
    switch (node.type) {
      case 'name':
        return shapeOf(node.name);
      case 'literal':
        return undefined;
      case 'member':
        return this.member(this.read(node.of, shapeOf), node.key, false, shapeOf);
      case 'unary':
        this.read(node.of, shapeOf);
        return undefined;
      case 'spread':
        return this.read(node.of, shapeOf);
      case 'binary':
        this.read(node.left, shapeOf);
        this.read(node.right, shapeOf);
        return undefined;
      case 'logical': {
        const left = this.read(node.left, shapeOf);
        return this.read(node.right, shapeOf) ?? (node.operator === '&&' ? undefined : left);
      }
      case 'choice': {
        this.read(node.test, shapeOf);
        const [yes, no] = [node.whenTrue, node.whenFalse].map((part) => this.read(part, shapeOf));
        return yes ?? no;
      }
      case 'template':
        for (const part of node.parts) this.read(part, shapeOf);
        return undefined;
      case 'list':
        return node.items.map((item) => this.read(item, shapeOf)).find((shape) => shape?.is === 'rows');
      case 'record':
        return this.record(node.entries, undefined, shapeOf);
      case 'entry':
        this.read(node.value, shapeOf);
        return undefined;
      case 'let': {
        const held = this.read(node.value, shapeOf);
        return this.read(node.in, (name) => (name === node.name ? held : shapeOf(name)));
      }
      case 'arrow':
        this.arrow(node, [], undefined, shapeOf);
        return undefined;
      case 'call':
        return this.call(node, shapeOf);
      case 'method':
        return this.method(node, shapeOf);
    }
  }

  /** A place in a value. */
  member(
    of: Shape | undefined,
    key: Expression,
    written: boolean,
    shapeOf = this.shapeOf,
  ): Shape | undefined {
    this.read(key, shapeOf);
    if (of?.is === 'rows') {
      const isPlace = key.type !== 'literal' || typeof key.value === 'number';
      return isPlace ? { is: 'row', table: of.table } : undefined;
    }
    if (of?.is === 'answers' || of?.is === 'answer') {
      if (key.type !== 'literal' || key.value !== 'result') return undefined;
      return { is: of.is === 'answers' ? 'rows' : 'row', table: of.table };
    }
    if (of?.is === 'row' && key.type === 'literal' && typeof key.value === 'string' && key.span)
      this.found.push({
        table: of.table,
        column: key.value,
        as: key.span[1] - key.span[0] === key.value.length ? 'member' : 'text',
        span: key.span,
        written,
      });
    return undefined;
  }

  /** A record, whose keys are columns where it becomes a row. */
  record(
    entries: readonly (RecordEntry | Spread)[],
    row: string | undefined,
    shapeOf = this.shapeOf,
  ): Shape | undefined {
    const spreads = entries.filter(({ type }) => type === 'spread').map((each) => this.read(each, shapeOf));
    const shape = spreads.find((each) => each?.is === 'row');
    const table = row ?? shape?.table;
    for (const entry of entries) {
      if (entry.type === 'spread') continue;
      const { key, value } = entry;
      this.read(value, shapeOf);
      if (table === undefined || key.type !== 'literal' || !key.span) continue;
      const isShort = value.type === 'name' && value.shorthand === true;
      const isQuoted = key.span[1] - key.span[0] !== String(key.value).length;
      this.found.push({
        table,
        column: String(key.value),
        as: isShort ? 'shorthand' : isQuoted ? 'text' : 'key',
        span: key.span,
        written: true,
      });
    }
    return shape;
  }

  /** A function, some of whose parameters are rows. */
  private arrow(
    node: Expression & { readonly type: 'arrow' },
    rows: readonly number[],
    table: string | undefined,
    shapeOf: ShapeOf,
  ): void {
    const { parameters, body } = node;
    this.read(body, (name) => {
      const at = parameters.indexOf(name);
      if (at < 0) return shapeOf(name);
      return table !== undefined && rows.includes(at) ? { is: 'row', table } : undefined;
    });
  }

  private method(node: Expression & { readonly type: 'method' }, shapeOf: ShapeOf): Shape | undefined {
    const of = this.read(node.of, shapeOf);
    const table = of?.is === 'rows' ? of.table : undefined;
    for (const argument of node.arguments)
      if (argument.type === 'arrow') this.arrow(argument, rowAt[node.name] ?? [], table, shapeOf);
      else this.read(argument, shapeOf);
    if (table === undefined) return undefined;
    if (givesRows.has(node.name)) return of;
    return givesRow.has(node.name) ? { is: 'row', table } : undefined;
  }

  private call(node: Expression & { readonly type: 'call' }, shapeOf: ShapeOf): undefined {
    const [first] = node.arguments.map((argument) => this.read(argument, shapeOf));
    const [, by] = node.arguments;
    if (node.name === 'Group.by' && first?.is === 'rows' && by?.type === 'literal' && by.span)
      this.found.push({
        table: first.table,
        column: String(by.value),
        as: 'text',
        span: by.span,
        written: false,
      });
    return undefined;
  }

  statements(statements: readonly Statement[], around: ShapeOf = this.shapeOf): void {
    let shapeOf = around;
    for (const statement of statements) {
      this.statement(statement, shapeOf);
      if (statement.type !== 'let') continue;
      const [before, held] = [shapeOf, new Reader(shapeOf).read(statement.value)];
      shapeOf = (name) => (name === statement.name ? held : before(name));
    }
  }

  private statement(statement: Statement, shapeOf: ShapeOf): void {
    switch (statement.type) {
      case 'assign':
        statement.path.reduce<Shape | undefined>(
          (shape, key) => this.member(shape, key, true, shapeOf),
          shapeOf(statement.name),
        );
        this.read(statement.value, shapeOf);
        return;
      case 'alter': {
        const of = statement.path.length === 0 ? shapeOf(statement.name) : undefined;
        const table = of?.is === 'rows' ? of.table : undefined;
        for (const argument of statement.arguments)
          if (argument.type === 'record') this.record(argument.entries, table, shapeOf);
          else this.read(argument, shapeOf);
        return;
      }
      case 'each': {
        const of = this.read(statement.of, shapeOf);
        this.statements(statement.body, (name) => {
          if (name !== statement.name) return shapeOf(name);
          return of?.is === 'rows' ? { is: 'row', table: of.table } : undefined;
        });
        return;
      }
      default:
        for (const expression of expressionsIn(statement)) this.read(expression, shapeOf);
        for (const { statements, names } of innerOf(statement))
          this.statements(statements, (name) => (names.includes(name) ? undefined : shapeOf(name)));
    }
  }
}

/** What an expression gives, and the columns that it names. */
export function columnsNamed(
  expression: Expression,
  shapeOf: ShapeOf,
): { readonly shape: Shape | undefined; readonly uses: readonly ColumnUse[] } {
  const reader = new Reader(shapeOf);
  const shape = reader.read(expression);
  return { shape, uses: reader.found };
}

/** The columns that an event names. */
export function columnsInEvent(statements: readonly Statement[], shapeOf: ShapeOf): readonly ColumnUse[] {
  const reader = new Reader(shapeOf);
  reader.statements(statements);
  return reader.found;
}

/** A text in which a column has another name; all else stays letter for letter. */
export const withColumnRenamed = (
  text: string,
  uses: readonly ColumnUse[],
  table: string,
  from: string,
  to: string,
): string =>
  uses
    .filter((use) => use.table === table && use.column === from)
    .toSorted((a, b) => b.span[0] - a.span[0])
    .reduce((result, use) => renamedAt(result, use, from, to), text);

function renamedAt(text: string, { as, span: [start, end] }: ColumnUse, from: string, to: string): string {
  const put = (at: number, words: string) => text.slice(0, at) + words + text.slice(end);
  const quoted = JSON.stringify(to);
  const plain = keyText(to);
  if (as === 'key') return put(start, plain);
  if (as === 'shorthand') return put(start, `${plain}: ${from}`);
  if (as === 'text') {
    const quote = text.charAt(start);
    return put(start, quote === '"' || to.includes(quote) ? quoted : `${quote}${to}${quote}`);
  }
  if (isIdentifier(to)) return put(start, to);
  // `row.nights` becomes `row["nights here"]`; `row?.nights` keeps its `?.`.
  return put(text.slice(0, start).endsWith('?.') ? start : start - 1, `[${quoted}]`);
}
