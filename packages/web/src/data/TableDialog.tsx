/** A list of records as a table: cells edited like in a spreadsheet, columns with types and rules, CSV and JSON in and out. */
import {
  type Column,
  cellKey,
  columnsOf,
  freshName,
  type Row,
  readTable,
  rowsOf,
  type StateVariable,
  tableLines,
  tableProblems,
} from '@hovrin/core';
import { Download, Plus, Upload } from 'lucide-react';
import Papa from 'papaparse';
import { useRef, useState } from 'react';
import { useEditorState } from '../editor/context.tsx';
import { Dialog } from '../parts/Dialog.tsx';
import { Menu } from '../parts/Menu.tsx';
import { ColumnDialog } from './ColumnDialog.tsx';
import { TableGrid } from './TableGrid.tsx';

interface TableDialogProps {
  readonly variable: StateVariable;
  readonly onChange: (variable: StateVariable, label: string, group?: string) => void;
  readonly onUndo: () => void;
  readonly onClose: () => void;
}

/** Largest file that is read, bytes. */
const largestFile = 5_000_000;

/** Lines of a file: CSV in any of its dialects, or JSON as a list of records. */
function linesOf(name: string, text: string): string[][] {
  if (name.toLowerCase().endsWith('.json')) {
    const value: unknown = JSON.parse(text);
    if (!Array.isArray(value) || !value.every((item) => typeof item === 'object' && item !== null))
      throw new Error('A list of records is expected.');
    const names = [...new Set(value.flatMap((item) => Object.keys(item as Row)))];
    return tableLines(
      names.map((each) => ({ name: each, type: 'text' })),
      value as Row[],
    );
  }
  const { data, errors } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' });
  // One column alone has nothing that separates it from others.
  const fault = errors.find(({ code }) => code !== 'UndetectableDelimiter');
  if (fault)
    throw new Error(`${fault.message}${fault.row === undefined ? '' : `, in line ${fault.row + 1}`}`);
  return data;
}

function save(name: string, type: string, text: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type }));
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href));
}

export function TableDialog({ variable, onChange, onUndo, onClose }: TableDialogProps) {
  const { name } = variable;
  const { project } = useEditorState('project');
  const columns = columnsOf(variable);
  const rows = rowsOf(variable) ?? [];
  const problems = tableProblems(columns, rows, project.state);
  const file = useRef<HTMLInputElement>(null);
  const [refused, setRefused] = useState<{ file: string; said: readonly string[] }>();
  const [column, setColumn] = useState<number>();
  const set = (
    label: string,
    change: { columns?: readonly Column[]; rows?: readonly Row[] },
    group?: string,
  ) =>
    onChange({ ...variable, columns: change.columns ?? columns, initial: change.rows ?? rows }, label, group);
  const bringIn = async (chosen: File) => {
    setRefused(undefined);
    const refuse = (...said: string[]) => setRefused({ file: chosen.name, said });
    if (chosen.size > largestFile) return refuse('Files up to 5 MB are read.');
    try {
      const reading = readTable(linesOf(chosen.name, await chosen.text()), columns, project.state);
      if (!reading.ok)
        return refuse(...reading.problems.map(({ line, message }) => `Line ${line}: ${message}`));
      const others = columns.filter((each) => !reading.columns.some((read) => read.name === each.name));
      set(`Rows of ${name} from ${chosen.name}`, {
        columns: [...reading.columns, ...others],
        rows: reading.rows,
      });
    } catch (error) {
      refuse((error as Error).message);
    }
  };
  const addColumn = () => {
    const fresh = freshName('column', (each) => columns.some((other) => other.name === each));
    set(`Add ${fresh} to ${name}`, { columns: [...columns, { name: fresh, type: 'text' }] });
    setColumn(columns.length);
  };
  return (
    <Dialog title={`Rows of ${name}`} onClose={onClose} width={1060}>
      <div className="mb-2 flex items-center gap-2">
        <button
          type="button"
          className="btn"
          onClick={() => set(`Add a row to ${name}`, { rows: [...rows, {}] })}
        >
          <Plus size={14} aria-hidden /> Add a row
        </button>
        <button type="button" className="btn" onClick={addColumn}>
          <Plus size={14} aria-hidden /> Add a column
        </button>
        <span className="text-quiet">
          {rows.length === 1 ? '1 row' : `${rows.length} rows`}
          {problems.size > 0 && (
            <span className="ml-2 text-brick">
              {problems.size === 1 ? '1 cell is not right' : `${problems.size} cells are not right`}
            </span>
          )}
        </span>
        <span className="flex-1" />
        <input
          ref={file}
          type="file"
          accept=".csv,.tsv,.txt,.json"
          className="sr-only"
          aria-label="A file with rows"
          tabIndex={-1}
          onChange={(event) => {
            const [chosen] = event.target.files ?? [];
            event.target.value = '';
            if (chosen) void bringIn(chosen);
          }}
        />
        <button
          type="button"
          className="btn"
          title="CSV or JSON; its rows take the place of these, and undo brings these back"
          onClick={() => file.current?.click()}
        >
          <Upload size={14} aria-hidden /> Rows from a file
        </button>
        <Menu
          label="Save rows"
          button={
            <button type="button" className="btn">
              <Download size={14} aria-hidden /> Save
            </button>
          }
          entries={[
            {
              label: 'as CSV',
              onSelect: () =>
                save(
                  `${name}.csv`,
                  'text/csv',
                  Papa.unparse(tableLines(columns, rows), { escapeFormulae: true }),
                ),
            },
            {
              label: 'as JSON',
              onSelect: () => save(`${name}.json`, 'application/json', JSON.stringify(rows, undefined, 2)),
            },
          ]}
        />
      </div>
      {refused && (
        <div
          role="alert"
          className="mb-2 max-h-32 overflow-y-auto rounded-md border border-brick/50 p-2 text-brick"
        >
          <p className="font-medium">Nothing was taken from {refused.file}.</p>
          <ul>
            {refused.said.slice(0, 50).map((said) => (
              <li key={said}>{said}</li>
            ))}
            {refused.said.length > 50 && <li>and {refused.said.length - 50} more</li>}
          </ul>
        </div>
      )}
      {columns.length === 0 ? (
        <p className="rounded-md border border-dashed border-rule p-8 text-center text-quiet">
          There is nothing in it yet. Add a column, or take rows from a file.
        </p>
      ) : (
        <TableGrid
          name={name}
          columns={columns}
          rows={rows}
          problemAt={(row, at) => problems.get(cellKey(row, at))}
          onRows={(next, label, group) => set(label, { rows: next }, group)}
          onColumn={setColumn}
          onUndo={onUndo}
        />
      )}
      {column !== undefined && columns[column] && (
        <ColumnDialog
          columns={columns}
          at={column}
          onChange={(label, nextColumns, nextRows) =>
            set(label, { columns: nextColumns, rows: nextRows ?? rows })
          }
          rows={rows}
          targets={project.state
            .filter(({ name }) => name !== variable.name)
            .flatMap((each) => columnsOf(each).map((target) => ({ list: each.name, column: target.name })))}
          onClose={() => setColumn(undefined)}
        />
      )}
    </Dialog>
  );
}
