/** The open project for the components below: the editor, its state, the shaper. */
import { type Control, locate, treeOfId } from '@hovrin/core';
import type { Shaper } from '@hovrin/core/text/shaper';
import { createContext, useContext, useRef, useSyncExternalStore } from 'react';
import type { Editor, EditorState } from './editor.ts';

export interface Workplace {
  readonly editor: Editor;
  readonly shaper: Shaper;
}

export const WorkplaceContext = createContext<Workplace | undefined>(undefined);

export function useWorkplace(): Workplace {
  const workplace = useContext(WorkplaceContext);
  if (!workplace) throw new Error('There is no open project around this component');
  return workplace;
}

/**
 * The editor's state; the component is drawn again where one of the parts that it names changes, or, where it names
 * none, at each change.
 */
export function useEditorState(): EditorState;
export function useEditorState<K extends keyof EditorState>(...parts: readonly K[]): Pick<EditorState, K>;
export function useEditorState(...parts: readonly (keyof EditorState)[]): Partial<EditorState> {
  const { editor } = useWorkplace();
  const last = useRef<Partial<EditorState>>(undefined);
  return useSyncExternalStore(editor.subscribe, () => {
    const { state } = editor;
    if (parts.length === 0) return state;
    if (!last.current || parts.some((part) => last.current![part] !== state[part]))
      last.current = Object.fromEntries(parts.map((part) => [part, state[part]]));
    return last.current;
  });
}

/** The screen being built; undefined in a project without screens. */
export function currentScreen(state: Pick<EditorState, 'project' | 'screenId'>): Control | undefined {
  return treeOfId(state.project, state.screenId);
}

/** The control that facts are shown for: the first of the selection, else the screen. */
export function currentControl(
  state: Pick<EditorState, 'project' | 'selection' | 'screenId'>,
): Control | undefined {
  const [id] = state.selection;
  return (id === undefined ? undefined : locate(state.project, id)?.control) ?? currentScreen(state);
}
