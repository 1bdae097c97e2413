/** The drawer below the bench: closed until it is asked for. */
import { type Control, locate } from '@hovrin/core';
import { HelpCircle, MoveHorizontal, X } from 'lucide-react';
import type { ReactNode } from 'react';
import { currentControl, useEditorState } from '../editor/context.tsx';
import { SweepPane } from './SweepPane.tsx';
import { WhyPane } from './WhyPane.tsx';

export type DrawerName = 'why' | 'sweep';

const tabs: readonly { name: DrawerName; label: string; keys: string; icon: ReactNode }[] = [
  { name: 'why', label: 'Why', keys: 'W', icon: <HelpCircle size={14} aria-hidden /> },
  { name: 'sweep', label: 'Sweep', keys: 'S', icon: <MoveHorizontal size={14} aria-hidden /> },
];

export function Drawer({
  screen,
  open,
  onOpen,
}: {
  screen: Control;
  open: DrawerName | undefined;
  onOpen: (drawer: DrawerName | undefined) => void;
}) {
  const state = useEditorState();
  const selected = currentControl(state);
  const control = selected && locate(state.project, selected.id)?.screen === screen ? selected : screen;
  return (
    <section aria-label="Drawer" className="flex shrink-0 flex-col border-t border-rule bg-sheet">
      <div role="tablist" aria-label="Drawer" className="flex h-8 items-center gap-1 px-2">
        {tabs.map(({ name, label, keys, icon }) => (
          <button
            key={name}
            type="button"
            role="tab"
            aria-selected={open === name}
            title={`${label} (${keys})`}
            className={`flex h-6 items-center gap-1.5 rounded-sm px-2 hover:bg-sunk ${open === name ? 'bg-sunk font-semibold' : 'text-quiet'}`}
            onClick={() => onOpen(open === name ? undefined : name)}
          >
            {icon} {label}
          </button>
        ))}
        {open && (
          <button
            type="button"
            className="btn-bare ml-auto"
            aria-label="Close the drawer"
            title="Close the drawer"
            onClick={() => onOpen(undefined)}
          >
            <X size={14} />
          </button>
        )}
      </div>
      {open && (
        <div role="tabpanel" aria-label={open} className="h-[236px] border-t border-rule">
          {open === 'why' ? (
            <WhyPane screen={screen} control={control} />
          ) : (
            <SweepPane screen={screen} control={control} />
          )}
        </div>
      )}
    </section>
  );
}
