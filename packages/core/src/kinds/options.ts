/** Things to choose from, as the kinds that offer them show them: each with a box to check, and its words. */

import type { Values } from '../cascade/values.ts';
import type { Box } from '../layout/box.ts';
import { chosenType, type Entry, entriesType, flagType } from '../property-types/index.ts';
import { noSides } from '../values/css.ts';
import type { Theme } from '../values/theme.ts';
import { asBackground, dot, tick } from './drawings.ts';
import { type Felt, feelRules, feltColour } from './feel.ts';
import { required } from './field.ts';
import type { Making, PageElement, PageTarget, Property } from './kind.ts';
import { disabled, property } from './properties.ts';

const optionsKey = property({
  name: 'options',
  label: 'Options',
  group: 'content',
  type: entriesType,
  effect: 'layout',
  perBand: false,
});
export const options = (page: PageTarget): Property<readonly Entry[]> => ({ ...optionsKey, page });

/** What is chosen, as values; of one choice it holds one. */
export const chosen = property({
  name: 'value',
  label: 'Chosen',
  group: 'content',
  type: chosenType,
  effect: 'look',
  perBand: false,
  twoWay: ['text', 'number', 'boolean', 'date'],
  page: { part: 'part-options', as: 'choice' },
});

export const many = property({
  name: 'many',
  label: 'More than one',
  group: 'content',
  type: flagType,
  effect: 'behaviour',
  perBand: false,
  page: { part: 'part-options', as: 'inside' },
});

/** An entry as browsers offer it (HTML §4.10.10). */
export const optionElement = ({ value, label }: Entry, chosen?: string): PageElement => ({
  tag: 'option',
  attributes: chosen === undefined ? { value } : { value, selected: value === chosen },
  text: label,
});

export const entriesOf = (values: Values): readonly Entry[] => values.get(optionsKey) ?? [];
export const chosenOf = (values: Values): readonly string[] => values.get(chosen) ?? [];

/** The box that is checked: square, or round where only one can be. */
export function checkBox(
  make: Making,
  {
    round,
    checked,
    part,
    felt,
  }: { round: boolean; checked: boolean; part?: string; felt?: Felt | undefined },
): Box {
  const { theme } = make;
  const side = theme.checkSize * make.scale;
  // It sits in the middle of the first line.
  const above = ((theme.textSize * theme.lineHeight - theme.checkSize) / 2) * make.scale;
  return make.blank(
    { width: side, height: side },
    {
      ...(part === undefined ? {} : { part }),
      background: checked ? feltColour(make, 'accent', felt) : make.colour('sheet'),
      borderColour: checked ? feltColour(make, 'accent', felt) : make.colour(felt ? 'ink' : 'quiet'),
      corner: round ? side / 2 : theme.corner,
      ...(checked ? { drawing: round ? dot : tick, colour: make.colour('on-accent') } : {}),
    },
    {
      width: side,
      height: side,
      margin: { ...noSides, top: above },
      border: { top: 1, end: 1, bottom: 1, start: 1 },
    },
  );
}

/** One thing to choose: its box and its words. `inset`: room around both, as in a list. */
export function optionBox(
  make: Making,
  label: string,
  state: { round: boolean; checked: boolean },
  inset: boolean,
): Box {
  const style = make.plain();
  const { cellPaddingBlock: block, cellPaddingInline: inline } = make.theme;
  return make.group(
    {
      type: 'flex',
      direction: 'row',
      align: 'start',
      justify: 'start',
      wrap: false,
      rowGap: 0,
      columnGap: make.theme.checkGap,
    },
    [checkBox(make, state), make.words(label, style, { colour: make.colour('ink'), text: style })],
    inset ? { padding: { top: block, bottom: block, start: inline, end: inline } } : {},
  );
}

/** The inputs of things to choose from, with their words. */
export const optionElements = (values: Values, name: string, round: boolean): PageElement[] =>
  entriesOf(values).map(({ value, label }) => ({
    tag: 'label',
    classes: ['part-option'],
    children: [
      {
        tag: 'input',
        classes: ['part-check'],
        attributes: {
          type: round ? 'radio' : 'checkbox',
          name: `${name}-options`,
          value,
          checked: chosenOf(values).includes(value),
          required: round && values.flag(required),
          disabled: values.flag(disabled),
        },
      },
      { tag: 'span', text: label },
    ],
  }));

/** The box that is checked, on a page. */
export const checkCss = (theme: Theme): string => `.part-check {
  appearance: none;
  flex: none;
  width: ${theme.checkSize / 16}rem;
  height: ${theme.checkSize / 16}rem;
  margin: ${((theme.textSize * theme.lineHeight - theme.checkSize) / 2 / 16).toFixed(4)}rem 0 0;
  border: 1px solid var(--quiet);
  border-radius: ${theme.corner}px;
  background: var(--sheet);
}
.part-check[type="radio"] {
  border-radius: 50%;
}
.part-check:checked {
  position: relative;
  border-color: var(--accent);
  background: var(--accent);
}
.part-check:checked::before {
  content: "";
  position: absolute;
  inset: 0;
  background: var(--on-accent);
  mask: ${asBackground(tick, '#000')} center / 75% no-repeat;
}
.part-check[type="radio"]:checked::before {
  mask-image: ${asBackground(dot, '#000')};
  mask-size: 100%;
}
@media (forced-colors: active) {
  .part-check:checked {
    forced-color-adjust: none;
  }
}`;

/** How such a box answers, where it is pressed with its words. @param over selector of all that is pressed. */
export const checkFeelCss = (over: string): string => `${feelRules(
  { over, painted: ' > .part-check:not(:checked, :disabled)' },
  () => 'border-color: var(--ink)',
)}
${feelRules(
  { over, painted: ' > .part-check:checked:not(:disabled)' },
  (felt) => `border-color: ${felt('var(--accent)')};\n  background: ${felt('var(--accent)')}`,
)}`;

/** One thing to choose, on a page. */
export const optionCss = (theme: Theme): string => `.part-option {
  display: flex;
  align-items: start;
  gap: ${theme.checkGap}px;
}
.part-option > span {
  white-space-collapse: preserve-breaks;
}
${checkFeelCss('.part-option')}`;
