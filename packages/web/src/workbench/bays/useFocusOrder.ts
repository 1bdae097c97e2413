/** The focus order of a screen as the working bay shows it, parts of instances among it. */
import {
  type Control,
  expandedOn,
  type FocusStop,
  focusJumps,
  focusOrder,
  focusOrderSteps,
  hasFocusTurns,
  type ScreenLayout,
  type Step,
  stepsInSource,
} from '@hovrin/core';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';

export interface ShownFocusOrder {
  readonly stops: readonly FocusStop[];
  /** Ids of controls to which the focus jumps back against the reading order. */
  readonly jumps: ReadonlySet<string>;
  /** Whether something has a turn of its own. */
  readonly given: boolean;
  /** The steps that put the stops in an order, by ids. */
  readonly orderSteps: (order: readonly string[]) => readonly Step[];
  /** The steps that put them back into that of the tree. */
  readonly plainSteps: () => readonly Step[];
}

/** @param layout of the working bay; the newest one where it is not given. */
export function useFocusOrder(own: Control, layout?: ScreenLayout): ShownFocusOrder {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const { screen } = expandedOn(project, own);
  const stops = focusOrder(screen);
  const at = layout ?? editor.bench?.layout;
  const plain = (id: string): Step => ({ type: 'set', control: id, property: 'tabindex', value: null });
  return {
    stops,
    jumps: at ? focusJumps(stops, at) : new Set(),
    given: hasFocusTurns(screen),
    orderSteps: (order) => stepsInSource(project, focusOrderSteps(screen, order)),
    plainSteps: () =>
      stepsInSource(
        project,
        stops.flatMap(({ takers }) =>
          takers.filter(({ props }) => props.tabindex !== undefined).map(({ id }) => plain(id)),
        ),
      ),
  };
}
