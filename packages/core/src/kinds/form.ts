/** Fields that are sent together: nothing is sent while one of them is not valid. */
import { arrangedContent, arrangingAlong, likeManner } from './arrangement.ts';
import { known } from './field.ts';
import type { Kind, Manner } from './kind.ts';

export const manner: Manner = likeManner;

export const form: Kind = {
  name: 'form',
  label: 'Form',
  group: 'arrange',
  purpose: 'Fields that are sent together, once all of them are valid.',
  glyph: 'text-cursor-input',
  findBy: ['fields', 'submit', 'send', 'save', 'questions', 'validate', 'entry'],
  container: true,
  manner,
  properties: [
    known('valid', 'Valid', 'valid'),
    known('changed', 'Changed', 'changed'),
    ...arrangingAlong('column'),
  ],
  // Sent by a button that submits, or by Enter in a field (HTML §4.10.21.2).
  events: [{ name: 'submit', label: 'On submit', dom: 'submit' }],
  example: '<form><textField label="Name" /></form>',
  starter: { gap: '16' },
  inside: (values) => ({ content: arrangedContent(values) }),
  // The page tells what is not valid itself, beside the fields and in their own words.
  element: () => ({ tag: 'form', attributes: { novalidate: true } }),
  css: () => `.k-form {
  display: flex;
  flex-direction: column;
}`,
};
