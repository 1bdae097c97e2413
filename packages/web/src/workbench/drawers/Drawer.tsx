/** The drawer below the bench: closed until it is asked for. */
import { type Control, effectiveNames, entryOf, locate, type Severity } from '@hovrin/core';
import {
  Activity,
  CircleAlert,
  FileCode,
  HelpCircle,
  ListChecks,
  ListOrdered,
  MoveHorizontal,
  Workflow,
  X,
} from 'lucide-react';
import { lazy, type ReactNode, Suspense } from 'react';
import { currentControl, useEditorState } from '../../editor/context.tsx';
import { PanelEdge, usePanelSize } from '../../parts/PanelEdge.tsx';
import { useProblems } from '../../problems/useProblems.ts';
import { useFindings } from '../every-width/useEveryWidth.ts';
import { BindingsPane } from './BindingsPane.tsx';
import { ChecksPane } from './ChecksPane.tsx';
import { FocusPane } from './FocusPane.tsx';
import { ProblemsPane } from './ProblemsPane.tsx';
import { SweepPane } from './SweepPane.tsx';
import { WhyPane } from './WhyPane.tsx';

/** Loaded when it is first opened: the text editor is large. */
const SourcePane = lazy(() =>
  import('../sources/SourcePane.tsx').then((module) => ({ default: module.SourcePane })),
);

/** Loaded when it is first opened. */
const MotionPane = lazy(() =>
  import('../motion/MotionPane.tsx').then((module) => ({ default: module.MotionPane })),
);

export type DrawerName = 'source' | 'why' | 'sweep' | 'checks' | 'problems' | 'focus' | 'bindings' | 'motion';

const tabs: readonly { name: DrawerName; label: string; keys: string; icon: ReactNode }[] = [
  { name: 'source', label: 'Source', keys: 'X', icon: <FileCode size={14} aria-hidden /> },
  { name: 'why', label: 'Why', keys: 'W', icon: <HelpCircle size={14} aria-hidden /> },
  { name: 'sweep', label: 'Sweep', keys: 'S', icon: <MoveHorizontal size={14} aria-hidden /> },
  { name: 'checks', label: 'Checks', keys: 'C', icon: <CircleAlert size={14} aria-hidden /> },
  { name: 'problems', label: 'Problems', keys: 'P', icon: <ListChecks size={14} aria-hidden /> },
  { name: 'focus', label: 'Focus', keys: 'F', icon: <ListOrdered size={14} aria-hidden /> },
  { name: 'bindings', label: 'Bindings', keys: 'D', icon: <Workflow size={14} aria-hidden /> },
  { name: 'motion', label: 'Motion', keys: 'M', icon: <Activity size={14} aria-hidden /> },
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
  const panel = usePanelSize('drawer', { usual: 236, least: 120, most: ({ height }) => height - 260 });
  const isError = ({ severity }: { readonly severity: Severity }) => severity === 'error';
  const wrong: { readonly [Name in DrawerName]?: number } = {
    checks: useFindings().filter(isError).length,
    problems: useProblems()?.filter(isError).length ?? 0,
  };
  const state = useEditorState('project', 'selection', 'screenId');
  const selected = currentControl(state);
  const control = selected && locate(state.project, selected.id)?.screen === screen ? selected : screen;
  return (
    <section
      aria-label="Drawer"
      data-region="drawer"
      className="relative flex shrink-0 flex-col border-t border-rule bg-sheet"
    >
      {open && <PanelEdge label="Height of the drawer" side="top" panel={panel} />}
      <div className="flex h-8 items-center px-2">
        <div role="tablist" aria-label="Drawer" className="flex items-center gap-1">
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
              {(wrong[name] ?? 0) > 0 && (
                <span className="rounded-sm bg-brick px-1 font-mono text-[11px] text-white">
                  {wrong[name]}
                </span>
              )}
            </button>
          ))}
        </div>
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
        <div
          role="tabpanel"
          aria-label={open}
          className="border-t border-rule"
          style={{ height: panel.size }}
        >
          {open === 'source' ? (
            <Suspense fallback={<p className="p-3 text-quiet">Opening the source …</p>}>
              <SourcePane key={screen.id} screen={screen} />
            </Suspense>
          ) : open === 'why' ? (
            <WhyPane screen={screen} control={control} />
          ) : open === 'checks' ? (
            <ChecksPane screen={screen} />
          ) : open === 'problems' ? (
            <ProblemsPane />
          ) : open === 'bindings' ? (
            <BindingsPane control={control} name={entryOf(effectiveNames(screen), control.id)} />
          ) : open === 'motion' ? (
            <Suspense fallback={<p className="p-3 text-quiet">Opening the motions …</p>}>
              <MotionPane key={screen.id} tree={screen} control={control} />
            </Suspense>
          ) : open === 'focus' ? (
            <FocusPane screen={screen} />
          ) : (
            <SweepPane screen={screen} control={control} />
          )}
        </div>
      )}
    </section>
  );
}
