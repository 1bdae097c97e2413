/** Frames and flags around controls on a bay. */
import type { Rectangle, ScreenLayout } from '@hovrin/core';
import type { ReactNode } from 'react';
import { scaled } from '../hands/drop.ts';

export function Frame({
  box,
  scale,
  className,
  lit,
  words,
  hiddenOne,
}: {
  box: Rectangle;
  scale: number;
  className: string;
  /** Name of a control that it lights up. */
  lit?: string | undefined;
  /** Stands in its corner. */
  words?: string | undefined;
  /** Around a control that is hidden. */
  hiddenOne?: boolean;
}) {
  return (
    <div
      className={`absolute ${className}`}
      style={scaled(box, scale)}
      data-lit={lit}
      data-hidden-one={hiddenOne}
    >
      {words !== undefined && (
        <span className="absolute top-0 left-0 max-w-full truncate bg-white/85 px-0.5 text-[9px] leading-[11px] text-[#2f5d50]">
          {words}
        </span>
      )}
    </div>
  );
}

/** Where the window ends and scrolling begins. */
export function Fold({ at, height, words }: { at: number; height: number; words: boolean }) {
  return (
    <div className="absolute inset-x-0 border-t border-dashed border-[#59625b]" style={{ top: at }}>
      {words && (
        <span className="absolute right-1 bottom-0.5 bg-white/80 px-1 text-[10px] text-[#59625b]">
          {Math.round(height)} px: the window ends here
        </span>
      )}
    </div>
  );
}

export function Hover({
  layout,
  id,
  name,
  scale,
}: {
  layout: ScreenLayout;
  id: string;
  name: string;
  scale: number;
}) {
  const box = layout.byControl.get(id);
  if (!box) return null;
  return (
    <div className="absolute border border-[#2f5d50]" style={scaled(box, scale)}>
      <span
        // Above the screen stands what belongs to the bay.
        className={`absolute left-0 bg-[#2f5d50] px-1 text-[10px] leading-4 whitespace-nowrap text-white ${box.y * scale < 16 ? 'top-0' : 'bottom-full'}`}
      >
        {name}
      </span>
    </div>
  );
}

/** Corner brackets, and the name on a small flag. */
/** The name stands at the right corner, where that leaves it this much, px of the window; otherwise at the left one. */
const flagRoom = 180;

export function SelectionMarks({
  box,
  name,
  scale,
  small,
  room,
  children,
}: {
  box: Rectangle;
  name: string;
  scale: number;
  small: boolean;
  /** How wide the screen is, px of the window: the name stands where it is seen. */
  room: number;
  /** Beside the name. */
  children?: ReactNode;
}) {
  const { left, top, width, height } = scaled(box, scale);
  const arm = Math.max(3, Math.min(small ? 6 : 10, width / 3, height / 3));
  const reach = 3;
  const corners = (
    [
      [-reach, -reach, 1, 1],
      [width + reach, -reach, -1, 1],
      [-reach, height + reach, 1, -1],
      [width + reach, height + reach, -1, -1],
    ] as const
  )
    .map(([x, y, dx, dy]) => `M${x + dx * arm} ${y}H${x}V${y + dy * arm}`)
    .join('');
  return (
    <div className="absolute" style={{ left, top, width, height }} data-selected={name}>
      <svg
        className="absolute overflow-visible"
        style={{ left: 0, top: 0 }}
        width={Math.max(1, width)}
        height={Math.max(1, height)}
        aria-hidden
      >
        <path d={corners} fill="none" stroke="#fffdf8" strokeWidth={4.5} />
        <path d={corners} fill="none" stroke="#1f2a24" strokeWidth={2} />
      </svg>
      {!small && (
        <span
          className={`absolute bg-[#1f2a24] ${left + width < flagRoom || left + width > room + 8 ? '-left-1' : '-right-1'} px-1.5 text-[11px] leading-[17px] whitespace-nowrap text-[#fffdf8] ${top < 24 ? 'top-full mt-1.5' : 'bottom-full mb-1.5'}`}
        >
          {name}
          {children}
        </span>
      )}
    </div>
  );
}
