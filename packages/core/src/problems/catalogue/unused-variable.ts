/** State variables that nothing reads or sets. */
import type { Project, StateVariable } from '../../document/types.ts';
import { followedBy } from '../../expression/address.ts';
import { usesOfState } from '../../meaning/state-uses.ts';
import { dropping } from '../../steps/entities.ts';
import type { FoundProblem, ProblemKind } from '../problem.ts';

/** Names of the variables that others name: they follow them, are told a status, refer to their rows. */
const namedByOthers = ({ state }: Project): ReadonlySet<string> =>
  new Set(
    state.flatMap((variable) => {
      const { feed, table, columns = [] } = variable;
      const named = [...followedBy(variable), feed?.status, table?.status];
      return [...named, ...columns.map(({ refers }) => refers?.list)].filter((name) => name !== undefined);
    }),
  );

export const unusedVariable: ProblemKind = {
  name: 'unused-variable',
  title: 'Unused variable',
  severity: 'advice',
  find(project) {
    const named = namedByOthers(project);
    const isUnused = ({ name }: StateVariable) => !named.has(name) && usesOfState(project, name).length === 0;
    return project.state.filter(isUnused).map(
      (variable): FoundProblem => ({
        place: { in: 'state', variable: variable.name },
        sentence: `Nothing reads or sets \`${variable.name}\`.`,
        fixes: [{ label: `Delete ${variable.name}`, steps: [dropping('state', variable)] }],
      }),
    );
  },
};
