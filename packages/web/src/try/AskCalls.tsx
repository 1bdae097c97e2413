/** Asks before a project that came from elsewhere calls anybody. */
import { Radio } from 'lucide-react';
import type { Called } from './calls.ts';

export function AskCalls({
  called,
  onAnswer,
}: {
  readonly called: readonly Called[];
  readonly onAnswer: (isAllowed: boolean) => void;
}) {
  return (
    <section
      aria-labelledby="ask-calls"
      className="m-auto flex max-w-xl flex-col gap-3 rounded-md border border-rule bg-sheet p-5"
    >
      <h2 id="ask-calls" className="flex items-center gap-2 text-[15px] font-semibold">
        <Radio size={16} aria-hidden /> This project calls other computers
      </h2>
      <p>
        It was brought in from elsewhere. When it runs, it asks these addresses for values, and may send them
        what is entered:
      </p>
      <ul className="divide-y divide-rule border-y border-rule">
        {called.map(({ origin, where }) => (
          <li key={origin} className="flex flex-wrap items-baseline gap-x-3 py-1.5">
            <span className="font-mono text-[12px] break-all">{origin}</span>
            {where && <span className="font-medium text-brick">{where}</span>}
          </li>
        ))}
      </ul>
      <div className="flex justify-end gap-2">
        <button type="button" className="btn" onClick={() => onAnswer(false)}>
          Run it without them
        </button>
        <button type="button" className="btn btn-main" onClick={() => onAnswer(true)}>
          Let it call them
        </button>
      </div>
    </section>
  );
}
