/** The problems of the project, looked for once it has been left alone for a moment. */
import { type Problem, problemsOf } from '@hovrin/core';
import { useEffect, useState } from 'react';
import { useEditorState } from '../editor/context.tsx';

/** Milliseconds after the last change. */
const rest = 600;

/** @returns undefined: they have not been looked for yet. */
export function useProblems(): readonly Problem[] | undefined {
  const { project } = useEditorState('project');
  const [problems, setProblems] = useState<readonly Problem[]>();
  useEffect(() => {
    const timer = setTimeout(() => setProblems(problemsOf(project)), problems === undefined ? 0 : rest);
    return () => clearTimeout(timer);
  }, [project, problems]);
  return problems;
}
