/** A list of records as a table: cells edited like in a spreadsheet, columns with types and rules, CSV and JSON in and out. */
import {
  columnsOf,
  freshName,
  namesReferred,
  type RowQuestion,
  rowSteps,
  rowsOf,
  type StateVariable,
  type StoredTable,
} from '@hovrin/core';
import { useState } from 'react';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { Dialog } from '../parts/Dialog.tsx';
import { ColumnDialog } from './ColumnDialog.tsx';
import type { GridColumn } from './grid/cells.ts';
import { ImportDialog } from './ImportDialog.tsx';
import { RowsBar } from './RowsBar.tsx';
import { type RowSource, useListRows, useStoredRows } from './rowSource.ts';
import { TableGrid } from './TableGrid.tsx';
import { useRowsWork } from './useRowsWork.ts';

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
  const shown = columns.map((each): GridColumn => {
    const names = namesReferred(each.refers, project.state);
    return names ? { ...each, names } : each;
  });
  const [column, setColumn] = useState<number>();
  const { working, coming, setComing, editRows, changeColumns, look, bringIn, remove } = useRowsWork(
    variable,
    source,
    question,
  );
  const addColumn = () => {
    const fresh = freshName('column', (each) => columns.some((other) => other.name === each));
    void changeColumns(`Add ${fresh} to ${name}`, [...columns, { name: fresh, type: 'text' }]);
    setColumn(columns.length);
  };
  const targets = project.state
    .filter((each) => each.name !== name)
    .flatMap((each) => columnsOf(each).map((target) => ({ list: each.name, column: target.name })));
  return (
    <Dialog title={`Rows of ${name}`} onClose={onClose} width={1060}>
      <RowsBar
        {...{ variable, source, question, working, onQuestion }}
        onAddRow={() => {
          onQuestion({});
          editRows(`Add a row to ${name}`, rowSteps(name, { added: [{}] }, source.total));
        }}
        onAddColumn={addColumn}
        onFile={(file) => void look(file)}
      />
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
          columns={shown}
          measured={(rowsOf(variable) ?? []).slice(0, 100)}
          source={source}
          question={question}
          onSort={(sort) => onQuestion({ ...(question.find ? { find: question.find } : {}), ...sort })}
          onEdit={(edit, label) => {
            if (editRows(label, rowSteps(name, edit, source.total))) source.show(edit);
          }}
          onRemove={(from, until) => void remove(from, until)}
          onTell={editor.tell}
          onColumn={setColumn}
          onUndo={() => editor.undo()}
        />
      )}
      {coming && (
        <ImportDialog
          {...{ coming, columns }}
          rowCount={source.total}
          onTake={(plan) => bringIn(coming, plan)}
          onClose={() => setComing(undefined)}
        />
      )}
      {column !== undefined && columns[column] && (
        <ColumnDialog
          table={name}
          columns={columns}
          at={column}
          column={columns[column]}
          onChange={(label, next, rewriting) => void changeColumns(label, next, rewriting)}
          targets={targets}
          onClose={() => setColumn(undefined)}
        />
      )}
    </Dialog>
  );
}
