/** Lining controls up and spacing them out, against a target that is named beforehand. */
import { type AlignEdge, type Arranged, alignControls, convertUnits, sameSize, spaceOut } from '@hovrin/core';
import type { Change, Editor } from '../editor.ts';
import { type Command, changing, namesOf, targets } from './command.ts';

/** The change that an arrangement comes to, with a sentence about properties that were set instead of moving. */
function arranged(editor: Editor, label: string, { steps, said }: Arranged): Change | undefined {
  if (steps.length === 0) return undefined;
  return {
    label: `${label}: ${namesOf(targets(editor))}`,
    steps,
    ...(said.length > 0 ? { tell: `${[...new Set(said)].slice(0, 3).join('; ')}.` } : {}),
  };
}

const align = (edge: AlignEdge, label: string): Command =>
  changing({ id: `align-${edge}`, label, keys: [], group: 'Line up', findBy: 'align edges' }, (editor) => {
    const { project, selection, alignTarget, alignAsOne } = editor.state;
    const layout = editor.bench?.layout;
    if (!layout || targets(editor).length === 0) return undefined;
    return arranged(
      editor,
      label,
      alignControls(project, layout, selection, { edge, target: alignTarget, asOne: alignAsOne }),
    );
  });

const space = (axis: 'x' | 'y', label: string): Command =>
  changing(
    { id: `space-${axis}`, label, keys: [], group: 'Line up', findBy: 'distribute evenly gaps' },
    (editor) => {
      const layout = editor.bench?.layout;
      return (
        layout &&
        arranged(editor, label, spaceOut(editor.state.project, layout, editor.state.selection, axis))
      );
    },
  );

const same = (side: 'width' | 'height'): Command =>
  changing(
    {
      id: `same-${side}`,
      label: `Same ${side} as the first`,
      keys: [],
      group: 'Line up',
      findBy: 'equal size match',
    },
    (editor) => {
      const layout = editor.bench?.layout;
      const { project, selection } = editor.state;
      if (!layout || selection.length < 2) return undefined;
      const steps = sameSize(project, layout, selection, side);
      return steps.length > 0 ? { label: `Same ${side}: ${namesOf(targets(editor))}`, steps } : undefined;
    },
  );

const units = (to: 'px' | '%', deep: boolean): Command =>
  changing(
    {
      id: `units-${to === '%' ? 'percent' : 'px'}${deep ? '-deep' : ''}`,
      label: `Turn into ${to === '%' ? 'per cent' : 'px'}${deep ? ', with all inside' : ''}`,
      keys: [],
      group: 'Line up',
      findBy: 'convert units % percentage pixels',
    },
    (editor) => {
      const { bench, state } = editor;
      if (!bench || targets(editor).length === 0) return undefined;
      const steps = convertUnits(state.project, bench.layout, state.selection, { to, deep }, bench.layOut);
      return steps.length > 0 ? { label: `Turn ${namesOf(targets(editor))} into ${to}`, steps } : undefined;
    },
  );

export const alignCommands: readonly Command[] = [
  align('left', 'Line up left'),
  align('center', 'Line up in the centre'),
  align('right', 'Line up right'),
  align('top', 'Line up at the top'),
  align('middle', 'Line up in the middle'),
  align('bottom', 'Line up at the bottom'),
  space('x', 'Space out across'),
  space('y', 'Space out down'),
  same('width'),
  same('height'),
  units('%', false),
  units('%', true),
  units('px', false),
  units('px', true),
];
