/** What the variables of the running application hold now: searched, watched, changed; and what it keeps for the next run. */

import { fitting, initialScope, messageOf, ownCode, type Project, type StateVariable } from '@hovrin/core';
import { Eraser, Pin } from 'lucide-react';
import { useId, useMemo, useState } from 'react';
import { useHeld } from '../editor/held.ts';
import { PaneHead } from './PaneHead.tsx';
import { SecretFields } from './SecretFields.tsx';

interface ValuesPaneProps {
  readonly project: Project;
  /** What variables hold that have changed since the application began. */
  readonly values: ReadonlyMap<string, unknown>;
  readonly onSet: (name: string, value: unknown) => void;
  /** How many values are kept for the next run, and whether that begins with them. */
  readonly keptCount: number;
  readonly beginsWithKept: boolean;
  readonly onBeginWithKept: (begins: boolean) => void;
  readonly onForget: () => void;
  readonly projectId: string;
  readonly onSecret: (name: string, text: string) => void;
  readonly onClose: () => void;
}

/** A variable with what it holds now. */
interface ValueNow {
  readonly variable: StateVariable;
  readonly value: unknown;
  readonly problem?: string;
}

/** What all variables hold; those that follow others are worked out from what these hold. */
function valuesNow(project: Project, values: ReadonlyMap<string, unknown>): readonly ValueNow[] {
  const state = project.state.map((variable) =>
    values.has(variable.name)
      ? { ...variable, initial: values.get(variable.name) as StateVariable['initial'] }
      : variable,
  );
  const scope = initialScope({ state, bands: project.bands });
  return project.state.map((variable): ValueNow => {
    try {
      return { variable, value: scope(variable.name) };
    } catch (error) {
      const isInPage = variable.computed?.includes(ownCode);
      const problem = isInPage ? 'The project’s code works it out, in the page.' : messageOf(error);
      return { variable, value: undefined, problem };
    }
  });
}

/** Longest text of a value that is shown. */
const longest = 4000;

const asWords = ({ variable, value }: ValueNow): string =>
  variable.type === 'text' || variable.type === 'date' ? String(value ?? '') : (JSON.stringify(value) ?? '');

export function ValuesPane(props: ValuesPaneProps) {
  const { project, values, onClose } = props;
  const [find, setFind] = useState('');
  const [watched, setWatched] = useHeld<readonly string[]>('watched', []);
  const all = useMemo(() => valuesNow(project, values), [project, values]);
  const wanted = find.trim().toLowerCase();
  const found = all
    .filter((each) => `${each.variable.name} ${asWords(each)}`.toLowerCase().includes(wanted))
    .toSorted(
      (a, b) => Number(watched.includes(b.variable.name)) - Number(watched.includes(a.variable.name)),
    );
  return (
    <section
      aria-label="Values"
      className="flex h-56 shrink-0 flex-col border-t border-rule bg-sheet text-[12.5px]"
    >
      <PaneHead title="Values" onClose={onClose}>
        <input
          type="search"
          className="field !h-6 w-48"
          placeholder="Find a name or a value"
          aria-label="Find a value"
          value={find}
          onChange={(event) => setFind(event.target.value)}
        />
        <span className="flex-1" />
        <SecretFields {...props} />
        <KeptLine {...props} />
      </PaneHead>
      {found.length === 0 ? (
        <p className="m-auto text-quiet">
          {project.state.length === 0
            ? 'This application has no variables.'
            : `No value has “${find}” in it.`}
        </p>
      ) : (
        <ul className="min-h-0 flex-1 overflow-y-auto">
          {found.map((each) => (
            <ValueLine
              key={each.variable.name}
              now={each}
              isChanged={values.has(each.variable.name)}
              isWatched={watched.includes(each.variable.name)}
              onWatch={() => {
                const { name } = each.variable;
                setWatched(
                  watched.includes(name) ? watched.filter((other) => other !== name) : [...watched, name],
                );
              }}
              onSet={props.onSet}
            />
          ))}
        </ul>
      )}
    </section>
  );
}

function KeptLine({ project, keptCount, beginsWithKept, onBeginWithKept, onForget }: ValuesPaneProps) {
  if (!project.state.some(({ kept }) => kept)) return null;
  return (
    <>
      <label className="flex items-center gap-1.5">
        <input
          type="checkbox"
          className="accent-spruce"
          checked={beginsWithKept}
          onChange={(event) => onBeginWithKept(event.target.checked)}
        />
        Begin with what was kept
      </label>
      <button
        type="button"
        className="btn-bare"
        disabled={keptCount === 0}
        title="The next run begins as for somebody who was never there"
        onClick={onForget}
      >
        <Eraser size={14} aria-hidden /> Forget{' '}
        {keptCount === 1 ? '1 kept value' : `${keptCount} kept values`}
      </button>
    </>
  );
}

function ValueLine({
  now,
  isChanged,
  isWatched,
  onWatch,
  onSet,
}: {
  now: ValueNow;
  isChanged: boolean;
  isWatched: boolean;
  onWatch: () => void;
  onSet: (name: string, value: unknown) => void;
}) {
  const { variable, problem } = now;
  const { name, type, kept, computed } = variable;
  const id = useId();
  const [typed, setTyped] = useState<string>();
  const words = asWords(now);
  const isFixed = computed !== undefined || words.length > longest;
  const reading = typed === undefined ? undefined : readValue(variable, typed);
  const take = () => {
    if (reading && 'value' in reading && typed !== words) onSet(name, reading.value);
    if (!reading || 'value' in reading) setTyped(undefined);
  };
  return (
    <li className="grid grid-cols-[28px_200px_92px_minmax(0,1fr)] items-center gap-x-2 border-b border-rule/50 px-3 py-0.5">
      <button
        type="button"
        className="btn-bare !h-6 !min-w-6 !px-0 text-quiet aria-pressed:text-spruce"
        aria-pressed={isWatched}
        aria-label={`Watch ${name}`}
        title="Keep it on top"
        onClick={onWatch}
      >
        <Pin size={13} />
      </button>
      <label htmlFor={id} className={`truncate font-mono text-[12px] ${isChanged ? 'font-semibold' : ''}`}>
        {name}
      </label>
      <span className="truncate text-quiet">
        {computed === undefined ? type : 'follows'}
        {kept ? ', kept' : ''}
      </span>
      {problem !== undefined ? (
        <span className="text-brick">{problem}</span>
      ) : isFixed ? (
        <output id={id} className="truncate font-mono text-[12px]" title={words.slice(0, longest)}>
          {words.slice(0, 300)}
        </output>
      ) : (
        <span>
          <input
            id={id}
            className="field !h-6 w-full font-mono text-[12px]"
            spellCheck={false}
            aria-invalid={reading !== undefined && 'problem' in reading}
            value={typed ?? words}
            onChange={(event) => setTyped(event.target.value)}
            onBlur={take}
            onKeyDown={(event) => {
              if (event.key === 'Enter') take();
              else if (event.key === 'Escape' && typed !== undefined) {
                event.stopPropagation();
                setTyped(undefined);
              }
            }}
          />
          {reading && 'problem' in reading && (
            <span role="alert" className="text-brick">
              {reading.problem}
            </span>
          )}
        </span>
      )}
    </li>
  );
}

/** What was typed, as the variable takes it. */
function readValue(
  { type, nullable }: StateVariable,
  text: string,
): { readonly value: unknown } | { readonly problem: string } {
  try {
    const plain = type === 'text' || type === 'date' ? text : JSON.parse(text.trim() || 'null');
    const value = fitting(type, plain, nullable);
    return value === undefined ? { problem: `This is no ${type}.` } : { value };
  } catch (error) {
    return { problem: `This is not JSON yet: ${messageOf(error)}` };
  }
}
