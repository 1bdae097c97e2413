/** What an input can be bound to: variables, values of records, columns of the rows that it stands in. */

import { memberText } from '../document/member-text.ts';
import { isRecord } from '../document/record.ts';
import { columnsOf } from '../document/table.ts';
import { pathTo } from '../document/tree.ts';
import type { Control, Project, StateType } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { columnScopeAt } from './column-uses.ts';
import { itemNames, knownOn } from './property-text.ts';

/** A place, as it is written, with the type of what it holds as far as that is known. */
export interface Bindable {
  readonly text: string;
  readonly type: StateType | undefined;
}

const typeOf = (value: unknown): StateType | undefined => {
  const type = typeof value;
  if (type === 'number' || type === 'boolean') return type;
  return type === 'string' ? 'text' : undefined;
};

/** All places that an input of a control can be bound to inside records and rows; variables as a whole are not among them. */
export function placesToBind(project: Project, control: Control): readonly Bindable[] {
  const path = pathTo(project, control.id);
  const [tree] = path;
  if (!tree) return [];
  const scope = columnScopeAt(tree, project.state, control.id);
  const rows = itemNames(path.slice(0, -1)).flatMap((item): Bindable[] => {
    const table = scope?.shapeOf(item)?.table;
    const variable = project.state.find(({ name }) => name === table);
    return variable
      ? columnsOf(variable).map(({ name, type }) => ({ text: memberText(item, name), type }))
      : [];
  });
  const records =
    kindOf(tree).root === 'screens'
      ? knownOn(project, tree.name).flatMap(({ name, type, initial, computed }): Bindable[] =>
          type === 'record' && computed === undefined && isRecord(initial)
            ? Object.entries(initial).map(([key, value]) => ({
                text: memberText(name, key),
                type: typeOf(value),
              }))
            : [],
        )
      : [];
  return [...rows, ...records];
}
