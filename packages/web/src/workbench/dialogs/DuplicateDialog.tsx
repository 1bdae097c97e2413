/** Asks how many copies, and on a pinboard how far apart they lie. */
import { plainArrangement } from '@hovrin/core';
import { useState } from 'react';
import { duplicateMany, selected } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { Dialog } from '../../parts/Dialog.tsx';

const most = 200;

export function DuplicateDialog() {
  const { editor } = useWorkplace();
  const { asking } = useEditorState('asking');
  const [times, setTimes] = useState('3');
  const [x, setX] = useState('0');
  const [y, setY] = useState('48');
  if (asking !== 'duplicate') return null;
  const parent = selected(editor)?.parent;
  const onBoard = parent !== undefined && plainArrangement(parent) === 'pins';
  const count = Number(times);
  const valid = Number.isInteger(count) && count >= 1 && count <= most;
  const far = [x, y].every((text) => text.trim() !== '' && Number.isFinite(Number(text)));
  const close = () => editor.ask(undefined);
  return (
    <Dialog title="Duplicate several times" onClose={close} width={340}>
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          const change = valid && far && duplicateMany(editor, count, { x: Number(x), y: Number(y) });
          if (!change) return;
          close();
          editor.dispatch(change);
        }}
      >
        <label className="flex items-center gap-2">
          <span className="w-24">Copies</span>
          <input
            className="field !w-20 text-right"
            inputMode="numeric"
            value={times}
            aria-invalid={!valid}
            onChange={(event) => setTimes(event.target.value)}
          />
          <span className="text-quiet">1 to {most}</span>
        </label>
        {onBoard &&
          (
            [
              ['Across', x, setX],
              ['Down', y, setY],
            ] as const
          ).map(([words, value, set]) => (
            <label key={words} className="flex items-center gap-2">
              <span className="w-24">{words}</span>
              <input
                className="field !w-20 text-right"
                inputMode="numeric"
                value={value}
                aria-invalid={!Number.isFinite(Number(value))}
                onChange={(event) => set(event.target.value)}
              />
              <span className="text-quiet">px each</span>
            </label>
          ))}
        <button type="submit" className="btn btn-main self-end" disabled={!valid || !far}>
          Duplicate
        </button>
      </form>
    </Dialog>
  );
}
