/** Changes that were set aside: each with its words, why it is not stored, and what can be done with it. */
import { Download, RotateCcw, Trash2, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { download } from '../download.ts';
import { asideFile } from '../editor/asides.ts';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import type { Aside } from '../editor/kept.ts';
import { Dialog } from '../parts/Dialog.tsx';

export function AsidesDialog() {
  const { editor } = useWorkplace();
  const { asking, asides } = useEditorState('asking', 'asides');
  if (asking !== 'asides') return null;
  return (
    <Dialog title="Set aside" onClose={() => editor.ask(undefined)} width={620}>
      <p className="mb-3 text-quiet">
        These changes are not part of the project. They are kept in this browser until you say what becomes of
        them.
      </p>
      {asides.length === 0 ? (
        <p className="rounded-md border border-dashed border-rule p-6 text-center text-quiet">
          Nothing is set aside any more.
        </p>
      ) : (
        <ul className="flex flex-col gap-3">
          {asides.map((aside) => (
            <AsideItem key={aside.id} aside={aside} />
          ))}
        </ul>
      )}
    </Dialog>
  );
}

/** The values that a change would set, as far as they are texts: what somebody typed is not to be typed again. */
const textsOf = ({ steps }: Aside): string[] =>
  steps.flatMap((step) => {
    if (step.type !== 'set' || step.value === null) return [];
    return [`${step.property}: ${typeof step.value === 'string' ? step.value : step.value.draft}`];
  });

function AsideItem({ aside }: { aside: Aside }) {
  const { editor } = useWorkplace();
  const [still, setStill] = useState<string>();
  const { label, reason, time, steps, putBack } = aside;
  const tryAgain = () => {
    if (!editor.tryAgain(aside)) setStill(editor.state.notice);
  };
  const texts = textsOf(aside);
  return (
    <li className="rounded-md border border-rule p-3">
      <div className="flex items-baseline justify-between gap-3">
        <h3 className="font-semibold">{label}</h3>
        <time className="font-mono text-[12px] text-quiet" dateTime={new Date(time).toISOString()}>
          {new Date(time).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}
        </time>
      </div>
      <p className="mt-0.5">{reason}</p>
      {texts.length > 0 && (
        <pre className="mt-1.5 max-h-24 overflow-auto rounded-md bg-sunk p-2 font-mono text-[12px] whitespace-pre-wrap">
          {texts.slice(0, 20).join('\n')}
        </pre>
      )}
      {still && (
        <p role="alert" className="mt-1.5 text-brick">
          {still}
        </p>
      )}
      <div className="mt-2.5 flex flex-wrap gap-2">
        <button type="button" className="btn" onClick={tryAgain}>
          {putBack ? <Undo2 size={14} aria-hidden /> : <RotateCcw size={14} aria-hidden />}
          {putBack ? 'Put it back' : 'Try again on the newest'}
        </button>
        {steps.length > 0 && (
          <button
            type="button"
            className="btn"
            onClick={() =>
              download('set-aside.json', new Blob([asideFile(aside)], { type: 'application/json' }))
            }
          >
            <Download size={14} aria-hidden /> Download it
          </button>
        )}
        <button type="button" className="btn" onClick={() => editor.dropAside(aside)}>
          <Trash2 size={14} aria-hidden /> Drop it
        </button>
      </div>
    </li>
  );
}
