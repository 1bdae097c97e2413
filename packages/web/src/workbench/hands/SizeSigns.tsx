/**
 * Signs beside the selected control's name: how its width and height are said. Pressed, a sign offers the other ways, each with
 * the size that it comes to; those that can keep the size that it has do.
 */
import {
  applySteps,
  type Control,
  inForce,
  kindOf,
  locate,
  percentBasis,
  plainArrangement,
  type ScreenBox,
  type ScreenLayout,
  type Step,
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
  const sized = ways.map(([label, value]) => ({
    label,
    keys: sizeWords(cameTo(editor, control, side, value)),
    checked: label === said,
    onSelect: () =>
      editor.dispatch({
        label: `Make the ${side} of ${control.name ?? control.kind} ${label}`,
        steps: [{ type: 'set', control: control.id, property: side, value }],
      }),
  }));
  return [...sized, ...limitsOf(editor, control, side, box)];
}

/** Limits at the size that it has, and the ratio that it has: pressed again, they go. */
function limitsOf(editor: Editor, control: Control, side: Side, box: ScreenBox): MenuEntry[] {
  const now = String(Math.round(box[side] * 100) / 100);
  const words = side === 'width' ? ['narrower', 'wider'] : ['lower', 'higher'];
  const entry = (label: string, property: string, value: string): MenuEntry => {
    const held = inForce(control.props[property]);
    return {
      label: held === undefined ? `${label} ${value}` : `${label} ${held}`,
      checked: held !== undefined,
      onSelect: () =>
        editor.dispatch({
          label: `${label}, ${control.name ?? control.kind}`,
          steps: [{ type: 'set', control: control.id, property, value: held === undefined ? value : null }],
        }),
    };
  };
  const has = (name: string) => kindOf(control).properties.some((each) => each.name === name);
  return [
    entry(`Never ${words[0]} than`, `min-${side}`, now),
    entry(`Never ${words[1]} than`, `max-${side}`, now),
    ...(has('aspect') && box.height > 0 ? [entry('Keeps the ratio', 'aspect', ratioText(box))] : []),
  ];
}

/** Width to height in small whole numbers where they are near, or as one number. */
function ratioText({ width, height }: ScreenBox): string {
  for (let down = 1; down <= 16; down++) {
    const across = Math.round((width / height) * down);
    if (across > 0 && across <= 32 && Math.abs(across / down - width / height) < 0.01)
      return down === 1 ? String(across) : `${across}/${down}`;
  }
  return String(Math.round((width / height) * 100) / 100);
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
const cameTo = (editor: Editor, control: Control, side: Side, value: string | null): number | undefined =>
  comesTo(editor, [{ type: 'set', control: control.id, property: side, value }])?.byControl.get(control.id)?.[
    side
  ];

/** The layout of the bench after some steps; undefined where they do not fit. */
export function comesTo(editor: Editor, steps: readonly Step[]): ScreenLayout | undefined {
  const done = applySteps(editor.state.project, steps);
  return done.ok ? editor.bench?.layOut(done.project) : undefined;
}
