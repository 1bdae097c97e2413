/** Notes below a line of Facts: an error, the current value of a binding, values at other widths. */
import {
  type Control,
  conditionsOf,
  everywhere,
  inForce,
  type Property,
  sampleOf,
  scopeParts,
} from '@hovrin/core';
import { MoveHorizontal, Undo2 } from 'lucide-react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { KeepControl } from './KeepControl.tsx';
import type { ShownValue } from './shownValue.ts';
import { valueWords } from './useCompletion.tsx';

// The same elements each time: nothing looks at them again.
const undoIcon = <Undo2 size={11} />;
const everywhereIcon = <MoveHorizontal size={11} />;

interface FieldNotesProps {
  readonly control: Control;
  readonly property: Property;
  readonly name: string;
  readonly value: ShownValue;
  readonly onTakeAway: (attribute: string) => void;
}

export function FieldProblem({ id, control, value }: { id: string; control: Control; value: ShownValue }) {
  const { problem, goesOn, text } = value;
  if (!problem) return null;
  return (
    <p id={`${id}-problem`} role="alert" className="mb-1 ml-[92px] text-[12px] text-brick">
      {problem.message}
      {problem.at > 0 && <span className="text-quiet"> (at character {problem.at + 1})</span>}
      {goesOn !== undefined && <span className="text-quiet"> {`“${goesOn}” goes on working.`}</span>}
      <KeepControl control={control} text={text} at={problem.at} />
    </p>
  );
}

/** What a bound value is as everything begins. */
export function Sample({ control, text }: { control: Control; text: string }) {
  const { project } = useEditorState('project');
  const sample = sampleOf(project, control, text);
  return (
    <p className="mt-0.5 mb-0.5 ml-[92px] truncate text-[12px] text-lake">
      {'value' in sample ? (
        `is ${valueWords(sample.value)}`
      ) : (
        <span className="text-brick">{sample.problem}</span>
      )}
    </p>
  );
}

/** What it is elsewhere, and at which widths it is something else. */
export function OtherWidths({ control, property, name, value, onTakeAway }: FieldNotesProps) {
  const { attribute, elsewhere, ofStyle, forScope, own, several, changes } = value;
  const line = 'mb-0.5 ml-[92px] flex items-center gap-1 text-[12px] text-copper';
  const all = (of: string) => (
    <EveryWhere control={control} attribute={of} label={`${property.label} of ${name}`} />
  );
  const { project } = useEditorState('project');
  const isForWidths = (key: string) => scopeParts(project, conditionsOf(key).join('.')).state === '';
  return (
    <>
      {ofStyle !== undefined && own && !forScope && (
        <p className="mb-0.5 ml-[92px] truncate text-[12px] text-quiet">
          {`style ${ofStyle}: ${elsewhere ?? 'none'}`}
        </p>
      )}
      {forScope && own && !several && (
        <p className={line}>
          elsewhere {elsewhere ?? 'none'}
          {isForWidths(attribute) && all(attribute)}
        </p>
      )}
      {changes.map((key) => (
        <p key={key} className={line}>
          {conditionsOf(key).join(', ')}: {inForce(control.props[key])}
          {isForWidths(key) && all(key)}
          <button
            type="button"
            className="btn-bare !h-5 !min-w-5"
            aria-label={`Take away ${key}`}
            title="Take this change away"
            onClick={() => onTakeAway(key)}
          >
            {undoIcon}
          </button>
        </p>
      ))}
    </>
  );
}

/** Makes a changed value the one for all widths. */
function EveryWhere({ control, attribute, label }: { control: Control; attribute: string; label: string }) {
  const { editor } = useWorkplace();
  return (
    <button
      type="button"
      className="btn-bare !h-5 !min-w-5"
      aria-label={`Make ${attribute} the value for all widths`}
      title="Make it the value for all widths"
      onClick={() =>
        editor.dispatch({
          label: `${label} for all widths`,
          steps: everywhere(control, attribute),
          exact: true,
        })
      }
    >
      {everywhereIcon}
    </button>
  );
}
