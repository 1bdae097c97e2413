/**
 * Margin, padding and size as a drawing: each side's figure stands where it acts and is changed there. A figure may also be the
 * name of a length.
 */
import {
  type Control,
  contextOf,
  kindIn,
  type Property,
  readAttributeText,
  type ScreenBox,
} from '@hovrin/core';
import { useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { type ShownValue, shownValue } from '../fields/shownValue.ts';
import { type PhysicalSide, sideWords, withSides, wordOf } from '../hands/insideEdges.ts';

const sides: readonly PhysicalSide[] = ['top', 'left', 'right', 'bottom'];

const where: Readonly<Record<PhysicalSide, string>> = {
  top: 'col-start-2 row-start-1 justify-self-center',
  left: 'col-start-1 row-start-2 self-center',
  right: 'col-start-3 row-start-2 self-center',
  bottom: 'col-start-2 row-start-3 justify-self-center',
};

interface RoomDrawingProps {
  readonly control: Control;
  readonly name: string;
  /** As the bench has it; undefined: it is not shown there. */
  readonly box: ScreenBox | undefined;
  readonly rightToLeft: boolean;
}

export function RoomDrawing({ control, name, box, rightToLeft }: RoomDrawingProps) {
  const { project } = useEditorState('project');
  const { properties } = kindIn(project, control);
  const [margin, padding] = ['margin', 'padding'].map((each) =>
    properties.find((property) => property.name === each),
  );
  if (!margin && !padding) return null;
  const size = (
    <span className="self-center justify-self-center px-1 font-mono text-[12px] whitespace-nowrap">
      {box ? `${round(box.width)} × ${round(box.height)}` : 'not shown'}
    </span>
  );
  const frame = (property: Property, look: string, inside: React.ReactNode) => (
    <fieldset
      aria-label={`${property.label}, side by side`}
      className={`grid grid-cols-[auto_1fr_auto] grid-rows-[auto_1fr_auto] gap-x-1 gap-y-0.5 rounded-[3px] border p-0.5 ${look}`}
    >
      <span className="col-start-1 row-start-1 pl-1 text-[11px] text-quiet">{property.label}</span>
      {sides.map((side) => (
        <SideFigure
          key={side}
          {...{ control, name, property, side, rightToLeft }}
          now={box?.box.style[property.name as 'margin' | 'padding']}
        />
      ))}
      <div className="col-start-2 row-start-2 grid min-w-0">{inside}</div>
    </fieldset>
  );
  const inner = padding ? frame(padding, 'border-spruce bg-spruce/10', size) : size;
  return <div className="py-1">{margin ? frame(margin, 'border-dashed border-edge', inner) : inner}</div>;
}

const round = (value: number): number => Math.round(value * 10) / 10;

interface SideFigureProps {
  readonly control: Control;
  readonly name: string;
  readonly property: Property;
  readonly side: PhysicalSide;
  readonly now: ScreenBox['box']['style']['padding'] | undefined;
  readonly rightToLeft: boolean;
}

/** What a side says: its word of the text in force. */
function wordIn({ own, inForce, elsewhere, bound }: ShownValue, index: number) {
  const text = own ? inForce : (elsewhere ?? '');
  return { word: bound ? '' : (sideWords(text)?.[index] ?? ''), isOwn: own };
}

function SideFigure({ control, name, property, side, now, rightToLeft }: SideFigureProps) {
  const { editor } = useWorkplace();
  const { project, scope } = useEditorState('project', 'scope');
  const [typed, setTyped] = useState<string>();
  const value = shownValue(project, [control], property, scope);
  const index = wordOf(side, rightToLeft);
  const lengths = now ? [now.top, now.end, now.bottom, now.start] : [0, 0, 0, 0];
  const { word, isOwn } = wordIn(value, index);
  const asText = (next: string) =>
    withSides(value.own ? value.inForce : value.elsewhere, lengths, new Map([[index, next.trim() || '0']]));
  const isValid = (next: string) =>
    readAttributeText(kindIn(project, control), value.attribute, asText(next), contextOf(project, control))
      .ok;
  const take = (next: string) => {
    const text = asText(next);
    if (next === word || !isValid(next)) return;
    editor.dispatch({
      label: `${property.label} of ${name}`,
      steps: [
        {
          type: 'set',
          control: control.id,
          property: value.attribute,
          value: /^0( 0)*$/.test(text) ? null : text,
        },
      ],
    });
  };
  const leave = () => {
    if (typed !== undefined) take(typed);
    setTyped(undefined);
  };
  const step = (by: number) => {
    const from = Number(typed ?? (word || lengths[index]));
    if (!Number.isFinite(from)) return;
    const next = String(round(from + by));
    setTyped(undefined);
    take(next);
  };
  const label = `${property.label} ${side}`;
  const isBad = typed !== undefined && !isValid(typed);
  return (
    <input
      className={`h-6 w-9 rounded-[3px] border bg-sheet px-0.5 text-center font-mono text-[12px] hover:border-edge focus:border-edge ${where[side]} ${isBad ? 'border-brick' : 'border-transparent'} ${isOwn && word !== '' && word !== '0' ? 'font-semibold' : 'text-quiet'}`}
      aria-label={label}
      aria-invalid={isBad}
      title={
        value.bound
          ? `${property.label} follows an expression`
          : `${label}: ${word || round(lengths[index] ?? 0)}`
      }
      disabled={value.bound}
      spellCheck={false}
      value={typed ?? (word || String(round(lengths[index] ?? 0)))}
      onFocus={(event) => event.currentTarget.select()}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={leave}
      onKeyDown={(event) => {
        if (event.key === 'Enter') leave();
        if (event.key === 'Escape') setTyped(undefined);
        if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
          event.preventDefault();
          step((event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? 10 : 1));
        }
      }}
    />
  );
}
