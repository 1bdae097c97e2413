/** The map: every screen as a live picture, folders around them, and the ways between them as arrows. */
import type { Project, ScreenLayout, Way } from '@hovrin/core';
import { Maximize, Minus, Plus } from 'lucide-react';
import { type KeyboardEvent, useCallback, useEffect, useMemo, useRef } from 'react';
import { useWorkplace } from '../editor/context.tsx';
import { useGoTo } from '../parts/useGoTo.ts';
import { usePanning } from '../workbench/bench/panning.ts';
import { ArrowLayer } from './ArrowLayer.tsx';
import { arrowLine } from './arrows.ts';
import { cardBeside } from './cardBeside.ts';
import { arrowsOf, extentOf, foldersOn, type MapCard, type MapModel } from './mapModel.ts';
import { ScreenCard } from './ScreenCard.tsx';
import { placing, useMapHands } from './useMapHands.ts';
import { useMapView } from './useMapView.ts';

/** How far the arrow keys move a card, units of the map. */
const step = 24;

interface WaysMapProps {
  readonly project: Project;
  readonly model: MapModel;
  readonly layouts: ReadonlyMap<string, ScreenLayout>;
  readonly isShown: (way: Way) => boolean;
  /** Name of the chosen screen, key of the chosen way. */
  readonly screen: string | undefined;
  readonly way: string | undefined;
  readonly onScreen: (name: string | undefined) => void;
  readonly onWay: (key: string | undefined) => void;
}

const directions: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

export function WaysMap(props: WaysMapProps) {
  const { project, model: arranged, layouts, isShown, screen, way, onScreen, onWay } = props;
  const { editor } = useWorkplace();
  const goTo = useGoTo();
  const area = useRef<HTMLDivElement>(null);
  const extent = useMemo(() => extentOf(arranged), [arranged]);
  const view = useMapView(area, extent);
  const panning = usePanning(area);
  const hands = useMapHands({ model: arranged, layouts, view, onChoose: onScreen });
  const { moving, drawing, over } = hands;
  const model = useMemo(
    () => (moving ? { ...arranged, spots: new Map(arranged.spots).set(moving.name, moving.spot) } : arranged),
    [arranged, moving],
  );
  const arrows = useMemo(() => arrowsOf(model, layouts, isShown), [model, layouts, isShown]);
  const folders = useMemo(() => foldersOn(model, project), [model, project]);

  const open = useCallback(
    ({ id }: MapCard) => {
      editor.showScreen(id);
      goTo('');
    },
    [editor, goTo],
  );

  // What is chosen elsewhere comes into sight.
  const { show } = view;
  const spots = useRef(model);
  spots.current = model;
  useEffect(() => {
    const { cards, spots: places } = spots.current;
    const card = cards.find(({ name }) => name === screen);
    const spot = card && places.get(card.name);
    const element = area.current?.querySelector(`[data-map-screen="${CSS.escape(screen ?? '')}"]`);
    const seen = element?.getBoundingClientRect();
    const frame = area.current?.getBoundingClientRect();
    if (!card || !spot || !seen || !frame) return;
    const isIn =
      seen.left >= frame.left &&
      seen.top >= frame.top &&
      seen.right <= frame.right &&
      seen.top < frame.bottom;
    if (!isIn) show({ x: spot.x + card.width / 2, y: spot.y + card.height / 2 });
  }, [screen, show]);

  const keys = (event: KeyboardEvent) => {
    const { key, altKey, ctrlKey, metaKey } = event;
    if (ctrlKey || metaKey) return;
    if (key === '+' || key === '=') view.nearer();
    else if (key === '-') view.farther();
    else if (key === '0') view.whole();
    else if (key === 'Escape') {
      onWay(undefined);
      onScreen(undefined);
    } else {
      const direction = directions[key];
      const name = (event.target as HTMLElement).dataset.mapHead;
      const spot = name === undefined ? undefined : model.spots.get(name);
      if (!direction || name === undefined || !spot) return;
      if (altKey) {
        const to = { x: spot.x + direction[0] * step, y: spot.y + direction[1] * step };
        editor.dispatch({
          label: `Move ${name} on the map`,
          group: `map ${name}`,
          steps: placing(project, name, to),
        });
      } else {
        const next = cardBeside(model, name, direction);
        area.current?.querySelector<HTMLElement>(`[data-map-head="${CSS.escape(next ?? '')}"]`)?.focus();
      }
    }
    event.preventDefault();
  };

  return (
    <section
      aria-label="Map of ways"
      data-region="map"
      className="relative flex min-w-0 flex-1 flex-col bg-ground"
    >
      {/* biome-ignore-start lint/a11y: what scrolls takes the keys, so that arrows scroll it (axe: scrollable-region-focusable). */}
      <div
        ref={area}
        role="group"
        aria-label="Screens and ways"
        tabIndex={0}
        data-region-begin
        className={`min-h-0 flex-1 overflow-auto outline-offset-[-2px] ${panning ? 'cursor-grab' : ''}`}
        onKeyDown={keys}
        onPointerDown={({ target, currentTarget }) => {
          if (target !== currentTarget && !(target as HTMLElement).hasAttribute('data-map-ground')) return;
          onWay(undefined);
          onScreen(undefined);
        }}
      >
        <div
          data-map-ground
          className="relative min-h-full min-w-full"
          style={{ width: extent.width * view.zoom, height: extent.height * view.zoom }}
        >
          <div
            data-map-ground
            className="absolute top-0 left-0 origin-top-left"
            style={{ transform: `scale(${view.zoom}) translate(${-extent.x}px, ${-extent.y}px)` }}
          >
            {folders.map(({ name, x, y, width, height }) => (
              <div
                key={name}
                data-map-ground
                className="absolute rounded-lg border border-rule bg-sunk/60"
                style={{ left: x, top: y, width, height }}
              >
                <h2 className="px-4 pt-2 text-[13px] font-semibold text-quiet">{name}</h2>
              </div>
            ))}
            {model.cards.map((card) => (
              <ScreenCard
                key={card.id}
                card={card}
                spot={model.spots.get(card.name) ?? { x: 0, y: 0 }}
                layout={layouts.get(card.name)}
                isChosen={card.name === screen}
                isTarget={drawing?.target === card.name}
                lit={
                  over?.name === card.name && !drawing
                    ? {
                        x: over.under.box.x * card.scale,
                        y: over.under.box.y * card.scale,
                        width: over.under.box.width * card.scale,
                        height: over.under.box.height * card.scale,
                      }
                    : undefined
                }
                onHead={hands.onHead}
                onPicture={hands.onPicture}
                onOver={hands.onOver}
                onChoose={onScreen}
                onOpen={open}
              />
            ))}
            <ArrowLayer extent={extent} arrows={arrows} chosen={way} screen={screen} onChoose={onWay} />
            {drawing && (
              <svg
                aria-hidden="true"
                className="pointer-events-none absolute overflow-visible text-saffron"
                width={1}
                height={1}
              >
                <path
                  d={arrowLine(drawing.from, { ...drawing.to, width: 1, height: 1 }).path}
                  fill="none"
                  stroke="currentColor"
                  strokeWidth={3}
                  markerEnd="url(#way-head-text-saffron)"
                />
              </svg>
            )}
          </div>
        </div>
      </div>
      {/* biome-ignore-end lint/a11y: all of it is above. */}
      <fieldset className="absolute right-4 bottom-4 flex rounded-md border border-rule bg-sheet p-0.5 shadow-sm">
        <legend className="sr-only">How near</legend>
        <button
          type="button"
          className="btn-bare"
          aria-label="Farther"
          title="Farther (-)"
          onClick={view.farther}
        >
          <Minus size={15} />
        </button>
        <output className="grid w-12 place-items-center text-[12px]">{Math.round(view.zoom * 100)} %</output>
        <button
          type="button"
          className="btn-bare"
          aria-label="Nearer"
          title="Nearer (+)"
          onClick={view.nearer}
        >
          <Plus size={15} />
        </button>
        <button
          type="button"
          className="btn-bare"
          aria-label="All of it"
          title="All of it (0)"
          onClick={view.whole}
        >
          <Maximize size={15} />
        </button>
      </fieldset>
    </section>
  );
}
