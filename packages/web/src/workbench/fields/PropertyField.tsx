/**
 * One property of the selected control: its text is the attribute's text, so that what can be written in the
 * source can be typed here. A valid text holds at once; one that is not valid yet is kept beside the last good.
 */
import { contextOf, kindIn, type Property, readAttributeText, whatItDoes } from '@hovrin/core';
import { Undo2 } from 'lucide-react';
import { useId, useState } from 'react';
import { flushSync } from 'react-dom';
import { useEditorState } from '../../editor/context.tsx';
import { entriesAsLines, linesAsEntries } from './braces.ts';
import { FieldProblem, OtherWidths, Sample } from './FieldNotes.tsx';
import { TextArea, TextLine } from './FieldText.tsx';
import { RangeField } from './RangeScale.tsx';
import { StepLabel } from './StepLabel.tsx';
import { type ShownValue, shownValue } from './shownValue.ts';
import { isStepped } from './steppedNumber.ts';
import { isBeginning } from './typedText.ts';
import { useCompletion } from './useCompletion.tsx';
import { useDraggedNumber } from './useDraggedNumber.ts';
import { type Controls, useSetProperty } from './useSetProperty.ts';
import { useTypedText } from './useTypedText.ts';
import { useValueWords } from './useValueWords.ts';

// The same element each time: nothing looks at it again.
const undoIcon = <Undo2 size={12} />;

interface PropertyFieldProps {
  readonly controls: Controls;
  readonly property: Property;
  /** What they are called, in the history. */
  readonly name: string;
  /** The label stands above the field: two of them stand on one line. */
  readonly stacked?: boolean;
}

export function PropertyField({ controls, property, name, stacked = false }: PropertyFieldProps) {
  const { project, scope } = useEditorState('project', 'scope');
  const { set, rest } = useSetProperty(controls, name);
  const id = useId();
  const [control] = controls;
  const value = shownValue(project, controls, property, scope);
  const { attribute, text, own, several, bound, problem } = value;
  const { label, type } = property;
  const isWords = type.field === 'words';
  // Entries are typed one a line; what is bound is one expression.
  const isList = type.field === 'entries' && !text.includes('{');
  const change = (next: string) => set(attribute, label, next === '' && !isWords ? null : next);
  const words = useValueWords(property);
  const completion = useCompletion(control, false, type.field === 'flag' || isList ? [] : words);
  // A yes or no is a checkbox until somebody wants an expression there.
  const [typing, setTyping] = useState(false);
  const typed = useTypedText(
    `${controls.map((each) => each.id).join()} ${attribute}`,
    isList ? entriesAsLines(text) : text,
    (next) => change(isList ? linesAsEntries(next) : next),
    (next) => isBeginning(property, next),
  );
  const leave = () => {
    // What is plainly the beginning of one word is that word, and no error.
    const whole = completion.completed(typed.shown);
    if (whole !== undefined && typed.isTyped) typed.type(whole);
    typed.leave();
    rest();
    completion.close();
    setTyping(false);
  };
  const drag = useDraggedNumber(control, property);
  const isValid = (next: string) =>
    readAttributeText(kindIn(project, control), attribute, next, contextOf(project, control)).ok;
  const dragTo = (next: string | undefined) => next !== undefined && isValid(next) && change(next);
  const field = { id, control, property, value, typed, completion, stacked, onValue: change, onLeave: leave };
  return (
    <div className="flex flex-col">
      <div className={stacked ? 'flex flex-wrap items-center' : 'flex min-h-7 items-start gap-1.5'}>
        <StepLabel
          htmlFor={id}
          says={whatItDoes(property)}
          stacked={stacked}
          canStep={isStepped(property)}
          onDrag={(by, free) => dragTo(drag.to(by, free))}
          onStart={() => drag.from(text || value.elsewhere || '')}
          onRest={rest}
        >
          {bound && <BoundSign />}
          {label}
        </StepLabel>
        {type.field === 'flag' && !bound && !problem && !typing && !several ? (
          <FlagField
            id={id}
            label={label}
            value={value}
            onValue={change}
            {...(property.plain
              ? {}
              : {
                  onBind: () => {
                    setTyping(true);
                    typed.type('{}');
                  },
                })}
          />
        ) : (isWords && property.group === 'content') || isList ? (
          <TextArea {...field} isList={isList} />
        ) : (
          <TextLine {...field} bracesPut={typing} onRest={rest} />
        )}
        <BackButton
          label={label}
          value={value}
          stacked={stacked}
          onPress={() => {
            set(attribute, label, null);
            rest();
          }}
        />
      </div>
      <FieldProblem id={id} control={control} value={value} />
      {bound && problem?.holds !== false && !several && (
        <>
          <Sample control={control} text={value.inForce} />
          {own && (
            <RangeField control={control} property={property} text={text} onText={change} onRest={rest} />
          )}
        </>
      )}
      <OtherWidths {...{ control, property, name, value }} onTakeAway={(key) => set(key, label, null)} />
    </div>
  );
}

const BoundSign = () => (
  <span
    role="img"
    aria-label="Bound"
    title="Bound to an expression"
    className="mr-1 inline-block size-1.5 rounded-[1px] bg-lake align-middle"
  />
);

/** A yes or no. @param onBind an expression is wanted in its place; absent: it follows none. */
function FlagField({
  id,
  label,
  value: { text, elsewhere, forScope },
  onValue,
  onBind,
}: {
  id: string;
  label: string;
  value: ShownValue;
  onValue: (text: string) => void;
  onBind?: () => void;
}) {
  return (
    <span className="flex h-7 flex-1 items-center">
      <input
        id={id}
        type="checkbox"
        className="accent-spruce"
        checked={(text || (forScope ? elsewhere : '')) === 'true'}
        onChange={(event) => onValue(event.target.checked ? 'true' : forScope ? 'false' : '')}
      />
      {onBind && (
        <button
          type="button"
          className="btn-bare ml-auto font-mono text-[11px] text-quiet"
          aria-label={`Bind ${label} to an expression`}
          title={`Bind ${label} to an expression`}
          onClick={() => {
            // The field is there before the next key comes.
            flushSync(onBind);
            const field = document.getElementById(id);
            if (!(field instanceof HTMLInputElement)) return;
            field.focus();
            field.setSelectionRange(1, 1);
          }}
        >
          {'{ }'}
        </button>
      )}
    </span>
  );
}

/** Removes the value in this scope, so that the inherited one holds. */
function BackButton({
  label,
  value: { own, forScope, elsewhere },
  stacked,
  onPress,
}: {
  label: string;
  value: ShownValue;
  stacked: boolean;
  onPress: () => void;
}) {
  return (
    <button
      type="button"
      className={`btn-bare !min-w-5 !px-0 text-quiet ${stacked ? 'order-1 !h-5' : ''} ${own ? '' : 'invisible'}`}
      aria-label={`Send ${label} back to ${forScope ? 'what it is elsewhere' : 'its default'}`}
      title={`${forScope ? 'Changed here' : 'Own value'}; send back to ${elsewhere ?? 'none'}`}
      onClick={onPress}
    >
      {undoIcon}
    </button>
  );
}
