/**
 * What all fields have in common: a label above what one enters, a hint below it, and a message where what was
 * entered is not valid. The message appears once the person has left the field (Selectors 4, `:user-invalid`), or has
 * paused while typing; from then on it follows each key.
 */

import type { Values } from '../cascade/values.ts';
import type { StateType } from '../document/types.ts';
import type { Box, FlexContent } from '../layout/box.ts';
import { charactersType, flagType, type PropertyType, textType } from '../property-types/index.ts';
import type { TextStyle } from '../text/paragraph.ts';
import type { Theme } from '../values/theme.ts';
import { feelTransition, feltIn } from './feel.ts';
import type { Inside, Kind, Look, LookPart, Making, PageElement, PageTarget, Property } from './kind.ts';
import { partLooks } from './look-parts.ts';
import { isOff, offStates } from './off-states.ts';
import { boxLook, disabled, disabledBy, padding, placing, sizing, words } from './properties.ts';
import { enterable } from './states.ts';
import { tabindex } from './tabindex.ts';

/** What is entered, one input or several. */
export const inputTarget = (name: string): PageTarget => ({ part: 'part-input', as: 'property', name });

/** A property whose value is part of what a field holds. */
export const content = <T>(
  name: string,
  label: string,
  type: PropertyType<T>,
  rest: Partial<Property<T>> = {},
): Property<T> => ({ name, label, group: 'content', type, effect: 'look', perBand: false, ...rest });

/** What was entered; may be bound in both directions. */
export const entered = <T>(
  type: PropertyType<T>,
  twoWay: readonly StateType[],
  page: PageTarget = inputTarget('value'),
): Property<T> => content('value', 'Value', type, { twoWay, page });

/** An attribute of the input. */
export const inputAttribute = <T>(name: string, label: string, type: PropertyType<T>): Property<T> =>
  content(name, label, type, {
    effect: 'behaviour',
    page: { part: 'part-input', as: 'attribute', name },
  });

const minLength = content('min-length', 'Min length', charactersType, {
  effect: 'behaviour',
  page: { part: 'part-input', as: 'attribute', name: 'minlength' },
});
const maxLength = content('max-length', 'Max length', charactersType, {
  effect: 'behaviour',
  page: { part: 'part-input', as: 'attribute', name: 'maxlength' },
});

/** How long what one types may be, in characters. */
export const lengths: readonly Property[] = [minLength, maxLength];

/** What an input says of how long it may be; attributes without a value are left out. */
export const lengthAttributes = (values: Values): PageElement['attributes'] => ({
  minlength: values.get(minLength) ?? false,
  maxlength: values.get(maxLength) ?? false,
});

export const placeholder = content('placeholder', 'Placeholder', textType, {
  page: { part: 'part-input', as: 'attribute', name: 'placeholder' },
});

/**
 * Something that a form or a field knows of itself, for a state variable to hold.
 *
 * @param what whether it is valid, or has changed.
 */
export const known = (name: string, label: string, what: 'valid' | 'changed'): Property<boolean> => ({
  name,
  label,
  group: 'data',
  type: flagType,
  effect: 'behaviour',
  perBand: false,
  twoWay: ['boolean'],
  page: { as: 'form', name: what },
});

export const label = words('label', 'Label', { as: 'text', part: 'part-label' });
export const hint = words('hint', 'Hint', { as: 'text', part: 'part-hint', optional: true });
export const required = content('required', 'Required', flagType, {
  effect: 'behaviour',
  page: { as: 'inputs', name: 'required' },
});
const valid = content('valid', 'Valid when', flagType, { effect: 'behaviour', page: { as: 'validity' } });
export const message = content('message', 'Message', textType, {
  effect: 'behaviour',
  page: { part: 'part-message', as: 'text', optional: true },
});

/** Properties that check what is entered. */
export const checking: readonly Property[] = [required, valid, message, known('validity', 'Valid', 'valid')];

/** Parts of a field with a look of their own, where it has no single box that one enters into. */
export const wordParts: readonly LookPart[] = [
  { name: 'label', label: 'Label', selector: ' .part-label' },
  { name: 'hint', label: 'Hint', selector: ' > .part-hint' },
];

const boxedParts: readonly LookPart[] = [
  ...wordParts,
  { name: 'box', label: 'Box', selector: ' > .part-input' },
];

/**
 * All properties of a field, in the order of the source.
 *
 * @param own those of the kind itself, `value` first.
 */
export const fieldProperties = (
  own: readonly Property[],
  parts: readonly LookPart[] = boxedParts,
): readonly Property[] => [
  label,
  ...own,
  hint,
  ...checking,
  disabledBy({ as: 'inputs', name: 'disabled' }),
  ...sizing,
  ...placing(),
  tabindex,
  padding,
  ...boxLook(),
  ...partLooks(parts),
];

/** What is alike in all fields besides their properties: their states, and the parts that have a look of their own. */
export const fieldStates: Pick<Kind, 'states' | 'statesNow' | 'lookParts'> = {
  states: enterable,
  statesNow: offStates,
  lookParts: boxedParts,
};

/** A column of parts, without gaps. */
export const columnOf: FlexContent = {
  type: 'flex',
  direction: 'column',
  align: 'stretch',
  justify: 'start',
  wrap: false,
  rowGap: 0,
  columnGap: 0,
};

/** The column that a field is. */
export const fieldContent = ({ theme }: Making): FlexContent => ({ ...columnOf, rowGap: theme.labelGap });

/**
 * What is inside a field.
 *
 * @param input the boxes of what one enters.
 * @param beside a short text at the end of the label's line; undefined: the label is no line with others.
 */
export function fieldInside(values: Values, make: Making, input: Box, beside?: string): Inside {
  const { theme } = make;
  const labelStyle = make.plain({ weight: theme.labelWeight, size: theme.labelSize });
  const hintStyle = make.plain({ size: theme.hintSize });
  const say = (text: string, style: TextStyle, colour: string, part?: string) =>
    text
      ? [make.words(text, style, { colour: make.colour(colour), text: style, ...(part ? { part } : {}) })]
      : [];
  const line = say(values.text(label), labelStyle, 'ink', 'label');
  const end = say(beside ?? '', labelStyle, 'quiet');
  const headed = beside !== undefined && line.length + end.length > 0;
  const head = headed
    ? [
        make.group({ ...columnOf, direction: 'row', justify: 'between', columnGap: theme.checkGap }, [
          ...line,
          ...end,
        ]),
      ]
    : line;
  return {
    content: fieldContent(make),
    parts: [
      ...head,
      input,
      ...say(values.text(hint), hintStyle, 'quiet', 'hint'),
      ...(values.isIn('invalid') ? say(values.text(message), hintStyle, 'alert') : []),
    ],
    look: isOff(values) ? { opacity: 0.5 } : {},
  };
}

/** The colour of the edge of what one enters into: it answers to the pointer, and says where something is not valid. */
export const edgeNow = (values: Values): string =>
  values.isIn('invalid') ? 'alert' : feltIn(values) ? 'ink' : 'quiet';

/** The same on a page. @param part selector of what has the edge, from the field's element. */
export const edgeCss = (part: string): string => `@media (hover: hover) {
  .is-field:hover > ${part}:not(:disabled, :user-invalid, [data-typed]:invalid) {
    border-color: var(--ink);
  }
}
.is-field:active > ${part}:not(:disabled, :user-invalid, [data-typed]:invalid) {
  border-color: var(--ink);
}
${feelTransition(`.is-field > ${part}`, ['border-color'])}`;

/**
 * The box that one types into: as high as the theme says, with words in it on one line.
 *
 * @param rest `written`: the words are a value that browsers write in the reader's way; `line`: where the line of words stands that a bare field is lined up by; see `bareLineCss`.
 */
export function fieldBox(
  values: Values,
  make: Making,
  shown: string,
  rest: {
    height?: number;
    look?: Look;
    line?: BareLine;
    written?: NonNullable<Look['inner']>['written'];
  } = {},
): Box {
  const { theme } = make;
  const style = make.plain({ noWrap: true });
  const height = (rest.height ?? theme.fieldHeight) * make.scale;
  const baseline = rest.line
    ? rest.line.above - 1 + lineBaseline(make, make.plain({ lineHeight: rest.line.lineHeight }))
    : make.centredBaseline(style, height - 2);
  return make.blank(
    { width: theme.fieldWidth - 2, height, baseline },
    {
      part: 'box',
      background: make.colour('sheet'),
      borderColour: make.colour(edgeNow(values)),
      corner: theme.corner,
      colour: make.colour(shown ? 'ink' : 'quiet'),
      text: style,
      inner: {
        text: shown || values.text(placeholder),
        padding: theme.fieldPadding,
        ...(rest.written === undefined ? {} : { written: rest.written }),
      },
      ...rest.look,
    },
    { height, border: { top: 1, end: 1, bottom: 1, start: 1 } },
  );
}

/** A line of words in a field without a label: px from the field's top, and its height as a factor. */
export interface BareLine {
  readonly above: number;
  readonly lineHeight: number;
}
/** One line in the middle of a field of the usual height. */
export const middleLine = ({ fieldHeight, textSize }: Theme): BareLine => ({
  above: 0,
  lineHeight: fieldHeight / textSize,
});

function lineBaseline(make: Making, style: TextStyle): number {
  const words = make.content('', style);
  return words.type === 'text' ? words.paragraphs.baseline : 0;
}

/**
 * What the platform draws inside some inputs has baselines that differ from system to system. An empty label in front,
 * which takes no room, gives the field the baseline of a line of words where the input's own stands.
 */
export const bareLineCss = (
  kind: string,
  { labelGap, textSize }: Theme,
  { above, lineHeight }: BareLine,
): string => `.k-${kind} > .part-label:empty {
  display: block;
  height: ${above}px;
  margin-bottom: ${-above - labelGap}px;
  padding-top: ${above}px;
  font-size: ${textSize / 16}rem;
  font-weight: 400;
  --line-height: ${lineHeight};
}
.k-${kind} > .part-label:empty::before {
  content: "\\200b" / "";
}`;

/** Attributes that tie an input to the hint and the message of its field. */
export const described = (values: Values, name: string): Record<string, string> => {
  const ids = [
    ...(values.text(hint) ? [`${name}-hint`] : []),
    ...(hasMessage(values) ? [`${name}-message`] : []),
  ];
  return ids.length > 0 ? { 'aria-describedby': ids.join(' ') } : {};
};
export const hasMessage = (values: Values) => values.text(message) !== '' || values.has(valid);

/** Attributes that every input of a field has. */
export const inputAttributes = (values: Values, name: string): Record<string, string | boolean> => ({
  id: `${name}-input`,
  required: values.flag(required),
  disabled: values.flag(disabled),
  ...described(values, name),
});

/**
 * The element of a field.
 *
 * @param input the element that one enters into; it has `inputAttributes`, or, in a group, inputs of its own.
 * @param rest `group`: the input is a group of inputs, and this is its role. `beside`: see `fieldInside`. `behind`: what
 *   stands behind the input and is not seen.
 */
export function fieldElement(
  values: Values,
  name: string,
  input: PageElement,
  rest: { group?: 'group' | 'radiogroup'; beside?: PageElement; behind?: PageElement } = {},
): PageElement {
  const heading: PageElement = rest.group
    ? {
        tag: 'span',
        classes: ['part-label'],
        attributes: { id: `${name}-label` },
        text: values.text(label),
      }
    : {
        tag: 'label',
        classes: ['part-label'],
        attributes: { for: `${name}-input` },
        text: values.text(label),
      };
  return {
    tag: 'div',
    classes: ['is-field'],
    ...(rest.group
      ? {
          attributes: {
            role: rest.group,
            'aria-labelledby': `${name}-label`,
            ...described(values, name),
          },
        }
      : {}),
    children: [
      ...(rest.beside
        ? [{ tag: 'div', classes: ['part-head'], children: [heading, rest.beside] }]
        : [heading]),
      input,
      ...(rest.behind ? [rest.behind] : []),
      {
        tag: 'span',
        classes: ['part-hint'],
        attributes: { id: `${name}-hint` },
        text: values.text(hint),
      },
      ...(hasMessage(values)
        ? [
            {
              tag: 'span',
              classes: ['part-message'],
              attributes: { id: `${name}-message` },
              text: values.text(message),
            },
          ]
        : []),
    ],
  };
}

/** What all fields look like on a page. */
export const fieldCss = (theme: Theme): string => `.is-field {
  display: flex;
  flex-direction: column;
  gap: ${theme.labelGap}px;
}
.is-field .part-label {
  font-size: ${theme.labelSize / 16}rem;
  font-weight: ${theme.labelWeight};
  white-space-collapse: preserve-breaks;
}
.is-field .part-label:empty,
.is-field > .part-hint:empty,
.is-field > .part-message {
  display: none;
}
.is-field > .part-head {
  display: flex;
  justify-content: space-between;
  gap: ${theme.checkGap}px;
}
.is-field > .part-hint {
  font-size: ${theme.hintSize / 16}rem;
  color: var(--quiet);
  white-space-collapse: preserve-breaks;
}
.is-field > .part-message {
  font-size: ${theme.hintSize / 16}rem;
  color: var(--alert);
}
.is-field:has(:user-invalid, [data-typed]:invalid) > .part-message {
  display: block;
}
.is-field :is(:user-invalid, [data-typed]:invalid) {
  border-color: var(--alert);
}
.is-field:has(:disabled) {
  opacity: 0.5;
}
@media print {
  .is-field {
    break-inside: avoid;
  }
}`;

/** The box that one types into or opens, on a page. */
export const inputCss = (theme: Theme): string => `.is-field > :where(.part-input:not([type="range"])) {
  appearance: none;
  display: block;
  flex: none;
  width: ${theme.fieldWidth}px;
  min-width: 100%;
  max-width: 100%;
  height: ${theme.fieldHeight / 16}rem;
  padding: 0 ${theme.fieldPadding}px;
  border: 1px solid var(--quiet);
  border-radius: ${theme.corner}px;
  background: var(--sheet);
}
.is-field > .part-input::placeholder {
  color: var(--quiet);
  opacity: 1;
}
${edgeCss('.part-input')}`;
