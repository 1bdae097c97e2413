/** What is done with the rows of a list: changed, brought in from a file, taken away, and its columns. */
import {
  type Column,
  columnsOf,
  firstRows,
  messageOf,
  type RowQuestion,
  readTableFile,
  renamingColumn,
  rowSteps,
  rowsOf,
  type StateVariable,
  type Step,
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

/** A file that was not taken, and why. */
export interface RefusedFile {
  readonly file: string;
  readonly said: readonly string[];
  /** How many reasons are not told. */
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
  const [refused, setRefused] = useState<RefusedFile>();
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
    const others = columns.filter((each) => !read.some(({ name: own }) => own === each.name));
    const held = () => editor.state.project.state.find((each) => each.name === name);
    const into = held() ?? variable;
    if (dispatch(`Rows of ${name} from ${from}`, takeRows(into, [...read, ...others], rows, firstRows)))
      editor.tell(takenWords(from, into, held() ?? into, source.total));
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
    refused,
    editRows,
    changeColumns,
    bringIn: (file: File) => during(`${file.name} is being read …`, () => bringIn(file)),
    remove: (from: number, until: number) =>
      during('Rows are being removed …', async () => {
        const steps = await removing(variable, source, question, [from, until]);
        if (typeof steps === 'string') editor.tell(steps);
        else dispatch(`Remove rows from ${name}`, steps);
      }),
  };
}
