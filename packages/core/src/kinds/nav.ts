/** The places of the application: which screens there are, and a way to each of them. */
import { navFormType, placesType, textType } from '../document/property-types.ts';
import { theme } from '../document/theme.ts';
import { inForce } from '../document/types.ts';
import type { FlexContent } from '../layout/box.ts';
import type { Kind } from './kind.ts';
import { addressTo } from './link.ts';
import { entriesOf } from './options.ts';
import { boxLook, padding, paneGap, placing, sizing, textLook } from './properties.ts';
import { textStyleOf, wordsLook } from './words.ts';

type Form = 'bar' | 'rail' | 'panel';

export const nav: Kind = {
  name: 'nav',
  label: 'Navigation',
  group: 'act',
  purpose: 'The places of the application, as a bar, a rail or a panel.',
  findBy: ['menu', 'places', 'screens', 'pages', 'go to'],
  container: false,
  properties: [
    {
      name: 'options',
      label: 'Screens',
      group: 'content',
      type: placesType,
      effect: 'layout',
      perBand: false,
      page: { as: 'inside' },
    },
    {
      name: 'label',
      label: 'Label',
      group: 'content',
      type: textType,
      default: 'Places',
      effect: 'behaviour',
      perBand: false,
      page: { as: 'attribute', name: 'aria-label' },
    },
    {
      name: 'form',
      label: 'Form',
      group: 'inside',
      type: navFormType,
      default: 'bar',
      effect: 'layout',
      perBand: true,
    },
    ...sizing,
    ...placing(),
    padding(),
    ...paneGap,
    ...boxLook(),
    ...textLook({ weight: String(theme.labelWeight), colour: 'accent' }),
  ],
  events: [],
  starter: {},
  starterIn: ({ screens }) => {
    const entries = screens.flatMap(({ name, props }) => {
      const title = inForce(props.title);
      return name === undefined
        ? []
        : title && !/[|{]/.test(title) && title !== name
          ? `${name}: ${title}`
          : name;
    });
    return entries.length > 0 ? { options: entries.join(' | ') } : {};
  },
  inside(values, make) {
    const form = values.get<Form>('form') ?? 'bar';
    const style = textStyleOf(values);
    const gap = values.number('gap') ?? 0;
    const look = wordsLook(values, style, form === 'panel' ? 'start' : 'center');
    const { block, inline } = theme.cellPadding;
    const content: FlexContent = {
      type: 'flex',
      direction: form === 'bar' ? 'row' : 'column',
      align: 'stretch',
      justify: form === 'bar' ? 'evenly' : 'start',
      wrap: false,
      rowGap: gap,
      columnGap: gap,
    };
    return {
      content,
      parts: entriesOf(values).map(({ label }) =>
        make.words(label, style, look, {
          padding: { top: block, bottom: block, start: inline, end: inline },
        }),
      ),
    };
  },
  element: (values) => ({
    tag: 'nav',
    attributes: { 'aria-label': values.text('label') },
    children: entriesOf(values).map(({ value, label }) => ({
      tag: 'a',
      classes: ['part-place'],
      attributes: { href: addressTo(value) },
      text: label,
    })),
  }),
  declares: (own) =>
    own.has('form')
      ? [
          ['flex-direction', own.get('form') === 'bar' ? 'row' : 'column'],
          ['justify-content', own.get('form') === 'bar' ? 'space-evenly' : 'start'],
          ['text-align', own.get('form') === 'panel' ? 'start' : 'center'],
        ]
      : [],
  css: `.k-nav {
  display: flex;
  justify-content: space-evenly;
  color: var(--accent);
  font-weight: ${theme.labelWeight};
  text-align: center;
}
.k-nav > .part-place {
  display: block;
  padding: ${theme.cellPadding.block}px ${theme.cellPadding.inline}px;
  border-radius: ${theme.corner}px;
  color: inherit;
  text-decoration: none;
  white-space-collapse: preserve-breaks;
}
.k-nav > .part-place[aria-current="page"] {
  background: var(--tint);
}
.k-nav > .part-place:hover {
  text-decoration: underline;
}`,
};
