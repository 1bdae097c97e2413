/**
 * The text of a field while somebody types in it: as it is typed, whatever the value is kept as. What is plainly whole
 * takes effect at once; the rest when the field is left, or at Enter.
 */
import { useEffect, useRef, useState } from 'react';

interface TypedText {
  /** What the field shows. */
  readonly shown: string;
  /** Whether somebody is typing in it. */
  readonly isTyped: boolean;
  /** Takes what the field holds now. */
  type(text: string): void;
  /** Puts into effect what waits, and shows the value as it is kept again. */
  leave(): void;
}

/**
 * @param what the field is of: another text of it is another value's.
 * @param kept the value as it is kept.
 * @param take puts a text into effect.
 * @param waits whether a text is to wait until the field is left.
 */
export function useTypedText(
  what: string,
  kept: string,
  take: (text: string) => void,
  waits: (text: string) => boolean = () => false,
): TypedText {
  const [typed, setTyped] = useState<{ readonly of: string; readonly text: string }>();
  const waiting = useRef<(() => void) | undefined>(undefined);
  const finish = useRef(() => {
    waiting.current?.();
    waiting.current = undefined;
  });
  // A field that shows another value, or goes, leaves nothing behind that was typed into it.
  // biome-ignore lint/correctness/useExhaustiveDependencies: what it is of decides.
  useEffect(() => finish.current, [what]);
  return {
    shown: typed?.of === what ? typed.text : kept,
    isTyped: typed?.of === what,
    type: (text) => {
      setTyped({ of: what, text });
      if (waits(text)) waiting.current = () => take(text);
      else {
        waiting.current = undefined;
        take(text);
      }
    },
    leave: () => {
      finish.current();
      setTyped(undefined);
    },
  };
}
