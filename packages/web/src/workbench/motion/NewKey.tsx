/** A key for what is selected: which of its properties moves. */
import { type Control, effectiveNames, type KeyWanted, keyedProperties, kindOf, locate } from '@hovrin/core';
import { useEditorState } from '../../editor/context.tsx';
import { valueNow } from './valueNow.ts';

interface NewKeyProps {
  readonly tree: Control;
  readonly control: Control;
  readonly head: number | undefined;
  readonly onKey: (wanted: KeyWanted) => void;
}

export function NewKey({ tree, control, head, onKey }: NewKeyProps) {
  const { project } = useEditorState('project');
  const name = effectiveNames(tree).get(control.id);
  const able = kindOf(control).properties.filter((each) =>
    keyedProperties.some((keyedOne) => keyedOne.name === each.name),
  );
  if (control === tree || name === undefined || !locate(project, control.id))
    return <span className="truncate text-[12px] text-quiet">Select a control to give it a key.</span>;
  return (
    <select
      className="field !h-6 !w-36 !shrink"
      aria-label={`Key for ${name}`}
      value=""
      onChange={({ target: { value } }) => {
        const property = able.find((each) => each.name === value);
        if (property)
          onKey({ control: name, at: head ?? 0, values: { [value]: valueNow(project, control, property) } });
      }}
    >
      <option value="">Key for {name} …</option>
      {able.map((each) => (
        <option key={each.name} value={each.name}>
          {each.label}
        </option>
      ))}
    </select>
  );
}
