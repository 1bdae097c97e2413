/** Tasks whose steps name what is not there. */
import { controlNames } from '../../document/names.ts';
import { plainControl, type Task, taskStepWords } from '../../document/task.ts';
import type { Project } from '../../document/types.ts';
import { expandedProject } from '../../reuse/expand.ts';
import type { FoundProblem, ProblemKind } from '../problem.ts';

/** What is wrong with a task, step by step. */
function* faults({ screens, state }: Project, { start, steps }: Task): Generator<string> {
  const named = (name: string) => screens.find((screen) => screen.name === name);
  if (start !== undefined && !named(start)) yield `it begins on \`${start}\`, which is no screen.`;
  for (const [index, step] of steps.entries()) {
    const at = `step ${index + 1}, “${taskStepWords(step)}”`;
    if ('screen' in step) {
      const screen = named(step.screen);
      if (!screen) yield `${at}: there is no screen \`${step.screen}\`.`;
      else if ('control' in step && !controlNames(screen).has(plainControl(step.control)))
        yield `${at}: there is no control \`${plainControl(step.control)}\` on \`${step.screen}\`.`;
    }
    if (step.do === 'expect-value' && !state.some(({ name }) => name === step.variable))
      yield `${at}: there is no state variable \`${step.variable}\`.`;
  }
}

export const taskProblems: ProblemKind = {
  name: 'task',
  title: 'Task cannot be done',
  severity: 'error',
  find(project) {
    if (!project.tasks) return [];
    const expanded = expandedProject(project);
    return project.tasks.flatMap((task) =>
      [...faults(expanded, task)].map(
        (fault): FoundProblem => ({
          place: { in: 'task', task: task.name },
          sentence: `In “${task.name}” ${fault}`,
        }),
      ),
    );
  },
};
