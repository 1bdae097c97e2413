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
    document.body.append(region);
  }
  const shown = region;
  shown.textContent = text;
  clearTimeout(timer);
  timer = setTimeout(
    () => {
      shown.textContent = '';
    },
    least + each * text.length,
  );
}
