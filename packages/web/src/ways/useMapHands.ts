/** The pointer on the map: cards are moved by their heads, ways drawn from the controls in their pictures. */
import { addWay, changing, type MapPlace, type Project, putting, type ScreenLayout } from '@hovrin/core';
import { type PointerEvent as ReactPointerEvent, useCallback, useRef, useState } from 'react';
import { useWorkplace } from '../editor/context.tsx';
import type { Area, Spot } from './arrange.ts';
import { headHeight, type MapCard, type MapModel } from './mapModel.ts';
import { type Under, underPoint } from './underPoint.ts';
import type { MapView } from './useMapView.ts';
import { usePointer } from './usePointer.ts';

/** The map's grid, that moved cards come to lie on. */
const grid = 8;

const snapped = ({ x, y }: Spot): Spot => ({
  x: Math.round(x / grid) * grid,
  y: Math.round(y / grid) * grid,
});

/** A card that is being moved. */
interface Moving {
  readonly name: string;
  readonly spot: Spot;
}

/** A way that is being drawn. */
export interface Drawing {
  readonly from: Area;
  readonly to: Spot;
  /** Name of the screen that it would lead to. */
  readonly target: string | undefined;
}

interface HandsOn {
  readonly model: MapModel;
  readonly layouts: ReadonlyMap<string, ScreenLayout>;
  readonly view: MapView;
  /** A press without a drag chose a card. */
  readonly onChoose: (name: string) => void;
}

/** The step that keeps a card's place. */
export function placing({ map = [] }: Project, screen: string, { x, y }: Spot) {
  const before = map.find((each) => each.screen === screen);
  const after: MapPlace = { screen, x, y };
  return before ? changing('map', before, after) : [putting('map', after)];
}

/** The area of a box of a card's picture, on the map. */
const onMap = (card: MapCard, spot: Spot, { box }: Under): Area => ({
  x: spot.x + box.x * card.scale,
  y: spot.y + headHeight + box.y * card.scale,
  width: box.width * card.scale,
  height: box.height * card.scale,
});

/** The control in a card's picture that the pointer is over. */
interface Over {
  readonly name: string;
  readonly under: Under;
}

/** What it was over before, where that is the same control: nothing is drawn anew then. */
const sameOver = (before: Over | undefined, now: Over): Over =>
  before?.name === now.name && before.under.control === now.under.control ? before : now;

/** The topmost card at a place of the map, but for one. */
const cardAt = ({ cards, spots }: MapModel, at: Spot, except: string): MapCard | undefined =>
  cards.findLast(({ name, width, height }) => {
    const place = spots.get(name);
    return (
      name !== except &&
      place !== undefined &&
      at.x >= place.x &&
      at.y >= place.y &&
      at.x < place.x + width &&
      at.y < place.y + height
    );
  });

/** The control of a card's picture that a way would be drawn from, under the pointer. */
function underPointer(
  project: Project,
  { model, layouts, view }: HandsOn,
  event: ReactPointerEvent,
  card: MapCard,
): Under | undefined {
  const layout = layouts.get(card.name);
  const spot = model.spots.get(card.name);
  const target = project.screens.find(({ name }) => name !== card.name);
  if (!layout || !spot || !target) return undefined;
  const { x, y } = view.at(event);
  return underPoint(project, layout, target, {
    x: (x - spot.x) / card.scale,
    y: (y - spot.y - headHeight) / card.scale,
  });
}

export function useMapHands(hands: HandsOn) {
  const { editor } = useWorkplace();
  const latest = useRef(hands);
  latest.current = hands;
  const [moving, setMoving] = useState<Moving>();
  const [drawing, setDrawing] = useState<Drawing>();
  const [over, setOver] = useState<Over>();
  const at = useCallback((event: { clientX: number; clientY: number }) => latest.current.view.at(event), []);
  const follow = usePointer(at);

  const onHead = useCallback(
    (event: ReactPointerEvent, { name }: MapCard) => {
      if (event.button !== 0) return;
      const { model, view } = latest.current;
      const first = model.spots.get(name) ?? { x: 0, y: 0 };
      const grabbed = view.at(event);
      const to = (at: Spot) => snapped({ x: first.x + at.x - grabbed.x, y: first.y + at.y - grabbed.y });
      follow(event, {
        move: (at) => setMoving({ name, spot: to(at) }),
        drop: (at) =>
          editor.dispatch({
            label: `Move ${name} on the map`,
            steps: placing(editor.state.project, name, to(at)),
          }),
        back: () => setMoving(undefined),
      });
    },
    [editor, follow],
  );

  const under = useCallback(
    (event: ReactPointerEvent, card: MapCard) =>
      underPointer(editor.state.project, latest.current, event, card),
    [editor],
  );

  const onPicture = useCallback(
    (event: ReactPointerEvent, card: MapCard) => {
      if (event.button !== 0) return;
      latest.current.onChoose(card.name);
      const found = under(event, card);
      const spot = latest.current.model.spots.get(card.name);
      if (!found || !spot) return;
      const from = onMap(card, spot, found);
      const targetAt = (spot: Spot) => cardAt(latest.current.model, spot, card.name);
      follow(event, {
        move: (at) => setDrawing({ from, to: at, target: targetAt(at)?.name }),
        drop(at) {
          const target = targetAt(at);
          const { project } = editor.state;
          const to = project.screens.find(({ id }) => id === target?.id);
          if (!to) {
            editor.tell('A way is drawn from a control to another screen: let go over one.');
            return;
          }
          const change = addWay(found.control, to);
          if ('reason' in change) editor.tell(change.reason);
          else editor.dispatch({ label: `A way from ${card.name} to ${to.name}`, steps: change.steps });
        },
        back: () => setDrawing(undefined),
      });
    },
    [editor, follow, under],
  );

  const onOver = useCallback(
    (event: ReactPointerEvent, card: MapCard) => {
      if (event.buttons !== 0) return;
      const found = event.type === 'pointerleave' ? undefined : under(event, card);
      setOver((before) => found && sameOver(before, { name: card.name, under: found }));
    },
    [under],
  );

  return { moving, drawing, over, onHead, onPicture, onOver };
}
