/** One or several things to choose from a list. */
import { chosenEvents } from './events.ts';
import {
  columnOf,
  edgeCss,
  edgeNow,
  fieldCss,
  fieldElement,
  fieldInside,
  fieldProperties,
  fieldStates,
  required,
  wordParts,
} from './field.ts';
import type { Kind, Manner } from './kind.ts';
import {
  checkCss,
  chosen,
  chosenOf,
  entriesOf,
  many,
  optionBox,
  optionCss,
  optionElements,
  options,
} from './options.ts';

export const manner: Manner = {
  anew: (values, name) => ({ children: optionElements(values, name, !values.flag(many)) }),
};

export const choiceList: Kind = {
  name: 'choiceList',
  label: 'Choice list',
  group: 'ask',
  purpose: 'Asks to choose one or several things from a list.',
  glyph: 'list-checks',
  findBy: ['several', 'many', 'multiple', 'checkboxes', 'list', 'options', 'tags'],
  container: false,
  manner,
  properties: fieldProperties([chosen, options({ part: 'part-options', as: 'inside' }), many], wordParts),
  ...fieldStates,
  lookParts: wordParts,
  events: chosenEvents,
  starter: { label: 'Needs', options: 'Blanket | Packed lunch | Drying room', many: 'true' },
  inside(values, make) {
    const picked = chosenOf(values);
    const round = !values.flag(many);
    const boxes = entriesOf(values).map(({ value, label }) =>
      optionBox(make, label, { round, checked: picked.includes(value) }, true),
    );
    const list = make.group(columnOf, boxes, {
      border: { top: 1, end: 1, bottom: 1, start: 1 },
    });
    return fieldInside(values, make, {
      ...list,
      look: {
        background: make.colour('sheet'),
        borderColour: make.colour(edgeNow(values)),
        corner: make.theme.corner,
      },
    });
  },
  element: (values, _, name) =>
    fieldElement(
      values,
      name,
      {
        tag: 'div',
        classes: ['part-options'],
        // HTML has no group of boxes of which one has to be ticked; the page sees to it.
        attributes: { 'data-needs-one': values.flag(many) && values.flag(required) },
        children: optionElements(values, name, !values.flag(many)),
      },
      { group: values.flag(many) ? 'group' : 'radiogroup' },
    ),
  sharedCss: [fieldCss, checkCss, optionCss],
  css: (theme) => `.k-choiceList > .part-options {
  border: 1px solid var(--quiet);
  border-radius: ${theme.corner}px;
  background: var(--sheet);
}
${edgeCss('.part-options')}
.k-choiceList .part-option {
  padding: ${theme.cellPaddingBlock}px ${theme.cellPaddingInline}px;
}`,
};
