/** A field with its words in front of it, all of one width. */
import type { ReactNode } from 'react';

export const Labelled = ({
  words,
  children,
  hint,
}: {
  readonly words: string;
  readonly children: ReactNode;
  readonly hint?: string | undefined;
}) => (
  // biome-ignore lint/a11y/noLabelWithoutControl: the field is among the children.
  <label className="flex items-center gap-2">
    <span className="w-28 shrink-0 text-quiet" title={hint}>
      {words}
    </span>
    {children}
  </label>
);
