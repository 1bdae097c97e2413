/** What the source editor knows of a screen's text: kinds and attributes to complete, what they mean, what is wrong. */
import type { Completion, CompletionContext, CompletionResult } from '@codemirror/autocomplete';
import { type AttrSpec, type ElementSpec, xml } from '@codemirror/lang-xml';
import { HighlightStyle, syntaxHighlighting } from '@codemirror/language';
import type { Diagnostic } from '@codemirror/lint';
import type { Extension } from '@codemirror/state';
import type { EditorView } from '@codemirror/view';
import { hoverTooltip } from '@codemirror/view';
import {
  attributeNames,
  confinesProblem,
  kindNamed,
  kinds,
  type Project,
  type SourceProblem,
} from '@hovrin/core';
import { tags } from '@lezer/highlight';

const schema = (project: Project): ElementSpec[] =>
  kinds.map((kind) => {
    const attributes: AttrSpec[] = [
      { name: 'name' },
      ...attributeNames(kind, project.bands).map((name): AttrSpec => {
        const property = kind.properties.find((each) => name === each.name || name.endsWith(`.${each.name}`));
        const words =
          property?.type.name === 'destination'
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
      children: kinds
        .filter((each) => each.name !== 'screen' && confinesProblem(each, kind, 1) === undefined)
        .map((each) => each.name),
      top: kind.name === 'screen',
      completion: { detail: kind.purpose },
    };
  });

/** Names that an expression may use, while one is typed inside braces or an event. */
function namesIn(project: Project) {
  return (context: CompletionContext): CompletionResult | null => {
    const word = context.matchBefore(/[\w$]*/);
    const before = context.state.sliceDoc(Math.max(0, context.pos - 200), context.pos);
    const quote = before.lastIndexOf('"');
    const inside = before.slice(quote + 1);
    const inBraces = inside.lastIndexOf('{') > inside.lastIndexOf('}');
    const inEvent = /\son\.\w+="[^"]*$/.test(before);
    if (!word || (!inBraces && !inEvent) || (word.from === word.to && !context.explicit)) return null;
    const options: Completion[] = [
      ...project.state.map(({ name, type }) => ({ label: name, type: 'variable', detail: type })),
      ...(inEvent
        ? project.screens.flatMap(({ name }) =>
            name ? [{ label: `go("${name}")`, type: 'function', detail: 'shows that screen' }] : [],
          )
        : []),
    ];
    return { from: word.from, options };
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
  const before = /[\w.-]*$/.exec(text.slice(0, at))![0];
  const after = /^[\w.-]*/.exec(text.slice(at))![0];
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
        `${property.label}: ${property.type.expects}${property.default === undefined ? '' : `; ${property.default} where nothing is said`}`;
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

export const sourceLanguage = (project: Project): Extension => {
  const language = xml({ elements: schema(project), autoCloseTags: true });
  return [
    language,
    language.language.data.of({ autocomplete: namesIn(project) }),
    syntaxHighlighting(colours),
    help,
  ];
};

/** Where the name stands in the tag that ends an element; undefined where none does. @param at where it begins. */
function closingTagOf(text: string, at: number, element: string): number | undefined {
  if (!/^[\w-]+$/.test(element)) return undefined;
  let depth = 0;
  for (const tag of text.slice(at).matchAll(new RegExp(`<(/?)${element}(?=[\\s/>])[^<>]*?(/?)>`, 'g'))) {
    depth += tag[1] ? -1 : tag[2] ? 0 : 1;
    if (depth === 0) return tag[1] ? at + tag.index + 2 : undefined;
  }
  return undefined;
}

/** Problems as the editor underlines them; where there is a nearest name, it is offered. */
export function diagnosticsOf(view: EditorView, problems: readonly SourceProblem[]): Diagnostic[] {
  const { doc } = view.state;
  return problems.map(({ line, column, message }) => {
    const at = Math.min(doc.length, doc.line(Math.min(doc.lines, Math.max(1, line))).from + column - 1);
    const rest = doc.sliceString(at, Math.min(doc.length, at + 80));
    const length = Math.max(1, /^<?[\w.#%$-]+/.exec(rest)?.[0].length ?? 1);
    const nearest = /Did you mean `([^`]+)`/.exec(message)?.[1];
    // The first thing that it names: an element, or what stands in quotes.
    const [, element, quoted] = /<([^<>`]+)>|`([^`]+)`/.exec(message) ?? [];
    const wrong = element ?? quoted;
    const offset =
      wrong === undefined ? -1 : doc.sliceString(at, Math.min(doc.length, at + 400)).indexOf(wrong);
    return {
      from: at,
      to: Math.min(doc.length, at + length),
      severity: 'error',
      message: message.replaceAll('`', ''),
      ...(nearest !== undefined && wrong !== undefined && offset >= 0
        ? {
            actions: [
              {
                name: `Change to ${nearest}`,
                apply(target) {
                  const from = at + offset;
                  const text = target.state.doc.toString();
                  const end = element === undefined ? undefined : closingTagOf(text, at, element);
                  target.dispatch({
                    changes: [from, ...(end === undefined ? [] : [end])].map((place) => ({
                      from: place,
                      to: place + wrong.length,
                      insert: nearest,
                    })),
                  });
                },
              },
            ],
          }
        : {}),
    };
  });
}
