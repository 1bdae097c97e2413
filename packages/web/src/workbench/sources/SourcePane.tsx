/** The screen as text: what is typed changes the bench as soon as it can be read, and the other way round. */
import type { Control, SourceProblem } from '@hovrin/core';
import { useEffect, useRef, useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { SourceEditor, type SourceStanding } from './SourceEditor.ts';

/** Where the first problem is and what, and how many more there are. */
function problemWords([first, ...more]: readonly SourceProblem[]): string {
  const words = first ? `Line ${first.line}: ${first.message.replaceAll('`', '').replace(/\.$/, '')}` : '';
  return more.length === 0 ? words : `${words}, and ${more.length} more`;
}

export function SourcePane({ screen }: { screen: Control }) {
  const { editor } = useWorkplace();
  const { project, selection } = useEditorState('project', 'selection');
  const place = useRef<HTMLDivElement>(null);
  const source = useRef<SourceEditor>(undefined);
  const [{ trouble, aside, misfits }, setStanding] = useState<SourceStanding>({
    trouble: undefined,
    aside: false,
    misfits: 0,
  });
  useEffect(() => {
    if (!place.current) return undefined;
    const made = new SourceEditor(place.current, editor, screen.id, setStanding);
    source.current = made;
    made.follow();
    return () => made.close();
  }, [editor, screen.id]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the text follows whenever one of them is another.
  useEffect(() => source.current?.follow(), [project, selection]);
  return (
    <div className="flex h-full flex-col">
      <div className="flex h-7 shrink-0 items-center gap-3 px-3 text-[12px]">
        <span className="text-quiet">{`${screen.name}.${screen.kind}.xml`}</span>
        {trouble && (
          <span role="status" className="flex min-w-0 items-baseline gap-2 text-brick">
            <button
              type="button"
              className="min-w-0 truncate underline underline-offset-2"
              title="Go to the next problem (F8)"
              onClick={() => source.current?.toProblem()}
            >
              {problemWords(trouble.problems)}
            </button>
            <span className="shrink-0">
              the bench shows the last good state, of {trouble.since.toLocaleTimeString()}
            </span>
          </span>
        )}
        {!trouble && misfits > 0 && (
          <button
            type="button"
            className="min-w-0 truncate text-copper underline underline-offset-2"
            title="Go to the next one (F8)"
            onClick={() => source.current?.toProblem()}
          >
            {misfits === 1
              ? 'A value does not fit where it goes'
              : `${misfits} values do not fit where they go`}
          </button>
        )}
        {!trouble && aside && (
          <PutAside
            onBringBack={() => source.current?.bringBack()}
            onDrop={() => source.current?.dropAside()}
          />
        )}
        <button
          type="button"
          className="btn-bare ml-auto !h-6 text-[12px]"
          disabled={trouble !== undefined}
          title="Put the text into its canonical form"
          onClick={() => source.current?.tidy()}
        >
          Tidy
        </button>
      </div>
      <div ref={place} className="source min-h-0 flex-1 overflow-hidden border-t border-rule" />
    </div>
  );
}

function PutAside({ onBringBack, onDrop }: { onBringBack: () => void; onDrop: () => void }) {
  return (
    <span role="status" className="flex min-w-0 items-center gap-1 text-quiet">
      <span className="truncate">A text that could not be read was put aside when the screen changed.</span>
      <button type="button" className="btn-bare !h-6 shrink-0 text-[12px]" onClick={onBringBack}>
        Bring it back
      </button>
      <button type="button" className="btn-bare !h-6 shrink-0 text-[12px]" onClick={onDrop}>
        Drop it
      </button>
    </span>
  );
}
