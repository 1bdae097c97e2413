/** What progress and meter have in common: words above a line that is filled to a part. */

import type { Values } from '../cascade/values.ts';
import { amountType } from '../property-types/index.ts';
import type { Theme } from '../values/theme.ts';
import { content, fieldInside, label as fieldLabel } from './field.ts';
import type { Inside, Making, PageElement, Property } from './kind.ts';

/** Nothing is lined up by the label of a gauge. */
export const label: Property<string> = {
  ...fieldLabel,
  page: { as: 'text', part: 'part-label', optional: true },
};

/** A number that the line stands for. */
export const gaugeNumber = (
  name: string,
  label: string,
  rest: Partial<Property<number>> = {},
): Property<number> =>
  content(name, label, amountType, { page: { part: 'part-bar', as: 'attribute', name }, ...rest });

/** Part of the line that is filled: where a value lies between two others. */
export function partOf(value: number, min: number, max: number): number {
  return max > min ? Math.max(0, Math.min(1, (value - min) / (max - min))) : 0;
}

export function gaugeInside(
  values: Values,
  make: Making,
  part: number,
  colour: string,
  beside: string,
): Inside {
  const { theme } = make;
  const height = theme.barHeight * make.scale;
  const line = make.blank(
    { width: theme.fieldWidth, height },
    {
      gauge: {
        part,
        thickness: height,
        colour: make.colour(colour),
        ground: make.colour('line'),
      },
    },
    { height },
  );
  return fieldInside(values, make, line, beside);
}

/**
 * @param bar the element that shows the value.
 * @param beside what stands at the end of the label's line.
 */
export const gaugeElement = (
  values: Values,
  name: string,
  bar: PageElement,
  beside: string,
): PageElement => ({
  tag: 'div',
  classes: ['is-gauge'],
  children: [
    {
      tag: 'div',
      classes: ['part-head'],
      children: [
        {
          tag: 'span',
          classes: ['part-label'],
          attributes: { id: `${name}-label` },
          text: values.text(label),
        },
        ...(beside === '' ? [] : [{ tag: 'span', classes: ['part-value'], text: beside }]),
      ],
    },
    bar,
  ],
});

export const gaugeCss = (theme: Theme): string => `.is-gauge {
  display: flex;
  flex-direction: column;
  gap: ${theme.labelGap}px;
}
.is-gauge > .part-head {
  display: flex;
  justify-content: space-between;
  gap: ${theme.checkGap}px;
  font-size: ${theme.labelSize / 16}rem;
  font-weight: ${theme.labelWeight};
}
.is-gauge .part-label {
  white-space-collapse: preserve-breaks;
}
.is-gauge .part-value {
  color: var(--quiet);
}
.is-gauge .part-label:empty,
.is-gauge .part-value:empty,
.is-gauge > .part-head:not(:has(:not(:empty))) {
  display: none;
}
.is-gauge > .part-bar {
  appearance: none;
  display: block;
  flex: none;
  width: ${theme.fieldWidth}px;
  min-width: 100%;
  max-width: 100%;
  height: ${theme.barHeight / 16}rem;
  border: 0;
  border-radius: ${theme.barHeight / 32}rem;
  overflow: hidden;
  background: var(--line);
}
@media (forced-colors: active) {
  .is-gauge > .part-bar {
    forced-color-adjust: none;
  }
}`;
