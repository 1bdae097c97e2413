/** What went wrong while the application ran, the newest first, and what is wrong with the project itself. */
import { ChevronDown, ChevronRight, X } from 'lucide-react';
import { useState } from 'react';
import { useHeld } from '../editor/held.ts';
import { useGoTo } from '../parts/useGoTo.ts';
import { withNames } from '../problems/ProblemLine.tsx';
import { useProblems } from '../problems/useProblems.ts';

/** Something that went wrong, and how often. */
export interface RunProblem {
  readonly text: string;
  readonly times: number;
}

/** Most that are kept. */
const most = 50;

/** The problems with one more: what happens again counts, and stands in front. */
export function withProblem(problems: readonly RunProblem[], text: string): readonly RunProblem[] {
  const before = problems.find((each) => each.text === text);
  const others = problems.filter((each) => each !== before);
  return [{ text, times: (before?.times ?? 0) + 1 }, ...others].slice(0, most);
}

const Words = ({ problem: { text, times } }: { problem: RunProblem }) => (
  <>
    {withNames(text)}
    {times > 1 ? ` (${times} times)` : ''}
  </>
);

export function ProblemStrip({
  problems,
  onClear,
}: {
  problems: readonly RunProblem[];
  onClear: () => void;
}) {
  const [isOpen, setOpen] = useState(false);
  const [first, ...others] = problems;
  return (
    <>
      <ProjectErrors />
      {first && (
        <div role="alert" className="border-b border-rule bg-sheet px-4 py-1.5 text-brick">
          <div className="flex items-center gap-2">
            <p className="min-w-0 flex-1">
              <Words problem={first} />
            </p>
            {others.length > 0 && (
              <button
                type="button"
                className="btn-bare !h-6 text-quiet"
                aria-expanded={isOpen}
                onClick={() => setOpen(!isOpen)}
              >
                {isOpen ? <ChevronDown size={13} aria-hidden /> : <ChevronRight size={13} aria-hidden />} and{' '}
                {others.length} more
              </button>
            )}
            <button
              type="button"
              className="btn-bare !h-6 text-quiet"
              aria-label="Put the problems away"
              onClick={onClear}
            >
              <X size={13} />
            </button>
          </div>
          {isOpen && (
            <ul className="max-h-28 overflow-y-auto">
              {others.map((problem) => (
                <li key={problem.text}>
                  <Words problem={problem} />
                </li>
              ))}
            </ul>
          )}
        </div>
      )}
    </>
  );
}

/** Errors of the project: what runs here has them. */
function ProjectErrors() {
  const errors = useProblems()?.filter(({ severity }) => severity === 'error') ?? [];
  const [, setDrawer] = useHeld<string | undefined>('drawer', undefined);
  const goTo = useGoTo();
  if (errors.length === 0) return null;
  return (
    <p className="flex items-center gap-3 border-b border-rule bg-sheet px-4 py-1.5">
      <span className="text-brick">
        {errors.length === 1 ? 'The project has an error' : `The project has ${errors.length} errors`}; what
        runs here does without what is wrong.
      </span>
      <button
        type="button"
        className="btn !h-6 text-[12px]"
        onClick={() => {
          setDrawer('problems');
          goTo('');
        }}
      >
        Show {errors.length === 1 ? 'it' : 'them'} in Build
      </button>
    </p>
  );
}
