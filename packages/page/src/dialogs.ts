/** Screens that are shown over others: each in a `dialog` of its own, the last opened on top (HTML §4.11.4). */

interface Open {
  readonly dialog: HTMLDialogElement;
  /** What is shown in it. */
  readonly element: HTMLElement;
  readonly closed: () => void;
}

export class Dialogs {
  readonly #open: Open[] = [];

  /** What the dialog on top shows. */
  get top(): HTMLElement | undefined {
    return this.#open.at(-1)?.element;
  }

  /**
   * Shows an element over the page until it is closed; the browser keeps the focus inside, and gives it back.
   *
   * @param label the dialog's name for screen readers.
   * @param closed called when it has gone, by an action or by Escape.
   * @param quietly the person is elsewhere: the focus stays where it is.
   */
  show(element: HTMLElement, label: string, closed: () => void, quietly: boolean): void {
    const dialog = document.createElement('dialog');
    dialog.className = 'page-dialog';
    dialog.ariaLabel = label;
    dialog.append(element);
    dialog.addEventListener('close', () => this.#gone(dialog));
    document.body.append(dialog);
    this.#open.push({ dialog, element, closed });
    if (quietly) dialog.open = true;
    else dialog.showModal();
  }

  /** @returns whether there was one to close. */
  close(): boolean {
    const dialog = this.#open.at(-1)?.dialog;
    dialog?.close();
    if (dialog) this.#gone(dialog);
    return dialog !== undefined;
  }

  closeAll(): void {
    while (this.close());
  }

  /** Called twice where an action closes a dialog: at once, and when the browser's `close` event comes. */
  #gone(dialog: HTMLDialogElement): void {
    const at = this.#open.findIndex((each) => each.dialog === dialog);
    const [open] = at < 0 ? [] : this.#open.splice(at, 1);
    open?.closed();
    dialog.remove();
  }
}
