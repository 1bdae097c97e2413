/** Records what a person does with a page, as steps of a task; and what they expect, chosen by pressing on it. */
import type { TaskStep } from '@hovrin/core/runtime';
import { fieldIn, placeOf, pressed, screenOnTop, wordsOf } from './place.ts';

export class Recorder {
  #expects = false;
  #ending = new AbortController();

  /** @param tell hears of each step. */
  constructor(private readonly tell: (step: TaskStep) => void) {}

  start(): void {
    this.#ending = new AbortController();
    const options = { capture: true, signal: this.#ending.signal };
    document.addEventListener('click', (event) => this.#click(event), options);
    document.addEventListener('change', ({ target }) => this.#change(target), options);
    document.addEventListener('keydown', (event) => this.#key(event), options);
  }

  stop(): void {
    this.#ending.abort();
    this.#expects = false;
  }

  /** What is pressed next is not pressed, but expected as it is. */
  expects(on: boolean): void {
    this.#expects = on;
    document.documentElement.toggleAttribute('data-expects', on);
  }

  #click(event: MouseEvent): void {
    const { target } = event;
    if (!(target instanceof Element)) return;
    if (this.#expects) {
      event.preventDefault();
      event.stopPropagation();
      this.expects(false);
      // A tick that was pressed is only now what it was before (HTML §6.4.4, canceled activation).
      setTimeout(() => {
        const step = expectationOf(target);
        if (step) this.tell(step);
      });
      return;
    }
    const place = pressed(target);
    if (place) this.tell({ do: 'press', ...place });
  }

  #change(target: EventTarget | null): void {
    const place = target instanceof HTMLElement ? placeOf(target) : undefined;
    if (!place || this.#expects || !(target instanceof HTMLElement)) return;
    const { screen, control, element } = place;
    const step = { do: 'enter', screen, control } as const;
    // A file of the person's cannot be chosen once more by itself.
    if (target.matches('[type="file"]')) return;
    if (!(target instanceof HTMLInputElement) || target.type !== 'checkbox') {
      this.tell({ ...step, value: (target as HTMLInputElement).value });
      return;
    }
    const isOneOfMany = element.querySelectorAll('input[type="checkbox"]').length > 1;
    this.tell({ ...step, ...(isOneOfMany ? { item: target.value } : {}), value: target.checked });
  }

  #key({ key, target }: KeyboardEvent): void {
    if (key !== 'Escape') return;
    const place = target instanceof Element ? placeOf(target) : undefined;
    if (place) this.tell({ do: 'key', screen: place.screen, control: place.control, key });
  }
}

/** What is there now, as something that is expected. */
function expectationOf(target: Element): TaskStep | undefined {
  const place = placeOf(target);
  if (!place) {
    const screen = screenOnTop();
    return screen === undefined ? undefined : { do: 'expect-screen', screen };
  }
  const { screen, control, element } = place;
  const field = fieldIn(element);
  if (field instanceof HTMLInputElement && field.type === 'checkbox')
    return { do: 'expect', screen, control, is: field.checked ? 'checked' : 'unchecked' };
  if (field) return { do: 'expect', screen, control, value: heldBy(element, field) };
  return { do: 'expect', screen, control, text: wordsOf(element) };
}

/** What a control's field holds: of several to choose from the one that is chosen. */
export function heldBy(
  control: HTMLElement,
  field: HTMLInputElement | HTMLSelectElement | HTMLTextAreaElement,
): string {
  if (!(field instanceof HTMLInputElement) || field.type !== 'radio') return field.value;
  return control.querySelector<HTMLInputElement>('input[type="radio"]:checked')?.value ?? '';
}
