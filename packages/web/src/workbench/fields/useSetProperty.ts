import { type Control, valueTyped } from '@hovrin/core';
import { useRef } from 'react';
import { useWorkplace } from '../../editor/context.tsx';

/** The control whose values are shown, and the others that take the same ones. */
export type Controls = readonly [Control, ...Control[]];

/**
 * Sets a property's text on some controls; a run of typing in one field is undone together.
 *
 * @param controlName the controls' name in the history.
 */
export function useSetProperty(controls: Controls, controlName: string) {
  const { editor } = useWorkplace();
  const run = useRef(0);
  return {
    /** Ends a run of typing. */
    rest: () => {
      run.current += 1;
    },
    set: (attribute: string, label: string, text: string | null) => {
      const { project } = editor.state;
      editor.dispatch({
        label: `${label} of ${controlName}`,
        steps: controls.map((control) => ({
          type: 'set',
          control: control.id,
          property: attribute,
          value:
            text === null
              ? null
              : valueTyped(project, control, attribute, text, control.props[attribute]).value,
        })),
        group: `${controls.map(({ id }) => id).join()} ${attribute} ${run.current}`,
      });
    },
  };
}
