/**
 * Joins a page that is being tried out in a frame with the window around it: tells it what happens, does what happens in
 * the other frames, and puts the page into conditions that a frame cannot have by itself.
 */
import { type TaskStep, toldTrace } from '@hovrin/core/runtime';
import { Coming } from './coming.ts';
import type { KeepsTexts } from './kept.ts';
import { Recorder } from './tasks/record.ts';
import { runTask } from './tasks/run.ts';
import type { PageMessage, Trial, TrialConditions, TrialMessage, Tried } from './trial.ts';

/** Puts a page into conditions that a frame cannot have by itself. */
function meet(conditions: TrialConditions): void {
  const { textScale, rightToLeft, dark, moreContrast, lessMotion, touch, safe, hinge } = conditions;
  const root = document.documentElement;
  root.dataset.follows = conditions.follows ? 'follows' : 'leads';
  root.style.fontSize = textScale === 1 ? '' : `${textScale * 100}%`;
  root.dir = rightToLeft ? 'rtl' : 'ltr';
  root.dataset.mode = dark ? 'dark' : 'light';
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
const fingertip = `:root[data-expects] * { cursor: crosshair !important; } :root[data-expects] [data-name]:hover { outline: 2px solid #1f6f8b; outline-offset: 1px; } :root[data-pointer="touch"] * { cursor: url('data:image/svg+xml,%3Csvg xmlns=%22http://www.w3.org/2000/svg%22 width=%2232%22 height=%2232%22%3E%3Ccircle cx=%2216%22 cy=%2216%22 r=%2214%22 fill=%22%231f2a24%22 fill-opacity=%22.25%22 stroke=%22%231f2a24%22 stroke-opacity=%22.6%22/%3E%3C/svg%3E') 16 16, pointer !important; }`;

const recorder = new Recorder((step) => tell({ type: 'hovrin-did', step }));
let isRecording = false;

function record({ on, expects }: { readonly on: boolean; readonly expects: boolean }): void {
  if (on !== isRecording) {
    if (on) recorder.start();
    else recorder.stop();
  }
  isRecording = on;
  recorder.expects(on && expects);
}

async function doTask(steps: readonly TaskStep[]): Promise<void> {
  const ok = await runTask(steps, (index, problem) =>
    tell({ type: 'hovrin-task-step', index, ...(problem === undefined ? {} : { problem }) }),
  );
  tell({ type: 'hovrin-task-end', ok });
}

/** What hears of secrets from other windows. */
let hearSecret: ((name: string, text: string) => void) | undefined;

const tell = (message: PageMessage): void => window.parent.postMessage(message, '*');

/** As one is told, at first by the address. */
const follows = (): boolean =>
  (document.documentElement.dataset.follows ?? location.search.slice(1)) === 'follows';

/** What happens just now happens in other windows, too: they are not told of it. */
let hearing = false;

function listen(page: Tried): (happens: () => void) => void {
  hearing = true;
  const coming = new Coming((name, value) => quietly(() => page.set(name, value)));
  for (const name of page.variables)
    page.watch(name, (value) => {
      // The window around knows already what it sent itself, and the initial values.
      if (hearing) return;
      coming.forget(name);
      tell({ type: 'hovrin-state', name, value });
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
  const look = new CSSStyleSheet();
  look.replaceSync(fingertip);
  document.adoptedStyleSheets.push(look);
  window.addEventListener('message', ({ source, data }: MessageEvent<TrialMessage>) => {
    if (source !== window.parent) return;
    if (data.type === 'hovrin-set') {
      coming.add(data.name, data.value);
      return;
    }
    if (data.type === 'hovrin-secret') {
      hearSecret?.(data.name, data.text);
      return;
    }
    if (data.type === 'hovrin-record') record(data);
    if (data.type === 'hovrin-task') void doTask(data.steps);
    // Values that were sent before belong to the screen that is entered next.
    if (data.type === 'hovrin-go') coming.follow();
    quietly(() => {
      if (data.type === 'hovrin-go') page.go(data.screen);
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

/** What was kept in earlier runs: the window around it has put that into the frame's name, which is there at once. */
function storage(): KeepsTexts {
  let held: Record<string, string> = {};
  try {
    held = JSON.parse(window.name || '{}').kept ?? {};
  } catch {
    // The frame has another name.
  }
  return {
    getItem: (key) => (Object.hasOwn(held, key) ? held[key]! : null),
    setItem(key, text) {
      held[key] = text;
      tell({ type: 'hovrin-keep', key, text });
    },
  };
}

if (window.parent !== window) {
  const trial: Trial = {
    tell,
    traced: (trace) => tell({ type: 'hovrin-trace', trace: toldTrace(trace) }),
    hears: () => hearing,
    onSecret: (hear) => {
      hearSecret = hear;
    },
    follows,
    listen,
    storage: storage(),
  };
  Object.assign(window, { hovrinTrial: trial });
}
