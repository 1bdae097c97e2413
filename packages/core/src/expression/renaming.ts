/** Names in attributes: which there are, and the same text with one of them changed. */
import type { Attribute } from '../cascade/attributes.ts';
import { readTarget } from './bind-target.ts';
import {
  type NameUse,
  namesOf,
  namesOfStatements,
  namesOfTemplate,
  type PointerUse,
  pointersOf,
} from './names.ts';
import { parseStatements } from './parse.ts';
import { hasExpression, parseTemplate } from './template.ts';

/** An event's text changed, and likewise what is turned off in it. */
export const inEvent = (text: string, change: (text: string) => string): string =>
  change(text).replace(
    /(\/\* off: )([\s\S]*?)(\s*\*\/)/g,
    (_, open: string, inner: string, close: string) => `${open}${change(inner)}${close}`,
  );

/** Names that an attribute's text reads or writes; none where it cannot be read. */
export function usesIn(meaning: Attribute, text: string): NameUse[] {
  if (meaning.role === 'bind') {
    const read = readTarget(text);
    if (!read.ok) return [];
    const { name, span, path } = read.value;
    return [{ name, span, written: true }, ...path.flatMap(namesOf)];
  }
  if (meaning.role === 'event') {
    const read = parseStatements(text);
    return read.ok ? namesOfStatements(read.value) : [];
  }
  const read = hasExpression(text) ? parseTemplate(text) : undefined;
  return read?.ok ? namesOfTemplate(read.value) : [];
}

/** An event in which a screen or control has another name. */
export const pointedElsewhere = (text: string, what: PointerUse['what'], from: string, to: string): string =>
  inEvent(text, (part) => {
    const read = parseStatements(part);
    if (!read.ok) return part;
    return pointersOf(read.value)
      .filter((use) => use.what === what && use.name === from)
      .toSorted((a, b) => b.span[0] - a.span[0])
      .reduce((result, { span: [start, end] }) => {
        const quote = result.charAt(start);
        return `${result.slice(0, start)}${quote}${to}${quote}${result.slice(end)}`;
      }, part);
  });
