/** A screen on the map: its head, by which it is moved and chosen, and its live picture, from whose controls ways are drawn. */
import type { ScreenLayout } from '@hovrin/core';
import { AppWindow, CircleOff, Flag, type LucideIcon, SquareStack, Timer, Unplug } from 'lucide-react';
import { memo, type PointerEvent } from 'react';
import { PaintedPicture } from '../workbench/bays/PaintedPicture.tsx';
import type { Area, Spot } from './arrange.ts';
import { headHeight, type MapCard, type Mark } from './mapModel.ts';

/** Signs of marks, told apart by their shapes, and what they say. */
const signs: Readonly<
  Record<Mark, { readonly icon: LucideIcon; readonly words: string; readonly tone: string }>
> = {
  start: { icon: Flag, words: 'Opens first', tone: 'text-spruce' },
  dialog: { icon: SquareStack, words: 'Dialog', tone: 'text-quiet' },
  splash: { icon: Timer, words: 'Splash', tone: 'text-quiet' },
  unreached: { icon: Unplug, words: 'Nobody gets here', tone: 'text-copper' },
  noWayOut: { icon: CircleOff, words: 'No way out', tone: 'text-copper' },
};

export const markWords = (mark: Mark): string => signs[mark].words;

export function MarkIcon({ mark }: { readonly mark: Mark }) {
  const { icon: Icon, words, tone } = signs[mark];
  return (
    <span title={words} className={`shrink-0 ${tone}`}>
      <Icon size={13} aria-label={words} />
    </span>
  );
}

interface ScreenCardProps {
  readonly card: MapCard;
  readonly spot: Spot;
  /** Absent: it is being made. */
  readonly layout: ScreenLayout | undefined;
  readonly isChosen: boolean;
  /** A way that is being drawn would lead here. */
  readonly isTarget: boolean;
  /** In the picture: the control that a way would be drawn from. */
  readonly lit: Area | undefined;
  readonly onHead: (event: PointerEvent, card: MapCard) => void;
  readonly onPicture: (event: PointerEvent, card: MapCard) => void;
  readonly onOver: (event: PointerEvent, card: MapCard) => void;
  readonly onChoose: (name: string) => void;
  readonly onOpen: (card: MapCard) => void;
}

export const ScreenCard = memo(function ScreenCard(props: ScreenCardProps) {
  const { card, spot, layout, isChosen, isTarget, lit, onHead, onPicture, onOver, onChoose, onOpen } = props;
  const { name, width, height, pictureHeight, scale, marks } = card;
  const words = [name, ...marks.map(markWords)].join(', ');
  return (
    <div
      className={`absolute rounded-md bg-sheet shadow-sm outline ${isTarget ? 'outline-2 outline-saffron' : isChosen ? 'outline-2 outline-spruce' : 'outline-edge'}`}
      style={{ left: spot.x, top: spot.y, width, height }}
      data-map-screen={name}
    >
      <button
        type="button"
        aria-label={words}
        aria-pressed={isChosen}
        data-map-head={name}
        className="flex w-full cursor-grab touch-none items-center gap-1.5 rounded-t-md px-2 text-left font-medium active:cursor-grabbing"
        style={{ height: headHeight }}
        onPointerDown={(event) => onHead(event, card)}
        onClick={() => onChoose(name)}
        onDoubleClick={() => onOpen(card)}
      >
        <AppWindow size={13} aria-hidden className="shrink-0 text-quiet" />
        <span className="min-w-0 flex-1 truncate">{name}</span>
        {marks.map((mark) => (
          <MarkIcon key={mark} mark={mark} />
        ))}
      </button>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: by keys a way is added in the panel beside the map. */}
      <div
        className="relative cursor-crosshair touch-none overflow-hidden rounded-b-md"
        style={{ width, height: pictureHeight }}
        onPointerDown={(event) => onPicture(event, card)}
        onPointerMove={(event) => onOver(event, card)}
        onPointerLeave={(event) => onOver(event, card)}
        onDoubleClick={() => onOpen(card)}
      >
        {layout ? (
          <PaintedPicture
            layout={layout}
            width={width / scale}
            height={pictureHeight / scale}
            scale={scale}
            label={`Picture of ${name}`}
          />
        ) : (
          <div
            className="h-full animate-pulse bg-sunk"
            role="status"
            aria-label={`The picture of ${name} is being made`}
          />
        )}
        {lit && (
          <div
            aria-hidden
            className="pointer-events-none absolute outline-2 outline-saffron"
            style={{ left: lit.x, top: lit.y, width: lit.width, height: lit.height }}
          />
        )}
      </div>
    </div>
  );
});
