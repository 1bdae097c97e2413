/** A quiet glyph for each kind, from the icon set that ships. */
import { iconSet, kindNamed } from '@hovrin/core';
import { createElement, memo } from 'react';

export const KindIcon = memo(function KindIcon({ kind, size = 14 }: { kind: string; size?: number }) {
  const shapes = iconSet().get(kindNamed(kind)?.glyph ?? '') ?? [];
  return (
    <svg
      viewBox="0 0 24 24"
      width={size}
      height={size}
      fill="none"
      stroke="currentColor"
      strokeWidth={2}
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden
      className="shrink-0 text-quiet"
    >
      {shapes.map(([tag, attributes]) =>
        createElement(tag, { key: JSON.stringify(attributes), ...attributes }),
      )}
    </svg>
  );
});
