/** A list of records as a table: cells edited like in a spreadsheet, columns with types and rules, CSV and JSON in and out. */
import {
  type Column,
  columnsOf,
  csvOf,
  firstRows,
  freshName,
  type RowQuestion,
  readTableFile,
  rowSteps,
  rowsOf,
  type StateVariable,
  type Step,
  type StoredTable,
} from '@hovrin/core';
import { Download, Plus, Search, Upload } from 'lucide-react';
import { nanoid } from 'nanoid';
import { useRef, useState } from 'react';
import { api } from '../api.ts';
import { download, downloadFrom } from '../download.ts';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { Dialog } from '../parts/Dialog.tsx';
import { Menu } from '../parts/Menu.tsx';
import { ColumnDialog } from './ColumnDialog.tsx';
import { type RowSource, useListRows, useStoredRows } from './rowSource.ts';
import { TableGrid } from './TableGrid.tsx';
import { changed, setColumns, takeRows } from './tableChanges.ts';

interface TableDialogProps {
  readonly variable: StateVariable;
  readonly onClose: () => void;
}

interface QuestionProps extends TableDialogProps {
  readonly question: RowQuestion;
  readonly onQuestion: (question: RowQuestion) => void;
}

export function TableDialog(props: TableDialogProps) {
  const { variable } = props;
  const [question, setQuestion] = useState<RowQuestion>({});
  const asking = { ...props, question, onQuestion: setQuestion };
  const { table } = variable;
  return table ? (
    <StoredTableDialog {...asking} variable={{ ...variable, table }} />
  ) : (
    <ListDialog {...asking} />
  );
}

function ListDialog(props: QuestionProps) {
  const { project } = useEditorState('project');
  const columns = columnsOf(props.variable);
  return (
    <RowsDialog {...props} source={useListRows(props.variable, columns, project.state, props.question)} />
  );
}

function StoredTableDialog(props: QuestionProps & { variable: StateVariable & { table: StoredTable } }) {
  return <RowsDialog {...props} source={useStoredRows(props.variable, props.question)} />;
}

/** Larger files are read by the server, bytes. */
const largestHere = 1_000_000;
/** Most rows that a step takes away by naming each. */
const mostNamed = 2000;

const counted = (count: number, one: string, many: string) =>
  `${count.toLocaleString('en')} ${count === 1 ? one : many}`;

function RowsDialog({
  variable,
  source,
  question,
  onQuestion,
  onClose,
}: QuestionProps & { source: RowSource }) {
  const { name } = variable;
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const columns = columnsOf(variable);
  const file = useRef<HTMLInputElement>(null);
  const [refused, setRefused] = useState<{ file: string; said: readonly string[]; more: number }>();
  const [column, setColumn] = useState<number>();
  const [working, setWorking] = useState<string>();
  const dispatch = (label: string, steps: readonly Step[]) => editor.dispatch({ label, steps });
  /** Changes rows; from then on the columns are what they were taken for, whatever comes into them. */
  const editRows = (label: string, steps: readonly Step[]) => {
    const isSaid = columns.every((each) => variable.columns?.some(({ name: own }) => own === each.name));
    const said = changed(variable, (each) => ({ ...each, columns }));
    return dispatch(label, isSaid ? steps : [...said, ...steps]);
  };
  /** Does something that takes a while, and says what goes wrong. */
  const during = async (words: string, work: () => Promise<void>) => {
    setWorking(words);
    try {
      await work();
    } catch (error) {
      editor.tell((error as Error).message);
    } finally {
      setWorking(undefined);
    }
  };
  const take = (from: string, read: readonly Column[], rows: Parameters<typeof takeRows>[2]) => {
    const others = columns.filter((each) => !read.some(({ name: own }) => own === each.name));
    const into = editor.state.project.state.find((each) => each.name === name) ?? variable;
    if (!dispatch(`Rows of ${name} from ${from}`, takeRows(into, [...read, ...others], rows, firstRows)))
      return;
    const made = editor.state.project.state.find((each) => each.name === name);
    const counts = (count: number) => `${count.toLocaleString('en-GB')} ${count === 1 ? 'row' : 'rows'}`;
    const came = made?.table?.rows ?? rowsOf(made ?? into)?.length ?? 0;
    const words = [
      `${counts(came)} of ${from}${source.total > 0 ? ` in place of ${counts(source.total)}; undo brings those back` : ''}.`,
      ...(made?.table && !into.table
        ? [`${name} is a table now: its rows are kept beside the document.`]
        : []),
    ];
    editor.tell(words.join(' '));
  };
  const bringIn = async (chosen: File) => {
    setRefused(undefined);
    const isSmall = chosen.size <= largestHere && !variable.table;
    const here = isSmall
      ? readTableFile(chosen.name, await chosen.text(), columns, project.state)
      : undefined;
    if (here && !here.ok) return setRefused({ file: chosen.name, said: here.said, more: 0 });
    if (here && here.rows.length <= firstRows) return take(chosen.name, here.columns, here.rows);
    // What the server reads it by is what is here.
    if (!(await editor.settled()))
      throw new Error('The server cannot be reached; it reads files of this size.');
    const taken = await api.takeFile(editor.projectId, name, chosen);
    if (taken.ok) take(chosen.name, taken.columns, taken.rows);
    else setRefused({ file: chosen.name, ...taken });
  };
  const addColumn = () => {
    const fresh = freshName('column', (each) => columns.some((other) => other.name === each));
    void changeColumns(`Add ${fresh} to ${name}`, [...columns, { name: fresh, type: 'text' }]);
    setColumn(columns.length);
  };
  const changeColumns = (
    label: string,
    next: readonly Column[],
    rewriting?: Parameters<typeof setColumns>[3],
  ) =>
    during('The rows are being changed …', async () => {
      if (rewriting && variable.table) await editor.settled();
      dispatch(label, await setColumns(editor.projectId, variable, next, rewriting));
    });
  const remove = async (from: number, until: number) => {
    const label = `Remove rows from ${name}`;
    const many = until - from;
    if (variable.table && many > mostNamed) {
      if (question.sort !== undefined || question.find) {
        editor.tell(`At most ${mostNamed} of the rows that are found are removed at once.`);
        return;
      }
      const first = (rowsOf(variable) ?? []).slice(from, until);
      const batch = { batch: nanoid(16), count: many, first };
      dispatch(label, [{ type: 'rows', list: name, at: from, remove: batch, insert: [] }]);
      return;
    }
    const rows = await source.stretch(from, until);
    const steps = rowSteps(name, { changed: rows.map((row) => ({ ...row, to: undefined })) }, source.total);
    dispatch(label, steps);
  };
  const saveAs = (as: 'csv' | 'json') => {
    if (variable.table) downloadFrom(api.fileAddress(editor.projectId, name, as), `${name}.${as}`);
    else if (as === 'csv')
      download(`${name}.csv`, new Blob([csvOf(columns, rowsOf(variable) ?? [])], { type: 'text/csv' }));
    else
      download(
        `${name}.json`,
        new Blob([JSON.stringify(rowsOf(variable), undefined, 2)], { type: 'application/json' }),
      );
  };
  const more = refused ? refused.more + Math.max(0, refused.said.length - 50) : 0;
  return (
    <Dialog title={`Rows of ${name}`} onClose={onClose} width={1060}>
      <div className="mb-2 flex items-center gap-2">
        <button
          type="button"
          className="btn"
          onClick={() => {
            onQuestion({});
            editRows(`Add a row to ${name}`, rowSteps(name, { added: [{}] }, source.total));
          }}
        >
          <Plus size={14} aria-hidden /> Add a row
        </button>
        <button type="button" className="btn" onClick={addColumn}>
          <Plus size={14} aria-hidden /> Add a column
        </button>
        <span className="text-quiet" aria-live="polite">
          {working ?? (source.isWaiting ? 'The rows are coming …' : undefined) ?? (
            <>
              {question.find
                ? `${source.count.toLocaleString('en')} of ${counted(source.total, 'row', 'rows')}`
                : counted(source.total, 'row', 'rows')}
              {source.wrong > 0 && (
                <span className="ml-2 text-brick">
                  {counted(source.wrong, 'cell is not right', 'cells are not right')}
                </span>
              )}
            </>
          )}
        </span>
        <span className="flex-1" />
        <label className="relative w-44">
          <Search size={13} aria-hidden className="absolute top-2 left-2 text-quiet" />
          <input
            className="field !pl-7"
            type="search"
            aria-label={`Find rows of ${name}`}
            placeholder="Find rows"
            value={question.find ?? ''}
            onChange={(event) => onQuestion({ ...question, find: event.target.value })}
          />
        </label>
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
            if (chosen) void during(`${chosen.name} is being read …`, () => bringIn(chosen));
          }}
        />
        <button
          type="button"
          className="btn"
          title="CSV or JSON; its rows take the place of these, and undo brings these back"
          disabled={working !== undefined}
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
            { label: 'as CSV', onSelect: () => saveAs('csv') },
            { label: 'as JSON', onSelect: () => saveAs('json') },
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
            {more > 0 && <li>and {more} more</li>}
          </ul>
        </div>
      )}
      {source.failed !== undefined ? (
        <p role="alert" className="rounded-md border border-brick/50 p-8 text-center text-brick">
          The rows did not come: {source.failed} They are asked for again as soon as something changes.
        </p>
      ) : columns.length === 0 ? (
        <p className="rounded-md border border-dashed border-rule p-8 text-center text-quiet">
          There is nothing in it yet. Add a column, or take rows from a file.
        </p>
      ) : (
        <TableGrid
          name={name}
          columns={columns}
          measured={(rowsOf(variable) ?? []).slice(0, 100)}
          source={source}
          question={question}
          onSort={(sort) => onQuestion({ ...(question.find ? { find: question.find } : {}), ...sort })}
          onEdit={(edit, label) => {
            if (editRows(label, rowSteps(name, edit, source.total))) source.show(edit);
          }}
          onRemove={(from, until) => void during('Rows are being removed …', () => remove(from, until))}
          onTell={editor.tell}
          onColumn={setColumn}
          onUndo={() => editor.undo()}
        />
      )}
      {column !== undefined && columns[column] && (
        <ColumnDialog
          columns={columns}
          at={column}
          onChange={(label, next, rewriting) => void changeColumns(label, next, rewriting)}
          targets={project.state
            .filter(({ name }) => name !== variable.name)
            .flatMap((each) => columnsOf(each).map((target) => ({ list: each.name, column: target.name })))}
          onClose={() => setColumn(undefined)}
        />
      )}
    </Dialog>
  );
}
