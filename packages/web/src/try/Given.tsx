/** What a running page gives the person: its frame may neither save files nor write to the clipboard by itself. */
import { itemAt } from '@hovrin/core';
import { Copy, Download, X } from 'lucide-react';
import { download } from '../download.ts';

export type GivenThing =
  | { readonly as: 'file'; readonly name: string; readonly text: string }
  | { readonly as: 'copy'; readonly text: string };

/** A text in short, on one line. */
const shortly = (text: string): string => {
  const line = text.replace(/\s+/g, ' ');
  return line.length > 60 ? `${line.slice(0, 60)} …` : line;
};

export function Given({
  things,
  onProblem,
  onDone,
}: {
  /** The first is asked about; never empty. */
  things: readonly GivenThing[];
  onProblem: (text: string) => void;
  /** The first was taken, or left. */
  onDone: () => void;
}) {
  const thing = itemAt(things, 0);
  const more = things.slice(1);
  const take = async () => {
    if (thing.as === 'file')
      download(thing.name, new Blob([thing.text], { type: 'text/plain;charset=utf-8' }));
    else
      try {
        await navigator.clipboard.writeText(thing.text);
      } catch {
        onProblem('The browser does not let this window copy anything.');
      }
    onDone();
  };
  return (
    <p
      role="status"
      className="flex min-h-9 shrink-0 items-center gap-2 border-b border-rule bg-sheet px-4 py-1"
    >
      <span className="min-w-0 truncate">
        {thing.as === 'file' ? (
          <>
            The page gives a file, <b>{thing.name}</b>, with {thing.text.length.toLocaleString('en')}{' '}
            {thing.text.length === 1 ? 'character' : 'characters'}.
          </>
        ) : (
          <>The page copies “{shortly(thing.text)}”.</>
        )}
      </span>
      {more.length > 0 && <span className="shrink-0 text-quiet">and {more.length} more</span>}
      <button type="button" className="btn shrink-0" onClick={() => void take()}>
        {thing.as === 'file' ? <Download size={14} aria-hidden /> : <Copy size={14} aria-hidden />}
        {thing.as === 'file' ? 'Save it' : 'Copy it'}
      </button>
      <button type="button" className="btn-bare" aria-label="Leave it" title="Leave it" onClick={onDone}>
        <X size={14} aria-hidden />
      </button>
    </p>
  );
}
