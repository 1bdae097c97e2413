/** What progress and meter have in common: words above a line that is filled to a part. */

import type { Values } from '../cascade/values.ts';
import type { Box } from '../layout/box.ts';
import { amountType } from '../property-types/index.ts';
import type { Theme } from '../values/theme.ts';
import { columnOf, content, fieldInside, label as fieldLabel } from './field.ts';
import type { Inside, Look, LookPart, Making, PageElement, Property } from './kind.ts';
import { layered } from './plain-grid.ts';

/** Nothing is lined up by the label of a gauge. */
export const label: Property<string> = {
  ...fieldLabel,
  page: { as: 'text', part: 'part-label', optional: true },
};

/** A number that the line stands for; it is made anew by it. */
export const gaugeNumber = (
  name: string,
  label: string,
  rest: Partial<Property<number>> = {},
): Property<number> => content(name, label, amountType, { page: { as: 'inside' }, ...rest });

/** Part of the line that is filled: where a value lies between two others. */
export function partOf(value: number, min: number, max: number): number {
  return max > min ? Math.max(0, Math.min(1, (value - min) / (max - min))) : 0;
}

/** Parts of a gauge with a look of their own. */
export const gaugeParts: readonly LookPart[] = [
  { name: 'label', label: 'Label', selector: ' .part-label' },
  { name: 'bar', label: 'Bar', selector: ' > .part-bar' },
  { name: 'filled', label: 'Filled part', selector: ' .part-filled' },
];

/** A line as wide as fields are, with things along it. @param height CSS px, scaled. */
export const lineWith = (make: Making, height: number, things: readonly Box[], look: Look): Box =>
  make.group(
    layered,
    [
      make.blank({ width: make.theme.fieldWidth, height }, {}),
      make.group({ ...columnOf, direction: 'row', align: 'center' }, things),
    ],
    { height },
    look,
  );

/** A part of such a line. @param part from 0 to 1, of what other things leave. */
export const along = (make: Making, part: number, height: number, look: Look = {}): Box =>
  make.blank({ width: 0, height }, look, { width: { share: part }, minWidth: 0, height });

export function gaugeInside(
  values: Values,
  make: Making,
  part: number,
  colour: string,
  beside: string,
): Inside {
  const { theme } = make;
  const height = theme.barHeight * make.scale;
  const line = lineWith(
    make,
    height,
    [
      along(make, part, height, { part: 'filled', background: make.colour(colour) }),
      along(make, 1 - part, height),
    ],
    { part: 'bar', background: make.colour('line'), corner: height / 2, clips: true },
  );
  return fieldInside(values, make, line, beside);
}

/** A bar that shows a value: what it is (ARIA 1.2, `meter`, `progressbar`), and what it is filled to. */
export interface BarOf {
  readonly role: 'meter' | 'progressbar';
  readonly min: number;
  readonly max: number;
  /** Undefined: nothing is known yet. */
  readonly value: number | undefined;
  /** The value in words, where the number alone does not say it. */
  readonly words?: string;
  /** A colour of CSS; absent: that of the stylesheet. */
  readonly colour?: string | undefined;
}

/** The element of such a bar. @param name of its control, with which the id of its label begins. */
export const barElement = (name: string, { role, min, max, value, words, colour }: BarOf): PageElement => ({
  tag: 'div',
  classes: ['part-bar'],
  attributes: {
    role,
    'aria-labelledby': `${name}-label`,
    'aria-valuemin': min,
    'aria-valuemax': max,
    'aria-valuenow': value ?? false,
    'aria-valuetext': words ?? false,
  },
  children: [
    {
      tag: 'div',
      classes: ['part-filled'],
      attributes: {
        style: `width: ${Number((partOf(value ?? min, min, max) * 100).toFixed(2))}%${colour ? `; background: ${colour}` : ''}`,
      },
    },
  ],
});

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
  print-color-adjust: exact;
}
.is-gauge .part-filled {
  height: 100%;
  background: var(--accent);
}
@media (forced-colors: active) {
  .is-gauge > .part-bar {
    forced-color-adjust: none;
  }
}`;
