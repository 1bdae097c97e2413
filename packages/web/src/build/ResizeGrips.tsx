/** Bars at the edges of the selected control, to drag it wider or higher; the number stands beside the pointer. */
import { effectiveNames, locate, type ScreenBox, type ScreenLayout } from '@hovrin/core';
import { type PointerEvent, useRef, useState } from 'react';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { useBenchView } from './benchView.ts';
import { equalShare, type Grip, limitsOf, resizedTo, resizeSteps, siblingSizes, spanTo } from './resizing.ts';

interface Dragging {
  readonly grip: Grip;
  readonly x: number;
  readonly y: number;
  readonly box: ScreenBox;
  readonly layout: ScreenLayout;
}

let runs = 0;

export function ResizeGrips({
  id,
  box,
  layout,
  scale,
}: {
  id: string;
  box: ScreenBox;
  layout: ScreenLayout;
  scale: number;
}) {
  const { editor } = useWorkplace();
  const { project, step } = useEditorState('project', 'step');
  const { snapping } = useBenchView();
  const from = useRef<Dragging>(undefined);
  const run = useRef(0);
  const [words, setWords] = useState<string>();
  const found = locate(project, id);
  if (!found?.parent) return null;
  const { control, parent, screen } = found;
  const names = effectiveNames(screen);
  const move = (event: PointerEvent) => {
    const start = from.current;
    if (!start) return;
    const now = locate(editor.state.project, id)?.control ?? control;
    const said: string[] = [];
    const steps = (['width', 'height'] as const).flatMap((side) => {
      if (start.grip !== 'both' && start.grip !== side) return [];
      const by = side === 'width' ? event.clientX - start.x : event.clientY - start.y;
      const grid = parent.kind === 'grid' && start.layout.byControl.get(parent.id);
      const edge = side === 'width' ? start.box.x + start.box.width : start.box.y + start.box.height;
      const span =
        grid && !event.altKey
          ? spanTo(control, start.box, grid, side, edge + by / scale - (side === 'width' ? grid.x : grid.y))
          : undefined;
      if (span) {
        const what = side === 'width' ? 'column' : 'row';
        said.push(`${span.count} ${what}${span.count === 1 ? '' : 's'}`);
        const value = span.count === 1 ? null : String(span.count);
        return [{ type: 'set', control: control.id, property: span.property, value } as const];
      }
      const resized = resizedTo(
        start.box[side] + by / scale,
        siblingSizes(parent, control, start.layout, side, (each) => names.get(each) ?? ''),
        limitsOf(now, side),
        { step, on: snapping !== event.altKey },
      );
      const { value, like } = resized;
      said.push(
        `${Math.round(value * 100) / 100}${like ? (like === equalShare ? `, ${like}` : ` like ${like}`) : ''}`,
      );
      return resizeSteps(control, side, start.box, resized);
    });
    setWords(said.join(' × '));
    editor.dispatch({ label: `Resize ${names.get(id)}`, steps, group: `resize ${id} ${run.current}` });
  };
  const end = () => {
    from.current = undefined;
    setWords(undefined);
  };
  const bar = (grip: Grip, className: string, label: string) => (
    <div
      className={`pointer-events-auto absolute touch-none ${className}`}
      data-grip={grip}
      title={label}
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { grip, x: event.clientX, y: event.clientY, box, layout };
        run.current = ++runs;
      }}
      onPointerMove={move}
      onPointerUp={end}
      onPointerCancel={end}
    />
  );
  return (
    <div
      className="absolute"
      style={{
        left: box.x * scale,
        top: box.y * scale,
        width: box.width * scale,
        height: box.height * scale,
      }}
    >
      {bar(
        'width',
        '-right-[5px] bottom-1 h-5 max-h-full w-[5px] cursor-ew-resize bg-[#1f2a24] hover:bg-[#e0a11b]',
        'Drag to change the width',
      )}
      {bar(
        'height',
        'right-1 -bottom-[5px] h-[5px] w-5 max-w-full cursor-ns-resize bg-[#1f2a24] hover:bg-[#e0a11b]',
        'Drag to change the height',
      )}
      {bar('both', '-right-[9px] -bottom-[9px] size-3 cursor-nwse-resize', 'Drag to change both')}
      {words && (
        <span className="absolute top-full left-full mt-2 ml-2 bg-[#1f2a24] px-1.5 font-mono text-[11px] leading-[18px] whitespace-nowrap text-[#fffdf8]">
          {words}
        </span>
      )}
    </div>
  );
}
