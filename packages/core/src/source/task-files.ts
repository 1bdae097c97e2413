/** `tasks/NAME.task.json`: one task a file, and back. */
import { collectionFault } from '../collections/catalogue.ts';
import { tasks as collection } from '../collections/tasks.ts';
import { messageOf } from '../document/error-message.ts';
import { type Task, taskFiles } from '../document/task.ts';
import type { SourceProblem } from './problem.ts';

/** Whether a path in a folder is that of a task. */
export const isTaskFile = (path: string): boolean => /^tasks\/[^/]+\.task\.json$/.test(path);

export type TasksReading =
  | { readonly ok: true; readonly tasks: readonly Task[] }
  | { readonly ok: false; readonly problems: readonly SourceProblem[] };

/** Reads the tasks of a folder, in the order of their files. */
export function readTaskFiles(files: ReadonlyMap<string, string>): TasksReading {
  const problems: SourceProblem[] = [];
  const read: Task[] = [];
  for (const path of [...files.keys()].filter(isTaskFile).toSorted()) {
    const fail = (message: string) => problems.push({ file: path, line: 1, column: 1, message });
    let task: unknown;
    try {
      task = JSON.parse(files.get(path) ?? '');
    } catch (error) {
      fail(messageOf(error));
      continue;
    }
    const fault = collectionFault(collection, [...read, task], { bands: [] });
    if (fault) fail(fault.message);
    else read.push(task as Task);
  }
  return problems.length > 0 ? { ok: false, problems } : { ok: true, tasks: read };
}

/** A task as its file has it: a step on each line. */
const taskText = ({ name, start, steps }: Task): string => {
  const head = [
    `"name": ${JSON.stringify(name)}`,
    ...(start === undefined ? [] : [`"start": ${JSON.stringify(start)}`]),
  ];
  const lines = steps.map((step) => `    ${JSON.stringify(step)}`).join(',\n');
  return `{\n  ${head.join(',\n  ')},\n  "steps": [${lines === '' ? '' : `\n${lines}\n  `}]\n}\n`;
};

/** The files of some tasks, by path. */
export const printTaskFiles = (tasks: readonly Task[]): ReadonlyMap<string, string> =>
  new Map([...taskFiles(tasks)].map(([path, task]) => [path, taskText(task)]));
