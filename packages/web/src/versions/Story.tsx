/** The versions that have a name, and all that was done, by hour and window; each is chosen to compare with. */
import { type Checkpoint, messageOf } from '@hovrin/core';
import { useInfiniteQuery } from '@tanstack/react-query';
import { Flag, Pencil, Search, Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { api } from '../api.ts';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { chaptersOf, lineWords } from './story.ts';
import { namedVersion, type Version } from './VersionsPlace.tsx';

interface StoryProps {
  readonly checkpoints: readonly Checkpoint[];
  readonly problem: string | undefined;
  /** The key of the version that is compared with. */
  readonly chosen: string | undefined;
  readonly onChoose: (version: Version) => void;
  readonly onName: (checkpoint: Checkpoint) => void;
  readonly onChanged: () => void;
}

const day = new Intl.DateTimeFormat(undefined, { weekday: 'short', day: 'numeric', month: 'short' });
const clock = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' });
const timeWords = (time: number): string => `${day.format(time)}, ${clock.format(time)}`;

export function Story({ checkpoints, problem, chosen, onChoose, onName, onChanged }: StoryProps) {
  return (
    <aside
      aria-label="What was done"
      className="flex w-[300px] shrink-0 flex-col border-r border-rule bg-sheet text-[12.5px]"
    >
      <section
        aria-label="Named versions"
        className="max-h-[40%] shrink-0 overflow-y-auto border-b border-rule p-2"
      >
        {problem && (
          <p role="alert" className="p-1 text-brick">
            {problem}
          </p>
        )}
        {checkpoints.length === 0 ? (
          <p className="p-1 text-quiet">No version has a name yet.</p>
        ) : (
          <ul>
            {checkpoints.map((checkpoint) => (
              <Named
                key={checkpoint.id}
                checkpoint={checkpoint}
                isChosen={checkpoint.id === chosen}
                onChoose={() => onChoose(namedVersion(checkpoint))}
                onName={() => onName(checkpoint)}
                onChanged={onChanged}
              />
            ))}
          </ul>
        )}
      </section>
      <Changes chosen={chosen} onChoose={onChoose} />
    </aside>
  );
}

interface NamedProps {
  readonly checkpoint: Checkpoint;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
  readonly onName: () => void;
  readonly onChanged: () => void;
}

function Named({ checkpoint, isChosen, onChoose, onName, onChanged }: NamedProps) {
  const { editor } = useWorkplace();
  const { id, name, note, time } = checkpoint;
  const remove = async () => {
    try {
      await api.removeCheckpoint(editor.projectId, id);
      onChanged();
      editor.tell(`${name} has no name any more; what it was can still be chosen below.`);
    } catch (error) {
      editor.tell(messageOf(error));
    }
  };
  return (
    <li className="flex items-start gap-1">
      <button
        type="button"
        aria-pressed={isChosen}
        className="min-w-0 flex-1 rounded-sm px-2 py-1 text-left hover:bg-sunk aria-pressed:bg-saffron/25"
        onClick={onChoose}
      >
        <span className="flex items-center gap-1.5 font-medium">
          <Flag size={12} aria-hidden className="shrink-0 text-spruce" />
          <span className="truncate">{name}</span>
        </span>
        <span className="block text-quiet">{timeWords(time)}</span>
        {note && <span className="block text-quiet">{note}</span>}
      </button>
      <button type="button" className="btn-bare !h-6" aria-label={`Rename ${name}`} onClick={onName}>
        <Pencil size={13} />
      </button>
      <button
        type="button"
        className="btn-bare !h-6 hover:text-brick"
        aria-label={`Take the name of ${name} away`}
        title="Takes the name away; the version stays"
        onClick={() => void remove()}
      >
        <Trash2 size={13} />
      </button>
    </li>
  );
}

/** Everything that was done, the newest first. */
function Changes({ chosen, onChoose }: Pick<StoryProps, 'chosen' | 'onChoose'>) {
  const { editor } = useWorkplace();
  const { projectId } = editor;
  const { revision } = useEditorState('revision');
  const [wanted, setWanted] = useState('');
  const log = useInfiniteQuery({
    queryKey: ['log', projectId, revision],
    queryFn: ({ pageParam }) => api.log(projectId, pageParam),
    initialPageParam: revision,
    // Revisions have no gaps: the first one is 1.
    getNextPageParam: ({ changes: page }) => {
      const oldest = page.at(-1)?.revision ?? 1;
      return oldest > 1 ? oldest - 1 : undefined;
    },
    placeholderData: (before) => before,
  });
  const changes = useMemo(() => log.data?.pages.flatMap((page) => page.changes), [log.data]);
  const chapters = useMemo(() => chaptersOf(changes ?? [], wanted), [changes, wanted]);
  return (
    <section aria-label="Changes" className="flex min-h-0 flex-1 flex-col">
      <label className="flex h-9 shrink-0 items-center gap-1.5 border-b border-rule px-3">
        <Search size={13} aria-hidden className="text-quiet" />
        <input
          className="min-w-0 flex-1 bg-transparent outline-none"
          placeholder="Find a control or a change"
          aria-label="Find a control or a change"
          value={wanted}
          onChange={({ target }) => setWanted(target.value)}
        />
      </label>
      <div className="min-h-0 flex-1 overflow-y-auto p-2">
        {chapters.length === 0 && (
          <p role="status" className="p-1 text-quiet">
            {changes === undefined
              ? (log.error?.message ?? 'Reading the log …')
              : wanted === ''
                ? 'Nothing was done yet.'
                : 'No change has that in it.'}
          </p>
        )}
        {chapters.map(({ key, time, clientId, lines }) => (
          <div key={key} className="mb-2">
            <h2 className="px-2 text-[11.5px] text-quiet">
              {timeWords(time)} · {clientId === editor.clientId ? 'here' : 'elsewhere'}
            </h2>
            <ul>
              {lines.map((line) => (
                <li key={line.revision}>
                  <button
                    type="button"
                    aria-pressed={chosen === `before ${line.first}`}
                    title="Compare with what it was before this"
                    className="w-full rounded-sm px-2 py-0.5 text-left hover:bg-sunk aria-pressed:bg-saffron/25"
                    onClick={() =>
                      onChoose({
                        key: `before ${line.first}`,
                        revision: line.first - 1,
                        words: `what it was before “${line.label}”`,
                      })
                    }
                  >
                    {lineWords(line)}
                  </button>
                </li>
              ))}
            </ul>
          </div>
        ))}
        {log.hasNextPage && (
          <button
            type="button"
            className="btn-bare w-full text-quiet"
            disabled={log.isFetchingNextPage}
            onClick={() => void log.fetchNextPage()}
          >
            {log.isFetchingNextPage ? 'Reading …' : 'Earlier changes'}
          </button>
        )}
      </div>
    </section>
  );
}
