/**
 * Screens that take each other's place by a transition (CSS View Transitions 1): the browser keeps a picture of the one, and shows
 * how the other comes; the stylesheet says how. Where a browser has none, or a person wishes for less motion, the change is
 * at once.
 */
import type { ScreenProgram } from '@hovrin/core/runtime';
import { movesLess } from '../on-screen.ts';
import type { Change, Piece } from './piece.ts';

type Transition = NonNullable<ScreenProgram['transition']>;

/** The reverse of each. */
const backwards: Readonly<Record<string, string>> = {
  'slide-start': 'slide-end',
  'slide-end': 'slide-start',
  'slide-up': 'slide-down',
  'slide-down': 'slide-up',
  cover: 'uncover',
  grow: 'shrink',
};

/** Where something was pressed, as parts of the window. */
interface Pressed {
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
  readonly left: number;
}

/** Of an entry of the history: how its screen came, and from where. */
interface Came {
  readonly transition: Transition;
  readonly pressed: Pressed | undefined;
}

export const piece: Piece = (page, { changeBy }) => {
  const root = page.documentElement;
  let pressed: Pressed | undefined;
  page.addEventListener(
    'click',
    ({ target }) => {
      const box = (target as Element).closest('[data-name]')?.getBoundingClientRect();
      pressed = box && {
        top: box.top,
        right: innerWidth - box.right,
        bottom: innerHeight - box.bottom,
        left: box.left,
      };
    },
    true,
  );
  /** How the screens on the way came, the one that is shown last. */
  const came: Came[] = [];
  let shown = 0;

  changeBy((change: Change) => {
    const { to, isBack, by, swap } = change;
    const place = (history.state as { readonly at: number } | null)?.at;
    const wasBack = isBack || (place !== undefined && place < shown);
    shown = place ?? shown + 1;
    const own = by ?? to.transition;
    const last = wasBack ? came.pop() : undefined;
    if (!wasBack) came.push({ transition: own ?? { name: 'none' }, pressed });
    const transition = last?.transition ?? own;
    const name = transition && (wasBack ? (backwards[transition.name] ?? transition.name) : transition.name);
    if (!transition || !name || name === 'none' || movesLess() || !page.startViewTransition) {
      swap();
      return;
    }
    const from = wasBack ? last?.pressed : pressed;
    root.dataset.transition = name;
    const { style } = root;
    if (transition.seconds !== undefined) style.setProperty('--transition-seconds', `${transition.seconds}s`);
    if (transition.ease) style.setProperty('--transition-ease', transition.ease);
    const inset = from ?? {
      top: innerHeight / 2,
      right: innerWidth / 2,
      bottom: innerHeight / 2,
      left: innerWidth / 2,
    };
    style.setProperty(
      '--transition-from',
      `${inset.top}px ${inset.right}px ${inset.bottom}px ${inset.left}px`,
    );
    const running = page.startViewTransition(swap);
    const end = () => {
      if (root.dataset.transition !== name) return;
      delete root.dataset.transition;
      for (const part of ['seconds', 'ease', 'from']) style.removeProperty(`--transition-${part}`);
    };
    running.finished.then(end, end);
    // Another change may come before this one begins: it is at once then.
    running.ready.catch(() => {});
  });
};
