/** `+` before and behind the selection, and inside a container that is empty. */
import { locate, mainAxisOf, plainArrangement, type Rectangle, takesInside } from '@hovrin/core';
import { Plus } from 'lucide-react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import type { InsertPlace } from '../../editor/editor.ts';
import { placeWords } from '../../editor/places.ts';
import { scaled } from './drop.ts';

// One element for all: it never changes.
const plusIcon = <Plus size={13} strokeWidth={2.5} aria-hidden />;

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
  const spots: { place: InsertPlace; x: number; y: number }[] = [];
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
    spots.push({ place: { parent: id, index: 0 }, x: left + width / 2, y: top + Math.min(height / 2, 60) });
  return spots.map(({ place, x, y }, index) => {
    const words = `Add ${placeWords(project, place)}`;
    return (
      <button
        // biome-ignore lint/suspicious/noArrayIndexKey: buttons hold nothing of their own and only move.
        key={index}
        type="button"
        aria-label={words}
        title={words}
        className="pointer-events-auto absolute grid size-[18px] -translate-x-1/2 -translate-y-1/2 place-items-center rounded-sm bg-[#e0a11b] text-[#1f2a24] hover:scale-110"
        style={{ left: x, top: y }}
        onClick={() => editor.openPicker(place)}
      >
        {plusIcon}
      </button>
    );
  });
}
