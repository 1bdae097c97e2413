/** Type and rules of a column. */
import {
  type Column,
  type ColumnType,
  columnRoles,
  columnTypes,
  isOneOf,
  type Reference,
  type Rewriting,
} from '@hovrin/core';

const typeWords: Readonly<Record<ColumnType, string>> = {
  text: 'text',
  number: 'number',
  boolean: 'yes / no',
  date: 'date',
};

/** What changes in a column; undefined takes a rule away. */
export type ColumnChanges = { readonly [Part in keyof Column]?: Column[Part] | undefined };

interface ColumnRulesProps {
  readonly column: Column;
  /** Columns of other lists that it may refer to. */
  readonly targets: readonly Reference[];
  readonly onSet: (label: string, change: ColumnChanges, rewriting?: Rewriting) => void;
}

export function ColumnRules({ column, targets, onSet }: ColumnRulesProps) {
  return (
    <>
      <label className="flex items-center gap-2">
        <span className="w-28 text-quiet">Type</span>
        <select
          className="field flex-1"
          value={column.type}
          onChange={(event) => {
            const type = event.target.value;
            if (!isOneOf(columnTypes, type)) return;
            onSet(`Type of ${column.name}`, { type }, { what: 'retype', column: column.name, type });
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
              onSet(`Values of ${column.name}`, { values });
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
            onSet(`Reference of ${column.name}`, { refers });
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
      {column.type === 'number' && <Limits {...{ column, onSet }} />}
      <label className="flex items-center gap-2">
        <span className="w-28 text-quiet">Role</span>
        <select
          className="field flex-1"
          value={column.role ?? ''}
          onChange={(event) => {
            const role = event.target.value;
            onSet(`Role of ${column.name}`, { role: isOneOf(columnRoles, role) ? role : undefined });
          }}
        >
          <option value="">none</option>
          <option value="key">key: tells the rows apart</option>
          <option value="name">name: what people call a row</option>
        </select>
      </label>
      <div className="ml-[120px] flex gap-4">
        <label className="flex items-center gap-1.5">
          <input
            type="checkbox"
            className="accent-spruce"
            checked={column.required ?? column.role === 'key'}
            disabled={column.role === 'key'}
            onChange={(event) => onSet(`${column.name} required`, { required: event.target.checked })}
          />
          Required
        </label>
        <label className="flex items-center gap-1.5">
          <input
            type="checkbox"
            className="accent-spruce"
            checked={column.unique ?? column.role === 'key'}
            disabled={column.role === 'key'}
            onChange={(event) => onSet(`${column.name} unique`, { unique: event.target.checked })}
          />
          Different in each row
        </label>
      </div>
    </>
  );
}

/** The least and the greatest number that a column may hold. */
function Limits({ column, onSet }: Pick<ColumnRulesProps, 'column' | 'onSet'>) {
  return (
    <div className="flex items-center gap-2">
      <span className="w-28 text-quiet">Limits</span>
      {(['min', 'max'] as const).map((limit) => (
        <label key={limit} className="flex flex-1 items-center gap-1.5">
          {limit === 'min' ? 'Min' : 'Max'}
          <input
            type="number"
            step="any"
            className="field w-full"
            placeholder="any"
            defaultValue={column[limit]}
            onBlur={(event) => {
              const { value } = event.target;
              const wanted = value.trim() === '' ? undefined : Number(value);
              if (wanted !== column[limit]) onSet(`Limits of ${column.name}`, { [limit]: wanted });
            }}
          />
        </label>
      ))}
    </div>
  );
}
