/** Build: tree, bench and facts, and what is dragged between them. */
import type { Finding } from '@hovrin/core';
import { useCallback, useRef, useState } from 'react';
import { commandNamed, runCommand } from '../editor/commands/index.ts';
import { currentScreen, useEditorState, useWorkplace } from '../editor/context.tsx';
import { useHeld } from '../editor/held.ts';
import { useCommandKeys } from '../editor/keys.ts';
import { AwayPanel } from '../parts/AwayPanel.tsx';
import { PanelEdge, usePanelSize } from '../parts/PanelEdge.tsx';
import { Bench } from './bench/Bench.tsx';
import { BenchViewContext } from './bench/benchView.ts';
import { factsKeys, leftKeys, useBenchKeys } from './bench/useBenchKeys.ts';
import { useBenchViewState } from './bench/useBenchViewState.ts';
import type { Zoom } from './bench/zoom.ts';
import { ArrangePanel } from './dialogs/ArrangePanel.tsx';
import { BandsDialog } from './dialogs/BandsDialog.tsx';
import { CasesDialog } from './dialogs/CasesDialog.tsx';
import { ChangesDialog } from './dialogs/ChangesDialog.tsx';
import { CommandList } from './dialogs/CommandList.tsx';
import { DuplicateDialog } from './dialogs/DuplicateDialog.tsx';
import { MakeComponent } from './dialogs/MakeComponent.tsx';
import { MakeSurround } from './dialogs/MakeSurround.tsx';
import { MarksDialog } from './dialogs/MarksDialog.tsx';
import { Picker } from './dialogs/Picker.tsx';
import { RepeatFor } from './dialogs/RepeatFor.tsx';
import { ReplaceDialog } from './dialogs/ReplaceDialog.tsx';
import { Drawer, type DrawerName } from './drawers/Drawer.tsx';
import { EveryWidth } from './every-width/EveryWidth.tsx';
import { Facts } from './facts/Facts.tsx';
import { Dragging } from './hands/Dragging.tsx';
import { PathLine } from './PathLine.tsx';
import { Tree } from './tree/Tree.tsx';
import { Trees } from './tree/Trees.tsx';

export function BuildPlace() {
  const { editor } = useWorkplace();
  const screen = currentScreen(useEditorState('project', 'screenId'));
  const [zoom, setZoom] = useHeld<Zoom>('zoom', 'fit');
  const [commandsShown, setCommandsShown] = useState(false);
  const scale = useRef(1);
  const onScale = useCallback((value: number) => {
    scale.current = value;
  }, []);
  const [drawer, setDrawer] = useHeld<DrawerName | undefined>('drawer', undefined);
  const left = usePanelSize('tree', {
    usual: 228,
    least: 180,
    most: ({ width }) => Math.min(420, width / 4),
    narrow: 960,
  });
  const facts = usePanelSize('facts', {
    usual: 288,
    least: 260,
    most: ({ width }) => Math.min(480, 0.3 * width),
    narrow: 960,
  });
  const { typing } = useEditorState('typing');
  // What is to be typed is typed in Facts.
  const areFactsAway = facts.isAway && typing === undefined;
  const findings = useRef<readonly Finding[]>([]);
  const view = useBenchViewState(drawer === 'focus');
  const keys = useBenchKeys({
    screen,
    view,
    findings,
    scale,
    onZoom: setZoom,
    onDrawer: (name) => setDrawer(drawer === name ? undefined : name),
    onCommands: () => setCommandsShown(true),
    panels: { left, facts },
  });
  useCommandKeys(editor, keys);

  return (
    <BenchViewContext value={view}>
      <EveryWidth screen={screen} newest={findings}>
        <Dragging>
          <PathLine zoom={zoom} onZoom={setZoom} onCommands={() => setCommandsShown(true)} />
          <div className="flex min-h-0 flex-1">
            {left.isAway ? (
              <AwayPanel
                label="screens and controls"
                keys={leftKeys}
                side="left"
                onBack={() => left.putAway(false)}
              />
            ) : (
              <aside
                aria-label="Screens and controls"
                data-region="screens and controls"
                data-letters
                className="relative flex shrink-0 flex-col border-r border-rule bg-sheet"
                style={{ width: left.size }}
              >
                <PanelEdge label="Width of screens and controls" side="right" panel={left} />
                <Trees />
                {screen && <Tree screen={screen} />}
              </aside>
            )}
            {screen ? (
              <main className="flex min-w-0 flex-1 flex-col">
                <Bench screen={screen} zoom={zoom} onZoom={setZoom} onScale={onScale} />
                <ArrangePanel />
                <Drawer screen={screen} open={drawer} onOpen={setDrawer} />
              </main>
            ) : (
              <NoScreens />
            )}
            {areFactsAway ? (
              <AwayPanel label="Facts" keys={factsKeys} side="right" onBack={() => facts.putAway(false)} />
            ) : (
              <Facts panel={facts} />
            )}
          </div>
          <Picker />
          <DuplicateDialog />
          <ReplaceDialog />
          <BandsDialog />
          <ChangesDialog />
          <MakeComponent />
          <MakeSurround />
          <RepeatFor />
          <CasesDialog />
          <MarksDialog />
          {commandsShown && <CommandList extra={keys} onClose={() => setCommandsShown(false)} />}
        </Dragging>
      </EveryWidth>
    </BenchViewContext>
  );
}

function NoScreens() {
  const { editor } = useWorkplace();
  return (
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
  );
}
