/** Finding words that people read, on all screens, and putting others in their place. Expressions are left alone. */
import { parameterGiven, propertyOf } from '../cascade/attributes.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce, type Project, treesOf } from '../document/types.ts';
import { mapWords } from '../expression/template.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { kindIn } from '../reuse/instance-kinds.ts';
import type { Step } from './step.ts';

/** A value in which something was found. */
export interface TextPlace {
  readonly screen: Control;
  readonly control: Control;
  readonly attribute: string;
  readonly before: string;
  readonly after: string;
  /** How often it is in there. */
  readonly count: number;
}

export interface TextSearch {
  readonly find: string;
  readonly replace: string;
  readonly matchCase: boolean;
  /** Not as a part of a longer word. */
  readonly wholeWords: boolean;
}

/**
 * @returns the places in the order of screens and trees; none for an empty search. A value that is not well formed is no
 *   place.
 */
export function textPlaces(project: Project, search: TextSearch): TextPlace[] {
  const pattern = patternOf(search);
  if (!pattern) return [];
  return treesOf(project).flatMap((screen) =>
    [...walk(screen)].flatMap((control) =>
      Object.entries(control.props).flatMap(([attribute, value]): TextPlace[] => {
        const wanted =
          parameterGiven(kindOf(control), attribute) === undefined ? propertyOf(attribute) : attribute;
        const property = kindIn(project, control).properties.find(({ name }) => name === wanted);
        const before = inForce(value);
        if (property?.type.field !== 'words' || before === undefined || attribute.endsWith('.bind'))
          return [];
        const found = replaced(before, pattern, search.replace);
        return found.count > 0 ? [{ screen, control, attribute, before, ...found }] : [];
      }),
    ),
  );
}

/** The steps that put another text in place of each match. */
export const replaceSteps = (places: readonly TextPlace[]): Step[] =>
  places.map(({ control, attribute, after }) => ({
    type: 'set',
    control: control.id,
    property: attribute,
    value: after,
  }));

function patternOf({ find, matchCase, wholeWords }: TextSearch): RegExp | undefined {
  if (find === '') return undefined;
  const literal = find.replaceAll(/[.*+?^${}()|[\]\\]/g, '\\$&');
  const edge = (before: boolean) => (before ? '(?<![\\p{L}\\p{N}_])' : '(?![\\p{L}\\p{N}_])');
  return new RegExp(wholeWords ? `${edge(true)}${literal}${edge(false)}` : literal, matchCase ? 'gu' : 'giu');
}

/** A value with its words replaced; what stands in braces stays as it is. */
function replaced(text: string, pattern: RegExp, by: string): { after: string; count: number } {
  let count = 0;
  const after = mapWords(text, (words) =>
    words.replaceAll(pattern, () => {
      count++;
      return by;
    }),
  );
  return after === undefined ? { after: text, count: 0 } : { after, count };
}
