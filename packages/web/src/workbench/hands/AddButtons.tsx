/**
 * `+` before and behind the selection, and inside a container that is empty. Those in gaps are seen where the pointer is near:
 * nothing covers the work.
 */
import { locate, mainAxisOf, plainArrangement, type Rectangle, takesInside } from '@hovrin/core';
import { Plus } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import type { InsertPlace } from '../../editor/editor.ts';
import { placeWords } from '../../editor/places.ts';
import { scaled } from './drop.ts';

// One element for all: it never changes.
const plusIcon = <Plus size={13} strokeWidth={2.5} aria-hidden />;

/** How near the pointer is to a gap whose `+` is seen, px of the window. */
const near = 64;

/** Shows that one of some elements which is nearest to the pointer, where one is near. */
function useNearest() {
  const frame = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const moved = ({ clientX, clientY }: PointerEvent) => {
      const buttons = [...(frame.current?.querySelectorAll<HTMLElement>('[data-gap]') ?? [])];
      const far = buttons.map((button) => {
        const { x, y, width, height } = button.getBoundingClientRect();
        return Math.hypot(clientX - x - width / 2, clientY - y - height / 2);
      });
      const least = Math.min(near, ...far);
      for (const [index, button] of buttons.entries())
        button.toggleAttribute('data-near', far[index] === least && least < near);
    };
    window.addEventListener('pointermove', moved);
    return () => window.removeEventListener('pointermove', moved);
  }, []);
  return frame;
}

export function AddButtons({
  id,
  box,
  scale,
  rightToLeft,
}: {
  id: string;
  box: Rectangle;
  scale: number;
  rightToLeft: boolean;
}) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const { left, top, width, height } = scaled(box, scale);
  const frame = useNearest();
  const spots: { place: InsertPlace; x: number; y: number; isInside?: true }[] = [];
  const { parent, control } = locate(project, id) ?? {};
  // On a pinboard what is added has a place of its own: it is dragged there, or drawn.
  const arrangement = parent && plainArrangement(parent);
  if (parent && control && arrangement !== 'pins') {
    const index = parent.children.indexOf(control);
    const sideBySide = arrangement === 'cells' || mainAxisOf(parent) === 'x';
    // They leave room for the grips at the far ends of the right and bottom edges, and for the name above.
    const ahead = Math.min(width / 2, width - 34);
    const beside = height < 66 ? 20 : 11;
    const before = { parent: parent.id, index };
    const after = { parent: parent.id, index: index + 1 };
    if (sideBySide) {
      const [atLeft, atRight] = rightToLeft ? [after, before] : [before, after];
      spots.push({ place: atLeft, x: left - beside, y: top + height / 2 });
      spots.push({ place: atRight, x: left + width + beside, y: top + height / 2 });
    } else {
      spots.push({ place: before, x: left + ahead, y: top - 11 });
      spots.push({ place: after, x: left + ahead, y: top + height + 11 });
    }
  }
  if (control && parent && takesInside(control) && control.children.length === 0)
    spots.push({
      place: { parent: id, index: 0 },
      x: left + width / 2,
      y: top + Math.min(height / 2, 60),
      isInside: true,
    });
  return (
    <div ref={frame}>
      {spots.map(({ place, x, y, isInside }, index) => {
        const words = `Add ${placeWords(project, place)}`;
        return (
          <button
            // biome-ignore lint/suspicious/noArrayIndexKey: buttons hold nothing of their own and only move.
            key={index}
            type="button"
            aria-label={words}
            title={words}
            data-gap={isInside ? undefined : ''}
            className={`pointer-events-auto absolute grid size-[18px] -translate-x-1/2 -translate-y-1/2 place-items-center rounded-sm bg-[#e0a11b] text-[#1f2a24] transition-opacity hover:scale-110 focus-visible:opacity-100 data-[near]:opacity-100 motion-reduce:transition-none ${isInside ? '' : 'opacity-0'}`}
            style={{ left: x, top: y }}
            onClick={() => editor.openPicker(place)}
          >
            {plusIcon}
          </button>
        );
      })}
    </div>
  );
}
