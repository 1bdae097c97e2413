/**
 * A page that is being tried out in a frame: it tells the window around it what happens, and does what happens in the
 * other frames. Pages that are handed over do not listen to anybody.
 */
import type { StateValue, ToldTrace } from '@hovrin/core/runtime';

/** What a page in a frame tells the window around it. */
export type PageMessage =
  | { readonly type: 'hovrin-problem'; readonly text: string }
  | { readonly type: 'hovrin-screen'; readonly text: string }
  | { readonly type: 'hovrin-state'; readonly name: string; readonly value: StateValue }
  | { readonly type: 'hovrin-trace'; readonly trace: ToldTrace }
  /** The dialogs that are open now, the one on top last. */
  | { readonly type: 'hovrin-dialogs'; readonly names: readonly string[] }
  /** A control that the person wants to see on the bench. */
  | { readonly type: 'hovrin-pick'; readonly text: string };

/** In which conditions a page is tried out. Lengths in CSS px. */
export interface TrialConditions {
  /** The reader's text scale; 1 is plain. */
  readonly textScale: number;
  readonly rightToLeft: boolean;
  readonly dark: boolean;
  readonly moreContrast: boolean;
  /** Nothing moves by itself. */
  readonly lessMotion: boolean;
  /** Pressed by fingers: nothing can be pointed at without being pressed. */
  readonly touch: boolean;
  /** What is kept free at the edges. */
  readonly safe: Readonly<Record<'top' | 'right' | 'bottom' | 'left', number>>;
  /** Where the screen folds; undefined: nowhere. */
  readonly hinge?: { readonly left: number; readonly width: number };
  /** What happens by itself (timers, what comes from outside) happens in another window, and is told to this one. */
  readonly follows: boolean;
}

/** Puts a page into conditions that a frame cannot have by itself. */
function meet(conditions: TrialConditions): void {
  const { textScale, rightToLeft, dark, moreContrast, lessMotion, touch, safe, hinge } = conditions;
  const root = document.documentElement;
  root.dataset.follows = conditions.follows ? 'follows' : 'leads';
  root.style.fontSize = textScale === 1 ? '' : `${textScale * 100}%`;
  root.dir = rightToLeft ? 'rtl' : 'ltr';
  root.style.colorScheme = dark ? 'dark' : 'light';
  root.toggleAttribute('data-hinged', hinge !== undefined);
  if (moreContrast) root.dataset.contrast = 'more';
  else delete root.dataset.contrast;
  if (lessMotion) root.dataset.motion = 'less';
  else delete root.dataset.motion;
  if (touch) root.dataset.pointer = 'touch';
  else delete root.dataset.pointer;
  for (const side of ['top', 'right', 'bottom', 'left'] as const)
    root.style.setProperty(`--safe-${side}`, `${safe[side]}px`);
  if (!hinge) return;
  const before = rightToLeft
    ? window.innerWidth - safe.right - hinge.left - hinge.width
    : hinge.left - safe.left;
  root.style.setProperty('--hinge-start', `${before}px`);
  root.style.setProperty('--hinge-width', `${hinge.width}px`);
}

/** A fingertip in place of the arrow. */
const fingertip = `:root[data-pointer="touch"] * { cursor: url('data:image/svg+xml,%3Csvg xmlns=%22http://www.w3.org/2000/svg%22 width=%2232%22 height=%2232%22%3E%3Ccircle cx=%2216%22 cy=%2216%22 r=%2214%22 fill=%22%231f2a24%22 fill-opacity=%22.25%22 stroke=%22%231f2a24%22 stroke-opacity=%22.6%22/%3E%3C/svg%3E') 16 16, pointer !important; }`;

/** What the window around it asks of a page. */
export type TrialMessage =
  | ({ readonly type: 'hovrin-conditions' } & TrialConditions)
  | { readonly type: 'hovrin-set'; readonly name: string; readonly value: StateValue }
  | { readonly type: 'hovrin-go'; readonly screen: string }
  | { readonly type: 'hovrin-show-dialogs'; readonly names: readonly string[] };

export function tell(message: PageMessage): void {
  if (window.parent !== window) window.parent.postMessage(message, '*');
  else if (message.type === 'hovrin-problem') console.warn(message.text);
}

/** What a page does for the window around it. */
export interface Tried {
  /** Names of all state variables. */
  readonly variables: readonly string[];
  watch(name: string, apply: (value: StateValue) => void): void;
  set(name: string, value: StateValue): void;
  go(screen: string): void;
  /** Shows these dialogs, and no others. */
  dialogs(names: readonly string[]): void;
  /** What happens by itself happens in this window from now on, or does not any more. */
  leads(): void;
}

/** Whether what happens by itself happens in another window: as one is told, at first by the address. */
export const follows = (): boolean =>
  isTried() && (document.documentElement.dataset.follows ?? location.search.slice(1)) === 'follows';

/** Whether the page runs in a frame to be tried out. */
export const isTried = (): boolean =>
  window.parent !== window && document.documentElement.dataset.trial !== undefined;

/**
 * Joins a page with the window around it, where it is being tried out.
 *
 * @returns what does something that happens in every window by itself, so that the others are not told of it.
 */
export function listenInTrial(page: Tried): (happens: () => void) => void {
  if (!isTried()) return (happens) => happens();
  let hearing = true;
  for (const name of page.variables)
    page.watch(name, (value) => {
      // What came from outside, and what was there from the beginning, is known there.
      if (!hearing) tell({ type: 'hovrin-state', name, value });
    });
  hearing = false;
  const quietly = (happens: () => void) => {
    hearing = true;
    try {
      happens();
    } finally {
      hearing = false;
    }
  };
  const look = document.createElement('style');
  look.textContent = fingertip;
  document.head.append(look);
  window.addEventListener('message', ({ source, data }: MessageEvent<TrialMessage>) => {
    if (source !== window.parent) return;
    quietly(() => {
      if (data.type === 'hovrin-set') page.set(data.name, data.value);
      else if (data.type === 'hovrin-go') page.go(data.screen);
      else if (data.type === 'hovrin-show-dialogs') page.dialogs(data.names);
      else if (data.type === 'hovrin-conditions') {
        const before = follows();
        meet(data);
        if (follows() !== before) page.leads();
      }
    });
  });
  window.addEventListener(
    'click',
    (event) => {
      if (!event.altKey) return;
      const control = (event.target as Element).closest<HTMLElement>('[data-name]')?.dataset.name;
      if (control === undefined) return;
      event.preventDefault();
      event.stopPropagation();
      tell({ type: 'hovrin-pick', text: control });
    },
    true,
  );
  return quietly;
}
