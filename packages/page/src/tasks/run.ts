/** Does the steps of a task on a page, as a person would: it waits until a step can be done, and says why one cannot. */
import { type TaskStep, taskStepWords } from '@hovrin/core/runtime';
import { elementAt, fieldIn, pressableIn, screenOnTop, wordsOf } from './place.ts';
import { heldBy } from './record.ts';

/** How long a step may take until it can be done, and how often that is looked at, ms. */
const longest = 5000;
const turn = 40;

/** What a page tells of its variables. */
interface PageValues {
  get(name: string): unknown;
}
const values = (): PageValues => (globalThis as unknown as { hovrinPage: PageValues }).hovrinPage;

/**
 * @param done hears of each step: what went wrong with it, undefined where nothing did.
 * @returns whether all steps were done; it ends at the first that cannot.
 */
export async function runTask(
  steps: readonly TaskStep[],
  done: (index: number, problem: string | undefined) => void,
): Promise<boolean> {
  for (const [index, step] of steps.entries()) {
    const problem = await untilDone(step);
    done(index, problem);
    if (problem !== undefined) return false;
  }
  return true;
}

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

async function untilDone(step: TaskStep): Promise<string | undefined> {
  if (step.do === 'wait') {
    await wait(step.seconds * 1000);
    return undefined;
  }
  const end = performance.now() + longest;
  for (;;) {
    const problem = attempt(step);
    if (problem === undefined) {
      // What follows from it has its turn.
      await wait(0);
      return undefined;
    }
    if (performance.now() > end) return problem;
    await wait(turn);
  }
}

/** Does a step, or looks whether it holds. @returns why not. */
function attempt(step: TaskStep): string | undefined {
  switch (step.do) {
    case 'back':
      history.back();
      return undefined;
    case 'expect-screen': {
      const now = screenOnTop();
      return now === step.screen ? undefined : `\`${now}\` is seen, not \`${step.screen}\`.`;
    }
    case 'expect-value': {
      const now = JSON.stringify(values().get(step.variable));
      return now === JSON.stringify(step.value) ? undefined : `\`${step.variable}\` is ${now}.`;
    }
    case 'wait':
      return undefined;
  }
  const element = elementAt(step);
  if (step.do === 'expect' && step.is === 'hidden')
    return element && isSeen(element) ? `${step.control} is shown.` : undefined;
  if (!element) return `There is no \`${step.control}\` on \`${step.screen}\` now.`;
  if (!isSeen(element)) return `\`${step.control}\` is not shown.`;
  if (step.do === 'expect') return expected(step, element);
  if (step.do === 'press') return press(step, element);
  return step.do === 'enter' ? enter(step, element) : pressKey(step, element);
}

const isSeen = (element: HTMLElement): boolean =>
  element.checkVisibility({ checkVisibilityCSS: true }) && element.getClientRects().length > 0;

function press({ control, item }: TaskStep & { do: 'press' }, element: HTMLElement): string | undefined {
  const target = pressableIn(element, item);
  if (!target) return `There is no “${item}” in \`${control}\` now.`;
  if (target.matches(':disabled, [aria-disabled="true"]')) return `\`${control}\` cannot be pressed now.`;
  target.scrollIntoView({ block: 'nearest', inline: 'nearest', behavior: 'instant' });
  const { left, top, width, height } = target.getBoundingClientRect();
  const hit = document.elementFromPoint(left + width / 2, top + height / 2);
  if (hit && !target.contains(hit) && !hit.contains(target)) {
    const name = hit.closest<HTMLElement>('[data-name]')?.dataset.name;
    return `\`${control}\` is covered${name === undefined ? '' : ` by \`${name}\``}.`;
  }
  target.focus({ preventScroll: true });
  target.click();
  return undefined;
}

function enter(step: TaskStep & { do: 'enter' }, element: HTMLElement): string | undefined {
  const { control, value, item } = step;
  const type = item === undefined ? 'radio' : 'checkbox';
  const wantedValue = item ?? value;
  const choices = [...element.querySelectorAll<HTMLInputElement>(`input[type="${type}"]`)];
  const field = choices.length > 0 ? choices.find((each) => each.value === wantedValue) : fieldIn(element);
  if (!field)
    return choices.length > 0
      ? `\`${control}\` has no choice “${wantedValue}”.`
      : `Nothing is entered into \`${control}\`.`;
  if (field.disabled) return `\`${control}\` cannot be changed now.`;
  field.focus();
  if (field instanceof HTMLInputElement && (field.type === 'checkbox' || field.type === 'radio')) {
    const wanted = field.type === 'radio' || value === true || value === 'true';
    if (field.checked !== wanted) field.click();
    return undefined;
  }
  const text = String(value);
  if (field instanceof HTMLSelectElement && ![...field.options].some((option) => option.value === text))
    return `\`${control}\` has no choice “${text}”.`;
  field.value = text;
  field.dispatchEvent(new InputEvent('input', { bubbles: true }));
  field.dispatchEvent(new Event('change', { bubbles: true }));
  return undefined;
}

function pressKey({ key }: TaskStep & { do: 'key' }, element: HTMLElement): string | undefined {
  const target = fieldIn(element) ?? element;
  const parts = key.split('+');
  const name = parts.pop() ?? key;
  const init = {
    key: name,
    bubbles: true,
    cancelable: true,
    ctrlKey: parts.includes('Control'),
    altKey: parts.includes('Alt'),
    shiftKey: parts.includes('Shift'),
    metaKey: parts.includes('Meta'),
  };
  const goesOn = target.dispatchEvent(new KeyboardEvent('keydown', init));
  target.dispatchEvent(new KeyboardEvent('keyup', init));
  // What a browser does by itself with this key.
  if (goesOn && name === 'Escape')
    target.closest('dialog')?.dispatchEvent(new Event('cancel', { cancelable: true })) &&
      target.closest('dialog')?.close();
  return undefined;
}

function expected(step: TaskStep & { do: 'expect' }, element: HTMLElement): string | undefined {
  const { text, value, is, control } = step;
  if (text !== undefined) {
    const now = wordsOf(element);
    return now === text.replace(/\s+/g, ' ').trim() ? undefined : `\`${control}\` says “${now}”.`;
  }
  const field = fieldIn(element);
  if (value !== undefined) {
    const now = field && heldBy(element, field);
    return now === value ? undefined : `\`${control}\` holds “${now ?? ''}”.`;
  }
  return isSo(is, element, field) ? undefined : `${taskStepWords(step)}: it is not.`;
}

function isSo(
  is: (TaskStep & { do: 'expect' })['is'],
  element: HTMLElement,
  field: ReturnType<typeof fieldIn>,
): boolean {
  const target = field ?? pressableIn(element, undefined) ?? element;
  const isOff = target.matches(':disabled, [aria-disabled="true"]');
  const isTicked = field instanceof HTMLInputElement && field.checked;
  switch (is) {
    case 'shown':
      return true;
    case 'enabled':
      return !isOff;
    case 'disabled':
      return isOff;
    case 'checked':
      return isTicked;
    case 'unchecked':
      return field instanceof HTMLInputElement && !field.checked;
    case 'invalid':
      // As the page's own rules tell it (Selectors 4, `:user-invalid`).
      return (
        element.querySelector(':is(:user-invalid, [data-typed]:invalid, [aria-invalid="true"])') !== null
      );
    default:
      return false;
  }
}
