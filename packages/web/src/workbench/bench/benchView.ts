/** How the bench is looked at: sizes, outlines, the control that is lit, a change that is previewed. */
import type { Instant, Mode, Project, SampleCondition } from '@hovrin/core';
import { createContext, useContext } from 'react';
import type { ScreenSize } from '../../sizes.ts';
import type { LiveValues } from '../bays/useLiveValues.ts';
import type { WordsAt } from '../hands/wordsAt.ts';
import type { Tracing } from './tracing.ts';

/** Which boxes have outlines. With any outlines on, the selection shows its padding, gaps and tracks. */
export const outlineWords = {
  off: 'No outlines',
  selection: 'Of the selection',
  all: 'Of all boxes',
} as const;
export type Outlines = keyof typeof outlineWords;

/** The modes that a reader may ask their device for. */
export const modeWords: Readonly<Record<Mode, string>> = {
  light: 'In the light',
  dark: 'In the dark',
  contrast: 'With more contrast',
};

/** What is seen on the bench besides the screens themselves. */
export interface Seeing {
  readonly outlines: Outlines;
  /** Names on outlines. */
  readonly names: boolean;
  /** What is hidden stands there faintly. */
  readonly hidden: boolean;
  /** Texts are longer than they are. */
  readonly long: boolean;
  /** The language that the bays are in, a tag of the project's; empty: that of the source. */
  readonly locale: string;
  /** What a reader asks their device for: light or dark colours, more contrast. */
  readonly mode: Mode;
  /** In place of the other sizes, the selected control in each of its states. */
  readonly states: boolean;
  /** What the tables have in them. */
  readonly sample: SampleCondition;
  /** Bays of other sizes stand beside or below the working one. */
  readonly others: boolean;
  /** The case that a component is shown in when it is open alone; empty, or none of its: as its parameters begin. */
  readonly sampleCase: string;
  /** Seconds between two values of feeds that are shown; 0: they stand still. */
  readonly live: number;
  /** A picture to build after is shown. */
  readonly tracing: boolean;
}

export interface BenchView {
  readonly seeing: Seeing;
  readonly see: (change: Partial<Seeing>) => void;
  /** What feeds say now, by variable. */
  readonly liveValues: LiveValues;
  /** The kind of control whose place and size is drawn next. */
  readonly drawing: string | undefined;
  readonly setDrawing: (kind: string | undefined) => void;
  /** The picture to build after, of this screen in this band. */
  readonly tracing: Tracing | undefined;
  readonly setTracing: (tracing: Tracing | undefined) => void;
  /** The working bay's size, then the side bays'. */
  readonly sizes: readonly ScreenSize[];
  readonly setSizes: (sizes: readonly ScreenSize[]) => void;
  /** Makes the working bay another size; it is kept within what is possible. */
  readonly resize: (size: Partial<ScreenSize>) => void;
  /** Widths at which the layout jumps, as far as they are known, CSS px. */
  readonly layoutChanges: { current: readonly number[] };
  /** Whether dragging snaps to steps and guides; a modifier key inverts it. */
  readonly snapping: boolean;
  readonly setSnapping: (on: boolean) => void;
  /** Whether the turns in which controls take the focus are shown. */
  readonly focusShown: boolean;
  /** Controls pressed so far while they are given their turns; undefined: they are not. */
  readonly turns: readonly string[] | undefined;
  readonly setTurns: (turns: readonly string[] | undefined) => void;
  /** Something is dragged by a hand: all else of ours is out of the way. */
  readonly handling: boolean;
  readonly setHandling: (handling: boolean) => void;
  /** Words that are typed where they stand. */
  readonly writing: WordsAt | undefined;
  readonly setWriting: (words: WordsAt | undefined) => void;
  /** A control that something else on the screen speaks of just now. */
  readonly lit: string | undefined;
  readonly setLit: (control: string | undefined) => void;
  /** The instant of a motion that all bays show. */
  readonly instant: Instant | undefined;
  readonly setInstant: (instant: Instant | undefined) => void;
  /** The project as it would be; shown in its place while something is only pointed at. */
  readonly preview: Project | undefined;
  readonly setPreview: (project: Project | undefined) => void;
}

export const BenchViewContext = createContext<BenchView | undefined>(undefined);

export function useBenchView(): BenchView {
  const view = useContext(BenchViewContext);
  if (!view) throw new Error('There is no bench around this component');
  return view;
}
