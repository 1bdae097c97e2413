/** What a table behind a service is, as far as its requests tell: who adds, changes and removes, its columns and its key. */
import type { RemoteTable } from '../document/source.ts';
import { columnsOf } from '../document/table.ts';
import type { Column, StateVariable } from '../document/types.ts';
import { sampleResult } from './sample-result.ts';

/** Names that a key goes by, the likeliest first. */
const keyNames = ['id', 'key', 'uuid', 'number', 'code'];

/** Columns one of which is the key: the one that is said to be, else the likeliest. */
function withKey(columns: readonly Column[]): readonly Column[] {
  if (columns.some(({ role }) => role === 'key')) return columns;
  const name =
    keyNames.find((each) => columns.some((column) => column.name.toLowerCase() === each)) ??
    columns.find((column) => /id$/i.test(column.name))?.name;
  return columns.map((column) => (column.name === name ? { ...column, role: 'key' } : column));
}

/** A list that lies behind a service: what becomes of it, and where its rows are asked for. */
export function remoteGuess(
  state: readonly StateVariable[],
  list: StateVariable,
): {
  readonly remote: RemoteTable;
  readonly columns: readonly Column[];
  readonly initial: readonly unknown[];
} {
  const of = list.request;
  const sample = sampleResult(list);
  const isOfRow = (path: string) => of !== undefined && path.startsWith(`${of.path}/{`);
  const named = (isIt: (method: string, path: string) => boolean) =>
    state.find(
      ({ request }) => request && request.source === of?.source && isIt(request.method, request.path),
    )?.name;
  const add = named((method, path) => method === 'POST' && path === of?.path);
  const change = named((method, path) => (method === 'PATCH' || method === 'PUT') && isOfRow(path));
  const remove = named((method, path) => method === 'DELETE' && isOfRow(path));
  return {
    remote: {
      list: list.name,
      ...(add === undefined ? {} : { add }),
      ...(change === undefined ? {} : { change }),
      ...(remove === undefined ? {} : { remove }),
    },
    columns: withKey(columnsOf(list)),
    initial: Array.isArray(sample) ? sample : [],
  };
}
