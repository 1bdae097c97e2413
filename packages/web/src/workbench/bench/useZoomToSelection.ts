import { outlineOf } from '@hovrin/core';
import { type RefObject, useEffect, useRef } from 'react';
import { useWorkplace } from '../../editor/context.tsx';
import { within, type Zoom } from './zoom.ts';

interface Zooming {
  /** What the bay is scrolled in, and its room. */
  readonly area: RefObject<HTMLDivElement | null>;
  readonly room: { readonly width: number; readonly height: number };
  readonly zoom: Zoom;
  /** The scale that the bay has, and the one at which all of it fits. */
  readonly scale: number;
  readonly fitting: number;
  readonly onZoom: (zoom: number) => void;
}

/** Where the zoom is to the selection: finds the scale, and brings the selection to the middle. */
export function useZoomToSelection({ area, room, zoom, scale, fitting, onZoom }: Zooming): void {
  const { editor } = useWorkplace();
  /** What is to be in the middle once the bay has its new scale, px of the screen. */
  const aim = useRef<{ x: number; y: number }>(undefined);
  useEffect(() => {
    if (zoom !== 'selection') return;
    const boxes = editor.state.selection.flatMap((id) => editor.bench?.layout.byControl.get(id) ?? []);
    if (boxes.length === 0) return onZoom(fitting);
    const { x, y, width, height } = outlineOf(boxes);
    aim.current = { x: x + width / 2, y: y + height / 2 };
    onZoom(within(0.8 * Math.min(room.width / Math.max(1, width), room.height / Math.max(1, height))));
  }, [zoom, editor, onZoom, fitting, room]);
  useEffect(() => {
    const bay = area.current?.querySelector<HTMLElement>('[data-bay="working"]');
    const { x, y } = aim.current ?? {};
    aim.current = undefined;
    if (!area.current || !bay || x === undefined || y === undefined) return;
    const [view, at] = [area.current.getBoundingClientRect(), bay.getBoundingClientRect()];
    area.current.scrollBy(
      at.left + x * scale - view.left - view.width / 2,
      at.top + y * scale - view.top - view.height / 2,
    );
  }, [area, scale]);
}
