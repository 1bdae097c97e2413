/** The project's state variables. */

import { readAttribute } from '../cascade/attributes.ts';
import { feedProblem } from '../document/feed.ts';
import { valueNameProblem } from '../document/names.ts';
import { isRecord } from '../document/record.ts';
import type { RemoteTable, Request } from '../document/source.ts';
import { remoteProblem, requestProblem } from '../document/source-problem.ts';
import { countValues, fitting, mostValues, stateTypes } from '../document/state.ts';
import { storedTableProblem } from '../document/stored-table.ts';
import { columnRoles, columnTypes } from '../document/table.ts';
import { taskRenamed } from '../document/task.ts';
import type { Column, Control, Feed, Project, StateVariable } from '../document/types.ts';
import { namesOf, namesOfTemplate, renameIn } from '../expression/names.ts';
import { parseExpression } from '../expression/parse.ts';
import { inEvent, usesIn } from '../expression/renaming.ts';
import { parseTemplate } from '../expression/template.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { usesOfState } from '../meaning/state-uses.ts';
import { declaresValue } from '../reuse/definition.ts';
import { isOneOf } from '../sure.ts';
import { type Collection, type Fault, onlyFields, type Use } from './collection.ts';

const fields = [
  'name',
  'type',
  'nullable',
  'initial',
  'columns',
  'computed',
  'kept',
  'screen',
  'feed',
  'table',
  'request',
  'remote',
] satisfies (keyof StateVariable)[];

const columnFields = ['name', 'type', 'required', 'unique', 'values', 'min', 'max', 'role', 'refers'];

/** Longest text of an expression, a column's name and the like, in UTF-16 units. */
const longestWords = 20_000;
/** Most columns that something is said about. */
const mostColumns = 200;

const isText = (value: unknown): value is string => typeof value === 'string' && value.length <= longestWords;

function fault(value: unknown): Fault | undefined {
  const at = (path: string, message: string): Fault => ({ path, message });
  if (!isRecord(value) || typeof value.name !== 'string') return at('name', 'A state variable has no name.');
  const variable = value as unknown as StateVariable;
  const { name } = variable;
  const named = valueNameProblem(name);
  if (named) return at('name', `State variable \`${name}\`: ${named}`);
  if (!stateTypes.includes(variable.type))
    return at('type', `State variable \`${name}\` has no type: ${stateTypes.join(', ')}.`);
  if (variable.nullable !== undefined && (variable.nullable !== true || variable.type !== 'number'))
    return at('nullable', `Only a number may hold nothing; \`${name}\` is a ${variable.type}.`);
  if (fitting(variable.type, variable.initial, variable.nullable) !== variable.initial)
    return at('initial', `The initial value of \`${name}\` is not of type ${variable.type}.`);
  if (countValues(variable.initial) > mostValues)
    return at('initial', `\`${name}\` holds more than ${mostValues} values at its start.`);
  const columns = columnsFault(variable.columns);
  if (columns) return at(columns.path, `\`${name}\`: ${columns.message}`);
  if (variable.computed !== undefined && !isText(variable.computed))
    return at('computed', `What \`${name}\` is worked out from is no text.`);
  if (variable.kept !== undefined && typeof variable.kept !== 'boolean')
    return at('kept', `Whether \`${name}\` is kept is neither yes nor no.`);
  if (variable.screen !== undefined && !isText(variable.screen))
    return at('screen', `The screen of \`${name}\` is no name.`);
  const feed = feedProblem(variable.feed);
  if (feed) return at('feed', `\`${name}\`: ${feed}`);
  const start = variable.feed?.start;
  if (start !== undefined && fitting(variable.type, start, variable.nullable) !== start)
    return at('feed', `What \`${name}\` holds until its feed comes is not of type ${variable.type}.`);
  const table = storedTableProblem(variable);
  if (table) return at('table', `\`${name}\`: ${table}`);
  return behindService(variable);
}

/** What is wrong with what a variable says of a service. */
function behindService({
  name,
  type,
  request,
  remote,
  computed,
  feed,
  table,
  kept,
  screen,
}: StateVariable): Fault | undefined {
  const at = (path: string, message: string): Fault => ({ path, message: `\`${name}\`: ${message}` });
  const problem = requestProblem(request);
  if (problem) return at('request', problem);
  const without = remoteProblem(remote);
  if (without) return at('remote', without);
  if (request && type !== 'record') return at('request', 'only a record holds the answer of a request.');
  if (remote && type !== 'list') return at('remote', 'only a list has rows behind a service.');
  const others = [computed, feed, table, kept || undefined, request && remote];
  // What begins anew with its screen would take all rows away at the service.
  if ((request || remote) && screen !== undefined)
    return at('screen', 'what comes from a service belongs to all screens.');
  return (request || remote) && others.some((other) => other !== undefined)
    ? at(request ? 'request' : 'remote', 'its values come from a service, and from elsewhere.')
    : undefined;
}

function columnsFault(columns: unknown): Fault | undefined {
  if (columns === undefined) return undefined;
  if (!Array.isArray(columns)) return { path: 'columns', message: '`columns` is not a list.' };
  if (columns.length > mostColumns)
    return { path: 'columns', message: `It has more than ${mostColumns} columns.` };
  const names = new Set<string>();
  const roles = new Set<unknown>();
  for (const [index, column] of columns.entries()) {
    const at = (field: string, message: string): Fault => ({
      path: `columns[${index}]${field && `.${field}`}`,
      message,
    });
    if (!isRecord(column) || !isText(column.name) || column.name.trim() === '')
      return at('name', 'A column has no name.');
    const { name, refers, values } = column;
    if (names.has(name)) return at('name', `There are two columns \`${name}\`.`);
    names.add(name);
    if (!isOneOf(columnTypes, column.type))
      return at('type', `Column \`${name}\` has no type: ${columnTypes.join(', ')}.`);
    for (const flag of ['required', 'unique'])
      if (column[flag] !== undefined && typeof column[flag] !== 'boolean')
        return at(flag, `\`${flag}\` of column \`${name}\` is neither yes nor no.`);
    for (const limit of ['min', 'max'])
      if (column[limit] !== undefined && !Number.isFinite(column[limit]))
        return at(limit, `\`${limit}\` of column \`${name}\` is no number.`);
    if (column.role !== undefined && !isOneOf(columnRoles, column.role))
      return at('role', `The role of column \`${name}\` is none of ${columnRoles.join(', ')}.`);
    if (column.role !== undefined && roles.has(column.role))
      return at('role', `There are two columns with the role \`${String(column.role)}\`.`);
    roles.add(column.role);
    if (values !== undefined && !(Array.isArray(values) && values.every(isText)))
      return at('values', `What column \`${name}\` may hold is no list of texts.`);
    if (refers !== undefined && !(isRecord(refers) && isText(refers.list) && isText(refers.column)))
      return at('refers', `What column \`${name}\` refers to is no column of a list.`);
    const strange = Object.keys(column).find((field) => !columnFields.includes(field));
    if (strange !== undefined) return at(strange, `A column has no \`${strange}\`.`);
  }
  return undefined;
}

function faultAmong(variables: readonly StateVariable[]): string | undefined {
  const ids = new Set<string>();
  for (const { name, table } of variables) {
    if (!table) continue;
    if (ids.has(table.id)) return `\`${name}\` has the table of another variable.`;
    ids.add(table.id);
  }
  return undefined;
}

function inAttribute(
  control: Control,
  [attribute, text]: readonly [string, string],
  from: string,
  to: string,
  { bands }: Pick<Project, 'bands'>,
): readonly [string, string] {
  const meaning = readAttribute(kindOf(control), attribute, bands);
  if (typeof meaning === 'string') return [attribute, text];
  return [attribute, inEvent(text, (part) => renameIn(part, usesIn(meaning, part), from, to))];
}

const inColumn = (column: Column, from: string, to: string): Column =>
  column.refers?.list === from ? { ...column, refers: { ...column.refers, list: to } } : column;

function inFeed(feed: Feed, from: string, to: string): Feed {
  const read = parseTemplate(feed.address);
  const address = read.ok ? renameIn(feed.address, namesOfTemplate(read.value), from, to) : feed.address;
  return { ...feed, address, ...(feed.status === from ? { status: to } : {}) };
}

/** What the parameters of a request follow. */
const inRequest = (request: Request, from: string, to: string): Request => ({
  ...request,
  parameters: (request.parameters ?? []).map((parameter) => {
    const read = parameter.value === undefined ? undefined : parseExpression(parameter.value);
    return read?.ok
      ? { ...parameter, value: renameIn(parameter.value!, namesOf(read.value), from, to) }
      : parameter;
  }),
});

const inRemote = (remote: RemoteTable, from: string, to: string): RemoteTable =>
  Object.fromEntries(
    Object.entries(remote).map(([part, name]) => [part, name === from ? to : name]),
  ) as unknown as RemoteTable;

function inEntity<T extends object>(of: string, entity: T, from: string, to: string): T {
  if (of === 'tasks') return taskRenamed(entity, 'variable', from, to);
  if (of !== 'state') return entity;
  const { computed, columns, feed, table, request, remote } = entity as Partial<StateVariable>;
  const expression = typeof computed === 'string' ? parseExpression(computed) : undefined;
  return {
    ...entity,
    ...(columns ? { columns: columns.map((column) => inColumn(column, from, to)) } : {}),
    ...(feed ? { feed: inFeed(feed, from, to) } : {}),
    ...(table?.status === from ? { table: { ...table, status: to } } : {}),
    ...(request?.parameters ? { request: inRequest(request, from, to) } : {}),
    ...(remote ? { remote: inRemote(remote, from, to) } : {}),
    ...(expression?.ok ? { computed: renameIn(computed!, namesOf(expression.value), from, to) } : {}),
  };
}

const uses = (project: Project, name: string): Use[] =>
  usesOfState(project, name).map(({ screen, control, property }) => ({
    screen,
    control,
    attribute: property,
  }));

/** Without its rows, which change by steps of rows. */
const withoutRows = (variable: StateVariable): StateVariable =>
  variable.table ? { ...variable, initial: [], table: { ...variable.table, rows: 0 } } : variable;

export const stateVariables: Collection<StateVariable> = {
  id: 'state',
  word: 'state variable',
  least: 0,
  most: 5000,
  fields,
  keyOf: ({ name }) => name,
  keyProblem: valueNameProblem,
  fault,
  faultAmong,
  empty: (name) => ({ name, type: 'text', initial: '' }),
  rekeyed: (variable, name) => ({ ...variable, name }),
  inAttribute,
  shadowedIn: declaresValue,
  inEntity,
  uses,
  compared: withoutRows,
  succeeding: (variable, before) =>
    variable.table && before.table && variable.table.id === before.table.id
      ? { ...variable, initial: before.initial, table: { ...variable.table, rows: before.table.rows } }
      : variable,
  printed: withoutRows,
  migrations: { 1: onlyFields(fields) },
};
