/** Try: the exported page running in sandboxed frames, at one size or at all of them. */
import { useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { api } from '../api.ts';
import { currentScreen, useEditorState, useWorkplace } from '../editor/context.tsx';
import { useHeld } from '../editor/held.ts';
import { useEscape } from '../parts/useEscape.ts';
import { useGoTo } from '../parts/useGoTo.ts';
import { secretsHere } from '../secretsHere.ts';
import { keepSizes, keptSizes, type ScreenSize } from '../sizes.ts';
import { AskCalls } from './AskCalls.tsx';
import { allowCalls, allowedCalls, calledBy } from './calls.ts';
import { type Conditions, plainConditions } from './conditions.tsx';
import { Frames } from './Frames.tsx';
import { Given } from './Given.tsx';
import { type KeptTexts, keepHere, keptHere, valuesKept } from './keptHere.ts';
import { LinkedFrames } from './linkedFrames.ts';
import { NewVersion } from './NewVersion.tsx';
import { ProblemStrip } from './ProblemStrip.tsx';
import { TracePane } from './TracePane.tsx';
import { TryHeader, type TryPane } from './TryHeader.tsx';
import { TasksPane } from './tasks/TasksPane.tsx';
import { useTasks } from './tasks/useTasks.ts';
import { usePage } from './usePage.ts';
import { usePick } from './usePick.ts';
import { useTold } from './useTold.ts';
import { ValuesPane } from './ValuesPane.tsx';

/** Whether the application may call the services that it names: asked once, where the project is from elsewhere. */
function useCalls() {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const called = calledBy(project);
  const [answered, setAnswered] = useHeld<boolean | undefined>('calls', undefined);
  const isAllowed =
    !editor.isForeign || called.every(({ origin }) => allowedCalls(editor.projectId).includes(origin));
  return {
    called,
    isAllowed,
    isAsked: !isAllowed && answered === undefined,
    answer: (isYes: boolean) => {
      const origins = called.map(({ origin }) => origin);
      if (isYes) allowCalls(editor.projectId, origins);
      setAnswered(isYes);
    },
  };
}

/** What the application keeps from one run to the next, in this window. */
function useKept(run: number) {
  const { editor } = useWorkplace();
  const { projectId } = editor;
  const [begins, setBegins] = useHeld('beginsWithKept', true);
  const [texts, setTexts] = useState<KeptTexts>(() => keptHere(projectId));
  const newest = useRef(texts);
  const take = (next: KeptTexts) => {
    newest.current = next;
    keepHere(projectId, next);
    setTexts(next);
  };
  const [start, setStart] = useState({ run, texts });
  // What a run begins with is what was kept before it.
  if (start.run !== run) setStart({ run, texts });
  return {
    begins,
    setBegins,
    texts,
    atStart: (): KeptTexts => (begins ? (start.run === run ? start.texts : texts) : {}),
    keep: (key: string, text: string) => take({ ...newest.current, [key]: text }),
    forget: () => take({}),
  };
}

/** The newest revision that the server has, once everything is stored; asked again in each run. */
function useStored(run: number, onBegin: () => void) {
  const { editor } = useWorkplace();
  const [revision, setRevision] = useState<number>();
  const [offline, setOffline] = useState(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another run starts the pages again.
  useEffect(() => {
    let gone = false;
    onBegin();
    void editor.settled().then((settled) => {
      if (gone) return;
      setOffline(!settled);
      setRevision(editor.state.revision);
    });
    return () => {
      gone = true;
    };
  }, [editor, run]);
  const take = () =>
    void editor.settled().then((settled) => {
      setOffline(!settled);
      setRevision(editor.state.revision);
    });
  return { revision, offline, take };
}

export function TryPlace() {
  const { editor } = useWorkplace();
  const state = useEditorState();
  const goTo = useGoTo();
  const [query, setQuery] = useSearchParams();
  const [run, setRun] = useState(0);
  const told = useTold();
  const which = query.get('size') ?? 'all';
  const screen = currentScreen(state)?.name ?? '';
  const [sizes, setSizes] = useState<readonly ScreenSize[]>(() => keptSizes('try'));
  const [conditions, setConditions] = useHeld<Conditions>('conditions', plainConditions);
  const [linked, setLinked] = useHeld('linked', true);
  const [follows, setFollows] = useHeld('followsEdits', false);
  const [held, setPane] = useHeld<TryPane | undefined>('pane', undefined);
  const pane = held ?? (query.has('task') ? 'tasks' : undefined);
  const [frames] = useState(() => new LinkedFrames(() => secretsHere(editor.projectId)));
  const kept = useKept(run);
  const keptUnder = state.project.id ?? state.project.name;
  const calls = useCalls();
  const { revision, offline, take } = useStored(run, () => told.begin(valuesKept(kept.atStart(), keptUnder)));
  const again = () => setRun(run + 1);
  const onSize = (label: string | undefined) =>
    setQuery(label === undefined ? {} : { size: label }, { replace: true });
  const tasks = useTasks({ frames, screen, onSize, onAgain: () => setRun((before) => before + 1) });
  // What is recorded, and done again, is what somebody does who was never there.
  const isTask = tasks.isDoing || tasks.recording !== undefined;
  const atStart = isTask ? {} : kept.atStart();
  const address =
    revision === undefined || calls.isAsked
      ? undefined
      : api.tryAddress(editor.projectId, revision, tasks.startsOn, {
          ...conditions,
          calls: editor.isForeign && calls.isAllowed,
        });
  const page = usePage(address, run);
  const shown = which === 'all' ? sizes : sizes.filter(({ label }) => label === which);
  const choose = (next: readonly ScreenSize[]) => {
    setSizes(next);
    keepSizes('try', next);
    setQuery({}, { replace: true });
  };

  const leave = () => goTo('');
  const pick = usePick(leave);
  useEscape(true, leave);

  return (
    <div className="flex h-full flex-col bg-sunk">
      <TryHeader
        {...{ which, sizes, conditions, linked, follows, pane }}
        onWhich={(label) => onSize(label === 'all' ? undefined : label)}
        onSizes={choose}
        onConditions={setConditions}
        onLinked={setLinked}
        onFollows={setFollows}
        onPane={setPane}
        onAgain={again}
        onLeave={leave}
      />
      {offline && (
        <p role="alert" className="border-b border-rule bg-sheet px-4 py-2 text-brick">
          The server cannot be reached; what runs here may lack the newest changes.
        </p>
      )}
      {revision !== undefined && state.revision > revision && !isTask && (
        <NewVersion version={state.revision} follows={follows} onTake={take} />
      )}
      <ProblemStrip problems={told.problems} onClear={told.clearProblems} />
      {told.given.length > 0 && (
        <Given things={told.given} onProblem={told.onProblem} onDone={told.givenDone} />
      )}
      <main className="flex min-h-0 flex-1">
        {calls.isAsked ? (
          <AskCalls called={calls.called} onAnswer={calls.answer} />
        ) : page.what === 'failed' ? (
          <NotStarted message={page.message} onAgain={again} />
        ) : address === undefined || page.what === 'coming' ? (
          <p className="m-auto text-quiet" role="status" aria-busy="true">
            Making the application …
          </p>
        ) : (
          <Frames
            key={run}
            sizes={shown}
            address={address}
            conditions={conditions}
            linked={linked}
            frames={frames}
            kept={atStart}
            {...told}
            {...tasks}
            onValue={(name, value) => {
              // The application has a choice of languages itself.
              if (name === 'View.locale') setConditions({ ...conditions, locale: String(value) });
              else told.onValue(name, value);
            }}
            onKeep={isTask ? () => {} : kept.keep}
            onPick={pick}
          />
        )}
        {pane === 'tasks' && (
          <TasksPane
            tasks={tasks}
            sizes={sizes.map(({ label }) => label)}
            wanted={query.get('task')}
            onClose={() => setPane(undefined)}
          />
        )}
      </main>
      {pane === 'trace' && (
        <TracePane
          entries={told.traces}
          onPick={pick}
          onClear={told.clearTraces}
          onClose={() => setPane(undefined)}
        />
      )}
      {pane === 'values' && (
        <ValuesPane
          project={state.project}
          projectId={editor.projectId}
          onSecret={(name, text) => frames.setSecret(name, text)}
          values={told.values}
          onSet={(name, value) => {
            frames.set(name, value);
            told.onValue(name, value);
          }}
          keptCount={valuesKept(kept.texts, keptUnder).size}
          beginsWithKept={kept.begins}
          onBeginWithKept={kept.setBegins}
          onForget={kept.forget}
          onClose={() => setPane(undefined)}
        />
      )}
    </div>
  );
}

function NotStarted({ message, onAgain }: { message: string; onAgain: () => void }) {
  return (
    <section role="alert" className="m-auto flex max-w-lg flex-col items-start gap-3 p-4">
      <h2 className="text-[15px] font-semibold">The application could not be started</h2>
      <p>{message}</p>
      <button type="button" className="btn" onClick={onAgain}>
        Try again
      </button>
    </section>
  );
}
