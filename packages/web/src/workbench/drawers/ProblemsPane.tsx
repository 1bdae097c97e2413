/** All that is wrong with the project, whatever its size, with ways there and what would mend it. */
import {
  ignoredOf,
  ignoreStep,
  locate,
  type Problem,
  problemKinds,
  problemPlaceWords,
  type Severity,
  treesOf,
} from '@hovrin/core';
import { useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { ProblemLine } from '../../problems/ProblemLine.tsx';
import { useProblems } from '../../problems/useProblems.ts';
import { FixButton } from './FindingRow.tsx';
import { IgnoreButton, IgnoreForm } from './IgnoreForm.tsx';
import { ControlWord } from './Sentence.tsx';
import { SeverityFilter } from './SeverityFilter.tsx';

const titles = new Map(problemKinds.map(({ name, title }) => [name, title]));

export function ProblemsPane() {
  const problems = useProblems();
  const { screenId } = useEditorState('screenId');
  const [hidden, setHidden] = useState<ReadonlySet<Severity>>(new Set());
  const [onlyHere, setOnlyHere] = useState(false);
  const all = problems ?? [];
  const isHere = ({ place }: Problem) => place.in === 'control' && place.tree.id === screenId;
  const shown = all.filter((problem) => !hidden.has(problem.severity) && (!onlyHere || isHere(problem)));
  const groups = problemKinds.flatMap(({ name, title }) => {
    const found = shown.filter(({ kind }) => kind === name);
    return found.length > 0 ? [{ name, title, found }] : [];
  });
  return (
    <div className="grid h-full grid-cols-[150px_minmax(0,1fr)]">
      <div className="flex flex-col gap-1 border-r border-rule p-2">
        <SeverityFilter all={all} hidden={hidden} onHidden={setHidden} />
        <label className="flex items-center gap-2 px-1 py-0.5">
          <input
            type="checkbox"
            className="accent-spruce"
            checked={onlyHere}
            onChange={(event) => setOnlyHere(event.target.checked)}
          />
          This screen only
        </label>
        <p className="mt-auto px-1 text-[12px] text-quiet">
          The whole project, whatever the width. What is wrong at some width is in Checks.
        </p>
      </div>
      <div className="overflow-y-auto p-2">
        {shown.length === 0 && (
          <p className="p-2 text-quiet" role="status">
            {problems === undefined
              ? 'The project is being looked through.'
              : all.length > 0
                ? 'Nothing of what is chosen on the left.'
                : 'Nothing is wrong: names, types, ways, labels and feeds are as they should be.'}
          </p>
        )}
        {groups.map(({ name, title, found }) => (
          <section key={name} aria-label={title} className="mb-2">
            <h3 className="px-1 font-semibold">
              {title} <span className="font-normal text-quiet">{found.length}</span>
            </h3>
            <ul>
              {found.map((problem) => (
                <ProblemRow
                  key={`${problemPlaceWords(problem.place)} ${problem.sentence}`}
                  problem={problem}
                />
              ))}
            </ul>
          </section>
        ))}
        <IgnoredProblems />
      </div>
    </div>
  );
}

function ProblemRow({ problem }: { problem: Problem }) {
  const [asking, setAsking] = useState(false);
  const { place, fixes, kind } = problem;
  return (
    <ProblemLine problem={problem}>
      <div className="flex flex-wrap items-center gap-1 pl-4">
        {fixes.map((fix) => (
          <FixButton key={fix.label} fix={fix} />
        ))}
        {place.in === 'control' && kind !== 'invalid' && <IgnoreButton asking={asking} onAsk={setAsking} />}
        {asking && place.in === 'control' && (
          <IgnoreForm
            control={place.control.id}
            check={kind}
            title={problem.title}
            onDone={() => setAsking(false)}
          />
        )}
      </div>
    </ProblemLine>
  );
}

/** What somebody has let stand, with the reasons. */
function IgnoredProblems() {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const ignored = treesOf(project)
    .flatMap((tree) => [...ignoredOf(tree)])
    .flatMap(([key, reason]) => {
      const [id = '', kind = ''] = key.split(' ');
      const control = titles.has(kind) ? locate(project, id)?.control : undefined;
      return control ? [{ key, kind, reason, control }] : [];
    });
  if (ignored.length === 0) return null;
  return (
    <section aria-label="Ignored" className="border-t border-rule pt-1">
      <h3 className="px-1 font-semibold text-quiet">Ignored</h3>
      <ul className="text-quiet">
        {ignored.map(({ key, kind, reason, control }) => (
          <li key={key} className="flex items-baseline gap-2 px-1 py-0.5">
            <ControlWord id={control.id} name={control.name ?? control.kind} /> {titles.get(kind)}: {reason}
            <button
              type="button"
              className="btn !h-6 text-[12px]"
              onClick={() =>
                editor.dispatch({
                  label: `Count “${titles.get(kind)}” again`,
                  steps: [ignoreStep(control, kind, undefined)],
                  exact: true,
                })
              }
            >
              Count it again
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
