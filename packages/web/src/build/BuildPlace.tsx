/** Build: tree, bench and facts, and what is dragged between them. */
import {
  DndContext,
  type DragMoveEvent,
  type DragStartEvent,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { contains, effectiveNames, kindNamed, kindOf, locate, type Project } from '@hovrin/core';
import { useCallback, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { commandNamed, moveTo, placeNew, runCommand } from '../editor/commands.ts';
import { currentScreen, useEditorState, useWorkplace } from '../editor/context.tsx';
import { useCommandKeys } from '../editor/keys.ts';
import { placeWords } from '../editor/places.ts';
import { resized, type ScreenSize, usualSizes } from '../sizes.ts';
import { Bench } from './Bench.tsx';
import { BaysContext, type PendingDrop, type ShownBay } from './bays.ts';
import { BenchViewContext } from './benchView.ts';
import { Drawer, type DrawerName } from './Drawer.tsx';
import { dropAt } from './drop.ts';
import { Facts } from './Facts.tsx';
import { PathLine } from './PathLine.tsx';
import { Picker } from './Picker.tsx';
import { ShortcutList } from './ShortcutList.tsx';
import { Tray } from './Tray.tsx';
import { Screens, Tree } from './Tree.tsx';

/** What is being dragged: a new control of a kind, or one that is there. */
type Dragged = { readonly kind: string } | { readonly control: string };

export function BuildPlace() {
  const { editor } = useWorkplace();
  const state = useEditorState();
  const navigate = useNavigate();
  const screen = currentScreen(state);
  const [zoom, setZoom] = useState<number | 'fit'>('fit');
  const [outlines, setOutlines] = useState(false);
  const [keysShown, setKeysShown] = useState(false);
  const scale = useRef(1);
  const onScale = useCallback((value: number) => {
    scale.current = value;
  }, []);

  const [drawer, setDrawer] = useState<DrawerName>();
  const [sizes, setSizes] = useState<readonly ScreenSize[]>(usualSizes);
  const [lit, setLit] = useState<string>();
  const [preview, setPreview] = useState<Project>();
  const resize = useCallback(
    (size: Partial<ScreenSize>) =>
      setSizes(([working, ...sides]) => [resized({ ...working!, ...size }), ...sides]),
    [],
  );
  const view = useMemo(
    () => ({ sizes, setSizes, resize, lit, setLit, preview, setPreview }),
    [sizes, resize, lit, preview],
  );
  const toggle = (name: DrawerName) => setDrawer(drawer === name ? undefined : name);

  const see = [
    { keys: 'W', label: 'Why it has its size and place', run: () => toggle('why') },
    { keys: 'S', label: 'Sweep over all widths', run: () => toggle('sweep') },
    { keys: 'O', label: 'Outlines of all boxes', run: () => setOutlines(!outlines) },
    { keys: '+', label: 'Nearer', run: () => setZoom(Math.min(4, scale.current * 1.25)) },
    { keys: '-', label: 'Farther', run: () => setZoom(Math.max(0.1, scale.current / 1.25)) },
    { keys: '0', label: 'Zoom to fit', run: () => setZoom('fit') },
    { keys: 'T', label: 'Try', run: () => screen && void navigate('try') },
    { keys: '?', label: 'This list', run: () => setKeysShown(true) },
  ];
  useCommandKeys(editor, see);

  return (
    <BenchViewContext value={view}>
      <Dragging>
        <PathLine
          zoom={zoom}
          onZoom={setZoom}
          outlines={outlines}
          onOutlines={setOutlines}
          onKeys={() => setKeysShown(true)}
        />
        <div className="flex min-h-0 flex-1">
          <div className="flex w-[216px] shrink-0 flex-col border-r border-rule bg-sheet">
            <Screens />
            {screen && <Tree screen={screen} />}
            {screen && <Tray />}
          </div>
          {screen ? (
            <div className="flex min-w-0 flex-1 flex-col">
              <Bench screen={screen} zoom={zoom} outlines={outlines} onScale={onScale} />
              <Drawer screen={screen} open={drawer} onOpen={setDrawer} />
            </div>
          ) : (
            <div className="grid flex-1 place-items-center text-center">
              <div className="flex flex-col items-center gap-3">
                <p className="text-quiet">This project has no screens.</p>
                <button
                  type="button"
                  className="btn btn-main"
                  onClick={() => runCommand(editor, commandNamed('new-screen'))}
                >
                  Add the first screen
                </button>
              </div>
            </div>
          )}
          <Facts />
        </div>
        <Picker />
        {keysShown && <ShortcutList extra={see} onClose={() => setKeysShown(false)} />}
      </Dragging>
    </BenchViewContext>
  );
}

/** Follows the pointer while something is dragged, says where it would land, and puts it there. */
function Dragging({ children }: { children: React.ReactNode }) {
  const { editor } = useWorkplace();
  const shown = useRef(new Map<string, ShownBay>());
  const [drop, setDrop] = useState<PendingDrop>();
  const [dragged, setDragged] = useState<Dragged>();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const bays = useMemo(
    () => ({
      register: (id: string, bay: ShownBay) => void shown.current.set(id, bay),
      unregister: (id: string) => void shown.current.delete(id),
      drop,
    }),
    [drop],
  );

  const start = (event: DragStartEvent) => {
    const data = event.active.data.current as {
      from: string;
      kind?: string;
      control?: string;
      pressed?: { current?: string };
    };
    const control = data.from === 'bay' ? data.pressed?.current : data.control;
    if (data.kind) setDragged({ kind: data.kind });
    else if (control !== undefined && locate(editor.state.project, control)?.parent) setDragged({ control });
    else setDragged(undefined);
  };

  const find = (event: DragMoveEvent): PendingDrop | undefined => {
    const { project } = editor.state;
    const from = event.activatorEvent as PointerEvent;
    const [x, y] = [from.clientX + event.delta.x, from.clientY + event.delta.y];
    const moving = dragged && 'control' in dragged ? dragged.control : undefined;
    const under = document.elementFromPoint(x, y);
    const bayId = under?.closest<HTMLElement>('[data-bay]')?.dataset.bay;
    const bay = bayId === undefined ? undefined : shown.current.get(bayId);
    if (bay && bayId !== undefined) {
      const { left, top } = bay.element.getBoundingClientRect();
      const found = dropAt(
        project,
        bay.screen,
        bay.layout,
        (x - left) / bay.scale,
        (y - top) / bay.scale,
        moving,
      );
      return (
        found && {
          place: found.place,
          words: placeWords(project, found.place, moving),
          bay: bayId,
          drop: found,
        }
      );
    }
    const row = under?.closest<HTMLElement>('[data-tree-id]');
    if (!row) return undefined;
    const target = locate(project, row.dataset.treeId!);
    if (!target) return undefined;
    const moved = moving === undefined ? undefined : locate(project, moving)?.control;
    if (moved && contains(moved, target.control.id)) return undefined;
    const { top, height } = row.getBoundingClientRect();
    const part = (y - top) / height;
    const holds = kindOf(target.control).container;
    if (!target.parent || (holds && part > 0.25 && part < 0.75)) {
      if (!holds) return undefined;
      const index = target.control.children.filter((child) => child.id !== moving).length;
      const place = { parent: target.control.id, index };
      return { place, words: placeWords(project, place, moving) };
    }
    const others = target.parent.children.filter((child) => child.id !== moving);
    const place = { parent: target.parent.id, index: others.indexOf(target.control) + (part < 0.5 ? 0 : 1) };
    return { place, words: placeWords(project, place, moving) };
  };

  const end = () => {
    if (drop && dragged) {
      if ('kind' in dragged) placeNew(editor, dragged.kind, drop.place);
      else moveTo(editor, dragged.control, drop.place);
    }
    setDrop(undefined);
    setDragged(undefined);
  };
  const cancel = () => {
    setDrop(undefined);
    setDragged(undefined);
  };
  return (
    <BaysContext value={bays}>
      <DndContext
        sensors={sensors}
        autoScroll={false}
        onDragStart={start}
        onDragMove={(event) => setDrop(dragged ? find(event) : undefined)}
        onDragEnd={end}
        onDragCancel={cancel}
      >
        {children}
        {dragged && <DraggedWords dragged={dragged} drop={drop} />}
      </DndContext>
    </BaysContext>
  );
}

/** Says in words what is dragged and where it would land. */
function DraggedWords({ dragged, drop }: { dragged: Dragged; drop: PendingDrop | undefined }) {
  const { project } = useEditorState();
  const found = 'control' in dragged ? locate(project, dragged.control) : undefined;
  const what =
    'kind' in dragged
      ? `new ${kindNamed(dragged.kind)?.label.toLowerCase() ?? ''}`
      : found && effectiveNames(found.screen).get(found.control.id);
  return (
    <p
      role="status"
      className="pointer-events-none fixed bottom-4 left-1/2 z-50 -translate-x-1/2 rounded-md bg-ink px-3 py-1.5 text-ground shadow-lg"
    >
      {what}: {drop ? drop.words : 'not over a place'}
    </p>
  );
}
