/** The stylesheet of an exported page: theme, kinds, then one rule a control, changes in media queries. */

import { orientations } from '../document/attributes.ts';
import { effectiveNames } from '../document/names.ts';
import { theme, themeColours } from '../document/theme.ts';
import { locationsIn, walk } from '../document/tree.ts';
import type { Band, Control, Project } from '../document/types.ts';
import { kindOf, kinds } from '../kinds/catalogue.ts';
import { classOf } from './class-names.ts';
import { axisOf, colourDeclaration, type Declarations, declarations, ownValues } from './declarations.ts';

interface Rule {
  readonly selector: string;
  readonly css: Declarations;
}

/** Rules that hold under one media query; no query: always. */
interface Section {
  readonly query: string | undefined;
  readonly rules: Rule[];
}

const printRule = ({ selector, css }: Rule, indent: string): string =>
  `${indent}${selector} {\n${[...css].map(([name, value]) => `${indent}  ${name}: ${value};\n`).join('')}${indent}}\n`;

function printSection({ query, rules }: Section): string {
  if (rules.length === 0) return '';
  if (!query) return rules.map((rule) => printRule(rule, '')).join('\n');
  return `@media ${query} {\n${rules.map((rule) => printRule(rule, '  ')).join('\n')}}\n`;
}

/** The rules that all pages have, those of the kinds that this one uses included. */
function baseRules(project: Project): string {
  const used = new Set(project.screens.flatMap((screen) => [...walk(screen)].map((control) => control.kind)));
  const colours = Object.entries(themeColours).map(([name, value]) => `  --${name}: ${value};\n`);
  const kindRules = kinds.filter((kind) => used.has(kind.name) && kind.css).map((kind) => `${kind.css}\n`);
  const indented = kindRules.join('\n').replace(/^(?=.)/gm, '  ');
  return `:root {
${colours.join('')}}

/* Rules of the kinds; those of single controls come after this layer and win over it. */
@layer kinds {
  *,
  *::before,
  *::after {
    box-sizing: border-box;
  }

  html {
    -webkit-text-size-adjust: 100%;
    text-size-adjust: 100%;
  }

  body {
    margin: 0;
    font-family: "${theme.family}";
    line-height: ${theme.lineHeight};
    font-synthesis: none;
    color: var(--ink);
  }

  button,
  input {
    margin: 0;
    border: 0;
    font: inherit;
    letter-spacing: inherit;
    color: inherit;
  }

  :focus-visible {
    outline: 2px solid var(--accent);
    outline-offset: 2px;
  }

${indented}}
`;
}

function declarationsUnder(
  control: Control,
  parent: Control | undefined,
  prefixes: readonly string[],
): Declarations {
  const kind = kindOf(control);
  const own = ownValues(control, kind, prefixes);
  const css = new Map(declarations(own, axisOf(parent)));
  const colour = colourDeclaration(kind, own);
  if (colour) css.set(...colour);
  return css;
}

/** What must be said so that `after` holds where `before` held. What falls away goes back to the kind's rules. */
function difference(
  before: Declarations,
  after: Declarations,
  always: ReadonlySet<string> = new Set(),
): Map<string, string> {
  const changed = new Map<string, string>();
  // What goes back comes first: a shorthand that falls away must not take its longhands with it.
  for (const name of [...before.keys(), ...always]) if (!after.has(name)) changed.set(name, 'revert-layer');
  for (const [name, value] of after)
    if (before.get(name) !== value || always.has(name)) changed.set(name, value);
  return changed;
}

/** The sections of one screen: always; from each band up; and for each orientation, from each band up. */
function screenSections(screen: Control, bands: readonly Band[]): Section[] {
  const names = effectiveNames(screen);
  const ordered = bands.toSorted((a, b) => a.from - b.from);
  const stages = [{ from: 0, prefixes: [''] }];
  for (const band of ordered) {
    const last = stages.at(-1)!;
    if (band.from === last.from) last.prefixes = [...last.prefixes, `${band.name}.`];
    else stages.push({ from: band.from, prefixes: [...last.prefixes, `${band.name}.`] });
  }
  const always: Section = { query: undefined, rules: [] };
  const byStage: Section[] = stages.map(({ from }) => ({ query: `(min-width: ${from}px)`, rules: [] }));
  const byOrientation = orientations.map((orientation) =>
    stages.map(
      ({ from }): Section => ({
        query:
          from === 0
            ? `(orientation: ${orientation})`
            : `(orientation: ${orientation}) and (min-width: ${from}px)`,
        rules: [],
      }),
    ),
  );
  for (const { control, parent } of locationsIn(screen).values()) {
    const selector = parent
      ? `.${classOf(names.get(screen.id)!)} .${classOf(names.get(control.id)!)}`
      : `.${classOf(names.get(screen.id)!)}`;
    const push = (section: Section, css: Declarations) => {
      if (css.size > 0) section.rules.push({ selector, css });
    };
    const staged = stages.map(({ prefixes }) => declarationsUnder(control, parent, prefixes));
    push(always, staged[0]!);
    for (let stage = 1; stage < stages.length; stage++)
      push(byStage[stage]!, difference(staged[stage - 1]!, staged[stage]!));
    orientations.forEach((orientation, which) => {
      if (!Object.keys(control.props).some((name) => name.startsWith(`${orientation}.`))) return;
      const touched = new Set<string>();
      stages.forEach(({ prefixes }, stage) => {
        const css = difference(
          staged[stage]!,
          declarationsUnder(control, parent, [...prefixes, `${orientation}.`]),
          touched,
        );
        for (const name of css.keys()) touched.add(name);
        push(byOrientation[which]![stage]!, css);
      });
    });
  }
  return [always, ...byStage, ...byOrientation.flat()];
}

/**
 * The stylesheet of a project's page.
 *
 * @param fontRules `@font-face` rules, put in front.
 */
export function stylesheet(project: Project, fontRules: string): string {
  const screens = project.screens.map((screen) => {
    const sections = screenSections(screen, project.bands).map(printSection).filter(Boolean);
    return `/* ${effectiveNames(screen).get(screen.id)} */\n${sections.join('\n')}`;
  });
  return [fontRules, baseRules(project), ...screens].join('\n');
}
