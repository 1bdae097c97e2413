/** A yes or no, with its label beside it. */
import { feltIn } from './feel.ts';
import { checkBox, checkCss, checkFeelCss } from './options.ts';
import { isChecked, ticked } from './ticked.ts';

export const checkbox = ticked({
  name: 'checkbox',
  label: 'Checkbox',
  purpose: 'Asks for a yes or no.',
  glyph: 'square-check',
  target: 'least',
  findBy: ['yes no', 'tick', 'agree', 'option', 'boolean', 'accept', 'terms'],
  on: 'Checked',
  starter: { label: 'Label' },
  lookParts: [{ name: 'box', label: 'Box', selector: ' > .part-input' }],
  box: (values, make) =>
    checkBox(make, { round: false, checked: isChecked(values), part: 'box', felt: feltIn(values) }),
  input: { classes: ['part-check'] },
  sharedCss: [checkCss],
  css: () => checkFeelCss('.k-checkbox'),
});
