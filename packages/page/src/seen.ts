/** Where the page is shown, as expressions read it: the band of its width, the language, the clock. */
import { bandAt, clockOf, type Program, type ViewName, type ViewValue } from '@hovrin/core/runtime';

type Hold = (value: ViewValue) => void;

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

/** Tells what a name of `View` holds, now and after each change. `View.language` is said in the program already. */
export function see({ bands = [] }: Program, name: ViewName, hold: Hold): void {
  if (name === 'View.locale') hold(navigator.language);
  else if (name === 'View.band') {
    // As media queries see it, scroll bars included.
    const look = () => hold(bandAt(bands, window.innerWidth));
    look();
    window.addEventListener('resize', look);
  } else if (name === 'View.dark') followDark(hold);
  else if (name === 'View.online') {
    const look = () => hold(navigator.onLine);
    look();
    for (const type of ['online', 'offline']) window.addEventListener(type, look);
  } else if (name === 'View.query') hold(Object.fromEntries(new URLSearchParams(location.search)));
  else {
    const part = name.slice('View.'.length) as 'now' | 'today' | 'time';
    eachSecond((date) => hold(clockOf(date)[part]));
  }
}
