/** Chooses an icon of the set that ships: type to find, or look through them. */
import { iconSet } from '@hovrin/core';
import { createElement, useMemo, useState } from 'react';
import { hasWords } from '../../parts/words.ts';
import { ChoicePopover, type ChoiceProps } from './ChoicePopover.tsx';

/** Icons shown at a time; typing narrows them down. */
const mostShown = 120;

export function IconSign({ name, size = 18 }: { name: string; size?: number }) {
  const shapes = iconSet().get(name) ?? [];
  return (
    <svg
      viewBox="0 0 24 24"
      width={size}
      height={size}
      fill="none"
      stroke="currentColor"
      strokeWidth={2}
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden
    >
      {shapes.map(([tag, attributes], index) => createElement(tag, { ...attributes, key: index }))}
    </svg>
  );
}

export function IconChoice({ label, value, onValue, onDone }: ChoiceProps) {
  const [typed, setTyped] = useState('');
  const found = useMemo(() => [...iconSet().keys()].filter((name) => hasWords(name, typed)), [typed]);
  return (
    <ChoicePopover
      label={`Choose ${label}`}
      className="w-[300px]"
      button={
        <button
          type="button"
          className="absolute inset-y-0 right-0 grid w-7 place-items-center text-quiet hover:text-ink"
          aria-label={`Choose ${label}`}
        >
          <IconSign name={iconSet().has(value) ? value : 'search'} size={15} />
        </button>
      }
      onDone={onDone}
    >
      {(close) => (
        <>
          <input
            className="field"
            aria-label="Find an icon"
            placeholder="Type to find, such as “bed” or “arrow”"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
          <div className="grid max-h-60 grid-cols-8 gap-0.5 overflow-y-auto">
            {found.slice(0, mostShown).map((name) => (
              <button
                key={name}
                type="button"
                className={`grid h-8 place-items-center rounded-sm hover:bg-sunk ${name === value ? 'bg-spruce text-on-spruce' : ''}`}
                title={name}
                aria-label={name}
                onClick={() => {
                  onValue(name);
                  close();
                }}
              >
                <IconSign name={name} />
              </button>
            ))}
          </div>
          <p className="text-[12px] text-quiet">
            {found.length === 0
              ? `No icon is called “${typed}”.`
              : found.length > mostShown
                ? `${mostShown} of ${found.length}; type to find others`
                : `${found.length} icons`}
          </p>
        </>
      )}
    </ChoicePopover>
  );
}
