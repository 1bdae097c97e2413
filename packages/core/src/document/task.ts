/**
 * Tasks: what a person does with the running application, step by step, and what they expect. They are recorded in Try, kept
 * with the project, and done again by machine.
 */
import { isRecord } from './record.ts';

/** Something that holds of a control. */
export const controlStates = [
  'shown',
  'hidden',
  'enabled',
  'disabled',
  'checked',
  'unchecked',
  'invalid',
] as const;
export type ControlState = (typeof controlStates)[number];

/** Where a control is: its screen or dialog, and its name; in a repeat with the place of its row, `guestIn[2]`. */
interface OnScreen {
  readonly screen: string;
  readonly control: string;
}

/** One step. */
export type TaskStep =
  /** `item`: the words of the one that is pressed, where the control has several: a tab, an entry of a menu. */
  | ({ readonly do: 'press'; readonly item?: string } & OnScreen)
  /** Something is entered: a text, the value of an option, a tick set or taken away; `item`: which of several ticks, by its value. */
  | ({ readonly do: 'enter'; readonly value: string | boolean; readonly item?: string } & OnScreen)
  /** A key, as `on.key` reads it: `Enter`, `Control+s`. */
  | ({ readonly do: 'key'; readonly key: string } & OnScreen)
  | { readonly do: 'back' }
  | { readonly do: 'wait'; readonly seconds: number }
  /** A control shows this text, holds this value, or is so. */
  | ({
      readonly do: 'expect';
      readonly text?: string;
      readonly value?: string;
      readonly is?: ControlState;
    } & OnScreen)
  /** This screen, or this dialog on top, is seen. */
  | { readonly do: 'expect-screen'; readonly screen: string }
  /** A state variable holds this. */
  | { readonly do: 'expect-value'; readonly variable: string; readonly value: unknown };

export interface Task {
  /** What is done, in a few words; unique among the tasks. */
  readonly name: string;
  /** The screen that it begins on; absent: the project's first. */
  readonly start?: string;
  readonly steps: readonly TaskStep[];
}

const longest = 2000;
export const mostTaskSteps = 500;
const longestTaskWait = 60;

const isText = (value: unknown): value is string => typeof value === 'string' && value.length <= longest;

/** Why a text cannot be a task's name; undefined where it can. */
export function taskNameProblem(name: string): string | undefined {
  if (name.trim() === '') return 'A task has a name: what is done in it.';
  if (name !== name.trim() || name.length > 80 || /[\p{Cc}/\\]/u.test(name))
    return 'A task’s name has at most 80 characters on one line, and no slashes.';
  return undefined;
}

/** Fields of each kind of step besides `do`. */
const fieldsOf: Readonly<Record<TaskStep['do'], readonly string[]>> = {
  press: ['screen', 'control', 'item'],
  enter: ['screen', 'control', 'value', 'item'],
  key: ['screen', 'control', 'key'],
  back: [],
  wait: ['seconds'],
  expect: ['screen', 'control', 'text', 'value', 'is'],
  'expect-screen': ['screen'],
  'expect-value': ['variable', 'value'],
};

/** What is wrong with a step from outside; undefined where nothing is. */
export function taskStepProblem(step: unknown): string | undefined {
  if (!isRecord(step) || !isText(step.do) || !Object.hasOwn(fieldsOf, step.do))
    return `a step does none of ${Object.keys(fieldsOf).join(', ')}.`;
  const kind = step.do as TaskStep['do'];
  const fields = fieldsOf[kind];
  const strange = Object.keys(step).find((field) => field !== 'do' && !fields.includes(field));
  if (strange !== undefined) return `a step that does \`${kind}\` has no \`${strange}\`.`;
  for (const field of ['screen', 'control', 'key', 'variable'])
    if (fields.includes(field) && !isText(step[field]))
      return `a step that does \`${kind}\` has no \`${field}\`.`;
  if (step.item !== undefined && !isText(step.item)) return 'the item of a step is no text.';
  if (kind === 'enter' && !isText(step.value) && typeof step.value !== 'boolean')
    return 'what is entered is a text, true or false.';
  if (kind === 'wait' && !(Number(step.seconds) > 0 && Number(step.seconds) <= longestTaskWait))
    return `a task waits at most ${longestTaskWait} seconds at a time.`;
  return kind === 'expect' ? expectationProblem(step) : undefined;
}

function expectationProblem({ text, value, is }: Readonly<Record<string, unknown>>): string | undefined {
  if ([text, value, is].filter((each) => each !== undefined).length !== 1)
    return 'a control is expected to have one of `text`, `value`, `is`.';
  if (text !== undefined && !isText(text)) return 'the text that is expected is none.';
  if (value !== undefined && !isText(value)) return 'the value that is expected is no text.';
  return is === undefined || controlStates.some((each) => each === is)
    ? undefined
    : `a control is expected to be one of ${controlStates.join(', ')}.`;
}

/** A control's name without the places of its rows: `guestIn[2]` is `guestIn`. */
export const plainControl = (control: string): string => control.replace(/(\[\d+\])+$/, '');

const quoted = (text: string): string => `“${text.length > 60 ? `${text.slice(0, 60)} …` : text}”`;

/** A step as a sentence, as a person reads it in a list. */
export function taskStepWords(step: TaskStep): string {
  switch (step.do) {
    case 'press':
      return step.item === undefined
        ? `Press ${step.control}`
        : `Press ${quoted(step.item)} in ${step.control}`;
    case 'enter':
      if (typeof step.value === 'boolean') {
        const which = step.item === undefined ? step.control : `${quoted(step.item)} in ${step.control}`;
        return `${step.value ? 'Tick' : 'Untick'} ${which}`;
      }
      return step.value === '' ? `Empty ${step.control}` : `Enter ${quoted(step.value)} into ${step.control}`;
    case 'key':
      return `Press the key ${step.key} in ${step.control}`;
    case 'back':
      return 'Go back';
    case 'wait':
      return `Wait ${step.seconds} s`;
    case 'expect':
      if (step.is !== undefined) return `${step.control} is ${step.is}`;
      return step.text === undefined
        ? `${step.control} holds ${quoted(step.value ?? '')}`
        : `${step.control} says ${quoted(step.text)}`;
    case 'expect-screen':
      return `${step.screen} is seen`;
    case 'expect-value':
      return `${step.variable} is ${quoted(JSON.stringify(step.value) ?? '')}`;
  }
}

/** Whether a step only looks. */
export const isExpectation = (step: TaskStep): boolean => step.do.startsWith('expect');

/** The steps of a task in which a control of a screen has another name. */
export const withControlRenamed = (task: Task, screen: string, from: string, to: string): Task => ({
  ...task,
  steps: task.steps.map((step) =>
    'control' in step && step.screen === screen && plainControl(step.control) === from
      ? { ...step, control: to + step.control.slice(from.length) }
      : step,
  ),
});

/**
 * A task, or some of its fields, in which a screen or a variable has another name.
 *
 * @returns the same object where it does not name it.
 */
export function taskRenamed<T extends Partial<Task>>(
  task: T,
  of: 'screen' | 'variable',
  from: string,
  to: string,
): T {
  const isIt = (step: TaskStep) =>
    of === 'screen' ? 'screen' in step && step.screen === from : 'variable' in step && step.variable === from;
  const begins = of === 'screen' && task.start === from;
  if (!begins && !task.steps?.some(isIt)) return task;
  return {
    ...task,
    ...(begins ? { start: to } : {}),
    ...(task.steps ? { steps: task.steps.map((step) => (isIt(step) ? { ...step, [of]: to } : step)) } : {}),
  };
}

/** The file of each task: its name in small letters, told apart by a number where two would be the same. */
export function taskFiles(tasks: readonly Task[]): ReadonlyMap<string, Task> {
  const files = new Map<string, Task>();
  for (const task of tasks) {
    const stem =
      task.name
        .toLowerCase()
        .replace(/[^\p{L}\p{N}]+/gu, '-')
        .replace(/^-|-$/g, '') || 'task';
    let path = `tasks/${stem}.task.json`;
    for (let number = 2; files.has(path); number++) path = `tasks/${stem}-${number}.task.json`;
    files.set(path, task);
  }
  return files;
}
