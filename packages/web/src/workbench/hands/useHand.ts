/**
 * A hand: something on the bench that is dragged, or moved by arrow keys, to change a value. What it comes to is shown beside
 * it. Escape puts back what it was; one drag is one undo.
 */
import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from 'react';
import { newId } from '../../editor/commands/index.ts';
import { useWorkplace } from '../../editor/context.tsx';
import { useBenchView } from '../bench/benchView.ts';
import type { Point } from './drop.ts';

/** How a hand is moved: keys that are held, and the run that makes all of it one undo. */
export interface Move {
  /** Frees it from snapping. */
  readonly free: boolean;
  /** Ctrl, or Command: makes px of it, or all sides at once. */
  readonly mod: boolean;
  /** Both sides that lie opposite. */
  readonly shift: boolean;
  /** Changes of one run are undone together. */
  readonly run: string;
}

/** How far the pointer goes before it drags, px of the window. */
const still = 3;

interface HandOptions<Taken> {
  /** px of the window for one of the screen. */
  readonly scale: number;
  /** What is taken hold of; undefined: there is nothing to drag. */
  readonly onTake: () => Taken | undefined;
  /** @param by how far it was moved, CSS px of the screen. @returns what it comes to. */
  readonly onMove: (taken: Taken, by: Point, move: Move) => string;
  /** It was pressed and let go without being dragged, or Enter was pressed on it. */
  readonly onPress?: () => void;
  /** What an arrow key moves it by, CSS px. */
  readonly step?: number;
}

const arrows: Readonly<Record<string, Point>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

/** The hand behind one, or in front of it, the last and the first beside each other. */
function handAfter(hand: HTMLElement, by: 1 | -1): HTMLElement | undefined {
  const all = [...document.querySelectorAll<HTMLElement>('[data-hand]')];
  return all[(all.indexOf(hand) + by + all.length) % all.length];
}

/** Gives the keys to the first hand of what is selected. @returns whether there is one. */
export function takeHold(): boolean {
  const first = document.querySelector<HTMLElement>('[data-hand]');
  first?.focus();
  return first !== null;
}

/** Tab goes from hand to hand, Escape lets go; for hands that are buttons. */
export function tabHands(event: KeyboardEvent<HTMLElement>): void {
  if (event.key !== 'Tab' && event.key !== 'Escape') return;
  event.preventDefault();
  event.stopPropagation();
  if (event.key === 'Escape') event.currentTarget.blur();
  else handAfter(event.currentTarget, event.shiftKey ? -1 : 1)?.focus();
}

export function useHand<Taken>({ scale, onTake, onMove, onPress, step = 1 }: HandOptions<Taken>) {
  const { editor } = useWorkplace();
  const { setHandling } = useBenchView();
  const held = useRef<{ taken: Taken; from: Point; run: string; before: unknown }>(undefined);
  const wasDragged = useRef(false);
  const [words, setWords] = useState<string>();
  const end = () => {
    held.current = undefined;
    setWords(undefined);
    setHandling(false);
  };
  const newest = () => editor.state.history.undo.at(-1)?.sequence;
  // While it is held, Escape puts back what it was and does nothing else.
  useEffect(() => {
    const press = (event: globalThis.KeyboardEvent) => {
      if (event.key !== 'Escape' || !held.current) return;
      event.preventDefault();
      event.stopPropagation();
      if (newest() !== held.current.before) editor.undo();
      end();
    };
    window.addEventListener('keydown', press, true);
    return () => window.removeEventListener('keydown', press, true);
  });
  // A hand that goes away while it is held lets go.
  useEffect(() => () => setHandling(false), [setHandling]);
  const handlers = {
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      if (event.button !== 0) return;
      event.stopPropagation();
      wasDragged.current = false;
      const taken = onTake();
      if (taken === undefined) return;
      event.currentTarget.setPointerCapture(event.pointerId);
      held.current = {
        taken,
        from: { x: event.clientX, y: event.clientY },
        run: newId(),
        before: newest(),
      };
      setHandling(true);
    },
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      if (!held.current) return;
      const { taken, from, run } = held.current;
      // A press that trembles is no drag, where a press means something.
      const far = Math.hypot(event.clientX - from.x, event.clientY - from.y);
      if (onPress && !wasDragged.current && far < still) return;
      wasDragged.current = true;
      const by = { x: (event.clientX - from.x) / scale, y: (event.clientY - from.y) / scale };
      const { altKey: free, shiftKey: shift } = event;
      setWords(onMove(taken, by, { free, shift, mod: event.ctrlKey || event.metaKey, run }));
    },
    onPointerUp: end,
    onPointerCancel: end,
    // Letting go of it is no press on what lies below.
    onClick: (event: { stopPropagation: () => void }) => {
      event.stopPropagation();
      if (!wasDragged.current) onPress?.();
      wasDragged.current = false;
    },
    onKeyDown: (event: KeyboardEvent<HTMLElement>) => {
      tabHands(event);
      if (event.defaultPrevented) return;
      const arrow = arrows[event.key];
      const taken = arrow && onTake();
      if (!arrow || taken === undefined) return;
      event.preventDefault();
      event.stopPropagation();
      const far = step * (event.shiftKey ? 10 : 1);
      const move = { free: true, shift: false, mod: event.ctrlKey || event.metaKey, run: `keys ${newId()}` };
      setWords(onMove(taken, { x: arrow.x * far, y: arrow.y * far }, move));
    },
    onBlur: () => setWords(undefined),
  };
  return { handlers, words, isHeld: held.current !== undefined };
}
