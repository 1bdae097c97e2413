/** The list of screens and dialogs above the tree. */
import { type Control, isDialog } from '@hovrin/core';
import { MoreHorizontal, Plus, SquareStack } from 'lucide-react';
import { commandNamed, runCommand } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { keyWords } from '../../editor/keys.ts';
import { Menu } from '../../parts/Menu.tsx';
import { KindIcon } from '../KindIcon.tsx';

/** The button that adds a screen. */
export function AddScreens() {
  const { editor } = useWorkplace();
  return (
    <button
      type="button"
      className="btn-bare"
      aria-label="New screen"
      title={`New screen (${keyWords('Mod+Shift+A')})`}
      onClick={() => runCommand(editor, commandNamed('new-screen'))}
    >
      <Plus size={15} />
    </button>
  );
}

export function Screens() {
  const { editor } = useWorkplace();
  const { project, screenId } = useEditorState('project', 'screenId');
  return (
    <>
      <ul>
        {project.screens.map((screen) => (
          <li
            key={screen.id}
            className={`group flex items-center pr-1.5 ${screen.id === screenId ? 'bg-sunk font-medium' : 'hover:bg-sunk/60'}`}
          >
            <button
              type="button"
              className="flex h-7 min-w-0 flex-1 items-center gap-2 pl-3 text-left"
              aria-current={screen.id === screenId}
              onClick={() => editor.showScreen(screen.id)}
            >
              <KindIcon kind="screen" />
              <span className="truncate">{screen.name}</span>
              {isDialog(screen) && <span className="ml-auto text-[11px] font-normal text-quiet">dialog</span>}
              {(project.start ?? project.screens[0]?.name) === screen.name && (
                <span className="ml-auto text-[11px] font-normal text-quiet">start</span>
              )}
            </button>
            <ScreenMenu screen={screen} />
          </li>
        ))}
      </ul>
      {project.screens.length === 0 && (
        <p className="px-3 py-2 text-quiet">There are no screens. Add the first with +.</p>
      )}
      <button
        type="button"
        className="flex h-7 shrink-0 items-center gap-2 pl-3 text-left text-quiet hover:bg-sunk/60 hover:text-ink"
        title={`A screen that is shown over others (${keyWords('Mod+Shift+O')})`}
        onClick={() => runCommand(editor, commandNamed('new-dialog'))}
      >
        <SquareStack size={14} aria-hidden /> New dialog
      </button>
    </>
  );
}

function ScreenMenu({ screen }: { screen: Control }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  return (
    <Menu
      label={`More for ${screen.name}`}
      button={
        <button
          type="button"
          className="btn-bare !h-6 !min-w-6 opacity-0 group-focus-within:opacity-100 group-hover:opacity-100 data-[state=open]:opacity-100"
          aria-label={`More for screen ${screen.name}`}
        >
          <MoreHorizontal size={14} />
        </button>
      }
      entries={[
        {
          label: 'Rename',
          onSelect: () => {
            editor.select([screen.id]);
            editor.setTyping({ control: screen.id, what: 'name' });
          },
        },
        {
          label: 'Open first',
          disabled: project.start === screen.name,
          onSelect: () =>
            editor.dispatch({
              label: `Open ${screen.name} first`,
              steps: [{ type: 'project', key: 'start', value: screen.name ?? null }],
            }),
        },
        {
          label: 'Delete',
          danger: true,
          onSelect: () =>
            editor.dispatch({
              label: `Delete screen ${screen.name}`,
              steps: [{ type: 'remove', control: screen.id }],
            }),
        },
      ]}
    />
  );
}
