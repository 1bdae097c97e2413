/** Arrange for me: shows the containers that a pinboard becomes, with the guesses in them, before they are taken. */
import { applySteps, arrangeBoard, effectiveNames, locate, usualNoise } from '@hovrin/core';
import { useEffect, useMemo, useState } from 'react';
import { boardOf, newId, partOfBoard } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { useBenchView } from '../bench/benchView.ts';

export function ArrangePanel() {
  const { asking } = useEditorState('asking');
  return asking === 'arrange' ? <Arranging /> : null;
}

function Arranging() {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const { setPreview } = useBenchView();
  const [noise, setNoise] = useState(usualNoise);
  // The board as it was when it was asked about; what is shown meanwhile is only a preview.
  const [asked] = useState(() => ({
    id: boardOf(editor),
    only: partOfBoard(editor),
    layOut: editor.bench?.layOut,
  }));
  const { id, only, layOut } = asked;
  const made = useMemo(
    () =>
      id !== undefined && layOut ? arrangeBoard(project, layOut, id, { newId, noise, only }) : undefined,
    [project, layOut, id, noise, only],
  );
  useEffect(() => {
    const applied = made && applySteps(project, made.steps);
    setPreview(applied?.ok ? applied.project : undefined);
    return () => setPreview(undefined);
  }, [made, project, setPreview]);
  const found = id === undefined ? undefined : locate(project, id);
  const close = () => editor.ask(undefined);
  if (!made || !found) {
    return (
      <section aria-label="Arrange for me" className="border-t border-rule bg-sheet px-4 py-3">
        Nothing is seen on this pinboard.{' '}
        <button type="button" className="btn" onClick={close}>
          Close
        </button>
      </section>
    );
  }
  const name = effectiveNames(found.screen).get(found.control.id);
  return (
    <section
      aria-label="Arrange for me"
      className="flex flex-col gap-1.5 border-t border-rule bg-sheet px-4 py-3"
      onKeyDown={(event) => event.key === 'Escape' && close()}
    >
      <div className="flex items-center gap-6">
        <p className="min-w-0 flex-1 truncate font-semibold">
          {only ? `${only.length} controls of ${name}` : name} in rows, columns and grids
        </p>
        <NoiseField noise={noise} onNoise={setNoise} />
        <div className="flex shrink-0 gap-2">
          <button type="button" className="btn" onClick={close}>
            Leave it
          </button>
          <button
            type="button"
            className="btn btn-main"
            // biome-ignore lint/a11y/noAutofocus: it was asked for a moment ago, and Enter takes it.
            autoFocus
            onClick={() => {
              close();
              editor.dispatch({ label: `Arrange ${name}`, steps: made.steps, select: [found.control.id] });
            }}
          >
            Take it
          </button>
        </div>
      </div>
      {made.guesses.length > 0 ? (
        <ul className="max-h-24 overflow-y-auto text-quiet">
          {[...new Set(made.guesses)].map((guess) => (
            <li key={guess}>{guess}</li>
          ))}
        </ul>
      ) : (
        <p className="text-quiet">The bench shows how it would be; nothing had to be guessed.</p>
      )}
    </section>
  );
}

/** How far edges may be evened out, CSS px. */
function NoiseField({ noise, onNoise }: { noise: number; onNoise: (noise: number) => void }) {
  return (
    <label className="flex shrink-0 items-center gap-2">
      <span className="text-quiet">Evens out up to</span>
      <input
        type="range"
        min={1}
        max={20}
        value={noise}
        className="accent-spruce"
        onChange={(event) => onNoise(Number(event.target.value))}
      />
      <span className="w-10 font-mono">{noise} px</span>
    </label>
  );
}
