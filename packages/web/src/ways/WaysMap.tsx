/** The map: every screen as a live picture, folders around them, and the ways between them as arrows. */
import type { Project, ScreenLayout, Way } from '@hovrin/core';
import { useCallback, useMemo, useRef } from 'react';
import { useWorkplace } from '../editor/context.tsx';
import { useGoTo } from '../parts/useGoTo.ts';
import { usePanning } from '../workbench/bench/panning.ts';
import { ArrowLayer } from './ArrowLayer.tsx';
import type { Area } from './arrange.ts';
import { DrawnWay } from './DrawnWay.tsx';
import { MapFolders } from './MapFolders.tsx';
import { MapNearness } from './MapNearness.tsx';
import { arrowsOf, extentOf, foldersOn, type MapCard, type MapModel } from './mapModel.ts';
import { ScreenCard } from './ScreenCard.tsx';
import { useCardInSight } from './useCardInSight.ts';
import { useMapHands } from './useMapHands.ts';
import { useMapKeys } from './useMapKeys.ts';
import { useMapView } from './useMapView.ts';

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

/** Cards, with one that is being moved where it is now, arrows, and folders around them. */
function useMapContent(
  { project, model: arranged, layouts, isShown }: WaysMapProps,
  moving: ReturnType<typeof useMapHands>['moving'],
) {
  const model = useMemo(
    () => (moving ? { ...arranged, spots: new Map(arranged.spots).set(moving.name, moving.spot) } : arranged),
    [arranged, moving],
  );
  const arrows = useMemo(() => arrowsOf(model, layouts, isShown), [model, layouts, isShown]);
  const folders = useMemo(() => foldersOn(model, project), [model, project]);
  return { model, arrows, folders };
}

/** Goes to the bench with a card's screen. */
function useOpening() {
  const { editor } = useWorkplace();
  const goTo = useGoTo();
  return useCallback(
    ({ id }: MapCard) => {
      editor.showScreen(id);
      goTo('');
    },
    [editor, goTo],
  );
}

/** A box of a layout as it is in a card's picture. */
const scaledBox = ({ x, y, width, height }: Area, scale: number): Area => ({
  x: x * scale,
  y: y * scale,
  width: width * scale,
  height: height * scale,
});

export function WaysMap(props: WaysMapProps) {
  const { project, model: arranged, layouts, screen, way, onScreen, onWay } = props;
  const open = useOpening();
  const area = useRef<HTMLDivElement>(null);
  const extent = useMemo(() => extentOf(arranged), [arranged]);
  const view = useMapView(area, extent);
  const panning = usePanning(area);
  const hands = useMapHands({ model: arranged, layouts, view, onChoose: onScreen });
  const { drawing, over } = hands;
  const { model, arrows, folders } = useMapContent(props, hands.moving);
  useCardInSight(area, model, view, screen);
  const chooseNothing = () => {
    onWay(undefined);
    onScreen(undefined);
  };
  const keys = useMapKeys({ area, project, model, view, onNothing: chooseNothing });

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
          if (target === currentTarget || (target as HTMLElement).hasAttribute('data-map-ground'))
            chooseNothing();
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
            <MapFolders folders={folders} />
            {model.cards.map((card) => (
              <ScreenCard
                key={card.id}
                card={card}
                spot={model.spots.get(card.name) ?? { x: 0, y: 0 }}
                layout={layouts.get(card.name)}
                isChosen={card.name === screen}
                isTarget={drawing?.target === card.name}
                lit={over?.name === card.name && !drawing ? scaledBox(over.under.box, card.scale) : undefined}
                onHead={hands.onHead}
                onPicture={hands.onPicture}
                onOver={hands.onOver}
                onChoose={onScreen}
                onOpen={open}
              />
            ))}
            <ArrowLayer extent={extent} arrows={arrows} chosen={way} screen={screen} onChoose={onWay} />
            {drawing && <DrawnWay drawing={drawing} />}
          </div>
        </div>
      </div>
      {/* biome-ignore-end lint/a11y: all of it is above. */}
      <MapNearness view={view} />
    </section>
  );
}
