/** What the source editor knows of a screen's text: kinds and attributes to complete, what they mean, what is wrong. */
import type { Completion, CompletionContext, CompletionResult } from '@codemirror/autocomplete';
import { type AttrSpec, type ElementSpec, xml } from '@codemirror/lang-xml';
import { HighlightStyle, syntaxHighlighting } from '@codemirror/language';
import type { Extension } from '@codemirror/state';
import type { EditorView } from '@codemirror/view';
import { hoverTooltip } from '@codemirror/view';
import {
  attributeNames,
  type Control,
  componentKinds,
  confinesProblem,
  instanceKindsOf,
  kindNamed,
  kinds,
  type Project,
  readableAt,
  whatItDoes,
} from '@hovrin/core';
import { tags } from '@lezer/highlight';
import { expressionBefore } from '../fields/insertText.ts';
import { readableWords } from '../fields/useCompletion.tsx';

const schema = (project: Project): ElementSpec[] =>
  [...kinds, ...componentKinds, ...instanceKindsOf(project).values()].map((kind) => {
    const attributes: AttrSpec[] = [
      { name: 'name' },
      ...attributeNames(kind, project.bands).map((name): AttrSpec => {
        const property = kind.properties.find((each) => name === each.name || name.endsWith(`.${each.name}`));
        const words =
          property?.type.refers?.to === 'screen'
            ? project.screens.flatMap((screen) => screen.name ?? [])
            : name.endsWith('.bind')
              ? project.state.map((variable) => variable.name)
              : (property?.type.words ?? []);
        return { name, values: [...words], completion: { detail: property?.label ?? '' } };
      }),
    ];
    return {
      name: kind.name,
      attributes,
      children: [...kinds, ...componentKinds, ...instanceKindsOf(project).values()]
        .filter((each) => !each.root && confinesProblem(each, kind, 1) === undefined)
        .map((each) => each.name),
      top: kind.root !== undefined,
      completion: { detail: kind.purpose },
    };
  });

const entities: Readonly<Record<string, string>> = { quot: '"', apos: "'", amp: '&', lt: '<', gt: '>' };

/** The expression up to the cursor, while one is typed inside braces or an event; undefined elsewhere. */
function expressionAt(tag: string): { before: string; isEvent: boolean } | undefined {
  const [, name, double, single] = /\s([\w.-]+)=(?:"([^"]*)|'([^']*))$/.exec(tag) ?? [];
  const raw = double ?? single;
  if (name === undefined || raw === undefined) return undefined;
  const text = raw.replace(/&(\w+);/g, (whole, entity: string) => entities[entity] ?? whole);
  if (name.startsWith('on.')) return { before: text, isEvent: true };
  const before = expressionBefore(text, text.length);
  return before === undefined ? undefined : { before, isEvent: false };
}

/**
 * What an expression can read at the cursor, and what an event can do.
 *
 * @param controlAt the control that a place of the text is in.
 */
function namesIn(project: () => Project, controlAt: (at: number) => Control | undefined) {
  return ({ state, pos, explicit }: CompletionContext): CompletionResult | null => {
    const text = state.sliceDoc(Math.max(0, pos - 20_000), pos);
    const expression = expressionAt(text.slice(text.lastIndexOf('<') + 1));
    const control = expression && controlAt(pos);
    if (!control) return null;
    const { before, isEvent } = expression;
    const { found, replaces } = readableAt(project(), control, before, isEvent);
    if (found.length === 0 || (replaces === 0 && !explicit && !/[.'"`]$/.test(before))) return null;
    return {
      from: pos - replaces,
      filter: false,
      options: found.map((readable): Completion => {
        const { text: label } = readable;
        const detail = readableWords(readable);
        if (!label.endsWith('()')) return { label, detail };
        return {
          label,
          detail,
          // The cursor goes between the brackets.
          apply: (view, _, from, to) =>
            view.dispatch({
              changes: { from, to, insert: label },
              selection: { anchor: from + label.length - 1 },
              userEvent: 'input.complete',
            }),
        };
      }),
    };
  };
}

const colours = HighlightStyle.define([
  { tag: tags.tagName, color: 'var(--color-spruce)', fontWeight: '600' },
  { tag: tags.attributeName, color: 'var(--color-ink)' },
  { tag: tags.attributeValue, color: 'var(--color-lake)' },
  { tag: tags.angleBracket, color: 'var(--color-quiet)' },
  { tag: tags.comment, color: 'var(--color-quiet)', fontStyle: 'italic' },
]);

/** The tag that a place is in, and the word there. */
function wordAt(
  view: EditorView,
  at: number,
): { kind: string; word: string; from: number; to: number } | undefined {
  const text = view.state.doc.toString();
  const open = text.lastIndexOf('<', at);
  const kind = /^<\/?([\w]+)/.exec(text.slice(open))?.[1];
  if (open < 0 || kind === undefined || text.slice(open, at).includes('>')) return undefined;
  const before = /[\w.-]*$/.exec(text.slice(0, at))?.[0] ?? '';
  const after = /^[\w.-]*/.exec(text.slice(at))?.[0] ?? '';
  return { kind, word: before + after, from: at - before.length, to: at + after.length };
}

const help = hoverTooltip((view, at) => {
  const found = wordAt(view, at);
  const kind = found && kindNamed(found.kind);
  if (!found || !kind) return null;
  const property = kind.properties.find(({ name }) => found.word === name || found.word.endsWith(`.${name}`));
  const words =
    found.word === kind.name
      ? `${kind.label}: ${kind.purpose}`
      : property &&
        `${property.label}: ${whatItDoes(property)} Takes ${property.type.expects}${property.default === undefined ? '' : `; ${property.default} where nothing is said`}`;
  if (!words) return null;
  return {
    pos: found.from,
    end: found.to,
    create() {
      const dom = document.createElement('div');
      dom.className = 'px-2 py-1 max-w-80';
      dom.textContent = words.replaceAll('`', '');
      return { dom };
    },
  };
});

/**
 * @param project what gives bands and names of screens. @param projectNow the one that expressions read.
 * @param controlAt the control that a place of the text is in.
 */
export const sourceLanguage = (
  project: Project,
  projectNow: () => Project,
  controlAt: (at: number) => Control | undefined,
): Extension => {
  const language = xml({ elements: schema(project), autoCloseTags: true });
  return [
    language,
    language.language.data.of({ autocomplete: namesIn(projectNow, controlAt) }),
    syntaxHighlighting(colours),
    help,
  ];
};
