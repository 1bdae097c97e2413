/** What is selected, as it is shown beside the place where one works. */
import { locate, type Project } from '@hovrin/core';
import { useMemo } from 'react';
import { useEditorState } from '../editor/context.tsx';
import type { EditorState } from '../editor/editor.ts';
import { useAfterPaint } from './useAfterPaint.ts';

/** The project as it is, and a selection in it. */
interface ShownSelection extends Pick<EditorState, 'selection' | 'screenId'> {
  readonly project: Project;
  /** Whether something else has been selected by now, and will be shown after the next frame. */
  readonly waits: boolean;
}

/**
 * The selection as all but the working bay shows it: what one chooses is marked there at once, and the tree, the path, other
 * bays and facts follow once that is painted. Nothing is shown as selected that is not on the screen any more.
 *
 * @param atOnce the selection as it is.
 */
export function useShownSelection(atOnce = false): ShownSelection {
  const { project, selection, screenId, naming } = useEditorState(
    'project',
    'selection',
    'screenId',
    'naming',
  );
  const chosen = useMemo(() => ({ selection, screenId }), [selection, screenId]);
  const [shown, waits] = useAfterPaint(
    chosen,
    (next, before) =>
      atOnce ||
      // What is typed next is its name.
      naming !== undefined ||
      next.screenId !== before.screenId ||
      before.selection.some((id) => locate(project, id) === undefined),
  );
  return { project, ...shown, waits };
}
