/** What one does in the first hour, and how far a project has come with it. */
import { type Control, hasExpression, inForce, kindOf, type Project } from '@hovrin/core';

export interface FirstStep {
  readonly id: 'add' | 'row' | 'share' | 'band' | 'bind';
  readonly label: string;
  /** How it is done. */
  readonly how: string;
  readonly isDone: (control: Control) => boolean;
}

const values = (control: Control) => Object.entries(control.props);

export const firstSteps: readonly FirstStep[] = [
  {
    id: 'add',
    label: 'Add a control',
    how: 'Press A, or the + on the bench, and type what you want: heading, field, button.',
    isDone: () => true,
  },
  {
    id: 'row',
    label: 'Put two in a row',
    how: 'Select two with Shift and press Alt+R, which wraps them in a row; or add a row and drag them in.',
    isDone: (control) => kindOf(control).container && control.children.length > 1,
  },
  {
    id: 'share',
    label: 'Let them share its room',
    how: 'Press the size beside a control’s name and choose “share”; then drag the divider between two.',
    isDone: (control) => values(control).some(([, value]) => /^share/.test(inForce(value) ?? '')),
  },
  {
    id: 'band',
    label: 'Change something for wider screens',
    how: 'Press B to edit for this band only, or choose the widths on top of the bench, and change a value.',
    isDone: (control) => values(control).some(([name]) => /^(?!on\.)\w+\.(?!bind$)/.test(name)),
  },
  {
    id: 'bind',
    label: 'Bind something',
    how: 'Type an expression in braces where a text is: {guests} guests. Data holds what it reads.',
    isDone: (control) =>
      values(control).some(
        ([name, value]) =>
          name.endsWith('.bind') || (!name.startsWith('on.') && hasExpression(inForce(value) ?? '')),
      ),
  },
];

/** The ids of the steps that somebody has done somewhere in a project. */
export function doneSteps(project: Project): ReadonlySet<FirstStep['id']> {
  const done = new Set<FirstStep['id']>();
  const visit = (control: Control) => {
    for (const step of firstSteps) if (!done.has(step.id) && step.isDone(control)) done.add(step.id);
    if (done.size < firstSteps.length) control.children.forEach(visit);
  };
  for (const screen of project.screens) screen.children.forEach(visit);
  return done;
}
