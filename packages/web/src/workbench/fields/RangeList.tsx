/** The ranges as a list of fields: where each begins, what holds in it. */
import { defaultText, iconSet, type Property, type RangeStop, type Ranges, themeOf } from '@hovrin/core';
import { Plus, X } from 'lucide-react';
import { useId, useState } from 'react';
import { useEditorState } from '../../editor/context.tsx';
import { asNumber, refusedAt, withEnd, withOneMore } from './rangeNumbers.ts';
import { useValueWords } from './useValueWords.ts';
import { ValueChoice } from './ValueChoice.tsx';

interface RangeListProps {
  readonly ranges: Ranges;
  readonly property: Property;
  /** How much the scale reaches over. */
  readonly span: number;
  /** A change by itself. */
  readonly onChange: (ranges: Ranges) => void;
  /** One of a run of changes, which `onRest` ends. */
  readonly onMove: (ranges: Ranges) => void;
  readonly onRest: () => void;
}

export function RangeList({ ranges, property, span, onChange, onMove, onRest }: RangeListProps) {
  const { project } = useEditorState('project');
  const { stops, end } = ranges;
  return (
    <ul className="mt-1 flex flex-col gap-1">
      {stops.map((stop, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a range keeps its place while it is edited.
        <li key={index} className="flex flex-wrap items-center gap-1 text-[12px]">
          <span className="w-7 text-quiet">from</span>
          <NumberInput
            label={`Range ${index + 1} begins at`}
            value={stop.from}
            refused={(value) =>
              value === undefined ? 'A range begins at a number.' : refusedAt(ranges, index, value)
            }
            onValue={(value) => value !== undefined && onChange(withEnd(ranges, index, value))}
          />
          <ValueInput
            range={index + 1}
            value={stop.value}
            type={property.type}
            onValue={(value) =>
              onMove({
                ...ranges,
                stops: stops.map((each, at) => (at === index ? { ...each, value } : each)),
              })
            }
            onDone={onRest}
          />
          <button
            type="button"
            className="btn-bare !h-6 !min-w-5 text-quiet"
            aria-label={`Take range ${index + 1} away`}
            disabled={stops.length === 1}
            onClick={() => onChange({ ...ranges, stops: stops.toSpliced(index, 1) })}
          >
            <X size={12} />
          </button>
        </li>
      ))}
      <li className="flex flex-wrap items-center gap-1 text-[12px]">
        <span className="w-7 text-quiet">end</span>
        <NumberInput
          label="The last range ends at"
          value={end}
          refused={(value) => (value === undefined ? undefined : refusedAt(ranges, stops.length, value))}
          onValue={(value) => {
            const { end: _, ...rest } = ranges;
            onChange(value === undefined ? rest : { ...rest, end: value });
          }}
        />
        <span className="min-w-0 flex-1 truncate text-quiet">
          outside: {defaultText(property, themeOf(project)) ?? 'as it is without'}
        </span>
        <button
          type="button"
          className="btn ml-auto !h-6 !px-1.5"
          aria-label="Add a range"
          onClick={() => onChange(withOneMore(ranges, span))}
        >
          <Plus size={12} aria-hidden />
        </button>
      </li>
    </ul>
  );
}

/** A number that is taken once the field is left, or Enter is pressed; empty: none. What is refused stays, and says why. */
function NumberInput({
  label,
  value,
  refused,
  onValue,
}: {
  label: string;
  value: number | undefined;
  refused: (value: number | undefined) => string | undefined;
  onValue: (value: number | undefined) => void;
}) {
  const [typed, setTyped] = useState<string>();
  const [why, setWhy] = useState<string>();
  const id = useId();
  const commit = () => {
    if (typed === undefined) return;
    const number = typed.trim() === '' ? undefined : Number(typed);
    const problem = Number.isNaN(number) ? `“${typed}” is no number.` : refused(number);
    setWhy(problem);
    if (problem !== undefined) return;
    onValue(number);
    setTyped(undefined);
  };
  return (
    <>
      <input
        className="field !h-6 !w-16 text-right text-[12px]"
        inputMode="decimal"
        aria-label={label}
        aria-invalid={why !== undefined}
        aria-describedby={why === undefined ? undefined : id}
        value={typed ?? (value === undefined ? '' : String(value))}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key !== 'Escape' || typed === undefined) return;
          event.stopPropagation();
          setTyped(undefined);
          setWhy(undefined);
        }}
      />
      {why !== undefined && (
        <p id={id} role="alert" className="order-last w-full text-brick">
          {why}
        </p>
      )}
    </>
  );
}

/** What holds in a range. */
function ValueInput({
  range,
  value,
  type,
  onValue,
  onDone,
}: {
  /** Its number, from 1. */
  range: number;
  value: RangeStop['value'];
  type: Property['type'];
  onValue: (value: RangeStop['value']) => void;
  onDone: () => void;
}) {
  const text = String(value);
  const words = useValueWords({ type });
  const fits = type.read(text).ok && (type.refers?.to !== 'icon' || iconSet().has(text));
  return (
    <span className="relative flex min-w-0 flex-1">
      <input
        className="field !h-6 w-full pr-6 text-[12px]"
        aria-label={`Range ${range} is`}
        aria-invalid={!fits}
        title={fits ? undefined : `Not ${type.expects}`}
        value={text}
        onChange={({ target }) => onValue(asNumber(target.value))}
        onBlur={onDone}
      />
      <ValueChoice
        words={words}
        type={type}
        label={`the value of range ${range}`}
        value={text}
        onValue={(next) => onValue(asNumber(next))}
        onDone={onDone}
      />
    </span>
  );
}
