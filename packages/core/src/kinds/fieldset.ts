/** A group of controls with a caption. */
import { flexContent } from './flex-inside.ts';
import type { Kind } from './kind.ts';
import { arranging, boxLook, padding, placing, sizing, words } from './properties.ts';

const own = {
  caption: words('caption', 'Caption', { as: 'text', part: 'part-caption' }),
};

export const fieldset: Kind = {
  name: 'fieldset',
  label: 'Fieldset',
  group: 'arrange',
  purpose: 'A group of controls that belong together, under a caption.',
  glyph: 'group',
  findBy: ['group', 'section', 'form', 'caption', 'legend'],
  container: true,
  properties: [own.caption, ...sizing, ...placing(), padding, ...arranging, ...boxLook()],
  events: [],
  starter: { caption: 'Caption', gap: '12' },
  inside(values, make, children) {
    const captionStyle = make.plain({ weight: make.theme.captionWeight });
    const caption = values.text(own.caption);
    const shown = children.flatMap((child) => child ?? []);
    const look = { colour: make.colour('ink'), text: captionStyle };
    return {
      content: flexContent(values, 'column'),
      parts: caption ? [make.words(caption, captionStyle, look), ...shown] : shown,
    };
  },
  // A group by role: browsers lay the element `fieldset` out by rules of its own.
  element: (values, children) => ({
    tag: 'div',
    attributes: { role: 'group', 'aria-label': values.text(own.caption) },
    children: [
      {
        tag: 'span',
        classes: ['part-caption'],
        attributes: { 'aria-hidden': 'true' },
        text: values.text(own.caption),
      },
      ...children.map((_, index) => index),
    ],
  }),
  css: (theme) => `.k-fieldset {
  display: flex;
  flex-direction: column;
}
.k-fieldset > .part-caption {
  font-weight: ${theme.captionWeight};
  white-space-collapse: preserve-breaks;
}
.k-fieldset > .part-caption:empty {
  display: none;
}`,
};
