/** Keys of the bench besides those of commands: drawers, widths, what is seen, zoom, ways from here. */
import { type Control, type Finding, keysOf } from '@hovrin/core';
import type { RefObject } from 'react';
import { currentControl, useEditorState, useWorkplace } from '../../editor/context.tsx';
import { goToRegion } from '../../editor/regions.ts';
import type { PanelSize } from '../../parts/PanelEdge.tsx';
import { useGoTo } from '../../parts/useGoTo.ts';
import type { DrawerName } from '../drawers/Drawer.tsx';
import { takeHold } from '../hands/useHand.ts';
import { nextBand, nextProblem, upperBand } from '../scope.ts';
import { type BenchView, type Outlines, outlineWords } from './benchView.ts';
import { farther, nearer, type Zoom } from './zoom.ts';

const outlineOrder = keysOf(outlineWords);
/** What `O` shows next. */
const next = (outlines: Outlines): Outlines =>
  outlineOrder[(outlineOrder.indexOf(outlines) + 1) % outlineOrder.length] ?? 'off';

interface BenchKeys {
  readonly screen: Control | undefined;
  readonly view: BenchView;
  readonly findings: RefObject<readonly Finding[]>;
  /** Of the working bay. */
  readonly scale: RefObject<number>;
  readonly onZoom: (zoom: Zoom) => void;
  readonly onDrawer: (name: DrawerName) => void;
  readonly onCommands: () => void;
  readonly panels: { readonly left: PanelSize; readonly facts: PanelSize };
}

/** The keys that put the columns away and bring them back. */
export const leftKeys = '[';
export const factsKeys = ']';

export interface BenchKey {
  readonly keys: string;
  readonly label: string;
  readonly run: () => void;
}

export function useBenchKeys(bench: BenchKeys): readonly BenchKey[] {
  const { screen, onDrawer, onCommands, panels } = bench;
  const { left, facts } = panels;
  const goTo = useGoTo();
  const { editor } = useWorkplace();
  const widths = useWidthKeys(bench);
  return [
    { keys: 'X', label: 'Source of the screen', run: () => onDrawer('source') },
    { keys: 'W', label: 'Why it has its size and place', run: () => onDrawer('why') },
    { keys: 'S', label: 'Sweep over all widths', run: () => onDrawer('sweep') },
    { keys: 'C', label: 'Checks of the screen at every width', run: () => onDrawer('checks') },
    { keys: 'P', label: 'Problems of the whole project', run: () => onDrawer('problems') },
    { keys: 'F', label: 'Focus order', run: () => onDrawer('focus') },
    { keys: 'D', label: 'Bindings: what can be read, what feeds what', run: () => onDrawer('bindings') },
    { keys: 'M', label: 'Motions: keys on a time line', run: () => onDrawer('motion') },
    ...widths,
    ...seeingKeys(bench),
    {
      keys: 'Shift+Y',
      label: 'The wall: all screens at all bands',
      run: () => screen && goTo('wall'),
    },
    {
      keys: 'Mod+Enter',
      label: 'Take hold of what is selected: Tab goes from hand to hand, arrows move it',
      run: () => {
        if (!takeHold()) editor.tell('Nothing is selected that could be taken hold of.');
      },
    },
    {
      keys: '/',
      label: 'Find a property of what is selected, by any word',
      run: () => {
        if (editor.state.selection.length > 1) {
          editor.tell('A property is found for one control at a time; Facts shows what several share.');
          return;
        }
        facts.putAway(false);
        const control = currentControl(editor.state);
        if (control) editor.setTyping({ control: control.id, what: 'find' });
      },
    },
    { keys: 'F6', label: 'To the next region', run: () => goToRegion(1) },
    { keys: 'Shift+F6', label: 'To the region before', run: () => goToRegion(-1) },
    { keys: 'T', label: 'Try', run: () => screen && goTo('try') },
    {
      keys: leftKeys,
      label: 'Screens and controls: away, or back',
      run: () => left.putAway(!left.isAway),
    },
    { keys: factsKeys, label: 'Facts: away, or back', run: () => facts.putAway(!facts.isAway) },
    { keys: '?', label: 'All commands', run: onCommands },
  ];
}

function useWidthKeys({ view, findings }: BenchKeys): readonly BenchKey[] {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const { sizes, resize, layoutChanges } = view;
  const width = sizes[0]?.width ?? 0;
  const goTo = (next: number | undefined, where: string) => {
    if (next === undefined) editor.tell(where);
    else resize({ width: next });
  };
  return [
    {
      keys: 'B',
      label: 'Edit for the band of this width, or for all',
      run: () => editor.editFor(editor.state.scope === '' ? upperBand(project, width) : ''),
    },
    { keys: 'Shift+B', label: 'To the next band', run: () => resize({ width: nextBand(project, width) }) },
    {
      keys: 'Shift+W',
      label: 'To the next width where the layout changes',
      run: () => {
        const [first] = layoutChanges.current;
        goTo(layoutChanges.current.find((at) => at > width) ?? first, 'The layout changes at no width.');
      },
    },
    {
      keys: 'Shift+E',
      label: 'To the next width with a problem',
      run: () => goTo(nextProblem(findings.current, width), 'No width has an error.'),
    },
  ];
}

function seeingKeys({ view: { seeing, see }, scale, onZoom }: BenchKeys): readonly BenchKey[] {
  return [
    {
      keys: 'O',
      label: 'Outlines: of the selection, of all, none',
      run: () => see({ outlines: next(seeing.outlines) }),
    },
    { keys: 'Shift+O', label: 'Names on outlines', run: () => see({ names: !seeing.names }) },
    { keys: 'J', label: 'A picture to trace', run: () => see({ tracing: !seeing.tracing }) },
    { keys: 'Shift+H', label: 'What is hidden, faintly', run: () => see({ hidden: !seeing.hidden }) },
    { keys: 'Shift+T', label: 'Longer texts, to see what they do', run: () => see({ long: !seeing.long }) },
    { keys: '+', label: 'Zoom in', run: () => onZoom(nearer(scale.current)) },
    { keys: '-', label: 'Zoom out', run: () => onZoom(farther(scale.current)) },
    { keys: 'Z', label: 'Other sizes: away, or back', run: () => see({ others: !seeing.others }) },
    { keys: '0', label: 'Zoom to the width', run: () => onZoom('fit') },
    { keys: '8', label: 'Zoom to the whole size', run: () => onZoom('whole') },
    { keys: '9', label: 'Zoom to the selection', run: () => onZoom('selection') },
  ];
}
