/** Choosing shadows: each with a drawing to drag, its blur, spread and colour. */
import { backgroundCss, colourIn, lookCss, type Shadow, shadowsIn, shadowText, themeOf } from '@hovrin/core';
import { Plus, Trash2 } from 'lucide-react';
import { type KeyboardEvent, useRef, useState } from 'react';
import { useEditorState } from '../../editor/context.tsx';
import type { ChoiceProps } from './ChoicePopover.tsx';
import { ColourPicker } from './ColourChoice.tsx';
import { Amount } from './GradientEditor.tsx';
import { SwatchChoice } from './SwatchChoice.tsx';

const begun: Shadow = { x: 0, y: 2, blur: 8, spread: 0, colour: '#00000033', inset: false };

export function ShadowChoice({ label, value, onValue, onDone }: ChoiceProps) {
  const { project } = useEditorState('project');
  const theme = themeOf(project);
  const css = lookCss(value === '' ? 'none' : value, (name) =>
    backgroundCss(name, (each) => colourIn(theme, each)),
  );
  return (
    <SwatchChoice
      label={label}
      shown={{ boxShadow: css, background: 'var(--color-sheet)' }}
      className="w-72"
      onDone={onDone}
    >
      {() => <Shadows value={value} onValue={onValue} />}
    </SwatchChoice>
  );
}

function Shadows({ value, onValue }: Pick<ChoiceProps, 'value' | 'onValue'>) {
  const { project } = useEditorState('project');
  const theme = themeOf(project);
  const [chosen, setChosen] = useState(0);
  // A token's shadows are taken as they are; from then on they are one's own.
  const known = theme.tokens.get(value);
  const shadows = shadowsIn(known?.texts[''] ?? value) ?? [];
  const shadow = shadows[chosen];
  const set = (next: readonly Shadow[]) => onValue(shadowText(next));
  const change = (part: Partial<Shadow>) =>
    set(shadows.map((each, index) => (index === chosen ? { ...each, ...part } : each)));
  return (
    <>
      <div
        className="flex flex-wrap items-center gap-1"
        role="radiogroup"
        aria-label="Shadows, the top one first"
      >
        {shadows.map((each, index) => (
          <label
            // biome-ignore lint/suspicious/noArrayIndexKey: a shadow is nothing but its place among the others.
            key={index}
            className="flex h-6 cursor-pointer items-center rounded-sm px-2 has-checked:bg-sunk has-checked:font-medium has-focus-visible:outline-2 has-focus-visible:outline-spruce hover:bg-sunk"
          >
            <input
              type="radio"
              className="sr-only"
              checked={index === chosen}
              onChange={() => setChosen(index)}
            />
            {index + 1}
            {each.inset ? ' inside' : ''}
          </label>
        ))}
        <button
          type="button"
          className="btn-bare"
          aria-label="Add a shadow"
          onClick={() => {
            set([...shadows, begun]);
            setChosen(shadows.length);
          }}
        >
          <Plus size={14} />
        </button>
        {shadow && (
          <button
            type="button"
            className="btn-bare ml-auto text-quiet hover:text-brick"
            aria-label={`Take shadow ${chosen + 1} away`}
            onClick={() => {
              set(shadows.toSpliced(chosen, 1));
              setChosen(Math.max(0, chosen - 1));
            }}
          >
            <Trash2 size={14} />
          </button>
        )}
      </div>
      {shadow ? (
        <>
          <Drawing
            shadow={shadow}
            colour={colourIn(theme, shadow.colour)}
            onMove={(x, y) => change({ x, y })}
          />
          <Amount
            label="Blur"
            unit="px"
            most={64}
            value={shadow.blur}
            onValue={(blur) => change({ blur: Math.max(0, blur) })}
          />
          <Amount
            label="Spread"
            unit="px"
            least={-32}
            most={32}
            value={shadow.spread}
            onValue={(spread) => change({ spread })}
          />
          <label className="flex items-center gap-1 text-[12px]">
            <input
              type="checkbox"
              className="accent-spruce"
              checked={shadow.inset}
              onChange={({ target }) => change({ inset: target.checked })}
            />
            Inside the box
          </label>
          <ColourPicker canBeNone={false} value={shadow.colour} onValue={(colour) => change({ colour })} />
        </>
      ) : (
        <p className="text-[12px] text-quiet">No shadow yet: the plus adds one.</p>
      )}
    </>
  );
}

/** How far a shadow can be dragged here, CSS px each way. */
const reach = 32;

/** A box with its shadow: where the knob is dragged to, the shadow falls. */
function Drawing({
  shadow,
  colour,
  onMove,
}: {
  readonly shadow: Shadow;
  readonly colour: string;
  readonly onMove: (x: number, y: number) => void;
}) {
  const from = useRef<{ readonly at: readonly [number, number]; readonly shadow: Shadow }>(undefined);
  const within = (value: number) => Math.max(-reach, Math.min(reach, Math.round(value)));
  const keys = (event: KeyboardEvent) => {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!by) return;
    event.preventDefault();
    const [x = 0, y = 0] = by;
    onMove(within(shadow.x + x), within(shadow.y + y));
  };
  const { x, y, blur, spread, inset } = shadow;
  return (
    <div className="relative grid h-28 place-items-center overflow-hidden rounded-sm border border-rule bg-page">
      <div
        className="size-14 rounded-sm bg-sheet"
        style={{ boxShadow: `${inset ? 'inset ' : ''}${x}px ${y}px ${blur}px ${spread}px ${colour}` }}
      />
      <button
        type="button"
        className="absolute size-4 cursor-move touch-none rounded-full border-2 border-ink bg-saffron"
        style={{ left: `calc(50% - 8px + ${x}px)`, top: `calc(50% - 8px + ${y}px)` }}
        aria-label={`Falls ${x} px across, ${y} px down: arrows move it`}
        onKeyDown={keys}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          from.current = { at: [event.clientX, event.clientY], shadow };
        }}
        onPointerMove={(event) => {
          const start = from.current;
          if (!start) return;
          onMove(
            within(start.shadow.x + event.clientX - start.at[0]),
            within(start.shadow.y + event.clientY - start.at[1]),
          );
        }}
        onPointerUp={() => {
          from.current = undefined;
        }}
      />
      <span className="absolute right-1 bottom-0.5 font-mono text-[11px] text-quiet">
        {x} {y}
      </span>
    </div>
  );
}
