/** The ways as arrows: full lines lead on, dashed ones open a dialog, dotted ones stand in a navigation or around the screens. */
import { memo } from 'react';
import type { Area } from './arrange.ts';
import type { MapArrow } from './mapModel.ts';

/** How a way is drawn: the pattern of its line. */
const dashes = ({ way: { by, isAround } }: MapArrow): string | undefined =>
  by === 'open' ? '7 5' : isAround || by === 'place' ? '1.5 4' : undefined;

/** Colours of arrows: an arrowhead does not take its line's, so each has one of its own. */
const tones = ['text-spruce', 'text-saffron', 'text-brick', 'text-edge'] as const;

interface ArrowLayerProps {
  readonly extent: Area;
  readonly arrows: readonly MapArrow[];
  readonly chosen: string | undefined;
  /** Arrows from and to a chosen screen stand out. */
  readonly screen: string | undefined;
  readonly onChoose: (key: string) => void;
}

/** The heads of arrows, in each tone; a cross where a way leads nowhere. */
const ArrowHeads = () => (
  <defs>
    {tones.map((tone) => (
      <marker
        key={tone}
        id={`way-head-${tone}`}
        className={tone}
        viewBox="0 0 10 10"
        refX="9"
        refY="5"
        markerWidth="7"
        markerHeight="7"
        orient="auto"
      >
        <path d="M0 0L10 5L0 10L2.6 5z" fill="currentColor" />
      </marker>
    ))}
    <marker
      id="way-nowhere"
      className="text-brick"
      viewBox="0 0 10 10"
      refX="5"
      refY="5"
      markerWidth="9"
      markerHeight="9"
      orient="auto"
    >
      <path d="M1 1L9 9M9 1L1 9" stroke="currentColor" strokeWidth="2" />
    </marker>
  </defs>
);

interface ArrowProps {
  readonly arrow: MapArrow;
  readonly tone: (typeof tones)[number];
  readonly isChosen: boolean;
  readonly onChoose: (key: string) => void;
}

const Arrow = ({ arrow, tone, isChosen, onChoose }: ArrowProps) => (
  <g className={tone} data-way={`${arrow.way.from} ${arrow.way.to}`}>
    {/* biome-ignore lint/a11y: by keys a way is chosen in the panel beside the map. */}
    <path
      d={arrow.line.path}
      fill="none"
      stroke="transparent"
      strokeWidth={14}
      className="pointer-events-auto cursor-pointer"
      onPointerDown={(event) => event.stopPropagation()}
      onClick={() => onChoose(arrow.key)}
    />
    <path
      d={arrow.line.path}
      fill="none"
      stroke="currentColor"
      strokeWidth={isChosen ? 3 : 1.75}
      strokeDasharray={dashes(arrow)}
      markerEnd={`url(#${arrow.isNowhere ? 'way-nowhere' : `way-head-${tone}`})`}
    />
    {arrow.isNowhere && (
      <text
        x={arrow.line.middle.x + 10}
        y={arrow.line.middle.y + 4}
        fill="currentColor"
        fontSize={12}
        fontWeight={600}
      >
        {arrow.way.to}
      </text>
    )}
  </g>
);

export const ArrowLayer = memo(function ArrowLayer({
  extent,
  arrows,
  chosen,
  screen,
  onChoose,
}: ArrowLayerProps) {
  const toneOf = (arrow: MapArrow): (typeof tones)[number] =>
    arrow.key === chosen
      ? 'text-saffron'
      : arrow.isNowhere
        ? 'text-brick'
        : screen === undefined || arrow.way.from === screen || arrow.way.to === screen
          ? 'text-spruce'
          : 'text-edge';
  return (
    <svg
      aria-hidden="true"
      className="pointer-events-none absolute"
      style={{ left: extent.x, top: extent.y }}
      width={extent.width}
      height={extent.height}
      viewBox={`${extent.x} ${extent.y} ${extent.width} ${extent.height}`}
    >
      <ArrowHeads />
      {arrows.map((arrow) => (
        <Arrow
          key={arrow.key}
          arrow={arrow}
          tone={toneOf(arrow)}
          isChosen={arrow.key === chosen}
          onChoose={onChoose}
        />
      ))}
    </svg>
  );
});
