/** The words of a project: texts that people read or hear, each with its place as key. */
import { effectiveNames } from '../document/names.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce, type Project, type StateVariable, treesOf } from '../document/types.ts';
import { actionsOf } from '../expression/names.ts';
import { parseStatements } from '../expression/parse.ts';
import { escapeBraces } from '../expression/template.ts';
import type { Kind, Property } from '../kinds/kind.ts';
import { entriesType } from '../property-types/index.ts';
import { kindIn } from '../reuse/instance-kinds.ts';
import { sharedKey, sharedVariable, sharedWords } from './shared.ts';

/** Properties whose values are read by people, and those whose entries are. */
export const wordProperties: ReadonlySet<string> = new Set([
  'text',
  'label',
  'caption',
  'hint',
  'placeholder',
  'message',
  'title',
  'alt',
  'unit',
  'leaving',
  'empty',
  'loading',
  'failed',
]);

const entryProperties: ReadonlySet<string> = new Set(['options', 'columns', 'labels']);

/** Whether the entries of a property are read by people: not the columns of a grid. */
export const saysEntries = ({ name, type }: Property): boolean =>
  type === entriesType && entryProperties.has(name);

/** A piece of an attribute's text that is read by people. */
export interface Piece {
  /** Behind the attribute in the key: the value of an entry, the number of a message; absent: all of the attribute. */
  readonly part?: string;
  readonly text: string;
  /** UTF-16 indexes into the attribute's text. */
  readonly span: readonly [from: number, to: number];
}

/** A text of a project at its control. */
export interface StandingWords extends Piece {
  /** `Tonight.heading.text`, `CheckIn.sleep.options.dorm`, `CheckIn.save.on.press.1`. */
  readonly key: string;
  /** The screen or component. */
  readonly tree: Control;
  readonly control: Control;
  readonly attribute: string;
}

/** Words that several places share. */
export interface SharedWords extends Piece {
  /** `words.save`. */
  readonly key: string;
  readonly part: string;
  readonly control?: undefined;
}

/** A text of a project. */
export type WordsPlace = StandingWords | SharedWords;

/** Whether a property of a kind holds words: by its name, or as a text that a component is given. */
const holdsWords = (kind: Kind, name: string): boolean => {
  const property = kind.properties.find((each) => each.name === name);
  if (property?.type.name !== 'text') return false;
  return wordProperties.has(name) || (kind.open === true && property.group === 'content');
};

/** The labels of entries: `dorm: Dormitory | twin: Twin`. What stands for itself is read, too. */
function entriesIn(text: string): Piece[] {
  const read = entriesType.read(text);
  if (!read.ok || text.includes('{')) return [];
  let at = 0;
  return text.split('|').flatMap((entry, index): Piece[] => {
    const from = at;
    at += entry.length + 1;
    const one = read.value[index];
    if (!one || one.label.trim() === '') return [];
    const start = from + Math.max(0, entry.lastIndexOf(one.label));
    return [{ part: one.value, text: one.label, span: [start, start + one.label.length] }];
  });
}

/** The words of messages in an event. */
function messagesIn(text: string): Piece[] {
  const read = parseStatements(text);
  if (!read.ok) return [];
  const messages = actionsOf(read.value).filter(({ name }) => name === 'message');
  return messages.flatMap(({ arguments: [words] }, index): Piece[] =>
    words?.type === 'literal' && typeof words.value === 'string' && words.span
      ? [{ part: String(index + 1), text: words.value, span: [words.span[0], words.span[1]] }]
      : [],
  );
}

/** Whether a text says something: not only expressions, signs and numbers. */
const saysSomething = (text: string): boolean => /\p{L}/u.test(text.replaceAll(/\{[^{}]*\}/g, ''));

/** The pieces of an attribute that are read by people. */
export function piecesOf(kind: Kind, attribute: string, text: string): readonly Piece[] {
  if (attribute.startsWith('on.')) return messagesIn(text);
  if (kind.properties.some((property) => property.name === attribute && saysEntries(property)))
    return entriesIn(text);
  if (!holdsWords(kind, attribute) || !saysSomething(text)) return [];
  return [{ text, span: [0, text.length] }];
}

function textsIn(project: Project, tree: Control): StandingWords[] {
  const names = effectiveNames(tree);
  /** What it is called for those who build; nobody reads it who uses the application. */
  const isComponent = !project.screens.includes(tree);
  return [...walk(tree)].flatMap((control) => {
    const kind = kindIn(project, control, tree.name);
    const place = control === tree ? (tree.name ?? '') : `${tree.name}.${names.get(control.id)}`;
    return Object.entries(control.props).flatMap(([attribute, value]) => {
      const text = inForce(value);
      if (text === undefined || (isComponent && control === tree && attribute === 'title')) return [];
      return piecesOf(kind, attribute, text).map((piece) => ({
        ...piece,
        key: [place, attribute, ...(piece.part === undefined ? [] : [piece.part])].join('.'),
        tree,
        control,
        attribute,
      }));
    });
  });
}

/** The texts of a tree, with what else they depend on. */
interface OfTree {
  readonly components: Project['components'];
  readonly isComponent: boolean;
  readonly texts: readonly StandingWords[];
}

const ofTrees = new WeakMap<Control, OfTree>();

function textsOfTree(project: Project, tree: Control): readonly StandingWords[] {
  const { components } = project;
  const isComponent = !project.screens.includes(tree);
  const before = ofTrees.get(tree);
  if (before && before.components === components && before.isComponent === isComponent) return before.texts;
  const texts = textsIn(project, tree);
  ofTrees.set(tree, { components, isComponent, texts });
  return texts;
}

/** All texts, by those of the first tree: the same list as long as no tree has other ones. */
const all = new WeakMap<
  readonly WordsPlace[],
  { readonly parts: readonly (readonly WordsPlace[])[]; readonly texts: readonly WordsPlace[] }
>();

const ofVariables = new WeakMap<StateVariable, readonly SharedWords[]>();

/** The words that a project's places share. */
function textsShared(project: Project): readonly SharedWords[] {
  const variable = sharedVariable(project);
  if (!variable) return nothing;
  let texts = ofVariables.get(variable);
  if (!texts) {
    texts = sharedWords(project).map(([name, text]) => ({
      key: sharedKey(name),
      part: name,
      text,
      span: [0, text.length],
    }));
    ofVariables.set(variable, texts);
  }
  return texts;
}

const nothing: readonly never[] = [];

/** All texts of a project, screen by screen, components and shared words behind them; the same list as long as no text has changed. */
export function textsOf(project: Project): readonly WordsPlace[] {
  const parts: (readonly WordsPlace[])[] = [
    ...treesOf(project).map((tree) => textsOfTree(project, tree)),
    textsShared(project),
  ];
  const [first = nothing] = parts;
  const before = all.get(first);
  if (before?.parts.length === parts.length && parts.every((part, index) => part === before.parts[index]))
    return before.texts;
  const texts = parts.flat();
  all.set(first, { parts, texts });
  return texts;
}

/** An attribute's text with another one in place of a piece, written as that piece is written. */
export function withPieceText(attribute: string, text: string, piece: Piece, next: string): string {
  const [from, to] = piece.span;
  const written = attribute.startsWith('on.')
    ? JSON.stringify(next)
    : piece.part === undefined
      ? next
      : // An entry that stands for itself keeps its value; nothing in it is worked out.
        `${/:\s*$/.test(text.slice(0, from)) ? '' : `${piece.part}: `}${escapeBraces(next.replaceAll('|', '/'))}`;
  return text.slice(0, from) + written + text.slice(to);
}
