/** Data: the project's state variables, with type, initial value and who uses them. */
import {
  changing,
  columnsOf,
  dropping,
  effectiveNames,
  followedBy,
  freshName,
  listName,
  type Made,
  makeForm,
  makeList,
  makeListWithDetail,
  makeTable,
  putting,
  questionsOf,
  renameState,
  rowsOf,
  type StateUse,
  type StateVariable,
  spoken,
  stateNameProblem,
  usesOfState,
} from '@hovrin/core';
import { ChevronDown, FileJson, Plus, Table2, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { flushSync } from 'react-dom';
import { useNavigate } from 'react-router';
import { newId } from '../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { useCommandKeys } from '../editor/keys.ts';
import { PlaceHeader } from '../PlaceHeader.tsx';
import { Menu } from '../parts/Menu.tsx';
import { Handlers } from './Handlers.tsx';
import { SchemaDialog } from './SchemaDialog.tsx';
import { StartField } from './StartField.tsx';
import { TableDialog } from './TableDialog.tsx';
import { type ChosenType, chosenType, retype } from './tableChanges.ts';

const typeWords: Record<ChosenType, string> = {
  text: 'text',
  number: 'number',
  boolean: 'yes / no',
  date: 'date',
  list: 'list',
  table: 'table',
  record: 'record',
};

export function DataPlace() {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const navigate = useNavigate();
  useCommandKeys(editor);
  const remove = (variable: StateVariable) => {
    const uses = usesOfState(project, variable.name).length;
    editor.dispatch({ label: `Delete ${variable.name}`, steps: [dropping('state', variable)] });
    if (uses > 0)
      editor.tell(
        `${uses} ${uses === 1 ? 'property still names' : 'properties still name'} ${variable.name}; they are marked in the tree. Undo brings it back.`,
      );
  };
  const take = ({ screen, steps }: Made) => {
    if (editor.dispatch({ label: `Make ${screen.name}`, steps, select: [screen.id] }))
      void navigate('..', { relative: 'path' });
  };
  const [schema, setSchema] = useState(false);
  const add = () => {
    const name = freshName('value', (candidate) =>
      project.state.some((variable) => variable.name === candidate),
    );
    // Its field is there before the next key comes.
    flushSync(() =>
      editor.dispatch({
        label: `Add ${name}`,
        steps: [putting('state', { name, type: 'text', initial: '' })],
      }),
    );
    const field = document.querySelector<HTMLInputElement>(`input[data-variable="${name}"]`);
    field?.focus();
    field?.select();
  };
  return (
    <>
      <PlaceHeader title="Data" />
      <main className="flex-1 overflow-auto p-6">
        <div className="mx-auto flex max-w-6xl flex-col gap-4">
          <div className="flex items-end justify-between gap-4">
            <div>
              <h2 className="text-[15px] font-semibold">State variables</h2>
              <p className="text-quiet">
                Values that the running application keeps: single ones, tables of rows, live feeds, and what
                follows from others. Every expression can read them, events and inputs can set them.
              </p>
            </div>
            <div className="flex gap-2">
              <button type="button" className="btn" onClick={() => setSchema(true)}>
                <FileJson size={15} aria-hidden /> Form from a schema
              </button>
              <button type="button" className="btn btn-main" onClick={add}>
                <Plus size={15} aria-hidden /> Add a variable
              </button>
            </div>
          </div>
          {schema && (
            <SchemaDialog
              onClose={() => setSchema(false)}
              onMake={({ title = 'Entries', questions }) => {
                setSchema(false);
                const wanted = listName(title);
                const list = stateNameProblem(project, wanted)
                  ? freshName(wanted, (name) => stateNameProblem(project, name) !== undefined)
                  : wanted;
                take(makeForm(project, list, title, questions, newId));
              }}
            />
          )}
          {project.state.length === 0 ? (
            <div className="rounded-md border border-dashed border-rule p-10 text-center text-quiet">
              There are no state variables yet. Add one, then write{' '}
              <code className="font-mono">{'{its name}'}</code> in any property.
            </div>
          ) : (
            <div className="overflow-hidden rounded-md border border-rule bg-sheet">
              <table className="w-full border-collapse">
                <thead>
                  <tr className="border-b border-rule text-left text-quiet">
                    <th className="w-44 py-2 pl-3 font-medium">Name</th>
                    <th className="w-28 px-2 font-medium">Type</th>
                    <th className="w-80 px-2 font-medium">Value</th>
                    <th className="w-14 px-2 font-medium">Kept</th>
                    <th className="px-2 font-medium">Used by</th>
                    <th className="w-10">
                      <span className="sr-only">Actions</span>
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {project.state.map((variable, index) => (
                    <VariableRow
                      // biome-ignore lint/suspicious/noArrayIndexKey: the name changes while it is typed, the place does not.
                      key={index}
                      variable={variable}
                      onChange={(changed, label, group) =>
                        editor.dispatch({
                          label,
                          steps: changing('state', variable, changed),
                          ...(group ? { group } : {}),
                        })
                      }
                      onRemove={() => remove(variable)}
                      onMade={take}
                    />
                  ))}
                </tbody>
              </table>
            </div>
          )}
          <Handlers />
        </div>
      </main>
    </>
  );
}

interface VariableRowProps {
  readonly variable: StateVariable;
  readonly onChange: (variable: StateVariable, label: string, group?: string) => void;
  readonly onRemove: () => void;
  /** Takes a screen that was made of it into the project, and goes there. */
  readonly onMade: (made: Made) => void;
}

function VariableRow({ variable, onChange, onRemove, onMade }: VariableRowProps) {
  const { editor } = useWorkplace();
  const [table, setTable] = useState(false);
  const rows = rowsOf(variable);
  const columns = columnsOf(variable);
  const { project } = useEditorState('project');
  const uses = usesOfState(project, variable.name);
  const followers = project.state.filter((each) => followedBy(each).includes(variable.name));
  return (
    <tr className="border-b border-rule align-top last:border-0">
      <td className="py-1.5 pl-2">
        <VariableName variable={variable} />
      </td>
      <td className="px-2 py-1.5">
        <select
          className="field"
          aria-label={`Type of ${variable.name}`}
          title={
            variable.table
              ? 'A list of records whose rows are kept beside the document, however many they are'
              : undefined
          }
          value={chosenType(variable)}
          onChange={(event) => {
            const steps = retype(variable, event.target.value as ChosenType);
            if (typeof steps === 'string') editor.tell(steps);
            else editor.dispatch({ label: `Type of ${variable.name}`, steps });
          }}
        >
          {Object.entries(typeWords).map(([type, words]) => (
            <option key={type} value={type}>
              {words}
            </option>
          ))}
        </select>
        {project.screens.length > 0 && (
          <select
            className="field mt-1 !h-6 text-[12px] text-quiet"
            aria-label={`Who knows ${variable.name}`}
            title="Of one screen: only it knows the variable, which begins anew each time that it is entered"
            value={variable.screen ?? ''}
            onChange={(event) => {
              const { screen: _, ...rest } = variable;
              const screen = event.target.value;
              onChange(screen === '' ? rest : { ...rest, screen }, `Screen of ${variable.name}`);
            }}
          >
            <option value="">all screens</option>
            {variable.screen !== undefined &&
              !project.screens.some(({ name }) => name === variable.screen) && (
                <option value={variable.screen}>{variable.screen} (not there)</option>
              )}
            {project.screens.map(({ id, name }) => (
              <option key={id} value={name}>
                {name} only
              </option>
            ))}
          </select>
        )}
      </td>
      <td className="px-2 py-1.5">
        <StartField project={project} variable={variable} onChange={onChange} />
        {rows && (
          <div className="mt-1.5 flex gap-1.5">
            <button type="button" className="btn !h-6 text-[12px]" onClick={() => setTable(true)}>
              <Table2 size={13} aria-hidden /> Edit as a table
            </button>
            <Menu
              label={`Make a screen of ${variable.name}`}
              button={
                <button
                  type="button"
                  className="btn !h-6 text-[12px]"
                  aria-label={`Make of ${variable.name}`}
                >
                  Make <ChevronDown size={12} aria-hidden />
                </button>
              }
              entries={[
                {
                  label: 'A form that adds to it',
                  disabled: columns.length === 0,
                  onSelect: () =>
                    onMade(
                      makeForm(
                        project,
                        variable.name,
                        `Add to ${spoken(variable.name).toLowerCase()}`,
                        questionsOf(columns, rows),
                        newId,
                      ),
                    ),
                },
                ...(
                  [
                    ['A list to find things in', makeList],
                    ['A list with detail', makeListWithDetail],
                    ['A table', makeTable],
                  ] as const
                ).map(([label, make]) => ({
                  label,
                  disabled: columns.length === 0,
                  onSelect: () => onMade(make(project, variable.name, columns, newId)),
                })),
              ]}
            />
          </div>
        )}
        {table && <TableDialog variable={variable} onClose={() => setTable(false)} />}
      </td>
      <td className="px-2 py-2 text-center">
        <input
          type="checkbox"
          className="accent-spruce"
          aria-label={`Keep ${variable.name}`}
          title={
            variable.computed === undefined
              ? 'It is there again when the application is opened the next time'
              : 'What follows other values is worked out anew'
          }
          disabled={variable.computed !== undefined}
          checked={variable.kept === true && variable.computed === undefined}
          onChange={(event) => {
            const { kept: _, ...rest } = variable;
            onChange(event.target.checked ? { ...rest, kept: true } : rest, `Keep ${variable.name}`);
          }}
        />
      </td>
      <td className="px-2 py-2">
        {uses.length === 0 && followers.length === 0 && <span className="text-quiet">nothing yet</span>}
        <Users words="set by" uses={uses.filter(({ written }) => written)} />
        <Users words="read by" uses={uses.filter(({ written }) => !written)} />
        {followers.length > 0 && (
          <p>
            <span className="text-quiet">followed by </span>
            <span className="font-mono text-[12px]">{followers.map(({ name }) => name).join(', ')}</span>
          </p>
        )}
      </td>
      <td className="py-1.5 pr-2">
        <button
          type="button"
          className="btn-bare text-quiet hover:text-brick"
          aria-label={`Delete ${variable.name}`}
          onClick={onRemove}
        >
          <Trash2 size={15} />
        </button>
      </td>
    </tr>
  );
}

/** Controls that do something with a variable, to go to. */
function Users({ words, uses }: { words: string; uses: readonly StateUse[] }) {
  const { editor } = useWorkplace();
  const navigate = useNavigate();
  const controls = [...new Map(uses.map((use) => [use.control.id, use])).values()];
  if (controls.length === 0) return null;
  return (
    <p className="flex flex-wrap gap-x-2">
      <span className="text-quiet">{words}</span>
      {controls.slice(0, 6).map(({ screen, control }) => (
        <button
          key={control.id}
          type="button"
          className="font-mono text-[12px] text-lake underline decoration-dotted underline-offset-2"
          onClick={() => {
            editor.select([control.id]);
            void navigate('..', { relative: 'path' });
          }}
        >
          {screen.name}.{effectiveNames(screen).get(control.id)}
        </button>
      ))}
      {controls.length > 6 && <span className="text-quiet">and {controls.length - 6} more</span>}
    </p>
  );
}

function VariableName({ variable }: { variable: StateVariable }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const [typed, setTyped] = useState<string>();
  const problem =
    typed === undefined || typed === variable.name
      ? undefined
      : stateNameProblem(project, typed, variable.name);
  const commit = () => {
    if (typed !== undefined && typed !== variable.name && !problem)
      editor.dispatch({
        label: `Rename ${variable.name} to ${typed}`,
        steps: renameState(variable.name, typed),
      });
    if (!problem) setTyped(undefined);
  };
  return (
    <>
      <input
        className="field font-mono"
        data-variable={variable.name}
        aria-label={`Name of ${variable.name}`}
        aria-invalid={problem !== undefined}
        value={typed ?? variable.name}
        spellCheck={false}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape') setTyped(undefined);
        }}
      />
      {problem && (
        <p role="alert" className="mt-1 text-brick">
          {problem}
        </p>
      )}
    </>
  );
}
