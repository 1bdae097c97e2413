/** A service from its OpenAPI description: chosen from a file, pasted, or that of the service that ships. */
import {
  idleAnswer,
  messageOf,
  type OpenApiReading,
  putting,
  readOpenApi,
  sourceNameProblem,
  stateNameProblem,
} from '@hovrin/core';
import { useEffect, useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { Dialog } from '../../parts/Dialog.tsx';
import { FormEnd } from '../../parts/FormEnd.tsx';
import { PastedText } from '../../parts/PastedText.tsx';
import { officeBase, officeDescription } from './standInServices.ts';

/** Longest description, in UTF-16 units. */
const longest = 5_000_000;

/** What a description says: JSON, or YAML, which holds JSON. */
async function parsed(text: string): Promise<unknown> {
  if (text.length > longest) throw new Error('This is longer than 5 MB.');
  if (/^\s*\{/.test(text)) return JSON.parse(text);
  const { parse } = await import('yaml');
  return parse(text, { maxAliasCount: 100 });
}

/** What a description says, as it is typed; or why it cannot be read. */
function useReading(text: string): { readonly read?: OpenApiReading; readonly problem?: string } {
  const { project } = useEditorState('project');
  const [found, setFound] = useState<{ read?: OpenApiReading; problem?: string }>({});
  useEffect(() => {
    setFound({});
    if (text.trim() === '') return;
    let isOld = false;
    const isTaken = (name: string) =>
      sourceNameProblem(project, name) !== undefined || stateNameProblem(project, name) !== undefined;
    parsed(text)
      .then((api) => isOld || setFound({ read: readOpenApi(api, isTaken) }))
      .catch((error: unknown) => isOld || setFound({ problem: messageOf(error) }));
    return () => {
      isOld = true;
    };
  }, [text, project]);
  return found;
}

export function OpenApiDialog({ onClose }: { readonly onClose: () => void }) {
  const { editor } = useWorkplace();
  const [text, setText] = useState('');
  const { read, problem } = useReading(text);
  /** Operations that are left out. */
  const [without, setWithout] = useState<ReadonlySet<string>>(new Set());
  const requests = (read?.requests ?? []).filter(({ name }) => !without.has(name));
  const take = () => {
    if (!read) return;
    const initial = { ...idleAnswer };
    editor.dispatch({
      label: `Bring in ${read.source.name}`,
      steps: [
        putting('sources', read.source),
        ...requests.map(({ name, request }) => putting('state', { name, type: 'record', initial, request })),
      ],
    });
    onClose();
  };
  const takeOffice = async () => {
    try {
      const answer = await fetch(officeDescription);
      const api = await answer.json();
      setText(JSON.stringify({ ...api, servers: [{ url: officeBase }] }, null, 2));
    } catch (error) {
      editor.tell(messageOf(error));
    }
  };
  return (
    <Dialog title="Service from OpenAPI" onClose={onClose} width={720}>
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          take();
        }}
      >
        <p className="text-quiet">
          Paste what a service says of itself (OpenAPI 3.0 or 3.1, JSON or YAML), or choose its file. Each
          operation becomes a request, with the shape of its answer.
        </p>
        <PastedText
          label="Description of the service"
          fileLabel="File of the description"
          accept=".json,.yaml,.yml"
          longest={longest + 1}
          placeholder={'openapi: 3.1.0\ninfo:\n  title: Valley office'}
          text={text}
          isWrong={problem !== undefined}
          onText={setText}
        >
          <button type="button" className="btn" onClick={() => void takeOffice()}>
            Take the simulated office
          </button>
        </PastedText>
        {read && <Operations read={read} without={without} onWithout={setWithout} />}
        <FormEnd
          problem={
            problem ??
            (requests.length > 0
              ? undefined
              : read
                ? 'Nothing of it is chosen.'
                : 'There is no description yet.')
          }
          action={
            read
              ? `Bring in ${requests.length} ${requests.length === 1 ? 'request' : 'requests'}`
              : 'Bring in'
          }
          onClose={onClose}
        />
      </form>
    </Dialog>
  );
}

function Operations({
  read,
  without,
  onWithout,
}: {
  read: OpenApiReading;
  without: ReadonlySet<string>;
  onWithout: (without: ReadonlySet<string>) => void;
}) {
  const { title, source, requests, leftOut } = read;
  return (
    <div className="flex flex-col gap-2">
      <p>
        <span className="font-medium">{title}</span> <span className="text-quiet">at</span>{' '}
        <code className="font-mono text-[12px]">{source.base}</code>
      </p>
      <ul className="max-h-56 divide-y divide-rule overflow-auto rounded-md border border-rule">
        {requests.map(({ name, request, summary }) => (
          <li key={name}>
            <label className="flex items-baseline gap-2 px-2 py-1">
              <input
                type="checkbox"
                className="accent-spruce"
                checked={!without.has(name)}
                onChange={({ target }) => {
                  const next = new Set(without);
                  if (target.checked) next.delete(name);
                  else next.add(name);
                  onWithout(next);
                }}
              />
              <span className="font-mono text-[12px]">{name}</span>
              <span className="font-mono text-[12px] text-quiet">
                {request.method} {request.path}
              </span>
              <span className="truncate text-quiet">{summary}</span>
            </label>
          </li>
        ))}
      </ul>
      {leftOut.map((said) => (
        <p key={said} className="text-[12px] text-copper">
          Left out: {said.replaceAll('`', '')}
        </p>
      ))}
    </div>
  );
}
