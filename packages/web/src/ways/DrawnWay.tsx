/** The way that is being drawn on the map, from its control to the pointer. */
import { arrowLine } from './arrows.ts';
import type { Drawing } from './useMapHands.ts';

export const DrawnWay = ({ drawing: { from, to } }: { readonly drawing: Drawing }) => (
  <svg
    aria-hidden="true"
    className="pointer-events-none absolute overflow-visible text-saffron"
    width={1}
    height={1}
  >
    <path
      d={arrowLine(from, { ...to, width: 1, height: 1 }).path}
      fill="none"
      stroke="currentColor"
      strokeWidth={3}
      markerEnd="url(#way-head-text-saffron)"
    />
  </svg>
);
