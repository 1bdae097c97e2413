/** Where the page is shown, as expressions read it: the band of its width, the language, the clock. */
import { bandAt, clockOf, type Program, type ViewName } from '@hovrin/core/runtime';

type Hold = (value: string) => void;

/** Calls with the clock now and at the beginning of each second. */
function eachSecond(apply: (date: Date) => void): void {
  const tick = () => {
    const date = new Date();
    apply(date);
    setTimeout(tick, 1000 - date.getMilliseconds());
  };
  tick();
}

/** Tells what a name of `View` holds, now and after each change. */
export function see({ bands = [] }: Program, name: ViewName, hold: Hold): void {
  if (name === 'View.locale') hold(navigator.language);
  else if (name === 'View.band') {
    // As media queries see it, scroll bars included.
    const look = () => hold(bandAt(bands, window.innerWidth));
    look();
    window.addEventListener('resize', look);
  } else {
    const part = name.slice('View.'.length) as 'now' | 'today' | 'time';
    eachSecond((date) => hold(clockOf(date)[part]));
  }
}
