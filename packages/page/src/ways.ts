/**
 * Where a person has been: the browser's own history (HTML §7.4, navigation and session history). A screen is an entry
 * with an address; a dialog is one without, so that Back closes it. Each entry of a screen keeps how far it was scrolled.
 */

import { scrolled } from './scrolling.ts';

/** What the history keeps with an entry. */
interface Entry {
  /** Its number in this visit; 0: the page was opened with it. */
  readonly at: number;
  /** How many dialogs are open in it. */
  readonly dialogs: number;
}

export class Ways {
  /** How far the screen of each entry was scrolled, px from the top. */
  readonly #scrolled = new Map<number, number>();
  #at: number;
  #dialogs = 0;
  /** The entry now has another address than when it was come to. */
  #isReplaced = false;
  /** What is to be done when entries of dialogs have been left; undefined: none is being left. */
  #after: (() => void)[] | undefined;

  /** @param closeDialog closes the dialog on top, since a person went back. */
  constructor(private readonly closeDialog: () => void) {
    history.scrollRestoration = 'manual';
    this.#at = this.#entry?.at ?? 0;
    this.#keep(this.#at);
    window.addEventListener('popstate', () => this.#moved());
  }

  get #entry(): Entry | null {
    return history.state;
  }

  #keep(at: number): void {
    history.replaceState({ at, dialogs: 0 } satisfies Entry, '');
  }

  /** Goes to another address of the page; nothing where it is there already. @param replaces in place of the entry now. */
  go(hash: string, replaces = false): void {
    this.#settled(() => {
      if (!replaces) {
        window.location.hash = hash;
        return;
      }
      this.#isReplaced = true;
      history.replaceState({ at: this.#at, dialogs: 0 } satisfies Entry, '', `#${hash}`);
      window.dispatchEvent(new HashChangeEvent('hashchange'));
    });
  }

  /** Goes to the entry before this one. @returns whether this visit has one. */
  back(): boolean {
    const has = this.#at > 0;
    if (has) this.#settled(() => history.back());
    return has;
  }

  /** The address has changed; the screen of the entry before is still shown. @returns how far the new one is scrolled. */
  come(): number {
    if (this.#isReplaced) {
      this.#isReplaced = false;
      this.#scrolled.delete(this.#at);
      return 0;
    }
    this.#scrolled.set(this.#at, scrolled());
    const known = this.#entry;
    this.#at = known?.at ?? this.#at + 1;
    if (known) return this.#scrolled.get(this.#at) ?? 0;
    this.#keep(this.#at);
    return 0;
  }

  opened(): void {
    this.#dialogs++;
    const dialogs = this.#dialogs;
    this.#settled(() => {
      // One that opens as another closes takes its entry over.
      if ((this.#entry?.dialogs ?? 0) < dialogs)
        history.pushState({ at: this.#at, dialogs } satisfies Entry, '');
    });
  }

  /** A dialog has gone; its entry goes, too, where it was not by going back. */
  closed(): void {
    this.#dialogs--;
    queueMicrotask(() => this.#settled(() => {}));
  }

  /** Does something when no entry of a dialog that has gone is left. Going back takes the browser a while. */
  #settled(work: () => void): void {
    const over = (this.#entry?.dialogs ?? 0) - this.#dialogs;
    if (this.#after) this.#after.push(work);
    else if (over > 0) {
      this.#after = [work];
      history.go(-over);
    } else work();
  }

  #moved(): void {
    const after = this.#after;
    this.#after = undefined;
    for (const work of after ?? []) work();
    if (after) return;
    // A person went back past what was open, or came to where a dialog was that has gone.
    while (this.#dialogs > (this.#entry?.dialogs ?? this.#dialogs)) this.closeDialog();
    this.#settled(() => {});
  }
}
