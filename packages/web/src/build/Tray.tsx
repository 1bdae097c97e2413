/** The parts, pinned open to drag from; a press opens nothing but adds at the selection. */

import { useDraggable } from '@dnd-kit/core';
import type { Kind } from '@hovrin/core';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { useState } from 'react';
import { placeNew } from '../editor/commands.ts';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { keyWords } from '../editor/keys.ts';
import { placeAtSelection } from '../editor/places.ts';
import { KindIcon } from './kindIcons.tsx';
import { placeable } from './Picker.tsx';

export function Tray() {
  const [open, setOpen] = useState(localStorage.getItem('hovrin.tray') !== 'closed');
  const toggle = () => {
    setOpen(!open);
    localStorage.setItem('hovrin.tray', open ? 'closed' : 'open');
  };
  return (
    <section aria-label="Parts" className="shrink-0 border-t border-rule">
      <button
        type="button"
        className="flex h-9 w-full items-center gap-1.5 px-3 font-semibold"
        aria-expanded={open}
        onClick={toggle}
      >
        {open ? <ChevronDown size={14} /> : <ChevronRight size={14} />} Parts
        <span className="ml-auto text-[11px] font-normal text-quiet">drag, or press {keyWords('A')}</span>
      </button>
      {open && (
        <div className="grid grid-cols-2 gap-1 px-2 pb-2">
          {placeable.map((kind) => (
            <TrayPart key={kind.name} kind={kind} />
          ))}
        </div>
      )}
    </section>
  );
}

function TrayPart({ kind }: { kind: Kind }) {
  const { editor } = useWorkplace();
  const state = useEditorState();
  const { setNodeRef, listeners } = useDraggable({
    id: `part ${kind.name}`,
    data: { from: 'tray', kind: kind.name },
  });
  const place = placeAtSelection(state);
  return (
    <button
      ref={setNodeRef}
      type="button"
      {...listeners}
      title={kind.purpose}
      className="flex h-7 touch-none items-center gap-2 rounded-md border border-rule bg-sheet px-2 text-left hover:border-quiet"
      onClick={() => place && placeNew(editor, kind.name, place)}
    >
      <KindIcon kind={kind.name} size={13} />
      <span className="truncate">{kind.label}</span>
    </button>
  );
}
