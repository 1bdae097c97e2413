/** A comparison as lines of text, for a person at a shell. */
import type { Comparison, TreeComparison } from './compare.ts';
import type { WidthsCompared } from './differing-widths.ts';

/** Widths in words: `280–611, 960–1919`; everywhere where that is so. */
export function widthsWords({ widths }: WidthsCompared, from: number, to: number): string {
  const [first, ...more] = widths;
  if (!first) return 'nowhere';
  if (more.length === 0 && first.from <= from && first.to >= to) return 'at every width';
  return `at ${widths.map((each) => (Math.ceil(each.from) >= Math.floor(each.to) ? `${Math.ceil(each.from)}` : `${Math.ceil(each.from)}–${Math.floor(each.to)}`)).join(', ')}`;
}

/** How many movements are told. */
const mostMoved = 3;

function layoutLine(layout: WidthsCompared, from: number, to: number): string {
  if (layout.widths.length === 0) return '  looks the same at every width';
  const moved = layout.moved
    .slice(0, mostMoved)
    .map(({ control, by, at }) => `${control} by ${Number(by.toFixed(2))} at ${Math.round(at)}`);
  const rest = layout.moved.length - moved.length;
  return `  differs ${widthsWords(layout, from, to)}${moved.length > 0 ? `; moves: ${moved.join(', ')}${rest > 0 ? ` and ${rest} more` : ''}` : ''}`;
}

const howWords = { added: 'new', removed: 'gone', changed: 'changed', elsewhere: 'made with something else' };

function treeLines(tree: TreeComparison, from: number, to: number): string[] {
  const { name, how, changes, layout } = tree;
  return [
    `${name}: ${howWords[how]}`,
    ...changes.flatMap(({ control, words }) =>
      words.map((each) => `  ${control}: ${each.replaceAll('`', '')}`),
    ),
    ...(layout ? [layoutLine(layout, from, to)] : []),
  ];
}

/** @param trees with their layouts. @param from and `to`: the widths that were gone through. */
export function comparisonLines(
  { entities, project }: Comparison,
  trees: readonly TreeComparison[],
  from: number,
  to: number,
): readonly string[] {
  return [
    ...project.map((words) => `project: ${words}`),
    ...entities.flatMap(({ word, key, how, words }) => [
      `${word} ${key}: ${howWords[how]}`,
      ...words.map((each) => `  ${each}`),
    ]),
    ...trees.flatMap((tree) => treeLines(tree, from, to)),
  ];
}
