/** A request: what is asked, what it is given, what is done with the answer; and asking it once to see what comes. */
import {
  changing,
  type DataSource,
  freshName,
  idleAnswer,
  methods,
  pathNames,
  putting,
  type Request,
  requestProblem,
  type StateVariable,
  shapeAt,
  shapeWords,
  stateNameProblem,
} from '@hovrin/core';
import { useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { Dialog } from '../../parts/Dialog.tsx';
import { FormEnd } from '../../parts/FormEnd.tsx';
import { AskNow } from './AskNow.tsx';
import { Labelled } from './Labelled.tsx';
import { PagesFields } from './PagesFields.tsx';
import { ParametersField } from './ParametersField.tsx';
import type { RequestVariable } from './SourceCard.tsx';

interface RequestDialogProps {
  readonly source: DataSource;
  /** Absent: a new one is made. */
  readonly variable?: RequestVariable;
  readonly onClose: () => void;
}

/** What of a request is to be another; undefined takes a part away. */
export type RequestChange = { readonly [Part in keyof Request]?: Request[Part] | undefined };

const withoutNothing = (request: { readonly [Part in keyof Request]: Request[Part] | undefined }): Request =>
  Object.fromEntries(
    Object.entries(request).filter(
      ([, said]) => said !== undefined && !(Array.isArray(said) && said.length === 0),
    ),
  ) as unknown as Request;

/** A name in braces in the path is a parameter as soon as it is written, and goes with it. */
function withPath(request: Request, path: string): Request {
  const names = pathNames(path).filter((name) => /^[A-Za-z_$][\w$]*$/.test(name));
  const kept = (request.parameters ?? []).filter(
    ({ name, in: place }) => place !== 'path' || names.includes(name),
  );
  const added = names
    .filter((name) => !kept.some((each) => each.name === name))
    .map((name) => ({ name, in: 'path', type: 'text', required: true }) as const);
  return withoutNothing({ ...request, path, parameters: [...kept, ...added] });
}

export function RequestDialog({ source, variable, onClose }: RequestDialogProps) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const [name, setName] = useState(
    () => variable?.name ?? freshName('request', (each) => stateNameProblem(project, each) !== undefined),
  );
  const [request, setRequest] = useState<Request>(
    () => variable?.request ?? { source: source.name, method: 'GET', path: '' },
  );
  const [sample, setSample] = useState<StateVariable['initial']>(
    () => variable?.initial ?? { ...idleAnswer, state: 'done', status: 200 },
  );
  const set = (changed: RequestChange) => setRequest(withoutNothing({ ...request, ...changed }));
  const nameWrong = name === variable?.name ? undefined : stateNameProblem(project, name);
  const requestWrong = requestProblem(request);
  const wrong = nameWrong ?? (requestWrong && `In this request, ${requestWrong}`);
  const save = () => {
    if (wrong) return;
    const now: StateVariable = {
      ...(variable ?? { type: 'record' }),
      name,
      type: 'record',
      request,
      initial: sample,
    };
    editor.dispatch({
      label: variable ? `Change ${variable.name}` : `Add ${name}`,
      steps: variable
        ? [
            ...changing('state', variable, { ...now, name: variable.name }),
            ...(name === variable.name
              ? []
              : [{ type: 'rename', of: 'state', key: variable.name, to: name } as const]),
          ]
        : [putting('state', now)],
    });
    onClose();
  };
  return (
    <Dialog title={variable ? `Request ${variable.name}` : 'New request'} onClose={onClose} width={860}>
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        <Head {...{ source, name, request, nameWrong }} onName={setName} onRequest={setRequest} />
        <ParametersField
          parameters={request.parameters ?? []}
          hasBody={request.method !== 'GET'}
          onChange={(parameters) => set({ parameters })}
        />
        <Answer request={request} onChange={set} />
        <AskNow
          source={source}
          request={request}
          onSample={(answer, shape) => {
            setSample(answer as unknown as StateVariable['initial']);
            set({ shape });
          }}
        />
        <FormEnd problem={wrong} action={variable ? 'Save' : 'Add it'} onClose={onClose} />
      </form>
    </Dialog>
  );
}

interface HeadProps {
  readonly source: DataSource;
  readonly name: string;
  readonly nameWrong: string | undefined;
  readonly request: Request;
  readonly onName: (name: string) => void;
  readonly onRequest: (request: Request) => void;
}

/** What it is called, and what it asks. */
function Head({ source, name, nameWrong, request, onName, onRequest }: HeadProps) {
  return (
    <div className="flex flex-col gap-2">
      <div className="flex items-center gap-2">
        <span className="w-28 shrink-0 text-quiet">Name</span>
        <input
          className="field !w-60 font-mono"
          aria-label="Name of the request"
          aria-invalid={nameWrong !== undefined}
          spellCheck={false}
          value={name}
          onChange={({ target }) => onName(target.value)}
        />
        <span className="text-quiet">
          read as <code className="font-mono text-[12px]">{name}.result</code>
        </span>
      </div>
      <div className="flex items-center gap-2">
        <span className="w-28 shrink-0 text-quiet">Asks</span>
        <select
          className="field !w-28 font-mono"
          aria-label="Method"
          value={request.method}
          onChange={({ target }) =>
            onRequest({ ...request, method: methods.find((each) => each === target.value) ?? 'GET' })
          }
        >
          {methods.map((method) => (
            <option key={method}>{method}</option>
          ))}
        </select>
        <span className="max-w-60 truncate font-mono text-[12px] text-quiet" title={source.base}>
          {source.base.split('?')[0]?.replace(/\/?$/, '/')}
        </span>
        <input
          className="field flex-1 font-mono"
          aria-label="Path"
          placeholder="bookings/{id}"
          spellCheck={false}
          value={request.path}
          onChange={({ target }) => onRequest(withPath(request, target.value))}
        />
      </div>
    </div>
  );
}

/** What is done with the answer, and when it is asked for. */
function Answer({ request, onChange }: { request: Request; onChange: (changed: RequestChange) => void }) {
  const { at, every, secret, shape, method } = request;
  return (
    <section aria-labelledby="answer" className="flex flex-col gap-2">
      <h3 id="answer" className="font-semibold">
        Answer
      </h3>
      <div className="grid grid-cols-2 gap-x-6 gap-y-2">
        <Labelled
          words="Result lies at"
          hint="A place in the answer, such as items; empty: all of it is the result"
        >
          <input
            className="field flex-1 font-mono"
            placeholder="all of it"
            spellCheck={false}
            value={at ?? ''}
            onChange={({ target }) => onChange({ at: target.value.trim() || undefined })}
          />
        </Labelled>
        <AskedField every={every} onChange={onChange} />
        <SecretField secret={secret} onChange={onChange} />
        {method === 'GET' && <PagesFields pages={request.pages} onChange={(pages) => onChange({ pages })} />}
      </div>
      <p className="text-quiet">
        {shape ? (
          <>
            The result is {shapeWords(shapeAt(shape, at) ?? {})}. An answer of another shape fails.{' '}
            <button
              type="button"
              className="text-lake underline"
              onClick={() => onChange({ shape: undefined })}
            >
              Take anything
            </button>
          </>
        ) : (
          'Any answer is taken. Ask it below and keep what comes, so that its columns are known.'
        )}
      </p>
    </section>
  );
}

interface AnswerPartProps {
  readonly onChange: (changed: RequestChange) => void;
}

/** When it is asked for. */
function AskedField({ every, onChange }: AnswerPartProps & { readonly every: number | undefined }) {
  return (
    <Labelled words="Is asked">
      <select
        className="field flex-1"
        value={every === undefined ? 'event' : every === 0 ? 'start' : 'again'}
        onChange={({ target }) =>
          onChange({ every: target.value === 'event' ? undefined : target.value === 'start' ? 0 : 10 })
        }
      >
        <option value="event">when an event asks</option>
        <option value="start">as the page opens, and when what it follows changes</option>
        <option value="again">again and again</option>
      </select>
      {every !== undefined && every > 0 && (
        <input
          className="field !w-20"
          type="number"
          min={0.2}
          max={3600}
          step="any"
          aria-label="Seconds from one time to the next"
          value={every}
          onChange={({ target }) => onChange({ every: Number(target.value) || 10 })}
        />
      )}
    </Labelled>
  );
}

/** The secret that its answer brings. */
function SecretField({ secret, onChange }: AnswerPartProps & { readonly secret: Request['secret'] }) {
  return (
    <Labelled
      words="Brings a secret"
      hint="A token that it answers with, by a name: the service is asked with it from then on, and no expression can read it"
    >
      <input
        className="field flex-1 font-mono"
        aria-label="Name of the secret that it brings"
        placeholder="none"
        spellCheck={false}
        value={secret?.name ?? ''}
        onChange={({ target }) =>
          onChange({
            secret: target.value.trim()
              ? { name: target.value.trim(), at: secret?.at ?? 'token' }
              : undefined,
          })
        }
      />
      {secret && (
        <input
          className="field !w-28 font-mono"
          aria-label="Where the secret lies"
          value={secret.at}
          spellCheck={false}
          onChange={({ target }) => onChange({ secret: { ...secret, at: target.value.trim() } })}
        />
      )}
    </Labelled>
  );
}
