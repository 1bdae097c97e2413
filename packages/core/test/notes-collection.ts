/** A collection that only tests have: notes, as the next collections will be added. */
import type { Collection } from '../src/collections/collection.ts';

export interface Note {
  readonly name: string;
  readonly words: string;
  /** The state variable that it is about. */
  readonly about?: string;
}

export const notes: Collection<Note> = {
  id: 'notes',
  word: 'note',
  least: 0,
  most: 10,
  optional: true,
  fields: ['name', 'words', 'about'],
  keyOf: ({ name }) => name,
  keyProblem: (key) => (/^\w{1,20}$/.test(key) ? undefined : 'A note is called by one word.'),
  fault: (note) =>
    typeof (note as Note).words === 'string' ? undefined : { path: 'words', message: 'A note has no words.' },
  empty: (name) => ({ name, words: '' }),
  rekeyed: (note, name) => ({ ...note, name }),
  uses: () => [],
};
