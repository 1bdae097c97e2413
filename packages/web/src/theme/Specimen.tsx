/** A screen laid out and painted small, in a mode and a state. */
import { type Control, type HeldStates, type Mode, type Project, ScreenView } from '@hovrin/core';
import { useMemo, useState } from 'react';
import { useWorkplace } from '../editor/context.tsx';
import { Paint } from '../workbench/bays/Paint.tsx';

interface SpecimenProps {
  readonly project: Project;
  readonly screen: Control;
  readonly width: number;
  readonly mode: Mode;
  /** A state that all its controls are in. */
  readonly state?: string;
  readonly label: string;
}

const nowhere = () => undefined;

export function Specimen({ project, screen, width, mode, state, label }: SpecimenProps) {
  const { shaper } = useWorkplace();
  const [view] = useState(() => new ScreenView(shaper));
  const layout = useMemo(() => {
    const states: HeldStates | undefined = state === undefined ? undefined : new Map([['', [state]]]);
    return view.layOut(project, screen, { width, height: 40, mode, states });
  }, [view, project, screen, width, mode, state]);
  return (
    <div
      role="img"
      aria-label={label}
      className="relative shrink-0 overflow-hidden rounded-md border border-rule"
      style={{ width, height: layout.fullHeight }}
    >
      <Paint layout={layout} pictureAddress={nowhere} />
    </div>
  );
}
