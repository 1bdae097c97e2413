/** What screens do by themselves: each time that some seconds have passed, and as what they wait for comes about. */
import type { Dispose, Host, ScreenProgram } from '@hovrin/core/runtime';
import { follows, tellProblem } from '../trial.ts';
import type { Around, Piece } from './piece.ts';

/** Tells screens of what comes by itself, as long as they are shown. */
export const piece: Piece = (_, { asItShows, runtime, host }) => {
  asItShows(time);
  asItShows((screen, element) => waitFor(screen, element, runtime));
  asItShows((screen) => splash(screen, runtime, host));
};

/** Goes on from a splash when its time has passed, or what it waits for is there. Nobody comes back to it. */
function splash(
  { splash: shown, when, name }: ScreenProgram,
  runtime: Around['runtime'],
  host: Host,
): Dispose {
  if (!shown) return () => {};
  let isOver = false;
  const goOn = () => {
    if (isOver || follows()) return;
    isOver = true;
    host.acting.go(shown.to, {}, true);
  };
  const timer = setTimeout(goOn, shown.seconds * 1000);
  // What it waits for may be there at once: the screen is entered before it is left.
  const dispose = when
    ? runtime.bind(when, (value) => value && setTimeout(goOn), undefined, `${name}.splash`)
    : undefined;
  return () => {
    isOver = true;
    clearTimeout(timer);
    dispose?.();
  };
}

/** Tells a screen each time that its time has passed. */
function time({ every }: ScreenProgram, element: HTMLElement): Dispose {
  if (every === undefined) return () => {};
  const pass = () => {
    if (!follows()) element.dispatchEvent(new Event('hovrin-timer'));
  };
  const timer = setInterval(pass, every * 1000);
  return () => clearInterval(timer);
}

/** Most times in a second that what a screen waits for comes about. */
const mostWhens = 50;

/** Tells a screen each time that what it waits for has come about. */
function waitFor({ name, when }: ScreenProgram, element: HTMLElement, runtime: Around['runtime']): Dispose {
  if (!when) return () => {};
  let before: unknown = false;
  let happened: number[] = [];
  return runtime.bind(
    when,
    (value) => {
      const turned = value !== before && Boolean(value);
      before = value;
      if (!turned) return;
      // What it sets off may bring it about once more, without an end.
      const now = Date.now();
      happened = [...happened.filter((time) => now - time < 1000), now];
      if (happened.length <= mostWhens)
        setTimeout(() => {
          if (!follows()) element.dispatchEvent(new CustomEvent('hovrin-when', { detail: value }));
        });
      else if (happened.length === mostWhens + 1)
        tellProblem(`${name}: what it waits for comes about again and again.`);
    },
    undefined,
    `${name}.when`,
  );
}
