/** Try: the exported page running in sandboxed frames, at one size or at all of them. */
import { effectiveNames } from '@hovrin/core';
import type { ToldTrace } from '@hovrin/core/runtime';
import { ArrowLeft, ChevronDown, LayoutDashboard, ListTree, RotateCcw } from 'lucide-react';
import { useEffect, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { api } from '../api.ts';
import { currentScreen, useEditorState, useWorkplace } from '../editor/context.tsx';
import { useHeld } from '../editor/held.ts';
import { Menu } from '../parts/Menu.tsx';
import { useEscape } from '../parts/useEscape.ts';
import { allSizes, keepSizes, keptSizes, type ScreenSize, sizeWords } from '../sizes.ts';
import { AskCalls } from './AskCalls.tsx';
import { allowCalls, allowedCalls, calledBy } from './calls.ts';
import { ConditionFields, type Conditions, plainConditions } from './conditions.tsx';
import { Frames } from './Frames.tsx';
import { Given, type GivenThing } from './Given.tsx';
import { mostTraces, type TraceEntry, TracePane } from './TracePane.tsx';
import { usePage } from './usePage.ts';

export function TryPlace() {
  const { editor } = useWorkplace();
  const state = useEditorState();
  const navigate = useNavigate();
  const [query, setQuery] = useSearchParams();
  const [revision, setRevision] = useState<number>();
  const [run, setRun] = useState(0);
  const [problem, setProblem] = useState<string>();
  const [offline, setOffline] = useState(false);
  const [given, setGiven] = useState<readonly GivenThing[]>([]);
  const which = query.get('size') ?? 'all';
  const screen = currentScreen(state)?.name ?? '';
  const [sizes, setSizes] = useState<readonly ScreenSize[]>(() => keptSizes('try'));
  const [conditions, setConditions] = useHeld<Conditions>('conditions', plainConditions);
  const [linked, setLinked] = useHeld('linked', true);
  const [tracing, setTracing] = useHeld('tracing', false);
  const [traces, setTraces] = useState<readonly TraceEntry[]>([]);
  const called = calledBy(state.project);
  const [calls, setCalls] = useHeld<boolean | undefined>('calls', undefined);
  const isAllowed =
    !editor.isForeign || called.every(({ origin }) => allowedCalls(editor.projectId).includes(origin));
  const isAsked = !isAllowed && calls === undefined;
  const address =
    revision === undefined || isAsked
      ? undefined
      : api.tryAddress(editor.projectId, revision, screen, {
          ...conditions,
          calls: editor.isForeign && isAllowed,
        });
  const page = usePage(address, run);
  const shown = which === 'all' ? sizes : sizes.filter(({ label }) => label === which);
  const choose = (next: readonly ScreenSize[]) => {
    setSizes(next);
    keepSizes('try', next);
    setQuery({}, { replace: true });
  };

  // biome-ignore lint/correctness/useExhaustiveDependencies: another run starts the pages again.
  useEffect(() => {
    let gone = false;
    setProblem(undefined);
    setGiven([]);
    setTraces([]);
    void editor.settled().then((settled) => {
      if (gone) return;
      setOffline(!settled);
      setRevision(editor.state.revision);
    });
    return () => {
      gone = true;
    };
  }, [editor, run]);

  const hear = (size: string, screenName: string, trace: ToldTrace) =>
    setTraces((before) =>
      [{ id: (before[0]?.id ?? 0) + 1, size, screen: screenName, at: new Date(), trace }, ...before].slice(
        0,
        mostTraces,
      ),
    );

  /** Back on the bench, with a control of the running page selected. */
  const pick = (screenName: string, control: string) => {
    const found = editor.state.project.screens.find(({ name }) => name === screenName);
    const names = found ? [...effectiveNames(found)] : [];
    const id = names.find(([, name]) => name === control.replace(/\[.*$/, ''))?.[0];
    if (id === undefined) return;
    editor.select([id]);
    leave();
  };
  const leave = () => void navigate('..', { relative: 'path' });
  useEscape(true, leave);

  return (
    <div className="flex h-full flex-col bg-sunk">
      <header className="shrink-0 border-b border-rule bg-sheet">
        <div className="flex h-11 items-center gap-3 border-b border-rule/60 px-3">
          <button type="button" className="btn" onClick={leave}>
            <ArrowLeft size={15} aria-hidden /> Build
          </button>
          <h1 className="font-semibold">
            {state.project.name} <span className="font-normal text-quiet">running</span>
          </h1>
          <span className="flex-1" />
          <fieldset
            className="flex items-center overflow-hidden rounded-md border border-rule"
            aria-label="Size"
          >
            {['all', ...sizes.map(({ label }) => label)].map((label) => (
              <label
                key={label}
                className={`flex h-[26px] cursor-pointer items-center border-rule px-3 not-first:border-l has-focus-visible:outline-2 has-focus-visible:outline-lake ${label === which ? 'bg-spruce font-medium text-on-spruce' : ''}`}
              >
                <input
                  type="radio"
                  name="size"
                  className="sr-only"
                  checked={label === which}
                  onChange={() => setQuery(label === 'all' ? {} : { size: label }, { replace: true })}
                />
                {label === 'all' ? 'All sizes' : label}
              </label>
            ))}
          </fieldset>
          <Menu
            label="Sizes"
            button={
              <button type="button" className="btn" title="Which sizes are shown">
                Sizes <ChevronDown size={13} aria-hidden />
              </button>
            }
            entries={allSizes().map((size) => {
              const there = sizes.some(({ label }) => label === size.label);
              return {
                label: size.label,
                keys: sizeWords(size),
                checked: there,
                disabled: there && sizes.length === 1,
                onSelect: () =>
                  choose(
                    there
                      ? sizes.filter(({ label }) => label !== size.label)
                      : allSizes().filter(
                          ({ label }) => label === size.label || sizes.some((each) => each.label === label),
                        ),
                  ),
              };
            })}
          />
          <button
            type="button"
            className="btn"
            title="All screens at all bands on one page"
            onClick={() => void navigate('../wall', { relative: 'path' })}
          >
            <LayoutDashboard size={14} aria-hidden /> Wall
          </button>
          <button
            type="button"
            className="btn aria-pressed:border-spruce aria-pressed:bg-spruce/15"
            aria-pressed={tracing}
            title="What each event does"
            onClick={() => setTracing(!tracing)}
          >
            <ListTree size={14} aria-hidden /> Trace
          </button>
          <button
            type="button"
            className="btn"
            onClick={() => setRun(run + 1)}
            title="Start again from the initial values"
          >
            <RotateCcw size={14} aria-hidden /> Start again
          </button>
        </div>
        <div
          role="toolbar"
          aria-label="Conditions"
          className="flex h-9 items-center gap-4 px-3 text-[12.5px]"
        >
          <ConditionFields
            conditions={conditions}
            onConditions={setConditions}
            linked={linked}
            onLinked={setLinked}
          />
        </div>
      </header>
      {(problem || offline) && (
        <p role="alert" className="border-b border-rule bg-sheet px-4 py-2 text-brick">
          {offline ? 'The server cannot be reached; what runs here may lack the newest changes.' : problem}
        </p>
      )}
      {given.length > 0 && (
        <Given things={given} onProblem={setProblem} onDone={() => setGiven(given.slice(1))} />
      )}
      <main className="flex min-h-0 flex-1">
        {isAsked ? (
          <AskCalls
            called={called}
            onAnswer={(isYes) => {
              if (isYes)
                allowCalls(
                  editor.projectId,
                  called.map(({ origin }) => origin),
                );
              setCalls(isYes);
            }}
          />
        ) : page.what === 'failed' ? (
          <section role="alert" className="m-auto flex max-w-lg flex-col items-start gap-3 p-4">
            <h2 className="text-[15px] font-semibold">The application could not be started</h2>
            <p>{page.message}</p>
            <button type="button" className="btn" onClick={() => setRun(run + 1)}>
              Try again
            </button>
          </section>
        ) : address === undefined || page.what === 'coming' ? (
          <p className="m-auto text-quiet" role="status" aria-busy="true">
            Making the application …
          </p>
        ) : (
          <Frames
            key={`${run} ${revision}`}
            sizes={shown}
            address={address}
            conditions={conditions}
            linked={linked}
            onProblem={setProblem}
            onPick={pick}
            onGiven={(thing) => setGiven((things) => [...things, thing])}
            onTrace={hear}
          />
        )}
      </main>
      {tracing && (
        <TracePane
          entries={traces}
          onPick={pick}
          onClear={() => setTraces([])}
          onClose={() => setTracing(false)}
        />
      )}
    </div>
  );
}
