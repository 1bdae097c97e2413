/** The open project for the components below: the editor, its state, the shaper. */
import { type Control, locate, type Project } from '@hovrin/core';
import type { Shaper } from '@hovrin/core/text/shaper';
import { createContext, useContext, useSyncExternalStore } from 'react';
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

/** The editor's state; the component is drawn again at each change. */
export function useEditorState(): EditorState {
  const { editor } = useWorkplace();
  return useSyncExternalStore(editor.subscribe, () => editor.state);
}

/** The screen being built; undefined in a project without screens. */
export function currentScreen(state: Pick<EditorState, 'project' | 'screenId'>): Control | undefined {
  return state.project.screens.find((screen) => screen.id === state.screenId);
}

/** The control that facts are shown for: the first of the selection, else the screen. */
export function currentControl(state: EditorState): Control | undefined {
  const [id] = state.selection;
  return (
    (id === undefined ? undefined : locate(state.project as Project, id)?.control) ?? currentScreen(state)
  );
}
