/**
 * Holds plain data against the shape of a control. Used where data comes in from outside: a file, a request, a
 * step of another window. What passes can be printed, read back, laid out, exported and run.
 */

import { readAttribute } from '../cascade/attributes.ts';
import { nameProblem } from '../document/names.ts';
import { isRecord } from '../document/record.ts';
import { type Control, inForce, type Project, type PropertyValue, type TreeList } from '../document/types.ts';
import { confinesProblem, confiningKind, kindNamed } from '../kinds/catalogue.ts';
import type { Kind } from '../kinds/kind.ts';
import { type AttributeContext, contextOf, readAttributeText } from './property-text.ts';

/** Most controls of one screen. */
export const mostControls = 20_000;
/** Deepest nesting of one screen. */
export const deepestNesting = 100;
/** Longest text of an attribute, in UTF-16 units. */
export const longestAttribute = 200_000;
/** Longest comment of the source, in UTF-16 units. */
export const longestComment = 20_000;
/** Most comments at one place. */
const mostComments = 1000;

const isText = (value: unknown): value is string => typeof value === 'string';

/** Characters that no XML file may have, not even as a reference (XML 1.0 §2.2), halves of pairs included. */
const notInXml =
  // biome-ignore lint/suspicious/noControlCharactersInRegex: these are the characters that are refused.
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

/** A text without the characters that a source file cannot have. */
export const forXml = (text: string): string => text.replaceAll(new RegExp(notInXml, 'g'), '');

function textProblem(text: string): string | undefined {
  if (text.length > longestAttribute) return `This is longer than ${longestAttribute} characters.`;
  return notInXml.test(text) ? 'This holds a control character, which a source file cannot have.' : undefined;
}

/**
 * Values whose names are not checked, since what they name may be there later. A project without tokens of its own has those
 * that ship and no others.
 */
const contextWithoutNames = ({
  bands,
  tokens = [],
}: Pick<Project, 'bands' | 'tokens'>): AttributeContext => ({
  ...contextOf({ bands, state: [], screens: [] }),
  namesKnown: false,
  anyToken: tokens.length > 0,
});

function valueProblem(
  kind: Kind,
  attribute: string,
  value: unknown,
  context: AttributeContext,
): string | undefined {
  const meaning = readAttribute(kind, attribute.slice(0, 200), context.bands);
  if (typeof meaning === 'string') return meaning;
  const isDraft = isRecord(value) && isText(value.draft) && (value.good === undefined || isText(value.good));
  if (!isText(value) && !isDraft) return `\`${attribute}\` has no text.`;
  const strange = isRecord(value) && Object.keys(value).find((key) => key !== 'draft' && key !== 'good');
  if (strange) return `\`${attribute}\` has a \`${strange.slice(0, 64)}\`, which means nothing.`;
  for (const text of isRecord(value) ? Object.values(value).filter(isText) : [value]) {
    const problem = textProblem(text);
    if (problem) return `${attribute}: ${problem}`;
  }
  const text = inForce(value as PropertyValue);
  if (text === undefined) return undefined;
  const reading = readAttributeText(kind, attribute, text, context);
  return reading.ok ? undefined : `${attribute}: ${reading.message}`;
}

/** What is wrong with the value of an attribute, whatever its expressions name; undefined where nothing is. */
export const attributeValueProblem = (
  kind: Kind,
  attribute: string,
  value: unknown,
  project: Pick<Project, 'bands' | 'tokens'>,
): string | undefined => valueProblem(kind, attribute, value, contextWithoutNames(project));

/** What is wrong with comments of the source (XML 1.0 §2.5); undefined where nothing is. */
export function commentsProblem(comments: unknown): string | undefined {
  if (comments === undefined) return undefined;
  if (!isRecord(comments)) return 'Comments are no record.';
  for (const [place, texts] of Object.entries(comments)) {
    if (!['before', 'inside', 'after'].includes(place))
      return `There are no comments \`${place.slice(0, 64)}\`.`;
    if (!Array.isArray(texts) || texts.length > mostComments || !texts.every(isText))
      return 'Comments are no list of texts.';
    for (const text of texts)
      if (text.length > longestComment || text.includes('--') || text.endsWith('-') || notInXml.test(text))
        return 'A comment is too long, or holds `--`.';
  }
  return undefined;
}

const fields = ['id', 'kind', 'name', 'props', 'children', 'comments'];

/** The problem with a control's own fields, apart from its attributes and children. */
function selfProblem(value: unknown): string | undefined {
  if (
    !isRecord(value) ||
    !isText(value.id) ||
    !/^[\w.:-]{1,64}$/.test(value.id) ||
    !isText(value.kind) ||
    !isRecord(value.props) ||
    !Array.isArray(value.children)
  )
    return 'This is not a control.';
  const strange = Object.keys(value).find((field) => !fields.includes(field));
  if (strange) return `A control has no \`${strange.slice(0, 64)}\`.`;
  if (value.name !== undefined) {
    const problem = isText(value.name) ? nameProblem(value.name) : 'A name is not a text.';
    if (problem) return problem;
  }
  return commentsProblem(value.comments);
}

/**
 * What is wrong with a control and all below it, whatever expressions name; undefined where nothing is.
 *
 * @param project for bands; names in expressions are not checked, since they may be mended later.
 * @param list the list of the project that it is to be in, as a whole tree; undefined: it stands in a tree.
 */
export function controlProblem(
  project: Pick<Project, 'bands' | 'tokens'>,
  control: unknown,
  list: TreeList | undefined,
): string | undefined {
  const context = contextWithoutNames(project);
  const ids = new Set<string>();
  const names = new Set<string>();
  let count = 0;
  const visit = (value: unknown, depth: number, around?: Control): string | undefined => {
    if (++count > mostControls) return `A screen has at most ${mostControls} controls.`;
    if (depth > deepestNesting) return `Controls are nested at most ${deepestNesting} deep.`;
    const self = selfProblem(value);
    if (self) return self;
    const { id, kind: kindName, name, props, children } = value as Project['screens'][number];
    const kind = kindNamed(kindName);
    if (!kind) return `There is no kind \`${kindName.slice(0, 64)}\`.`;
    if (kind.root !== (depth === 1 ? list : undefined))
      return kind.root
        ? `A ${kind.name} cannot stand inside another control.`
        : `A ${kind.name} is no whole screen or component.`;
    if (kind.inComponents && list === 'screens') return `A ${kind.name} stands in a component only.`;
    if (ids.has(id)) return `Two controls have the id ${id}.`;
    ids.add(id);
    if (name !== undefined && names.has(name)) return `Two controls are called \`${name}\`.`;
    if (name !== undefined) names.add(name);
    for (const [attribute, held] of Object.entries(props)) {
      const problem = valueProblem(kind, attribute, held, context);
      if (problem) return problem;
    }
    for (const child of children) {
      const childKind = isRecord(child) && isText(child.kind) ? kindNamed(child.kind) : undefined;
      const confining = confiningKind({ kind: kindName }, around) ?? kind;
      const confined = childKind && confinesProblem(childKind, confining, children.length);
      if (confined) return confined;
      const problem = visit(child, depth + 1, value as Control);
      if (problem) return problem;
    }
    return undefined;
  };
  return visit(control, 1);
}
