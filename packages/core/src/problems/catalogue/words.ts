/** What people who do not see the screen are not told: fields without a label, pressable controls without a name (WCAG 2.2, 4.1.2). */
import { effectiveNames } from '../../document/names.ts';
import { spoken } from '../../document/spoken.ts';
import { walk } from '../../document/tree.ts';
import { type Control, inForce, type Project, treesOf } from '../../document/types.ts';
import { kindOf } from '../../kinds/catalogue.ts';
import type { Property } from '../../kinds/kind.ts';
import type { FoundProblem, ProblemKind } from '../problem.ts';

/** The property that says what a control is called; undefined where its kind has none. */
const labelOf = (control: Control): Property | undefined =>
  kindOf(control).properties.find(
    ({ page }) => page?.part === 'part-label' || (page?.as === 'attribute' && page.name === 'aria-label'),
  );

const isSaid = (control: Control, { name }: Pick<Property, 'name'>): boolean =>
  (inForce(control.props[name]) ?? '').trim() !== '';

/** Whether a control, or something in it, has words. */
const hasWords = (control: Control): boolean =>
  [...walk(control)].some((each) =>
    kindOf(each).properties.some(
      (property) => property.group === 'content' && property.type.field === 'words' && isSaid(each, property),
    ),
  );

const isHidden = ({ props }: Control): boolean => inForce(props.hidden) === 'true';

/** All controls that are seen, with their trees. */
const seen = (project: Project): (readonly [tree: Control, control: Control])[] =>
  treesOf(project).flatMap((tree) =>
    [...walk(tree)].filter((control) => !isHidden(control)).map((control) => [tree, control] as const),
  );

/** A label that a control can be given by its name. */
function labelling(control: Control, { name }: Property): FoundProblem['fixes'] {
  if (control.name === undefined) return [];
  const words = spoken(control.name.replace(/Field$/, ''));
  return [
    {
      label: `Call it “${words}”`,
      steps: [{ type: 'set', control: control.id, property: name, value: words }],
    },
  ];
}

export const noLabel: ProblemKind = {
  name: 'no-label',
  title: 'Field without a label',
  severity: 'warning',
  find: (project) =>
    seen(project).flatMap(([tree, control]): FoundProblem[] => {
      const { group, properties } = kindOf(control);
      const label = labelOf(control);
      if (group !== 'ask' || !label || isSaid(control, label)) return [];
      if (!properties.some(({ twoWay }) => twoWay)) return [];
      return [
        {
          place: { in: 'control', tree, control, attribute: label.name },
          sentence: `\`${effectiveNames(tree).get(control.id)}\` has no label: nobody is told what to enter.`,
          fixes: labelling(control, label) ?? [],
        },
      ];
    }),
};

export const noName: ProblemKind = {
  name: 'no-name',
  title: 'Pressed, and has no name',
  severity: 'warning',
  find: (project) =>
    seen(project).flatMap(([tree, control]): FoundProblem[] => {
      if (inForce(control.props['on.press']) === undefined || hasWords(control)) return [];
      const label = labelOf(control);
      return [
        {
          place: { in: 'control', tree, control, ...(label ? { attribute: label.name } : {}) },
          sentence: `\`${effectiveNames(tree).get(control.id)}\` is pressed, and has no words: who cannot see it does not know what it does.`,
          fixes: label ? (labelling(control, label) ?? []) : [],
        },
      ];
    }),
};
