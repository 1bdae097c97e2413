/** What is done with the rows of a list: changed, brought in from a file, taken away, and its columns. */
import {
  type BadLine,
  type Column,
  columnsOf,
  firstRows,
  type ImportPlan,
  importLines,
  isJsonFile,
  linesOfFile,
  messageOf,
  type RowQuestion,
  renamingColumn,
  rowSteps,
  rowsOf,
  type StateVariable,
  type Step,
  textOfFile,
} from '@hovrin/core';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { api } from '../api.ts';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import type { RowSource } from './rowSource.ts';
import { changed, setColumns, takeRows } from './tableChanges.ts';
import { takenWords } from './tableWords.ts';

/** Larger files are read by the server, bytes. */
const largestHere = 1_000_000;
/** Most rows that a step takes away by naming each. */
const mostNamed = 2000;

/** A file that is on its way into the table: its beginning, from which its columns are mapped and shown. */
export interface ComingFile {
  readonly file: File;
  /** The first lines, the one with the heads in front. */
  readonly lines: readonly (readonly string[])[];
  /** All of them are here. */
  readonly isWhole: boolean;
}

/** What came of a file that is to be taken, or would come of it. */
export interface FileOutcome {
  readonly problem?: string;
  readonly taken: number;
  readonly bad: readonly BadLine[];
  readonly more: number;
}

/** The steps that take rows away, the last one not among them; or why that many cannot be taken at once. */
async function removing(
  variable: StateVariable,
  source: RowSource,
  question: RowQuestion,
  [from, until]: readonly [from: number, until: number],
): Promise<Step[] | string> {
  const { name } = variable;
  const many = until - from;
  if (variable.table && many > mostNamed) {
    if (question.sort !== undefined || question.find)
      return `At most ${mostNamed} of the rows that are found are removed at once.`;
    const first = (rowsOf(variable) ?? []).slice(from, until);
    const batch = { batch: nanoid(16), count: many, first };
    return [{ type: 'rows', list: name, at: from, remove: batch, insert: [] }];
  }
  const rows = await source.stretch(from, until);
  return rowSteps(name, { changed: rows.map((row) => ({ ...row, to: undefined })) }, source.total);
}

export function useRowsWork(variable: StateVariable, source: RowSource, question: RowQuestion) {
  const { name } = variable;
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const columns = columnsOf(variable);
  const [coming, setComing] = useState<ComingFile>();
  /** What is going on that takes a while. */
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
      editor.tell(messageOf(error));
    } finally {
      setWorking(undefined);
    }
  };
  const take = (from: string, read: readonly Column[], rows: Parameters<typeof takeRows>[2]) => {
    const held = () => editor.state.project.state.find((each) => each.name === name);
    const into = held() ?? variable;
    if (dispatch(`Rows of ${name} from ${from}`, takeRows(into, read, rows, firstRows)))
      editor.tell(takenWords(from, held() ?? into, into));
  };
  /** Looks into a file that somebody chose, so that they can say how it comes in. */
  const look = async (file: File) => {
    const isWhole = file.size <= largestHere;
    const beginning = isWhole ? file : file.slice(0, largestHere);
    const lines = linesOfFile(
      isWhole || !isJsonFile(file.name) ? file.name : `${file.name}.csv`,
      textOfFile(new Uint8Array(await beginning.arrayBuffer())),
    );
    // The last line of a beginning may be cut.
    setComing({ file, lines: isWhole ? lines : lines.slice(0, -1), isWhole });
  };
  /** Takes a file as it was planned; where something is not right, nothing comes in unless the plan says so. */
  const bringIn = async ({ file, lines, isWhole }: ComingFile, plan: ImportPlan): Promise<FileOutcome> => {
    if (isWhole && !variable.table) {
      const rows = rowsOf(variable) ?? [];
      const read = importLines(lines, plan, { columns, rows, state: project.state });
      const { taken, bad } = read;
      if (bad.length > 0 && !plan.onlyGood) return { taken, bad, more: 0 };
      if (read.rows.length <= firstRows) {
        take(file.name, read.columns, read.rows);
        return { taken, bad: [], more: 0 };
      }
    }
    // What the server reads it by is what is here.
    if (!(await editor.settled()))
      return {
        problem: 'The server cannot be reached; it reads files of this size.',
        taken: 0,
        bad: [],
        more: 0,
      };
    const outcome = await api.takeFile(editor.projectId, name, file, plan);
    const { taken, bad, more } = outcome;
    if (!outcome.ok) return { ...(outcome.problem ? { problem: outcome.problem } : {}), taken, bad, more };
    take(file.name, outcome.columns, outcome.rows);
    return { taken, bad: [], more: 0 };
  };
  const changeColumns = (
    label: string,
    next: readonly Column[],
    rewriting?: Parameters<typeof setColumns>[3],
  ) =>
    during('The rows are being changed …', async () => {
      if (rewriting && variable.table) await editor.settled();
      const steps = await setColumns(editor.projectId, variable, next, rewriting);
      const named =
        rewriting?.what === 'rename'
          ? renamingColumn(project, { table: name, from: rewriting.column, to: rewriting.to })
          : [];
      dispatch(label, [...steps, ...named]);
    });
  return {
    working,
    coming,
    setComing,
    editRows,
    changeColumns,
    look: (file: File) => during(`${file.name} is being read …`, () => look(file)),
    bringIn,
    remove: (from: number, until: number) =>
      during('Rows are being removed …', async () => {
        const steps = await removing(variable, source, question, [from, until]);
        if (typeof steps === 'string') editor.tell(steps);
        else dispatch(`Remove rows from ${name}`, steps);
      }),
  };
}
