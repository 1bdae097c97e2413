/** On somebody's first screen: what to do in the first hour, ticked off as it is done; one press puts it away for good. */
import { Check, X } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useEditorState } from '../../editor/context.tsx';
import { doneSteps, firstSteps } from './firstSteps.ts';

const kept = 'hovrin.firstSteps';
const doneIcon = <Check size={12} strokeWidth={3} aria-hidden />;

export function FirstSteps() {
  const { project } = useEditorState('project');
  const [isAway, setAway] = useState(localStorage.getItem(kept) === 'away');
  const [asked, setAsked] = useState<string>();
  const done = useMemo(() => doneSteps(project), [project]);
  if (isAway || project.screens.length > 1) return null;
  const next = firstSteps.find(({ id }) => !done.has(id));
  const shown = firstSteps.find(({ id }) => id === asked) ?? next;
  return (
    <section aria-label="First steps" className="mr-3 rounded-md border border-rule bg-sheet px-3 py-1.5">
      <div className="flex items-center gap-1">
        <ol className="flex min-w-0 flex-1 flex-wrap items-center gap-x-3 gap-y-0.5">
          {firstSteps.map(({ id, label }) => (
            <li key={id}>
              <button
                type="button"
                aria-label={done.has(id) ? `${label}, done` : label}
                aria-pressed={shown?.id === id}
                className={`flex items-center gap-1.5 rounded-sm px-1 leading-6 ${shown?.id === id ? 'font-medium' : 'text-quiet'}`}
                onClick={() => setAsked(id)}
              >
                <span
                  className={`grid size-4 place-items-center rounded-full border ${done.has(id) ? 'border-spruce bg-spruce text-on-spruce' : 'border-edge'}`}
                >
                  {done.has(id) && doneIcon}
                </span>
                {label}
              </button>
            </li>
          ))}
        </ol>
        <button
          type="button"
          className="btn-bare !h-6 !min-w-6"
          aria-label="Put the first steps away for good"
          title="Put the first steps away for good"
          onClick={() => {
            localStorage.setItem(kept, 'away');
            setAway(true);
          }}
        >
          <X size={14} aria-hidden />
        </button>
      </div>
      <p className="px-1 text-[12px] text-quiet" aria-live="polite">
        {shown?.how ?? 'All of it is done. The list of commands (?) has the rest.'}
      </p>
    </section>
  );
}
