/** Where columns of tables are named: in expressions and events, in cells and heads, in what other columns refer to. */

import { readAttribute } from '../cascade/attributes.ts';
import { textInForce } from '../cascade/cascade.ts';
import { repetitionAround } from '../cascade/repetition.ts';
import { rowShape, shapeAt } from '../document/answer-shape.ts';
import { didYouMean } from '../document/nearest.ts';
import type { Request } from '../document/source.ts';
import { columnsOf } from '../document/table.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce, type Project, type StateVariable, treesOf } from '../document/types.ts';
import {
  type ColumnUse,
  columnsInEvent,
  columnsNamed,
  type Shape,
  type ShapeOf,
  withColumnRenamed,
} from '../expression/column-uses.ts';
import { parseExpression, parseStatements } from '../expression/parse.ts';
import { inEvent, usesIn } from '../expression/renaming.ts';
import { hasExpression, parseTemplate } from '../expression/template.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { declaresValue } from '../reuse/definition.ts';

/** What names stand for at some place of a tree. One and the same object wherever that is the same. */
export interface ColumnScope {
  readonly shapeOf: ShapeOf;
  /** The rows that the nearest control around goes through, one by one. */
  readonly items: Shape | undefined;
}

/** What the variables of a project stand for: lists are tables, what follows them may be rows of them. */
const ofState = new WeakMap<readonly StateVariable[], ColumnScope>();

function scopeOfState(state: readonly StateVariable[]): ColumnScope {
  const known = ofState.get(state);
  if (known) return known;
  const variables = new Map(state.map((variable) => [variable.name, variable]));
  const shapes = new Map<string, Shape | undefined>();
  const shapeOf = (name: string): Shape | undefined => {
    if (shapes.has(name)) return shapes.get(name);
    const variable = variables.get(name);
    // One that follows itself is none.
    shapes.set(name, undefined);
    const shape = variable && shapeOfVariable(variable, shapeOf);
    shapes.set(name, shape);
    return shape;
  };
  const scope = { shapeOf, items: undefined };
  ofState.set(state, scope);
  return scope;
}

/** What a request's variable holds: rows, or one, as far as its answer is known. */
function answerShape(table: string, { shape, at }: Request): Shape | undefined {
  const row = rowShape(shapeAt(shape, at));
  return row && { is: row.is === 'rows' ? 'answers' : 'answer', table };
}

function shapeOfVariable(
  { name, type, computed, request }: StateVariable,
  shapeOf: ShapeOf,
): Shape | undefined {
  if (request) return answerShape(name, request);
  if (computed === undefined) return type === 'list' ? { is: 'rows', table: name } : undefined;
  const read = parseExpression(computed);
  return read.ok ? columnsNamed(read.value, shapeOf).shape : undefined;
}

const inner = new WeakMap<ColumnScope, Map<string, ColumnScope>>();

/** What names stand for inside a control that goes through a list. */
function scopeInside(around: ColumnScope, list: string, as: string): ColumnScope {
  const known = inner.get(around) ?? new Map<string, ColumnScope>();
  inner.set(around, known);
  const key = `${as} ${list}`;
  const before = known.get(key);
  if (before) return before;
  const read = parseTemplate(list);
  const [part] = read.ok ? read.value.parts : [];
  const of =
    part === undefined || typeof part === 'string' ? undefined : columnsNamed(part, around.shapeOf).shape;
  const items = of?.is === 'rows' ? of : undefined;
  const made: ColumnScope = {
    items,
    shapeOf: (name) => {
      if (name !== as) return around.shapeOf(name);
      return items && { is: 'row', table: items.table };
    },
  };
  known.set(key, made);
  return made;
}

/** The scope inside a control, where it goes through a list; else the one around it. */
function scopeBelow(control: Control, around: ColumnScope): ColumnScope {
  const repetition = repetitionAround(control);
  if (!repetition) return around;
  return scopeInside(around, textInForce(control, { name: repetition.list }, ['']) ?? '', repetition.as);
}

interface TreeScopes {
  readonly state: readonly StateVariable[];
  readonly scopes: ReadonlyMap<string, ColumnScope>;
}

const ofTrees = new WeakMap<Control, TreeScopes>();

/** The scope that each control of a tree stands in, by its id. */
function scopesIn(tree: Control, state: readonly StateVariable[]): ReadonlyMap<string, ColumnScope> {
  const known = ofTrees.get(tree);
  if (known?.state === state) return known.scopes;
  const scopes = new Map<string, ColumnScope>();
  const visit = (control: Control, around: ColumnScope) => {
    scopes.set(control.id, around);
    if (control.children.length === 0) return;
    const below = scopeBelow(control, around);
    for (const child of control.children) visit(child, below);
  };
  const whole = scopeOfState(state);
  const isComponent = kindOf(tree).root === 'components';
  // What a component declares hides what the project calls so.
  visit(
    tree,
    isComponent
      ? {
          ...whole,
          shapeOf: (name) => (declaresValue(tree, name) ? undefined : whole.shapeOf(name)),
        }
      : whole,
  );
  ofTrees.set(tree, { state, scopes });
  return scopes;
}

/** The scope that a control of a tree stands in. */
export const columnScopeAt = (
  tree: Control,
  state: readonly StateVariable[],
  id: string,
): ColumnScope | undefined => scopesIn(tree, state).get(id);

/** The list whose rows a control shows one by one; undefined: it shows none, or they are worked out. */
export function listShownBy(
  tree: Control,
  state: readonly StateVariable[],
  control: Control,
): string | undefined {
  const scope = columnScopeAt(tree, state, control.id);
  return scope && repetitionAround(control) ? scopeBelow(control, scope).items?.table : undefined;
}

/** A column that an attribute of a control names. */
export interface ColumnUseIn extends ColumnUse {
  readonly attribute: string;
}

const ofProps = new WeakMap<
  Control['props'],
  { readonly scope: ColumnScope; readonly uses: readonly ColumnUseIn[] }
>();

/** The columns that a control names, in a scope. */
export function columnUsesOf(
  control: Control,
  scope: ColumnScope,
  bands: Project['bands'],
): readonly ColumnUseIn[] {
  const known = ofProps.get(control.props);
  if (known?.scope === scope) return known.uses;
  const own = scopeBelow(control, scope).items;
  const uses = Object.entries(control.props).flatMap(([attribute, value]): ColumnUseIn[] => {
    const text = inForce(value);
    if (text === undefined) return [];
    const found = usesInAttribute(control, attribute, text, { scope, own, bands });
    return found.map((use) => ({ ...use, attribute }));
  });
  ofProps.set(control.props, { scope, uses });
  return uses;
}

interface AttributeSurroundings {
  readonly scope: ColumnScope;
  /** The rows that the control itself shows. */
  readonly own: Shape | undefined;
  readonly bands: Project['bands'];
}

function usesInAttribute(
  control: Control,
  attribute: string,
  text: string,
  { scope, own, bands }: AttributeSurroundings,
): readonly ColumnUse[] {
  const meaning = readAttribute(kindOf(control), attribute, bands);
  if (typeof meaning === 'string') return [];
  if (meaning.role === 'bind') {
    const read = parseExpression(text);
    return read.ok
      ? columnsNamed(read.value, scope.shapeOf).uses.map((use) => ({ ...use, written: true }))
      : [];
  }
  if (meaning.role === 'event') {
    const { gives, givesItem } = meaning.event;
    const read = parseStatements(text);
    const shapeOf: ShapeOf = (name) => {
      // What gives way to another name is no row.
      if (name !== gives || !givesItem) return scope.shapeOf(name);
      return own && { is: 'row', table: own.table };
    };
    return read.ok ? columnsInEvent(read.value, shapeOf) : [];
  }
  if (hasExpression(text)) {
    const read = parseTemplate(text);
    return read.ok
      ? read.value.parts.flatMap((part) =>
          typeof part === 'string' ? [] : columnsNamed(part, scope.shapeOf).uses,
        )
      : [];
  }
  const { columns } = meaning.property;
  const table = columns && (columns.of === 'own' ? own : scope.items)?.table;
  return table === undefined
    ? []
    : columns!.in(text).map((column) => ({ table, column, as: 'text', span: [0, 0], written: false }));
}

/** A column of a table that gets another name. */
export interface ColumnRenaming {
  readonly table: string;
  readonly from: string;
  readonly to: string;
}

/** Where a column is named. */
export interface ColumnPlace {
  readonly tree: Control;
  readonly control: Control;
  readonly attribute: string;
}

/** All attributes that name a column of a table. */
export function usesOfColumn(project: Project, table: string, column: string): readonly ColumnPlace[] {
  return treesOf(project).flatMap((tree) =>
    [...walk(tree)].flatMap((control) => {
      const scope = columnScopeAt(tree, project.state, control.id);
      const uses = scope ? columnUsesOf(control, scope, project.bands) : [];
      const attributes = new Set(
        uses.filter((use) => use.table === table && use.column === column).map(({ attribute }) => attribute),
      );
      return [...attributes].map((attribute) => ({ tree, control, attribute }));
    }),
  );
}

/** The variables that name a column of another table: they follow it, or a column of theirs refers to it. */
export const followersOfColumn = (
  project: Project,
  table: string,
  column: string,
): readonly StateVariable[] =>
  project.state.filter(
    ({ computed, columns, name }) =>
      (name !== table && columns?.some(({ refers }) => refers?.list === table && refers.column === column)) ||
      namedInComputed(project, computed).some((use) => use.table === table && use.column === column),
  );

function namedInComputed({ state }: Project, computed: string | undefined): readonly ColumnUse[] {
  const read = computed === undefined ? undefined : parseExpression(computed);
  return read?.ok ? columnsNamed(read.value, scopeOfState(state).shapeOf).uses : [];
}

/** An attribute's text with another name for a column. */
export function renamedInAttribute(
  project: Project,
  { tree, control, attribute }: ColumnPlace,
  { table, from, to }: ColumnRenaming,
): string {
  const scope = columnScopeAt(tree, project.state, control.id)!;
  const text = inForce(control.props[attribute])!;
  const meaning = readAttribute(kindOf(control), attribute, project.bands);
  const around = { scope, own: scopeBelow(control, scope).items, bands: project.bands };
  const rename = (part: string) =>
    withColumnRenamed(part, usesInAttribute(control, attribute, part, around), table, from, to);
  if (typeof meaning !== 'string' && meaning.role === 'event') return inEvent(text, rename);
  const { columns } = typeof meaning !== 'string' && meaning.role === 'value' ? meaning.property : {};
  return columns && !hasExpression(text) ? columns.renamed(text, from, to) : rename(text);
}

/** A variable that follows a column, or refers to it, with another name for it. */
export const renamedInVariable = (
  project: Project,
  { computed, columns, ...rest }: StateVariable,
  { table, from, to }: ColumnRenaming,
): StateVariable => ({
  ...rest,
  ...(computed === undefined
    ? {}
    : { computed: withColumnRenamed(computed, namedInComputed(project, computed), table, from, to) }),
  ...(columns
    ? {
        columns: columns.map((each) =>
          each.refers?.list === table && each.refers.column === from
            ? { ...each, refers: { list: table, column: to } }
            : each,
        ),
      }
    : {}),
});

/**
 * Items whose values a control sets, and whose rows are in no list that could be changed: they are worked out. @returns by
 * attribute the item's name.
 */
export function itemsOfNoList(
  control: Control,
  scope: ColumnScope,
  { items, bands }: { readonly items: readonly string[]; readonly bands: Project['bands'] },
): readonly (readonly [attribute: string, item: string])[] {
  return Object.entries(control.props).flatMap(([attribute, value]) => {
    const text = inForce(value);
    const meaning = readAttribute(kindOf(control), attribute, bands);
    if (text === undefined || typeof meaning === 'string' || meaning.role === 'value') return [];
    const set = usesIn(meaning, text).find(
      ({ name, written }) => written && items.includes(name) && scope.shapeOf(name) === undefined,
    );
    return set ? [[attribute, set.name] as const] : [];
  });
}

/** A column that a table does not have. */
export interface MissingColumn {
  readonly attribute: string;
  readonly message: string;
  /** UTF-16 index into the attribute's text. */
  readonly at: number;
}

/** Columns that events of a project write into a table whose columns nobody has said. */
const written = new WeakMap<Project['screens'], ReadonlyMap<string, ReadonlySet<string>>>();

function writtenColumns(project: Project): ReadonlyMap<string, ReadonlySet<string>> {
  const known = written.get(project.screens);
  if (known) return known;
  const found = new Map<string, Set<string>>();
  for (const tree of treesOf(project))
    for (const control of walk(tree)) {
      const scope = columnScopeAt(tree, project.state, control.id);
      for (const use of scope ? columnUsesOf(control, scope, project.bands) : [])
        if (use.written) found.set(use.table, (found.get(use.table) ?? new Set()).add(use.column));
    }
  written.set(project.screens, found);
  return found;
}

/**
 * The columns that a control names and its tables do not have. Of a table whose columns nobody has said, and that has no rows yet or
 * gets them from elsewhere, nothing is known, and nothing is missing.
 */
export function missingColumns(
  project: Project,
  control: Control,
  scope: ColumnScope,
): readonly MissingColumn[] {
  const tables = new Map(project.state.map((variable) => [variable.name, variable]));
  return columnUsesOf(control, scope, project.bands).flatMap(({ table, column, attribute, span }) => {
    const variable = tables.get(table);
    if (!variable) return [];
    const isSaid = (variable.columns?.length ?? 0) > 0;
    const comes = variable.feed !== undefined || variable.remote !== undefined;
    const names = (isSaid || !comes ? columnsOf(variable) : []).map(({ name }) => name);
    if (names.length === 0 || names.includes(column)) return [];
    if (!isSaid && writtenColumns(project).get(table)?.has(column)) return [];
    return {
      attribute,
      message: `\`${table}\` has no column \`${column}\`.${didYouMean(column, names)}`,
      at: span[0],
    };
  });
}
