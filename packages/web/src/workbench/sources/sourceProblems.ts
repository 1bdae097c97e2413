/** What is wrong in a screen's text, as the source editor underlines it; the nearest name is one press away. */
import type { Diagnostic } from '@codemirror/lint';
import type { EditorView } from '@codemirror/view';
import {
  attributeProblems,
  type Control,
  elementSpans,
  type Project,
  type SourceProblem,
  walk,
} from '@hovrin/core';

/** What puts the nearest name in place of a wrong one, wherever that stands; nothing where there is no nearest. */
function changing(
  message: string,
  wrong: string | undefined,
  places: (text: string) => readonly number[],
): Pick<Diagnostic, 'actions'> {
  const nearest = /Did you mean `([^`]+)`/.exec(message)?.[1];
  if (nearest === undefined || wrong === undefined) return {};
  return {
    actions: [
      {
        name: `Change to ${nearest}`,
        apply(target) {
          target.dispatch({
            changes: places(target.state.doc.toString()).map((place) => ({
              from: place,
              to: place + wrong.length,
              insert: nearest,
            })),
          });
        },
      },
    ],
  };
}

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

/** Texts that cannot be read: what keeps them from it. */
export function diagnosticsOf(view: EditorView, problems: readonly SourceProblem[]): Diagnostic[] {
  const { doc } = view.state;
  return problems.map(({ line, column, message }) => {
    const at = Math.min(doc.length, doc.line(Math.min(doc.lines, Math.max(1, line))).from + column - 1);
    const rest = doc.sliceString(at, Math.min(doc.length, at + 80));
    const length = Math.max(1, /^<?[\w.#%$-]+/.exec(rest)?.[0].length ?? 1);
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
      ...changing(message, offset < 0 ? undefined : wrong, (text) => {
        const end = element === undefined ? undefined : closingTagOf(text, at, element);
        return [at + offset, ...(end === undefined ? [] : [end])];
      }),
    };
  });
}

/** What attributes of a screen give that does not fit. The text is the one that the screen was read from, or printed. */
export function misfitsOf(view: EditorView, project: Project, screen: Control): Diagnostic[] {
  const found = [...walk(screen)].flatMap((control, index) =>
    attributeProblems(project, control).flatMap((problem) => (problem.holds ? { ...problem, index } : [])),
  );
  if (found.length === 0) return [];
  const text = view.state.doc.toString();
  const spans = elementSpans(text);
  return found.flatMap(({ index, attribute, message }): Diagnostic[] => {
    const { from, tagTo } = spans[index] ?? { from: 0, tagTo: 0 };
    const name = attribute.replaceAll('.', '\\.');
    const written = new RegExp(`(?<=\\s)${name}\\s*=\\s*("[^"]*"|'[^']*')`).exec(text.slice(from, tagTo));
    if (!written) return [];
    const start = from + written.index;
    const wrong = /`([^`]+)`/.exec(message)?.[1];
    const at = wrong === undefined ? -1 : written[0].indexOf(wrong, attribute.length);
    return [
      {
        from: start,
        to: start + written[0].length,
        severity: 'warning',
        message: message.replaceAll('`', ''),
        ...changing(message, at < 0 ? undefined : wrong, () => [start + at]),
      },
    ];
  });
}
