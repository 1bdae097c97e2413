/** The project's components below its screens: each opens on the bench, by itself. */
import {
  applySteps,
  type Control,
  definitionOf,
  detach,
  newComponent,
  type Step,
  usesOfComponent,
} from '@hovrin/core';
import { MoreHorizontal, Plus } from 'lucide-react';
import { Fragment } from 'react';
import { newId } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import type { Editor } from '../../editor/editor.ts';
import { keyWords } from '../../editor/keys.ts';
import { Menu } from '../../parts/Menu.tsx';
import { inFolders } from '../folders.ts';
import { KindIcon } from '../KindIcon.tsx';
import { BringKit, takeOut, useKitInput } from './Kits.tsx';

/** Makes an empty component and shows it, to be named. */
function addComponent(editor: Editor): void {
  const { project } = editor.state;
  const component = newComponent(project, newId);
  const done = editor.dispatch({
    label: `Add the component ${component.name}`,
    steps: [{ type: 'insert', parent: null, index: (project.components ?? []).length, control: component }],
  });
  if (!done) return;
  editor.showScreen(component.id);
  editor.setTyping({ control: component.id, what: 'name' });
}

/** The menu that adds a component, or brings some in. */
export function AddComponent() {
  const { editor } = useWorkplace();
  const input = useKitInput();
  return (
    <>
      <Menu
        label="Add a component"
        button={
          <button type="button" className="btn-bare" aria-label="Add a component">
            <Plus size={15} />
          </button>
        }
        entries={[
          { label: 'New component', onSelect: () => addComponent(editor) },
          { label: 'Bring in a kit …', onSelect: () => input.current?.click() },
        ]}
      />
      <BringKit input={input} />
    </>
  );
}

export function Components() {
  const { editor } = useWorkplace();
  const { project, screenId } = useEditorState('project', 'screenId');
  const components = project.components ?? [];
  return (
    <>
      {components.length === 0 && (
        <p className="px-3 pb-1 text-quiet">
          Nothing is said once for many places yet. Select something that recurs and press{' '}
          {keyWords('Mod+Alt+K')}, or add one with +.
        </p>
      )}
      {inFolders(project, components).map(({ folder, kinds }) => (
        <Fragment key={folder}>
          {folder !== '' && <h3 className="px-3 pt-1 text-[12px] text-quiet">{folder}</h3>}
          <ul aria-label={folder === '' ? undefined : folder}>
            {kinds.map((component) => (
              <li
                key={component.id}
                className={`group flex items-center pr-1.5 ${component.id === screenId ? 'bg-sunk font-medium' : 'hover:bg-sunk/60'}`}
              >
                <button
                  type="button"
                  className="flex h-7 min-w-0 flex-1 items-center gap-2 pl-3 text-left"
                  aria-current={component.id === screenId}
                  onClick={() => editor.showScreen(component.id)}
                >
                  <KindIcon kind="component" />
                  <span className="truncate">{component.name}</span>
                  <span className="ml-auto text-[11px] font-normal text-quiet">
                    {usedWords(usesOfComponent(project, component.name ?? '').length, component)}
                  </span>
                </button>
                <ComponentMenu component={component} />
              </li>
            ))}
          </ul>
        </Fragment>
      ))}
    </>
  );
}

function usedWords(uses: number, component: Control): string {
  if (uses === 0) return 'not used';
  return definitionOf(component).isSurround ? `around ${uses}` : `${uses} ×`;
}

/** The steps that put what instances of a component stand for in their places. */
function detachAll(editor: Editor, name: string): readonly Step[] | string {
  let { project } = editor.state;
  const steps: Step[] = [];
  for (;;) {
    const use = usesOfComponent(project, name).find(({ attribute }) => attribute === '');
    if (!use) return steps;
    const done = detach(project, use.control.id, newId);
    if (typeof done === 'string') return done;
    steps.push(...done.steps);
    const applied = applySteps(project, done.steps);
    if (!applied.ok) return applied.reason;
    project = applied.project;
  }
}

function ComponentMenu({ component }: { component: Control }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const name = component.name ?? '';
  const uses = usesOfComponent(project, name);
  const remove = (before: readonly Step[], label: string) =>
    editor.dispatch({ label, steps: [...before, { type: 'remove', control: component.id }] });
  return (
    <Menu
      label={`More for ${name}`}
      button={
        <button
          type="button"
          className="btn-bare !h-6 !min-w-6 opacity-0 group-focus-within:opacity-100 group-hover:opacity-100 data-[state=open]:opacity-100"
          aria-label={`More for component ${name}`}
        >
          <MoreHorizontal size={14} />
        </button>
      }
      entries={[
        {
          label: 'Rename',
          onSelect: () => {
            editor.showScreen(component.id);
            editor.select([component.id]);
            editor.setTyping({ control: component.id, what: 'name' });
          },
        },
        ...(definitionOf(component).isSurround
          ? [
              {
                label: 'For new screens',
                disabled: project.surround === name,
                onSelect: () => {
                  editor.dispatch({
                    label: `New screens stand in ${name}`,
                    steps: [{ type: 'project' as const, key: 'surround' as const, value: name }],
                  });
                },
              },
            ]
          : []),
        { label: 'Save as a kit', onSelect: () => void takeOut(editor, name) },
        {
          label: uses.length === 0 ? 'Delete' : 'Delete, instances become controls',
          danger: true,
          disabled: uses.some(({ attribute }) => attribute !== ''),
          onSelect: () => {
            const before = uses.length === 0 ? [] : detachAll(editor, name);
            if (typeof before === 'string') editor.tell(before);
            else remove(before, `Delete the component ${name}`);
          },
        },
      ]}
    />
  );
}
