/** What the events of the running application did: newest first, each with what it changed and what followed. */
import type { ToldTrace } from '@hovrin/core/runtime';
import { ChevronDown, ChevronRight, Eraser } from 'lucide-react';
import { useState } from 'react';
import { hasWords } from '../parts/words.ts';
import { PaneHead } from './PaneHead.tsx';

/** A trace with where it came from. */
export interface TraceEntry {
  readonly id: number;
  /** The size that it happened in, and the screen that was shown there. */
  readonly size: string;
  readonly screen: string;
  readonly at: Date;
  readonly trace: ToldTrace;
}

/** Most entries that are kept. */
export const mostTraces = 200;

const time = new Intl.DateTimeFormat('en-GB', { timeStyle: 'medium' });

export function TracePane({
  entries,
  onPick,
  onClear,
  onClose,
}: {
  entries: readonly TraceEntry[];
  onPick: (screen: string, control: string) => void;
  onClear: () => void;
  onClose: () => void;
}) {
  const [find, setFind] = useState('');
  const found = find.trim() === '' ? entries : entries.filter((entry) => hasWords(wordsOf(entry), find));
  return (
    <section
      aria-label="Trace"
      className="flex h-56 shrink-0 flex-col border-t border-rule bg-sheet text-[12.5px]"
    >
      <PaneHead title="Trace" onClose={onClose}>
        <span className="text-quiet">what each event did, the newest first</span>
        <input
          type="search"
          className="field !h-6 !w-48"
          placeholder="Find a control or a value"
          aria-label="Find in the trace"
          value={find}
          onChange={({ target }) => setFind(target.value)}
        />
        <button
          type="button"
          className="btn-bare ml-auto"
          disabled={entries.length === 0}
          onClick={onClear}
          title="Forget what is listed"
        >
          <Eraser size={14} aria-hidden /> Clear
        </button>
      </PaneHead>
      {entries.length === 0 ? (
        <p className="m-auto text-quiet">Nothing has happened yet. Press or enter something above.</p>
      ) : found.length === 0 ? (
        <p className="m-auto text-quiet">No event has “{find}” in it.</p>
      ) : (
        <div role="log" aria-label="Events" className="min-h-0 flex-1 overflow-y-auto">
          <ol>
            {found.map((entry) => (
              <Entry key={entry.id} entry={entry} onPick={onPick} />
            ))}
          </ol>
        </div>
      )}
    </section>
  );
}

function Entry({
  entry: { size, screen, at, trace },
  onPick,
}: {
  entry: TraceEntry;
  onPick: (screen: string, control: string) => void;
}) {
  const quiet =
    trace.changes.length === 0 &&
    trace.did.length === 0 &&
    trace.problems.length === 0 &&
    trace.reran.length === 0;
  const [open, setOpen] = useState(false);
  return (
    <li className="border-b border-rule/50 px-3 py-1">
      <div className="grid grid-cols-[20px_64px_72px_190px_1fr_64px] gap-x-3">
        <button
          type="button"
          className="btn-bare !h-5 !min-w-5 !px-0 text-quiet"
          aria-label={`Step through ${trace.control} ${trace.event}`}
          aria-expanded={open}
          disabled={quiet}
          onClick={() => setOpen(!open)}
        >
          {open ? <ChevronDown size={13} /> : <ChevronRight size={13} />}
        </button>
        <span className="text-quiet tabular-nums">{time.format(at)}</span>
        <span className="truncate text-quiet">{size}</span>
        <span className="truncate">
          <button
            type="button"
            className="font-mono text-[12px] text-lake underline decoration-dotted underline-offset-2"
            title="Select it on the bench"
            onClick={() => onPick(screen, trace.control)}
          >
            {trace.control}
          </button>{' '}
          <span className="text-quiet">{trace.event}</span>
        </span>
        <span className="min-w-0">
          {trace.changes.map(({ name, before, after, differs }, index) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: one variable may change twice in an event.
            <span key={index} className="mr-3 font-mono text-[12px] break-words">
              {name}: {differs ? <b>{differs.join('; ')}</b> : <Change before={before} after={after} />}
            </span>
          ))}
          {trace.did.map((did, index) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: the same may be done twice.
            <span key={index} className="mr-3 font-mono text-[12px] break-words">
              {did}
            </span>
          ))}
          {trace.problems.map((problem) => (
            <span key={problem} className="mr-3 text-brick">
              {problem}
            </span>
          ))}
          {trace.reran.length > 0 && (
            <span className="text-quiet" title={trace.reran.join(', ')}>
              {trace.reran.length === 1
                ? `${trace.reran[0]} followed`
                : `${trace.reran.slice(0, 3).join(', ')}${trace.reran.length > 3 ? ` and ${trace.reran.length - 3} more` : ''} followed`}
            </span>
          )}
          {quiet && <span className="text-quiet">nothing changed</span>}
        </span>
        <span className="text-right text-quiet tabular-nums">{trace.took.toFixed(1)} ms</span>
      </div>
      {open && <Steps trace={trace} />}
    </li>
  );
}

/** All words of an entry, to be found by. */
function wordsOf({ screen, size, trace }: TraceEntry): string {
  const { control, event, changes, did, problems, reran } = trace;
  const changed = changes.map(({ name, before, after, differs = [] }) =>
    [name, before, after, ...differs].join(' '),
  );
  return [size, screen, control, event, ...changed, ...did, ...problems, ...reran].join(' ');
}

const Change = ({ before, after }: { before: string; after: string }) => (
  <>
    {before} → <b>{after}</b>
  </>
);

/** One thing that happened, in words. */
interface TracedStep {
  readonly words: string;
  /** The variable that it changed, and what that held before and after. */
  readonly change?: ToldTrace['changes'][number];
  readonly wrong?: boolean;
}

/** What happened, one after the other. */
function stepsOf({ changes, did, reran, problems, order }: ToldTrace): readonly TracedStep[] {
  const next = { changes: 0, did: 0, reran: 0, problems: 0 };
  return order.flatMap((sort): TracedStep | [] => {
    const at = next[sort]++;
    if (sort === 'changes') {
      const change = changes[at];
      if (!change) return [];
      const { name, after, differs } = change;
      const inside = differs ? `: ${differs.join('; ')}` : '';
      return { words: `${name} becomes ${after}${inside}`, change };
    }
    if (sort === 'did') return did[at] === undefined ? [] : { words: did[at] };
    if (sort === 'reran') return reran[at] === undefined ? [] : { words: `${reran[at]} follows` };
    return problems[at] === undefined ? [] : { words: problems[at], wrong: true };
  });
}

/** Steps through an event's record, with the values of the variables at each step. */
function Steps({ trace }: { trace: ToldTrace }) {
  const steps = stepsOf(trace);
  const [at, setAt] = useState(0);
  const held = new Map<string, string>();
  steps.forEach(({ change }, index) => {
    if (!change) return;
    if (index <= at) held.set(change.name, change.after);
    else if (!held.has(change.name)) held.set(change.name, change.before);
  });
  const move = (by: number) => setAt(Math.max(0, Math.min(steps.length - 1, at + by)));
  return (
    <div className="mt-1 mb-1 ml-8 grid grid-cols-[minmax(0,1fr)_260px] gap-4">
      <div
        role="listbox"
        aria-label="Steps"
        aria-activedescendant={`step-${at}`}
        tabIndex={0}
        className="rounded border border-rule/60 p-1"
        onKeyDown={(event) => {
          const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
          if (by === undefined) return;
          event.preventDefault();
          event.stopPropagation();
          move(by);
        }}
      >
        {steps.map(({ words, wrong }, index) => (
          <div
            // biome-ignore lint/suspicious/noArrayIndexKey: what has happened stays in its place.
            key={index}
            id={`step-${index}`}
            role="option"
            tabIndex={-1}
            aria-selected={index === at}
            className={`flex cursor-pointer gap-2 rounded-sm px-1.5 font-mono text-[12px] ${index === at ? 'bg-sunk' : index > at ? 'text-quiet' : ''} ${wrong ? '!text-brick' : ''}`}
            onPointerDown={() => setAt(index)}
          >
            <span className="w-5 shrink-0 text-right text-quiet">{index + 1}</span>
            <span className="break-words">{words}</span>
          </div>
        ))}
      </div>
      <dl
        aria-label={`After step ${at + 1}`}
        className="grid grid-cols-[auto_1fr] content-start gap-x-3 text-[12px]"
      >
        {[...held].map(([name, value]) => (
          <div key={name} className="contents">
            <dt className="font-mono text-quiet">{name}</dt>
            <dd className="m-0 truncate font-mono" title={value}>
              {value}
            </dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
