/** Words: every text of the project in all its languages. */
import { type Step, translating } from '@hovrin/core';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { useHeld } from '../editor/held.ts';
import { useCommandKeys } from '../editor/keys.ts';
import { PlaceHeader } from '../PlaceHeader.tsx';
import { Languages } from './Languages.tsx';
import type { At } from './useGridKeys.ts';
import { WordDetails } from './WordDetails.tsx';
import { WordsGrid } from './WordsGrid.tsx';
import {
  pasted,
  rowsWanted,
  type Typed,
  targets,
  typedSteps,
  type Wanted,
  wantedWords,
  wordsRows,
} from './wordsModel.ts';

/**
 * The next keys go into the first text of a language that was just added.
 *
 * @param languages how many there are. @returns is given the cell that they are to go into, once it is there.
 */
function useAdded(languages: number, onAt: (at: At) => void): (at: At) => void {
  const [added, setAdded] = useState<At>();
  useEffect(() => {
    if (!added || added.column > languages) return;
    setAdded(undefined);
    onAt(added);
    document.querySelector<HTMLElement>('[role="grid"][data-region-begin]')?.focus();
  }, [added, languages, onAt]);
  return setAdded;
}

export function WordsPlace() {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  useCommandKeys(editor);
  const [wanted, setWanted] = useHeld<Wanted>('words-wanted', 'all');
  const [typed, setTyped] = useState('');
  const [at, setAt] = useHeld<At>('words-at', { row: 0, column: 1 });
  const all = useMemo(() => wordsRows(project), [project]);
  const words = useDeferredValue(typed);
  const rows = useMemo(() => rowsWanted(all, wanted, words), [all, wanted, words]);
  const tags = targets(project).map(({ tag }) => tag);
  const source = project.locales?.[0]?.tag ?? project.language ?? 'en';
  const row = rows[Math.min(at.row, rows.length - 1)];
  const tag = tags[at.column - 1];
  const setAdded = useAdded(tags.length, setAt);
  const does = (label: string, steps: readonly Step[]) => {
    if (steps.length > 0) editor.dispatch({ label, steps, exact: true });
  };
  const type = (texts: readonly Typed[]) =>
    does(
      texts.length === 1 ? `Translate ${texts[0]?.row.key}` : `Translate ${texts.length} texts`,
      typedSteps(project, texts),
    );
  const paste = (text: string) => type(pasted(rows, tags, { row: at.row, column: at.column - 1 }, text));
  const note = (next: string) => {
    const locale = targets(project).find((each) => each.tag === tag);
    const before = row && tag !== undefined ? row.in.get(tag)?.translation : undefined;
    if (!row || !locale || (before?.note ?? '') === next) return;
    const { note: _, ...rest } = before ?? { text: '', source: row.source };
    const made = next === '' ? rest : { ...rest, note: next };
    does(`Note for ${row.key}`, translating(project, locale, { ...locale.strings, [row.key]: made }));
  };
  return (
    <>
      <PlaceHeader title="Words">
        <Finding typed={typed} wanted={wanted} onTyped={setTyped} onWanted={setWanted} />
      </PlaceHeader>
      <Languages
        project={project}
        rows={all}
        onSteps={does}
        onAdded={() => setAdded({ row: 0, column: tags.length + 1 })}
      />
      <main className="flex min-h-0 flex-1">
        {tags.length === 0 ? (
          <p className="m-auto max-w-md p-6 text-center text-quiet">
            The project has one language. Add another: every text that people read or hear stands here then,
            to be translated.
          </p>
        ) : rows.length === 0 ? (
          <p className="m-auto p-6 text-quiet">No text is like that.</p>
        ) : (
          <WordsGrid
            rows={rows}
            source={source}
            tags={tags}
            at={{ row: Math.min(at.row, rows.length - 1), column: Math.min(at.column, tags.length) }}
            onAt={setAt}
            onType={type}
            onPaste={paste}
          />
        )}
        {row && tags.length > 0 && (
          <aside
            aria-label="Text"
            data-region="text"
            className="w-80 shrink-0 overflow-y-auto border-l border-rule bg-ground p-4"
          >
            <WordDetails row={row} tag={tag} source={source} onNote={note} />
          </aside>
        )}
      </main>
    </>
  );
}

interface FindingProps {
  readonly typed: string;
  readonly wanted: Wanted;
  readonly onTyped: (text: string) => void;
  readonly onWanted: (wanted: Wanted) => void;
}

/** Which texts are listed. */
const Finding = ({ typed, wanted, onTyped, onWanted }: FindingProps) => (
  <>
    <input
      type="search"
      className="field !w-56"
      aria-label="Find a text"
      placeholder="Find a text"
      value={typed}
      onChange={({ target }) => onTyped(target.value)}
    />
    <select
      className="field !w-auto"
      aria-label="Which texts"
      value={wanted}
      onChange={({ target }) => onWanted(target.value as Wanted)}
    >
      {Object.entries(wantedWords).map(([value, label]) => (
        <option key={value} value={value}>
          {label}
        </option>
      ))}
    </select>
  </>
);
