/**
 * The styles that values give as a page is opened (how far a meter is filled, what is hidden at first), as rules of the
 * stylesheet: a page with a strict policy takes no `style` attributes (CSP 3 §8.2). An element of such a rule has its class,
 * which the page's script takes away when it sets the values itself.
 */
import { type FirstValue, firstValueClass } from '../css/first-value.ts';
import type { TreeElement } from './element-tree.ts';

/** Declarations, as a `style` attribute has them, by the class of their elements. */
export type FirstValues = Map<FirstValue, string>;

/**
 * A tree of elements with classes in place of their `style` attributes.
 *
 * @param found takes what the classes stand for; the same declarations share one.
 */
export function withFirstValues(element: TreeElement, found: FirstValues): TreeElement {
  const { inside, attributes } = element;
  const style = attributes.find(([name]) => name === 'style')?.[1];
  return {
    ...element,
    attributes: typeof style === 'string' ? classed(attributes, classFor(style, found)) : attributes,
    inside: typeof inside === 'string' ? inside : inside.map((child) => withFirstValues(child, found)),
  };
}

function classFor(style: string, found: FirstValues): FirstValue {
  for (const [name, known] of found) if (known === style) return name;
  const name = firstValueClass(found.size + 1);
  found.set(name, style);
  return name;
}

function classed(attributes: TreeElement['attributes'], added: string): TreeElement['attributes'] {
  const others = attributes.filter(([name]) => name !== 'style');
  const has = others.some(([name]) => name === 'class');
  if (!has) return [['class', added], ...others];
  return others.map(([name, value]) => (name === 'class' ? [name, `${value} ${added}`] : [name, value]));
}

/** The rules of a screen's first values. They win over those of its controls, which begin with classes. */
export function firstValueRules(screenId: string, found: FirstValues): string {
  if (found.size === 0) return '';
  const rules = [...found].map(
    ([name, style]) => `#${screenId} .${name} {\n  ${style.split('; ').join(';\n  ')};\n}\n`,
  );
  return `/* What is so as ${screenId} is opened; the script goes on from there. */\n${rules.join('\n')}`;
}
