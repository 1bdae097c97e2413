/** Checks the screen that is shown, for everything on the bench that speaks of it. */
import type { Control, Finding } from '@hovrin/core';
import { type ReactNode, type RefObject, useEffect } from 'react';
import { useEditorState } from '../editor/context.tsx';
import { ChecksContext, FindingsContext, useChecks } from './useChecks.ts';

/**
 * Stands around the bench, so that only what shows the checks is drawn again while they go on.
 *
 * @param newest is kept up to date with what was found.
 */
export function Checking({
  screen,
  newest,
  children,
}: {
  screen: Control | undefined;
  newest: RefObject<readonly Finding[]>;
  children: ReactNode;
}) {
  const { project } = useEditorState('project');
  const checks = useChecks(project, screen);
  useEffect(() => {
    newest.current = checks.findings;
  }, [newest, checks.findings]);
  return (
    <FindingsContext value={checks.findings}>
      <ChecksContext value={checks}>{children}</ChecksContext>
    </FindingsContext>
  );
}
