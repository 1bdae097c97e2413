/** What the bench shows besides the document: sizes, what is lit, what is being previewed. */
import type { Project } from '@hovrin/core';
import { createContext, useContext } from 'react';
import type { ScreenSize } from '../sizes.ts';

export interface BenchView {
  /** The working bay's size, then the side bays'. */
  readonly sizes: readonly ScreenSize[];
  readonly setSizes: (sizes: readonly ScreenSize[]) => void;
  /** Makes the working bay another size; it is kept within what is possible. */
  readonly resize: (size: Partial<ScreenSize>) => void;
  /** Whether dragging goes by steps and by what things line up with; a modifier turns it round. */
  readonly snapping: boolean;
  readonly setSnapping: (on: boolean) => void;
  /** A control that something else on the screen speaks of just now. */
  readonly lit: string | undefined;
  readonly setLit: (control: string | undefined) => void;
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
