/** Where an expression names a control: keeps what that holds in a variable, which the expression then reads. */
import { type Control, effectiveNames, kindOf, locate, walk } from '@hovrin/core';
import { keepInNew } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';

/** @param at where in the text the name that is not known stands. */
export function KeepControl({ control, text, at }: { control: Control; text: string; at: number }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const name = /^[\p{ID_Start}$_][\p{ID_Continue}$]*/u.exec(text.slice(at))?.[0];
  const screen = locate(project, control.id)?.screen;
  if (name === undefined || !screen) return null;
  const names = effectiveNames(screen);
  const named = [...walk(screen)].find((each) => names.get(each.id) === name);
  const property =
    named && kindOf(named).properties.find(({ twoWay, group }) => twoWay && group === 'content');
  if (!named || !property || named.props[`${property.name}.bind`] !== undefined) return null;
  return (
    <button
      type="button"
      className="btn-bare !h-5 text-[12px] underline underline-offset-2"
      onClick={() => keepInNew(editor, named, property)}
    >
      Keep it
    </button>
  );
}
