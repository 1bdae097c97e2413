/** The surround that a screen stands in, of those that the project has. */
import { type Control, definitionsOf, inForce, type Step } from '@hovrin/core';
import { useId } from 'react';
import { openComponent } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';

export function SurroundField({ screen }: { screen: Control }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const id = useId();
  const held = inForce(screen.props.surround) ?? '';
  const names = [...definitionsOf(project).values()].flatMap(({ name, isSurround }) =>
    isSurround ? name : [],
  );
  if (names.length === 0 && held === '') return null;
  const put = (name: string) => {
    const set = (property: string, value: string | null): Step => ({
      type: 'set',
      control: screen.id,
      property,
      value,
    });
    // What was given to another one means nothing to this one.
    const given = Object.keys(screen.props).filter((attribute) => attribute.startsWith('surround.'));
    editor.dispatch({
      label: name === '' ? `Take ${screen.name} out of ${held}` : `Put ${screen.name} into ${name}`,
      steps: [...given.map((each) => set(each, null)), set('surround', name === '' ? null : name)],
    });
  };
  return (
    <div className="flex items-center gap-1.5">
      <label htmlFor={id} className="w-[86px] shrink-0 text-quiet">
        Surround
      </label>
      <select id={id} className="field" value={held} onChange={({ target }) => put(target.value)}>
        <option value="">none</option>
        {!names.includes(held) && held !== '' && <option value={held}>{held} (not there)</option>}
        {names.map((name) => (
          <option key={name}>{name}</option>
        ))}
      </select>
      {names.includes(held) && (
        <button type="button" className="btn !h-7" onClick={() => openComponent(editor, screen.id)}>
          Open
        </button>
      )}
    </div>
  );
}
