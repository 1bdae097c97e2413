/** A screen or component that differs: its controls in words, the widths, pictures of both versions, and ways back. */
import { type Project, type Step, type TreeComparison, widthsWords } from '@hovrin/core';
import { Undo2 } from 'lucide-react';
import { withNames } from '../problems/ProblemLine.tsx';
import { Pictures } from './Pictures.tsx';
import { controlBack, treeBack } from './takeBack.ts';

const howWords = {
  added: 'new',
  removed: 'gone',
  changed: 'changed',
  elsewhere: 'says the same, and is made with something else',
} as const;

/** Most movements that are told. */
const mostMoved = 4;

interface TreeSectionProps {
  readonly tree: TreeComparison;
  readonly before: Project;
  readonly now: Project;
  /** @param what is taken back, by its name. Absent: it is no version of now. */
  readonly onBack: ((what: string, steps: readonly Step[]) => void) | undefined;
}

export function TreeSection({ tree, before, now, onBack }: TreeSectionProps) {
  const { name, how, changes, layout, list } = tree;
  return (
    <section aria-label={name} className="rounded-md border border-rule bg-sheet p-3 text-[12.5px]">
      <header className="mb-1 flex items-baseline gap-2">
        <h3 className="text-[14px] font-semibold">{name}</h3>
        <span className="text-quiet">{howWords[how]}</span>
        <span className="flex-1" />
        {onBack && how !== 'elsewhere' && (
          <button
            type="button"
            className="btn-bare !h-6 text-quiet"
            onClick={() => onBack(name, treeBack(now, before, tree))}
          >
            <Undo2 size={13} aria-hidden /> Take back {list === 'screens' ? 'the screen' : 'the component'}
          </button>
        )}
      </header>
      <ul>
        {changes.map((change) => (
          <li key={`${change.id} ${change.how}`} className="flex items-start gap-2">
            <code className="w-36 shrink-0 truncate font-mono text-[12px]" title={change.control}>
              {change.control}
            </code>
            <p className="min-w-0 flex-1">{withNames(change.words.join('; '))}</p>
            {onBack && (
              <button
                type="button"
                className="btn-bare !h-6 text-quiet"
                aria-label={`Take ${change.control} back`}
                onClick={() => onBack(change.control, controlBack(now, before, tree, change))}
              >
                <Undo2 size={13} aria-hidden />
              </button>
            )}
          </li>
        ))}
      </ul>
      {layout && (
        <p className="mt-1">
          {layout.widths.length === 0 ? (
            'It looks the same at every width.'
          ) : (
            <>
              It differs <span className="font-medium">{widthsWords(layout, 280, 1920)}</span>
              {layout.moved.length > 0 && (
                <span className="text-quiet">
                  ; boxes move:{' '}
                  {layout.moved
                    .slice(0, mostMoved)
                    .map(
                      ({ control, by, at }) => `${control} by ${Number(by.toFixed(1))} at ${Math.round(at)}`,
                    )
                    .join(', ')}
                  {layout.moved.length > mostMoved && ` and ${layout.moved.length - mostMoved} more`}
                </span>
              )}
            </>
          )}
        </p>
      )}
      {list === 'screens' && layout && layout.widths.length > 0 && (
        <Pictures tree={tree} before={before} now={now} />
      )}
    </section>
  );
}
