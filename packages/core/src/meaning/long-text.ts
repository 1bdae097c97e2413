/**
 * A trial locale that makes every text longer and gives it accents: what is cut off, or not taken from the words of the
 * document, shows at once. Expressions stay as they are.
 */

import { type Control, inForce, type Project } from '../document/types.ts';
import { mapWords } from '../expression/template.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { Property } from '../kinds/kind.ts';
import { expandedProject } from '../reuse/expand.ts';
import { saysEntries, wordProperties } from '../words/places.ts';

/** The name under which it can be asked for where a locale is. */
export const longTextLocale = 'x-long';

/** By how much texts grow. */
const growth = 0.35;

const accents: Readonly<Record<string, string>> = {
  A: 'Á',
  C: 'Ç',
  D: 'Ď',
  E: 'É',
  I: 'Í',
  N: 'Ñ',
  O: 'Ó',
  R: 'Ř',
  S: 'Š',
  U: 'Ú',
  Y: 'Ý',
  Z: 'Ž',
  a: 'á',
  c: 'ç',
  d: 'ď',
  e: 'é',
  i: 'í',
  n: 'ñ',
  o: 'ó',
  r: 'ř',
  s: 'š',
  u: 'ú',
  y: 'ý',
  z: 'ž',
};

const vowel = /[aeiouyáéíóúý]/i;

/**
 * A text with accents, about 35 % longer: vowels are said twice, and what is missing then is added to its last letter.
 *
 * @param text words without expressions.
 */
export function lengthened(text: string): string {
  const letters = [...text].filter((sign) => /\p{L}/u.test(sign)).length;
  let more = Math.ceil(letters * growth);
  let longer = '';
  for (const sign of text) {
    const accented = accents[sign] ?? sign;
    longer += accented;
    if (more > 0 && vowel.test(sign)) {
      longer += accented.toLowerCase();
      more--;
    }
  }
  return more > 0 ? longer.replace(/\p{L}(?=\P{L}*$)/u, (last) => last + 'ó'.repeat(more)) : longer;
}

function longProperty(property: Property, text: string): string {
  if (wordProperties.has(property.name)) return mapWords(text, lengthened) ?? text;
  if (!saysEntries(property) || text.includes('{')) return text;
  return text
    .split('|')
    .map((entry) => {
      const colon = entry.indexOf(':');
      const [kept, said] =
        colon < 0
          ? [entry.trim(), entry.trim()]
          : [entry.slice(0, colon).trim(), entry.slice(colon + 1).trim()];
      return `${kept}: ${lengthened(said)}`;
    })
    .join(' | ');
}

/** A project with all its texts lengthened; controls without texts stay the same objects. */
export function longTexts(project: Project): Project {
  const visit = (control: Control): Control => {
    const known = kindOf(control).properties;
    let changed = false;
    const props: Record<string, Control['props'][string]> = {};
    for (const [name, value] of Object.entries(control.props)) {
      const text = inForce(value);
      const word = name.slice(name.lastIndexOf('.') + 1);
      const property = name.startsWith('on.') ? undefined : known.find((each) => each.name === word);
      const next = text !== undefined && property ? longProperty(property, text) : text;
      if (next !== text && next !== undefined) {
        props[name] = next;
        changed = true;
      } else props[name] = value;
    }
    const children = control.children.map(visit);
    const same = !changed && children.every((child, index) => child === control.children[index]);
    return same ? control : { ...control, props: changed ? props : control.props, children };
  };
  // Texts that instances give are lengthened where they stand in the end.
  const expanded = expandedProject(project);
  return {
    ...expanded,
    screens: expanded.screens.map(visit),
    ...(project.components ? { components: project.components.map(visit) } : {}),
  };
}
