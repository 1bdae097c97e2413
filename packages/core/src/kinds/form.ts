/** Fields that are sent together: nothing is sent while one of them is not valid. */
import { flagType } from '../document/property-types.ts';
import { arrangedContent, arrangingAlong } from './arrangement.ts';
import type { Kind, Property } from './kind.ts';

/** Something that a form knows of itself, for a state variable to hold. */
const known = (name: 'valid' | 'changed', label: string): Property => ({
  name,
  label,
  group: 'data',
  type: flagType,
  effect: 'behaviour',
  perBand: false,
  twoWay: ['boolean'],
  page: { as: 'form', name },
});

export const form: Kind = {
  name: 'form',
  label: 'Form',
  group: 'arrange',
  purpose: 'Fields that are sent together, once all of them are valid.',
  findBy: ['fields', 'submit', 'send', 'save', 'questions', 'validate', 'entry'],
  container: true,
  properties: [known('valid', 'Valid'), known('changed', 'Changed'), ...arrangingAlong('column')],
  // Sent by a button that submits, or by Enter in a field (HTML §4.10.21.2).
  events: [{ name: 'submit', label: 'On submit', dom: 'submit' }],
  starter: { gap: '16' },
  inside: (values) => ({ content: arrangedContent(values) }),
  // The page tells what is not valid itself, beside the fields and in their own words.
  element: () => ({ tag: 'form', attributes: { novalidate: true } }),
  css: `.k-form {
  display: flex;
  flex-direction: column;
}`,
};
