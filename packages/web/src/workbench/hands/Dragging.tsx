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
  contains,
  effectiveNames,
  kindNamed,
  locate,
  type PropertyValue,
  takesInside,
} from '@hovrin/core';
import { type ReactNode, useMemo, useRef, useState } from 'react';
import { insertCopies, isLocked, moveTo, placeNew } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { keyWords } from '../../editor/keys.ts';
import { placeWords } from '../../editor/places.ts';
import { BaysContext, type PendingDrop, type ShownBay } from '../bench/bays.ts';
import { useBenchView } from '../bench/benchView.ts';
import { dropAt, type Grabbed, type Rectangle } from './drop.ts';
import { landing, type Props, staysOnBoard } from './landing.ts';
import { controlsIn } from './spot.ts';

/** What is being dragged: a new control of a kind, or some that are there. */
type Dragged =
  | { readonly kind: string }
  | { readonly controls: readonly string[]; readonly grabbed: Grabbed }
  | { readonly lasso: string };

/** The size that a new control is taken to have while it is dragged, CSS px. */
const newSize: Grabbed = { width: 120, height: 40, x: 0, y: 0 };

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

  /** A point of the window on a bay's screen, CSS px. */
  const onBay = ({ element, scale }: ShownBay, x: number, y: number): [number, number] => {
    const { left, top } = element.getBoundingClientRect();
    return [(x - left) / scale, (y - top) / scale];
  };

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
      const from = event.activatorEvent as PointerEvent;
      const [x, y] = bay && data.from === 'bay' ? onBay(bay, from.clientX, from.clientY) : [0, 0];
      const grabbed =
        box && data.from === 'bay'
          ? { width: box.width, height: box.height, x: x - box.x, y: y - box.y }
          : { ...newSize, ...(box && { width: box.width, height: box.height }) };
      setDragged({ controls, grabbed });
    } else setDragged(data.bay ? { lasso: data.bay } : undefined);
  };

  const pointer = (event: DragMoveEvent): [number, number] => {
    const from = event.activatorEvent as PointerEvent;
    return [from.clientX + event.delta.x, from.clientY + event.delta.y];
  };

  const draw = (event: DragMoveEvent, bayId: string) => {
    const bay = shown.current.get(bayId);
    if (!bay) return;
    const from = event.activatorEvent as PointerEvent;
    const [x, y] = onBay(bay, from.clientX, from.clientY);
    const [toX, toY] = onBay(bay, ...pointer(event));
    const drawn = {
      x: Math.min(x, toX),
      y: Math.min(y, toY),
      width: Math.abs(toX - x),
      height: Math.abs(toY - y),
    };
    setArea(drawn);
    editor.select(controlsIn(bay.screen, bay.layout, drawn));
  };

  const find = (event: DragMoveEvent): PendingDrop | undefined => {
    const { project, step } = editor.state;
    const [x, y] = pointer(event);
    const ids = dragged && 'controls' in dragged ? dragged.controls : [];
    const [moving] = ids;
    const under = document.elementFromPoint(x, y);
    const bayId = under?.closest<HTMLElement>('[data-bay]')?.dataset.bay;
    const bay = bayId === undefined ? undefined : shown.current.get(bayId);
    if (bay && bayId !== undefined) {
      const grabbed = dragged && 'grabbed' in dragged ? dragged.grabbed : newSize;
      const freed = (window.event as PointerEvent | undefined)?.altKey === true;
      const found = dropAt(project, bay.screen, bay.layout, ...onBay(bay, x, y), moving, grabbed, {
        step,
        on: snapping !== freed,
      });
      const inside = ids.some((id) => {
        const control = locate(project, id)?.control;
        return control && found && contains(control, found.place.parent);
      });
      if (!found || inside) return undefined;
      const order = placeWords(project, found.place, moving);
      const into = placeWords(project, { parent: found.place.parent, index: 0 }, moving).split(',')[0]!;
      return {
        place: found.place,
        words: found.words ? `${into}, ${found.words}` : order,
        bay: bayId,
        drop: found,
      };
    }
    const row = under?.closest<HTMLElement>('[data-tree-id]');
    if (!row) return undefined;
    const target = locate(project, row.dataset.treeId!);
    if (!target) return undefined;
    if (ids.some((id) => contains(locate(project, id)!.control, target.control.id))) return undefined;
    const { top, height } = row.getBoundingClientRect();
    const part = (y - top) / height;
    const holds = takesInside(target.control);
    const without = (list: readonly { readonly id: string }[]) => list.filter(({ id }) => !ids.includes(id));
    if (!target.parent || (holds && part > 0.25 && part < 0.75)) {
      if (!holds) return undefined;
      const place = { parent: target.control.id, index: without(target.control.children).length };
      return { place, words: placeWords(project, place, moving) };
    }
    const others = without(target.parent.children);
    const place = { parent: target.parent.id, index: others.indexOf(target.control) + (part < 0.5 ? 0 : 1) };
    return { place, words: placeWords(project, place, moving) };
  };

  const finish = () => {
    if (drop && dragged && !('lasso' in dragged)) {
      if ('kind' in dragged) placeNew(editor, dragged.kind, drop.place, drop.drop?.props ?? {});
      else if ((window.event as PointerEvent | undefined)?.ctrlKey) duplicateTo(dragged.controls, drop);
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
  /** Copies of what is dragged go where it would have gone. */
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
