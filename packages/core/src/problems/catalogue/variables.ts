/** State variables that cannot be worked out, or name what is not there. */
import { columnsOf } from '../../document/table.ts';
import type { Project, StateVariable } from '../../document/types.ts';
import { checkComputed } from '../../expression/computed.ts';
import type { FoundProblem, ProblemKind } from '../problem.ts';

/** What is wrong with a variable, as sentences. */
function* faults(project: Project, variable: StateVariable): Generator<string> {
  const { computed, feed, table, columns = [], screen } = variable;
  const named = (name: string) => project.state.find((each) => each.name === name);
  if (computed !== undefined) {
    const read = checkComputed(variable, project.state);
    if (!read.ok) yield read.problem.message;
  }
  for (const status of [feed?.status, table?.status])
    if (status !== undefined && named(status)?.type !== 'text')
      yield `Its status is told to \`${status}\`, which is no text variable.`;
  if (screen !== undefined && !project.screens.some(({ name }) => name === screen))
    yield `It belongs to the screen \`${screen}\`, which is not there.`;
  for (const { name, refers } of columns) {
    const list = refers && named(refers.list);
    if (refers && !list) yield `\`${name}\` refers to \`${refers.list}\`, which is not there.`;
    else if (list && !columnsOf(list).some((each) => each.name === refers.column))
      yield `\`${name}\` refers to \`${refers.column}\` of \`${refers.list}\`, which has no such column.`;
  }
}

export const variables: ProblemKind = {
  name: 'variable',
  title: 'Variable cannot hold',
  severity: 'error',
  find: (project) =>
    project.state.flatMap((variable) =>
      [...faults(project, variable)].map(
        (fault): FoundProblem => ({
          place: { in: 'state', variable: variable.name },
          sentence: `\`${variable.name}\`: ${fault}`,
        }),
      ),
    ),
};
