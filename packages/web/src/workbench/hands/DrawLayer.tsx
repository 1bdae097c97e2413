/** Lies over the bay while a part is chosen: the rectangle that one draws is where and how large it comes to stand. */
import { type Control, kindNamed, type Rectangle, type ScreenLayout } from '@hovrin/core';
import { type PointerEvent, useState } from 'react';
import { placeNew } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { useEscape } from '../../parts/useEscape.ts';
import { useBenchView } from '../bench/benchView.ts';
import { between, drawnAt, type Point } from './drop.ts';

/** Less than this is a press, not a rectangle, CSS px. */
const least = 4;

export function DrawLayer({
  screen,
  layout,
  scale,
}: {
  screen: Control;
  layout: ScreenLayout;
  scale: number;
}) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const { drawing, setDrawing } = useBenchView();
  const [from, setFrom] = useState<Point>();
  const [area, setArea] = useState<Rectangle>();
  useEscape(drawing !== undefined, () => setDrawing(undefined), true);
  if (drawing === undefined) return null;
  const at = (event: PointerEvent): Point => {
    const { left, top } = event.currentTarget.getBoundingClientRect();
    return { x: (event.clientX - left) / scale, y: (event.clientY - top) / scale };
  };
  const finish = () => {
    setFrom(undefined);
    setArea(undefined);
    if (!area || area.width < least || area.height < least) return;
    const found = drawnAt({ project, screen, layout }, area);
    if (found) placeNew(editor, drawing, found.place, found.props ?? {});
    setDrawing(undefined);
  };
  return (
    <div
      className="pointer-events-auto absolute inset-0 z-10 cursor-crosshair touch-none"
      data-drawing={drawing}
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        setFrom(at(event));
      }}
      onPointerMove={(event) => {
        if (!from) return;
        setArea(between(from, at(event)));
      }}
      onPointerUp={finish}
    >
      {area && (
        <div
          className="absolute border-2 border-[#d08f0c] bg-[#e0a11b]/10"
          style={{
            left: area.x * scale,
            top: area.y * scale,
            width: area.width * scale,
            height: area.height * scale,
          }}
        >
          <span className="absolute top-full left-0 mt-1 bg-[#1f2a24] px-1.5 font-mono text-[11px] leading-[18px] whitespace-nowrap text-[#fffdf8]">
            {kindNamed(drawing)?.label} {Math.round(area.width)} × {Math.round(area.height)}
          </span>
        </div>
      )}
    </div>
  );
}
