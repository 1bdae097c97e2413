/**
 * Asks a person who leaves a screen, as long as the screen has a question: by an event, by a link, by going back or
 * forward (HTML §7.4), or by closing the page (HTML §7.4.2.3, `beforeunload`, in the browser's own words).
 */
import { nameIn } from '../address.ts';
import { trial } from '../trial.ts';
import type { Holds, Piece } from './piece.ts';

export const piece: Piece = (page, { asItShows, holdBack, program, runtime }) => {
  const { defaultView: window } = page as Document & { defaultView: Window };
  let question = '';
  let shown = '';
  /** The place of the shown screen in the history. */
  let at = 0;
  /** The person leaves after all: nothing more is asked until another screen is shown. */
  let passes = false;

  const mayStay = () => !passes && question !== '';
  const askFirst = (leave: () => void) =>
    ask(page, question, () => {
      passes = true;
      leave();
    });
  const holds: Holds = (leave) => {
    if (!mayStay()) return false;
    askFirst(leave);
    return true;
  };
  holdBack(holds);
  asItShows(({ name, leaving, dialog }) => {
    if (dialog) return () => {};
    shown = name;
    at = placeNow(window)?.at ?? 0;
    passes = false;
    if (!leaving) return () => {};
    const stop = runtime.bind(leaving, (value) => {
      question = value ? String(value) : '';
    });
    return () => {
      question = '';
      stop();
    };
  });
  window.addEventListener('beforeunload', (event) => {
    if (question !== '' && !trial) event.preventDefault();
  });

  /** The address is on its way back to that of the shown screen; what is done when it is there. */
  let returned: (() => void) | undefined;
  window.addEventListener('hashchange', (event) => {
    const { hash } = window.location;
    const place = placeNow(window);
    const isThere = returned;
    returned = undefined;
    const isElsewhere = !isShown(page, nameIn(hash) || program.start);
    if (!isThere && !(isElsewhere && mayStay())) return;
    // The page hears nothing of it.
    event.stopImmediatePropagation();
    if (isThere) {
      isThere();
      return;
    }
    const goThere = () => {
      if (place && !trial) window.history.go(place.at - at);
      else window.location.hash = hash;
    };
    returned = () => askFirst(goThere);
    // Pages that are tried out in several frames share one history.
    if (trial) window.location.hash = encodeURIComponent(shown);
    else window.history.go(place ? at - place.at : -1);
  });
};

/** Whether the shown screen, or a part of it, is what an address names. */
function isShown(page: Document, name: string): boolean {
  const screen = page.querySelector('.k-screen:not(dialog *)');
  return screen?.id === name || Boolean(screen?.querySelector(`#${CSS.escape(name)}`));
}

/** What the page's history keeps with the entry that is shown; null: it has just come about. */
const placeNow = (window: Window): { readonly at: number } | null => window.history.state;

/** Asks over everything else; Escape stays, too. */
function ask(page: Document, question: string, leave: () => void): void {
  if (page.querySelector('.page-question')) return;
  const dialog = page.createElement('dialog');
  dialog.className = 'page-question';
  dialog.role = 'alertdialog';
  dialog.ariaLabel = question;
  const words = page.createElement('p');
  words.textContent = question;
  const buttons = page.createElement('div');
  const button = (text: string, className: string) => {
    const made = page.createElement('button');
    made.type = 'button';
    made.className = className;
    made.textContent = text;
    made.addEventListener('click', () => dialog.close(text));
    return made;
  };
  const [stays, leaves] = [button('Stay', 'is-strong'), button('Leave', '')];
  buttons.append(leaves, stays);
  dialog.append(words, buttons);
  dialog.addEventListener('close', () => {
    const { returnValue } = dialog;
    dialog.remove();
    if (returnValue === leaves.textContent) leave();
  });
  page.body.append(dialog);
  dialog.showModal();
  stays.focus();
}
