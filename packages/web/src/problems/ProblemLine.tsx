/** One problem: how grave it is, where it is, what it is, and a way there. */
import { type Problem, problemPlaceWords } from '@hovrin/core';
import { CornerUpRight } from 'lucide-react';
import type { ReactNode } from 'react';
import { severityFills } from '../workbench/drawers/severities.ts';
import { useGoToProblem } from './useGoToProblem.ts';

/** Words between backquotes are names. */
export const withNames = (sentence: string): ReactNode[] =>
  sentence.split(/`([^`]+)`/).map((part, index) =>
    index % 2 === 0 ? (
      part
    ) : (
      // biome-ignore lint/suspicious/noArrayIndexKey: the parts of one sentence stay in their order.
      <code key={index} className="font-mono text-[12px]">
        {part}
      </code>
    ),
  );

/** @param children what can be done about it. */
export function ProblemLine({ problem, children }: { problem: Problem; children?: ReactNode }) {
  const go = useGoToProblem();
  const { severity, sentence, place } = problem;
  const where = problemPlaceWords(place);
  return (
    <li className="rounded-sm px-1 py-1 hover:bg-sunk/60">
      <div className="flex items-baseline gap-2">
        <span
          role="img"
          aria-label={severity}
          className={`mt-1.5 size-2 shrink-0 self-start rounded-[1px] ${severityFills[severity]}`}
        />
        <button
          type="button"
          className="flex shrink-0 items-center gap-1 rounded-sm border-b border-dotted border-spruce font-mono text-[12px] text-spruce hover:bg-saffron/25"
          title="Go there"
          onClick={() => go(place)}
        >
          {where}
          <CornerUpRight size={11} aria-hidden />
        </button>
        <span className="min-w-0 flex-1">{withNames(sentence)}</span>
      </div>
      {children}
    </li>
  );
}
