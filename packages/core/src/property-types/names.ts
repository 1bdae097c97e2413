/** Types of names: of icons, screens, pictures, items. */
import { nameProblem, valueNameProblem } from '../document/names.ts';
import { bad, good, nameAlone, type PropertyType } from './property-type.ts';

/** The name of an icon; which there are is known where its shapes are. */
export const iconType: PropertyType<string> = {
  name: 'icon',
  field: 'icon',
  refers: nameAlone('icon'),
  ranged: ['circle-check', 'triangle-alert', 'octagon-alert'],
  expects: 'the name of an icon, such as `bed` or `arrow-right`',
  words: [],
  read(text) {
    const plain = text.trim();
    return /^[a-z\d]+(-[a-z\d]+)*$/.test(plain) ? good(plain, plain) : bad(text, this.expects);
  },
};

/** Where a link leads: a screen of the project, or an address that opens elsewhere. */
export const destinationType: PropertyType<string> = {
  name: 'destination',
  refers: nameAlone('screen', (text) => nameProblem(text) === undefined),
  expects: 'the name of a screen, or an address that begins with `https://`, `http://`, `mailto:` or `tel:`',
  words: [],
  read(text) {
    const plain = text.trim();
    return nameProblem(plain) === undefined || /^(https?:\/\/|mailto:|tel:)[^\s]+$/i.test(plain)
      ? good(plain, plain)
      : bad(text, this.expects);
  },
};

/** The name that stands for an item inside a repeat. */
export const identifierType: PropertyType<string> = {
  name: 'name',
  expects: 'a name',
  words: [],
  read(text) {
    const plain = text.trim();
    const problem = valueNameProblem(plain);
    return problem ? { ok: false, message: problem } : good(plain, plain);
  },
};

/** The file name of a picture of the project. */
export const pictureType: PropertyType<string> = {
  name: 'picture',
  field: 'picture',
  refers: nameAlone('picture'),
  expects: 'the file name of a picture of the project',
  words: [],
  read(text) {
    const plain = text.trim();
    // A picture that a person chose.
    if (/^(?:blob:|data:image\/)[^\s"'<>]+$/.test(plain)) return good(plain, plain);
    return /^[^/\\<>"'&\s][^/\\<>"'&]*$/.test(plain) && !plain.includes('..')
      ? good(plain, plain)
      : bad(text, 'the file name of a picture of the project');
  },
};

export const names = [destinationType, iconType, pictureType];
