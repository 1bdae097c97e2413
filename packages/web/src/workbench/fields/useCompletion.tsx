/** Completion in a field: what can be read in an expression, offered while it is typed. */
import { asText, type Control, itemAt, type Readable, readableAt } from '@hovrin/core';
import { type KeyboardEvent, useId, useRef, useState } from 'react';
import { useEditorState } from '../../editor/context.tsx';
import { expressionBefore, type Field, insertText } from './insertText.ts';

/** A value in a few words, with its type. */
export function valueWords(value: unknown): string {
  if (value === undefined || value === null) return 'nothing';
  if (Array.isArray(value)) return `a list of ${value.length}`;
  if (typeof value === 'object') return `a record of ${Object.keys(value).join(', ')}`;
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  const text = asText(value);
  const cut = text.length > 40 ? `${text.slice(0, 40)} …` : text;
  return typeof value === 'string' ? `“${cut}”` : cut;
}

/** What a name is or holds, in a few words. */
export const readableWords = ({ what, value }: Readable): string =>
  what === 'function'
    ? ''
    : what === 'action' || what === 'screen' || what === 'control'
      ? what
      : valueWords(value);

/** The end of a number that is being typed: `0.5` is no member of `0`. */
const inNumber = /(?:^|[^\p{ID_Continue}$.])\d[\d_.]*$/u;

/** Most that is offered at once. */
const mostOffered = 8;

/**
 * @param whole the text is an expression throughout, as an event's is; otherwise what stands in braces is one.
 * @returns what the field is given, and the list that stands below it.
 */
export function useCompletion(control: Control, whole: boolean) {
  const { project } = useEditorState('project');
  const id = useId();
  const [state, setState] = useState<{ found: readonly Readable[]; replaces: number; chosen: number }>();
  const look = (field: Field) => {
    if (taking.current) return;
    const cursor = field.selectionStart ?? 0;
    const before = whole ? field.value.slice(0, cursor) : expressionBefore(field.value, cursor);
    // Nothing is offered before something is begun, but for the very first word in braces.
    const begun =
      before !== undefined &&
      ((/[\p{ID_Continue}$.]$/u.test(before) && !inNumber.test(before)) || (!whole && before === ''));
    const inText = whole && /["'`]$/.test(before ?? '');
    if (before === undefined || (!begun && !inText)) return setState(undefined);
    const { found, replaces } = readableAt(project, control, before, whole);
    setState(found.length > 0 ? { found: found.slice(0, mostOffered), replaces, chosen: 0 } : undefined);
  };
  const taking = useRef(false);
  /** Writes into the field itself, at once: the cursor has to be right before the next key comes. */
  const take = (field: Field, { text }: Readable) => {
    // The list has gone by when the field tells of its new text.
    setState(undefined);
    taking.current = true;
    insertText(field, text, state?.replaces ?? 0);
    taking.current = false;
  };
  return {
    /** For a text box, which keeps being one. */
    field: {
      'aria-autocomplete': 'list',
      'aria-controls': state ? `${id}-list` : undefined,
      'aria-activedescendant': state ? `${id}-${state.chosen}` : undefined,
    } as const,
    look,
    close: () => setState(undefined),
    /** @returns whether the key was for the list. */
    key: (event: KeyboardEvent<Field>): boolean => {
      if (!state) return false;
      const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
      if (by !== undefined)
        setState({ ...state, chosen: (state.chosen + by + state.found.length) % state.found.length });
      else if (event.key === 'Enter' || event.key === 'Tab')
        take(event.currentTarget, itemAt(state.found, state.chosen));
      else if (event.key === 'Escape') setState(undefined);
      else return false;
      event.preventDefault();
      event.stopPropagation();
      return true;
    },
    list: state && (
      <div
        id={`${id}-list`}
        role="listbox"
        aria-label="What can be read here"
        className="menu mt-0.5 !min-w-0 !shadow-none"
      >
        {state.found.map((readable, index) => (
          <div
            key={readable.text}
            id={`${id}-${index}`}
            role="option"
            tabIndex={-1}
            aria-selected={index === state.chosen}
            className={`flex cursor-pointer items-baseline gap-2 rounded-sm px-1.5 py-0.5 text-[12px] ${index === state.chosen ? 'bg-sunk' : ''}`}
            onPointerDown={(event) => {
              event.preventDefault();
              const field = event.currentTarget
                .closest('[data-completes]')
                ?.querySelector<Field>('input, textarea');
              if (field) take(field, readable);
            }}
          >
            <span className="shrink-0 font-mono">{readable.text}</span>
            <span className="ml-auto truncate text-quiet">{readableWords(readable)}</span>
          </div>
        ))}
      </div>
    ),
  };
}
