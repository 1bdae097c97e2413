/** Forms that cannot be sent, and buttons that send none. */
import { effectiveNames } from '../../document/names.ts';
import { pathTo, walk } from '../../document/tree.ts';
import { type Control, inForce, treesOf } from '../../document/types.ts';
import { kindOf } from '../../kinds/catalogue.ts';
import type { FoundProblem, ProblemKind } from '../problem.ts';

const sends = ({ props }: Control): boolean => (inForce(props.submits) ?? 'false') !== 'false';
/** Whether a control is sent as a whole. */
const isSent = (control: Control): boolean => kindOf(control).events.some(({ dom }) => dom === 'submit');

export const sendsNothing: ProblemKind = {
  name: 'sends-nothing',
  title: 'Sends nothing',
  severity: 'warning',
  find: (project) =>
    treesOf(project).flatMap((tree) =>
      [...walk(tree)].flatMap((control): FoundProblem[] => {
        const name = effectiveNames(tree).get(control.id);
        if (isSent(control) && inForce(control.props['on.submit']) !== undefined)
          return [...walk(control)].some(sends)
            ? []
            : [
                {
                  place: { in: 'control', tree, control },
                  sentence: `\`${name}\` has no button that sends it.`,
                },
              ];
        // In a component the form may be around the instance.
        if (!sends(control) || kindOf(tree).root !== 'screens') return [];
        return pathTo(project, control.id).some(isSent)
          ? []
          : [
              {
                place: { in: 'control', tree, control, attribute: 'submits' },
                sentence: `\`${name}\` sends the form that it is in, and is in none.`,
                fixes: [
                  {
                    label: 'Let it send nothing',
                    steps: [{ type: 'set', control: control.id, property: 'submits', value: null }],
                  },
                ],
              },
            ];
      }),
    ),
};
