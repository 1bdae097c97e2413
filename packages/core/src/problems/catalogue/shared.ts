/** Names in `shared` that several controls of one screen have: a browser moves none of them then (CSS View Transitions 1 §2.1). */
import { repetitionOf } from '../../cascade/repetition.ts';
import { type Control, inForce } from '../../document/types.ts';
import { hasExpression } from '../../expression/template.ts';
import type { FoundProblem, ProblemKind } from '../problem.ts';

/** Controls that share something by a name that is the same wherever they stand. */
function* sharing(
  control: Control,
  repeats: boolean,
): Generator<{ control: Control; name: string; repeats: boolean }> {
  const name = inForce(control.props.shared);
  if (name !== undefined && !hasExpression(name)) yield { control, name, repeats };
  const inner = repeats || repetitionOf(control) !== undefined;
  for (const child of control.children) yield* sharing(child, inner);
}

export const sharedTwice: ProblemKind = {
  name: 'shared-twice',
  title: 'Shared by several',
  severity: 'warning',
  find: ({ screens }) =>
    screens.flatMap((screen) => {
      const all = [...sharing(screen, false)];
      return all
        .filter(
          ({ control, name, repeats }) =>
            repeats || all.find((each) => each.name === name)?.control !== control,
        )
        .map(
          ({ control, name, repeats }): FoundProblem => ({
            place: { in: 'control', tree: screen, control, attribute: 'shared' },
            sentence: repeats
              ? `Each item would be \`${name}\`: none moves from screen to screen then. Write a name for each, such as \`{'${name}' + row.id}\`.`
              : `\`${name}\` is shared by another control of this screen, too: neither moves then.`,
          }),
        );
    }),
};
