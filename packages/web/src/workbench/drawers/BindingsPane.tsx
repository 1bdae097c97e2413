/** Bindings: all names that can be read at the selected control, to click into a field; and the map of what feeds it and what it feeds. */
import {
  type Control,
  type DependencyMap,
  dependencyMap,
  entryOf,
  itemAt,
  kindOf,
  locate,
  type MapNode,
  type ReadableBranch,
  readableTree,
  treesOf,
} from '@hovrin/core';
import { ChevronDown, ChevronRight, Database, Radio } from 'lucide-react';
import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { keepInNew } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { expressionBefore, type Field, insertText } from '../fields/insertText.ts';
import { valueWords } from '../fields/useCompletion.tsx';
import { KindIcon } from '../KindIcon.tsx';

export function BindingsPane({ control, name }: { control: Control; name: string }) {
  const { project } = useEditorState('project');
  // What is typed comes first; the map and the values may come a moment later.
  const behind = useDeferredValue(project);
  const tree = useMemo(() => readableTree(behind, control), [behind, control]);
  const map = useMemo(() => dependencyMap(behind, control), [behind, control]);
  return (
    <div className="grid h-full grid-cols-[minmax(200px,250px)_minmax(0,1fr)]">
      <Readables tree={tree} />
      <MapView map={map} name={name} />
    </div>
  );
}

/** The branches that have some words in them, opened as far as those; all where nothing is looked for. */
function matching(tree: readonly ReadableBranch[], wanted: string): readonly ReadableBranch[] {
  if (wanted === '') return tree;
  return tree.flatMap((branch) => {
    if (branch.text.toLowerCase().includes(wanted) || branch.label.toLowerCase().includes(wanted))
      return [branch];
    const children = matching(branch.children, wanted);
    return children.length > 0 ? [{ ...branch, children }] : [];
  });
}

function Readables({ tree }: { tree: readonly ReadableBranch[] }) {
  const { editor } = useWorkplace();
  const [wanted, setWanted] = useState('');
  const [toggled, setToggled] = useState<ReadonlySet<string>>(new Set());
  const last = useRef<Field>(null);
  useEffect(() => {
    const remember = ({ target }: FocusEvent) => {
      if (!(target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement)) return;
      if (target.closest('[data-completes]')) last.current = target;
    };
    document.addEventListener('focusin', remember);
    return () => document.removeEventListener('focusin', remember);
  }, []);
  const insert = (text: string) => {
    const field = last.current?.isConnected ? last.current : undefined;
    if (!field) {
      editor.tell('Put the cursor into a property or an event first; it goes in there.');
      return;
    }
    const inEvent = field.closest('[data-completes="event"]') !== null;
    const bare = inEvent || expressionBefore(field.value, field.selectionStart ?? 0) !== undefined;
    field.focus();
    insertText(field, bare ? text : `{${text}}`);
  };
  const keep = ({ control: id, property: name }: NonNullable<ReadableBranch['unkept']>) => {
    const control = locate(editor.state.project, id)?.control;
    const property = control && kindOf(control).properties.find((each) => each.name === name);
    if (!property) return;
    insert(keepInNew(editor, control, property));
  };
  const found = matching(tree, wanted.trim().toLowerCase());
  const isOpen = (id: string) => toggled.has(id) !== (wanted.trim() !== '');
  const rows: { branch: ReadableBranch; level: number; id: string }[] = [];
  const visit = (branches: readonly ReadableBranch[], level: number, around: string) => {
    for (const branch of branches) {
      const id = `${around}/${branch.label}`;
      rows.push({ branch, level, id });
      if (isOpen(id)) visit(branch.children, level + 1, id);
    }
  };
  visit(found, 0, '');
  return (
    <div className="flex min-h-0 flex-col border-r border-rule">
      <div className="flex items-center gap-2 px-3 py-1.5">
        <h3 className="font-semibold">Can be read here</h3>
        <input
          className="field ml-auto !h-6 !w-20 text-[12px]"
          aria-label="Find what can be read"
          placeholder="Find"
          value={wanted}
          onChange={(event) => {
            setWanted(event.target.value);
            // What is found is open, what is not looked for closed.
            setToggled(new Set());
          }}
        />
      </div>
      <ul className="min-h-0 flex-1 overflow-y-auto px-1 pb-2" aria-label="Can be read here">
        {rows.length === 0 && <li className="px-2 py-1 text-quiet">Nothing here is called so.</li>}
        {rows.map(({ branch, level, id }) => (
          <li key={id} className="flex items-center gap-1 text-[12.5px]" style={{ paddingLeft: level * 14 }}>
            <button
              type="button"
              className={`btn-bare !h-6 !min-w-4 !px-0 text-quiet ${branch.children.length === 0 ? 'invisible' : ''}`}
              aria-label={`${isOpen(id) ? 'Close' : 'Open'} ${branch.label}`}
              aria-expanded={isOpen(id)}
              onClick={() => {
                const next = new Set(toggled);
                if (!next.delete(id)) next.add(id);
                setToggled(next);
              }}
            >
              {isOpen(id) ? <ChevronDown size={12} /> : <ChevronRight size={12} />}
            </button>
            {branch.unkept ? (
              <button
                type="button"
                className="flex h-6 min-w-0 flex-1 items-center gap-2 rounded-sm px-1 text-left hover:bg-sunk"
                title="Keep it in a variable of its own, and write that where the cursor was last"
                onClick={() => keep(branch.unkept!)}
              >
                <span className="shrink-0 font-mono text-[12px]">{branch.label}</span>
                <span className="ml-auto truncate text-[12px] text-quiet">kept nowhere yet</span>
              </button>
            ) : branch.text === '' ? (
              <span className="text-quiet">{branch.label}</span>
            ) : (
              <button
                type="button"
                className="flex h-6 min-w-0 flex-1 items-center gap-2 rounded-sm px-1 text-left hover:bg-sunk"
                title={`Write ${branch.text} where the cursor was last`}
                onClick={() => insert(branch.text)}
              >
                <span className="shrink-0 font-mono text-[12px]">{branch.label}</span>
                {branch.what !== 'function' && (
                  <span className="ml-auto truncate text-[12px] text-quiet">{valueWords(branch.value)}</span>
                )}
              </button>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** Size of a node on the map and the room between columns and rows, px. */
const node = { width: 126, height: 26 };
const step = { x: 160, y: 34 };
const edge = 12;

function MapView({ map, name }: { map: DependencyMap; name: string }) {
  const { editor } = useWorkplace();
  const columns = [...new Set(map.nodes.map(({ column }) => column))].toSorted((a, b) => a - b);
  const byColumn = columns.map((column) => map.nodes.filter((each) => each.column === column));
  const tallest = Math.max(...byColumn.map((nodes) => nodes.length));
  const places = new Map<string, readonly [number, number]>();
  byColumn.forEach((nodes, at) => {
    nodes.forEach((each, row) => {
      places.set(each.id, [edge + at * step.x, edge + (row + (tallest - nodes.length) / 2) * step.y]);
    });
  });
  const width = edge * 2 + (columns.length - 1) * step.x + node.width;
  const height = edge * 2 + (tallest - 1) * step.y + node.height;
  return (
    <div className="flex min-h-0 min-w-0 flex-col">
      <h3 className="px-3 py-1.5">
        <span className="font-semibold">What feeds {name}, and what it feeds</span>
        {map.cut && <span className="ml-2 text-quiet">the nearest of it</span>}
      </h3>
      {map.nodes.length === 1 ? (
        <p className="px-3 text-quiet">
          {name} reads nothing and sets nothing. Bind a property to an expression, or keep what is entered in
          a variable.
        </p>
      ) : (
        <div className="min-h-0 flex-1 overflow-auto">
          <div className="relative" style={{ width, height }}>
            <svg className="absolute inset-0" width={width} height={height} aria-hidden>
              {map.edges.map(([from, to]) => {
                const [x1, y1] = entryOf(places, from);
                const [x2, y2] = entryOf(places, to);
                const back = x2 <= x1;
                const start = [back ? x1 : x1 + node.width, y1 + node.height / 2];
                const end = [back ? x2 + node.width : x2, y2 + node.height / 2];
                const bend = back ? -30 : 30;
                return (
                  <path
                    key={`${from} ${to}`}
                    d={`M${start}C${itemAt(start, 0) + bend} ${start[1]} ${itemAt(end, 0) - bend} ${end[1]} ${end}`}
                    className="fill-none stroke-lake/60"
                    strokeWidth={1.5}
                  />
                );
              })}
            </svg>
            {map.nodes.map((each) => (
              <Node
                key={each.id}
                node={each}
                place={entryOf(places, each.id)}
                isSelf={each.column === 0}
                onSelect={() => each.control !== undefined && editor.select([each.control])}
              />
            ))}
          </div>
        </div>
      )}
    </div>
  );
}

function Node({
  node: { what, label, control },
  place: [left, top],
  isSelf,
  onSelect,
}: {
  node: MapNode;
  place: readonly [number, number];
  isSelf: boolean;
  onSelect: () => void;
}) {
  const { project } = useEditorState('project');
  const content = (
    <>
      {what === 'feed' ? (
        <Radio size={13} className="shrink-0 text-copper" aria-label="feed" />
      ) : what === 'variable' ? (
        <Database size={13} className="shrink-0 text-lake" aria-label="variable" />
      ) : (
        <KindIcon kind={kindIn(treesOf(project), control!)} />
      )}
      <span className="truncate font-mono text-[12px]">{label}</span>
    </>
  );
  const shared = `absolute flex items-center gap-1.5 rounded border px-1.5 ${isSelf ? 'border-ink bg-sunk font-semibold' : 'border-rule bg-sheet'}`;
  const style = { left, top, width: node.width, height: node.height };
  return control === undefined || isSelf ? (
    <span
      ref={(element) => {
        if (isSelf) element?.scrollIntoView({ block: 'nearest', inline: 'center' });
      }}
      className={shared}
      style={style}
      title={label}
    >
      {content}
    </span>
  ) : (
    <button
      type="button"
      className={`${shared} hover:border-lake`}
      style={style}
      title={`Select ${label}`}
      onClick={onSelect}
    >
      {content}
    </button>
  );
}

function kindIn(controls: readonly Control[], id: string): string {
  for (const control of controls) {
    if (control.id === id) return control.kind;
    const found = kindIn(control.children, id);
    if (found) return found;
  }
  return '';
}
