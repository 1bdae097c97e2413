/** Checks of changes from a band: those that say what holds already, and those that make a layout worse. */

import { conditionsOf, propertyOf } from '../cascade/attributes.ts';
import { defaultText, propertiesOf } from '../cascade/cascade.ts';
import { themeOf } from '../cascade/project-theme.ts';
import { effectiveNames } from '../document/names.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { ViewBoxes } from '../layout/view-boxes.ts';
import { applySteps, type Step } from '../steps/step.ts';
import type { CheckOptions, CheckStep, Gather } from './check.ts';
import type { Finding, Where } from './finding.ts';
import type { Gathered } from './remembered.ts';

/** A change: an attribute with a band or an orientation in front. */
export interface BandChange {
  readonly control: Control;
  readonly attribute: string;
  readonly prefix: string;
  readonly property: string;
}

/** All changes of a screen, in the order of its tree. */
export function changesOf(project: Project, screen: Control): BandChange[] {
  const prefixes = new Set([...project.bands.map(({ name }) => name), 'portrait', 'landscape']);
  return [...walk(screen)].flatMap((control) =>
    Object.keys(control.props).flatMap((attribute) => {
      const [prefix = '', ...more] = conditionsOf(attribute);
      return prefixes.has(prefix) && more.length === 0
        ? [{ control, attribute, prefix, property: propertyOf(attribute) }]
        : [];
    }),
  );
}

/** Makes a changed value that of all widths: the changes of the same property go. */
export function everywhere(control: Control, attribute: string): Step[] {
  const property = propertyOf(attribute);
  const same = Object.keys(control.props).filter(
    (name) => name.endsWith(`.${property}`) && !name.startsWith('on.'),
  );
  return [
    { type: 'set', control: control.id, property, value: control.props[attribute] ?? null },
    ...same.map((name): Step => ({ type: 'set', control: control.id, property: name, value: null })),
  ];
}

/** What would hold for a property without a change, as text; undefined: nothing is said. */
export function withoutChange(
  project: Project,
  { control, prefix, property }: BandChange,
): string | undefined {
  const band = project.bands.find(({ name }) => name === prefix);
  const below = band
    ? project.bands.filter(({ from }) => from < band.from).toSorted((a, b) => b.from - a.from)
    : project.bands.toSorted((a, b) => b.from - a.from);
  // An orientation overrides whatever band there is, so it has to differ from one of them.
  if (!band) {
    const said = [undefined, ...below].map((each) =>
      inForce(control.props[each ? `${each.name}.${property}` : property]),
    );
    const values = new Set(said.filter((value) => value !== undefined));
    return values.size === 1 && said[0] !== undefined ? said[0] : undefined;
  }
  const names = [...below.map(({ name }) => `${name}.${property}`), property];
  return (
    names.map((name) => inForce(control.props[name])).find((value) => value !== undefined) ??
    defaultOf(project, control, property)
  );
}

function defaultOf(project: Project, control: Control, name: string): string | undefined {
  const property = propertiesOf(kindOf(control)).get(name);
  return property && defaultText(property, themeOf(project));
}

/** Widths on which a change holds. */
function whereOf(project: Project, { prefix }: BandChange, { from, to }: CheckOptions): Where | undefined {
  const band = project.bands.find(({ name }) => name === prefix);
  const least = Math.max(from, band?.from ?? from);
  return least > to
    ? undefined
    : { from: least, to, textScale: 1, orientation: prefix === 'landscape' ? 'landscape' : 'portrait' };
}

/** Errors of the layout itself that are there at plain text somewhere in the widths of a change. */
function errorsWhere(found: ReadonlyMap<string, Gathered>, { from }: Where): Map<string, Gathered> {
  const layout: readonly string[] = ['too-wide', 'too-high', 'off-screen', 'overlap'];
  return new Map(
    [...found].filter(
      ([, { check, severity, where }]) =>
        severity === 'error' &&
        layout.includes(check) &&
        where.some(({ textScale, to }) => textScale === 1 && to >= from),
    ),
  );
}

/** A screen that is checked. */
export interface Checked {
  /** Kept from one sweep to the next. */
  readonly boxes: ViewBoxes;
  readonly project: Project;
  readonly screen: Control;
  readonly options: CheckOptions;
}

/**
 * @param wrong what is wrong with the screen as it is.
 */
export function* changeFindings(
  { boxes, project, screen, options }: Checked,
  wrong: ReadonlyMap<string, Gathered>,
  gather: Gather,
): Generator<CheckStep, Finding[], void> {
  const names = effectiveNames(screen);
  const found: Finding[] = [];
  for (const change of changesOf(project, screen)) {
    const { control, attribute, property } = change;
    const where = whereOf(project, change, options);
    if (!where) continue;
    const takeAway: Step = { type: 'set', control: control.id, property: attribute, value: null };
    const common = {
      control: control.id,
      other: undefined,
      attribute,
      where: [where],
      worst: 0,
      severity: 'warning',
      fixes: [{ label: `Take \`${attribute}\` from \`${names.get(control.id)}\``, steps: [takeAway] }],
    } as const;
    const value = inForce(control.props[attribute]);
    if (value !== undefined && value === withoutChange(project, change)) {
      found.push({
        ...common,
        check: 'no-difference',
        sentence: `\`${names.get(control.id)}\` says \`${attribute}\` is ${value}, which ${property} is without it.`,
      });
      continue;
    }
    const now = errorsWhere(wrong, where);
    // A clean screen has nothing that a change could have made worse.
    if (now.size === 0) continue;
    const applied = applySteps(project, [takeAway]);
    const without = applied.ok ? applied.project.screens.find(({ id }) => id === screen.id) : undefined;
    if (!applied.ok || !without) continue;
    const scope = { ...options, from: where.from, textScales: [1] };
    const before = errorsWhere(yield* gather(boxes, applied.project, without, scope), where);
    const [worst] = [...now].flatMap(([key, error]) => (before.has(key) ? [] : [error]));
    const mended = [...before.keys()].some((key) => !now.has(key));
    if (!worst || mended) continue;
    found.push({
      ...common,
      where: worst.where,
      check: 'worse',
      sentence: `With \`${attribute}\` of \`${names.get(control.id)}\` something goes wrong with \`${names.get(worst.control)}\` that does not without it.`,
    });
  }
  return found;
}
