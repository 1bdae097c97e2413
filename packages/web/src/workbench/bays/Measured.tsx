/** Distances in figures, from the selection to the control under the pointer. */
import type { Rectangle } from '@hovrin/core';

/** One distance: a line and its length, CSS px. */
export interface Distance {
  readonly axis: 'x' | 'y';
  readonly at: number;
  readonly from: number;
  readonly to: number;
}

/** The distances between two rectangles: between their near edges, or, where one holds the other, on all sides. */
export function distances(one: Rectangle, other: Rectangle): Distance[] {
  const found: Distance[] = [];
  for (const axis of ['x', 'y'] as const) {
    const size = axis === 'x' ? 'width' : 'height';
    const [cross, crossSize] = axis === 'x' ? (['y', 'height'] as const) : (['x', 'width'] as const);
    const [a, b] = [one[axis], one[axis] + one[size]];
    const [c, d] = [other[axis], other[axis] + other[size]];
    const from = Math.max(one[cross], other[cross]);
    const to = Math.min(one[cross] + one[crossSize], other[cross] + other[crossSize]);
    const at = from < to ? (from + to) / 2 : one[cross] + one[crossSize] / 2;
    const add = (begin: number, end: number) => {
      if (Math.abs(end - begin) >= 0.5)
        found.push({ axis, at, from: Math.min(begin, end), to: Math.max(begin, end) });
    };
    if (b <= c) add(b, c);
    else if (d <= a) add(d, a);
    else {
      add(a, c);
      add(b, d);
    }
  }
  return found;
}

export function Measured({ one, other, scale }: { one: Rectangle; other: Rectangle; scale: number }) {
  return distances(one, other).map(({ axis, at, from, to }) => (
    <DistanceLine
      key={`${axis} ${from}`}
      axis={axis}
      at={at}
      from={from}
      to={to}
      scale={scale}
      words={String(Math.round((to - from) * 100) / 100)}
    />
  ));
}

/** A line in saffron, with words in its middle. */
export function DistanceLine({
  axis,
  at,
  from,
  to,
  scale,
  words,
}: Distance & { scale: number; words: string | undefined }) {
  const length = (to - from) * scale;
  const style =
    axis === 'x'
      ? { left: from * scale, top: at * scale, width: length, height: 1 }
      : { left: at * scale, top: from * scale, width: 1, height: length };
  return (
    <div className="absolute grid place-items-center bg-[#d08f0c]" style={style} data-measured={words}>
      {words !== undefined && (
        <span className="bg-[#e0a11b] px-1 font-mono text-[11px] leading-4 whitespace-nowrap text-[#1f2a24]">
          {words}
        </span>
      )}
    </div>
  );
}
