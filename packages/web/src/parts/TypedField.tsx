/** A line of text that takes effect as it is left, where it is right; what is wrong stands below it. */
import { type ReactNode, useId, useState } from 'react';

interface TypedFieldProps {
  readonly label: string;
  /** What is kept. */
  readonly kept: string;
  /** Why a text cannot be kept; undefined where it can. */
  readonly problemOf: (text: string) => string | undefined;
  /** Takes a text that differs from what is kept. */
  readonly onText: (text: string) => void;
  /** The field was asked for a moment ago: it takes the focus, and tells when it is left with nothing in it. */
  readonly onGone?: () => void;
  readonly className?: string;
  readonly placeholder?: string;
  /** What is wrong with what is kept, where nothing is typed. */
  readonly problem?: string | undefined;
  /** Marks the field, to be found. */
  readonly token?: string;
  /** What stands in the field besides the text. */
  readonly children?: ReactNode;
}

export function TypedField(props: TypedFieldProps) {
  const { label, kept, problemOf, onText, onGone, className = '', placeholder, token, children } = props;
  const id = useId();
  const [typed, setTyped] = useState<string>();
  const text = typed?.trim();
  const problem = text === undefined ? props.problem : problemOf(text);
  const leave = () => {
    if (!text) onGone?.();
    if (text === undefined || problem) return;
    if (text !== kept) onText(text);
    setTyped(undefined);
  };
  return (
    <span className="block min-w-0 flex-1">
      <span className="relative block">
        <input
          className={`field font-mono text-[12px] ${className}`}
          aria-label={label}
          aria-invalid={problem !== undefined}
          aria-describedby={problem ? `${id}-problem` : undefined}
          data-token={token}
          placeholder={placeholder}
          spellCheck={false}
          // biome-ignore lint/a11y/noAutofocus: it was asked for a moment ago.
          autoFocus={onGone !== undefined}
          value={typed ?? kept}
          onChange={({ target }) => setTyped(target.value)}
          onBlur={leave}
          onKeyDown={({ key }) => {
            if (key === 'Enter') leave();
            if (key !== 'Escape') return;
            setTyped(undefined);
            onGone?.();
          }}
        />
        {children}
      </span>
      {problem && (
        <span id={`${id}-problem`} role="alert" className="mt-0.5 block text-[12px] text-brick">
          {problem}
        </span>
      )}
    </span>
  );
}
