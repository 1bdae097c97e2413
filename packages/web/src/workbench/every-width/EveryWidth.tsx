/** Looks at the screen that is shown, in the language of the bench, at every width: for everything on the bench that speaks of it. */

import type { Control, Finding } from '@hovrin/core';
import { itemAt, treeOfId } from '@hovrin/core';
import { type ReactNode, type RefObject, useEffect, useMemo } from 'react';
import { useEditorState } from '../../editor/context.tsx';
import { shownIn } from '../../parts/LanguageChoice.tsx';
import { useBenchView } from '../bench/benchView.ts';
import { ChecksContext, FindingsContext, SweptContext, useChecks, useSweep } from './useEveryWidth.ts';

/**
 * Stands around the bench, so that only what shows the checks and the sweep is drawn again while they go on.
 *
 * @param newest is kept up to date with what was found.
 */
export function EveryWidth({
  screen,
  newest,
  children,
}: {
  screen: Control | undefined;
  newest: RefObject<readonly Finding[]>;
  children: ReactNode;
}) {
  const { project } = useEditorState('project');
  const { sizes, seeing } = useBenchView();
  const { locale } = seeing;
  const looked = useMemo(() => {
    const shown = shownIn(project, locale);
    return { ...shown, screen: screen && treeOfId(shown.project, screen.id) };
  }, [project, locale, screen]);
  const checks = useChecks(looked);
  const swept = useSweep(looked, itemAt(sizes, 0).height);
  useEffect(() => {
    newest.current = checks.findings;
  }, [newest, checks.findings]);
  return (
    <FindingsContext value={checks.findings}>
      <ChecksContext value={checks}>
        <SweptContext value={swept}>{children}</SweptContext>
      </ChecksContext>
    </FindingsContext>
  );
}
