/** Versions: what the project was, what was done, and what differs from one version to another. */
import type { Checkpoint, Project } from '@hovrin/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Flag } from 'lucide-react';
import { useState } from 'react';
import { api } from '../api.ts';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { useHeld } from '../editor/held.ts';
import { useCommandKeys } from '../editor/keys.ts';
import { PlaceHeader } from '../PlaceHeader.tsx';
import { CheckpointDialog } from './CheckpointDialog.tsx';
import { ComparisonView } from './ComparisonView.tsx';
import { Story } from './Story.tsx';

/** A version that can be chosen. */
export interface Version {
  /** Of the checkpoint, or the change before which it was. */
  readonly key: string;
  readonly revision: number;
  readonly words: string;
}

/** A checkpoint as a version to compare with. */
export const namedVersion = ({ id, revision, name }: Checkpoint): Version => ({
  key: id,
  revision,
  words: name,
});

/** The project as it was at a revision; as it is, where that is the newest one. */
function useVersion(version: Version | undefined): {
  project: Project | undefined;
  problem: string | undefined;
} {
  const { editor } = useWorkplace();
  const { projectId } = editor;
  const asked = useQuery({
    queryKey: ['version', projectId, version?.revision],
    queryFn: () => api.projectAt(projectId, version?.revision ?? 0),
    enabled: version !== undefined,
    staleTime: Number.POSITIVE_INFINITY,
  });
  return { project: asked.data?.project, problem: asked.error?.message };
}

export function VersionsPlace() {
  const { editor } = useWorkplace();
  const { projectId } = editor;
  const { project, revision } = useEditorState('project', 'revision');
  useCommandKeys(editor);
  const queries = useQueryClient();
  const key = ['checkpoints', projectId];
  const checkpoints = useQuery({ queryKey: key, queryFn: () => api.checkpoints(projectId) });
  const all = checkpoints.data?.checkpoints ?? [];
  const [chosen, setChosen] = useHeld<Version | undefined>('version', undefined);
  const [naming, setNaming] = useState<Checkpoint | 'new'>();
  const [first] = all;
  const from = chosen ?? (first ? namedVersion(first) : undefined);
  const before = useVersion(from);
  const [againstKey, setAgainst] = useHeld<string | undefined>('against', undefined);
  const otherOne = all.find(({ id }) => id === againstKey);
  const against = otherOne && namedVersion(otherOne);
  const after = useVersion(against);
  const changed = () => void queries.invalidateQueries({ queryKey: key });
  return (
    <>
      <PlaceHeader title="Versions">
        <button type="button" className="btn btn-main" onClick={() => setNaming('new')}>
          <Flag size={14} aria-hidden /> Name this version
        </button>
      </PlaceHeader>
      <main className="flex min-h-0 flex-1">
        <Story
          checkpoints={all}
          problem={checkpoints.error?.message}
          chosen={from?.key}
          onChoose={setChosen}
          onName={setNaming}
          onChanged={changed}
        />
        {from === undefined ? (
          <p className="m-auto max-w-md p-6 text-center text-quiet">
            Give a version a name, or choose a change at the left: what the project was before it is compared
            with what it is now, control by control and at every width.
          </p>
        ) : (before.problem ?? after.problem) ? (
          <p role="alert" className="m-auto p-6 text-brick">
            {before.problem ?? after.problem}
          </p>
        ) : before.project && (against === undefined || after.project) ? (
          <ComparisonView
            version={from}
            against={against}
            others={all.filter(({ id }) => id !== from.key).map(namedVersion)}
            before={before.project}
            after={against === undefined ? project : after.project!}
            onAgainst={setAgainst}
          />
        ) : (
          <p role="status" className="m-auto text-quiet">
            Fetching {from.words} …
          </p>
        )}
      </main>
      {naming && (
        <CheckpointDialog
          checkpoint={naming === 'new' ? undefined : naming}
          revision={revision}
          onClose={() => setNaming(undefined)}
          onDone={changed}
        />
      )}
    </>
  );
}
