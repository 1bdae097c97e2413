/** Tasks being done in Try: one after the other, each at each size, from the beginning of the application. */
import type { Task, TaskStep } from '@hovrin/core';

/** A task at one size. */
export interface TaskTurn {
  readonly task: Task;
  /** Label of the size. */
  readonly size: string;
}

/** How a task went at a size, as far as it has come. */
export interface TaskResult {
  readonly size: string;
  /** How many steps went well. */
  readonly done: number;
  /** Why the step behind those could not be done. */
  readonly problem?: string;
  readonly isOver: boolean;
}

/** How the tasks went, by their names. */
export type TaskResults = ReadonlyMap<string, readonly TaskResult[]>;

export interface TaskRun {
  /** What is being done, and what comes behind it; empty: all is done. */
  readonly turns: readonly TaskTurn[];
  readonly results: TaskResults;
}

export const noRun: TaskRun = { turns: [], results: new Map() };

/** Begins to do some tasks; what is known of others stays. */
export function begun({ results }: TaskRun, tasks: readonly Task[], sizes: readonly string[]): TaskRun {
  const forgotten = new Map([...results].filter(([name]) => !tasks.some((task) => task.name === name)));
  return { turns: tasks.flatMap((task) => sizes.map((size) => ({ task, size }))), results: forgotten };
}

/** The results of the task that is being done, with the one at its size made another. */
function withResult(run: TaskRun, change: (result: TaskResult) => TaskResult): TaskRun {
  const [turn] = run.turns;
  if (!turn) return run;
  const { task, size } = turn;
  const known = run.results.get(task.name) ?? [];
  const before = known.find((each) => each.size === size) ?? { size, done: 0, isOver: false };
  const others = known.filter((each) => each.size !== size);
  return { ...run, results: new Map(run.results).set(task.name, [...others, change(before)]) };
}

/** A step of the task that is being done went well, or could not be done. */
export const stepDone = (run: TaskRun, index: number, problem: string | undefined): TaskRun =>
  withResult(run, (result) =>
    problem === undefined ? { ...result, done: index + 1 } : { ...result, done: index, problem },
  );

/** The task that is being done is over: the next one has its turn. */
export function turnOver(run: TaskRun): TaskRun {
  const over = withResult(run, (result) => ({ ...result, isOver: true }));
  return { ...over, turns: over.turns.slice(1) };
}

/** Nothing more is done; what was not over is forgotten. */
export const cancelled = ({ results }: TaskRun): TaskRun => ({
  turns: [],
  results: new Map(
    [...results].flatMap(([name, each]) => {
      const over = each.filter(({ isOver }) => isOver);
      return over.length > 0 ? [[name, over] as const] : [];
    }),
  ),
});

/** Whether a task went well at all sizes; undefined: it was not done, or is not over. */
export function verdict(results: readonly TaskResult[] | undefined): boolean | undefined {
  if (!results || results.length === 0) return undefined;
  if (results.some(({ problem }) => problem !== undefined)) return false;
  return results.every(({ isOver }) => isOver) ? true : undefined;
}

/** Recorded steps with one more: what is entered into the same control again takes the place of what was. */
export function recorded(steps: readonly TaskStep[], step: TaskStep): readonly TaskStep[] {
  const last = steps.at(-1);
  const isSame =
    last?.do === 'enter' &&
    step.do === 'enter' &&
    last.screen === step.screen &&
    last.control === step.control &&
    last.item === step.item;
  return isSame ? [...steps.slice(0, -1), step] : [...steps, step];
}
