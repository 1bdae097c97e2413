/**
 * Names of attributes such as `part(thumb).background`: XML knows no brackets in a name (XML 1.0 §2.3), so they are read with
 * a mark that a name may have in their place. A text keeps its length, so places in it stay.
 */

const mark = '\u00b7';

/** Stretches of a text that are no names of attributes: comments, CDATA, words between tags, quoted values. */
const stretches = /<!--[\s\S]*?-->|<!\[CDATA\[[\s\S]*?\]\]>|"[^"]*"|'[^']*'|>[^<]*/g;
const part = /\bpart\(([\w-]*)\)/g;

/** A text of XML with marks in place of the brackets of parts. */
export function withMarks(text: string): string {
  if (!text.includes('part(')) return text;
  let made = '';
  let from = 0;
  for (const match of text.matchAll(stretches)) {
    made += text.slice(from, match.index).replaceAll(part, `part${mark}$1${mark}`) + match[0];
    from = match.index + match[0].length;
  }
  return made + text.slice(from).replaceAll(part, `part${mark}$1${mark}`);
}

/** A name as attributes have it. */
export const withoutMarks = (name: string): string =>
  name.replace(new RegExp(`\\bpart${mark}([\\w-]*)${mark}`), 'part($1)');
