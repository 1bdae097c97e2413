/** The selected control in each of its states, beside each other, in place of the side bays. */
import {
  type Control,
  declaredStates,
  type HeldStates,
  locate,
  type Project,
  pathTo,
  ScreenView,
  scopeOf,
  scopeParts,
  treeOfId,
} from '@hovrin/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import type { ScreenSize } from '../../sizes.ts';
import { statesFor, stateWord } from '../scope.ts';
import { useBenchView } from './benchView.ts';
import { PartPicture } from './PartPicture.tsx';
import { useShownProject } from './useShownLayout.ts';

interface StateBaysProps {
  readonly screen: Control;
  /** Of the working bay. */
  readonly size: ScreenSize;
  /** How wide each is drawn, CSS px. */
  readonly width: number;
}

/** The states that are shown: none, and those that the control may be in. */
export function StateBays({ screen, size, width }: StateBaysProps) {
  const { editor } = useWorkplace();
  const { project, scope, selection } = useEditorState('project', 'scope', 'selection');
  const parts = scopeParts(project, scope);
  const controls = selection.flatMap((id) => locate(project, id)?.control ?? []);
  const [first] = controls;
  if (!first || first.id === screen.id)
    return <p className="text-quiet">Select a control to see it in all its states.</p>;
  return (
    <>
      {['', ...statesFor(project, controls)].map((state) => (
        <figure key={state} className="m-0 flex flex-col gap-1">
          <figcaption>
            <button
              type="button"
              className={`rounded-sm px-1 text-left hover:bg-sunk ${state === parts.state ? 'font-semibold' : ''}`}
              aria-pressed={state === parts.state}
              title="Set values for this state"
              onClick={() => editor.editFor(scopeOf({ ...parts, state }))}
            >
              {state === '' ? 'As it is' : `While ${stateWord(state)}`}
            </button>
          </figcaption>
          <InState screen={screen} control={first.id} state={state} size={size} width={width} />
        </figure>
      ))}
    </>
  );
}

/** A state of its own holds for whoever declares it. */
function heldIn(project: Project, control: string, state: string): HeldStates | undefined {
  if (state === '') return undefined;
  const declared = pathTo(project, control).filter((each) => declaredStates(each).includes(state));
  return new Map([...declared.map(({ id }) => id), control].map((id) => [id, [state]]));
}

function InState({
  screen,
  control,
  state,
  size,
  width,
}: StateBaysProps & { readonly control: string; readonly state: string }) {
  const { shaper } = useWorkplace();
  const { seeing } = useBenchView();
  const project = useDeferredValue(useShownProject());
  const [view] = useState(() => new ScreenView(shaper));
  const { width: wide, height, safe, hinge } = size;
  const { mode } = seeing;
  const layout = useMemo(() => {
    const shown = treeOfId(project, screen.id) ?? screen;
    const states = heldIn(project, control, state);
    return view.layOut(project, shown, { width: wide, height, safe, hinge, mode, states });
  }, [view, project, screen, control, state, wide, height, safe, hinge, mode]);
  const label = state === '' ? 'As it is' : `While ${stateWord(state)}`;
  return <PartPicture layout={layout} control={control} width={width} label={label} />;
}
