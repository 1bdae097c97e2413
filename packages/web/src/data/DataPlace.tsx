/** Data: the project's state variables, with type, initial value and who uses them. */
import {
  changing,
  dropping,
  freshName,
  listName,
  type Made,
  makeForm,
  type Project,
  putting,
  type StateVariable,
  stateNameProblem,
  usesOfState,
} from '@hovrin/core';
import { FileJson, Plus } from 'lucide-react';
import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';
import { useSearchParams } from 'react-router';
import { newId } from '../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { useCommandKeys } from '../editor/keys.ts';
import { PlaceHeader } from '../PlaceHeader.tsx';
import { useGoTo } from '../parts/useGoTo.ts';
import { Handlers } from './Handlers.tsx';
import { KeptSettings } from './KeptSettings.tsx';
import { SchemaDialog } from './SchemaDialog.tsx';
import { ServicesSection } from './services/ServicesSection.tsx';
import { VariableRow } from './VariableRow.tsx';

/** A name for a list of something that is free. */
function freeListName(project: Project, title: string): string {
  const wanted = listName(title);
  const isTaken = (name: string) => stateNameProblem(project, name) !== undefined;
  return isTaken(wanted) ? freshName(wanted, isTaken) : wanted;
}

export function DataPlace() {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const goTo = useGoTo();
  useCommandKeys(editor);
  useWantedVariable();
  const remove = (variable: StateVariable) => {
    const uses = usesOfState(project, variable.name).length;
    editor.dispatch({ label: `Delete ${variable.name}`, steps: [dropping('state', variable)] });
    if (uses > 0)
      editor.tell(
        `${uses} ${uses === 1 ? 'property still names' : 'properties still name'} ${variable.name}; they are marked in the tree. Undo brings it back.`,
      );
  };
  const take = ({ screen, steps }: Made) => {
    if (editor.dispatch({ label: `Make ${screen.name}`, steps, select: [screen.id] })) goTo('');
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
                const list = freeListName(project, title);
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
            <VariableTable onRemove={remove} onMade={take} />
          )}
          <ServicesSection />
          <KeptSettings />
          <Handlers />
        </div>
      </main>
    </>
  );
}

/** The variable that the address asks for comes into sight, and has the focus. */
function useWantedVariable(): void {
  const [query] = useSearchParams();
  const wanted = query.get('variable');
  useEffect(() => {
    if (wanted === null) return;
    const field = document.querySelector<HTMLElement>(`input[data-variable="${CSS.escape(wanted)}"]`);
    field?.scrollIntoView({ block: 'center' });
    field?.focus({ preventScroll: true });
  }, [wanted]);
}

function VariableTable({
  onRemove,
  onMade,
}: {
  onRemove: (variable: StateVariable) => void;
  onMade: (made: Made) => void;
}) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  return (
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
              onRemove={() => onRemove(variable)}
              onMade={onMade}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}
