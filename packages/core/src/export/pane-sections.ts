/** The rules by which a page shows one of two panes where there is no room for both, and keeps a gap where a screen folds. */

import { orientations } from '../cascade/attributes.ts';
import type { Conditions } from '../cascade/cascade.ts';
import { textInForce } from '../cascade/cascade.ts';
import { plainValues } from '../cascade/plain-values.ts';
import { hingeSide } from '../css/hinge-side.ts';
import { locationsIn } from '../document/tree.ts';
import { type Control, inForce } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { Panes } from '../kinds/kind.ts';
import { mannerOf } from '../kinds/manner.ts';
import { gap, hidden, minWidth } from '../kinds/properties.ts';
import { widthForBoth } from '../layout/split-room.ts';
import { itemAt } from '../sure.ts';
import { keptUnit } from '../text/units.ts';
import type { Limit } from '../values/css.ts';
import type { Theme } from '../values/theme.ts';
import { selectorsIn } from './class-names.ts';
import type { Rule, Section } from './rule.ts';

/** Whether a control keeps the gap between its panes where the screen folds. */
export function keepsHinge(control: Control): boolean {
  const { panes } = mannerOf(kindOf(control));
  return panes !== undefined && inForce(control.props[panes.hinge.name]) === 'true';
}

/** A range of screens, as a media query, and the prefixes that hold there. */
interface Range {
  readonly query: string | undefined;
  readonly conditions: Conditions;
}

/** From which width on a split shows both panes, on some screens; undefined: it has one alone. */
function neededByPanes(split: Control, panes: Panes, conditions: Conditions): number | undefined {
  const values = plainValues(split, conditions);
  const children = split.children.map((pane) => plainValues(pane, conditions));
  if (children.length < 2 || children.some((pane) => pane.flag(hidden))) return undefined;
  const kept = (length: Limit) => (typeof length === 'number' ? keptUnit(length) : length);
  return widthForBoth(
    children.map((pane) => kept(pane.get(minWidth))),
    values.get(panes.ratio) ?? [1, 1],
    keptUnit(values.get(gap)?.column ?? 0),
  );
}

/** A length with all of its 64ths: what is to be told apart is as wide to the 64th. */
const lengthText = (px: number): string => String(Number(px.toFixed(6)));

/** Where a split shows one pane, on some screens. */
function paneRule(split: Control, panes: Panes, selector: string, { conditions }: Range): Rule | undefined {
  const needed = neededByPanes(split, panes, conditions) ?? 0;
  if (needed <= 0) return undefined;
  const show = (prefixes: readonly string[]) =>
    textInForce(split, { name: panes.show.name }, prefixes) ?? 'first';
  const here = show(conditions.prefixes);
  return {
    // What it changes to from a band holds whatever the page's script shows elsewhere.
    selector:
      here === show([''])
        ? `${selector}[data-show="first"] > :last-child,\n  ${selector}[data-show="second"] > :first-child`
        : `${selector} > :${here === 'second' ? 'first' : 'last'}-child`,
    css: new Map([['display', 'none']]),
    container: needed === Infinity ? '(width >= 0px)' : `(width < ${lengthText(needed)}px)`,
  };
}

/**
 * A split that keeps its gap at the hinge: on devices with two segments beside each other (CSS Viewport 1, Viewport
 * Segments), and where a page is tried out as if on one.
 */
function hingeSections(
  screen: Control,
  split: Control,
  panes: Panes,
  selector: string,
  { query, conditions }: Range,
): Section[] {
  const needed = neededByPanes(split, panes, conditions);
  // One pane alone lies across the fold.
  if (!keepsHinge(split) || needed === undefined || needed === Infinity) return [];
  const { side, inset, pane } = hingeSide(screen, split, conditions);
  const toFold =
    side === 'start'
      ? 'var(--hinge-start)'
      : '100vw - var(--safe-left) - var(--safe-right) - var(--hinge-start) - var(--hinge-width)';
  const rules = (around: string): Rule[] => [
    { selector: `${around}${selector}`, css: new Map([['column-gap', 'var(--hinge-width)']]) },
    {
      selector: `${around}${selector} > :${pane === 0 ? 'first' : 'last'}-child`,
      css: new Map([
        ['flex', 'none'],
        ['width', `calc(${toFold} - ${inset}px)`],
      ]),
      container: `(width >= ${lengthText(Math.max(0, needed))}px)`,
    },
  ];
  const join = (...parts: (string | undefined)[]) => parts.filter(Boolean).join(' and ');
  return [
    { query, rules: rules(':root[data-hinged] ') },
    { query: join('(horizontal-viewport-segments: 2)', query), rules: rules('') },
  ];
}

/**
 * The sections in which what has panes on a screen shows one of them: one for all screens, or one for each band that
 * differs.
 *
 * @param stages from which width on which prefixes hold, the narrowest first.
 */
export function paneSections(
  screen: Control,
  stages: readonly { readonly from: number; readonly prefixes: readonly string[] }[],
  theme: Theme,
): Section[] {
  const selectorOf = selectorsIn(screen);
  const sections: Section[] = [];
  for (const { control } of locationsIn(screen).values()) {
    const { panes } = mannerOf(kindOf(control));
    if (!panes) continue;
    const selector = selectorOf(control);
    const turns = [control, ...control.children].some((each) =>
      Object.keys(each.props).some((name) => orientations.some((word) => name.startsWith(`${word}.`))),
    );
    const ranges: Range[] = stages.flatMap(({ from, prefixes }, index) => {
      const next = stages[index + 1]?.from;
      const widths = [
        ...(from > 0 ? [`(width >= ${from}px)`] : []),
        ...(next === undefined ? [] : [`(width < ${next}px)`]),
      ];
      const join = (parts: string[]) => (parts.length > 0 ? parts.join(' and ') : undefined);
      return turns
        ? orientations.map((word) => ({
            query: join([`(orientation: ${word})`, ...widths]),
            conditions: { prefixes: [...prefixes, `${word}.`], theme },
          }))
        : [{ query: join(widths), conditions: { prefixes, theme } }];
    });
    const rules = ranges.map((range) => paneRule(control, panes, selector, range));
    for (const range of ranges) sections.push(...hingeSections(screen, control, panes, selector, range));
    const said = new Set(rules.map((rule) => rule && `${rule.selector} ${rule.container}`));
    if (said.size === 1) {
      if (rules[0]) sections.push({ query: undefined, rules: [rules[0]] });
    } else
      for (const [index, rule] of rules.entries())
        if (rule) sections.push({ query: itemAt(ranges, index).query, rules: [rule] });
  }
  return sections;
}
