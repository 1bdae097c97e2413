/** Where the page is shown, as expressions read it: the band of its width, the language, the clock. */
import { bandAt, clockOf, type Program } from '@hovrin/core/runtime';
import type { Hold, Piece } from './piece.ts';

/** Calls with the clock now and at the beginning of each second. */
function eachSecond(apply: (date: Date) => void): void {
  const tick = () => {
    const date = new Date();
    apply(date);
    setTimeout(tick, 1000 - date.getMilliseconds());
  };
  tick();
}

/** Calls with whether the page is in the dark: as it was asked for, else as the device is. */
function followDark(hold: Hold): void {
  const device = window.matchMedia('(prefers-color-scheme: dark)');
  const { documentElement: root } = document;
  const look = () => hold(root.dataset.mode ? root.dataset.mode === 'dark' : device.matches);
  look();
  device.addEventListener('change', look);
  new MutationObserver(look).observe(root, { attributeFilter: ['data-mode'] });
}

const tellers: Readonly<Record<string, (hold: Hold, program: Program) => void>> = {
  'View.band': (hold, { bands = [] }) => {
    // As media queries see it, scroll bars included.
    const look = () => hold(bandAt(bands, window.innerWidth));
    look();
    window.addEventListener('resize', look);
  },
  'View.dark': followDark,
  'View.online': (hold) => {
    const look = () => hold(navigator.onLine);
    look();
    for (const type of ['online', 'offline']) window.addEventListener(type, look);
  },
  'View.query': (hold) => hold(Object.fromEntries(new URLSearchParams(location.search))),
  ...Object.fromEntries(
    (['now', 'today', 'time'] as const).map((part) => [
      `View.${part}`,
      (hold: Hold) => eachSecond((date) => hold(clockOf(date)[part])),
    ]),
  ),
};

/** Tells what names of `View` hold, now and after each change. */
export const piece: Piece = (_, { program, views }) => {
  for (const [name, tell] of Object.entries(tellers)) views.set(name, (hold) => tell(hold, program));
};
