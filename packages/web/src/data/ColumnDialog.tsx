/** One column of a table: its name, type and rules, its place among the others, and taking it away. */
import { type Column, forbiddenKeys, type Reference, type Rewriting } from '@hovrin/core';
import { ArrowLeft, ArrowRight, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { Dialog } from '../parts/Dialog.tsx';
import { type ColumnChanges, ColumnRules } from './ColumnRules.tsx';

/** What keeps a column from having a name; undefined: nothing. @param at its place. */
export function columnNameProblem(columns: readonly Column[], at: number, name: string): string | undefined {
  if (name === '') return 'It needs a name.';
  if (columns.some((other, index) => index !== at && other.name === name))
    return `There is a column \`${name}\` already.`;
  return forbiddenKeys.has(name) ? 'That name is out of reach for expressions.' : undefined;
}

/** A column with the rules that it has: what says nothing is left out. */
function withRules({ required, unique, values, refers, ...rest }: ColumnChange): Column {
  return {
    ...rest,
    ...(required ? { required } : {}),
    ...(unique ? { unique } : {}),
    ...(values && values.length > 0 ? { values } : {}),
    ...(refers ? { refers } : {}),
  };
}

/** A column whose rules may say nothing. */
type ColumnChange = Pick<Column, 'name' | 'type'> & {
  readonly [Rule in 'required' | 'unique' | 'values' | 'refers']?: Column[Rule] | undefined;
};

export function ColumnDialog({
  columns,
  at,
  column,
  targets,
  onChange,
  onClose,
}: {
  columns: readonly Column[];
  /** Place of the column among them, and itself. */
  at: number;
  column: Column;
  /** Columns of other lists that it may refer to. */
  targets: readonly Reference[];
  /** @param rewriting what becomes of the column's values. */
  onChange: (label: string, columns: readonly Column[], rewriting?: Rewriting) => void;
  onClose: () => void;
}) {
  const [typed, setTyped] = useState(column.name);
  const wanted = typed.trim();
  const problem = columnNameProblem(columns, at, wanted);
  const set = (label: string, change: ColumnChanges, rewriting?: Rewriting) => {
    onChange(
      label,
      columns.with(
        at,
        withRules({
          ...column,
          ...change,
          name: change.name ?? column.name,
          type: change.type ?? column.type,
        }),
      ),
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
        <ColumnRules column={column} targets={targets} onSet={set} />
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
