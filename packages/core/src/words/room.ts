/** The room of a text: its greatest length before anything on its screen is cut, covered or too wide. */
import { isWrong } from '../checks/measures.ts';
import { measuresOf } from '../checks/measuring.ts';
import { treeOfId, walk } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import type { ScreenView, View } from '../layout/screen-layout.ts';
import { type StandingWords, withPieceText } from './places.ts';

/** More characters than this are as good as any number. */
export const mostRoom = 400;

/** Words to measure with: the letters of the text itself, in its own words. */
function wordsLike(text: string): string {
  const letters = text.replaceAll(/\{[^{}]*\}/g, '').replaceAll(/[^\p{L}\p{M}\s]/gu, '');
  const words = letters.split(/\s+/).filter(Boolean);
  // A text of one word is one of several in other languages.
  return words.length > 1 ? words.join(' ') : `${words[0] ?? 'words'} ${words[0] ?? 'words'}`;
}

/** As many characters of words, from their beginning on, again and again; of one word where there are no spaces in it. */
function ofLength(words: string, characters: number): string {
  const all = [
    ...`${words}${words.includes(' ') ? ' ' : ''}`.repeat(Math.ceil(characters / words.length) + 1),
  ].slice(0, characters);
  // No space at its end: it would take no room.
  if (all.at(-1) === ' ') all[all.length - 1] = all[0] ?? 'w';
  return all.join('');
}

function withText(tree: Control, place: StandingWords, text: string): Control {
  if (tree.id === place.control.id) {
    const before = inForce(tree.props[place.attribute]) ?? '';
    return {
      ...tree,
      props: { ...tree.props, [place.attribute]: withPieceText(place.attribute, before, place, text) },
    };
  }
  const children = tree.children.map((child) => withText(child, place, text));
  return children.every((child, index) => child === tree.children[index]) ? tree : { ...tree, children };
}

/** Errors on a screen that has a text in place of another: names of checks with their controls. */
function wrongWith(
  view: ScreenView,
  project: Project,
  place: StandingWords,
  text: string,
  at: View,
): ReadonlySet<string> {
  const replaced = (tree: Control) => (tree.id === place.tree.id ? withText(tree, place, text) : tree);
  const { screens, components } = project;
  const next = {
    ...project,
    screens: screens.map(replaced),
    ...(components ? { components: components.map(replaced) } : {}),
  };
  const tree = treeOfId(next, place.tree.id) ?? place.tree;
  const layout = view.layOut(next, tree, at);
  const controls = new Map([...walk(tree)].map((control) => [control.id, control]));
  const measures = measuresOf(layout, { touch: false, controls });
  return new Set(
    measures.flatMap((measure) =>
      measure.severity === 'error' && isWrong(measure)
        ? `${measure.check} ${measure.control} ${measure.other ?? ''}`
        : [],
    ),
  );
}

/** The most characters of a text, and of a word in it; undefined: as many as one likes. */
export interface Room {
  readonly characters: number | undefined;
  readonly word: number | undefined;
}

/**
 * Measures the room of a text: the most characters, those of values that are worked out in it included.
 *
 * @param place of the project in the language that is looked at. @param at the size, and the direction of the language.
 * @returns about so many, for letters like its own.
 */
export function roomFor(view: ScreenView, project: Project, place: StandingWords, at: View): Room {
  const words = wordsLike(place.text);
  const before = wrongWith(view, project, place, ofLength(words, 1), at);
  const most = (letters: string) =>
    mostThat((characters) =>
      [...wrongWith(view, project, place, ofLength(letters, characters), at)].every((each) =>
        before.has(each),
      ),
    );
  const characters = most(words);
  const word = most(words.replaceAll(' ', ''));
  // A line that is not broken is one word.
  return { characters, word: word === characters ? undefined : word };
}

/** The greatest number up to the most for which something holds that holds for 1; undefined: for that, too. */
function mostThat(holds: (number: number) => boolean): number | undefined {
  if (holds(mostRoom)) return undefined;
  let [least, most] = [1, mostRoom];
  while (most - least > 1) {
    const middle = Math.floor((least + most) / 2);
    if (holds(middle)) least = middle;
    else most = middle;
  }
  return least;
}
