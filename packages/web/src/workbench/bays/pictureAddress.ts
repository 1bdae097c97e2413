/** Where the pictures of the open project lie. */
import { useCallback } from 'react';
import { api } from '../../api.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';

/** @returns a function that gives a picture's address by its name; undefined where the project has no such picture. */
export function usePictureAddress(): (name: string) => string | undefined {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const { assets } = project;
  return useCallback(
    (name) =>
      assets.some((asset) => asset.name === name) ? api.assetAddress(editor.projectId, name) : undefined,
    [assets, editor],
  );
}
