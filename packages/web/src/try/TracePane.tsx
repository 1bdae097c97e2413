/** What the events of the running application did: newest first, each with what it changed and what followed. */
import type { ToldTrace } from '@hovrin/core/runtime';
import { Eraser, X } from 'lucide-react';

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
  return (
    <section
      aria-label="Trace"
      className="flex h-56 shrink-0 flex-col border-t border-rule bg-sheet text-[12.5px]"
    >
      <div className="flex h-8 shrink-0 items-center gap-2 border-b border-rule/60 px-3">
        <h2 className="font-semibold">Trace</h2>
        <span className="text-quiet">what each event did, the newest first</span>
        <button
          type="button"
          className="btn-bare ml-auto"
          disabled={entries.length === 0}
          onClick={onClear}
          title="Forget what is listed"
        >
          <Eraser size={14} aria-hidden /> Clear
        </button>
        <button type="button" className="btn-bare" aria-label="Close the trace" onClick={onClose}>
          <X size={14} />
        </button>
      </div>
      {entries.length === 0 ? (
        <p className="m-auto text-quiet">Nothing has happened yet. Press or enter something above.</p>
      ) : (
        <ol role="log" aria-label="Events" className="min-h-0 flex-1 overflow-y-auto">
          {entries.map((entry) => (
            <Entry key={entry.id} entry={entry} onPick={onPick} />
          ))}
        </ol>
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
  return (
    <li className="grid grid-cols-[64px_72px_190px_1fr_64px] gap-x-3 border-b border-rule/50 px-3 py-1">
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
        {trace.changes.map(({ name, before, after }, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: one variable may change twice in an event.
          <span key={index} className="mr-3 font-mono text-[12px] break-words">
            {name}: {before} → <b>{after}</b>
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
    </li>
  );
}
