/** Follows the pointer while something is dragged, says where it would land, and puts it there; or draws a lasso. */
import {
  DndContext,
  type DragMoveEvent,
  type DragStartEvent,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  type Control,
  effectiveNames,
  kindNamed,
  locate,
  type PropertyValue,
  type Rectangle,
} from '@hovrin/core';
import { type ReactNode, useMemo, useRef, useState } from 'react';
import { insertCopies, isLocked, moveTo, placeNew } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { keyWords } from '../../editor/keys.ts';
import { BaysContext, type PendingDrop, type ShownBay } from '../bench/bays.ts';
import { useBenchView } from '../bench/benchView.ts';
import { between, type Grabbed, type Point } from './drop.ts';
import { dropOnBay, dropOnRow } from './dropWords.ts';
import { landing, type Props, staysOnBoard } from './landing.ts';
import { controlsIn } from './spot.ts';

/** What is being dragged: a new control of a kind, or some that are there. */
type Dragged =
  | { readonly kind: string }
  | { readonly controls: readonly string[]; readonly grabbed: Grabbed }
  | { readonly lasso: string };

/** The size that a new control is taken to have while it is dragged, CSS px. */
const newSize: Grabbed = { width: 120, height: 40, x: 0, y: 0 };

/** Where a drag began, px of the window. */
const pressedAt = (event: Event): Point =>
  event instanceof MouseEvent ? { x: event.clientX, y: event.clientY } : { x: 0, y: 0 };

/** Whether a key is held while the pointer moves. */
const isHeld = (key: 'altKey' | 'ctrlKey'): boolean =>
  window.event instanceof MouseEvent && window.event[key];

/** Where the pointer is, px of the window. */
function pointer({ activatorEvent, delta }: DragMoveEvent): Point {
  const { x, y } = pressedAt(activatorEvent);
  return { x: x + delta.x, y: y + delta.y };
}

/** A point of the window on a bay's screen, CSS px. */
function onBay({ element, scale }: ShownBay, { x, y }: Point): Point {
  const { left, top } = element.getBoundingClientRect();
  return { x: (x - left) / scale, y: (y - top) / scale };
}

export function Dragging({ children }: { children: ReactNode }) {
  const { editor } = useWorkplace();
  const { snapping } = useBenchView();
  const shown = useRef(new Map<string, ShownBay>());
  const [drop, setDrop] = useState<PendingDrop>();
  const [dragged, setDragged] = useState<Dragged>();
  const [area, setArea] = useState<Rectangle>();
  const sensors = useSensors(useSensor(PointerSensor));
  const lasso = useMemo(
    () => (dragged && 'lasso' in dragged && area ? { bay: dragged.lasso, area } : undefined),
    [dragged, area],
  );
  const bays = useMemo(
    () => ({
      register: (id: string, bay: ShownBay) => void shown.current.set(id, bay),
      unregister: (id: string) => void shown.current.delete(id),
      drop,
      lasso,
    }),
    [drop, lasso],
  );

  const start = (event: DragStartEvent) => {
    const data = event.active.data.current as {
      from: string;
      kind?: string;
      control?: string;
      bay?: string;
      pressed?: { current?: string };
    };
    const id = data.from === 'bay' ? data.pressed?.current : data.control;
    const { project, selection } = editor.state;
    if (data.kind) setDragged({ kind: data.kind });
    else if (id !== undefined && isLocked(project, id)) {
      editor.tell(`It is locked against moving. ${keyWords('Shift+X')} unlocks it.`);
      setDragged(undefined);
    } else if (id !== undefined && locate(project, id)?.parent) {
      const controls = selection.includes(id) ? selection : [id];
      const bay = shown.current.get(data.bay ?? 'working');
      const box = bay?.layout.byControl.get(id);
      const from = event.activatorEvent;
      const { x, y } = bay && data.from === 'bay' ? onBay(bay, pressedAt(from)) : { x: 0, y: 0 };
      const grabbed =
        box && data.from === 'bay'
          ? { width: box.width, height: box.height, x: x - box.x, y: y - box.y }
          : { ...newSize, ...(box && { width: box.width, height: box.height }) };
      setDragged({ controls, grabbed });
    } else setDragged(data.bay ? { lasso: data.bay } : undefined);
  };

  const draw = (event: DragMoveEvent, bayId: string) => {
    const bay = shown.current.get(bayId);
    if (!bay) return;
    const from = onBay(bay, pressedAt(event.activatorEvent));
    const drawn = between(from, onBay(bay, pointer(event)));
    setArea(drawn);
    editor.select(controlsIn(bay.screen, bay.layout, drawn));
  };

  const find = (event: DragMoveEvent): PendingDrop | undefined => {
    const { project, step } = editor.state;
    const at = pointer(event);
    const ids = dragged && 'controls' in dragged ? dragged.controls : [];
    const under = document.elementFromPoint(at.x, at.y);
    const bayId = under?.closest<HTMLElement>('[data-bay]')?.dataset.bay;
    const bay = bayId === undefined ? undefined : shown.current.get(bayId);
    if (bay && bayId !== undefined) {
      const grabbed = dragged && 'grabbed' in dragged ? dragged.grabbed : newSize;
      const freed = isHeld('altKey');
      const found = dropOnBay({ ...bay, project }, onBay(bay, at), ids, {
        grabbed,
        snapping: { step, on: snapping !== freed },
      });
      return found && { ...found, bay: bayId };
    }
    const row = under?.closest<HTMLElement>('[data-tree-id]');
    if (!row?.dataset.treeId) return undefined;
    const { top, height } = row.getBoundingClientRect();
    return dropOnRow(project, row.dataset.treeId, (at.y - top) / height, ids);
  };

  const finish = () => {
    if (drop && dragged && !('lasso' in dragged)) {
      if ('kind' in dragged) placeNew(editor, dragged.kind, drop.place, drop.drop?.props ?? {});
      else if (isHeld('ctrlKey')) duplicateTo(dragged.controls, drop);
      else
        moveTo(
          editor,
          dragged.controls,
          staysOnBoard(editor.state.project, dragged.controls, drop) ? undefined : drop.place,
          landed(dragged.controls, drop),
        );
    }
    cancel();
  };
  const landed = (ids: readonly string[], at: PendingDrop) =>
    landing(editor.state.project, ids, at, shown.current.get(at.bay ?? 'working')?.layout);
  /** Puts copies of the dragged controls where these would have gone. */
  const duplicateTo = (ids: readonly string[], at: PendingDrop) => {
    const propsAt = landed(ids, at);
    const controls = ids.flatMap((id) => {
      const control = locate(editor.state.project, id)?.control;
      return control ? [{ ...control, props: withProps(control.props, propsAt(id)) }] : [];
    });
    editor.dispatch({ label: 'Duplicate by dragging', ...insertCopies(editor, controls, at.place) });
  };
  const cancel = () => {
    setDrop(undefined);
    setDragged(undefined);
    setArea(undefined);
  };
  return (
    <BaysContext value={bays}>
      <DndContext
        sensors={sensors}
        autoScroll={false}
        onDragStart={start}
        onDragMove={(event) => {
          if (dragged && 'lasso' in dragged) draw(event, dragged.lasso);
          else setDrop(dragged ? find(event) : undefined);
        }}
        onDragEnd={finish}
        onDragCancel={cancel}
      >
        {children}
        {dragged && !('lasso' in dragged) && <DraggedWords dragged={dragged} drop={drop} />}
      </DndContext>
    </BaysContext>
  );
}

/** Properties with some of them set, or taken away where they are null. */
function withProps(props: Control['props'], change: Props): Control['props'] {
  const all: Record<string, PropertyValue | null> = { ...props, ...change };
  return Object.fromEntries(
    Object.entries(all).filter((entry): entry is [string, PropertyValue] => entry[1] !== null),
  );
}

/** Says in words what is dragged and where it would land. */
function DraggedWords({
  dragged,
  drop,
}: {
  dragged: Exclude<Dragged, { lasso: string }>;
  drop: PendingDrop | undefined;
}) {
  const { project } = useEditorState('project');
  const ids = 'controls' in dragged ? dragged.controls : [];
  const found = ids[0] === undefined ? undefined : locate(project, ids[0]);
  const what =
    'kind' in dragged
      ? `new ${kindNamed(dragged.kind)?.label.toLowerCase() ?? ''}`
      : ids.length > 1
        ? `${ids.length} controls`
        : found && effectiveNames(found.screen).get(found.control.id);
  return (
    <p
      role="status"
      className="pointer-events-none fixed bottom-4 left-1/2 z-50 -translate-x-1/2 rounded-md bg-ink px-3 py-1.5 text-ground shadow-lg"
    >
      {what}: {drop ? drop.words : 'not over a place'}
    </p>
  );
}
