/**
 * Texts of a screen that cannot be read yet. They are kept while the window is there: closing the drawer, going to
 * another screen or loading the page again loses none of them.
 */

/** A text, and the one of the screen that it was typed over. */
export interface Draft {
  readonly text: string;
  readonly of: string;
}

export class SourceDrafts {
  private readonly keys: { readonly typed: string; readonly aside: string };

  constructor(project: string, screen: string) {
    const prefix = `hovrin.draft.${project}.${screen}`;
    this.keys = { typed: prefix, aside: `${prefix}.aside` };
  }

  private read(key: string): Draft | undefined {
    const text = sessionStorage.getItem(key);
    return text === null ? undefined : JSON.parse(text);
  }

  /** What stands in the editor and cannot be read. */
  get typed(): Draft | undefined {
    return this.read(this.keys.typed);
  }

  /** What stood there when the screen changed elsewhere. */
  get aside(): Draft | undefined {
    return this.read(this.keys.aside);
  }

  keep(draft: Draft): void {
    try {
      sessionStorage.setItem(this.keys.typed, JSON.stringify(draft));
    } catch {
      // More than the storage holds: it is in the editor, and in its own undo.
    }
  }

  forget(): void {
    sessionStorage.removeItem(this.keys.typed);
  }

  /** The screen is another one now: what was typed over the earlier one waits until it is asked for. */
  putAside(): void {
    const typed = sessionStorage.getItem(this.keys.typed);
    // Not twice at once: there may be room for one only.
    this.forget();
    if (typed !== null) sessionStorage.setItem(this.keys.aside, typed);
  }

  /** The text that waits; it waits no more. */
  takeAside(): string | undefined {
    const { aside } = this;
    sessionStorage.removeItem(this.keys.aside);
    return aside?.text;
  }
}
