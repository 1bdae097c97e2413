/**
 * The languages of a page: which one somebody reads, and how the page comes to be in it. What differs from the page's own
 * words lies in a file a language, which is asked for when it is wanted. Typed texts, choices and state stay as they are.
 */
import {
  differently,
  languageFor,
  type PageWords,
  type Program,
  type ScreenProgram,
  type StateValue,
} from '@hovrin/core/runtime';
import type { ScreenElement } from '../on-screen.ts';
import { tell, tellProblem, trial } from '../trial.ts';
import type { Hold, Piece } from './piece.ts';

declare const hovrinPage: { start(program: Program): void; words(tag: string, words: PageWords): void };

const mark = 'data-words';

/** A node with all templates in it, those in templates, too. */
const rootsIn = (node: ParentNode): ParentNode[] => [
  node,
  ...[...node.querySelectorAll('template')].flatMap(({ content }) => rootsIn(content)),
];

/** The marks of an element: `text` or an attribute, each with its number. */
const marksOf = (element: Element): (readonly [what: string, number: number])[] =>
  (element.getAttribute(mark) ?? '').split(' ').map((each) => {
    const at = each.lastIndexOf(':');
    return [each.slice(0, at), Number(each.slice(at + 1))];
  });

/** Whether a text is a tag as browsers take it (ECMA-402 §6.2.1). */
function isTag(text: string): boolean {
  try {
    return Intl.getCanonicalLocales(text).length > 0;
  } catch {
    return false;
  }
}

const storage = (): Pick<Storage, 'getItem' | 'setItem'> => trial?.storage ?? localStorage;
const keyOf = ({ languages }: Program): string => `hovrin ${languages?.of} language`;

/** Reads, or writes, the kept choice. Where storage is forbidden or full nothing is kept. */
function kept(program: Program, text?: string): string | null {
  if (!program.languages) return null;
  try {
    if (text === undefined) return storage().getItem(keyOf(program));
    storage().setItem(keyOf(program), text);
  } catch {}
  return null;
}

/** Languages that somebody wants, the dearest first: by the address, by an earlier choice, by the browser. */
function wanted(program: Program): readonly string[] {
  const asked = new URLSearchParams(location.search).get('locale');
  const [said] = [asked, kept(program)].filter((each) => each && isTag(each));
  // Where it is tried out it is in the language of its source, until somebody chooses another one there.
  return said ? [said] : trial ? [document.documentElement.lang] : navigator.languages;
}

/** The words of a page, as it has them by itself and in other languages. */
class Words {
  readonly #own = new Map<number, string>();
  readonly #screens: readonly ScreenProgram[];
  readonly #roots: readonly ParentNode[];
  readonly #coming = new Map<string, (words: PageWords) => void>();
  readonly #known = new Map<string, Promise<PageWords>>();
  /** First values, in the source's language, of variables that hold words. */
  readonly #held = new Map<string, StateValue>();
  /** Gives a variable its words in the language, once the page runs. */
  assign = (_name: string, _value: StateValue): void => {};
  readonly #tags: readonly string[];
  readonly #source: string;

  constructor(private readonly program: Program) {
    this.#tags = Object.keys(program.languages?.tags ?? {});
    this.#source = this.#tags[0] ?? document.documentElement.lang;
    this.#screens = program.screens.map((screen) => ({ ...screen }));
    this.#roots = [...document.body.children].flatMap((each) => rootsIn(each));
    for (const element of this.#marked())
      for (const [what, number] of marksOf(element))
        this.#own.set(number, (what === 'text' ? element.textContent : element.getAttribute(what)) ?? '');
    hovrinPage.words = (tag, words) => this.#coming.get(tag)?.(words);
  }

  /** The language for those who want these. */
  languageFor(wanted: readonly string[]): string {
    return languageFor(this.#tags, wanted) ?? this.#source;
  }

  /** Elements with a mark: on the page, on screens that wait, and in dialogs that are open. */
  #marked(): Set<Element> {
    const roots = [...this.#roots, ...rootsIn(document.body)];
    return new Set(
      roots.flatMap((root) => [
        ...(root instanceof Element && root.hasAttribute(mark) ? [root] : []),
        ...root.querySelectorAll(`[${mark}]`),
      ]),
    );
  }

  /** @returns what differs in a language. @throws where its file does not come. */
  #file(tag: string): Promise<PageWords> {
    const known = this.#known.get(tag);
    if (known) return known;
    const coming = new Promise<PageWords>((resolve, reject) => {
      this.#coming.set(tag, resolve);
      const script = document.createElement('script');
      script.src = `words/${tag}.js`;
      script.onerror = () => {
        script.remove();
        this.#known.delete(tag);
        reject(new Error(`words/${tag}.js did not come.`));
      };
      script.onload = () => script.remove();
      document.head.append(script);
    });
    this.#known.set(tag, coming);
    return coming;
  }

  /** Says everything in a language. @returns whether it could. */
  async say(tag: string, isStillWanted: () => boolean): Promise<boolean> {
    let words: PageWords | undefined;
    try {
      words = tag === this.#source ? undefined : await this.#file(tag);
    } catch (error) {
      tellProblem(String(error));
      return false;
    }
    if (isStillWanted()) this.#put(tag, words);
    return isStillWanted();
  }

  #put(tag: string, words: PageWords | undefined): void {
    for (const element of this.#marked())
      for (const [what, number] of marksOf(element)) {
        const text = (words ? words.texts[number] : this.#own.get(number)) ?? '';
        if (what === 'text') element.textContent = text;
        else element.setAttribute(what, text);
      }
    const screens = differently(this.#screens, words?.screens ?? {}) as readonly ScreenProgram[];
    for (const [index, screen] of this.program.screens.entries()) Object.assign(screen, screens[index]);
    for (const variable of this.program.state) {
      const { name, initial } = variable;
      const own = this.#held.get(name) ?? initial;
      const said = words?.state && Object.hasOwn(words.state, name) ? words.state[name] : undefined;
      if (said === undefined && !this.#held.has(name)) continue;
      this.#held.set(name, own);
      Object.assign(variable, { initial: said ?? own });
      this.assign(name, said ?? own);
    }
    const { documentElement: root } = document;
    root.lang = tag;
    root.dir = this.program.languages?.tags[tag] ?? root.dir;
  }
}

let words: Words;
/** The language that the page is in, and what somebody wants to read. */
let language: string;
let locale: string;

const { start } = hovrinPage;
/** The page starts in its language: what it says as it begins is said in it. */
hovrinPage.start = (program) => {
  words = new Words(program);
  const all = wanted(program);
  locale = all[0] ?? document.documentElement.lang;
  const wish = words.languageFor(all);
  language = document.documentElement.lang;
  if (wish === language) start(program);
  else
    void words
      .say(wish, () => true)
      .then((isSaid) => {
        if (isSaid) language = wish;
        start(program);
      });
};

export const piece: Piece = (page, { program, runtime, views }) => {
  const hearing: Hold[] = [];
  views.set('View.locale', (hold) => hold(locale));
  views.set('View.language', (hold) => {
    hearing.push(hold);
    hold(language);
  });
  if (!program.languages) return;
  words.assign = (name, value) => void runtime.assign(name, value);
  let isFirst = true;
  runtime.watch('View.locale', (value) => {
    if (isFirst || value === locale) {
      isFirst = false;
      return;
    }
    locale = String(value);
    kept(program, locale);
    // Where the page is tried out at several sizes, they are in one language.
    if (trial?.hears() === false) tell({ type: 'hovrin-state', name: 'View.locale', value: locale });
    const wish = words.languageFor([locale]);
    if (wish === language) return;
    void words
      .say(wish, () => words.languageFor([locale]) === wish)
      .then((isSaid) => {
        if (!isSaid) return;
        language = wish;
        for (const hold of hearing) hold(wish);
        for (const each of page.querySelectorAll<ScreenElement>('.k-screen')) each.bindAnew?.();
        const shown = page.querySelector<HTMLElement>('body > .k-screen')?.dataset.name;
        page.title = program.screens.find(({ name }) => name === shown)?.title ?? page.title;
      });
  });
};
