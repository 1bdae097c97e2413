/** Keys on the map: nearer and farther, from card to card, and with Alt a card is moved. */
import type { Project } from '@hovrin/core';
import type { KeyboardEvent, RefObject } from 'react';
import { useWorkplace } from '../editor/context.tsx';
import { cardBeside } from './cardBeside.ts';
import type { MapModel } from './mapModel.ts';
import { placing } from './useMapHands.ts';
import type { MapView } from './useMapView.ts';

/** How far the arrow keys move a card, units of the map. */
const step = 24;

const directions: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

interface MapKeys {
  /** What the map is scrolled in. */
  readonly area: RefObject<HTMLElement | null>;
  readonly project: Project;
  readonly model: MapModel;
  readonly view: MapView;
  /** Nothing is chosen any more. */
  readonly onNothing: () => void;
}

export function useMapKeys({ area, project, model, view, onNothing }: MapKeys) {
  const { editor } = useWorkplace();
  /** @returns whether an arrow key was for a card. */
  const onCard = ({ key, altKey, target }: KeyboardEvent): boolean => {
    const direction = directions[key];
    const name = (target as HTMLElement).dataset.mapHead;
    const spot = name === undefined ? undefined : model.spots.get(name);
    if (!direction || name === undefined || !spot) return false;
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
    return true;
  };
  return (event: KeyboardEvent): void => {
    const { key, ctrlKey, metaKey } = event;
    if (ctrlKey || metaKey) return;
    if (key === '+' || key === '=') view.nearer();
    else if (key === '-') view.farther();
    else if (key === '0') view.whole();
    else if (key === 'Escape') onNothing();
    else if (!onCard(event)) return;
    event.preventDefault();
  };
}
