/** One line of the tree. */
import { type Control, inForce, kindOf, ownId } from '@hovrin/core';
import { ChevronDown, ChevronRight, Lock, MoreHorizontal } from 'lucide-react';
import { memo } from 'react';
import { canRun, commandNamed, runCommand } from '../../editor/commands/index.ts';
import { useWorkplace } from '../../editor/context.tsx';
import { keyWords } from '../../editor/keys.ts';
import { Menu } from '../../parts/Menu.tsx';
import { useBays } from '../bench/bays.ts';
import { useFindings } from '../every-width/useEveryWidth.ts';
import { useDragged } from '../hands/useDragged.ts';
import { KindIcon } from '../KindIcon.tsx';
import { MarkSign, markKinds, marksOf } from '../markKinds.tsx';
import type { Row } from './treeRows.ts';

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

export const TreeRow = memo(function TreeRow({
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
  const isScreen = kindOf(control).root !== undefined;
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
      <Fold control={control} name={name} open={open} onToggle={onToggle} />
      <KindIcon kind={control.kind} size={13} />
      <span
        className={`truncate ${hidden ? 'text-quiet line-through' : ''} ${control.name === undefined && !kindOf(control).declares ? 'text-quiet italic' : ''}`}
      >
        {name}
      </span>
      <Marks invalid={invalid} control={control} />
      {!isScreen && <RowMenu control={control} name={name} selected={selected} onSelect={onSelect} />}
    </div>
  );
});

function Fold({
  control,
  name,
  open,
  onToggle,
}: Pick<TreeRowProps, 'control' | 'name' | 'open' | 'onToggle'>) {
  return control.children.length > 0 ? (
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
  );
}

function RowMenu({
  control,
  name,
  selected,
  onSelect,
}: Pick<TreeRowProps, 'control' | 'name' | 'selected' | 'onSelect'>) {
  const { editor } = useWorkplace();
  return (
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
  );
}

/** What is special about a control. */
function Marks({ invalid, control }: { invalid: boolean; control: Control }) {
  const findings = useFindings();
  const isWrong = findings.some(
    (finding) => ownId(finding.control) === control.id && finding.severity !== 'advice',
  );
  const marks = [
    ...marksOf(control),
    ...(isWrong ? (['wrong'] as const) : []),
    ...(invalid ? (['invalid'] as const) : []),
  ];
  return (
    <span className="ml-auto flex items-center gap-1 pl-1">
      {inForce(control.props.locked) === 'true' && (
        <Lock size={11} className="text-quiet" role="img" aria-label="Locked" />
      )}
      {marks.map((mark) => (
        <MarkSign key={mark} {...markKinds[mark]} />
      ))}
    </span>
  );
}
