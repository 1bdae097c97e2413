/** A table's columns as cells, so that other controls can stand in them. */

import { textInForce } from '../cascade/cascade.ts';
import { repetitionAround, repetitionOf } from '../cascade/repetition.ts';
import { memberText } from '../document/member-text.ts';
import { effectiveNames, freeName } from '../document/names.ts';
import { isRecord } from '../document/record.ts';
import { spoken } from '../document/spoken.ts';
import { locate } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { sampleOf } from '../meaning/readable.ts';
import { entriesType } from '../property-types/index.ts';
import type { Step } from '../steps/step.ts';
import { identifier, makerOf } from './maker.ts';

/**
 * Makes the columns that a table shows its rows in cells, each with a text of what stands there now.
 *
 * @returns undefined where it is no table, has cells already, or where nothing says what its columns are.
 */
export function cellsOfTable(project: Project, id: string, newId: () => string): Step[] | undefined {
  const found = locate(project, id);
  const table = found?.control;
  if (!found || !table || !repetitionAround(table) || repetitionOf(table)) return undefined;
  const first = firstRow(project, table);
  const said = entriesType.read(inForce(table.props.columns) ?? '');
  const columns =
    said.ok && said.value.length > 0
      ? said.value
      : Object.keys(first).map((name) => ({ value: name, label: spoken(name) }));
  if (columns.length === 0) return undefined;
  const make = makerOf(newId);
  const taken = new Set(effectiveNames(found.screen).values());
  const named = (wanted: string): string => {
    const name = freeName(wanted, (each) => taken.has(each));
    taken.add(name);
    return name;
  };
  const cells = columns.map(({ value, label }) => {
    const member = memberText('row', value);
    const isYesOrNo = typeof first[value] === 'boolean';
    const text = make('text', named(identifier(value)), {
      text: isYesOrNo ? `{${member} ? 'yes' : 'no'}` : `{${member}}`,
    });
    const align = typeof first[value] === 'number' ? { align: 'end' } : {};
    return make('cell', named(`${identifier(value)}Cell`), { head: label, field: value, ...align }, [text]);
  });
  return [
    ...(table.props.columns === undefined
      ? []
      : [{ type: 'set', control: id, property: 'columns', value: null } as const]),
    ...cells.map((control, index): Step => ({ type: 'insert', parent: id, index, control })),
  ];
}

/** The first row of a table as everything begins; without anything in it where there is none. */
function firstRow(project: Project, table: Control): Readonly<Record<string, unknown>> {
  const sample = sampleOf(project, table, textInForce(table, { name: 'rows' }, ['']) ?? '');
  const [first] = 'value' in sample && Array.isArray(sample.value) ? sample.value : [];
  return isRecord(first) ? first : {};
}
