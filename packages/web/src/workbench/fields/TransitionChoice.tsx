/** Choosing how values go over into others: what, how long, how evenly; with a preview that runs on request. */
import { themeOf, transitionWords } from '@hovrin/core';
import { Play, Plus, Trash2 } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { useEditorState } from '../../editor/context.tsx';
import { ChoicePopover, type ChoiceProps } from './ChoicePopover.tsx';
import { type Going, goingsIn, goingsText } from './transitions.ts';

const curves = ['ease', 'linear', 'ease-in', 'ease-out', 'ease-in-out'];
const begun: Going = { property: 'all', duration: '150ms', curve: 'ease-out', delay: '0ms' };

export function TransitionChoice({ label, value, onValue, onDone }: ChoiceProps) {
  return (
    <ChoicePopover
      label={`Choose ${label}`}
      className="w-80"
      button={
        <button
          type="button"
          className="absolute inset-y-0 right-0 grid w-6 place-items-center text-quiet hover:text-ink"
          aria-label={`Choose ${label}`}
        >
          <Play size={12} />
        </button>
      }
      onDone={onDone}
    >
      {() => <Goings value={value} onValue={onValue} />}
    </ChoicePopover>
  );
}

function Goings({ value, onValue }: Pick<ChoiceProps, 'value' | 'onValue'>) {
  const { project } = useEditorState('project');
  const { tokens } = themeOf(project);
  const [isOver, setIsOver] = useState(false);
  const goings = goingsIn(value, (word) => tokens.get(word)?.type === 'cubicBezier');
  const set = (next: readonly Going[]) => onValue(goingsText(next));
  /** A token's value in the place of its name. */
  const css = (word: string) => tokens.get(word)?.texts[''] ?? word;
  return (
    <>
      {goings.map((going, index) => (
        <GoingFields
          // biome-ignore lint/suspicious/noArrayIndexKey: a part is nothing but its place among the others.
          key={index}
          going={going}
          onGoing={(next) => set(goings.with(index, next))}
          onRemove={() => set(goings.toSpliced(index, 1))}
        >
          <span className="relative block h-3 rounded-full bg-sunk" aria-hidden="true">
            <span
              className="absolute top-0 size-3 rounded-full bg-spruce"
              style={{
                left: isOver ? 'calc(100% - 12px)' : 0,
                transition: `left ${css(going.duration)} ${css(going.curve)} ${css(going.delay)}`,
              }}
            />
          </span>
        </GoingFields>
      ))}
      <div className="flex gap-2">
        <button type="button" className="btn" onClick={() => set([...goings, begun])}>
          <Plus size={14} aria-hidden /> Add
        </button>
        {goings.length > 0 && (
          <button type="button" className="btn" onClick={() => setIsOver((over) => !over)}>
            <Play size={12} aria-hidden /> Play
          </button>
        )}
      </div>
    </>
  );
}

function GoingFields({
  going,
  onGoing,
  onRemove,
  children,
}: {
  readonly going: Going;
  readonly onGoing: (going: Going) => void;
  readonly onRemove: () => void;
  readonly children: ReactNode;
}) {
  return (
    <fieldset className="flex flex-col gap-1.5">
      <legend className="sr-only">{going.property}</legend>
      <div className="flex gap-1">
        <select
          className="field min-w-0 flex-1"
          aria-label="What goes over"
          value={going.property}
          onChange={({ target }) => onGoing({ ...going, property: target.value })}
        >
          {transitionWords.map((word) => (
            <option key={word}>{word}</option>
          ))}
        </select>
        <select
          className="field min-w-0 flex-1"
          aria-label="How evenly"
          value={going.curve}
          onChange={({ target }) => onGoing({ ...going, curve: target.value })}
        >
          {[...new Set([...curves, going.curve])].map((word) => (
            <option key={word}>{word}</option>
          ))}
        </select>
        <button
          type="button"
          className="btn-bare text-quiet hover:text-brick"
          aria-label={`Take ${going.property} away`}
          onClick={onRemove}
        >
          <Trash2 size={14} />
        </button>
      </div>
      <div className="flex gap-2">
        <Time label="For" value={going.duration} onValue={(duration) => onGoing({ ...going, duration })} />
        <Time label="After" value={going.delay} onValue={(delay) => onGoing({ ...going, delay })} />
      </div>
      {children}
    </fieldset>
  );
}

interface TimeProps {
  readonly label: string;
  readonly value: string;
  readonly onValue: (value: string) => void;
}

/** A time such as `150ms`, or the name of a token; a number alone is in ms. */
function Time({ label, value, onValue }: TimeProps) {
  const [typed, setTyped] = useState<string>();
  const leave = () => {
    const text = typed?.trim();
    setTyped(undefined);
    if (text === undefined || text === '' || text === value) return;
    if (/^\d*\.?\d+$/.test(text)) onValue(`${text}ms`);
    else if (/^\d*\.?\d+m?s$/.test(text) || /^[A-Za-z_][\w.-]*$/.test(text)) onValue(text);
  };
  return (
    <label className="flex min-w-0 flex-1 items-center gap-1 text-[12px]">
      {label}
      <input
        className="field !h-6 min-w-0"
        value={typed ?? value}
        onChange={({ target }) => setTyped(target.value)}
        onBlur={leave}
        onKeyDown={({ key }) => key === 'Enter' && leave()}
      />
    </label>
  );
}
