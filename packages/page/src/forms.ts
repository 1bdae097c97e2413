/** What a form does by itself: it is sent only when all in it is valid, and knows whether it is, and has changed. */
import { judgeGroups } from './groups.ts';

function fieldsOf(around: HTMLElement): HTMLInputElement[] {
  judgeGroups(around);
  return [...around.querySelectorAll<HTMLInputElement>('input, select, textarea')];
}

const entered = (form: HTMLElement): string =>
  JSON.stringify(
    fieldsOf(form).map(({ type, value, checked }) => (/^(checkbox|radio)$/.test(type) ? checked : value)),
  );

/** Fields whose number cannot be read are marked by the page itself. */
const firstInvalid = (form: HTMLElement): HTMLInputElement | undefined =>
  fieldsOf(form).find((field) => !field.validity.valid || field.ariaInvalid === 'true');

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
      wrong.focus();
      if (!wrong.closest('.field')?.querySelector('.part-message')) wrong.reportValidity();
    },
    true,
  );
}
