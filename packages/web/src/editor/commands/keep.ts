/** Keeping what a control holds in a variable that is made for it. */
import { type Control, effectiveNames, keptInNew, locationOf, type Property } from '@hovrin/core';
import type { Editor } from '../editor.ts';

/** @param property one that can be bound in both directions. @returns the variable's name. */
export function keepInNew(editor: Editor, control: Control, property: Property): string {
  const { project } = editor.state;
  const { variable, steps } = keptInNew(project, control, property);
  const name = effectiveNames(locationOf(project, control.id).screen).get(control.id);
  editor.dispatch({ label: `Keep ${name} in ${variable}`, steps });
  return variable;
}
