/** Try: the exported page running in sandboxed frames, at one size or at all of them. */
import { ArrowLeft, RotateCcw } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { api } from '../api.ts';
import { currentScreen, useEditorState, useWorkplace } from '../editor/context.tsx';
import { type ScreenSize, sizeWords, usualSizes } from '../sizes.ts';

/** What a running page says to the window around it. */
interface PageMessage {
  readonly type: string;
  readonly text: string;
}

export function TryPlace() {
  const { editor } = useWorkplace();
  const state = useEditorState();
  const navigate = useNavigate();
  const [query, setQuery] = useSearchParams();
  const [revision, setRevision] = useState<number>();
  const [run, setRun] = useState(0);
  const [problem, setProblem] = useState<string>();
  const [offline, setOffline] = useState(false);
  const which = query.get('size') ?? 'all';
  const screen = currentScreen(state)?.name ?? '';
  const shown = which === 'all' ? usualSizes : usualSizes.filter(({ label }) => label === which);

  // biome-ignore lint/correctness/useExhaustiveDependencies: another run starts the pages again.
  useEffect(() => {
    let gone = false;
    setProblem(undefined);
    void editor.settled().then((settled) => {
      if (gone) return;
      setOffline(!settled);
      setRevision(editor.state.revision);
    });
    return () => {
      gone = true;
    };
  }, [editor, run]);

  const leave = () => void navigate('..', { relative: 'path' });
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.key === 'Escape') leave();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  });

  return (
    <div className="flex h-full flex-col bg-sunk">
      <header className="flex h-11 shrink-0 items-center gap-3 border-b border-rule bg-sheet px-3">
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
          {['all', ...usualSizes.map(({ label }) => label)].map((label) => (
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
        <button
          type="button"
          className="btn"
          onClick={() => setRun(run + 1)}
          title="Start again from the initial values"
        >
          <RotateCcw size={14} aria-hidden /> Start again
        </button>
      </header>
      {(problem || offline) && (
        <p role="alert" className="border-b border-rule bg-sheet px-4 py-2 text-brick">
          {offline ? 'The server cannot be reached; what runs here may lack the newest changes.' : problem}
        </p>
      )}
      <main className="flex min-h-0 flex-1">
        {revision === undefined ? (
          <p className="m-auto text-quiet" aria-busy="true">
            Starting the application …
          </p>
        ) : (
          <Frames
            key={`${run} ${revision}`}
            sizes={shown}
            address={api.tryAddress(editor.projectId, revision, screen)}
            onProblem={setProblem}
          />
        )}
      </main>
    </div>
  );
}

const gap = 28;

/** Frames side by side, all at the one scale at which they fit. */
function Frames({
  sizes,
  address,
  onProblem,
}: {
  sizes: readonly ScreenSize[];
  address: string;
  onProblem: (text: string) => void;
}) {
  const area = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState({ width: 0, height: 0 });
  useEffect(() => {
    const watch = new ResizeObserver(
      ([entry]) => entry && setRoom({ width: entry.contentRect.width, height: entry.contentRect.height }),
    );
    if (area.current) watch.observe(area.current);
    return () => watch.disconnect();
  }, []);
  useEffect(() => {
    const hear = (event: MessageEvent<PageMessage>) => {
      if (event.data?.type === 'hovrin-problem') onProblem(String(event.data.text));
    };
    window.addEventListener('message', hear);
    return () => window.removeEventListener('message', hear);
  }, [onProblem]);
  const scale = useMemo(() => {
    const width = sizes.reduce((sum, size) => sum + size.width, 0);
    const tallest = Math.max(...sizes.map((size) => size.height));
    return Math.min(
      1,
      (room.width - gap * (sizes.length + 1)) / width,
      (room.height - gap * 2 - 24) / tallest,
    );
  }, [sizes, room]);
  return (
    <div
      ref={area}
      className="flex min-w-0 flex-1 items-start justify-center overflow-auto"
      style={{ gap, padding: gap }}
    >
      {room.width > 0 &&
        sizes.map((size) => (
          <figure key={size.label} className="m-0 flex flex-col gap-1.5">
            <figcaption className="flex justify-between gap-3 text-[12px]">
              <span className="font-medium">{size.label}</span>
              <span className="text-quiet">
                {sizeWords(size)} · {Math.round(scale * 100)} %
              </span>
            </figcaption>
            <div
              className="overflow-hidden rounded-md border border-rule bg-white"
              style={{ width: size.width * scale, height: size.height * scale }}
            >
              <iframe
                title={`${size.label}, ${sizeWords(size)}`}
                src={address}
                sandbox="allow-scripts"
                style={{
                  width: size.width,
                  height: size.height,
                  border: 0,
                  transform: `scale(${scale})`,
                  transformOrigin: '0 0',
                }}
              />
            </div>
          </figure>
        ))}
    </div>
  );
}
