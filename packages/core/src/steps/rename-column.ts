/** A column of a table gets another name wherever it is named. */
import type { Project } from '../document/types.ts';
import {
  type ColumnRenaming,
  followersOfColumn,
  renamedInAttribute,
  renamedInVariable,
  usesOfColumn,
} from '../meaning/column-uses.ts';
import { changing } from './entities.ts';
import type { Step } from './step.ts';

/** The steps that rename a column in all that names it; the table itself, and its rows, are not among it. */
export const renamingColumn = (project: Project, renaming: ColumnRenaming): Step[] => [
  ...usesOfColumn(project, renaming.table, renaming.from).map(
    (place): Step => ({
      type: 'set',
      control: place.control.id,
      property: place.attribute,
      value: renamedInAttribute(project, place, renaming),
    }),
  ),
  ...followersOfColumn(project, renaming.table, renaming.from).flatMap((variable) =>
    changing('state', variable, renamedInVariable(project, variable, renaming)),
  ),
];
