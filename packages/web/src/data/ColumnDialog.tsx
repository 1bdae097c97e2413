/** One column of a table: its name, type and rules, its place among the others, and taking it away. */
import {
  type Column,
  type ColumnType,
  columnTypes,
  forbiddenKeys,
  type Reference,
  type Rewriting,
} from '@hovrin/core';
import { ArrowLeft, ArrowRight, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { Dialog } from '../parts/Dialog.tsx';

const typeWords: Readonly<Record<ColumnType, string>> = {
  text: 'text',
  number: 'number',
  boolean: 'yes / no',
  date: 'date',
};

export function ColumnDialog({
  columns,
  at,
  targets,
  onChange,
  onClose,
}: {
  columns: readonly Column[];
  at: number;
  /** Columns of other lists that it may refer to. */
  targets: readonly Reference[];
  /** @param rewriting what becomes of the column's values. */
  onChange: (label: string, columns: readonly Column[], rewriting?: Rewriting) => void;
  onClose: () => void;
}) {
  const column = columns[at]!;
  const [typed, setTyped] = useState(column.name);
  const wanted = typed.trim();
  const problem =
    wanted === ''
      ? 'It needs a name.'
      : columns.some((other, index) => index !== at && other.name === wanted)
        ? `There is a column \`${wanted}\` already.`
        : forbiddenKeys.has(wanted)
          ? 'That name is out of reach for expressions.'
          : undefined;
  const set = (label: string, change: Partial<Column>, rewriting?: Rewriting) => {
    const { required, unique, values, refers, ...rest }: Partial<Column> & Pick<Column, 'name' | 'type'> = {
      ...column,
      ...change,
    };
    onChange(
      label,
      columns.with(at, {
        ...rest,
        ...(required ? { required } : {}),
        ...(unique ? { unique } : {}),
        ...(values && values.length > 0 ? { values } : {}),
        ...(refers ? { refers } : {}),
      }),
      rewriting,
    );
  };
  const rename = () => {
    if (problem || wanted === column.name) return;
    set(
      `Rename ${column.name} to ${wanted}`,
      { name: wanted },
      { what: 'rename', column: column.name, to: wanted },
    );
  };
  const move = (by: -1 | 1) => {
    const others = columns.toSpliced(at, 1);
    onChange(`Move ${column.name}`, others.toSpliced(at + by, 0, column));
    onClose();
  };
  return (
    <Dialog title={`Column ${column.name}`} onClose={onClose} width={420}>
      <form
        className="flex flex-col gap-2.5"
        onSubmit={(event) => {
          event.preventDefault();
          rename();
          if (!problem) onClose();
        }}
      >
        <label className="flex items-center gap-2">
          <span className="w-28 text-quiet">Name</span>
          <input
            className="field flex-1 font-mono"
            value={typed}
            aria-invalid={problem !== undefined}
            spellCheck={false}
            onChange={(event) => setTyped(event.target.value)}
            onBlur={rename}
          />
        </label>
        {problem && (
          <p role="alert" className="ml-[120px] text-brick">
            {problem}
          </p>
        )}
        <label className="flex items-center gap-2">
          <span className="w-28 text-quiet">Type</span>
          <select
            className="field flex-1"
            value={column.type}
            onChange={(event) => {
              const type = event.target.value as ColumnType;
              set(`Type of ${column.name}`, { type }, { what: 'retype', column: column.name, type });
            }}
          >
            {columnTypes.map((type) => (
              <option key={type} value={type}>
                {typeWords[type]}
              </option>
            ))}
          </select>
        </label>
        <label className="flex items-start gap-2">
          <span className="w-28 pt-1 text-quiet">One of</span>
          <textarea
            className="field h-auto flex-1 py-1"
            rows={3}
            placeholder="Any value; or one a line"
            defaultValue={(column.values ?? []).join('\n')}
            onBlur={(event) => {
              const values = event.target.value
                .split('\n')
                .map((line) => line.trim())
                .filter(Boolean);
              if (values.join('\n') !== (column.values ?? []).join('\n'))
                set(`Values of ${column.name}`, { values });
            }}
          />
        </label>
        <label className="flex items-center gap-2">
          <span className="w-28 text-quiet">Refers to</span>
          <select
            className="field flex-1"
            value={column.refers ? `${column.refers.list}.${column.refers.column}` : ''}
            onChange={(event) => {
              const refers = targets.find(({ list, column: of }) => `${list}.${of}` === event.target.value);
              const { refers: _, ...rest } = column;
              onChange(`Reference of ${column.name}`, columns.with(at, refers ? { ...rest, refers } : rest));
            }}
          >
            <option value="">no other list</option>
            {targets.map(({ list, column: of }) => (
              <option key={`${list}.${of}`} value={`${list}.${of}`}>
                {of} of {list}
              </option>
            ))}
          </select>
        </label>
        <div className="ml-[120px] flex gap-4">
          <label className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="accent-spruce"
              checked={column.required ?? false}
              onChange={(event) => set(`${column.name} required`, { required: event.target.checked })}
            />
            Required
          </label>
          <label className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="accent-spruce"
              checked={column.unique ?? false}
              onChange={(event) => set(`${column.name} unique`, { unique: event.target.checked })}
            />
            Different in each row
          </label>
        </div>
        <div className="mt-2 flex items-center gap-2 border-t border-rule pt-3">
          <button type="button" className="btn" disabled={at === 0} onClick={() => move(-1)}>
            <ArrowLeft size={14} aria-hidden /> To the left
          </button>
          <button type="button" className="btn" disabled={at === columns.length - 1} onClick={() => move(1)}>
            To the right <ArrowRight size={14} aria-hidden />
          </button>
          <span className="flex-1" />
          <button
            type="button"
            className="btn-bare text-brick"
            onClick={() => {
              onChange(`Remove ${column.name}`, columns.toSpliced(at, 1), {
                what: 'remove',
                column: column.name,
              });
              onClose();
            }}
          >
            <Trash2 size={14} aria-hidden /> Remove
          </button>
        </div>
      </form>
    </Dialog>
  );
}
