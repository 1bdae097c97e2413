/**
 * The words of a page in its other languages: a file a language, which the page asks for when somebody reads it. A page is the
 * same in all of them but for its words, so a file holds what differs: texts of elements by number, and parts of the
 * program.
 */
import { isRightToLeft } from '../document/locale.ts';
import type { Project } from '../document/types.ts';
import { languageOf } from '../expression/view-names.ts';
import { differenceOf } from '../runtime/difference.ts';
import type { PageLanguages, PageWords, Program } from '../runtime/program.ts';
import { inLocale } from '../words/in-locale.ts';
import type { TreeElement } from './element-tree.ts';

/** Marks elements whose words differ: `text:3 aria-label:4`, what of it and under which number. */
export const wordsMark = 'data-words';

/** A project in each language that its page has beside the one of its source; none where it is made in one language only. */
export function translationsOf(project: Project): ReadonlyMap<string, Project> {
  const [first, ...others] = project.locales ?? [];
  if (!first || languageOf(project).toLowerCase() !== first.tag.toLowerCase()) return new Map();
  return new Map(others.map(({ tag }) => [tag, inLocale(project, tag)]));
}

/** @param turned everything reads from the right, whatever the language. */
export function pageLanguages(project: Project, turned: boolean): PageLanguages {
  const { id, name, locales = [] } = project;
  return {
    of: id ?? name,
    tags: Object.fromEntries(
      locales.map(({ tag }, index) => [
        tag,
        turned || (index > 0 && isRightToLeft(tag)) ? 'rtl' : ('ltr' as const),
      ]),
    ),
  };
}

/** The file of a language beside the page. */
export const wordsFile = (tag: string): string => `words/${tag}.js`;

/** Numbers texts: what is the same in every language is one. */
class Numbering {
  readonly #known = new Map<string, number>();
  /** By number, the text in each language but that of the source. */
  readonly texts: (readonly string[])[] = [];

  of(source: string, others: readonly string[]): number {
    const written = JSON.stringify([source, ...others]);
    const known = this.#known.get(written) ?? this.texts.push(others) - 1;
    this.#known.set(written, known);
    return known;
  }
}

/** Attributes that hold no words: rules and names, which first values may tell apart. */
const wordless: ReadonlySet<string> = new Set(['class', 'style']);

const attributeOf = ({ attributes }: TreeElement, name: string): string | undefined => {
  const value = attributes.find(([each]) => each === name)?.[1];
  return typeof value === 'string' ? value : undefined;
};

/** Texts of an element in each language, unless one of them has none, or all are the same. */
function differing(source: string, others: readonly (string | undefined)[]): readonly string[] | undefined {
  const texts = others.filter((each) => each !== undefined);
  return texts.length === others.length && texts.some((each) => each !== source) ? texts : undefined;
}

function marked(element: TreeElement, others: readonly TreeElement[], numbering: Numbering): TreeElement {
  const marks: string[] = [];
  const mark = (what: string, source: string, found: readonly (string | undefined)[]) => {
    const texts = differing(source, found);
    if (texts) marks.push(`${what}:${numbering.of(source, texts)}`);
  };
  const { inside, attributes } = element;
  if (typeof inside === 'string')
    mark(
      'text',
      inside,
      others.map((each) => (typeof each.inside === 'string' ? each.inside : undefined)),
    );
  for (const [name, value] of attributes)
    if (typeof value === 'string' && !wordless.has(name))
      mark(
        name,
        value,
        others.map((each) => attributeOf(each, name)),
      );
  const children = others.map((each) => each.inside);
  const made =
    typeof inside === 'string'
      ? inside
      : inside.map((child, index) => {
          const same = children.flatMap((each) => (typeof each === 'string' ? [] : (each[index] ?? [])));
          return same.length === others.length && same.every(({ tag }) => tag === child.tag)
            ? marked(child, same, numbering)
            : child;
        });
  return {
    ...element,
    inside: made,
    attributes: marks.length === 0 ? attributes : [...attributes, [wordsMark, marks.join(' ')]],
  };
}

/**
 * Elements with marks where their words differ.
 *
 * @param others the same elements in each other language.
 * @returns them, and for each of those languages its texts by number.
 */
export function withWordsMarked(
  elements: readonly TreeElement[],
  others: readonly (readonly TreeElement[])[],
): { readonly elements: readonly TreeElement[]; readonly texts: readonly (readonly string[])[] } {
  const numbering = new Numbering();
  const made = elements.map((element, index) =>
    marked(
      element,
      others.flatMap((each) => each[index] ?? []),
      numbering,
    ),
  );
  return {
    elements: made,
    texts: others.map((_, language) => numbering.texts.map((texts) => texts[language] ?? '')),
  };
}

/** The parts of a program that hold words, as its script has them. */
type Worded = Pick<Program, 'screens' | 'state'>;

/** The content of a language's file. @param translated the same program in that language. */
export function pageWords(texts: readonly string[], source: Worded, translated: Worded): PageWords {
  const held = translated.state.filter(
    ({ initial }, index) => differenceOf(source.state[index]?.initial, initial) !== undefined,
  );
  return {
    texts,
    screens: differenceOf(source.screens, translated.screens) ?? {},
    ...(held.length > 0
      ? { state: Object.fromEntries(held.map(({ name, initial }) => [name, initial])) }
      : {}),
  };
}
