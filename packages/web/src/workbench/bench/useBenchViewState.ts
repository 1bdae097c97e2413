/** Keeps how the bench is looked at: sizes, outlines, the control that is lit, the kind that is drawn, the picture that is traced. */
import type { Instant, Project } from '@hovrin/core';
import { useCallback, useMemo, useRef, useState } from 'react';
import { currentScreen, useEditorState, useWorkplace } from '../../editor/context.tsx';
import { useHeld } from '../../editor/held.ts';
import { keepSizes, keptSizes, resized, type ScreenSize } from '../../sizes.ts';
import { useLiveValues } from '../bays/useLiveValues.ts';
import type { WordsAt } from '../hands/wordsAt.ts';
import { bandAt } from '../scope.ts';
import type { BenchView, Seeing } from './benchView.ts';
import { useTracing } from './tracing.ts';

const plainlySeen: Seeing = {
  outlines: 'off',
  names: true,
  hidden: false,
  long: false,
  locale: '',
  mode: 'light',
  states: false,
  sample: 'typical',
  sampleCase: '',
  others: true,
  live: 0,
  tracing: false,
};

/** @param focusShown whether the order of focus is shown on the bays. */
export function useBenchViewState(focusShown: boolean): BenchView {
  const { editor } = useWorkplace();
  const state = useEditorState('project', 'screenId');
  const screen = currentScreen(state);
  const [seeing, setSeeing] = useHeld<Seeing>('seeing', plainlySeen);
  const see = useCallback(
    (change: Partial<Seeing>) => setSeeing((now) => ({ ...now, ...change })),
    [setSeeing],
  );
  const liveValues = useLiveValues(state.project, seeing.live);

  const [sizes, setKept] = useState<readonly ScreenSize[]>(() => keptSizes('build'));
  const setSizes = useCallback((next: readonly ScreenSize[]) => {
    setKept(next);
    keepSizes('build', next);
  }, []);
  const [handling, setHandling] = useState(false);
  const [writing, setWriting] = useState<WordsAt>();
  const [lit, setLit] = useState<string>();
  const [preview, setPreview] = useState<Project>();
  const [instant, setInstant] = useState<Instant>();
  const [snapping, setSnapping] = useState(localStorage.getItem('hovrin.snapping') !== 'off');
  const resize = useCallback(
    (size: Partial<ScreenSize>) =>
      setKept((kept) => {
        const [working, ...sides] = kept;
        if (!working) return kept;
        // Dragged to another width, it is no folding screen any more.
        const unfolded = size.width === undefined ? {} : { hinge: undefined };
        return [resized({ ...working, ...size, ...unfolded }), ...sides];
      }),
    [],
  );
  const layoutChanges = useRef<readonly number[]>([]);
  const [turns, setTurns] = useState<readonly string[]>();
  const [drawing, setDrawing] = useState<string>();
  const [tracing, setTracing] = useTracing(
    `${editor.projectId} ${screen?.id ?? ''} ${bandAt(state.project, sizes[0]?.width ?? 0)?.name ?? ''}`,
  );
  return useMemo(
    () => ({
      seeing,
      see,
      liveValues,
      drawing,
      setDrawing,
      tracing,
      setTracing,
      sizes,
      setSizes,
      resize,
      layoutChanges,
      focusShown,
      turns,
      setTurns,
      handling,
      setHandling,
      writing,
      setWriting,
      lit,
      setLit,
      preview,
      setPreview,
      instant,
      setInstant,
      snapping,
      setSnapping: (on: boolean) => {
        localStorage.setItem('hovrin.snapping', on ? 'on' : 'off');
        setSnapping(on);
      },
    }),
    [
      seeing,
      see,
      drawing,
      tracing,
      setTracing,
      sizes,
      setSizes,
      resize,
      focusShown,
      liveValues,
      turns,
      handling,
      writing,
      lit,
      preview,
      instant,
      snapping,
    ],
  );
}
