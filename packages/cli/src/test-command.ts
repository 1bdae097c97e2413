/** `hovrin test`: does the tasks of a project, each at every size, in a browser, and says how they went. */
import { messageOf, type Task, taskStepWords } from '@hovrin/core';
import { packFolder } from '@hovrin/files';
import { BadInput, readInput } from './bad-input.ts';
import { readOptions, readSize, type Size } from './options.ts';
import { type Went, withTester } from './tester.ts';

const usualSizes = ['390x844', '1280x800'];

/** A task at a size, and how it went. */
interface Report extends Went {
  readonly task: string;
  readonly size: string;
}

/** How a task went, on a line or two. */
function reportText(task: Task, { size, done, problem, problems }: Report): string {
  const where = `${task.name}, ${size}`;
  const notes = problems.map((text) => `  ${text}\n`).join('');
  if (problem === undefined) return `ok    ${where} (${done} steps)\n${notes}`;
  const step = task.steps[done];
  const at = step ? `step ${done + 1}, “${taskStepWords(step)}”` : 'the beginning';
  return `FAIL  ${where}\n  ${at}: ${problem.replaceAll('`', '')}\n${notes}`;
}

/** The tasks that are asked for by name; all where none is. @throws BadInput */
function chosenTasks(all: readonly Task[], names: readonly string[] | undefined): readonly Task[] {
  const strange = names?.find((name) => !all.some((task) => task.name === name));
  if (strange !== undefined)
    throw new BadInput(`There is no task “${strange}”; there are: ${all.map(({ name }) => name).join(', ')}`);
  return names ? all.filter(({ name }) => names.includes(name)) : all;
}

export async function testCommand(words: readonly string[], print: (text: string) => void): Promise<number> {
  const { values, positionals } = readOptions(words, {
    size: { type: 'string', multiple: true },
    task: { type: 'string', multiple: true },
    browser: { type: 'string' },
    json: { type: 'boolean' },
  });
  const [path, ...more] = positionals;
  if (path === undefined || more.length > 0) throw new BadInput('One folder is needed: `hovrin test FOLDER`');
  const { project } = await readInput(path);
  const tasks = chosenTasks(project.tasks ?? [], values.task);
  if (tasks.length === 0) throw new BadInput(`${path} has no tasks: they are recorded in Try.`);
  const sizes: readonly (readonly [string, Size])[] = (values.size ?? usualSizes).map((text) => [
    text,
    readSize(text),
  ]);
  const reports: Report[] = [];
  const say = (text: string) => values.json || print(text);
  try {
    await withTester(await packFolder(path), values.browser, async (tester) => {
      for (const task of tasks)
        for (const [size, room] of sizes) {
          const report = { task: task.name, size, ...(await tester.go(task, room)) };
          reports.push(report);
          say(reportText(task, report));
        }
    });
  } catch (error) {
    throw new BadInput(messageOf(error));
  }
  const failed = reports.filter(({ problem }) => problem !== undefined).length;
  if (values.json) print(`${JSON.stringify(reports, null, 2)}\n`);
  else print(`${reports.length - failed} passed, ${failed} failed\n`);
  return failed > 0 ? 1 : 0;
}
