/** What the bays show: the project, or how it would be, laid out at a size. */
import {
  type Control,
  declaredStates,
  type HeldStates,
  inCase,
  inSample,
  layoutInPlace,
  longTexts,
  type Project,
  pathTo,
  type ScreenLayout,
  ScreenView,
  scopeParts,
  treeOfId,
} from '@hovrin/core';
import { useCallback, useMemo, useRef } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { partIn } from '../../editor/inPlace.ts';
import type { InPlace } from '../../editor/view.ts';
import { shownIn } from '../../parts/LanguageChoice.tsx';
import type { ScreenSize } from '../../sizes.ts';
import { withLive } from '../bays/useLiveValues.ts';
import { unhidden } from '../hidden.ts';
import { useBenchView } from './benchView.ts';

/** The layout of a version of a screen at a size; worked out again when that or the size changes. */
export function useShownLayout(
  newest: Project,
  shown: Control,
  { width, height, safe, hinge, sample: own }: ScreenSize,
) {
  const { shaper } = useWorkplace();
  const { seeing, liveValues, instant } = useBenchView();
  const { inPlace: asked, screenId } = useEditorState('inPlace', 'screenId');
  const inPlace = screenId === shown.id ? asked : undefined;
  const sample = own ?? seeing.sample;
  const sampleCase = inPlace ? '' : seeing.sampleCase;
  const { locale } = seeing;
  const { project, faint, rightToLeft } = useMemo(() => {
    const now = liveValues.size > 0 ? { ...newest, state: withLive(newest.state, liveValues) } : newest;
    const told = inSample(now, sample, manyOnTheBench);
    const inOne = inCase(told, shown.id, sampleCase);
    const translated = shownIn(inOne, locale);
    const said = seeing.long ? longTexts(translated.project) : translated.project;
    const { rightToLeft } = translated;
    return { rightToLeft, ...(seeing.hidden ? unhidden(said, shown.id) : { project: said, faint: none }) };
  }, [newest, seeing.hidden, seeing.long, locale, sampleCase, sample, liveValues, shown.id]);
  const screen = treeOfId(project, inPlace?.tree ?? shown.id) ?? shown;
  const kept = useRef<ScreenView>(undefined);
  kept.current ??= new ScreenView(shaper);
  const current = kept.current;
  const { mode } = seeing;
  const states = useHeldStates(project, inPlace);
  const view = useMemo(
    () => ({
      width,
      height,
      safe,
      hinge,
      mode,
      states,
      rightToLeft,
      motions: instant && screenId === shown.id ? [instant] : undefined,
    }),
    [width, height, safe, hinge, mode, states, rightToLeft, instant, screenId, shown.id],
  );
  const layout = useMemo(
    () => placedIn(current.layOut(project, screen, { ...view, hues: true }), shown.id, inPlace),
    [current, project, screen, view, shown.id, inPlace],
  );
  /** The same with colours in it, for pictures. */
  const drawn = useCallback(
    () => new ScreenView(shaper).layOut(project, screen, view),
    [shaper, project, screen, view],
  );
  return { layout, faint, drawn };
}

/** The layout as the bench takes it: of a component that is edited in its place, with its own controls there. */
export const placedIn = (layout: ScreenLayout, component: string, inPlace: InPlace | undefined) =>
  inPlace ? layoutInPlace(layout, component, inPlace.at) : layout;

/** The state that values are set for is held on the selected controls, so that one sees what one edits. */
function useHeldStates(project: Project, inPlace: InPlace | undefined): HeldStates | undefined {
  const { scope, selection } = useEditorState('scope', 'selection');
  const { state } = scopeParts(project, scope);
  return useMemo(
    () =>
      state === ''
        ? undefined
        : new Map(
            // A state of its own holds for whoever declares it.
            [
              ...selection.flatMap((id) =>
                pathTo(project, id).filter((each) => declaredStates(each).includes(state)),
              ),
              ...selection.map((id) => ({ id })),
            ].map(({ id }) => [inPlace ? partIn(inPlace, id) : id, [state]]),
          ),
    [project, selection, state, inPlace],
  );
}

/** Many rows, but no more than one can still work with in several sizes. */
const manyOnTheBench = 100;

const none: readonly string[] = [];

/** The project as it is shown: a fix that is only pointed at shows in its place. */
export function useShownProject(): Project {
  const { project } = useEditorState('project');
  const { preview } = useBenchView();
  return preview ?? project;
}
