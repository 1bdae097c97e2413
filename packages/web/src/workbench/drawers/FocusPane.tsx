/** The order in which the screen's controls take the focus: a list to drag, or controls to press in turn. */
import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { type Control, type FocusStop, repetitionOf } from '@hovrin/core';
import { GripVertical } from 'lucide-react';
import { useEffect } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { useFocusOrder } from '../bays/useFocusOrder.ts';
import { useBenchView } from '../bench/benchView.ts';
import { KindIcon } from '../KindIcon.tsx';
import { useNames } from '../useNames.ts';

export function FocusPane({ screen }: { screen: Control }) {
  const { editor } = useWorkplace();
  const { setLit, turns, setTurns } = useBenchView();
  const { stops, jumps, given, orderSteps, plainSteps } = useFocusOrder(screen);
  const names = useNames(screen);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 3 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  useEffect(
    () => () => {
      setTurns(undefined);
      setLit(undefined);
    },
    [setTurns, setLit],
  );
  const put = (order: readonly string[], label: string) =>
    editor.dispatch({ label, steps: orderSteps(order), exact: true });
  const ids = stops.map(({ control }) => control.id);
  const drop = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const order = arrayMove(ids, ids.indexOf(String(active.id)), ids.indexOf(String(over.id)));
    put(order, `Focus on ${names.get(String(active.id))} in another turn`);
  };
  const shift = (id: string, by: number) => {
    const from = ids.indexOf(id);
    const to = Math.max(0, Math.min(ids.length - 1, from + by));
    if (to !== from) put(arrayMove(ids, from, to), `Focus on ${names.get(id)} in another turn`);
  };
  return (
    <div className="grid h-full grid-cols-[minmax(0,230px)_minmax(0,1fr)]">
      <div className="flex flex-col items-start gap-2 border-r border-rule p-3">
        <p>
          {stops.length === 0
            ? 'Nothing on this screen takes the focus.'
            : given
              ? 'The order is set by hand. What is added later comes last.'
              : 'The focus follows the tree.'}
        </p>
        {turns === undefined ? (
          <button
            type="button"
            className="btn"
            disabled={stops.length < 2}
            title="Press the controls on the bench one after another"
            onClick={() => setTurns([])}
          >
            Press controls in turn
          </button>
        ) : (
          <button type="button" className="btn btn-main" onClick={() => setTurns(undefined)}>
            Done, {turns.length} of {stops.length} pressed
          </button>
        )}
        <button
          type="button"
          className="btn"
          disabled={!given}
          onClick={() =>
            editor.dispatch({
              label: 'Focus in the order of the tree',
              steps: plainSteps(),
              exact: true,
            })
          }
        >
          As the tree has it
        </button>
        {jumps.size > 0 && (
          <p className="text-brick">
            {jumps.size === 1 ? 'One jump' : `${jumps.size} jumps`} back against the reading order at this
            width.
          </p>
        )}
      </div>
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <ol aria-label="Focus order" className="overflow-y-auto p-2">
            {stops.map((stop, index) => (
              <StopRow
                key={stop.control.id}
                stop={stop}
                number={index + 1}
                name={names.get(stop.control.id) ?? ''}
                jumps={jumps.has(stop.control.id)}
                onShift={(by) => shift(stop.control.id, by)}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
    </div>
  );
}

function StopRow({
  stop: { control, takers },
  number,
  name,
  jumps,
  onShift,
}: {
  stop: FocusStop;
  number: number;
  name: string;
  jumps: boolean;
  onShift: (by: number) => void;
}) {
  const { editor } = useWorkplace();
  const { selection } = useEditorState('selection');
  const { setLit } = useBenchView();
  const { setNodeRef, attributes, listeners, transform, isDragging } = useSortable({ id: control.id });
  return (
    <li
      ref={setNodeRef}
      className={`flex h-7 items-center gap-1 rounded-sm ${selection.includes(control.id) ? 'bg-saffron/20' : ''} ${isDragging ? 'relative z-10 bg-sheet shadow-lg' : ''}`}
      style={transform ? { transform: `translateY(${transform.y}px)` } : undefined}
      onPointerEnter={() => setLit(control.id)}
      onPointerLeave={() => setLit(undefined)}
    >
      <button
        type="button"
        className="grid h-7 w-6 cursor-grab place-items-center text-quiet"
        {...attributes}
        {...listeners}
        aria-label={`Move ${name}: Space takes it, arrows move it`}
      >
        <GripVertical size={14} aria-hidden />
      </button>
      <span className="w-6 text-right font-mono text-quiet">{number}</span>
      <button
        type="button"
        title="Alt with the arrows up and down moves it"
        className="flex h-7 min-w-0 flex-1 items-center gap-2 rounded-sm px-2 text-left hover:bg-sunk"
        onClick={() => editor.select([control.id])}
        onKeyDown={(event) => {
          if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
          event.preventDefault();
          event.stopPropagation();
          onShift(event.key === 'ArrowUp' ? -1 : 1);
        }}
      >
        <KindIcon kind={control.kind} />
        <span className="truncate">{name}</span>
        {repetitionOf(control) && (
          <span className="shrink-0 text-quiet">
            its items one after another, {takers.length === 1 ? 'one stop' : `${takers.length} stops`} each
          </span>
        )}
        {jumps && <span className="ml-auto shrink-0 text-brick">jumps back against the reading order</span>}
      </button>
    </li>
  );
}
