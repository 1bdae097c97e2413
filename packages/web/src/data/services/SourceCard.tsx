/** One service: its address, who asks, how long it may take, and the requests that go to it. */
import {
  answerSeconds,
  changing,
  type DataSource,
  isBase,
  mostRetries,
  type Request,
  type StateVariable,
  sourceNameProblem,
} from '@hovrin/core';
import { Plus, Trash2 } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { TypedField } from '../../parts/TypedField.tsx';
import { AuthFields } from './AuthFields.tsx';
import { Labelled } from './Labelled.tsx';
import { RequestDialog } from './RequestDialog.tsx';
import { RequestLine } from './RequestLine.tsx';
import { officeBase } from './standInServices.ts';

/** A variable that is a request. */
export type RequestVariable = StateVariable & { readonly request: Request };

const requestsOf = (state: readonly StateVariable[], source: string): readonly RequestVariable[] =>
  state.filter((each): each is RequestVariable => each.request?.source === source);

/** What of a source is to be another; undefined takes a part away. */
export type SourceChange = { readonly [Part in keyof DataSource]?: DataSource[Part] | undefined };

interface SourceCardProps {
  readonly source: DataSource;
  readonly onRemove: () => void;
}

export function SourceCard({ source, onRemove }: SourceCardProps) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const [adding, setAdding] = useState(false);
  const card = useWantedSource(source.name);
  const { name } = source;
  const requests = requestsOf(project.state, name);
  const change = (label: string, changed: SourceChange) => {
    const now = Object.fromEntries(
      Object.entries({ ...source, ...changed }).filter(([, said]) => said !== undefined),
    ) as unknown as DataSource;
    editor.dispatch({ label: `${label} of ${name}`, steps: changing('sources', source, now) });
  };
  return (
    <article
      ref={card}
      tabIndex={-1}
      aria-label={`Service ${name}`}
      className="rounded-md border border-rule bg-sheet"
    >
      <div className="flex flex-col gap-2 p-3">
        <div className="flex items-start gap-2">
          <span className="flex w-44 shrink-0">
            <TypedField
              label={`Name of service ${name}`}
              kept={name}
              problemOf={(text) => (text === name ? undefined : sourceNameProblem(project, text))}
              onText={(text) =>
                editor.dispatch({
                  label: `Rename ${name} to ${text}`,
                  steps: [{ type: 'rename', of: 'sources', key: name, to: text }],
                })
              }
            />
          </span>
          <TypedField
            label={`Address of service ${name}`}
            kept={source.base}
            problemOf={baseProblem}
            onText={(base) => change('Address', { base })}
          />
          <button
            type="button"
            className="btn-bare text-quiet hover:text-brick"
            aria-label={`Delete service ${name}`}
            onClick={onRemove}
          >
            <Trash2 size={15} />
          </button>
        </div>
        <div className="grid grid-cols-2 items-start gap-x-6 gap-y-1.5">
          <InTry source={source} onChange={change} />
          <NumberField
            words="Answers within, s"
            label={`Seconds that ${name} may take`}
            value={source.timeout}
            usual={answerSeconds.usual}
            range={[answerSeconds.least, answerSeconds.most]}
            onNumber={(timeout) => change('Time', { timeout })}
          />
          <AuthFields source={source} onChange={change} />
          <NumberField
            words="Asked again, times"
            label={`How often ${name} is asked again`}
            hint="Where it does not answer, or cannot now; only requests that do no harm when they are sent twice"
            value={source.retry}
            usual={0}
            range={[0, mostRetries]}
            onNumber={(retry) => change('Retries', { retry })}
          />
        </div>
      </div>
      <ul className="divide-y divide-rule border-t border-rule" aria-label={`Requests of ${name}`}>
        {requests.map((variable) => (
          <RequestLine key={variable.name} source={source} variable={variable} />
        ))}
        <li className="flex items-center gap-3 p-2">
          <button type="button" className="btn" onClick={() => setAdding(true)}>
            <Plus size={14} aria-hidden /> Add a request
          </button>
          {requests.length === 0 && <span className="text-quiet">Nothing is asked of {name} yet.</span>}
        </li>
      </ul>
      {adding && <RequestDialog source={source} onClose={() => setAdding(false)} />}
    </article>
  );
}

const baseProblem = (text: string): string | undefined =>
  isBase(text)
    ? undefined
    : 'An address begins with http:// or https:// and a host, or is a path on the page’s server, such as api/.';

/** The source that the address asks for comes into sight, and has the focus. */
function useWantedSource(name: string) {
  const [query] = useSearchParams();
  const card = useRef<HTMLElement>(null);
  const isWanted = query.get('source') === name;
  useEffect(() => {
    if (!isWanted) return;
    card.current?.scrollIntoView({ block: 'center' });
    card.current?.focus({ preventScroll: true });
  }, [isWanted]);
  return card;
}

/** Whom the page asks while it is tried. */
function InTry({
  source,
  onChange,
}: {
  source: DataSource;
  onChange: (label: string, changed: SourceChange) => void;
}) {
  const { name, standIn } = source;
  const chosen = standIn === undefined ? 'same' : standIn === officeBase ? 'office' : 'other';
  return (
    <div className="flex flex-col gap-1">
      <Labelled words="In Try it asks">
        <select
          className="field flex-1"
          aria-label={`Whom ${name} asks in Try`}
          value={chosen}
          onChange={({ target }) =>
            onChange('Stand-in', {
              standIn:
                target.value === 'same' ? undefined : target.value === 'office' ? officeBase : source.base,
            })
          }
        >
          <option value="same">the same address</option>
          <option value="office">the valley’s office, simulated</option>
          <option value="other">another address</option>
        </select>
      </Labelled>
      {chosen === 'other' && (
        <TypedField
          label={`Address of ${name} in Try`}
          kept={standIn ?? ''}
          problemOf={baseProblem}
          onText={(text) => onChange('Stand-in', { standIn: text })}
        />
      )}
    </div>
  );
}

function NumberField({
  words,
  label,
  hint,
  value,
  usual,
  range: [least, most],
  onNumber,
}: {
  words: string;
  label: string;
  hint?: string;
  value: number | undefined;
  usual: number;
  range: readonly [number, number];
  onNumber: (value: number | undefined) => void;
}) {
  return (
    <Labelled words={words} hint={hint}>
      <TypedField
        label={label}
        kept={value === undefined ? '' : String(value)}
        placeholder={String(usual)}
        problemOf={(text) => {
          const number = Number(text);
          return text === '' || (number >= least && number <= most) ? undefined : `${least} to ${most}.`;
        }}
        onText={(text) => onNumber(text === '' ? undefined : Number(text))}
      />
    </Labelled>
  );
}
