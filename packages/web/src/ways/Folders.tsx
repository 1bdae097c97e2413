/** The screens in their folders and in their order: dragged, or moved with Alt and the arrow keys. */
import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { type Control, type Folder, freshName, isInMenu, type Project, type Step } from '@hovrin/core';
import { FolderPlus, ListX, MoreHorizontal } from 'lucide-react';
import { useState } from 'react';
import { useWorkplace } from '../editor/context.tsx';
import { Menu, type MenuEntry } from '../parts/Menu.tsx';
import { TypedField } from '../parts/TypedField.tsx';
import {
  folderInMenu,
  type Group,
  groupsOf,
  movedScreen,
  newFolder,
  shiftedScreen,
  withoutFolder,
} from './folderSteps.ts';
import type { MapCard } from './mapModel.ts';
import { MarkIcon } from './ScreenCard.tsx';

interface FoldersProps {
  readonly project: Project;
  readonly cards: readonly MapCard[];
  readonly chosen: string | undefined;
  readonly onChoose: (name: string) => void;
}

const folderNameProblem = (project: Project, name: string, now?: string): string | undefined =>
  name === ''
    ? 'A folder needs a name.'
    : name.length > 64
      ? 'At most 64 characters.'
      : name !== now && project.folders?.some((folder) => folder.name === name)
        ? `There is already a folder ${name}.`
        : undefined;

/** The target of a drop: a screen, or the end of a folder. */
const endOf = (folder: Folder | undefined): string => `end ${folder?.name ?? ''}`;

export function Folders({ project, cards, chosen, onChoose }: FoldersProps) {
  const { editor } = useWorkplace();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const groups = groupsOf(project);
  const does = (label: string, steps: readonly Step[]) => {
    if (steps.length > 0) editor.dispatch({ label, steps, exact: true });
  };
  const drop = ({ active, over }: DragEndEvent) => {
    const screen = project.screens.find(({ id }) => id === active.id);
    if (!screen || !over || over.id === active.id) return;
    const on = groups.find(({ screens }) => screens.some(({ id }) => id === over.id));
    const end = groups.find(({ folder }) => endOf(folder) === over.id);
    const group = on ?? end;
    if (!group) return;
    const before = on ? beforeOf(group, screen, String(over.id)) : undefined;
    does(`Move ${screen.name}`, movedScreen(project, screen, group.folder?.name, before));
  };
  const add = () =>
    does(
      'New folder',
      newFolder(freshName('Folder', (name) => project.folders?.some((each) => each.name === name) ?? false)),
    );
  return (
    <nav
      aria-label="Folders and screens"
      data-region="folders"
      className="flex w-60 shrink-0 flex-col overflow-y-auto border-r border-rule bg-sheet pb-4"
    >
      <div className="flex items-center justify-between py-1.5 pr-2 pl-3">
        <h2 className="font-semibold">Screens</h2>
        <button type="button" className="btn-bare" onClick={add} aria-label="New folder" title="New folder">
          <FolderPlus size={15} />
        </button>
      </div>
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
        {groups.map((group) => (
          <FolderGroup
            key={group.folder?.name ?? ''}
            group={group}
            project={project}
            cards={cards}
            chosen={chosen}
            onChoose={onChoose}
            onSteps={does}
          />
        ))}
      </DndContext>
    </nav>
  );
}

/** In front of which screen a dragged one comes when it is let go over another: behind that when it comes from above in one folder. */
function beforeOf({ screens }: Group, dragged: Control, over: string): string | undefined {
  const from = screens.findIndex(({ id }) => id === dragged.id);
  const to = screens.findIndex(({ id }) => id === over);
  return from >= 0 && from < to ? screens[to + 1]?.id : over;
}

interface FolderGroupProps extends FoldersProps {
  readonly group: Group;
  readonly onSteps: (label: string, steps: readonly Step[]) => void;
}

function FolderGroup({ group, project, cards, chosen, onChoose, onSteps }: FolderGroupProps) {
  const { folder, screens } = group;
  const { setNodeRef, isOver } = useDroppable({ id: endOf(folder) });
  const [isNaming, setNaming] = useState(false);
  const hasFolders = (project.folders ?? []).length > 0;
  if (!folder && screens.length === 0 && hasFolders) return null;
  return (
    <section
      ref={setNodeRef}
      aria-label={folder?.name ?? 'In no folder'}
      className={isOver ? 'bg-sunk/60' : ''}
    >
      {hasFolders && (
        <header className="group flex h-8 items-center gap-1 pr-2 pl-3">
          {folder && isNaming ? (
            // biome-ignore lint/a11y/noStaticElementInteractions: what is typed in it ends its being shown.
            <div className="flex-1" onBlur={() => setNaming(false)}>
              <TypedField
                label="Name of the folder"
                kept={folder.name}
                problemOf={(text) => folderNameProblem(project, text, folder.name)}
                onText={(to) => {
                  onSteps(`Rename the folder ${folder.name}`, [
                    { type: 'rename', of: 'folders', key: folder.name, to },
                  ]);
                  setNaming(false);
                }}
              />
            </div>
          ) : (
            <h3 className="min-w-0 flex-1 truncate text-[12px] font-semibold text-quiet">
              {folder?.name ?? 'In no folder'}
            </h3>
          )}
          {folder?.menu === false && (
            <span title="Not in the application’s menu" className="text-quiet">
              <ListX size={13} aria-label="Not in the application’s menu" />
            </span>
          )}
          {folder && (
            <FolderMenu folder={folder} project={project} onName={() => setNaming(true)} onSteps={onSteps} />
          )}
        </header>
      )}
      <ul>
        {screens.map((screen) => (
          <ScreenRow
            key={screen.id}
            screen={screen}
            project={project}
            card={cards.find(({ id }) => id === screen.id)}
            isChosen={screen.name === chosen}
            onChoose={onChoose}
            onSteps={onSteps}
          />
        ))}
      </ul>
      {screens.length === 0 && <p className="px-3 pb-2 text-[12px] text-quiet">Empty: drag screens here.</p>}
    </section>
  );
}

interface FolderMenuProps {
  readonly folder: Folder;
  readonly project: Project;
  readonly onName: () => void;
  readonly onSteps: FolderGroupProps['onSteps'];
}

function FolderMenu({ folder, project, onName, onSteps }: FolderMenuProps) {
  const { folders = [] } = project;
  const at = folders.indexOf(folder);
  const isIn = folder.menu !== false;
  const order = (before: string | null) =>
    onSteps(`Move the folder ${folder.name}`, [{ type: 'order', of: 'folders', key: folder.name, before }]);
  const entries: MenuEntry[] = [
    { label: 'Rename', onSelect: onName },
    {
      label: 'In the application’s menu',
      checked: isIn,
      onSelect: () =>
        onSteps(
          isIn ? `Keep ${folder.name} out of the menu` : `${folder.name} in the menu`,
          folderInMenu(folder, !isIn),
        ),
    },
    { label: 'Move up', disabled: at === 0, onSelect: () => order(folders[at - 1]?.name ?? null) },
    {
      label: 'Move down',
      disabled: at === folders.length - 1,
      onSelect: () => order(folders[at + 2]?.name ?? null),
    },
    {
      label: 'Delete the folder',
      danger: true,
      onSelect: () => onSteps(`Delete the folder ${folder.name}`, withoutFolder(folder)),
    },
  ];
  return (
    <Menu
      label={`Folder ${folder.name}`}
      entries={entries}
      button={
        <button
          type="button"
          className="btn-bare !h-6 !min-w-6"
          aria-label={`More for the folder ${folder.name}`}
        >
          <MoreHorizontal size={14} />
        </button>
      }
    />
  );
}

interface ScreenRowProps extends Pick<FolderGroupProps, 'project' | 'onChoose' | 'onSteps'> {
  readonly screen: Control;
  readonly card: MapCard | undefined;
  readonly isChosen: boolean;
}

function ScreenRow({ screen, project, card, isChosen, onChoose, onSteps }: ScreenRowProps) {
  const { name = '', id } = screen;
  const drag = useDraggable({ id });
  const drop = useDroppable({ id });
  const isOut =
    !isInMenu(screen, project.folders) && !card?.marks.some((mark) => mark === 'dialog' || mark === 'splash');
  return (
    <li
      ref={(element) => {
        drag.setNodeRef(element);
        drop.setNodeRef(element);
      }}
      className={`flex h-7 items-center ${isChosen ? 'bg-spruce/15 font-medium' : 'hover:bg-sunk/60'} ${drop.isOver && !drag.isDragging ? 'shadow-[inset_0_2px_0_var(--saffron)]' : ''} ${drag.isDragging ? 'opacity-50' : ''}`}
    >
      <button
        type="button"
        className="flex h-full min-w-0 flex-1 touch-none items-center gap-1.5 pr-2 pl-5 text-left"
        aria-pressed={isChosen}
        aria-keyshortcuts="Alt+ArrowUp Alt+ArrowDown"
        title="Drag it, or move it with Alt+↑ and Alt+↓"
        {...drag.listeners}
        onClick={() => onChoose(name)}
        onKeyDown={(event) => {
          const { key, altKey } = event;
          if (!altKey || (key !== 'ArrowUp' && key !== 'ArrowDown')) return;
          event.preventDefault();
          onSteps(`Move ${name}`, shiftedScreen(project, screen, key === 'ArrowUp' ? -1 : 1));
        }}
      >
        <span className="min-w-0 flex-1 truncate">{name}</span>
        {isOut && (
          <span title="Not in the application’s menu" className="text-quiet">
            <ListX size={13} aria-label="Not in the application’s menu" />
          </span>
        )}
        {card?.marks.map((mark) => (
          <MarkIcon key={mark} mark={mark} />
        ))}
      </button>
    </li>
  );
}
