/** What is done with the picture that one builds after. */
import { effectiveNames, keysOf } from '@hovrin/core';
import { X } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { api } from '../../api.ts';
import { currentScreen, useEditorState, useWorkplace } from '../../editor/context.tsx';
import type { ScreenSize } from '../../sizes.ts';
import { useBenchView } from './benchView.ts';
import { differingShare, type Tracing, tracingModes } from './tracing.ts';

/** Milliseconds that everything must rest before pixels are counted. */
const rest = 400;

/** Takes a picture that is pasted anywhere. */
function usePastedPicture(take: (file: Blob) => void) {
  const taking = useRef(take);
  taking.current = take;
  useEffect(() => {
    const paste = (event: ClipboardEvent) => {
      const file = [...(event.clipboardData?.files ?? [])].find(({ type }) => type.startsWith('image/'));
      if (!file) return;
      event.preventDefault();
      event.stopImmediatePropagation();
      taking.current(file);
    };
    window.addEventListener('paste', paste, true);
    return () => window.removeEventListener('paste', paste, true);
  }, []);
}

export function TracingStrip({ size }: { size: ScreenSize }) {
  const { tracing, setTracing, see } = useBenchView();
  const chooser = useRef<HTMLInputElement>(null);
  const { editor } = useWorkplace();
  const take = (file: Blob | undefined) => {
    if (!file?.type.startsWith('image/')) return editor.tell('Only pictures can be traced.');
    void createImageBitmap(file).then(
      ({ width }) =>
        setTracing({
          ...(tracing ?? { mode: 'under', amount: 0.6, x: 0, y: 0 }),
          picture: file,
          // A mock-up of twice the size is usual; it is fitted to the width.
          scale: Math.round((size.width / width) * 10_000) / 10_000,
        }),
      () => editor.tell('This picture cannot be read.'),
    );
  };
  usePastedPicture(take);
  return (
    <section
      aria-label="Tracing"
      className="mr-4 flex flex-wrap items-center gap-x-3 gap-y-1 rounded-md border border-rule bg-sheet px-2 py-1"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        take(event.dataTransfer.files[0]);
      }}
    >
      <input
        ref={chooser}
        type="file"
        accept="image/*"
        className="sr-only"
        aria-label="Picture to trace"
        tabIndex={-1}
        onChange={(event) => {
          take(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      <button type="button" className="btn" onClick={() => chooser.current?.click()}>
        {tracing ? 'Another picture' : 'Choose a picture'}
      </button>
      {tracing ? (
        <Compared size={size} tracing={tracing} />
      ) : (
        <span className="text-quiet">or drop or paste one here; it is kept for this screen and band.</span>
      )}
      <button
        type="button"
        className="btn-bare ml-auto"
        aria-label="Close tracing"
        onClick={() => see({ tracing: false })}
      >
        <X size={14} />
      </button>
    </section>
  );
}

/** How the picture is compared with the screen, and where it lies. */
function Compared({ size, tracing }: { size: ScreenSize; tracing: Tracing }) {
  const { setTracing } = useBenchView();
  const change = (part: Partial<Tracing>) => setTracing({ ...tracing, ...part });
  const wheel = (words: string, key: 'x' | 'y' | 'scale', step: number) => (
    <label className="flex items-center gap-1">
      <span className="text-quiet">{words}</span>
      <input
        type="number"
        className="field !w-[68px] text-right"
        step={step}
        value={tracing[key]}
        onChange={(event) => {
          const value = Number(event.target.value);
          if (Number.isFinite(value) && (key !== 'scale' || value > 0)) change({ [key]: value });
        }}
      />
    </label>
  );
  return (
    <>
      <fieldset
        className="flex overflow-hidden rounded-md border border-rule"
        aria-label="How it is compared"
      >
        {keysOf(tracingModes).map((mode) => (
          <label
            key={mode}
            className={`flex h-[26px] cursor-pointer items-center border-rule px-2 not-first:border-l has-focus-visible:outline-2 ${tracing.mode === mode ? 'bg-spruce text-on-spruce' : ''}`}
          >
            <input
              type="radio"
              name="tracing-mode"
              className="sr-only"
              checked={tracing.mode === mode}
              onChange={() => change({ mode })}
            />
            {tracingModes[mode]}
          </label>
        ))}
      </fieldset>
      {tracing.mode !== 'difference' && (
        <input
          type="range"
          className="w-24 accent-spruce"
          aria-label={tracing.mode === 'wipe' ? 'How far the wipe has gone' : 'Opacity of the picture'}
          min={0}
          max={1}
          step={0.05}
          value={tracing.amount}
          onChange={(event) => change({ amount: Number(event.target.value) })}
        />
      )}
      {wheel('Scale', 'scale', 0.01)}
      {wheel('X', 'x', 1)}
      {wheel('Y', 'y', 1)}
      <Share size={size} tracing={tracing} />
      <button type="button" className="btn" onClick={() => setTracing(undefined)}>
        Take away
      </button>
    </>
  );
}

/** How much of the window is another colour than in the picture. */
function Share({ size, tracing }: { size: ScreenSize; tracing: Tracing }) {
  const { editor } = useWorkplace();
  const state = useEditorState();
  const screen = currentScreen(state);
  const [share, setShare] = useState<number>();
  const { project } = state;
  // biome-ignore lint/correctness/useExhaustiveDependencies: whatever changes the screen changes the share.
  useEffect(() => {
    let gone = false;
    const timer = setTimeout(() => {
      const layout = editor.bench?.drawn();
      if (!layout) return;
      differingShare(layout, tracing, Math.round(size.height), (name) =>
        api.assetAddress(editor.projectId, name),
      ).then(
        (found) => !gone && setShare(found),
        () => !gone && setShare(undefined),
      );
    }, rest);
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, [editor, project, screen, size.width, size.height, tracing]);
  return (
    <span
      className="font-mono text-[12px]"
      role="status"
      title={`Of ${screen ? effectiveNames(screen).get(screen.id) : ''} in this window`}
    >
      {share === undefined ? '…' : `${(share * 100).toFixed(1)} % differ`}
    </span>
  );
}
