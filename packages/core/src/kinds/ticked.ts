/** What a checkbox and a switch share: a yes or no with its words beside it, a hint and a message below them. */

import type { Values } from '../cascade/values.ts';
import type { Box } from '../layout/box.ts';
import { flagType } from '../property-types/index.ts';
import type { Theme } from '../values/theme.ts';
import { chosenEvents } from './events.ts';
import {
  checking,
  columnOf,
  content,
  described,
  hasMessage,
  hint,
  inputTarget,
  label,
  message,
  required,
} from './field.ts';
import type { Inside, Kind, LookPart, Making, PageElement } from './kind.ts';
import { partLooks } from './look-parts.ts';
import { isOff, offStates } from './off-states.ts';
import { boxLook, disabled, disabledBy, padding, placing, sizing, textLook } from './properties.ts';
import { tickable } from './states.ts';
import { tabindex } from './tabindex.ts';
import { textStyleOf, wordsLook } from './words.ts';

/** Whether it is on. */
export const checked = (label: string) =>
  content('checked', label, flagType, { twoWay: ['boolean'], page: inputTarget('checked') });
const isOn = checked('On');
/** Whether a yes or no is a yes. */
export const isChecked = (values: Values): boolean => values.flag(isOn) || values.isIn('checked');

/** What a kind of yes or no says itself. */
export interface Ticked
  extends Pick<
    Kind,
    'name' | 'label' | 'purpose' | 'glyph' | 'target' | 'findBy' | 'starter' | 'sharedCss' | 'css'
  > {
  readonly lookParts: readonly LookPart[];
  /** What its being on is called. */
  readonly on: string;
  /** What one presses. */
  box(values: Values, make: Making): Box;
  /** Classes and attributes of the input besides those that both have. */
  readonly input: { readonly classes: readonly string[]; readonly role?: string };
}

export const ticked = ({ on, box, input, sharedCss, ...kind }: Ticked): Kind => ({
  ...kind,
  group: 'ask',
  container: false,
  properties: [
    label,
    checked(on),
    hint,
    ...checking,
    disabledBy({ as: 'inputs', name: 'disabled' }),
    ...sizing,
    ...placing(),
    tabindex,
    padding,
    ...boxLook(),
    ...textLook(),
    ...partLooks(kind.lookParts),
  ],
  states: tickable,
  statesNow: (values) => [...(isChecked(values) ? (['checked'] as const) : []), ...offStates(values)],
  events: chosenEvents,
  inside: (values, make) => insideOf(values, make, box),
  element: (values, _, name) => elementOf(values, name, input),
  sharedCss: [...(sharedCss ?? []), tickedCss],
});

/** The words are large enough to press (WCAG 2.2, 2.5.8), CSS px. */
const leastHeight = 24;
const large = { minHeight: leastHeight };

const insideOf = (values: Values, make: Making, box: Ticked['box']): Inside => {
  const style = textStyleOf(values, make);
  const said = values.text(hint);
  const wrong = values.isIn('invalid') ? values.text(message) : '';
  const small = { ...style, size: make.theme.hintSize };
  const look = wordsLook(values, make, style);
  const words = values.text(label);
  return {
    content: {
      type: 'flex',
      direction: 'row',
      align: 'start',
      justify: 'start',
      wrap: false,
      rowGap: 0,
      columnGap: make.theme.checkGap,
    },
    parts: [
      box(values, make),
      said || wrong
        ? make.group(
            columnOf,
            [
              make.words(words, style, look),
              ...(said ? [make.words(said, small, { colour: make.colour('quiet'), text: small })] : []),
              ...(wrong ? [make.words(wrong, small, { colour: make.colour('alert'), text: small })] : []),
            ],
            large,
          )
        : make.words(words, style, look, large),
    ],
    look: isOff(values) ? { opacity: 0.5 } : {},
  };
};

/** @param name of the control on its page, with which the ids of its parts begin. */
const elementOf = (values: Values, name: string, input: Ticked['input']): PageElement => {
  const words = (part: string, text: string): PageElement => ({
    tag: 'span',
    classes: [`part-${part}`],
    attributes: { id: `${name}-${part}` },
    text,
  });
  return {
    tag: 'label',
    classes: ['is-ticked'],
    children: [
      {
        tag: 'input',
        classes: ['part-input', ...input.classes],
        attributes: {
          type: 'checkbox',
          ...(input.role ? { role: input.role } : {}),
          'aria-labelledby': `${name}-label`,
          checked: isChecked(values),
          required: values.flag(required),
          disabled: values.flag(disabled),
          ...described(values, name),
        },
      },
      {
        tag: 'span',
        classes: ['part-words'],
        children: [
          words('label', values.text(label)),
          words('hint', values.text(hint)),
          ...(hasMessage(values) ? [words('message', values.text(message))] : []),
        ],
      },
    ],
  };
};

const tickedCss = (theme: Theme): string => `.is-ticked {
  display: flex;
  align-items: start;
  gap: ${theme.checkGap}px;
}
.is-ticked > .part-words {
  display: flex;
  flex-direction: column;
  min-height: ${leastHeight}px;
}
.is-ticked .part-label,
.is-ticked .part-hint {
  white-space-collapse: preserve-breaks;
}
.is-ticked .part-hint,
.is-ticked .part-message {
  font-size: ${theme.hintSize / 16}rem;
  color: var(--quiet);
}
.is-ticked .part-message {
  color: var(--alert);
}
.is-ticked .part-hint:empty,
.is-ticked:not(:has(:user-invalid, [data-typed]:invalid)) .part-message {
  display: none;
}
.is-ticked:has(> .part-input:disabled) {
  opacity: 0.5;
}`;
