/** What differs between an earlier version and now: in words, at which widths, in pictures; and the ways back. */
import type { Comparison, EntityChange, Project, Step, TreeComparison } from '@hovrin/core';
import { Undo2 } from 'lucide-react';
import { useWorkplace } from '../editor/context.tsx';
import { withNames } from '../problems/ProblemLine.tsx';
import { TreeSection } from './TreeSection.tsx';
import { entityBack, projectBack, treeBack } from './takeBack.ts';
import { type Compared, useComparison } from './useComparison.ts';
import type { Version } from './VersionsPlace.tsx';

const howWords = { added: 'new', removed: 'gone', changed: 'changed' } as const;

/** Steps that make everything what it was. */
function everythingBack(now: Project, before: Project, { trees, entities }: Comparison): Step[] {
  // What others are made with comes first, and goes last.
  const [gone, here] = [
    entities.filter(({ how }) => how === 'added'),
    entities.filter(({ how }) => how !== 'added'),
  ];
  return [
    ...projectBack(now, before),
    ...here.flatMap((change) => entityBack(now, before, change)),
    ...trees.flatMap((tree) => treeBack(now, before, tree)),
    ...gone.flatMap((change) => entityBack(now, before, change)),
  ];
}

interface ComparisonViewProps {
  readonly version: Version;
  /** What it is compared with; undefined: the project as it is now. */
  readonly against: Version | undefined;
  /** What else it can be compared with. */
  readonly others: readonly Version[];
  readonly before: Project;
  readonly after: Project;
  /** @param key of a version; undefined: now. */
  readonly onAgainst: (key: string | undefined) => void;
}

export function ComparisonView(props: ComparisonViewProps) {
  const found = useComparison(props.before, props.after);
  const { comparison, problem } = found;
  if (problem)
    return (
      <p role="alert" className="m-auto p-6 text-brick">
        {problem}
      </p>
    );
  if (!comparison)
    return (
      <p role="status" className="m-auto text-quiet">
        Comparing …
      </p>
    );
  return <Differences {...props} found={{ ...found, comparison }} />;
}

interface DifferencesProps extends ComparisonViewProps {
  readonly found: Compared & { readonly comparison: Comparison };
}

function Differences({ version, against, others, before, after, onAgainst, found }: DifferencesProps) {
  const { editor } = useWorkplace();
  const { comparison, trees, isDone } = found;
  const { entities, project } = comparison;
  const known = new Set(trees.map(({ name, list }) => `${list} ${name}`));
  // Those whose layouts are not known yet are there with what is.
  const waiting = isDone
    ? []
    : comparison.trees.filter(({ name, list, how }) => how !== 'elsewhere' && !known.has(`${list} ${name}`));
  const shown: readonly TreeComparison[] = [...trees, ...waiting];
  const isAlike = shown.length + entities.length + project.length === 0;
  // Only what is there now can be taken back.
  const isNow = against === undefined;
  const takeBack = (what: string, steps: readonly Step[]) => {
    if (steps.length === 0) editor.tell('There is nothing to take back.');
    else if (editor.dispatch({ label: `Take back ${what}`, steps, exact: true }))
      editor.tell(`What differed in ${what} is as it was. Undo brings it back.`);
  };
  return (
    <div className="min-w-0 flex-1 overflow-auto p-5">
      <div className="mx-auto flex max-w-5xl flex-col gap-4">
        <Head
          title={version.words}
          against={against}
          others={others}
          onAgainst={onAgainst}
          says={
            !isAlike
              ? `${shown.length} ${shown.length === 1 ? 'screen or component differs' : 'screens and components differ'}${entities.length > 0 ? `, and ${entities.length} of what they are made with` : ''}${isDone ? '' : '; going through the widths …'}`
              : isDone
                ? 'They are alike.'
                : 'Comparing …'
          }
          onBack={
            isAlike || !isNow
              ? undefined
              : () =>
                  takeBack(
                    project.length + entities.length > 0 ? 'everything' : 'all screens',
                    everythingBack(after, before, comparison),
                  )
          }
        />
        {(project.length > 0 || entities.length > 0) && (
          <section aria-label="Project" className="rounded-md border border-rule bg-sheet p-3 text-[12.5px]">
            {project.map((words) => (
              <p key={words}>Project: {words}</p>
            ))}
            {entities.map((change) => (
              <EntityLine
                key={`${change.of} ${change.key}`}
                change={change}
                onBack={isNow ? () => takeBack(change.key, entityBack(after, before, change)) : undefined}
              />
            ))}
          </section>
        )}
        {shown.map((tree) => (
          <TreeSection
            key={`${tree.list} ${tree.name}`}
            tree={tree}
            before={before}
            now={after}
            onBack={isNow ? takeBack : undefined}
          />
        ))}
      </div>
    </div>
  );
}

interface HeadProps extends Pick<ComparisonViewProps, 'against' | 'others' | 'onAgainst'> {
  readonly title: string;
  /** How much differs. */
  readonly says: string;
  /** Takes everything back; undefined: nothing differs. */
  readonly onBack: (() => void) | undefined;
}

function Head({ title, says, onBack, against, others, onAgainst }: HeadProps) {
  return (
    <header className="flex items-end justify-between gap-4">
      <div>
        <h2 className="flex items-center gap-2 text-[15px] font-semibold">
          {title}, against
          <select
            className="field !h-7 !w-auto font-normal"
            aria-label="Against"
            value={against?.key ?? ''}
            onChange={({ target }) => onAgainst(target.value || undefined)}
          >
            <option value="">now</option>
            {others.map(({ key, words }) => (
              <option key={key} value={key}>
                {words}
              </option>
            ))}
          </select>
        </h2>
        <p role="status" className="text-quiet">
          {says}
        </p>
      </div>
      {onBack && (
        <button type="button" className="btn" onClick={onBack}>
          <Undo2 size={14} aria-hidden /> Take everything back
        </button>
      )}
    </header>
  );
}

function EntityLine({ change, onBack }: { change: EntityChange; onBack: (() => void) | undefined }) {
  const { word, key, how, words } = change;
  return (
    <div className="flex items-start gap-2 py-0.5">
      <p className="min-w-0 flex-1">
        {word} <code className="font-mono text-[12px]">{key}</code>: {howWords[how]}
        {words.length > 0 && <span className="text-quiet"> — {withNames(words.join('; '))}</span>}
      </p>
      {onBack && (
        <button type="button" className="btn-bare !h-6 text-quiet" onClick={onBack}>
          <Undo2 size={13} aria-hidden /> Take back
        </button>
      )}
    </div>
  );
}
