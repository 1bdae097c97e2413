/**
 * Signs beside the selected control's name: how its width and height are said. Pressed, a sign offers the other ways, each with
 * the size that it comes to; those that can keep the size that it has do.
 */
import {
  applySteps,
  type Control,
  inForce,
  locate,
  percentBasis,
  plainArrangement,
  type ScreenBox,
  type ScreenLayout,
} from '@hovrin/core';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import type { Editor } from '../../editor/editor.ts';
import { Menu, type MenuEntry } from '../../parts/Menu.tsx';
import { percentFor } from './keptUnits.ts';

type Side = 'width' | 'height';

/** How a size is said, as its box has it: also where a style or a component says it. */
function saidSize(box: ScreenBox, side: Side): string {
  const said = box.box.style[side];
  if (said === undefined) return 'auto';
  if (typeof said === 'number') return String(Math.round(said * 100) / 100);
  if (said === 'fit') return 'fit';
  if ('share' in said) return said.share === 1 ? 'share' : `share ${said.share}`;
  return `${Math.round(said.fraction * 10000) / 100}%`;
}

interface SizeSignsProps {
  readonly id: string;
  readonly box: ScreenBox;
  readonly layout: ScreenLayout;
}

export function SizeSigns({ id, box, layout }: SizeSignsProps) {
  const { project } = useEditorState('project');
  const found = locate(project, id);
  if (!found?.parent) return null;
  const { control, parent } = found;
  return (
    <span className="ml-1.5 inline-flex items-baseline gap-0.5 border-l border-[#fffdf8]/40 pl-1">
      <Sign control={control} parent={parent} side="width" box={box} layout={layout} />
      <span aria-hidden>×</span>
      <Sign control={control} parent={parent} side="height" box={box} layout={layout} />
    </span>
  );
}

interface SignProps extends Omit<SizeSignsProps, 'id'> {
  readonly control: Control;
  readonly parent: Control;
  readonly side: Side;
}

function Sign(props: SignProps) {
  const { control, side, box } = props;
  const { editor } = useWorkplace();
  const bound = inForce(control.props[side])?.includes('{') === true;
  const said = bound ? '{ }' : saidSize(box, side);
  const word = side === 'width' ? 'Width' : 'Height';
  return (
    <Menu
      label={`${word} of ${control.name ?? control.kind}`}
      button={
        <button
          type="button"
          data-sign={side}
          title={`The ${side} is said as ${said}; press for other ways`}
          aria-label={`${word}: ${said}`}
          className="pointer-events-auto rounded-[2px] px-0.5 font-mono text-[10px] leading-[15px] whitespace-nowrap hover:bg-[#e0a11b] hover:text-[#1f2a24]"
        >
          {said}
        </button>
      }
      entries={() => waysOf(editor, props, said)}
    />
  );
}

/** The ways in which a size can be said, with what each comes to on the bench. */
function waysOf(
  editor: Editor,
  { control, parent, side, box, layout }: SignProps,
  said: string,
): MenuEntry[] {
  const now = box[side];
  const basis = percentBasis(parent, layout, side === 'height');
  const ways: readonly (readonly [string, string | null])[] = [
    ['auto', null],
    ['fit', 'fit'],
    ...(plainArrangement(parent) === 'pins' ? [] : ([['share', 'share']] as const)),
    ...(basis !== undefined && basis > 0 ? ([percentWay(now, basis)] as const) : []),
    pxWay(now),
  ];
  return ways.map(([label, value]) => ({
    label,
    keys: sizeWords(cameTo(editor, control, side, value)),
    checked: label === said,
    onSelect: () =>
      editor.dispatch({
        label: `Make the ${side} of ${control.name ?? control.kind} ${label}`,
        steps: [{ type: 'set', control: control.id, property: side, value }],
      }),
  }));
}

const percentWay = (now: number, basis: number): readonly [string, string] => {
  const text = `${percentFor(now, basis, false)}%`;
  return [text, text];
};
const pxWay = (now: number): readonly [string, string] => {
  const text = String(Math.round(now * 100) / 100);
  return [text, text];
};

const sizeWords = (size: number | undefined): string =>
  size === undefined ? '' : `${Math.round(size * 10) / 10} px`;

/** The size that a control would have, laid out as the bench is. */
function cameTo(editor: Editor, control: Control, side: Side, value: string | null): number | undefined {
  const done = applySteps(editor.state.project, [
    { type: 'set', control: control.id, property: side, value },
  ]);
  if (!done.ok) return undefined;
  return editor.bench?.layOut(done.project).byControl.get(control.id)?.[side];
}
