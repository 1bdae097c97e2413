/** All actions, in the order in which the interface offers them. */
import type { Action, Altering, Asking } from './action.ts';
import { add } from './add.ts';
import { ask } from './ask.ts';
import { back } from './back.ts';
import { cancel } from './cancel.ts';
import { change } from './change.ts';
import { close } from './close.ts';
import { copy } from './copy.ts';
import { download } from './download.ts';
import { focus } from './focus.ts';
import { go } from './go.ts';
import { message } from './message.ts';
import { more } from './more.ts';
import { open } from './open.ts';
import { pause } from './pause.ts';
import { place } from './place.ts';
import { play } from './play.ts';
import { remove } from './remove.ts';
import { reset } from './reset.ts';
import { rewind } from './rewind.ts';
import { scrollTo } from './scroll-to.ts';
import { setSecret } from './set-secret.ts';
import { stop } from './stop.ts';
import { toggle } from './toggle.ts';
import { wait } from './wait.ts';

export const actions: readonly Action[] = [
  wait,
  go,
  back,
  open,
  close,
  message,
  focus,
  scrollTo,
  play,
  pause,
  stop,
  rewind,
  copy,
  download,
  setSecret,
];

/** Actions on a state variable. */
export const alterings: readonly Altering[] = [add, change, remove, place, toggle, reset];

/** What is done with requests. */
export const askings: readonly Asking[] = [ask, more, cancel];

const actionsByName = new Map(actions.map((action) => [action.name, action]));
const alteringsByName = new Map(alterings.map((altering) => [altering.name, altering]));
export const actionNamed = (name: string): Action | undefined => actionsByName.get(name);
const askingsByName = new Map<string, Asking>(askings.map((asking) => [asking.name, asking]));
export const askingNamed = (name: string): Asking | undefined => askingsByName.get(name);
export const alteringNamed = (name: string): Altering | undefined => alteringsByName.get(name);
