/** The focus order of a screen as the working bay shows it. */
import { type Control, type FocusStop, focusJumps, focusOrder, type ScreenLayout } from '@hovrin/core';
import { useWorkplace } from '../../editor/context.tsx';

export interface ShownFocusOrder {
  readonly stops: readonly FocusStop[];
  /** Ids of controls to which the focus jumps back against the reading order. */
  readonly jumps: ReadonlySet<string>;
}

/** @param layout of the working bay; the newest one where it is not given. */
export function useFocusOrder(screen: Control, layout?: ScreenLayout): ShownFocusOrder {
  const { editor } = useWorkplace();
  const stops = focusOrder(screen);
  const at = layout ?? editor.bench?.layout;
  return { stops, jumps: at ? focusJumps(stops, at) : new Set() };
}
