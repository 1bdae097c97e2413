/**
 * Parts of controls for words that a control does not have, and will not have while its page runs: they are left out where
 * nothing is laid out by them.
 */
import { type Control, inForce } from '../document/types.ts';
import { hasExpression } from '../expression/template.ts';
import type { ChildAs, Kind, PageElement } from '../kinds/kind.ts';

const isElement = (entry: PageElement | number | ChildAs): entry is PageElement =>
  typeof entry !== 'number' && !('child' in entry);

/** Attributes that say by ids what names or describes an element (ARIA 1.2 §6.6). */
const naming = ['aria-labelledby', 'aria-describedby'] as const;

/** An element that is named by none of some ids any more. */
function unnamed(element: PageElement, ids: ReadonlySet<string>): PageElement {
  const { attributes } = element;
  const touched = naming.filter((name) => attributes?.[name] !== undefined);
  if (touched.length === 0) return element;
  const kept = touched.map((name) => [
    name,
    String(attributes?.[name])
      .split(' ')
      .filter((id) => !ids.has(id))
      .join(' '),
  ]);
  return { ...element, attributes: { ...attributes, ...Object.fromEntries(kept) } };
}

/** Classes of the parts that may be left out and whose words follow no expression. */
const stillParts = ({ props }: Control, { properties }: Kind): ReadonlySet<string> =>
  new Set(
    properties.flatMap(({ name, page }) =>
      page?.optional && page.part !== undefined && !hasExpression(inForce(props[name]) ?? '')
        ? [page.part]
        : [],
    ),
  );

/** The element of a control without its empty parts, and without what holds nothing but those. */
export function withoutEmptyParts(element: PageElement, control: Control, kind: Kind): PageElement {
  const still = stillParts(control, kind);
  if (still.size === 0) return element;
  const isEmpty = ({ classes, text }: PageElement): boolean =>
    text === '' && classes?.some((name) => still.has(name)) === true;
  const gone = new Set<string>();
  const without = (at: PageElement): PageElement => {
    if (!at.children) return at;
    const children = at.children.flatMap((entry): (PageElement | number | ChildAs)[] => {
      if (!isElement(entry)) return [entry];
      if (isEmpty(entry)) {
        gone.add(String(entry.attributes?.id));
        return [];
      }
      const rest = without(entry);
      return rest.children?.length === 0 && entry.children?.length !== 0 ? [] : [rest];
    });
    return { ...at, children };
  };
  const named = (at: PageElement): PageElement => {
    const children = at.children?.map((entry) => (isElement(entry) ? named(entry) : entry));
    return unnamed(children ? { ...at, children } : at, gone);
  };
  const rest = without(element);
  return gone.size === 0 ? rest : named(rest);
}
