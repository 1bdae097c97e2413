/** The stylesheet of an exported page: theme, kinds, then one rule a control, changes in media queries. */

import { orientations } from '../cascade/attributes.ts';
import type { Conditions } from '../cascade/cascade.ts';
import { plainValues } from '../cascade/plain-values.ts';
import { themeOf } from '../cascade/project-theme.ts';
import {
  aroundOf,
  colourDeclaration,
  type Declarations,
  declarations,
  partDeclarations,
  withoutParts,
} from '../css/declarations.ts';
import { effectiveNames } from '../document/names.ts';
import { locationsIn, walk } from '../document/tree.ts';
import { type Band, type Control, isDialog, type Project } from '../document/types.ts';
import { kindOf, kinds } from '../kinds/catalogue.ts';
import { arrangementOf, mannerOf } from '../kinds/manner.ts';
import { entryOf, itemAt } from '../sure.ts';
import { familyList } from '../text/fonts.ts';
import { lineHeightCss } from '../text/units.ts';
import { colourRoles, type Theme } from '../values/theme.ts';
import { selectorsIn } from './class-names.ts';
import { forcedColourRules, printRules } from './media-rules.ts';
import { keepsHinge, paneSections } from './pane-sections.ts';
import { pictureSizes } from './picture-sizes.ts';
import { hasCarried } from './pieces.ts';
import type { Rule, Section } from './rule.ts';
import { shareRules } from './shared-rules.ts';

function printRule({ selector, css, container }: Rule, indent: string): string {
  if (container)
    return `${indent}@container ${container} {\n${printRule({ selector, css }, `${indent}  `)}${indent}}\n`;
  const lines = [...css].map(([name, value]) => `${indent}  ${name}: ${value};\n`);
  return `${indent}${selector} {\n${lines.join('')}${indent}}\n`;
}

function printSection({ query, rules }: Section): string {
  if (rules.length === 0) return '';
  if (!query) return rules.map((rule) => printRule(rule, '')).join('\n');
  return `@media ${query} {\n${rules.map((rule) => printRule(rule, '  ')).join('\n')}}\n`;
}

const hingeRules = `
@media (horizontal-viewport-segments: 2) {
  :root {
    --hinge-start: calc(env(viewport-segment-right 0 0, 0px) - var(--safe-left));
    --hinge-width: calc(env(viewport-segment-left 1 0, 0px) - env(viewport-segment-right 0 0, 0px));
  }

  :root:dir(rtl) {
    --hinge-start: calc(100vw - env(viewport-segment-left 1 0, 0px) - var(--safe-right));
  }
}
`;

/** The rules that all pages have, those of the kinds that this one uses included. */
function baseRules(project: Project): string {
  const theme = themeOf(project);
  const used = new Set(project.screens.flatMap((screen) => [...walk(screen)].map((control) => control.kind)));
  const colours = colourRoles.map(
    (role) => `  --${role}: light-dark(${theme.colours[role]}, ${theme.darkColours[role]});\n`,
  );
  const contrast = Object.entries(theme.contrastRoles).map(([name, role]) => `--${name}: var(--${role});`);
  const hinged = project.screens.some((screen) => [...walk(screen)].some(keepsHinge));
  const usedKinds = kinds.filter((kind) => used.has(kind.name));
  const shared = new Set(usedKinds.flatMap((kind) => kind.sharedCss ?? []));
  const kindRules = [...[...shared].map((css) => css(theme)), ...usedKinds.map((kind) => kind.css(theme))]
    .filter(Boolean)
    .map((css) => `${css}\n`);
  const indented = kindRules.join('\n').replace(/^(?=.)/gm, '  ');
  return `:root {
  color-scheme: light dark;
${colours.join('')}  /* What notches and rounded corners cover is kept free. */
  --safe-top: env(safe-area-inset-top, 0px);
  --safe-right: env(safe-area-inset-right, 0px);
  --safe-bottom: env(safe-area-inset-bottom, 0px);
  --safe-left: env(safe-area-inset-left, 0px);
  --screen-height: calc(100dvh - var(--safe-top) - var(--safe-bottom));
}

@media (prefers-contrast: more) {
  :root {
    ${contrast.join('\n    ')}
  }
}

:root[data-contrast="more"] {
  ${contrast.join('\n  ')}
}
${hinged ? hingeRules : ''}${messageRules(theme)}${project.screens.length > 1 ? screenRules : ''}${project.screens.some(isDialog) ? dialogRules : ''}${hasCarried(project) ? carryRules : ''}
/* Rules of the kinds; those of single controls come after this layer and win over it. */
@layer kinds {
  *,
  *::before,
  *::after {
    box-sizing: border-box;
    /* Whole px: some engines cut lines to them. */
    line-height: ${lineHeightCss};
  }

  dl {
    margin: 0;
  }

  html {
    -webkit-text-size-adjust: 100%;
    text-size-adjust: 100%;
  }

  body {
    margin: 0;
    padding: var(--safe-top) var(--safe-right) var(--safe-bottom) var(--safe-left);
    background: var(--page);
    font-family: ${familyList(theme.family)}, sans-serif;
    --line-height: ${theme.lineHeight};
    /* Small sizes, too: some engines leave it out there. */
    font-kerning: normal;
    font-synthesis: none;
    color: var(--ink);
  }

  button,
  input,
  select,
  textarea {
    margin: 0;
    border: 0;
    font: inherit;
    line-height: ${lineHeightCss};
    letter-spacing: inherit;
    color: inherit;
  }

  :focus-visible {
    outline: 2px solid var(--accent);
    outline-offset: 2px;
  }

  /* What takes the focus when a screen is come to, and by nothing else. */
  :is(.k-screen, h1, h2, h3, h4, h5, h6)[tabindex="-1"]:focus {
    outline: none;
  }

${indented}
${forcedColourRules}
${printRules}}
`;
}

const carryRules = `
/* What can be dragged, what would take it, and where it would fall. */
[data-carries] {
  cursor: grab;
  -webkit-user-select: none;
  user-select: none;
}
[data-carries] :is(input, textarea) {
  -webkit-user-select: text;
  user-select: text;
}
.is-carried {
  opacity: 0.5;
}
.takes-it {
  outline: 2px dashed var(--accent);
  outline-offset: 2px;
}
.page-carried {
  position: fixed;
  z-index: 2;
  opacity: 0.85;
  pointer-events: none;
}
.page-fall {
  position: fixed;
  z-index: 2;
  background: var(--accent);
  pointer-events: none;
}
`;

const screenRules = `
/* Symbols that icons refer to. */
.page-icons {
  display: none;
}
/* One screen is seen: the one that the address names, or has the part that it names; the first without an address. */
.k-screen[hidden]:not(:target, :has(:target)),
body:has(> .k-screen[hidden]:target, > .k-screen[hidden] :target) > .k-screen:not([hidden]) {
  display: none;
}
`;

const dialogRules = `
/* Screens that are shown over others. */
.page-dialog {
  position: fixed;
  z-index: 1;
  inset: 0;
  width: 100vw;
  max-width: none;
  height: 100dvh;
  max-height: none;
  margin: 0;
  padding: 0;
  border: none;
  background: none;
}
.page-dialog::backdrop {
  background: none;
}
`;

const messageRules = ({ corner }: Theme) => `
/* Words that are shown for a while. */
.page-message {
  position: fixed;
  z-index: 1;
  inset: auto 16px calc(16px + var(--safe-bottom));
  width: fit-content;
  max-width: min(100% - 32px, 36rem);
  margin-inline: auto;
  padding: 10px 16px;
  border-radius: ${corner}px;
  background: var(--ink);
  color: var(--page);
}
.page-message:empty {
  display: none;
}
`;

/** The declarations of a control and of the parts inside it that carry some of its properties, by selector. */
function declarationsUnder(
  control: Control,
  parent: Control | undefined,
  conditions: Conditions,
): Map<string, Declarations> {
  const kind = kindOf(control);
  const manner = mannerOf(kind);
  const own = plainValues(control, conditions);
  const parts = kind.parts?.(control.children) ?? [];
  const around = aroundOf(parent, control, conditions);
  const arrangement = arrangementOf(manner, own);
  const css = new Map(declarations(withoutParts(own, parts), manner, around, arrangement));
  // A pane of a split takes its part of the width, whatever is in it.
  if (around.type === 'pane') {
    css.set('flex', `${around.part} 1 0px`);
    if (!css.has('min-width')) css.set('min-width', '0');
  }
  if (parent) pictureSizes(css, { control, parent, values: own, conditions, around });
  const colour = colourDeclaration(manner, own);
  if (colour) css.set(...colour);
  const found = new Map<string, Declarations>([['', css]]);
  for (const part of parts) found.set(` ${part.selector}`, partDeclarations(own, manner, part, arrangement));
  return found;
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

/** A band and those that begin with it: the prefixes in force from there up, and its rules, by orientation too. */
interface Stage {
  readonly from: number;
  prefixes: readonly string[];
  readonly section: Section;
  readonly turned: ReadonlyMap<(typeof orientations)[number], Section>;
}

function stageFrom(from: number, prefixes: readonly string[]): Stage {
  const wide = `(min-width: ${from}px)`;
  const turned = (orientation: string): Section => {
    const query = `(orientation: ${orientation})`;
    return { query: from === 0 ? query : `${query} and ${wide}`, rules: [] };
  };
  return {
    from,
    prefixes,
    section: { query: wide, rules: [] },
    turned: new Map(orientations.map((orientation) => [orientation, turned(orientation)])),
  };
}

function stagesOf(bands: readonly Band[]): Stage[] {
  let last = stageFrom(0, ['']);
  const stages = [last];
  for (const { name, from } of bands.toSorted((a, b) => a.from - b.from)) {
    const prefixes = [...last.prefixes, `${name}.`];
    if (from === last.from) last.prefixes = prefixes;
    else {
      last = stageFrom(from, prefixes);
      stages.push(last);
    }
  }
  return stages;
}

const nothing: Declarations = new Map();

/** Whether a control says something for an orientation. */
const turns = (orientation: string, control: Control | undefined): boolean =>
  control !== undefined && Object.keys(control.props).some((name) => name.startsWith(`${orientation}.`));

/** The sections of one screen: always; from each band up; and for each orientation, from each band up. */
function screenSections(screen: Control, bands: readonly Band[], theme: Theme): Section[] {
  const selectorOf = selectorsIn(screen);
  const stages = stagesOf(bands);
  const always: Section = { query: undefined, rules: [] };
  for (const { control, parent } of locationsIn(screen).values()) {
    const under = (prefixes: readonly string[]) => declarationsUnder(control, parent, { prefixes, theme });
    const staged = stages.map((stage) => ({ stage, css: under(stage.prefixes) }));
    for (const inside of staged[0]?.css.keys() ?? []) {
      const push = (section: Section, css: Declarations) => {
        if (css.size > 0) section.rules.push({ selector: `${selectorOf(control)}${inside}`, css });
      };
      let before: Declarations | undefined;
      for (const { stage, css } of staged) {
        const now = css.get(inside) ?? nothing;
        if (before) push(stage.section, difference(before, now));
        else push(always, now);
        before = now;
      }
      for (const orientation of orientations) {
        if (!turns(orientation, control) && !turns(orientation, parent)) continue;
        const touched = new Set<string>();
        for (const { stage, css } of staged) {
          const turned = under([...stage.prefixes, `${orientation}.`]).get(inside) ?? nothing;
          const changed = difference(css.get(inside) ?? nothing, turned, touched);
          for (const name of changed.keys()) touched.add(name);
          push(entryOf(stage.turned, orientation), changed);
        }
      }
    }
  }
  return [
    always,
    ...stages.map(({ section }) => section),
    ...orientations.flatMap((orientation) => stages.map(({ turned }) => entryOf(turned, orientation))),
    ...paneSections(screen, stages, theme),
  ];
}

const printSections = (sections: readonly Section[]): string =>
  sections.map(printSection).filter(Boolean).join('\n');

/** The stylesheet of a project's page, but for its fonts. */
export function stylesheet(project: Project): string {
  const theme = themeOf(project);
  const sections = project.screens.map((screen) => screenSections(screen, project.bands, theme));
  const { shared, own } = shareRules(sections);
  const common = printSections(shared);
  return [
    baseRules(project),
    ...(common ? [`/* On several screens. */\n${common}`] : []),
    ...project.screens.map(
      (screen, index) =>
        `/* ${effectiveNames(screen).get(screen.id)} */\n${printSections(itemAt(own, index))}`,
    ),
  ].join('\n');
}
