/** Words that a page shows for a while: read out by screen readers, in nobody's way (ARIA, `status`). */

/** Milliseconds that a message stays at least, and for each of its characters. */
const least = 3000;
const each = 60;

let region: HTMLElement | undefined;
let timer: ReturnType<typeof setTimeout> | undefined;

/** Shows a message in place of the one before it. */
export function showMessage(text: string): void {
  if (!region) {
    region = document.createElement('div');
    region.className = 'page-message';
    region.role = 'status';
  }
  const shown = region;
  // What lies under an open dialog is neither seen nor read out.
  const place = [...document.querySelectorAll('dialog[open]')].at(-1) ?? document.body;
  if (shown.parentElement !== place) place.append(shown);
  shown.textContent = text;
  clearTimeout(timer);
  timer = setTimeout(
    () => {
      shown.textContent = '';
    },
    least + each * text.length,
  );
}

/** A message that was shown in a dialog stays when the dialog goes. */
export function keepMessage(): void {
  if (region?.textContent) document.body.append(region);
}
