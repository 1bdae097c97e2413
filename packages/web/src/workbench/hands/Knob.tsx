/** A knob on the bench that is dragged to a point; what it comes to stands beside it. */
import type { Point } from './drop.ts';
import { HandWords } from './HandWords.tsx';
import { useHand } from './useHand.ts';

interface KnobProps {
  readonly at: Point;
  readonly scale: number;
  readonly title: string;
  readonly look: string;
  /** Its name among the hands. */
  readonly hand?: string;
  /** @param point where it is dragged to, CSS px of the screen. @param free whether it snaps to nothing. */
  readonly onDrag: (point: Point, free: boolean, run: string, mod: boolean) => string;
}

export function Knob({ at, scale, title, look, hand = '', onDrag }: KnobProps) {
  const { handlers, words } = useHand({
    scale,
    onTake: () => at,
    onMove: (from, by, { free, run, mod }) => onDrag({ x: from.x + by.x, y: from.y + by.y }, free, run, mod),
  });
  return (
    <div
      className={`pointer-events-auto absolute z-10 size-3.5 -translate-1/2 cursor-grab touch-none focus-visible:outline-2 focus-visible:outline-offset-2 focus-visible:outline-[#e0a11b] border-2 border-[#1f2a24] ${look}`}
      style={{ left: at.x * scale, top: at.y * scale }}
      title={title}
      data-hand={hand}
      role="slider"
      aria-label={title}
      aria-valuenow={0}
      aria-valuetext={words ?? ''}
      tabIndex={-1}
      {...handlers}
    >
      <HandWords words={words} className="top-full left-full" />
    </div>
  );
}
