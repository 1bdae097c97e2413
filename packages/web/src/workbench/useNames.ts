/** What controls are called in reports about a screen, parts of instances and of components among them. */
import { type Control, namesOn } from '@hovrin/core';
import { useEditorState } from '../editor/context.tsx';

/** Names by id. */
export function useNames(screen: Control): ReadonlyMap<string, string> {
  const { project } = useEditorState('project');
  return namesOn(project, screen);
}
