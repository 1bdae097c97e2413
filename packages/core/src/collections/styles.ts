/** The project's styles: looks that many controls have in common. */
import { isRecord } from '../document/record.ts';
import { type Style, styleKey, styleNames } from '../document/style-set.ts';
import { walk } from '../document/tree.ts';
import { inForce, type Project, treesOf } from '../document/types.ts';
import { hasExpression } from '../expression/template.ts';
import { kindNamed } from '../kinds/catalogue.ts';
import { styleNameProblem, stylesOfKind } from '../meaning/style-values.ts';
import { attributeValueProblem, commentsProblem } from '../meaning/validate.ts';
import type { Collection, Fault, Use } from './collection.ts';

const fields = ['name', 'for', 'props', 'comments'] satisfies (keyof Style)[];

/** Most values of one style. */
const mostValues = 500;

function keyProblem(key: string): string | undefined {
  if (!key.startsWith(':')) return styleNameProblem(key);
  return kindNamed(key.slice(1)) ? undefined : `There is no kind \`${key.slice(1, 65)}\`.`;
}

function fault(style: unknown, project: Pick<Project, 'bands' | 'tokens'>): Fault | undefined {
  const at = (path: string, message: string): Fault => ({ path, message });
  if (!isRecord(style)) return at('', 'A style is no record.');
  const { name, for: only, props, comments } = style;
  if (name !== undefined && typeof name !== 'string') return at('name', 'The name of a style is no text.');
  if (only !== undefined && typeof only !== 'string') return at('for', 'The kind of a style is no text.');
  if (name === undefined && only === undefined)
    return at('name', 'A style has a name, or says which kind it is for.');
  const kind = stylesOfKind(only);
  if (!kind) return at('for', `There is no kind \`${String(only).slice(0, 64)}\`.`);
  const named = name === undefined ? undefined : styleNameProblem(name);
  if (named) return at('name', named);
  if (!isRecord(props)) return at('props', 'A style has no values.');
  const entries = Object.entries(props);
  if (entries.length > mostValues) return at('props', `A style has at most ${mostValues} values.`);
  for (const [attribute, value] of entries) {
    const problem = attributeValueProblem(kind, attribute, value, project);
    if (problem) return at('props', problem);
  }
  const about = comments === undefined ? undefined : commentsProblem({ before: comments });
  return about === undefined ? undefined : at('comments', about);
}

const renamedIn = (text: string, from: string, to: string): string =>
  hasExpression(text)
    ? text.replaceAll(/(["'`])([^"'`]*)\1/g, (whole, quote: string, inside: string) =>
        styleNames(inside).includes(from)
          ? `${quote}${inside.replaceAll(/\S+/g, (word) => (word === from ? to : word))}${quote}`
          : whole,
      )
    : text.replaceAll(/\S+/g, (word) => (word === from ? to : word));

/** Whether the text of a control's `style` names a style, in an expression's texts too. */
export const namesStyle = (text: string, name: string): boolean => renamedIn(text, name, `${name}-`) !== text;

function uses(project: Project, key: string): Use[] {
  const kind = key.startsWith(':') ? key.slice(1) : undefined;
  return treesOf(project).flatMap((screen) =>
    [...walk(screen)].flatMap((control) => {
      if (kind !== undefined) return [];
      const text = inForce(control.props.style);
      return text !== undefined && namesStyle(text, key) ? [{ screen, control, attribute: 'style' }] : [];
    }),
  );
}

export const styles: Collection<Style> = {
  id: 'styles',
  word: 'style',
  least: 0,
  most: 500,
  fields,
  parted: ['props'],
  optional: true,
  ownFile: true,
  keyOf: styleKey,
  keyProblem,
  fault,
  empty: (key) => (key.startsWith(':') ? { for: key.slice(1), props: {} } : { name: key, props: {} }),
  rekeyed: ({ name: _, for: only, ...rest }, key) =>
    key.startsWith(':')
      ? { ...rest, for: key.slice(1) }
      : { name: key, ...(only ? { for: only } : {}), ...rest },
  inAttribute: (_, [attribute, text], from, to) => [
    attribute,
    attribute === 'style' ? renamedIn(text, from, to) : text,
  ],
  uses,
};
