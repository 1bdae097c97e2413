/** What a part of a component says becomes a parameter, which each instance may say itself. */
import {
  asTyped,
  type Control,
  hasExpression,
  kindOf,
  locate,
  type Property,
  toParameter,
} from '@hovrin/core';
import { newId } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';

export function ParameterButton({ control, property }: { control: Control; property: Property }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const text = asTyped(control.props[property.name]);
  const component = locate(project, control.id)?.screen;
  if (text === undefined || hasExpression(text) || !component || kindOf(component).root !== 'components')
    return null;
  if (kindOf(control).declares || kindOf(control).root) return null;
  const made = toParameter(project, control, property, newId);
  return (
    made && (
      <button
        type="button"
        className="btn-bare ml-[92px] !h-5 !justify-start self-start !px-1 text-[11.5px] text-quiet"
        title={`Each instance may say it itself, as ${made.name}; else it is ${text}`}
        onClick={() => editor.dispatch({ label: `Make ${made.name} a parameter`, steps: made.steps })}
      >
        Make it a parameter
      </button>
    )
  );
}
