/** The icons of a page, each drawn once, as a symbol (SVG 2 §5.5) that the elements of icons refer to. */
import { iconShapes } from '../icons/icon-set.ts';
import { symbolId } from '../icons/symbol-id.ts';
import { iconStrokes } from '../kinds/drawings.ts';
import { setAttributes, type TreeElement } from './element-tree.ts';

/** The ids of the symbols that elements refer to. */
function* referred({ tag, attributes, inside }: TreeElement): Generator<string> {
  if (tag === 'use')
    for (const [name, value] of attributes) if (name === 'href') yield String(value).slice(1);
  if (typeof inside !== 'string') for (const child of inside) yield* referred(child);
}

/**
 * The element that holds the symbols, for the end of the page's body; undefined where the page has no icons.
 *
 * @param screens all elements of the page.
 * @param asked names of icons that the page may ask for while it runs.
 */
export function iconSymbols(
  screens: readonly TreeElement[],
  asked: readonly string[],
): TreeElement | undefined {
  const written = new Set(screens.flatMap((screen) => [...referred(screen)]));
  const icons = new Set([...[...written].map((id) => id.slice(symbolId('').length)), ...asked]);
  if (icons.size === 0) return undefined;
  return {
    tag: 'svg',
    attributes: setAttributes({ class: 'page-icons', 'aria-hidden': 'true' }),
    inside: [...icons].toSorted().map((icon) => ({
      tag: 'symbol',
      attributes: setAttributes({ id: symbolId(icon), viewBox: '0 0 24 24', ...iconStrokes }),
      inside: iconShapes(icon).map(([tag, attributes]) => ({
        tag,
        attributes: setAttributes(attributes),
        inside: [],
      })),
      oneLine: true,
    })),
  };
}
