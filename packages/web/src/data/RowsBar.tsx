/** The bar over a table: adding, finding, files in and out. */
import { columnsOf, csvOf, type RowQuestion, rowsOf, type StateVariable } from '@hovrin/core';
import { Download, Plus, Search, Upload } from 'lucide-react';
import { useRef } from 'react';
import { api } from '../api.ts';
import { download, downloadFrom } from '../download.ts';
import { useWorkplace } from '../editor/context.tsx';
import { Menu } from '../parts/Menu.tsx';
import type { RowSource } from './rowSource.ts';
import { counted } from './tableWords.ts';

interface RowsBarProps {
  readonly variable: StateVariable;
  readonly source: RowSource;
  readonly question: RowQuestion;
  /** What is going on that takes a while. */
  readonly working: string | undefined;
  readonly onQuestion: (question: RowQuestion) => void;
  readonly onAddRow: () => void;
  readonly onAddColumn: () => void;
  readonly onFile: (file: File) => void;
}

export function RowsBar(props: RowsBarProps) {
  const { variable, question, working, onQuestion, onAddRow, onAddColumn, onFile } = props;
  return (
    <div className="mb-2 flex items-center gap-2">
      <button type="button" className="btn" onClick={onAddRow}>
        <Plus size={14} aria-hidden /> Add a row
      </button>
      <button type="button" className="btn" onClick={onAddColumn}>
        <Plus size={14} aria-hidden /> Add a column
      </button>
      <RowCounts {...props} />
      <span className="flex-1" />
      <label className="relative w-44">
        <Search size={13} aria-hidden className="absolute top-2 left-2 text-quiet" />
        <input
          className="field !pl-7"
          type="search"
          aria-label={`Find rows of ${variable.name}`}
          placeholder="Find rows"
          value={question.find ?? ''}
          onChange={(event) => onQuestion({ ...question, find: event.target.value })}
        />
      </label>
      <FileButton disabled={working !== undefined} onFile={onFile} />
      <SaveMenu variable={variable} />
    </div>
  );
}

function RowCounts({ source, question, working }: RowsBarProps) {
  const waiting = source.isWaiting ? 'The rows are coming …' : undefined;
  const total = counted(source.total, 'row', 'rows');
  return (
    <span className="text-quiet" aria-live="polite">
      {working ?? waiting ?? (
        <>
          {question.find ? `${source.count.toLocaleString('en')} of ${total}` : total}
          {source.wrong > 0 && (
            <span className="ml-2 text-brick">
              {counted(source.wrong, 'cell is not right', 'cells are not right')}
            </span>
          )}
        </>
      )}
    </span>
  );
}

function FileButton({ disabled, onFile }: { disabled: boolean; onFile: (file: File) => void }) {
  const field = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={field}
        type="file"
        accept=".csv,.tsv,.txt,.json"
        className="sr-only"
        aria-label="A file with rows"
        tabIndex={-1}
        onChange={(event) => {
          const [chosen] = event.target.files ?? [];
          event.target.value = '';
          if (chosen) onFile(chosen);
        }}
      />
      <button
        type="button"
        className="btn"
        title="CSV or JSON; you are asked how its rows come to these"
        disabled={disabled}
        onClick={() => field.current?.click()}
      >
        <Upload size={14} aria-hidden /> Rows from a file
      </button>
    </>
  );
}

function SaveMenu({ variable }: { variable: StateVariable }) {
  const { editor } = useWorkplace();
  const { name } = variable;
  const rows = rowsOf(variable);
  const save = (as: 'csv' | 'json') => {
    if (variable.table) return downloadFrom(api.fileAddress(editor.projectId, name, as), `${name}.${as}`);
    const [text, type] =
      as === 'csv'
        ? [csvOf(columnsOf(variable), rows ?? []), 'text/csv']
        : [JSON.stringify(rows, undefined, 2), 'application/json'];
    download(`${name}.${as}`, new Blob([text], { type }));
  };
  return (
    <Menu
      label="Save rows"
      button={
        <button type="button" className="btn">
          <Download size={14} aria-hidden /> Save
        </button>
      }
      entries={[
        { label: 'as CSV', onSelect: () => save('csv') },
        { label: 'as JSON', onSelect: () => save('json') },
      ]}
    />
  );
}
