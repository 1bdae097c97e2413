/** One column of a table: its name, type and rules, its place among the others, and taking it away. */
import {
  type Column,
  effectiveNames,
  followersOfColumn,
  forbiddenKeys,
  type Reference,
  type Rewriting,
  usesOfColumn,
} from '@hovrin/core';
import { ArrowLeft, ArrowRight, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useEditorState } from '../editor/context.tsx';
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
const withRules = (column: ColumnChange): Column =>
  Object.fromEntries(
    Object.entries(column).filter(
      ([, said]) => said !== undefined && said !== false && !(Array.isArray(said) && said.length === 0),
    ),
  ) as unknown as Column;

/** A column whose rules may say nothing. */
type ColumnChange = Pick<Column, 'name' | 'type'> & {
  readonly [Rule in Exclude<keyof Column, 'name' | 'type'>]?: Column[Rule] | undefined;
};

/** Controls and variables that name a column, as a person knows them. */
function useColumnUses(table: string, column: string): readonly string[] {
  const { project } = useEditorState('project');
  return [
    ...usesOfColumn(project, table, column).map(
      ({ tree, control }) => `${tree.name}.${effectiveNames(tree).get(control.id)}`,
    ),
    ...followersOfColumn(project, table, column).map(({ name }) => name),
  ];
}

/** Most uses that are named before a column goes. */
const mostNamed = 6;

/** Says what would miss a column, and asks once more. */
function StillUsed({
  table,
  column: { name },
  uses,
  onKeep,
  onRemove,
}: {
  table: string;
  column: Column;
  uses: readonly string[];
  onKeep: () => void;
  onRemove: () => void;
}) {
  const distinct = [...new Set(uses)];
  const more = distinct.length - mostNamed;
  return (
    <div role="alert" className="flex flex-col gap-2 rounded-md border border-brick/50 p-2">
      <p>
        <code>{name}</code> of <code>{table}</code> is used by{' '}
        {distinct.slice(0, mostNamed).map((each, index) => (
          <span key={each}>
            {index > 0 && ', '}
            <code>{each}</code>
          </span>
        ))}
        {more > 0 && ` and ${more} more`}. They will say that it is missing.
      </p>
      <div className="flex justify-end gap-2">
        <button type="button" className="btn" onClick={onKeep}>
          Keep it
        </button>
        <button type="button" className="btn text-brick" onClick={onRemove}>
          Remove it nonetheless
        </button>
      </div>
    </div>
  );
}

export function ColumnDialog({
  table,
  columns,
  at,
  column,
  targets,
  onChange,
  onClose,
}: {
  /** Name of the variable whose column it is. */
  table: string;
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
  const [isAsked, setAsked] = useState(false);
  const uses = useColumnUses(table, column.name);
  const wanted = typed.trim();
  const problem = columnNameProblem(columns, at, wanted);
  const set = (label: string, change: ColumnChanges, rewriting?: Rewriting) => {
    const changed = withRules({
      ...column,
      ...change,
      name: change.name ?? column.name,
      type: change.type ?? column.type,
    });
    // A table has one key, and one name.
    const others = columns.map((other): Column => {
      const { role, ...rest } = other;
      return change.role !== undefined && role === change.role ? rest : other;
    });
    onChange(label, others.with(at, changed), rewriting);
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
  const remove = () => {
    onChange(`Remove ${column.name}`, columns.toSpliced(at, 1), { what: 'remove', column: column.name });
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
            onClick={() => (uses.length > 0 ? setAsked(true) : remove())}
          >
            <Trash2 size={14} aria-hidden /> Remove
          </button>
        </div>
        {isAsked && (
          <StillUsed {...{ table, column, uses }} onKeep={() => setAsked(false)} onRemove={remove} />
        )}
      </form>
    </Dialog>
  );
}
