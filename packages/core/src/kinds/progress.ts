/** How far something has come. */

import { gaugeCss, gaugeElement, gaugeInside, gaugeNumber, label, partOf } from './gauge.ts';
import type { Kind } from './kind.ts';
import { boxLook, padding, placing, sizing } from './properties.ts';

const own = {
  value: gaugeNumber('value', 'Value'),
  max: gaugeNumber('max', 'Whole', { default: '100' }),
};

export const progress: Kind = {
  name: 'progress',
  label: 'Progress',
  group: 'show',
  purpose: 'Shows how far something has come; without a value, that it is going on.',
  glyph: 'loader',
  findBy: ['loading', 'wait', 'percent', 'done', 'bar', 'busy', 'spinner', 'waiting'],
  container: false,
  properties: [label, own.value, own.max, ...sizing, ...placing(), padding, ...boxLook()],
  events: [],
  starter: { label: 'Checked in', value: '60' },
  inside: (values, make) =>
    gaugeInside(
      values,
      make,
      partOf(values.get(own.value) ?? 0, 0, values.get(own.max) ?? 100),
      'accent',
      '',
    ),
  element(values, _, name) {
    const value = values.get(own.value);
    return gaugeElement(
      values,
      name,
      {
        tag: 'progress',
        classes: ['part-bar'],
        attributes: {
          'aria-labelledby': `${name}-label`,
          max: String(values.get(own.max) ?? 100),
          ...(value === undefined ? {} : { value: String(value) }),
        },
      },
      '',
    );
  },
  sharedCss: [gaugeCss],
  css: () => `.k-progress > .part-bar::-webkit-progress-bar {
  background: var(--line);
}
.k-progress > .part-bar::-webkit-progress-value {
  background: var(--accent);
}
.k-progress > .part-bar::-moz-progress-bar {
  background: var(--accent);
}`,
};
