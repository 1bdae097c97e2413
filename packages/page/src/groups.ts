/** Inputs that are one field together: the boxes of a choice list, the buttons of a radio group. */

/** The inputs that a field's value is in: one, or those of its group. */
export const inputsOf = (field: HTMLElement): HTMLInputElement[] => [
  ...field.querySelectorAll<HTMLInputElement>('.part-input, .part-check'),
];

const groupsIn = (around: HTMLElement) => around.querySelectorAll<HTMLElement>('.part-options');

const needsOne = 'data-needs-one';

/** Tells the boxes of a group whether what is ticked among them is valid (HTML §4.10.20.3, custom validity). */
function judge(group: HTMLElement): void {
  const boxes = inputsOf(group);
  const lacks = group.hasAttribute(needsOne) && !boxes.some(({ checked }) => checked);
  const said = group.dataset.broken ?? (lacks ? 'Choose at least one.' : '');
  for (const box of boxes) box.setCustomValidity(said);
}

/** Judges all groups in an element anew. */
export function judgeGroups(around: HTMLElement): void {
  for (const group of groupsIn(around)) judge(group);
}

/** Sets what a field as a whole says about its inputs, `required` or `disabled`. */
export function setInputs(field: HTMLElement, name: string, value: boolean): void {
  const [group] = groupsIn(field);
  const inputs = inputsOf(field);
  if (group && name === 'required' && inputs[0]?.type === 'checkbox') {
    group.toggleAttribute(needsOne, value);
    judge(group);
  } else for (const input of inputs) Reflect.set(input, name, value);
  field.dispatchEvent(new Event('hovrin-valid'));
}

/** Says that a field is not valid; empty: that it is. */
export function sayValidity(field: HTMLElement, said: string): void {
  const [group] = groupsIn(field);
  if (group) {
    if (said) group.dataset.broken = said;
    else delete group.dataset.broken;
    judge(group);
  } else for (const input of inputsOf(field)) input.setCustomValidity(said);
  field.dispatchEvent(new Event('hovrin-valid'));
}

/** Judges a group as somebody ticks something in it. */
export function startGroups(page: Document): void {
  page.addEventListener(
    'input',
    ({ target }) => {
      const group = (target as Element).closest<HTMLElement>('.part-options');
      if (group) judge(group);
    },
    true,
  );
}
