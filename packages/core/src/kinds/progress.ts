/** How far something has come. */

import { gaugeCss, gaugeElement, gaugeInside, gaugeNumber, partOf } from './gauge.ts';
import type { Kind } from './kind.ts';
import { boxLook, padding, placing, sizing, words } from './properties.ts';

export const progress: Kind = {
  name: 'progress',
  label: 'Progress',
  group: 'show',
  purpose: 'Shows how far something has come; without a value, that it is going on.',
  findBy: ['loading', 'wait', 'percent', 'done', 'bar', 'busy', 'spinner', 'waiting'],
  container: false,
  properties: [
    words('label', 'Label', { as: 'text', part: 'part-label' }),
    gaugeNumber('value', 'Value'),
    gaugeNumber('max', 'Whole', '100'),
    ...sizing,
    ...placing(),
    padding(),
    ...boxLook(),
  ],
  events: [],
  starter: { label: 'Checked in', value: '60' },
  inside: (values, make) =>
    gaugeInside(
      values,
      make,
      partOf(values.number('value') ?? 0, 0, values.number('max') ?? 100),
      'accent',
      '',
    ),
  element(values, _, name) {
    const value = values.number('value');
    return gaugeElement(
      values,
      name,
      {
        tag: 'progress',
        classes: ['part-bar'],
        attributes: {
          'aria-labelledby': `${name}-label`,
          max: String(values.number('max') ?? 100),
          ...(value === undefined ? {} : { value: String(value) }),
        },
      },
      '',
    );
  },
  sharedCss: [gaugeCss],
  css: `.k-progress > .part-bar::-webkit-progress-bar {
  background: var(--line);
}
.k-progress > .part-bar::-webkit-progress-value {
  background: var(--accent);
}
.k-progress > .part-bar::-moz-progress-bar {
  background: var(--accent);
}`,
};
