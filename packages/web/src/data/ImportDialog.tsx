/** How the rows of a file come to a table: beside, instead or by their keys; which column each head goes to; what is not right. */
import {
  type Column,
  csvOf,
  guessColumns,
  type ImportMode,
  type ImportPlan,
  lineWords,
  planProblem,
} from '@hovrin/core';
import { useId, useState } from 'react';
import { download } from '../download.ts';
import { Dialog } from '../parts/Dialog.tsx';
import { counted } from './tableWords.ts';
import type { ComingFile, FileOutcome } from './useRowsWork.ts';

interface ImportDialogProps {
  readonly coming: ComingFile;
  /** Columns of the table, and how many rows it has. */
  readonly columns: readonly Column[];
  readonly rowCount: number;
  readonly onTake: (plan: ImportPlan) => Promise<FileOutcome>;
  readonly onClose: () => void;
}

/** Lines of the file that are shown, and lines that are not right. */
const shownLines = 4;
const mostTold = 50;

export function ImportDialog({ coming, columns, rowCount, onTake, onClose }: ImportDialogProps) {
  const { file, lines, isWhole } = coming;
  const [heads = []] = lines;
  const [mode, setMode] = useState<ImportMode>(rowCount > 0 ? 'append' : 'replace');
  const [mapped, setMapped] = useState(() => guessColumns(heads, columns));
  const [outcome, setOutcome] = useState<FileOutcome>();
  const [isTaking, setTaking] = useState(false);
  const plan: ImportPlan = { mode, columns: mapped, onlyGood: false };
  const problem = planProblem(plan, heads, columns) ?? outcome?.problem;
  const take = async (onlyGood: boolean) => {
    setTaking(true);
    setOutcome(undefined);
    try {
      const come = await onTake({ ...plan, onlyGood });
      if (come.problem === undefined && come.bad.length === 0) onClose();
      else setOutcome(come);
    } catch (error) {
      setOutcome({ problem: (error as Error).message, taken: 0, bad: [], more: 0 });
    } finally {
      setTaking(false);
    }
  };
  const count = isWhole ? counted(lines.length - 1, 'row', 'rows') : 'More rows than are looked at here';
  return (
    <Dialog title={`Rows from ${file.name}`} onClose={onClose} width={720}>
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          void take(false);
        }}
      >
        <p className="text-quiet">
          {count} in the file; the table has {counted(rowCount, 'row', 'rows')}.
        </p>
        <Modes mode={mode} columns={columns} rowCount={rowCount} onMode={setMode} />
        <Mapping
          {...{ lines, columns, mapped }}
          onMap={(head, target) => {
            setOutcome(undefined);
            setMapped({ ...mapped, [head]: target });
          }}
        />
        {outcome && outcome.bad.length > 0 && (
          <BadLines file={file.name} heads={heads} outcome={outcome} onTakeGood={() => void take(true)} />
        )}
        {problem && (
          <p role="alert" className="text-brick">
            {problem}
          </p>
        )}
        <div className="flex items-center justify-end gap-2">
          <span className="mr-auto text-quiet" role="status">
            {isTaking ? 'The rows are being taken …' : ''}
          </span>
          <button type="button" className="btn" onClick={onClose}>
            Cancel
          </button>
          <button type="submit" className="btn btn-main" disabled={problem !== undefined || isTaking}>
            Take the rows
          </button>
        </div>
      </form>
    </Dialog>
  );
}

function Modes({
  mode,
  columns,
  rowCount,
  onMode,
}: {
  mode: ImportMode;
  columns: readonly Column[];
  rowCount: number;
  onMode: (mode: ImportMode) => void;
}) {
  const key = columns.find(({ role }) => role === 'key')?.name;
  const modes: readonly (readonly [mode: ImportMode, words: string, isOff: boolean])[] = [
    ['append', 'Behind the rows there', false],
    [
      'update',
      key ? `Update rows of the same ${key}, add the others` : 'Update rows by key (the table has none)',
      !key,
    ],
    ['replace', `Instead of all ${counted(rowCount, 'row', 'rows')}`, false],
  ];
  return (
    <fieldset className="flex flex-wrap gap-x-5 gap-y-1">
      <legend className="mb-1 font-semibold">How they come in</legend>
      {modes.map(([each, words, isOff]) => (
        <label key={each} className={`flex items-center gap-1.5 ${isOff ? 'text-quiet' : ''}`}>
          <input
            type="radio"
            name="mode"
            className="accent-spruce"
            checked={mode === each}
            disabled={isOff}
            onChange={() => onMode(each)}
          />
          {words}
        </label>
      ))}
    </fieldset>
  );
}

/** The value of a choice that leaves a column out; no column can be called so. */
const leftOut = '';
const ofItsOwn = '+';

function Mapping({
  lines,
  columns,
  mapped,
  onMap,
}: {
  lines: readonly (readonly string[])[];
  columns: readonly Column[];
  mapped: ImportPlan['columns'];
  onMap: (head: string, target: string | null) => void;
}) {
  const [heads = [], ...body] = lines;
  const id = useId();
  return (
    <div className="max-h-[34vh] overflow-auto rounded-md border border-rule">
      <table className="w-full border-collapse text-left text-[12.5px]">
        <thead className="sticky top-0 bg-sunk">
          <tr className="text-quiet">
            <th className="px-2 py-1 font-medium">In the file</th>
            <th className="px-2 py-1 font-medium">Goes to</th>
            <th className="px-2 py-1 font-medium">For example</th>
          </tr>
        </thead>
        <tbody>
          {heads.map((head, at) => {
            const target = mapped[head];
            const isOwn = target !== null && !columns.some(({ name }) => name === target);
            return (
              // biome-ignore lint/suspicious/noArrayIndexKey: a file may have the same head twice.
              <tr key={at} className="border-t border-rule">
                <th
                  id={`${id}-${at}`}
                  scope="row"
                  className="max-w-40 truncate px-2 py-1 font-mono font-normal"
                >
                  {head || '(no name)'}
                </th>
                <td className="px-2 py-1">
                  <select
                    className="field !h-6 w-52"
                    aria-labelledby={`${id}-${at}`}
                    value={target === null ? leftOut : isOwn ? ofItsOwn : target}
                    onChange={(event) => {
                      const { value } = event.target;
                      onMap(head, value === leftOut ? null : value === ofItsOwn ? head.trim() : value);
                    }}
                  >
                    {columns.map(({ name }) => (
                      <option key={name} value={name}>
                        {name}
                      </option>
                    ))}
                    {head.trim() !== '' && <option value={ofItsOwn}>a new column: {head.trim()}</option>}
                    <option value={leftOut}>nowhere: left out</option>
                  </select>
                </td>
                <td className="max-w-60 truncate px-2 py-1 text-quiet">
                  {body
                    .slice(0, shownLines)
                    .map((cells) => cells[at])
                    .filter(Boolean)
                    .join(' · ')}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

/** The lines that are not right, all in one round: the others are taken on request, these are given back as a file. */
function BadLines({
  file,
  heads,
  outcome: { bad, more, taken },
  onTakeGood,
}: {
  file: string;
  heads: readonly string[];
  outcome: FileOutcome;
  onTakeGood: () => void;
}) {
  const count = bad.length + more;
  const untold = count - Math.min(mostTold, bad.length);
  const save = () => {
    const columns = [...heads, 'what is not right'].map(
      (name, at): Column => ({ name: `${at} ${name}`, type: 'text' }),
    );
    const rows = bad.map(({ cells, message }) =>
      Object.fromEntries(
        columns.map(({ name }, at) => [name, at === heads.length ? message : (cells[at] ?? '')]),
      ),
    );
    const [, ...lines] = csvOf(columns, rows).split('\r\n');
    const first = csvOf(
      [...heads, 'what is not right'].map((name): Column => ({ name, type: 'text' })),
      [],
    );
    const text = [first.trimEnd(), ...lines].join('\r\n');
    download(`not right in ${file.replace(/\.\w+$/, '')}.csv`, new Blob([text], { type: 'text/csv' }));
  };
  return (
    <div role="alert" className="rounded-md border border-brick/50 p-2">
      <p className="font-medium text-brick">
        {counted(count, 'row is not right', 'rows are not right')}; nothing was taken.
      </p>
      <ul className="max-h-32 overflow-y-auto text-brick">
        {bad.slice(0, mostTold).map(({ line, message }) => (
          <li key={line}>
            {lineWords(file, line)}: {message}
          </li>
        ))}
        {untold > 0 && <li>and {untold} more</li>}
      </ul>
      <div className="mt-2 flex gap-2">
        {taken > 0 && (
          <button type="button" className="btn" onClick={onTakeGood}>
            Take the {counted(taken, 'row that is right', 'rows that are right')}
          </button>
        )}
        <button type="button" className="btn" onClick={save}>
          Save the others as a file
        </button>
      </div>
    </div>
  );
}
