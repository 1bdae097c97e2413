/** What is wrong in a control as it stands: drafts, expressions whose names are gone, values of another type. */

import { asTyped, type Control, type Project, type PropertyValue } from '../document/types.ts';
import { sharingBudget } from '../expression/budget.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { misfitIn } from './misfits.ts';
import { contextOf, readAttributeText } from './property-text.ts';
import { sampleOf } from './readable.ts';

/** An attribute whose text is not valid, or gives something else than is wanted. */
export interface AttributeProblem {
  readonly attribute: string;
  readonly message: string;
  /** UTF-16 index into the attribute's text. */
  readonly at: number;
  /** The text holds nonetheless: only what comes out of it does not fit. */
  readonly holds: boolean;
}

/** What an event has that names another control. */
const namesControls = /\b(?:focus|scrollTo)\s*\(/;

const found = new WeakMap<
  Control,
  {
    state: Project['state'];
    screens: string;
    /** The names of the screen's controls, where its events may name some. */
    controls: ReadonlySet<string> | undefined;
    problems: readonly AttributeProblem[];
  }
>();

/** All attributes of a control that are not valid; worked out once for each version of it and of what it names. */
export function attributeProblems(project: Project, control: Control): readonly AttributeProblem[] {
  const screens = project.screens.map((screen) => screen.name).join();
  const known = found.get(control);
  if (
    known &&
    known.state === project.state &&
    known.screens === screens &&
    (!known.controls || known.controls === contextOf(project, control).controls)
  )
    return known.problems;
  const kind = kindOf(control);
  const context = contextOf(project, control);
  const problemOf = ([attribute, value]: [string, PropertyValue]): AttributeProblem[] => {
    const text = asTyped(value) ?? '';
    const reading = readAttributeText(kind, attribute, text, context);
    if (!reading.ok) return [{ attribute, message: reading.message, at: reading.at, holds: false }];
    const misfit = misfitIn(kind, attribute, text, context, (of) => {
      const sample = sampleOf(project, control, of);
      return 'value' in sample ? sample.value : undefined;
    });
    return misfit ? [{ attribute, ...misfit, holds: true }] : [];
  };
  const problems = sharingBudget(() => Object.entries(control.props).flatMap(problemOf));
  const points = Object.values(control.props).some((value) => namesControls.test(asTyped(value) ?? ''));
  const controls = points ? context.controls : undefined;
  found.set(control, { state: project.state, screens, controls, problems });
  return problems;
}
