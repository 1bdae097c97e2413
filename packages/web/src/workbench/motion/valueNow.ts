/** What a control holds of a property, as a key begins with it. */
import { allSaidOf, type Control, type Project, type Property, themeOf } from '@hovrin/core';

/** What properties are where nothing is said, as texts; all others begin at 0. */
const begins: Readonly<Record<string, string>> = {
  opacity: '1',
  scale: '1',
  shift: '0 0',
  background: 'none',
  shadow: 'none',
  'text-shadow': 'none',
  width: '100',
  height: '100',
  'border-style': 'solid',
  italic: 'false',
  underline: 'false',
  strike: 'false',
  uppercase: 'false',
  clip: 'false',
  aspect: '1',
  z: '1',
};

/** A plain text that the property can have; expressions are no part of a key. */
export function valueNow(project: Project, control: Control, property: Property): string {
  const theme = themeOf(project);
  const said = allSaidOf(control, property, { prefixes: [''], theme }).find(
    ({ text }) => !text.includes('{'),
  );
  return said?.text ?? begins[property.name] ?? '0';
}
