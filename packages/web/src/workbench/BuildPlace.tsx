/** Build: tree, bench and facts, and what is dragged between them. */
import type { Finding, Project } from '@hovrin/core';
import { useCallback, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { commandNamed, runCommand } from '../editor/commands/index.ts';
import { currentScreen, useEditorState, useWorkplace } from '../editor/context.tsx';
import { useHeld } from '../editor/held.ts';
import { useCommandKeys } from '../editor/keys.ts';
import { PanelEdge, usePanelSize } from '../parts/PanelEdge.tsx';
import { keepSizes, keptSizes, resized, type ScreenSize } from '../sizes.ts';
import { useLiveValues } from './bays/useLiveValues.ts';
import { Bench } from './bench/Bench.tsx';
import { BenchViewContext, type Outlines, outlineWords, type Seeing } from './bench/benchView.ts';
import { Tray } from './bench/Tray.tsx';
import { useTracing } from './bench/tracing.ts';
import { farther, nearer, type Zoom } from './bench/zoom.ts';
import { ArrangePanel } from './dialogs/ArrangePanel.tsx';
import { BandsDialog } from './dialogs/BandsDialog.tsx';
import { ChangesDialog } from './dialogs/ChangesDialog.tsx';
import { CommandList } from './dialogs/CommandList.tsx';
import { DuplicateDialog } from './dialogs/DuplicateDialog.tsx';
import { Picker } from './dialogs/Picker.tsx';
import { ReplaceDialog } from './dialogs/ReplaceDialog.tsx';
import { Drawer, type DrawerName } from './drawers/Drawer.tsx';
import { EveryWidth } from './every-width/EveryWidth.tsx';
import { Facts } from './facts/Facts.tsx';
import { Dragging } from './hands/Dragging.tsx';
import { PathLine } from './PathLine.tsx';
import { bandAt, nextBand, nextProblem, upperBand } from './scope.ts';
import { Screens } from './tree/Screens.tsx';
import { Tree } from './tree/Tree.tsx';

const outlineOrder = Object.keys(outlineWords) as Outlines[];
const next = (outlines: Outlines): Outlines =>
  outlineOrder[(outlineOrder.indexOf(outlines) + 1) % outlineOrder.length]!;

const plainlySeen: Seeing = {
  outlines: 'off',
  names: true,
  hidden: false,
  long: false,
  sample: 'typical',
  live: 0,
  tracing: false,
};

export function BuildPlace() {
  const { editor } = useWorkplace();
  const state = useEditorState('project', 'screenId');
  const navigate = useNavigate();
  const screen = currentScreen(state);
  const [zoom, setZoom] = useHeld<Zoom>('zoom', 'fit');
  const [seeing, setSeeing] = useHeld<Seeing>('seeing', plainlySeen);
  const see = useCallback(
    (change: Partial<Seeing>) => setSeeing((now) => ({ ...now, ...change })),
    [setSeeing],
  );
  const liveValues = useLiveValues(state.project, seeing.live);
  const [commandsShown, setCommandsShown] = useState(false);
  const scale = useRef(1);
  const onScale = useCallback((value: number) => {
    scale.current = value;
  }, []);

  const [drawer, setDrawer] = useHeld<DrawerName | undefined>('drawer', undefined);
  const [sizes, setKept] = useState<readonly ScreenSize[]>(() => keptSizes('build'));
  const setSizes = useCallback((next: readonly ScreenSize[]) => {
    setKept(next);
    keepSizes('build', next);
  }, []);
  const left = usePanelSize('tree', {
    usual: 216,
    least: 180,
    most: ({ width }) => Math.min(420, width / 4),
  });
  const [lit, setLit] = useState<string>();
  const [preview, setPreview] = useState<Project>();
  const [snapping, setSnapping] = useState(localStorage.getItem('hovrin.snapping') !== 'off');
  const resize = useCallback(
    (size: Partial<ScreenSize>) =>
      setKept(([working, ...sides]) => [
        // Dragged to another width, it is no folding screen any more.
        resized({ ...working!, ...size, ...(size.width === undefined ? {} : { hinge: undefined }) }),
        ...sides,
      ]),
    [],
  );
  const findings = useRef<readonly Finding[]>([]);
  const layoutChanges = useRef<readonly number[]>([]);
  const [turns, setTurns] = useState<readonly string[]>();
  const [drawing, setDrawing] = useState<string>();
  const [tracing, setTracing] = useTracing(
    `${editor.projectId} ${screen?.id ?? ''} ${bandAt(state.project, sizes[0]!.width)?.name ?? ''}`,
  );
  const view = useMemo(
    () => ({
      seeing,
      see,
      liveValues,
      drawing,
      setDrawing,
      tracing,
      setTracing,
      sizes,
      setSizes,
      resize,
      layoutChanges,
      focusShown: drawer === 'focus',
      turns,
      setTurns,
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
    [
      seeing,
      see,
      drawing,
      tracing,
      setTracing,
      sizes,
      setSizes,
      resize,
      drawer,
      liveValues,
      turns,
      lit,
      preview,
      snapping,
    ],
  );
  const toggle = (name: DrawerName) => setDrawer(drawer === name ? undefined : name);

  const keys = [
    { keys: 'X', label: 'Source of the screen', run: () => toggle('source') },
    { keys: 'W', label: 'Why it has its size and place', run: () => toggle('why') },
    { keys: 'S', label: 'Sweep over all widths', run: () => toggle('sweep') },
    { keys: 'C', label: 'Checks of the screen at every width', run: () => toggle('checks') },
    { keys: 'F', label: 'Focus order', run: () => toggle('focus') },
    { keys: 'D', label: 'Bindings: what can be read, what feeds what', run: () => toggle('bindings') },
    {
      keys: 'B',
      label: 'Edit for the band of this width, or for all',
      run: () => editor.editFor(editor.state.scope === '' ? upperBand(state.project, sizes[0]!.width) : ''),
    },
    {
      keys: 'Shift+B',
      label: 'To the next band',
      run: () => resize({ width: nextBand(state.project, sizes[0]!.width) }),
    },
    {
      keys: 'Shift+W',
      label: 'To the next width where the layout changes',
      run: () => {
        const { width } = sizes[0]!;
        const next = layoutChanges.current.find((at) => at > width) ?? layoutChanges.current[0];
        if (next === undefined) editor.tell('The layout changes at no width.');
        else resize({ width: next });
      },
    },
    {
      keys: 'Shift+E',
      label: 'To the next width with a problem',
      run: () => {
        const next = nextProblem(findings.current, sizes[0]!.width);
        if (next === undefined) editor.tell('No width has an error.');
        else resize({ width: next });
      },
    },
    {
      keys: 'O',
      label: 'Outlines: of the selection, of all, none',
      run: () => see({ outlines: next(seeing.outlines) }),
    },
    { keys: 'Shift+O', label: 'Names on outlines', run: () => see({ names: !seeing.names }) },
    { keys: 'J', label: 'A picture to trace', run: () => see({ tracing: !seeing.tracing }) },
    { keys: 'Shift+H', label: 'What is hidden, faintly', run: () => see({ hidden: !seeing.hidden }) },
    { keys: 'Shift+T', label: 'Longer texts, to see what they do', run: () => see({ long: !seeing.long }) },
    { keys: '+', label: 'Zoom in', run: () => setZoom(nearer(scale.current)) },
    { keys: '-', label: 'Zoom out', run: () => setZoom(farther(scale.current)) },
    { keys: '0', label: 'Zoom to fit', run: () => setZoom('fit') },
    { keys: '9', label: 'Zoom to the selection', run: () => setZoom('selection') },
    {
      keys: 'Shift+Y',
      label: 'The wall: all screens at all bands',
      run: () => screen && void navigate('wall'),
    },
    { keys: 'T', label: 'Try', run: () => screen && void navigate('try') },
    { keys: '?', label: 'All commands', run: () => setCommandsShown(true) },
  ];
  useCommandKeys(editor, keys);

  return (
    <BenchViewContext value={view}>
      <EveryWidth screen={screen} newest={findings}>
        <Dragging>
          <PathLine zoom={zoom} onZoom={setZoom} onCommands={() => setCommandsShown(true)} />
          <div className="flex min-h-0 flex-1">
            <aside
              aria-label="Screens and controls"
              className="relative flex shrink-0 flex-col border-r border-rule bg-sheet"
              style={{ width: left.size }}
            >
              <PanelEdge label="Width of screens and controls" side="right" panel={left} />
              <Screens />
              {screen && <Tree screen={screen} />}
              {screen && <Tray />}
            </aside>
            {screen ? (
              <main className="flex min-w-0 flex-1 flex-col">
                <Bench screen={screen} zoom={zoom} onZoom={setZoom} onScale={onScale} />
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
          <ReplaceDialog />
          <BandsDialog />
          <ChangesDialog />
          {commandsShown && <CommandList extra={keys} onClose={() => setCommandsShown(false)} />}
        </Dragging>
      </EveryWidth>
    </BenchViewContext>
  );
}
