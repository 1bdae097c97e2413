import type { Control } from '@hovrin/core';
import { Plus } from 'lucide-react';
import { useWorkplace } from '../../editor/context.tsx';

/** What an empty screen says: how to begin. */
export function FirstControl({ screen }: { screen: Control }) {
  const { editor } = useWorkplace();
  return (
    <div className="absolute inset-x-0 top-16 flex flex-col items-center gap-2 px-2 text-center text-[#59625b]">
      <button
        type="button"
        className="pointer-events-auto inline-flex h-8 items-center gap-1.5 rounded-md bg-[#e0a11b] px-3 font-semibold whitespace-nowrap text-[#1f2a24]"
        onClick={() => editor.openPicker({ parent: screen.id, index: 0 })}
      >
        <Plus size={15} strokeWidth={2.5} aria-hidden /> Add the first control
      </button>
      <p>or drag a part here, or press A</p>
    </div>
  );
}
