/** The state of a page's program: requests, tables beside it, what is kept from one visit to the next. */
import type { Request } from '../document/source.ts';
import { initialRows } from '../document/stored-table.ts';
import type { Project, StateVariable, StoredTable } from '../document/types.ts';
import { parseExpression } from '../expression/parse.ts';
import type { Program, ProgramRequest, ProgramTable } from '../runtime/program.ts';

/** How a page keeps values, where a variable is kept. */
export function keptBy({
  state,
  id,
  name,
  keptVersion = '1',
  keptMigration,
}: Project): Pick<Program, 'kept'> {
  if (!state.some(({ kept, computed }) => kept && computed === undefined)) return {};
  const migrate = keptMigration === undefined ? undefined : parseExpression(keptMigration);
  return {
    kept: {
      id: id ?? name,
      version: Number(keptVersion),
      ...(migrate?.ok ? { migrate: migrate.value } : {}),
    },
  };
}

/** Where the rows of a table lie beside the page. */
const tableAddress = (name: string): string => `tables/${name}.js`;

export function programRequest({ parameters = [], ...request }: Request): ProgramRequest {
  return {
    ...request,
    parameters: parameters.map(({ value, ...parameter }) => {
      const read = value === undefined ? undefined : parseExpression(value);
      return read?.ok ? { ...parameter, value: read.value } : parameter;
    }),
  };
}

export function programTable(
  variable: Pick<StateVariable, 'name' | 'initial'>,
  { rows, status, wait }: StoredTable,
): ProgramTable {
  const isWhole = initialRows(variable).length === rows;
  return {
    ...(isWhole ? {} : { file: tableAddress(variable.name) }),
    ...(status === undefined ? {} : { status }),
    ...(wait === undefined ? {} : { wait }),
  };
}
