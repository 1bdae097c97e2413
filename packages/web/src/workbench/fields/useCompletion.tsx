/**
 * Completion in a field: what can be read in an expression, or the words that the field knows, offered while they are typed
 * (ARIA's combobox with a list; Alt+Down opens it).
 */
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

/** What is offered: the text that is put in, and what it is or holds. */
interface Offered {
  readonly text: string;
  readonly says: string;
}

interface Offer {
  readonly found: readonly Offered[];
  /** How many characters before the cursor it takes the place of. */
  readonly replaces: number;
  readonly chosen: number;
}

/** Words that begin with what stands before the cursor; the very word itself first. */
function wordsBefore(words: readonly string[], before: string): Omit<Offer, 'chosen'> {
  const begun = /[a-z][\w.-]*$/i.exec(before)?.[0] ?? '';
  const asked = begun.toLowerCase();
  const found = asked === '' ? [] : words.filter((word) => word.toLowerCase().startsWith(asked));
  const sorted = found.toSorted((one, other) => Number(other === begun) - Number(one === begun));
  return { found: sorted.map((text) => ({ text, says: '' })), replaces: begun.length };
}

/**
 * @param whole the text is an expression throughout, as an event's is; otherwise what stands in braces is one.
 * @param words that the field knows.
 * @returns what the field is given, and the list that stands below it.
 */
export function useCompletion(control: Control, whole: boolean, words: readonly string[] = []) {
  const { project } = useEditorState('project');
  const id = useId();
  const [state, setState] = useState<Offer>();
  const offer = ({ found, replaces }: Omit<Offer, 'chosen'>) =>
    setState(found.length > 0 ? { found, replaces, chosen: 0 } : undefined);
  const look = (field: Field) => {
    if (taking.current) return;
    const cursor = field.selectionStart ?? 0;
    const before = whole ? field.value.slice(0, cursor) : expressionBefore(field.value, cursor);
    if (before === undefined && words.length > 0 && !field.value.includes('{')) {
      const known = wordsBefore(words, field.value.slice(0, cursor));
      // Nothing is offered to somebody who has typed the only word that there is.
      const isDone = known.found.length === 1 && known.found[0]?.text.length === known.replaces;
      return offer(isDone ? { ...known, found: [] } : { ...known, found: known.found.slice(0, mostOffered) });
    }
    // Nothing is offered before something is begun, but for the very first word in braces.
    const begun =
      before !== undefined &&
      ((/[\p{ID_Continue}$.]$/u.test(before) && !inNumber.test(before)) || (!whole && before === ''));
    const inText = whole && /["'`]$/.test(before ?? '');
    if (before === undefined || (!begun && !inText)) return setState(undefined);
    const { found, replaces } = readableAt(project, control, before, whole);
    offer({
      found: found.slice(0, mostOffered).map((each) => ({ text: each.text, says: readableWords(each) })),
      replaces,
    });
  };
  /** All words, the one that stands in the field chosen. */
  const openAll = (field: Field) => {
    const found = words.map((text) => ({ text, says: '' }));
    const chosen = Math.max(0, words.indexOf(field.value));
    setState(found.length > 0 ? { found, replaces: field.value.length, chosen } : undefined);
  };
  const taking = useRef(false);
  /** Writes into the field itself, at once: the cursor has to be right before the next key comes. */
  const take = (field: Field, { text }: Offered) => {
    // The list has gone by when the field tells of its new text.
    setState(undefined);
    taking.current = true;
    insertText(field, text, state?.replaces ?? 0);
    taking.current = false;
  };
  return {
    /** For a text box, which keeps being one. */
    field: {
      ...(words.length > 0
        ? { role: 'combobox', 'aria-expanded': state !== undefined, 'aria-haspopup': 'listbox' as const }
        : {}),
      'aria-autocomplete': 'list',
      'aria-controls': state ? `${id}-list` : undefined,
      'aria-activedescendant': state ? `${id}-${state.chosen}` : undefined,
    } as const,
    look,
    /** The text of the field with the one word that its last one can only be the beginning of. */
    completed: (text: string): string | undefined => {
      if (words.length === 0 || text.includes('{')) return undefined;
      const { found, replaces } = wordsBefore(words, text);
      const [only, other] = found;
      const isBegun = only !== undefined && other === undefined && only.text.length > replaces;
      return isBegun ? text.slice(0, text.length - replaces) + only.text : undefined;
    },
    close: () => setState(undefined),
    /** @returns whether the key was for the list. */
    key: (event: KeyboardEvent<Field>): boolean => {
      if (event.altKey && event.key === 'ArrowDown' && words.length > 0 && !state) {
        event.preventDefault();
        openAll(event.currentTarget);
        return true;
      }
      if (!state) return false;
      const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
      if (by !== undefined)
        setState({ ...state, chosen: (state.chosen + by + state.found.length) % state.found.length });
      else if (event.key === 'Enter' || event.key === 'Tab') {
        take(event.currentTarget, itemAt(state.found, state.chosen));
        // From a field with words Tab goes on; in an expression more is typed.
        if (event.key === 'Tab' && words.length > 0) return false;
      } else if (event.key === 'Escape') setState(undefined);
      else return false;
      event.preventDefault();
      event.stopPropagation();
      return true;
    },
    list: state && <CompletionList id={id} offer={state} hasWords={words.length > 0} onTake={take} />,
  };
}

/** What is offered, below its field. A press takes it, and the field keeps the focus. */
function CompletionList({
  id,
  offer,
  hasWords,
  onTake,
}: {
  id: string;
  offer: Offer;
  /** Whether the field knows words. */
  hasWords: boolean;
  onTake: (field: Field, offered: Offered) => void;
}) {
  return (
    <div
      id={`${id}-list`}
      role="listbox"
      aria-label={hasWords && !offer.found.some(({ says }) => says) ? 'Words' : 'What can be read here'}
      className="menu absolute top-full right-0 left-0 z-30 mt-0.5 max-h-64 !min-w-0 overflow-y-auto"
    >
      {offer.found.map((offered, index) => (
        <div
          key={offered.text}
          id={`${id}-${index}`}
          role="option"
          tabIndex={-1}
          aria-selected={index === offer.chosen}
          className={`flex cursor-pointer items-baseline gap-2 rounded-sm px-1.5 py-0.5 text-[12px] ${index === offer.chosen ? 'bg-sunk' : ''}`}
          onPointerDown={(event) => {
            event.preventDefault();
            const field = event.currentTarget
              .closest('[data-completes]')
              ?.querySelector<Field>('input, textarea');
            if (field) onTake(field, offered);
          }}
        >
          <span className="shrink-0 font-mono">{offered.text}</span>
          <span className="ml-auto truncate text-quiet">{offered.says}</span>
        </div>
      ))}
    </div>
  );
}
