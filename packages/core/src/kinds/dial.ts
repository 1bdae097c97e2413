/** A measured value on an arc: an instrument to read at a glance. */

import type { Values } from '../cascade/values.ts';
import type { Shape } from '../icons/icon-set.ts';
import { colourCss } from '../values/theme.ts';
import { columnOf } from './field.ts';
import { label } from './gauge.ts';
import type { Kind, Manner, PageElement } from './kind.ts';
import { inside } from './made-anew.ts';
import { measured, measurementOf, meterAttributes } from './measured.ts';
import { boxLook, padding, placing, sizing } from './properties.ts';

/** Coordinates of the arc: its middle, its radius, and the angles where it begins and how far it goes, in degrees. */
const arc = { size: [100, 78], x: 50, y: 50, radius: 44, from: 150, sweep: 240, thickness: 10 } as const;

/** A number as short as its place needs. */
const round = (value: number): number => Number(value.toFixed(2));

/** A piece of the arc, from its beginning. @param part from 0 to 1. */
function arcPath(part: number): string {
  const at = (degrees: number) => {
    const angle = (degrees * Math.PI) / 180;
    return `${round(arc.x + arc.radius * Math.cos(angle))} ${round(arc.y + arc.radius * Math.sin(angle))}`;
  };
  const sweep = arc.sweep * part;
  return `M${at(arc.from)}A${arc.radius} ${arc.radius} 0 ${sweep > 180 ? 1 : 0} 1 ${at(arc.from + sweep)}`;
}

const line = (part: number, opacity: number): Shape => [
  'path',
  {
    d: arcPath(part),
    fill: 'none',
    stroke: 'currentColor',
    'stroke-width': arc.thickness,
    'stroke-linecap': 'round',
    opacity,
  },
];

/** The whole arc, quiet, and what is filled of it. */
const shapesOf = (part: number): readonly Shape[] => [line(1, 0.2), ...(part > 0 ? [line(part, 1)] : [])];

/** The element of a dial. @param name of its control, with which the id of its label begins. */
export function dialElement(values: Values, name: string): PageElement {
  const measurement = measurementOf(values);
  const { min, max, part, words, colour } = measurement;
  const say = (text: string, className?: string): PageElement => ({
    tag: 'span',
    ...(className ? { classes: [className] } : {}),
    text,
  });
  const title = values.text(label);
  return {
    tag: 'div',
    children: [
      { ...say(title, 'part-label'), attributes: { id: `${name}-label` } },
      {
        tag: 'div',
        classes: ['part-arc'],
        attributes: {
          ...meterAttributes(name, measurement),
          style: `color: ${colourCss(colour ?? 'accent')}`,
        },
        children: [
          {
            tag: 'svg',
            attributes: { viewBox: `0 0 ${arc.size.join(' ')}`, 'aria-hidden': 'true' },
            children: shapesOf(part).map(([tag, attributes]) => ({ tag, attributes })),
          },
        ],
      },
      {
        tag: 'div',
        classes: ['part-foot'],
        children: [say(`${min}`), say(words, 'part-value'), say(`${max}`)],
      },
    ],
  };
}

export const manner: Manner = { anew: (values, name) => inside(dialElement(values, name)) };

export const dial: Kind = {
  name: 'dial',
  label: 'Dial',
  group: 'show',
  purpose: 'A measured value on an arc, in colour by value.',
  glyph: 'gauge',
  findBy: [
    'gauge',
    'instrument',
    'speed',
    'pressure',
    'temperature',
    'arc',
    'round',
    'needle',
    'measure',
    'live',
  ],
  container: false,
  manner,
  properties: [
    { ...label, page: { as: 'inside' } },
    ...Object.values(measured),
    ...sizing,
    ...placing(),
    padding,
    ...boxLook(),
  ],
  events: [],
  starter: { label: 'Wind', value: '46', max: '120', unit: 'km/h', colors: '0 accent | 60 warm | 90 alert' },
  inside(values, make) {
    const { theme } = make;
    const { min, max, part, words, colour } = measurementOf(values);
    const style = make.plain({ size: theme.chartTextSize });
    const strong = make.plain({ size: theme.chartTextSize, weight: theme.labelWeight });
    const say = (text: string, own = style, ink = 'quiet') =>
      make.words(text, own, { colour: make.colour(ink), text: own });
    const plot = make.blank(
      { width: theme.dialWidth, height: 0 },
      {
        colour: make.colour(colour ?? 'accent'),
        drawing: { size: arc.size, shapes: shapesOf(part), place: 'middle' },
      },
      { height: { share: 1 }, minHeight: theme.dialHeight },
    );
    const title = values.text(label);
    return {
      content: { ...columnOf, rowGap: theme.labelGap },
      parts: [
        ...(title ? [say(title)] : []),
        plot,
        make.group({ ...columnOf, direction: 'row', justify: 'between', columnGap: theme.checkGap }, [
          say(`${min}`),
          say(words, strong, 'ink'),
          say(`${max}`),
        ]),
      ],
    };
  },
  element: (values, _, name) => dialElement(values, name),
  css: (theme) => `.k-dial {
  display: flex;
  flex-direction: column;
  gap: ${theme.labelGap}px;
  font-size: ${theme.chartTextSize / 16}rem;
  color: var(--quiet);
}
.k-dial span {
  display: block;
  white-space-collapse: preserve-breaks;
}
.k-dial > .part-label:empty {
  display: none;
}
.k-dial > .part-arc {
  position: relative;
  flex: 1 1 0px;
  min-height: ${theme.dialHeight}px;
}
.k-dial > .part-arc::before {
  content: "";
  display: block;
  width: ${theme.dialWidth}px;
}
.k-dial svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
.k-dial > .part-foot {
  display: flex;
  justify-content: space-between;
  gap: ${theme.checkGap}px;
}
.k-dial .part-value {
  font-weight: ${theme.labelWeight};
  color: var(--ink);
}
@media (forced-colors: active) {
  .k-dial > .part-arc {
    forced-color-adjust: none;
  }
}`,
};
