/** Reads of shared words: `words.save` in attributes and in expressions of variables. */
import { readAttribute } from '../cascade/attributes.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { namesOf } from '../expression/names.ts';
import { parseExpression } from '../expression/parse.ts';
import { usesIn } from '../expression/renaming.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { usesOfState } from '../meaning/state-uses.ts';
import { sharedName, sharedVariable } from './shared.ts';

/** Shared words as a text reads them. */
interface Read {
  readonly name: string;
  /** UTF-16 indexes of the name in the text. */
  readonly from: number;
  readonly to: number;
}

/** Shared words that an attribute reads. */
export interface SharedRead extends Read {
  readonly tree: Control;
  readonly control: Control;
  readonly attribute: string;
}

const behind = /^\s*\??\.\s*([A-Za-z_]\w*)/;

/** The names behind the dot of the variable. @param spans places of the variable's name in the text. */
function readsIn(text: string, spans: readonly (readonly [from: number, to: number])[]): Read[] {
  return spans.flatMap(([, end]) => {
    const [all, name] = behind.exec(text.slice(end)) ?? [];
    if (all === undefined || name === undefined) return [];
    const to = end + all.length;
    return [{ name, from: to - name.length, to }];
  });
}

/** All reads in attributes; none where the project shares no words. */
export function sharedReads(project: Project): readonly SharedRead[] {
  if (!sharedVariable(project)) return [];
  return usesOfState(project, sharedName).flatMap(({ screen, control, property }): SharedRead[] => {
    const text = inForce(control.props[property]);
    const meaning = readAttribute(kindOf(control), property, project.bands);
    if (text === undefined || typeof meaning === 'string') return [];
    const spans = usesIn(meaning, text).flatMap(({ name, span }) => (name === sharedName ? [span] : []));
    return readsIn(text, spans).map((read) => ({ ...read, tree: screen, control, attribute: property }));
  });
}

/** All reads in an expression that a variable follows. */
export function readsOfComputed(computed: string): readonly Read[] {
  const read = parseExpression(computed);
  return read.ok
    ? readsIn(
        computed,
        namesOf(read.value).flatMap(({ name, span }) => (name === sharedName ? [span] : [])),
      )
    : [];
}

/** How many places of a project read shared words. */
export const sharedUses = (project: Project, name: string): number =>
  sharedReads(project).filter((read) => read.name === name).length +
  project.state.reduce(
    (sum, { computed }) =>
      sum +
      (computed === undefined ? 0 : readsOfComputed(computed).filter((read) => read.name === name).length),
    0,
  );

/** A text in which shared words have another name. */
export const withReadsRenamed = (text: string, reads: readonly Read[], from: string, to: string): string =>
  reads
    .filter(({ name }) => name === from)
    .toSorted((a, b) => b.from - a.from)
    .reduce((result, read) => result.slice(0, read.from) + to + result.slice(read.to), text);
