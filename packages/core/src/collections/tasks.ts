/** The project's tasks: what is done with the running application, and what is expected. */
import { isRecord } from '../document/record.ts';
import { mostTaskSteps, type Task, taskNameProblem, taskStepProblem } from '../document/task.ts';
import type { Collection, Fault } from './collection.ts';

const fields = ['name', 'start', 'steps'] satisfies (keyof Task)[];

function fault(task: unknown): Fault | undefined {
  if (!isRecord(task) || typeof task.name !== 'string')
    return { path: 'name', message: 'A task has no name.' };
  const named = taskNameProblem(task.name);
  if (named) return { path: 'name', message: named };
  const at = (path: string, message: string): Fault => ({ path, message: `Task “${task.name}”: ${message}` });
  if (task.start !== undefined && typeof task.start !== 'string')
    return at('start', 'the screen that it begins on is no name.');
  if (!Array.isArray(task.steps)) return at('steps', 'its steps are no list.');
  if (task.steps.length > mostTaskSteps) return at('steps', `it has more than ${mostTaskSteps} steps.`);
  for (const [index, step] of task.steps.entries()) {
    const problem = taskStepProblem(step);
    if (problem) return at(`steps[${index}]`, problem);
  }
  return undefined;
}

export const tasks: Collection<Task> = {
  id: 'tasks',
  word: 'task',
  least: 0,
  most: 500,
  optional: true,
  ownFile: true,
  fields,
  keyOf: ({ name }) => name,
  keyProblem: taskNameProblem,
  fault,
  empty: (name) => ({ name, steps: [] }),
  rekeyed: (task, name) => ({ ...task, name }),
  uses: () => [],
};
