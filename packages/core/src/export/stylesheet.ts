/** The stylesheet of an exported page: theme, kinds, then one rule a control, changes in media queries. */

import { orientations } from '../cascade/attributes.ts';
import { themeOf } from '../cascade/project-theme.ts';
import { asksOf, statesAsked } from '../cascade/states-asked.ts';
import { effectiveNames } from '../document/names.ts';
import type { StyleSet } from '../document/style-set.ts';
import { locationsIn, walk } from '../document/tree.ts';
import { type Control, inForce, isDialog, type Project } from '../document/types.ts';
import { hasExpression } from '../expression/template.ts';
import { kinds } from '../kinds/catalogue.ts';
import { itemAt } from '../sure.ts';
import { familyList } from '../text/fonts.ts';
import { lineHeightCss } from '../text/units.ts';
import { focusRingOffset, focusRingWidth } from '../values/focus-ring.ts';
import { pictureName } from '../values/look-css.ts';
import type { Theme } from '../values/theme.ts';
import { selectorsIn } from './class-names.ts';
import { important, RuleSections } from './control-rules.ts';
import { type Inside, ownDeclared } from './layered-values.ts';
import { forcedColourRules, printRules } from './media-rules.ts';
import { keepsHinge, paneSections } from './pane-sections.ts';
import { type PartClassOf, partSelectors } from './part-classes.ts';
import { pictureAddress } from './picture-address.ts';
import { hasCarried, hasLeaving } from './pieces.ts';
import type { Rule, Section } from './rule.ts';
import { shareRules } from './shared-rules.ts';
import { selectorInState } from './state-selectors.ts';
import { styleRules } from './style-rules.ts';
import { type CssThemes, cssThemes, variableRules, withVariables } from './theme-variables.ts';
import { hasTransitions, transitionRules } from './transition-rules.ts';

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

/** What holds for the whole page: tokens, and what the edges of the screen cover. @param css the rest of the stylesheet. */
function rootRules(project: Project, css: string): string {
  const { root, modes } = variableRules(project, css);
  const pictures = project.assets
    .map(({ name }) => ({ property: pictureName(name), name }))
    .filter(({ property }) => css.includes(`var(${property})`))
    .map(
      ({ property, name }) => `${property}: url("${pictureAddress(name, project.assets, themeOf(project))}")`,
    );
  const lines = [...root, ...pictures].map((line) => `  ${line};\n`).join('');
  return `:root {
  color-scheme: light dark;
${lines}  /* What notches and rounded corners cover is kept free. */
  --safe-top: env(safe-area-inset-top, 0px);
  --safe-right: env(safe-area-inset-right, 0px);
  --safe-bottom: env(safe-area-inset-bottom, 0px);
  --safe-left: env(safe-area-inset-left, 0px);
  --screen-height: calc(100dvh - var(--safe-top) - var(--safe-bottom));
}
:root[data-mode="light"] {
  color-scheme: light;
}
:root[data-mode="dark"] {
  color-scheme: dark;
}
${modes}${/\btransition:/.test(css) ? stillRules : ''}`;
}

const stillRules = `
@media (prefers-reduced-motion: reduce) {
  *,
  *::before,
  *::after {
    transition: none !important;
  }
}
:root[data-motion="less"] * {
  transition: none !important;
}
`;

/** The rules that all pages have, those of the kinds that this one uses included. */
function baseRules(project: Project, theme: Theme): string {
  const used = new Set(project.screens.flatMap((screen) => [...walk(screen)].map((control) => control.kind)));
  const hinged = project.screens.some((screen) => [...walk(screen)].some(keepsHinge));
  const usedKinds = kinds.filter((kind) => used.has(kind.name));
  const shared = new Set(usedKinds.flatMap((kind) => kind.sharedCss ?? []));
  const kindRules = [...[...shared].map((css) => css(theme)), ...usedKinds.map((kind) => kind.css(theme))]
    .filter(Boolean)
    .map((css) => `${css}\n`);
  const indented = kindRules.join('\n').replace(/^(?=.)/gm, '  ');
  return `${hinged ? hingeRules : ''}${messageRules(theme)}${project.screens.length > 1 ? screenRules : ''}${project.screens.some(isDialog) ? dialogRules : ''}${hasCarried(project) ? carryRules : ''}${hasLeaving(project) ? questionRules(theme) : ''}${hasTransitions(project) ? transitionRules : ''}
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
    font-size: ${theme.textSize / 16}rem;
    --line-height: ${theme.lineHeight};
    /* Small sizes, too: some engines leave it out there. */
    font-kerning: normal;
    font-synthesis: none;
    /* Wide characters are as wide as they are, beside others, too. */
    text-spacing-trim: space-all;
    text-autospace: no-autospace;
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
    text-transform: inherit;
    color: inherit;
  }

  :focus-visible {
    outline: ${focusRingWidth}px solid var(--accent);
    outline-offset: ${focusRingOffset}px;
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

const questionRules = ({ corner }: Theme) => `
/* A question to those who leave a screen. */
.page-question {
  max-width: min(100% - 32px, 28rem);
  padding: 20px;
  border: 1px solid var(--line);
  border-radius: ${corner}px;
  background: var(--page);
  color: var(--ink);
}
.page-question::backdrop {
  background: rgb(0 0 0 / 40%);
}
.page-question p {
  margin: 0 0 20px;
}
.page-question div {
  display: flex;
  flex-wrap: wrap;
  justify-content: end;
  gap: 8px;
}
.page-question button {
  min-height: 40px;
  padding: 0 16px;
  border: 1px solid var(--line);
  border-radius: ${corner}px;
  background: var(--page);
  color: var(--ink);
  font: inherit;
}
.page-question .is-strong {
  border-color: transparent;
  background: var(--accent);
  color: var(--on-accent);
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

/** The words in front of what is said of a control; what its parent says by orientation changes how it is placed. */
function asksWithParent(
  control: Control,
  parent: Control | undefined,
  styles: StyleSet,
): ReadonlySet<string> {
  const turns = parent
    ? [...asksOf(parent, styles)].filter((word) => orientations.some((each) => each === word))
    : [];
  return new Set([...asksOf(control, styles), ...turns]);
}

/** The rules of one screen, in the order in which they win over each other. */
function screenSections(
  project: Project,
  screen: Control,
  states: readonly string[],
  themes: CssThemes,
): Section[] {
  const selectorOf = selectorsIn(screen);
  const sections = new RuleSections(project.bands, states);
  const places = locationsIn(screen);
  for (const { control, parent } of places.values()) {
    const known = new Map<string, Inside>();
    const path = [control];
    for (let at = parent; at; at = places.get(at.id)?.parent) path.push(at);
    // What an expression says stands on the element itself: what is said in a state has to win over it.
    const isBound = Object.values(control.props).some((value) => hasExpression(inForce(value) ?? ''));
    sections.add(
      (prefixes) => {
        const key = prefixes.join();
        const said = known.get(key) ?? ownDeclared({ control, parent }, prefixes, themes);
        known.set(key, said);
        return said;
      },
      (state) => selectorInState(selectorOf(control), state, { path, selectorOf }),
      asksWithParent(control, parent, themes.plain.styles),
      (css, state) => (state !== undefined && isBound ? important(css) : css),
    );
  }
  return [...sections.list(), ...paneSections(screen, sections.stages, themes.plain)];
}

const printSections = (sections: readonly Section[]): string =>
  sections.map(printSection).filter(Boolean).join('\n');

/** The stylesheet of a project's page, but for its fonts. @param partClass of parts of instances. */
export function stylesheet(project: Project, partClass: PartClassOf = () => undefined): string {
  const themes = cssThemes(project);
  const states = statesAsked(project, themes.plain.styles);
  const sections = project.screens.map((screen) => screenSections(project, screen, states, themes));
  const controls = project.screens.flatMap((screen) => {
    const selectorOf = selectorsIn(screen);
    return [...walk(screen)].map((control) => [selectorOf(control), control] as const);
  });
  const { shared, own } = shareRules(sections, partSelectors(controls, partClass));
  const common = printSections(shared);
  const styles = styleRules(project, states, themes);
  const layers = styles.map(({ layer, sections: each }) => {
    const rules = printSections(each).replace(/^(?=.)/gm, '  ');
    return `@layer ${layer} {\n${rules}}`;
  });
  const rest = [
    ...layers,
    ...(common ? [`/* On several screens. */\n${common}`] : []),
    ...project.screens.map(
      (screen, index) =>
        `/* ${effectiveNames(screen).get(screen.id)} */\n${printSections(itemAt(own, index))}`,
    ),
  ].join('\n');
  const base = themes.larger
    ? withVariables(
        baseRules(project, themes.plain),
        themes.larger.map((theme) => baseRules(project, theme)) as [string, string],
        themes.nudges,
      )
    : baseRules(project, themes.plain);
  const order = ['kinds', ...styles.map(({ layer }) => layer)];
  return [
    rootRules(project, `${base}${rest}`),
    ...(styles.length > 0 ? [`@layer ${order.join(', ')};`] : []),
    base,
    rest,
  ].join('\n');
}
