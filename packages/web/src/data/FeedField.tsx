/** Where a state variable's values come from while the application runs: a device, a service, how often. */
import {
  addressAtStart,
  emptyValues,
  type Feed,
  feedSeconds,
  fitting,
  isOnPagesServer,
  messageOf,
  type Project,
  type StateVariable,
  standInFolder,
} from '@hovrin/core';
import { type ReactNode, useId, useState } from 'react';
import { useWorkplace } from '../editor/context.tsx';
import { firstOf } from '../standIns.ts';
import { addressProblem, mast, queryOf, standIns, troubles, withQuery } from './feeds.ts';
import { StatusField } from './StatusField.tsx';

interface FeedFieldProps {
  readonly project: Project;
  readonly variable: StateVariable & { readonly feed: Feed };
  readonly onChange: (variable: StateVariable, label: string, group?: string) => void;
}

/** What changes in a feed; undefined takes a part away. */
type FeedChange = { readonly [Part in keyof Feed]?: Feed[Part] | undefined };

/** A part of the feed, and how it is changed; changes of one group are undone together. */
interface FeedPartProps {
  readonly name: string;
  readonly feed: Feed;
  readonly onFeed: (changed: FeedChange, group?: string) => void;
}

/** What the variable holds until the first value comes. */
function Until({ name, feed, onFeed, type }: FeedPartProps & { type: StateVariable['type'] }) {
  return (
    <label className="flex items-center gap-1.5 text-[12px] text-quiet">
      until it comes
      <select
        className={`${small} flex-1`}
        aria-label={`What ${name} holds until it comes`}
        value={feed.start === undefined ? 'sample' : 'nothing'}
        onChange={(event) =>
          onFeed({ start: event.target.value === 'nothing' ? emptyValues[type] : undefined })
        }
      >
        <option value="nothing">nothing yet: {JSON.stringify(feed.start ?? emptyValues[type])}</option>
        <option value="sample">the sample below</option>
      </select>
    </label>
  );
}

const small = 'field !h-6 text-[12px]';

const withoutNothing = (feed: { readonly [Part in keyof Feed]: Feed[Part] | undefined }): Feed =>
  Object.fromEntries(Object.entries(feed).filter(([, said]) => said !== undefined)) as unknown as Feed;

export function FeedField({ project, variable, onChange }: FeedFieldProps) {
  const { name, feed } = variable;
  const part: FeedPartProps = {
    name,
    feed,
    onFeed: (changed, group) =>
      onChange({ ...variable, feed: withoutNothing({ ...feed, ...changed }) }, `Feed of ${name}`, group),
  };
  const isStandIn = feed.address.startsWith(standInFolder);
  return (
    <div className="flex flex-col gap-1 border-l-2 border-lake pl-2">
      <Address {...part} project={project} />
      {!isStandIn && <ComesAs {...part} />}
      {!isStandIn && <AsPerson {...part} />}
      <Every {...part} />
      <Troubles {...part} />
      <StatusField
        project={project}
        variable={variable}
        status={feed.status}
        withStatus={(status) => {
          const { status: _, ...rest } = feed;
          return { ...variable, feed: status === undefined ? rest : { ...rest, status } };
        }}
        words="waiting, live, silent or failed"
      />
      {isStandIn && <TakeNow {...{ project, variable, onChange }} />}
      <Until {...part} type={variable.type} />
      <p className="text-[12px] text-quiet">Sample, on the bench and in pictures:</p>
    </div>
  );
}

const Line = ({ words, children }: { words: string; children: ReactNode }) => (
  // biome-ignore lint/a11y/noLabelWithoutControl: the field is among the children.
  <label className="flex items-center gap-2 text-[12px]">
    <span className="w-14 shrink-0 text-quiet">{words}</span>
    {children}
  </label>
);

const withoutQuery = (address: string): string | undefined => address.split('?')[0];

function Address({ project, name, feed, onFeed }: FeedPartProps & { project: Project }) {
  const [typed, setTyped] = useState<string>();
  const id = useId();
  const problem = addressProblem(project, typed ?? feed.address);
  const wrong = problem !== undefined;
  return (
    <>
      <Line words="From">
        <select
          className={`${small} flex-1`}
          aria-label={`Source of ${name}`}
          value={standIns.findIndex((each) => withoutQuery(each.feed.address) === withoutQuery(feed.address))}
          onChange={(event) => {
            const chosen = standIns[Number(event.target.value)]?.feed;
            setTyped(undefined);
            onFeed(chosen ?? { address: 'https://hut.example/wind', as: 'json', every: 10 });
          }}
        >
          {standIns.map(({ label }, index) => (
            <option key={label} value={index}>
              {label}
            </option>
          ))}
          <option value={-1}>an address</option>
        </select>
      </Line>
      <Line words="Address">
        <input
          className={`${small} flex-1 font-mono`}
          aria-label={`Address of ${name}`}
          aria-invalid={wrong}
          aria-describedby={wrong ? id : undefined}
          spellCheck={false}
          value={typed ?? feed.address}
          onChange={(event) => {
            setTyped(event.target.value);
            if (addressProblem(project, event.target.value) === undefined)
              onFeed({ address: event.target.value }, `feed ${name}`);
          }}
          onBlur={() => wrong || setTyped(undefined)}
        />
      </Line>
      {isOnPagesServer(typed ?? feed.address) && (
        <p className="text-[12px] text-quiet">
          On the server of the page that is handed over; nothing answers there in Try.
        </p>
      )}
      {wrong && (
        <p id={id} role="alert" className="text-[12px] text-brick">
          {problem}
        </p>
      )}
    </>
  );
}

function ComesAs({ name, feed, onFeed }: FeedPartProps) {
  return (
    <Line words="Comes as">
      <select
        className={`${small} flex-1`}
        aria-label={`How ${name} comes`}
        value={feed.as}
        onChange={({ target }) => onFeed({ as: target.value === 'events' ? 'events' : 'json' })}
      >
        <option value="events">server-sent events</option>
        <option value="json">JSON, asked for again and again</option>
      </select>
    </Line>
  );
}

/** Whether the service is to know who asks. */
const AsPerson = ({ name, feed, onFeed }: FeedPartProps) => (
  <Line words="Cookies">
    <input
      type="checkbox"
      aria-label={`Cookies of ${name}`}
      checked={feed.credentials === true}
      onChange={({ target }) => onFeed({ credentials: target.checked })}
    />
    <span className="text-quiet">sent where it is handed over, so that the service knows who asks</span>
  </Line>
);

function Every({ name, feed, onFeed }: FeedPartProps) {
  return (
    <Line words="Every">
      <input
        className={`${small} !w-16 text-right`}
        type="number"
        min={feedSeconds.least}
        max={feedSeconds.most}
        step="any"
        aria-label={`Seconds of ${name}`}
        value={feed.every}
        onChange={(event) => {
          const every = Number(event.target.value);
          if (every < feedSeconds.least || every > feedSeconds.most) return;
          const address = feed.address.startsWith(mast)
            ? withQuery(feed.address, 'every', every === 1 ? '' : String(every))
            : feed.address;
          onFeed({ every, address }, `seconds ${name}`);
        }}
      />
      s
    </Line>
  );
}

/** What a stand-in is to do wrong. */
function Troubles({ name, feed, onFeed }: FeedPartProps) {
  return troubles
    .filter(({ of }) => withoutQuery(feed.address) === of)
    .map((trouble) => (
      <Line key={trouble.name} words={trouble.words}>
        <select
          className={`${small} flex-1`}
          aria-label={`${trouble.words} of ${name}`}
          value={queryOf(feed.address, trouble.name)}
          onChange={(event) => onFeed({ address: withQuery(feed.address, trouble.name, event.target.value) })}
        >
          {trouble.values.map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </select>
      </Line>
    ));
}

/** Makes the feed's current value the variable's initial value. */
function TakeNow({ project, variable, onChange }: FeedFieldProps) {
  const { editor } = useWorkplace();
  const { name, type, feed } = variable;
  const [asking, setAsking] = useState(false);
  const sample = async () => {
    setAsking(true);
    try {
      const value = fitting(type, await firstOf({ ...feed, address: addressAtStart(project, feed) }));
      if (value === undefined) editor.tell(`What came is no ${type}; ${name} stays as it was.`);
      else onChange({ ...variable, initial: value }, `Start of ${name}`);
    } catch (error) {
      editor.tell(`Nothing came: ${messageOf(error)}`);
    }
    setAsking(false);
  };
  return (
    <button
      type="button"
      className="btn !h-6 self-start text-[12px]"
      disabled={asking}
      title="What comes now is what it holds on the bench, and until the first value comes"
      onClick={() => void sample()}
    >
      {asking ? 'Listening …' : 'Take what comes now'}
    </button>
  );
}
