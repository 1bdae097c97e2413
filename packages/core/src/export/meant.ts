/**
 * Elements that say what they mean where a box alone says nothing: sections with headings (HTML §4.3.3), headers (§4.3.8),
 * names with values (§4.4.9).
 */
import type { TreeElement } from './element-tree.ts';

type Inside = readonly TreeElement[];

/**
 * An element with another tag, where it is a box that says nothing yet: what is pressed, or has a role, stays what it is.
 */
export const asTag = (made: TreeElement, tag: string): TreeElement =>
  (made.tag === 'div' || made.tag === 'section') && made.attributes.every(([name]) => name !== 'role')
    ? { ...made, tag }
    : made;

const childrenOf = ({ inside }: TreeElement): Inside => (typeof inside === 'string' ? [] : inside);

/** The level of a heading; undefined for what is none. */
const levelOf = ({ tag }: TreeElement): number | undefined =>
  /^h[1-6]$/.test(tag) ? Number(tag.slice(1)) : undefined;

function* allIn(element: TreeElement): Generator<TreeElement> {
  yield element;
  for (const child of childrenOf(element)) yield* allIn(child);
}

/** Levels of the headings in an element. */
const levelsIn = (element: TreeElement): number[] =>
  [...allIn(element)].flatMap((each) => levelOf(each) ?? []);

/** What a section holds more than its beginning: lists, tables, drawings, things to fill in. */
const contents = new Set([
  'ul',
  'dl',
  'form',
  'fieldset',
  'figure',
  'img',
  'input',
  'select',
  'textarea',
  'nav',
]);
const holdsContents = (element: TreeElement): boolean =>
  [...allIn(element)].some(
    ({ tag, attributes }) => contents.has(tag) || attributes.some(([, value]) => value === 'table'),
  );

/** A header is none inside another one. */
const plain = (element: TreeElement): TreeElement => ({
  ...element,
  tag: element.tag === 'header' || element.tag === 'section' ? 'div' : element.tag,
  inside: typeof element.inside === 'string' ? element.inside : element.inside.map(plain),
});

/**
 * A box that a heading begins is a section. One that begins with a box like that, of words and what is pressed only, has it
 * as its header, where what follows is headed by lower levels only: cards beside each other are not headed by the first.
 */
export function asSection(made: TreeElement): TreeElement {
  const [first, ...others] = childrenOf(made);
  if (!first || others.length === 0) return made;
  if (levelOf(first)) return asTag(made, 'section');
  const [level, ...more] = first.tag === 'section' ? levelsIn(first) : [];
  if (level === undefined || more.length > 0 || holdsContents(first)) return made;
  if (others.some((other) => levelsIn(other).some((each) => each <= level))) return made;
  return asTag({ ...made, inside: [asTag(plain(first), 'header'), ...others] }, 'section');
}

/** Words that are nothing else: what is pressed has a role. */
const isWords = ({ tag, attributes }: TreeElement): boolean =>
  tag === 'p' && attributes.every(([name]) => name !== 'role');
const named = (list: Inside): Inside =>
  list.map((each, index) => ({ ...each, tag: index === 0 ? 'dt' : 'dd' }));

/**
 * What stands in a description list: boxes with a name and what follows it, or names and values in turn. Undefined where
 * something else stands there, so that it cannot be one.
 */
export function asPairs(inside: TreeElement['inside']): Inside | undefined {
  if (typeof inside === 'string' || inside.length === 0) return undefined;
  if (inside.every(isWords))
    return inside.length % 2 === 0
      ? inside.map((each, index) => ({ ...each, tag: index % 2 === 0 ? 'dt' : 'dd' }))
      : undefined;
  const boxes = inside.map((box) => {
    const parts = childrenOf(box);
    const isPair = box.tag === 'div' && parts.length > 1 && parts.every(isWords);
    return isPair ? { ...box, inside: named(parts) } : undefined;
  });
  return boxes.every((box) => box !== undefined) ? boxes : undefined;
}
