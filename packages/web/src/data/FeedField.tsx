/** Where a state variable's values come from while the application runs: a device, a service, how often. */
import {
  addressAtStart,
  checkTemplate,
  contextOf,
  type Feed,
  feedSeconds,
  fitting,
  isFeedAddress,
  type Project,
  type StateVariable,
  standInFolder,
} from '@hovrin/core';
import { useId, useState } from 'react';
import { useWorkplace } from '../editor/context.tsx';
import { firstOf } from '../standIns.ts';
import { StatusField } from './StatusField.tsx';

const mast = `${standInFolder}mast`;
const suppers = `${standInFolder}suppers`;

/** What ships, with the feed that listens to it. */
const standIns: readonly { readonly label: string; readonly feed: Feed }[] = [
  { label: 'Weather mast, simulated', feed: { address: `${mast}?seed=1`, as: 'events', every: 1 } },
  { label: 'Suppers, simulated service', feed: { address: `${suppers}?size=20`, as: 'json', every: 10 } },
];

/** What can be asked of a stand-in beside its address, as parts of its query. */
const troubles: readonly {
  readonly of: string;
  readonly name: string;
  readonly words: string;
  readonly values: readonly (readonly [string, string])[];
}[] = [
  {
    of: mast,
    name: 'fault',
    words: 'Fault',
    values: [
      ['', 'none'],
      ['silence', 'silent now and then'],
      ['spikes', 'readings that cannot be'],
      ['stuck', 'stuck at one reading'],
    ],
  },
  {
    of: suppers,
    name: 'errors',
    words: 'Errors',
    values: [
      ['', 'none'],
      ['0.3', 'three in ten'],
      ['1', 'always'],
    ],
  },
  {
    of: suppers,
    name: 'delay',
    words: 'Delay',
    values: [
      ['', 'none'],
      ['1000', '1 s'],
      ['5000', '5 s'],
    ],
  },
];

function withQuery(address: string, name: string, value: string): string {
  const [path = '', query = ''] = address.split('?');
  const parts = new URLSearchParams(query);
  if (value === '') parts.delete(name);
  else parts.set(name, value);
  const written = parts.toString().replaceAll('%7B', '{').replaceAll('%7D', '}');
  return written ? `${path}?${written}` : path;
}

const queryOf = (address: string, name: string): string =>
  new URLSearchParams(address.split('?')[1]).get(name) ?? '';

/** What keeps an address from being asked; undefined: nothing. */
function addressProblem(project: Project, address: string): string | undefined {
  if (!isFeedAddress(address))
    return 'An address begins with http:// or https:// and a host; the page may ask this one and no other. Expressions in braces may stand behind it.';
  const checked = checkTemplate(address, contextOf(project));
  return checked.ok ? undefined : checked.problem.message;
}

/** The feed that a variable begins with when it is given one. */
export const firstFeed = ({ type }: StateVariable): Feed => standIns[type === 'list' ? 1 : 0]!.feed;

interface FeedFieldProps {
  readonly project: Project;
  readonly variable: StateVariable & { readonly feed: Feed };
  readonly onChange: (variable: StateVariable, label: string, group?: string) => void;
}

export function FeedField({ project, variable, onChange }: FeedFieldProps) {
  const { editor } = useWorkplace();
  const { name, feed } = variable;
  const [typed, setTyped] = useState<string>();
  const [asking, setAsking] = useState(false);
  const id = useId();
  const problem = addressProblem(project, typed ?? feed.address);
  const wrong = problem !== undefined;
  const change = (changed: Partial<Feed>, group?: string) =>
    onChange({ ...variable, feed: { ...feed, ...changed } }, `Feed of ${name}`, group);
  const sample = async () => {
    setAsking(true);
    try {
      const value = fitting(
        variable.type,
        await firstOf({ ...feed, address: addressAtStart(project, feed) }),
      );
      if (value === undefined) editor.tell(`What came is no ${variable.type}; ${name} stays as it was.`);
      else onChange({ ...variable, initial: value }, `Start of ${name}`);
    } catch (error) {
      editor.tell(`Nothing came: ${(error as Error).message}`);
    }
    setAsking(false);
  };
  const isStandIn = feed.address.startsWith(standInFolder);
  const small = 'field !h-6 text-[12px]';
  return (
    <div className="flex flex-col gap-1 border-l-2 border-lake pl-2">
      <label className="flex items-center gap-2 text-[12px]">
        <span className="w-14 text-quiet">From</span>
        <select
          className={`${small} flex-1`}
          aria-label={`Source of ${name}`}
          value={standIns.findIndex((each) => each.feed.address.split('?')[0] === feed.address.split('?')[0])}
          onChange={(event) => {
            const chosen = standIns[Number(event.target.value)]?.feed;
            setTyped(undefined);
            change(chosen ?? { address: 'https://hut.example/wind', as: 'json', every: 10 });
          }}
        >
          {standIns.map(({ label }, index) => (
            <option key={label} value={index}>
              {label}
            </option>
          ))}
          <option value={-1}>an address</option>
        </select>
      </label>
      <label className="flex items-center gap-2 text-[12px]">
        <span className="w-14 text-quiet">Address</span>
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
              change({ address: event.target.value }, `feed ${name}`);
          }}
          onBlur={() => wrong || setTyped(undefined)}
        />
      </label>
      {wrong && (
        <p id={id} role="alert" className="text-[12px] text-brick">
          {problem}
        </p>
      )}
      {!isStandIn && (
        <label className="flex items-center gap-2 text-[12px]">
          <span className="w-14 text-quiet">Comes as</span>
          <select
            className={`${small} flex-1`}
            aria-label={`How ${name} comes`}
            value={feed.as}
            onChange={(event) => change({ as: event.target.value as Feed['as'] })}
          >
            <option value="events">server-sent events</option>
            <option value="json">JSON, asked for again and again</option>
          </select>
        </label>
      )}
      <label className="flex items-center gap-2 text-[12px]">
        <span className="w-14 text-quiet">Every</span>
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
            change({ every, address }, `seconds ${name}`);
          }}
        />
        s
      </label>
      {troubles
        .filter(({ of }) => feed.address.split('?')[0] === of)
        .map((trouble) => (
          <label key={trouble.name} className="flex items-center gap-2 text-[12px]">
            <span className="w-14 text-quiet">{trouble.words}</span>
            <select
              className={`${small} flex-1`}
              aria-label={`${trouble.words} of ${name}`}
              value={queryOf(feed.address, trouble.name)}
              onChange={(event) =>
                change({ address: withQuery(feed.address, trouble.name, event.target.value) })
              }
            >
              {trouble.values.map(([value, words]) => (
                <option key={value} value={value}>
                  {words}
                </option>
              ))}
            </select>
          </label>
        ))}
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
      {isStandIn && (
        <button
          type="button"
          className="btn !h-6 self-start text-[12px]"
          disabled={asking}
          title="What comes now is what it holds on the bench, and until the first value comes"
          onClick={() => void sample()}
        >
          {asking ? 'Listening …' : 'Take what comes now'}
        </button>
      )}
      <p className="text-[12px] text-quiet">until it comes, and on the bench:</p>
    </div>
  );
}
