/** What a property's text is typed in: one line, or several. */
import { type Control, contextOf, kindIn, type Property, readAttributeText } from '@hovrin/core';
import { flushSync } from 'react-dom';
import { useEditorState } from '../../editor/context.tsx';
import { bracesOnce } from './braces.ts';
import type { ShownValue } from './shownValue.ts';
import { isStepped, steppedText } from './steppedNumber.ts';
import type { useCompletion } from './useCompletion.tsx';
import type { useTypedText } from './useTypedText.ts';
import { useValueWords } from './useValueWords.ts';
import { ValueChoice } from './ValueChoice.tsx';

export interface FieldTextProps {
  readonly id: string;
  readonly control: Control;
  readonly property: Property;
  readonly value: ShownValue;
  readonly typed: ReturnType<typeof useTypedText>;
  readonly completion: ReturnType<typeof useCompletion>;
  readonly onValue: (text: string) => void;
  readonly onLeave: () => void;
  /** It stands below its label. */
  readonly stacked: boolean;
}

const saidOf = ({ id, value: { problem } }: FieldTextProps) => ({
  id,
  'aria-invalid': problem !== undefined,
  'aria-describedby': problem ? `${id}-problem` : undefined,
});

/** @param isList entries, one a line. */
export function TextArea(props: FieldTextProps & { readonly isList: boolean }) {
  const { property, value, typed, completion, isList, onLeave } = props;
  const { text } = value;
  const wordRows = text.length > 18 || text.includes('\n') ? 3 : 1;
  return (
    <span className="relative flex min-w-0 flex-1 flex-col" data-completes>
      <textarea
        {...completion.field}
        {...saidOf(props)}
        className={`field h-auto min-h-7 w-full resize-y py-1 ${value.bound ? '!border-lake' : ''}`}
        rows={isList ? Math.max(2, text.split('|').length) : wordRows}
        title={isList ? 'One a line; `value: label` where they differ' : undefined}
        value={typed.shown}
        placeholder={value.several ? 'several' : (value.elsewhere ?? '')}
        onChange={(event) => {
          typed.type(event.target.value);
          if (!isList) completion.look(event.target);
        }}
        onKeyDown={(event) => {
          const isManyLines = isList || property.manyLines === true;
          if (completion.key(event) || event.key !== 'Enter' || isManyLines || event.shiftKey) return;
          // A line break in words of one line would be there unseen.
          event.preventDefault();
          onLeave();
        }}
        onBlur={onLeave}
      />
      {completion.list}
    </span>
  );
}

/** Where a value is from that is not said here. */
const fromWords = ({ elsewhere, ofStyle }: ShownValue): string =>
  elsewhere === undefined
    ? 'Nothing is said'
    : `${elsewhere}, from ${ofStyle === undefined ? 'what holds where nothing is said' : `style ${ofStyle}`}`;

/**
 * @param bracesPut whether the field was opened with braces in it: those that are typed as well are not there twice.
 * @param onRest ends a run of changes.
 */
export function TextLine(
  props: FieldTextProps & { readonly bracesPut: boolean; readonly onRest: () => void },
) {
  const { control, property, value, typed, completion, bracesPut, stacked, onValue, onLeave, onRest } = props;
  const { project } = useEditorState('project');
  const { type } = property;
  const canStep = isStepped(property);
  const words = useValueWords(property);
  const typeIn = (field: HTMLInputElement) => {
    const once = bracesPut && bracesOnce(field.value, field.selectionStart ?? field.value.length);
    if (!once) return typed.type(field.value);
    flushSync(() => typed.type(once.text));
    field.setSelectionRange(once.cursor, once.cursor);
  };
  const step = (by: number) => {
    typed.leave();
    const next = steppedText(typed.shown || value.elsewhere || '0', by);
    if (isValid(next)) onValue(next ?? '');
  };
  const isValid = (text: string | undefined) =>
    text !== undefined &&
    readAttributeText(kindIn(project, control), value.attribute, text, contextOf(project, control)).ok;
  const border = value.bound ? '!border-lake' : value.forScope && value.own ? '!border-copper' : '';
  return (
    <span className={`relative min-w-0 flex-1 ${stacked ? 'order-2 basis-full' : ''}`} data-completes>
      <span className="relative block">
        <input
          {...completion.field}
          {...saidOf(props)}
          className={`field pr-6 ${border} ${canStep ? 'text-right' : ''}`}
          spellCheck={false}
          value={typed.shown}
          placeholder={(value.several ? 'several' : value.elsewhere) ?? type.blank ?? ''}
          title={value.own ? undefined : fromWords(value)}
          onChange={(event) => {
            typeIn(event.target);
            completion.look(event.target);
          }}
          onBlur={onLeave}
          onKeyDown={(event) => {
            if (completion.key(event)) return;
            if (event.key === 'Enter') {
              typed.leave();
              onRest();
              completion.close();
            }
            if ((event.key === 'ArrowUp' || event.key === 'ArrowDown') && canStep) {
              event.preventDefault();
              step((event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? 10 : 1));
            }
          }}
        />
        {!value.own && value.ofStyle !== undefined && typed.shown === '' && (
          <span
            className={`pointer-events-none absolute inset-y-0 grid max-w-24 items-center truncate text-[11px] text-quiet ${canStep ? 'left-2' : 'right-7'}`}
          >
            style {value.ofStyle}
          </span>
        )}
        <ValueChoice
          type={type}
          label={property.label}
          words={words}
          value={value.text || (type.field === 'colour' && value.elsewhere) || ''}
          onValue={onValue}
          onDone={onRest}
        />
      </span>
      {completion.list}
    </span>
  );
}
