/** A number to set by moving along a line. */

import type { Values } from '../cascade/values.ts';
import { amountType } from '../property-types/index.ts';
import { chosenEvents } from './events.ts';
import { feelRules, feltColour, feltIn } from './feel.ts';
import {
  entered,
  fieldCss,
  fieldElement,
  fieldInside,
  fieldProperties,
  fieldStates,
  inputAttribute,
  inputAttributes,
  wordParts,
} from './field.ts';
import { along, lineWith } from './gauge.ts';
import type { Kind, LookPart } from './kind.ts';

const own = {
  value: entered(amountType, ['number']),
  min: inputAttribute('min', 'Min', amountType),
  max: inputAttribute('max', 'Max', amountType),
  step: inputAttribute('step', 'Step', amountType),
};

const rangeOf = (values: Values) => {
  const min = values.get(own.min) ?? 0;
  const max = Math.max(min, values.get(own.max) ?? 100);
  const value = Math.max(min, Math.min(max, values.get(own.value) ?? (min + max) / 2));
  return { min, max, value, part: max > min ? (value - min) / (max - min) : 0 };
};

/** Thickness of the line and diameter of the thumb, CSS px. */
const lineThickness = 4;
const knob = 16;

const track = `height: ${lineThickness}px;
  border-radius: ${lineThickness / 2}px;`;
const thumb = `box-sizing: border-box;
  width: ${knob}px;
  height: ${knob}px;
  border: 0;
  border-radius: 50%;
  background: var(--k-fill);`;
/** How much of the line is filled: what is moved stays inside it at both ends. */
const filled = `calc(${knob / 2}px + (100% - ${knob}px) * var(--part, 0))`;

const sliderParts: readonly LookPart[] = [
  ...wordParts,
  {
    name: 'thumb',
    label: 'Thumb',
    selector: ' > .part-input::-webkit-slider-thumb',
    // Another name in Firefox: a rule with both would hold nowhere.
    elsewhere: ' > .part-input::-moz-range-thumb',
  },
];

export const slider: Kind = {
  name: 'slider',
  label: 'Slider',
  group: 'ask',
  purpose: 'Asks for a number in a range, where about right is good enough.',
  glyph: 'sliders-horizontal',
  findBy: ['range', 'level', 'volume', 'how much', 'brightness', 'rating'],
  container: false,
  properties: fieldProperties([own.value, own.min, own.max, own.step], sliderParts),
  ...fieldStates,
  lookParts: sliderParts,
  events: chosenEvents,
  starter: { label: 'Stove', min: '0', max: '10', value: '4' },
  inside(values, make) {
    const { theme } = make;
    const { value, part } = rangeOf(values);
    const height = theme.sliderHeight * make.scale;
    const thumb = make.blank(
      { width: knob, height: knob },
      { part: 'thumb', background: feltColour(make, 'accent', feltIn(values)), corner: knob / 2 },
      { width: knob, height: knob },
    );
    const line = lineWith(make, height, [along(make, part, 0), thumb, along(make, 1 - part, 0)], {
      gauge: {
        part,
        thickness: lineThickness,
        knob,
        colour: feltColour(make, 'accent', feltIn(values)),
        ground: make.colour('line'),
      },
    });
    return fieldInside(values, make, line, String(value));
  },
  element(values, _, name) {
    const { min, max, value, part } = rangeOf(values);
    return fieldElement(
      values,
      name,
      {
        tag: 'input',
        classes: ['part-input'],
        attributes: {
          type: 'range',
          ...inputAttributes(values, name),
          required: false,
          min: String(min),
          max: String(max),
          step: String(values.get(own.step) ?? 'any'),
          value: String(value),
          // How far it is filled; the page's script goes on with it.
          style: `--part: ${Number(part.toFixed(4))}`,
        },
      },
      {
        beside: {
          tag: 'output',
          classes: ['part-value'],
          attributes: { for: `${name}-input` },
          text: String(value),
        },
      },
    );
  },
  sharedCss: [fieldCss],
  css: (theme) => `.k-slider .part-value {
  font-size: ${theme.labelSize / 16}rem;
  font-weight: ${theme.labelWeight};
  color: var(--quiet);
}
.k-slider > .part-input {
  display: block;
  flex: none;
  width: ${theme.fieldWidth}px;
  min-width: 100%;
  max-width: 100%;
  height: ${theme.sliderHeight / 16}rem;
  margin: 0;
  appearance: none;
  background: none;
  --k-fill: var(--accent);
}
${feelRules({ over: '.k-slider', painted: ' > .part-input:not(:disabled)' }, (felt) => `--k-fill: ${felt('var(--accent)')}`)}
.k-slider > .part-input::-webkit-slider-runnable-track {
  ${track}
  background: linear-gradient(var(--k-fill) 0 0) 0 0 / ${filled} 100% no-repeat var(--line);
}
.k-slider > .part-input:dir(rtl)::-webkit-slider-runnable-track {
  background-position-x: 100%;
}
.k-slider > .part-input::-webkit-slider-thumb {
  ${thumb}
  appearance: none;
  margin-top: ${(lineThickness - knob) / 2}px;
}
.k-slider > .part-input::-moz-range-track {
  ${track}
  background: var(--line);
}
.k-slider > .part-input::-moz-range-progress {
  ${track}
  background: var(--k-fill);
}
.k-slider > .part-input::-moz-range-thumb {
  ${thumb}
}
@media (forced-colors: active) {
  .k-slider > .part-input {
    forced-color-adjust: none;
  }
}`,
};
