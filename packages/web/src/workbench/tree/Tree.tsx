/** The tree of a screen: everything on it, names first. */
import { attributeProblems, type Control, effectiveNames, inForce, kindOf } from '@hovrin/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useWorkplace } from '../../editor/context.tsx';
import { findControls } from '../find.ts';
import { useShownSelection } from '../useShownSelection.ts';
import { TreeRow } from './TreeRow.tsx';
import { type Row, rowsOf, selectedWith } from './treeRows.ts';

/** px of a line. */
const rowHeight = 28;

/** The lines that are in sight. @param at the one that is to be seen; none below 0. */
function useVirtualRows(rows: readonly Row[], at: number) {
  const list = useRef<HTMLDivElement>(null);
  // The same function as long as the rows are: another one makes the virtualizer measure all of them anew.
  const keyOf = useCallback((index: number) => rows[index]?.control.id ?? index, [rows]);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => list.current,
    estimateSize: () => rowHeight,
    overscan: 40,
    // Scrolling follows a selection, which must not wait for it.
    useFlushSync: false,
    getItemKey: keyOf,
  });
  useEffect(() => {
    if (at < 0) return;
    // After the frame with the selection is painted: looking for the row makes the browser lay out.
    const later = requestAnimationFrame(() => setTimeout(() => virtual.scrollToIndex(at)));
    return () => cancelAnimationFrame(later);
  }, [at, virtual]);
  return { list, virtual };
}

/** What a row is called: lines of a component and slots by the name that they declare. */
const rowName = (control: Control, name = ''): string => {
  const kind = kindOf(control);
  if (!kind.declares && !kind.inComponents) return name;
  return inForce(control.props.name) ?? (kind.inComponents ? 'slot' : name);
};

export function Tree({ screen }: { screen: Control }) {
  const { editor } = useWorkplace();
  const { selection, project } = useShownSelection();
  const [closed, setClosed] = useState<ReadonlySet<string>>(new Set());
  const names = effectiveNames(screen);
  const selected = selection[0];
  const toggle = (id: string) =>
    setClosed(new Set(closed.has(id) ? [...closed].filter((each) => each !== id) : [...closed, id]));
  const [wanted, setWanted] = useState('');
  const found = useMemo(
    () => (wanted.trim() === '' ? undefined : findControls(screen, wanted)),
    [screen, wanted],
  );
  const rows = useMemo(() => rowsOf(screen, closed, found?.shown), [screen, closed, found]);
  const at = rows.findIndex(({ control }) => control.id === selected);
  const { list, virtual } = useVirtualRows(rows, at);
  // Rows are drawn again only when something of theirs changes; what they call stays the same.
  const now = useRef({ toggle, rows });
  now.current = { toggle, rows };
  const onToggle = useCallback((id: string) => now.current.toggle(id), []);
  const onSelect = useCallback(
    (id: string, more?: 'one' | 'range') =>
      editor.select(selectedWith(now.current.rows, editor.state.selection, id, more)),
    [editor],
  );
  return (
    <section aria-label="Tree" className="flex min-h-0 flex-1 flex-col">
      <FindLine screen={screen} wanted={wanted} hits={found?.hits} onWanted={setWanted} />
      <div
        ref={list}
        role="tree"
        aria-label={`Controls of ${screen.name}`}
        tabIndex={0}
        aria-multiselectable
        aria-activedescendant={selected === undefined ? undefined : `tree-${selected}`}
        className="min-h-0 flex-1 overflow-auto pb-4 outline-offset-[-2px]"
      >
        <div role="presentation" className="relative" style={{ height: virtual.getTotalSize() }}>
          {virtual.getVirtualItems().map(({ index, start }) => {
            const row = rows[index];
            if (!row) return null;
            const { control } = row;
            return (
              <TreeRow
                key={control.id}
                {...row}
                name={rowName(control, names.get(control.id))}
                top={start}
                invalid={attributeProblems(project, control).length > 0}
                selected={selection.includes(control.id)}
                open={!closed.has(control.id)}
                onToggle={onToggle}
                onSelect={onSelect}
              />
            );
          })}
        </div>
      </div>
    </section>
  );
}

function FindLine({
  screen,
  wanted,
  hits,
  onWanted,
}: {
  screen: Control;
  wanted: string;
  /** What was found, where something is looked for. */
  hits: readonly string[] | undefined;
  onWanted: (wanted: string) => void;
}) {
  const { editor } = useWorkplace();
  return (
    <>
      <div className="flex h-9 shrink-0 items-center gap-2 pr-2 pl-3">
        <h2 className="shrink-0 font-semibold">On {screen.name}</h2>
        <input
          className="field ml-auto !h-6 !w-24 text-[12px]"
          aria-label="Find in the tree"
          placeholder="Find"
          title="By name, kind, words or binding; Enter selects all that are found"
          value={wanted}
          onChange={(event) => onWanted(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Escape') onWanted('');
            if (event.key === 'Enter' && hits && hits.length > 0) editor.select(hits);
          }}
        />
      </div>
      {hits?.length === 0 && (
        <p className="px-3 py-2 text-quiet">Nothing on this screen has “{wanted}” in it.</p>
      )}
    </>
  );
}
