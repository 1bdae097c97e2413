/** One of a few things to choose from, all in sight. */
import { lineUpType } from '../property-types/index.ts';
import { chosenEvents } from './events.ts';
import {
  columnOf,
  fieldCss,
  fieldElement,
  fieldInside,
  fieldProperties,
  fieldStates,
  wordParts,
} from './field.ts';
import type { DeclaredCss, Kind, Manner } from './kind.ts';
import {
  checkCss,
  chosen,
  chosenOf,
  entriesOf,
  optionBox,
  optionCss,
  optionElements,
  options,
} from './options.ts';
import { property } from './properties.ts';

const own = {
  like: property({
    name: 'like',
    leads: true,
    label: 'Options in a',
    group: 'inside',
    type: lineUpType,
    default: 'column',
    effect: 'layout',
    perBand: true,
  }),
};

/** How the options stand, as CSS. */
const radioCss: DeclaredCss = (values) =>
  values.own(own.like) === 'row'
    ? [
        ['flex-flow', 'row wrap'],
        ['align-items', 'start'],
        ['gap', '8px 16px'],
      ]
    : values.own(own.like)
      ? [
          ['flex-flow', 'column'],
          ['align-items', 'stretch'],
          ['gap', '8px'],
        ]
      : [];

export const manner: Manner = {
  css: radioCss,
  anew: (values, name) => ({ children: optionElements(values, name, true) }),
};

export const radioGroup: Kind = {
  name: 'radioGroup',
  label: 'Radio group',
  group: 'ask',
  purpose: 'Asks to choose one of a few things that are all in sight.',
  glyph: 'circle-dot',
  findBy: ['choice', 'one of', 'options', 'either or', 'radio', 'rating'],
  container: false,
  manner,
  properties: fieldProperties([chosen, options({ part: 'part-options', as: 'inside' }), own.like], wordParts),
  ...fieldStates,
  lookParts: wordParts,
  events: chosenEvents,
  starter: { label: 'Supper', options: 'At six | At seven | None' },
  inside(values, make) {
    const row = values.text(own.like) === 'row';
    const picked = chosenOf(values);
    const boxes = entriesOf(values).map(({ value, label }) =>
      optionBox(make, label, { round: true, checked: picked[0] === value }, false),
    );
    const content = row
      ? {
          ...columnOf,
          direction: 'row' as const,
          align: 'start' as const,
          wrap: true,
          rowGap: 8,
          columnGap: 16,
        }
      : { ...columnOf, rowGap: 8 };
    return fieldInside(values, make, make.group(content, boxes));
  },
  element: (values, _, name) =>
    fieldElement(
      values,
      name,
      { tag: 'div', classes: ['part-options'], children: optionElements(values, name, true) },
      { group: 'radiogroup' },
    ),
  parts: () => [{ selector: '> .part-options', properties: ['like'] }],
  sharedCss: [fieldCss, checkCss, optionCss],
  css: (theme) => `.k-radioGroup > .part-options {
  display: flex;
  flex-flow: column;
  gap: ${theme.checkGap}px;
}`,
};
