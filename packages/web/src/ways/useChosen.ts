/** The screen or way chosen on the map, kept while one is elsewhere, and walking from screen to screen. */
import { useCallback } from 'react';
import { useHeld } from '../editor/held.ts';

/** A screen by its name, or a way by its key; and the screens that one came through. */
interface Chosen {
  readonly screen?: string | undefined;
  readonly way?: string | undefined;
  readonly trail: readonly string[];
}

const nothing: Chosen = { trail: [] };

export function useChosen() {
  const [chosen, setChosen] = useHeld<Chosen>('ways-chosen', nothing);
  const choose = useCallback(
    (screen: string | undefined) => setChosen(screen === undefined ? nothing : { screen, trail: [] }),
    [setChosen],
  );
  const chooseWay = useCallback(
    (key: string | undefined) => setChosen((now) => ({ ...now, way: key })),
    [setChosen],
  );
  /** Goes on to a screen; the one before, of the way that is gone or that is chosen, is kept for the way back. */
  const go = (screen: string, from?: string) =>
    setChosen(({ trail, screen: chosenScreen }) => {
      const before = from ?? chosenScreen;
      return { screen, trail: before === undefined ? trail : [...trail, before] };
    });
  const back = () => setChosen(({ trail }) => ({ screen: trail.at(-1), trail: trail.slice(0, -1) }));
  return { chosen, choose, chooseWay, go, back };
}
