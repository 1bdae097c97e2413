/** Finds words on all screens and puts others in their place; each place can be left out. */
import { effectiveNames, replaceSteps, type TextPlace, textPlaces } from '@hovrin/core';
import { useMemo, useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { Dialog } from '../../parts/Dialog.tsx';

const keyOf = ({ control, attribute }: TextPlace) => `${control.id} ${attribute}`;

export function ReplaceDialog() {
  const { asking } = useEditorState('asking');
  return asking === 'replace' ? <Replacing /> : null;
}

function Replacing() {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const [find, setFind] = useState('');
  const [by, setBy] = useState('');
  const [matchCase, setMatchCase] = useState(false);
  const [wholeWords, setWholeWords] = useState(false);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const places = useMemo(
    () => textPlaces(project, { find, replace: by, matchCase, wholeWords }),
    [project, find, by, matchCase, wholeWords],
  );
  const taken = places.filter((place) => !left.has(keyOf(place)));
  const count = taken.reduce((sum, place) => sum + place.count, 0);
  const screens = new Set(taken.map(({ screen }) => screen.id)).size;
  const close = () => editor.ask(undefined);
  return (
    <Dialog title="Replace words on all screens" onClose={close} width={620}>
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (count === 0) return;
          close();
          editor.dispatch({ label: `Replace “${find}” by “${by}”`, steps: replaceSteps(taken), exact: true });
        }}
      >
        <div className="grid grid-cols-[84px_1fr] items-center gap-2">
          <label htmlFor="replace-find">Find</label>
          <input
            id="replace-find"
            className="field"
            value={find}
            onChange={(event) => setFind(event.target.value)}
          />
          <label htmlFor="replace-by">Put instead</label>
          <input
            id="replace-by"
            className="field"
            value={by}
            onChange={(event) => setBy(event.target.value)}
          />
        </div>
        <div className="flex gap-4">
          <label className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="accent-spruce"
              checked={matchCase}
              onChange={(event) => setMatchCase(event.target.checked)}
            />
            Capitals count
          </label>
          <label className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="accent-spruce"
              checked={wholeWords}
              onChange={(event) => setWholeWords(event.target.checked)}
            />
            Whole words
          </label>
        </div>
        {find !== '' && places.length === 0 && (
          <p className="text-quiet">No screen has “{find}” in its words.</p>
        )}
        {places.length > 0 && (
          <ul className="max-h-64 overflow-y-auto rounded-md border border-rule">
            {places.map((place) => (
              <li key={keyOf(place)} className="border-b border-rule/60 last:border-0">
                <label className="flex items-baseline gap-2 px-2 py-1">
                  <input
                    type="checkbox"
                    className="accent-spruce"
                    checked={!left.has(keyOf(place))}
                    onChange={(event) => {
                      const next = new Set(left);
                      if (event.target.checked) next.delete(keyOf(place));
                      else next.add(keyOf(place));
                      setLeft(next);
                    }}
                  />
                  <span className="w-44 shrink-0 truncate text-quiet">
                    {place.screen.name} ▸ {effectiveNames(place.screen).get(place.control.id)}
                  </span>
                  <span className="min-w-0 flex-1 truncate" title={place.after}>
                    <del className="text-quiet">{place.before}</del> {place.after}
                  </span>
                </label>
              </li>
            ))}
          </ul>
        )}
        <div className="flex items-center justify-end gap-3">
          <span className="text-quiet" role="status">
            {count > 0 && `${count} on ${screens} ${screens === 1 ? 'screen' : 'screens'}`}
          </span>
          <button type="submit" className="btn btn-main" disabled={count === 0}>
            Replace
          </button>
        </div>
      </form>
    </Dialog>
  );
}
