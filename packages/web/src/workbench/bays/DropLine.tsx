import { type Drop, scaled } from '../hands/drop.ts';
import type { Guide } from '../hands/guides.ts';
import { DistanceLine } from './Measured.tsx';
import { Frame } from './marks.tsx';

/** Where a dragged control would land: a line, or a rectangle, with the edges that it lines up with. */
export function DropLine({ drop, scale, words }: { drop: Drop; scale: number; words: string }) {
  const line = scaled(drop.line, scale);
  const upright = drop.line.width === 0;
  const level = drop.line.height === 0;
  return (
    <>
      <Frame
        box={drop.into}
        scale={scale}
        className="border border-dotted border-[#b87d0c] bg-[#e0a11b]/10"
      />
      <div
        className={`absolute ${upright || level ? 'bg-[#d08f0c]' : 'border-2 border-[#d08f0c]'}`}
        style={{
          left: line.left - (upright ? 1.5 : 0),
          top: line.top - (level ? 1.5 : 0),
          width: upright ? 3 : line.width,
          height: level ? 3 : line.height,
        }}
      />
      {drop.guides?.map((guide) => (
        <GuideLine
          key={`${guide.axis} ${guide.at} ${guide.from} ${guide.distance ?? ''}`}
          guide={guide}
          scale={scale}
        />
      ))}
      <span
        className="absolute z-10 bg-[#1f2a24] px-1.5 text-[11px] leading-[18px] whitespace-nowrap text-[#fffdf8]"
        // On a pinboard figures stand beside and below it; a cell has room inside.
        style={
          drop.guides
            ? { left: line.left + line.width + 6, top: line.top + line.height + 4 }
            : { left: line.left, top: line.top + 6 }
        }
      >
        {words}
      </span>
    </>
  );
}

/** A line through edges that lie on one another, or the distance to the next. */
function GuideLine({ guide, scale }: { guide: Guide; scale: number }) {
  const { axis, at, from, to, distance } = guide;
  if (distance !== undefined)
    return (
      <DistanceLine
        axis={axis === 'x' ? 'y' : 'x'}
        at={at}
        from={from}
        to={to}
        scale={scale}
        words={String(distance)}
      />
    );
  const length = (to - from) * scale;
  return (
    <div
      className="absolute bg-[#d08f0c]"
      data-guide={axis}
      style={
        axis === 'x'
          ? { left: at * scale, top: from * scale, width: 1, height: length }
          : { top: at * scale, left: from * scale, height: 1, width: length }
      }
    />
  );
}
