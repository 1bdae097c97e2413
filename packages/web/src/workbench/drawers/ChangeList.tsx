/** The widths at which something changes, with the reasons. */
import { type Change, type Control, causeRank, sweepChangeWords } from '@hovrin/core';
import { useEffect, useRef } from 'react';
import { Sentence } from './Sentence.tsx';

export function ChangeList({
  screen,
  changes,
  all,
  width,
  onWidth,
}: {
  screen: Control;
  changes: readonly Change[];
  all: number;
  width: number;
  onWidth: (width: number) => void;
}) {
  const list = useRef<HTMLUListElement>(null);
  const current = changes.findLast((change) => change.width <= width)?.width;
  useEffect(() => {
    if (current !== undefined)
      list.current?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest' });
  }, [current]);
  return (
    <div className="flex min-h-0 flex-col border-l border-rule">
      <h3 className="shrink-0 px-3 pt-2 pb-1 font-semibold">
        {changes.length === 1 ? 'One change' : `${changes.length} changes`}
        <span className="ml-2 font-normal text-quiet">of {all} on this screen</span>
      </h3>
      <ul ref={list} className="min-h-0 flex-1 overflow-y-auto px-2 pb-2 text-[12px]">
        {changes.map((change) => {
          const words = sweepChangeWords(
            { ...change, causes: change.causes.toSorted((a, b) => causeRank(a) - causeRank(b)) },
            screen,
          );
          return (
            <li
              key={change.width}
              aria-current={change.width === current ? 'step' : undefined}
              className={`flex items-baseline gap-2 rounded-sm px-1 py-0.5 ${change.width === current ? 'bg-saffron/20' : ''}`}
            >
              <button
                type="button"
                className="w-12 shrink-0 rounded-sm text-right font-mono tabular-nums hover:bg-sunk"
                title={`Go to ${Math.ceil(change.width)} px`}
                onClick={() => onWidth(change.width)}
              >
                {Math.ceil(change.width)}
              </button>
              <span>
                {words.slice(0, 2).map((sentence, index) => (
                  <span key={sentence}>
                    {index > 0 && '; '}
                    <Sentence screen={screen}>{sentence}</Sentence>
                  </span>
                ))}
                {words.length > 2 && <span className="text-quiet"> and {words.length - 2} more</span>}
              </span>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
