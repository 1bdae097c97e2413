/** Build: tree, bench and facts, and what is dragged between them. */
import type { Project } from '@hovrin/core';
import { useCallback, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { commandNamed, runCommand } from '../editor/commands/index.ts';
import { currentScreen, useEditorState, useWorkplace } from '../editor/context.tsx';
import { useCommandKeys } from '../editor/keys.ts';
import { resized, type ScreenSize, usualSizes } from '../sizes.ts';
import { ArrangePanel } from './ArrangePanel.tsx';
import { Bench } from './Bench.tsx';
import { BenchViewContext } from './benchView.ts';
import { Dragging } from './Dragging.tsx';
import { Drawer, type DrawerName } from './Drawer.tsx';
import { DuplicateDialog } from './DuplicateDialog.tsx';
import { Facts } from './Facts.tsx';
import { PathLine } from './PathLine.tsx';
import { Picker } from './Picker.tsx';
import { ShortcutList } from './ShortcutList.tsx';
import { Tray } from './Tray.tsx';
import { Screens, Tree } from './Tree.tsx';

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
  const [snapping, setSnapping] = useState(localStorage.getItem('hovrin.snapping') !== 'off');
  const resize = useCallback(
    (size: Partial<ScreenSize>) =>
      setSizes(([working, ...sides]) => [resized({ ...working!, ...size }), ...sides]),
    [],
  );
  const view = useMemo(
    () => ({
      sizes,
      setSizes,
      resize,
      lit,
      setLit,
      preview,
      setPreview,
      snapping,
      setSnapping: (on: boolean) => {
        localStorage.setItem('hovrin.snapping', on ? 'on' : 'off');
        setSnapping(on);
      },
    }),
    [sizes, resize, lit, preview, snapping],
  );
  const toggle = (name: DrawerName) => setDrawer(drawer === name ? undefined : name);

  const see = [
    { keys: 'X', label: 'Source of the screen', run: () => toggle('source') },
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
            <main className="flex min-w-0 flex-1 flex-col">
              <Bench screen={screen} zoom={zoom} outlines={outlines} onScale={onScale} />
              <ArrangePanel />
              <Drawer screen={screen} open={drawer} onOpen={setDrawer} />
            </main>
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
        <DuplicateDialog />
        {keysShown && <ShortcutList extra={see} onClose={() => setKeysShown(false)} />}
      </Dragging>
    </BenchViewContext>
  );
}
