/** A gradient: its form, its angle or its centre, and its stops on a bar, to drag, to add by pressing, to colour. */
import type { Gradient } from '@hovrin/core';
import { Trash2 } from 'lucide-react';
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import { ColourPicker } from './ColourChoice.tsx';
import { angleOf, inForm, placeAt, stopPlaces, withNewStop, withStopAt } from './gradients.ts';

interface GradientEditorProps {
  readonly gradient: Gradient;
  /** A colour attribute as CSS has it. */
  readonly colourCss: (text: string) => string;
  readonly onGradient: (gradient: Gradient) => void;
}

const forms: readonly (readonly [Gradient['form'], string])[] = [
  ['linear', 'Linear'],
  ['radial', 'Radial'],
  ['conic', 'Conic'],
];

export function GradientEditor({ gradient, colourCss, onGradient }: GradientEditorProps) {
  const [chosen, setChosen] = useState(0);
  const stop = gradient.stops[chosen];
  return (
    <div className="flex flex-col gap-2">
      <div className="flex items-center gap-2">
        <select
          className="field flex-1"
          aria-label="Form"
          value={gradient.form}
          onChange={({ target }) => onGradient(inForm(gradient, target.value as Gradient['form']))}
        >
          {forms.map(([form, word]) => (
            <option key={form} value={form}>
              {word}
            </option>
          ))}
        </select>
        <label className="flex items-center gap-1">
          <input
            type="checkbox"
            className="accent-spruce"
            checked={gradient.repeats}
            onChange={({ target }) => onGradient({ ...gradient, repeats: target.checked })}
          />
          Repeats
        </label>
      </div>
      <Stops {...{ gradient, colourCss, chosen }} onChosen={setChosen} onGradient={onGradient} />
      <Direction gradient={gradient} onGradient={onGradient} />
      {stop?.colour !== undefined && (
        <ColourPicker
          canBeNone={false}
          value={stop.colour}
          onValue={(colour) =>
            onGradient({
              ...gradient,
              stops: gradient.stops.map((each, index) => (index === chosen ? { ...each, colour } : each)),
            })
          }
        />
      )}
    </div>
  );
}

/** Px that a line has which stops in px are shown on. */
const lineLength = 200;

function Stops({
  gradient,
  colourCss,
  chosen,
  onChosen,
  onGradient,
}: GradientEditorProps & { readonly chosen: number; readonly onChosen: (index: number) => void }) {
  const bar = useRef<HTMLDivElement>(null);
  const dragged = useRef<number>(undefined);
  const places = stopPlaces(gradient, lineLength);
  const partAt = ({ clientX }: { clientX: number }) => {
    const { left, width } = bar.current?.getBoundingClientRect() ?? { left: 0, width: 1 };
    return (clientX - left) / width;
  };
  const shown = gradient.stops
    .map(({ colour }, index) =>
      colour === undefined ? '' : `${colourCss(colour)} ${((places[index] ?? 0) * 100).toFixed(1)}%`,
    )
    .filter(Boolean);
  const remove = (index: number) => {
    if (gradient.stops.length <= 2) return;
    onGradient({ ...gradient, stops: gradient.stops.toSpliced(index, 1) });
    onChosen(Math.max(0, index - 1));
  };
  const keys = (event: KeyboardEvent, index: number) => {
    const by = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key];
    if (by !== undefined) {
      event.preventDefault();
      onGradient(withStopAt(gradient, index, (places[index] ?? 0) + (by * (event.shiftKey ? 10 : 1)) / 100));
    } else if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      remove(index);
    }
  };
  const add = (event: PointerEvent) => {
    if (event.target !== bar.current || event.button !== 0) return;
    const [next, index] = withNewStop(gradient, partAt(event), lineLength);
    onGradient(next);
    onChosen(index);
  };
  return (
    <div className="flex flex-col gap-1">
      <div
        ref={bar}
        className="relative mx-2 h-6 cursor-copy rounded-sm border border-rule"
        style={{ background: `linear-gradient(90deg, ${shown.join(', ')})` }}
        title="Press to add a stop"
        onPointerDown={add}
      >
        {gradient.stops.map((stop, index) => (
          <button
            // biome-ignore lint/suspicious/noArrayIndexKey: a stop is nothing but its place among the others.
            key={index}
            type="button"
            role="slider"
            aria-label={`Stop ${index + 1}${stop.colour === undefined ? ', the middle of two' : `, ${stop.colour}`}`}
            aria-valuemin={0}
            aria-valuemax={100}
            aria-valuenow={Math.round((places[index] ?? 0) * 100)}
            aria-valuetext={`${Math.round((places[index] ?? 0) * 100)} %`}
            className={`absolute -top-1 -bottom-1 w-3 -translate-x-1/2 cursor-ew-resize touch-none rounded-sm border-2 ${index === chosen ? 'z-10 border-ink' : 'border-quiet'}`}
            style={{
              left: `${(places[index] ?? 0) * 100}%`,
              background: stop.colour === undefined ? 'transparent' : colourCss(stop.colour),
            }}
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId);
              dragged.current = index;
              onChosen(index);
            }}
            onPointerMove={(event) => {
              if (dragged.current === index) onGradient(withStopAt(gradient, index, partAt(event)));
            }}
            onPointerUp={() => {
              dragged.current = undefined;
            }}
            onFocus={() => onChosen(index)}
            onKeyDown={(event) => keys(event, index)}
          />
        ))}
      </div>
      <div className="flex items-center gap-1">
        <button
          type="button"
          className="btn !h-6 text-[12px]"
          onClick={() => {
            const [from, to] = [places[chosen] ?? 0, places[chosen + 1] ?? 1];
            const [next, index] = withNewStop(gradient, (from + to) / 2, lineLength);
            onGradient(next);
            onChosen(index);
          }}
        >
          Add a stop
        </button>
        <label className="ml-auto flex items-center gap-1 text-[12px]">
          Place
          <input
            className="field !h-6 !w-14 text-right"
            inputMode="numeric"
            value={Math.round((places[chosen] ?? 0) * 100)}
            onChange={({ target }) => {
              const part = Number(target.value) / 100;
              if (Number.isFinite(part)) onGradient(withStopAt(gradient, chosen, part));
            }}
          />
          %
        </label>
        <button
          type="button"
          className="btn-bare text-quiet hover:text-brick"
          aria-label={`Take stop ${chosen + 1} away`}
          disabled={gradient.stops.length <= 2}
          onClick={() => remove(chosen)}
        >
          <Trash2 size={14} />
        </button>
      </div>
    </div>
  );
}

/** The angle of a linear gradient; the centre of another, and where a conic one begins. */
function Direction({ gradient, onGradient }: Pick<GradientEditorProps, 'gradient' | 'onGradient'>) {
  if (gradient.form === 'linear')
    return (
      <Amount
        label="Angle"
        unit="°"
        most={360}
        value={angleOf(gradient)}
        onValue={(degrees) => onGradient({ ...gradient, towards: { degrees } })}
      />
    );
  const [x, y] = gradient.at;
  const centre = (axis: 0 | 1, per: number) =>
    onGradient({ ...gradient, at: axis === 0 ? [placeAt(per / 100), y] : [x, placeAt(per / 100)] });
  return (
    <>
      {gradient.form === 'conic' && (
        <Amount
          label="Begins at"
          unit="°"
          most={360}
          value={gradient.from}
          onValue={(from) => onGradient({ ...gradient, from })}
        />
      )}
      {gradient.form === 'radial' && (
        <label className="flex items-center gap-1 text-[12px]">
          <input
            type="checkbox"
            className="accent-spruce"
            checked={gradient.circle}
            onChange={({ target }) =>
              onGradient({
                ...gradient,
                circle: target.checked,
                size: typeof gradient.size === 'string' ? gradient.size : 'farthest-corner',
              })
            }
          />
          A circle
        </label>
      )}
      <Amount
        label="Centre across"
        unit="%"
        most={100}
        value={x.fraction * 100}
        onValue={(per) => centre(0, per)}
      />
      <Amount
        label="Centre down"
        unit="%"
        most={100}
        value={y.fraction * 100}
        onValue={(per) => centre(1, per)}
      />
    </>
  );
}

interface AmountProps {
  readonly label: string;
  readonly unit: string;
  readonly least?: number;
  readonly most: number;
  readonly value: number;
  readonly onValue: (value: number) => void;
}

/** A number with a slider and its figure. */
export function Amount({ label, unit, least = 0, most, value, onValue }: AmountProps) {
  const shown = Math.round(value * 100) / 100;
  return (
    <label className="flex items-center gap-2 text-[12px]">
      <span className="w-24 shrink-0">{label}</span>
      <input
        type="range"
        className="min-w-0 flex-1 accent-spruce"
        min={least}
        max={most}
        value={shown}
        onChange={({ target }) => onValue(Number(target.value))}
      />
      <input
        className="field !h-6 !w-14 text-right"
        aria-label={`${label}, ${unit}`}
        inputMode="decimal"
        value={shown}
        onChange={({ target }) => {
          const next = Number(target.value);
          if (Number.isFinite(next)) onValue(next);
        }}
      />
      <span className="w-3 text-quiet">{unit}</span>
    </label>
  );
}
