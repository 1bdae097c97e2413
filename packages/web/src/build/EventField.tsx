/** What an event of a control does, as text, with a problem said where it is. */
import { asTyped, type Control, contextOf, inForce, kindOf, readAttributeText } from '@hovrin/core';
import { useId } from 'react';
import { useEditorState } from '../editor/context.tsx';
import { useSetProperty } from './PropertyField.tsx';

export function EventField({
  control,
  name,
  attribute,
  label,
}: {
  control: Control;
  name: string;
  attribute: string;
  label: string;
}) {
  const { project } = useEditorState('project');
  const { set, rest } = useSetProperty([control], name);
  const id = useId();
  const held = control.props[attribute];
  const text = asTyped(held) ?? '';
  const reading =
    text === ''
      ? undefined
      : readAttributeText(kindOf(control), attribute, text, contextOf(project, control));
  const problem = reading && !reading.ok ? reading : undefined;
  const others = project.screens.filter((screen) => screen.name !== undefined);
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="text-quiet">
        {label}
      </label>
      <textarea
        id={id}
        className="field h-auto min-h-14 resize-y py-1 font-mono text-[12px]"
        rows={2}
        spellCheck={false}
        aria-invalid={problem !== undefined}
        aria-describedby={problem ? `${id}-problem` : undefined}
        placeholder={`count = count + 1; go("${others[0]?.name ?? 'Screen1'}")`}
        value={text}
        onChange={(event) => set(attribute, label, event.target.value === '' ? null : event.target.value)}
        onBlur={rest}
      />
      {problem && (
        <p id={`${id}-problem`} role="alert" className="text-[12px] text-brick">
          {problem.message} <span className="text-quiet">(at character {problem.at + 1})</span>
          {inForce(held) !== undefined && inForce(held) !== text && (
            <span className="text-quiet"> {`“${inForce(held)}” goes on working.`}</span>
          )}
        </p>
      )}
      {text === '' && others.length > 1 && (
        <div className="flex flex-wrap items-center gap-1">
          <span className="text-[12px] text-quiet">Go to</span>
          {others.map((screen) => (
            <button
              key={screen.id}
              type="button"
              className="btn !h-6 !px-1.5 text-[12px]"
              onClick={() => {
                set(attribute, label, `go("${screen.name}")`);
                rest();
              }}
            >
              {screen.name}
            </button>
          ))}
        </div>
      )}
    </div>
  );
}
