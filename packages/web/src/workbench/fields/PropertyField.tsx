/**
 * One property of the selected control: its text is the attribute's text, so that what can be written in the
 * source can be typed here. A valid text holds at once; one that is not valid yet is kept beside the last good.
 */
import {
  asTyped,
  attributeProblems,
  type Control,
  contextOf,
  defaultText,
  everywhere,
  hasExpression,
  inForce,
  kindOf,
  type Project,
  type Property,
  readAttributeText,
  sampleOf,
  themeOf,
  valueTyped,
  withoutChange,
} from '@hovrin/core';
import { MoveHorizontal, Undo2 } from 'lucide-react';
import { useId, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { KeepControl } from './KeepControl.tsx';
import { RangeField } from './RangeScale.tsx';
import { StepLabel } from './StepLabel.tsx';
import { isStepped, steppedText } from './steppedNumber.ts';
import { isBeginning } from './typedText.ts';
import { useCompletion, valueWords } from './useCompletion.tsx';
import { useDraggedNumber } from './useDraggedNumber.ts';
import { useTypedText } from './useTypedText.ts';
import { ValueChoice } from './ValueChoice.tsx';

// The same elements each time: nothing looks at them again.
const undoIcon = <Undo2 size={12} />;
const smallUndoIcon = <Undo2 size={11} />;
const dragIcon = <MoveHorizontal size={11} />;

interface PropertyFieldProps {
  /** The control whose values are shown, and the others that take the same ones. */
  readonly controls: readonly [Control, ...Control[]];
  readonly property: Property;
  /** What they are called, in the history. */
  readonly name: string;
}

/** Sets a property's text on some controls; a run of typing in one field is undone together. */
export function useSetProperty(controls: readonly [Control, ...Control[]], controlName: string) {
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

export function PropertyField({ controls, property, name }: PropertyFieldProps) {
  const { project, scope } = useEditorState('project', 'scope');
  const { set, rest } = useSetProperty(controls, name);
  const id = useId();
  const [control] = controls;
  // What is edited for some widths has an attribute of its own.
  const forScope = scope !== '' && property.perBand;
  const attribute = forScope ? `${scope}.${property.name}` : property.name;
  const held = control.props[attribute];
  const several = controls.some((other) => asTyped(other.props[attribute]) !== asTyped(held));
  const elsewhere = forScope
    ? withoutChange(project, { control, attribute, prefix: scope, property: property.name })
    : defaultText(property, themeOf(project));
  const text = several ? '' : (asTyped(held) ?? '');
  const own = several || held !== undefined;
  const draft = asTyped(held) !== inForce(held);
  const problem = attributeProblems(project, control).find((each) => each.attribute === attribute);
  // What is not changed for these widths is here as it is elsewhere, bound too.
  const inherited = forScope && !own ? (elsewhere ?? '') : '';
  const bound = hasExpression(own ? (inForce(held) ?? '') : inherited);
  const isWords = property.type.field === 'words';
  // Entries are typed one a line; what is bound is one expression.
  const isList = property.type.field === 'entries' && !text.includes('{');
  const change = (next: string) => set(attribute, property.label, next === '' && !isWords ? null : next);
  const completion = useCompletion(control, false);
  // A yes or no is a checkbox until somebody wants an expression there.
  const [typing, setTyping] = useState(false);
  const typed = useTypedText(
    `${controls.map((each) => each.id).join()} ${attribute}`,
    isList ? text.split(/ *\| */).join('\n') : text,
    (next) => change(isList ? next.split('\n').join(' | ') : next),
    (next) => isBeginning(property, next),
  );
  const leave = () => {
    typed.leave();
    rest();
    completion.close();
  };
  /** Takes what a field holds; braces that are typed where the field has put some are not there twice. */
  const typeIn = (field: HTMLInputElement) => {
    const { value, selectionStart } = field;
    const isTwice = typing && (value.startsWith('{{') || value.endsWith('}}'));
    if (!isTwice) return typed.type(value);
    const once = value.replace(/^\{\{/, '{').replace(/\}\}$/, '}');
    const cursor = (selectionStart ?? value.length) - (value.startsWith('{{') ? 1 : 0);
    flushSync(() => typed.type(once));
    field.setSelectionRange(cursor, cursor);
  };
  const canStep = isStepped(property);
  const take = (next: string | undefined) => {
    const valid =
      next !== undefined &&
      readAttributeText(kindOf(control), attribute, next, contextOf(project, control)).ok;
    if (next !== undefined && valid) change(next);
  };
  const step = (by: number) => {
    typed.leave();
    take(steppedText(typed.shown || elsewhere || '0', by));
  };
  const drag = useDraggedNumber(control, property);
  const isManyLines = isList || property.manyLines === true;
  const flag = property.type.field === 'flag' && !bound && !problem && !typing && !several;
  const words =
    property.type.refers?.to === 'screen'
      ? project.screens.flatMap((screen) => screen.name ?? [])
      : property.type.words;
  const changes = Object.keys(control.props).filter(
    (key) => key.endsWith(`.${property.name}`) && !key.startsWith('on.') && key !== attribute,
  );

  return (
    <div className="flex flex-col">
      <div className="flex min-h-7 items-start gap-1.5">
        <StepLabel
          htmlFor={id}
          canStep={canStep}
          onDrag={(by, free) => take(drag.to(by, free))}
          onStart={() => drag.from(text || elsewhere || '')}
          onRest={rest}
        >
          {bound && (
            <span
              role="img"
              aria-label="Bound"
              title="Bound to an expression"
              className="mr-1 inline-block size-1.5 rounded-[1px] bg-lake align-middle"
            />
          )}
          {property.label}
        </StepLabel>
        {flag ? (
          <span className="flex h-7 flex-1 items-center">
            <input
              id={id}
              type="checkbox"
              className="accent-spruce"
              checked={(text || (forScope ? elsewhere : '')) === 'true'}
              onChange={(event) => change(event.target.checked ? 'true' : forScope ? 'false' : '')}
            />
            <button
              type="button"
              className="btn-bare ml-auto font-mono text-[11px] text-quiet"
              aria-label={`Bind ${property.label} to an expression`}
              title={`Bind ${property.label} to an expression`}
              onClick={() => {
                // The field is there before the next key comes.
                flushSync(() => {
                  setTyping(true);
                  typed.type('{}');
                });
                const field = document.getElementById(id) as HTMLInputElement | null;
                field?.focus();
                field?.setSelectionRange(1, 1);
              }}
            >
              {'{ }'}
            </button>
          </span>
        ) : (isWords && property.group === 'content') || isList ? (
          <span className="relative flex min-w-0 flex-1 flex-col" data-completes>
            <textarea
              {...completion.field}
              id={id}
              className={`field h-auto min-h-7 w-full resize-y py-1 ${bound ? '!border-lake' : ''}`}
              rows={
                isList ? Math.max(2, text.split('|').length) : text.length > 18 || text.includes('\n') ? 3 : 1
              }
              title={isList ? 'One a line; `value: label` where they differ' : undefined}
              aria-invalid={problem !== undefined}
              aria-describedby={problem ? `${id}-problem` : undefined}
              value={typed.shown}
              placeholder={several ? 'several' : (elsewhere ?? '')}
              onChange={(event) => {
                typed.type(event.target.value);
                if (!isList) completion.look(event.target);
              }}
              onKeyDown={(event) => {
                if (completion.key(event) || event.key !== 'Enter' || isManyLines || event.shiftKey) return;
                // A line break in words of one line would be there unseen.
                event.preventDefault();
                leave();
              }}
              onBlur={leave}
            />
            {completion.list}
          </span>
        ) : (
          <span className="min-w-0 flex-1" data-completes>
            <span className="relative block">
              <input
                {...completion.field}
                id={id}
                className={`field pr-6 ${bound ? '!border-lake' : forScope && own ? '!border-copper' : ''} ${canStep ? 'text-right' : ''}`}
                aria-invalid={problem !== undefined}
                aria-describedby={problem ? `${id}-problem` : undefined}
                spellCheck={false}
                value={typed.shown}
                placeholder={(several ? 'several' : elsewhere) ?? property.type.blank ?? ''}
                onChange={(event) => {
                  typeIn(event.target);
                  completion.look(event.target);
                }}
                onBlur={() => {
                  leave();
                  setTyping(false);
                }}
                onKeyDown={(event) => {
                  if (completion.key(event)) return;
                  if (event.key === 'Enter') leave();
                  if ((event.key === 'ArrowUp' || event.key === 'ArrowDown') && canStep) {
                    event.preventDefault();
                    step((event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? 10 : 1));
                  }
                }}
              />
              <ValueChoice
                type={property.type}
                label={property.label}
                words={words}
                value={text || (property.type.field === 'colour' && elsewhere) || ''}
                onValue={change}
                onDone={rest}
              />
            </span>
            {completion.list}
          </span>
        )}
        <button
          type="button"
          className={`btn-bare !min-w-5 !px-0 text-quiet ${own ? '' : 'invisible'}`}
          aria-label={`Send ${property.label} back to ${forScope ? 'what it is elsewhere' : 'its default'}`}
          title={`${forScope ? 'Changed here' : 'Own value'}; send back to ${elsewhere ?? 'none'}`}
          onClick={() => {
            set(attribute, property.label, null);
            rest();
          }}
        >
          {undoIcon}
        </button>
      </div>
      {problem && (
        <p id={`${id}-problem`} role="alert" className="mb-1 ml-[92px] text-[12px] text-brick">
          {problem.message}
          {problem.at > 0 && <span className="text-quiet"> (at character {problem.at + 1})</span>}
          {draft && inForce(held) !== undefined && (
            <span className="text-quiet"> {`“${inForce(held)}” goes on working.`}</span>
          )}
          <KeepControl control={control} text={text} at={problem.at} />
        </p>
      )}
      {bound && problem?.holds !== false && !several && (
        <>
          <Sample project={project} control={control} text={own ? text : inherited} />
          {own && (
            <RangeField control={control} property={property} text={text} onText={change} onRest={rest} />
          )}
        </>
      )}
      {forScope && own && !several && (
        <p className="mb-0.5 ml-[92px] flex items-center gap-1 text-[12px] text-copper">
          elsewhere {elsewhere ?? 'none'}
          <EveryWhere control={control} attribute={attribute} label={property.label} name={name} />
        </p>
      )}
      {changes.map((key) => (
        <p key={key} className="mb-0.5 ml-[92px] flex items-center gap-1 text-[12px] text-copper">
          {key.slice(0, key.indexOf('.'))}: {inForce(control.props[key])}
          <EveryWhere control={control} attribute={key} label={property.label} name={name} />
          <button
            type="button"
            className="btn-bare !h-5 !min-w-5"
            aria-label={`Take away ${key}`}
            title="Take this change away"
            onClick={() => set(key, property.label, null)}
          >
            {smallUndoIcon}
          </button>
        </p>
      ))}
    </div>
  );
}

/** What a bound value is as everything begins. */
function Sample({ project, control, text }: { project: Project; control: Control; text: string }) {
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

/** Makes a changed value the one for all widths. */
function EveryWhere({
  control,
  attribute,
  label,
  name,
}: {
  control: Control;
  attribute: string;
  label: string;
  name: string;
}) {
  const { editor } = useWorkplace();
  return (
    <button
      type="button"
      className="btn-bare !h-5 !min-w-5"
      aria-label={`Make ${attribute} the value for all widths`}
      title="Make it the value for all widths"
      onClick={() =>
        editor.dispatch({
          label: `${label} of ${name} for all widths`,
          steps: everywhere(control, attribute),
          exact: true,
        })
      }
    >
      {dragIcon}
    </button>
  );
}
