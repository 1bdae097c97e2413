/** State variables that cannot be worked out, or name what is not there. */
import { keyOf } from '../../document/row-identity.ts';
import { columnsOf } from '../../document/table.ts';
import type { Project, StateVariable } from '../../document/types.ts';
import { checkTemplate } from '../../expression/check.ts';
import { checkComputed } from '../../expression/computed.ts';
import { ownCode } from '../../expression/own-code.ts';
import { contextOf } from '../../meaning/property-text.ts';
import type { FoundProblem, ProblemKind } from '../problem.ts';

/** What is wrong with a request, or with rows behind a service, as sentences. */
function* serviceFaults(project: Project, { request, remote, columns }: StateVariable): Generator<string> {
  const named = (name: string) => project.state.find((each) => each.name === name);
  if (request && !project.sources?.some(({ name }) => name === request.source))
    yield `It asks \`${request.source}\`, which is no source of the project.`;
  for (const { name, value } of request?.parameters ?? []) {
    const read = value === undefined ? undefined : checkTemplate(`{${value}}`, contextOf(project));
    if (read && !read.ok) yield `What its parameter \`${name}\` follows: ${read.problem.message}`;
  }
  if (!remote) return;
  for (const [part, name] of Object.entries(remote))
    if (!named(name)?.request) yield `Its rows ${remoteWords[part]} by \`${name}\`, which is no request.`;
  if (keyOf(columns) === undefined)
    yield 'No column of it is its key, by which the service knows a row: its rows stay on the page.';
}

const remoteWords: Readonly<Record<string, string>> = {
  list: 'are listed',
  add: 'are added',
  change: 'are changed',
  remove: 'are removed',
};

/** What is wrong with a variable, as sentences. */
function* faults(project: Project, variable: StateVariable): Generator<string> {
  const { computed, feed, table, columns = [], screen } = variable;
  const named = (name: string) => project.state.find((each) => each.name === name);
  if (computed !== undefined) {
    const read = checkComputed(variable, project.state);
    const isOwn = read.ok && computed.includes(ownCode);
    const calls = isOwn ? checkTemplate(`{${computed}}`, contextOf(project)) : read;
    if (!calls.ok) yield calls.problem.message;
  }
  for (const status of [feed?.status, table?.status])
    if (status !== undefined && named(status)?.type !== 'text')
      yield `Its status is told to \`${status}\`, which is no text variable.`;
  yield* serviceFaults(project, variable);
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
