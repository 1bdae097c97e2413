/** What a form does by itself: it is sent only when all in it is valid, and knows whether it is, and has changed. */
import { judgeGroups } from './groups.ts';
import { showMessage } from './messages.ts';

function fieldsOf(around: HTMLElement): HTMLInputElement[] {
  judgeGroups(around);
  return [...around.querySelectorAll<HTMLInputElement>('input, select, textarea')];
}

const entered = (form: HTMLElement): string =>
  JSON.stringify(
    fieldsOf(form).map(({ type, value, checked }) => (/^(checkbox|radio)$/.test(type) ? checked : value)),
  );

/** The panels that are closed around an element, the outermost first. */
function closedAround(element: HTMLElement): HTMLElement[] {
  const panel = element.parentElement?.closest<HTMLElement>('[role="tabpanel"][hidden]');
  return panel ? [...closedAround(panel), panel] : [];
}

/**
 * Whether a person can come to a field: it is shown, or stands in a panel that can be opened. What a form does not show it
 * does not ask for.
 */
function isAsked(field: HTMLElement): boolean {
  const closed = closedAround(field);
  for (const panel of closed) panel.hidden = false;
  const isShown = field.checkVisibility?.() ?? true;
  for (const panel of closed) panel.hidden = true;
  return isShown;
}

/** Fields whose number cannot be read are marked by the page itself. */
const firstInvalid = (form: HTMLElement): HTMLInputElement | undefined =>
  fieldsOf(form).find((field) => (!field.validity.valid || field.ariaInvalid === 'true') && isAsked(field));

/** Opens the panels that a field stands in. */
function openAround(field: HTMLElement): void {
  for (const { id } of closedAround(field))
    document.querySelector<HTMLElement>(`[role="tab"][aria-controls="${CSS.escape(id)}"]`)?.click();
}

/** What a field is called: the words of its label, or of its group. */
const labelOf = (field: HTMLElement): string =>
  (field.closest('.field')?.querySelector('.part-label')?.textContent ?? field.ariaLabel ?? '').trim();

const states: readonly string[] = ['input', 'change', 'hovrin-shown', 'hovrin-valid', 'hovrin-sent'];

/**
 * Tells whether a form, or one field, is valid, or has changed since it was shown or sent, now and whenever that may
 * have changed.
 *
 * @param signal ends it.
 */
export function watchFields(
  form: HTMLElement,
  what: string | undefined,
  apply: (value: boolean) => void,
  signal: AbortSignal,
): void {
  let before = entered(form);
  const look = () => apply(what === 'valid' ? firstInvalid(form) === undefined : entered(form) !== before);
  for (const type of states) form.addEventListener(type, look, { capture: true, signal });
  form.addEventListener(
    'hovrin-sent',
    () => {
      before = entered(form);
      look();
    },
    { signal },
  );
  look();
}

/** The fields of a form that was sent, or is seen again, are as if nobody had been in them yet; what is in them stays. */
export function forget(form: HTMLFormElement): void {
  const held = fieldsOf(form).map((field) => ({ field, value: field.value, checked: field.checked }));
  form.reset();
  for (const { field, value, checked } of held) {
    if (field.type === 'file') continue;
    field.value = value;
    field.checked = checked;
    delete field.dataset.typed;
    field.dispatchEvent(new Event('hovrin-shown'));
  }
}

/** After a pause of so many ms while somebody types, a field says what is wrong. */
const pause = 700;

/**
 * Refuses to send forms that are not valid: the first field that is wrong takes the focus and says why, in its own
 * words, or in the browser's where it has none.
 */
export function startForms(page: Document): void {
  let typing: ReturnType<typeof setTimeout>;
  page.addEventListener('input', ({ target }) => {
    clearTimeout(typing);
    typing = setTimeout(() => {
      (target as HTMLElement).dataset.typed = '';
    }, pause);
  });
  page.addEventListener(
    'submit',
    (event) => {
      // The actions of the event send it; the browser would load another page.
      event.preventDefault();
      const form = event.target as HTMLFormElement;
      const wrong = firstInvalid(form);
      if (!wrong) {
        // What the event's actions put back belongs to the form as it is sent.
        setTimeout(() => {
          forget(form);
          form.dispatchEvent(new Event('hovrin-sent'));
        });
        return;
      }
      event.stopPropagation();
      openAround(wrong);
      wrong.focus();
      const own = wrong.closest('.field')?.querySelector('.part-message')?.textContent;
      if (!own && wrong.validationMessage) wrong.reportValidity();
      // Where nothing is said at the field itself, the page says it.
      if (document.activeElement !== wrong || !(own || wrong.validationMessage))
        showMessage(
          [labelOf(wrong), own || wrong.validationMessage || 'Enter a number.'].filter(Boolean).join(': '),
        );
    },
    true,
  );
}
