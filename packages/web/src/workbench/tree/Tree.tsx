/** The tree: screens on top, then everything on the screen, names first. */

import {
  attributeProblems,
  type Control,
  effectiveNames,
  hasExpression,
  inForce,
  isDialog,
  kindOf,
} from '@hovrin/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { ChevronDown, ChevronRight, Lock, MoreHorizontal, Plus, SquareStack } from 'lucide-react';
import { memo, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { canRun, commandNamed, runCommand } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { keyWords } from '../../editor/keys.ts';
import { Menu } from '../../parts/Menu.tsx';
import { useBays } from '../bench/bays.ts';
import { useFindings } from '../every-width/useEveryWidth.ts';
import { findControls } from '../find.ts';
import { useDragged } from '../hands/useDragged.ts';
import { KindIcon } from '../KindIcon.tsx';
import { useShownSelection } from '../useShownSelection.ts';

/** Commands offered on a control, in the tree. */
const controlCommands = [
  'add',
  'rename',
  'change-kind',
  'duplicate',
  'duplicate-many',
  'copy',
  'cut',
  'paste',
  'move-back',
  'move-on',
  'move-out',
  'move-in',
  'wrap-row',
  'wrap-column',
  'wrap-grid',
  'wrap-layers',
  'wrap-fieldset',
  'wrap-scroll',
  'unwrap',
  'cells',
  'arrange',
  'keep-look',
  'give-look',
  'keep-size',
  'give-size',
  'select-kind',
  'select-look',
  'hide',
  'lock',
  'delete',
];

const openIcon = <ChevronDown size={13} />;
const closedIcon = <ChevronRight size={13} />;

export function Screens() {
  const { editor } = useWorkplace();
  const { project, screenId } = useEditorState('project', 'screenId');
  return (
    <section aria-label="Screens" className="border-b border-rule pb-2">
      <div className="flex h-9 items-center justify-between pr-1.5 pl-3">
        <h2 className="font-semibold">Screens</h2>
        <div className="flex">
          <button
            type="button"
            className="btn-bare"
            aria-label="New dialog"
            title={`New dialog, shown over other screens (${keyWords('Mod+Shift+O')})`}
            onClick={() => runCommand(editor, commandNamed('new-dialog'))}
          >
            <SquareStack size={15} />
          </button>
          <button
            type="button"
            className="btn-bare"
            aria-label="New screen"
            title={`New screen (${keyWords('Mod+Shift+A')})`}
            onClick={() => runCommand(editor, commandNamed('new-screen'))}
          >
            <Plus size={15} />
          </button>
        </div>
      </div>
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
    </section>
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

export function Tree({ screen }: { screen: Control }) {
  const { editor } = useWorkplace();
  const { selection, project } = useShownSelection();
  const [closed, setClosed] = useState<ReadonlySet<string>>(new Set());
  const names = effectiveNames(screen);
  const selected = selection[0];
  const toggle = (id: string) =>
    setClosed(new Set(closed.has(id) ? [...closed].filter((each) => each !== id) : [...closed, id]));
  const [wanted, setWanted] = useState('');
  const found = useMemo(
    () => (wanted.trim() === '' ? undefined : findControls(screen, wanted)),
    [screen, wanted],
  );
  const rows = useMemo(() => rowsOf(screen, closed, found?.shown), [screen, closed, found]);
  const list = useRef<HTMLDivElement>(null);
  // The same function as long as the rows are: another one makes the virtualizer measure all of them anew.
  const keyOf = useCallback((index: number) => rows[index]!.control.id, [rows]);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => list.current,
    estimateSize: () => rowHeight,
    overscan: 40,
    // Scrolling follows a selection, which must not wait for it.
    useFlushSync: false,
    getItemKey: keyOf,
  });
  const at = rows.findIndex(({ control }) => control.id === selected);
  useEffect(() => {
    if (at < 0) return;
    // After the frame with the selection is painted: looking for the row makes the browser lay out.
    const later = requestAnimationFrame(() => setTimeout(() => virtual.scrollToIndex(at)));
    return () => cancelAnimationFrame(later);
  }, [at, virtual]);
  const selectedWith = (id: string, more: 'one' | 'range' | undefined): readonly string[] => {
    const { selection } = editor.state;
    if (more === 'one')
      return selection.includes(id) ? selection.filter((each) => each !== id) : [...selection, id];
    const from = rows.findIndex(({ control }) => control.id === selection.at(-1));
    if (more === undefined || from < 0) return [id];
    const to = rows.findIndex(({ control }) => control.id === id);
    const range = rows.slice(Math.min(from, to), Math.max(from, to) + 1).map(({ control }) => control.id);
    return [...new Set([...selection, ...range])].filter((each) => each !== screen.id);
  };
  // Rows are drawn again only when something of theirs changes; what they call stays the same.
  const now = useRef({ toggle, selectedWith });
  now.current = { toggle, selectedWith };
  const onToggle = useCallback((id: string) => now.current.toggle(id), []);
  const onSelect = useCallback(
    (id: string, more?: 'one' | 'range') => editor.select(now.current.selectedWith(id, more)),
    [editor],
  );
  return (
    <section aria-label="Tree" className="flex min-h-0 flex-1 flex-col">
      <div className="flex h-9 shrink-0 items-center gap-2 pr-2 pl-3">
        <h2 className="shrink-0 font-semibold">On {screen.name}</h2>
        <input
          className="field ml-auto !h-6 !w-24 text-[12px]"
          aria-label="Find in the tree"
          placeholder="Find"
          title="By name, kind, words or binding; Enter selects all that are found"
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Escape') setWanted('');
            if (event.key === 'Enter' && found && found.hits.length > 0) editor.select(found.hits);
          }}
        />
      </div>
      {found?.hits.length === 0 && (
        <p className="px-3 py-2 text-quiet">Nothing on this screen has “{wanted}” in it.</p>
      )}
      <div
        ref={list}
        role="tree"
        aria-label={`Controls of ${screen.name}`}
        tabIndex={0}
        aria-multiselectable
        aria-activedescendant={selected === undefined ? undefined : `tree-${selected}`}
        className="min-h-0 flex-1 overflow-auto pb-4 outline-offset-[-2px]"
      >
        <div role="presentation" className="relative" style={{ height: virtual.getTotalSize() }}>
          {virtual.getVirtualItems().map(({ index, start }) => {
            const { control, level, place, of } = rows[index]!;
            return (
              <TreeRow
                key={control.id}
                control={control}
                name={names.get(control.id) ?? ''}
                level={level}
                top={start}
                place={place}
                of={of}
                invalid={attributeProblems(project, control).length > 0}
                selected={selection.includes(control.id)}
                open={!closed.has(control.id)}
                onToggle={onToggle}
                onSelect={onSelect}
              />
            );
          })}
        </div>
      </div>
    </section>
  );
}

/** A line of the tree. */
interface Row {
  readonly control: Control;
  readonly level: number;
  /** Which of its siblings it is, counted from 1, and how many they are. */
  readonly place: number;
  readonly of: number;
}

/** px of a line. */
const rowHeight = 28;

/** @param shown where something is looked for: what is to be seen of the screen, open or closed. */
function rowsOf(screen: Control, closed: ReadonlySet<string>, shown?: ReadonlySet<string>): Row[] {
  const rows: Row[] = [];
  const visit = (control: Control, level: number, place: number, of: number) => {
    rows.push({ control, level, place, of });
    if (!shown && closed.has(control.id)) return;
    const children = shown ? control.children.filter(({ id }) => shown.has(id)) : control.children;
    children.forEach((child, index) => {
      visit(child, level + 1, index + 1, children.length);
    });
  };
  if (!shown || shown.has(screen.id)) visit(screen, 0, 1, 1);
  return rows;
}

interface TreeRowProps extends Row {
  /** Has a value that is not valid. */
  readonly invalid: boolean;
  readonly name: string;
  /** From the top of the tree, px. */
  readonly top: number;
  readonly selected: boolean;
  readonly open: boolean;
  readonly onToggle: (id: string) => void;
  /** `one`: as well, or no more; `range`: all from the last one to here. */
  readonly onSelect: (id: string, more?: 'one' | 'range') => void;
}

const TreeRow = memo(function TreeRow({
  control,
  name,
  level,
  top,
  place,
  of,
  invalid,
  selected,
  open,
  onToggle,
  onSelect,
}: TreeRowProps) {
  const { editor } = useWorkplace();
  const { drop } = useBays();
  const isScreen = kindOf(control).root === true;
  const { setNodeRef, onPointerDown } = useDragged({
    id: `tree ${control.id}`,
    data: { from: 'tree', control: control.id },
    disabled: isScreen,
  });
  const hidden = inForce(control.props.hidden) === 'true';
  const over = drop && !drop.bay && drop.place.parent === control.id;
  return (
    <div
      id={`tree-${control.id}`}
      ref={setNodeRef}
      onPointerDown={onPointerDown}
      role="treeitem"
      tabIndex={-1}
      aria-label={name}
      aria-level={level + 1}
      aria-posinset={place}
      aria-setsize={of}
      aria-selected={selected}
      aria-expanded={control.children.length > 0 ? open : undefined}
      data-tree-id={control.id}
      className={`group absolute inset-x-0 flex h-7 touch-none items-center [contain:layout_size] gap-1.5 pr-1.5 select-none ${selected ? 'bg-spruce/15 font-medium' : 'hover:bg-sunk/60'} ${over ? 'outline outline-saffron' : ''}`}
      style={{ top, paddingLeft: 8 + level * 13 }}
      onClick={(event) =>
        onSelect(control.id, event.shiftKey ? 'range' : event.ctrlKey || event.metaKey ? 'one' : undefined)
      }
      onKeyDown={() => undefined}
      onDoubleClick={() => runCommand(editor, commandNamed('rename'))}
    >
      {control.children.length > 0 ? (
        <button
          type="button"
          tabIndex={-1}
          aria-label={open ? `Close ${name}` : `Open ${name}`}
          className="text-quiet"
          onPointerDown={(event) => event.stopPropagation()}
          onClick={(event) => {
            event.stopPropagation();
            onToggle(control.id);
          }}
        >
          {open ? openIcon : closedIcon}
        </button>
      ) : (
        <span className="w-[13px]" />
      )}
      <KindIcon kind={control.kind} size={13} />
      <span
        className={`truncate ${hidden ? 'text-quiet line-through' : ''} ${control.name === undefined ? 'text-quiet italic' : ''}`}
      >
        {name}
      </span>
      <Marks invalid={invalid} control={control} />
      {!isScreen && (
        <Menu
          label={`More for ${name}`}
          button={
            <button
              type="button"
              tabIndex={-1}
              className="btn-bare absolute right-0.5 !h-6 !min-w-5 bg-sheet opacity-0 group-hover:opacity-100 data-[state=open]:opacity-100"
              aria-label={`More for ${name}`}
              onPointerDown={(event) => {
                event.stopPropagation();
                if (!selected) onSelect(control.id);
              }}
              onClick={(event) => event.stopPropagation()}
            >
              <MoreHorizontal size={14} />
            </button>
          }
          entries={() =>
            controlCommands.map((id) => {
              const command = commandNamed(id);
              return {
                label: command.label,
                ...(command.keys[0] ? { keys: keyWords(command.keys[0]) } : {}),
                disabled: !canRun(editor, command),
                danger: id === 'delete',
                onSelect: () => runCommand(editor, command),
              };
            })
          }
        />
      )}
    </div>
  );
});

/** What is special about a control: bound, with events, changed from a band, with something that is not valid. */
function Marks({ invalid, control }: { invalid: boolean; control: Control }) {
  const findings = useFindings();
  const entries = Object.entries(control.props);
  const marks = [
    {
      on: entries.some(
        ([name, value]) =>
          name.endsWith('.bind') || (!name.startsWith('on.') && hasExpression(inForce(value) ?? '')),
      ),
      words: 'Bound',
      className: 'bg-lake',
    },
    { on: entries.some(([name]) => name.startsWith('on.')), words: 'Has events', className: 'bg-spruce' },
    {
      on: entries.some(([name]) => /^(?!on\.).+\.(?!bind$)/.test(name)),
      words: 'Changes from a band',
      className: 'bg-copper',
    },
    {
      on: findings.some((finding) => finding.control === control.id && finding.severity !== 'advice'),
      words: 'Something is wrong at some width',
      className: 'bg-brick rounded-full',
    },
    {
      on: invalid,
      words: 'Has a value that is not valid',
      className: 'bg-brick',
    },
  ];
  return (
    <span className="ml-auto flex items-center gap-1 pl-1">
      {inForce(control.props.locked) === 'true' && (
        <Lock size={11} className="text-quiet" role="img" aria-label="Locked" />
      )}
      {marks.map(
        ({ on, words, className }) =>
          on && (
            <span
              key={words}
              role="img"
              aria-label={words}
              title={words}
              className={`size-1.5 rounded-[1px] ${className}`}
            />
          ),
      )}
    </span>
  );
}
