/** Tasks: recorded, looked at, and done again at all sizes that are shown. */

import {
  changing,
  dropping,
  effectiveNames,
  freshName,
  inForce,
  isExpectation,
  type Project,
  plainControl,
  type Task,
  type TaskStep,
  taskNameProblem,
  taskStepWords,
  walk,
} from '@hovrin/core';
import { Check, Circle, CircleStop, Play, Target, Trash2, TriangleAlert, X } from 'lucide-react';
import { useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { TypedField } from '../../parts/TypedField.tsx';
import { PaneHead } from '../PaneHead.tsx';
import { type TaskResult, verdict } from './taskRuns.ts';
import type { Recording, Tasks } from './useTasks.ts';

interface TasksPaneProps {
  readonly tasks: Tasks;
  /** Labels of the sizes that tasks are done at. */
  readonly sizes: readonly string[];
  /** The task that the address asks for. */
  readonly wanted: string | null;
  readonly onClose: () => void;
}

export function TasksPane({ tasks, sizes, wanted, onClose }: TasksPaneProps) {
  const { project } = useEditorState('project');
  const all = project.tasks ?? [];
  const [chosen, setChosen] = useState<string | undefined>(wanted ?? undefined);
  const task = all.find(({ name }) => name === chosen) ?? all[0];
  const { recording, isRecording, isDoing } = tasks;
  return (
    <section
      aria-label="Tasks"
      className="flex w-[min(380px,34vw)] shrink-0 flex-col border-l border-rule bg-sheet text-[12.5px]"
    >
      <PaneHead title="Tasks" onClose={onClose}>
        {isRecording ? (
          <>
            <button type="button" className="btn !h-6" onClick={tasks.stop}>
              <CircleStop size={13} aria-hidden /> Stop
            </button>
            <button
              type="button"
              className="btn !h-6 aria-pressed:border-lake aria-pressed:bg-lake/15"
              aria-pressed={recording?.expects}
              title="Press on what you expect: its text or value is kept as a step"
              onClick={tasks.expect}
            >
              <Target size={13} aria-hidden /> Expect
            </button>
          </>
        ) : (
          <button type="button" className="btn !h-6" disabled={isDoing} onClick={tasks.record}>
            <Circle size={13} aria-hidden className="fill-brick text-brick" /> Record
          </button>
        )}
        <span className="flex-1" />
        {isDoing ? (
          <button type="button" className="btn !h-6" onClick={tasks.cancel}>
            <CircleStop size={13} aria-hidden /> Stop doing them
          </button>
        ) : (
          <button
            type="button"
            className="btn !h-6"
            disabled={all.length === 0 || recording !== undefined}
            title={`At ${sizes.join(', ')}`}
            onClick={() => tasks.runAll(all, sizes)}
          >
            <Play size={13} aria-hidden /> Do all
          </button>
        )}
      </PaneHead>
      {isRecording && (
        <p role="status" className="px-3 pt-2 text-quiet">
          {recording?.expects
            ? 'Press on what you expect; beside all controls it is the screen.'
            : 'Do what a person does. What you do is recorded.'}
        </p>
      )}
      <div className="flex min-h-0 flex-1 flex-col">
        {recording ? (
          <Recorded recording={recording} tasks={tasks} />
        ) : all.length === 0 ? (
          <p className="m-auto p-6 text-center text-quiet">
            A task is what a person does, and what they expect. Record one: do it, press Expect and then what
            you want to see. It is done again at every size here, and by{' '}
            <code className="font-mono">hovrin test</code>.
          </p>
        ) : (
          <>
            <TaskList {...{ all, tasks, sizes }} chosen={task?.name} onChoose={setChosen} />
            {task && <TaskSteps key={task.name} task={task} tasks={tasks} onName={setChosen} />}
          </>
        )}
      </div>
    </section>
  );
}

/** How a task went, as a sign with words. */
function Mark({ results }: { readonly results: readonly TaskResult[] | undefined }) {
  const went = verdict(results);
  if (went === undefined) return results ? <span className="text-quiet">…</span> : null;
  const words = went
    ? 'went well'
    : `failed at ${(results ?? []).flatMap(({ size, problem }) => (problem === undefined ? [] : size)).join(', ')}`;
  const Icon = went ? Check : TriangleAlert;
  return (
    <span className={`flex items-center gap-1 ${went ? 'text-spruce' : 'text-brick'}`}>
      <Icon size={13} aria-hidden /> {words}
    </span>
  );
}

function TaskList({
  all,
  tasks,
  sizes,
  chosen,
  onChoose,
}: {
  all: readonly Task[];
  tasks: Tasks;
  sizes: readonly string[];
  chosen: string | undefined;
  onChoose: (name: string) => void;
}) {
  return (
    <ul className="max-h-[45%] shrink-0 overflow-y-auto border-b border-rule" aria-label="All tasks">
      {all.map((task) => (
        <li
          key={task.name}
          className={`flex items-center gap-2 border-b border-rule/50 px-3 py-1 ${task.name === chosen ? 'bg-sunk' : ''}`}
        >
          <button
            type="button"
            className="min-w-0 flex-1 truncate text-left font-medium"
            aria-current={task.name === chosen}
            onClick={() => onChoose(task.name)}
          >
            {task.name}
          </button>
          <Mark results={tasks.run.results.get(task.name)} />
          <button
            type="button"
            className="btn-bare !h-6 text-quiet"
            aria-label={`Do ${task.name}`}
            disabled={tasks.isDoing}
            onClick={() => tasks.runAll([task], sizes)}
          >
            <Play size={13} />
          </button>
        </li>
      ))}
    </ul>
  );
}

function TaskSteps({ task, tasks, onName }: { task: Task; tasks: Tasks; onName: (name: string) => void }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const results = tasks.run.results.get(task.name) ?? [];
  const isTaken = (name: string) =>
    project.tasks?.some((each) => each !== task && each.name === name) === true;
  const failed = results.filter(({ problem }) => problem !== undefined);
  const doing = results.find(({ isOver }) => !isOver);
  return (
    <div className="flex min-w-0 flex-1 flex-col gap-1 overflow-y-auto p-3">
      <div className="flex items-start gap-2">
        <TypedField
          label="Name of the task"
          kept={task.name}
          className="!font-sans"
          problemOf={(text) =>
            taskNameProblem(text) ?? (isTaken(text) ? 'There is a task of that name.' : undefined)
          }
          onText={(name) => {
            editor.dispatch({
              label: `Rename ${task.name}`,
              steps: [{ type: 'rename', of: 'tasks', key: task.name, to: name }],
            });
            onName(name);
          }}
        />
        <button
          type="button"
          className="btn-bare text-quiet hover:text-brick"
          aria-label={`Delete ${task.name}`}
          onClick={() => editor.dispatch({ label: `Delete ${task.name}`, steps: [dropping('tasks', task)] })}
        >
          <Trash2 size={14} />
        </button>
      </div>
      <Steps
        steps={task.steps}
        done={doing?.done}
        problems={failed.map(({ done, problem = '', size }) => ({ at: done, words: `${size}: ${problem}` }))}
        onRemove={(index) =>
          editor.dispatch({
            label: `Step of ${task.name}`,
            steps: changing('tasks', task, { ...task, steps: task.steps.toSpliced(index, 1) }),
          })
        }
      />
    </div>
  );
}

function Recorded({ recording, tasks }: { recording: Recording; tasks: Tasks }) {
  const { project } = useEditorState('project');
  const isTaken = (name: string) => project.tasks?.some((each) => each.name === name) === true;
  const [name, setName] = useState(() => freshName('Task ', isTaken));
  const { steps, isOver } = recording;
  const problem =
    taskNameProblem(name.trim()) ?? (isTaken(name.trim()) ? 'There is a task of that name.' : undefined);
  return (
    <div className="flex min-w-0 flex-1 flex-col gap-2 overflow-y-auto p-3">
      {isOver && (
        <form
          className="flex flex-wrap items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (!problem && steps.length > 0) tasks.save(name.trim());
          }}
        >
          <label className="flex w-full flex-col gap-1">
            What is done in it
            <input
              // biome-ignore lint/a11y/noAutofocus: recording ended by a press; its name is what comes next.
              autoFocus
              className="field"
              aria-invalid={problem !== undefined}
              value={name}
              onFocus={({ target }) => target.select()}
              onChange={({ target }) => setName(target.value)}
            />
          </label>
          <button
            type="submit"
            className="btn btn-main"
            disabled={problem !== undefined || steps.length === 0}
          >
            Keep the task
          </button>
          <button type="button" className="btn" onClick={tasks.discard}>
            Discard it
          </button>
          {problem && (
            <span role="alert" className="text-brick">
              {problem}
            </span>
          )}
        </form>
      )}
      {steps.length === 0 ? (
        <p className="m-auto text-quiet">{isOver ? 'Nothing was recorded.' : 'Nothing was done yet.'}</p>
      ) : (
        <>
          {steps.some((step) => entersPassword(project, step)) && (
            <p className="text-copper">
              A password is kept in the task as it was typed: use one that is for trying only.
            </p>
          )}
          <Steps steps={steps} problems={[]} onRemove={tasks.removeStep} />
        </>
      )}
    </div>
  );
}

/** Whether a step enters a password, which stands in the task's file then. */
function entersPassword({ screens }: Project, step: TaskStep): boolean {
  if (step.do !== 'enter') return false;
  const screen = screens.find(({ name }) => name === step.screen);
  const names = screen && effectiveNames(screen);
  return (
    screen !== undefined &&
    [...walk(screen)].some(
      ({ id, props }) => names?.get(id) === plainControl(step.control) && inForce(props.type) === 'password',
    )
  );
}

interface StepsProps {
  readonly steps: readonly TaskStep[];
  /** How many of them are done, while they are. */
  readonly done?: number | undefined;
  readonly problems: readonly { readonly at: number; readonly words: string }[];
  readonly onRemove: (index: number) => void;
}

/** The screen of a step, where the one before was on another. */
function movesTo(steps: readonly TaskStep[], index: number): string | undefined {
  const screenOf = (step: TaskStep | undefined) =>
    step && 'screen' in step && step.do !== 'expect-screen' ? step.screen : undefined;
  const now = screenOf(steps[index]);
  const before = steps
    .slice(0, index)
    .map(screenOf)
    .findLast((screen) => screen !== undefined);
  return now === before ? undefined : now;
}

const Steps = ({ steps, done, problems, onRemove }: StepsProps) => (
  <ol aria-label="Steps" className="flex flex-col">
    {steps.map((step, index) => (
      // biome-ignore lint/suspicious/noArrayIndexKey: a step is told by its place.
      <li key={index} className="group flex items-baseline gap-2 py-0.5">
        <span className="w-6 shrink-0 text-right text-quiet">{index + 1}</span>
        <span className={isExpectation(step) ? 'text-lake' : ''}>{taskStepWords(step)}</span>
        {movesTo(steps, index) && <span className="shrink-0 text-quiet">on {movesTo(steps, index)}</span>}
        {done !== undefined && index < done && (
          <Check size={12} className="self-center text-spruce" aria-label="done" />
        )}
        {problems
          .filter(({ at }) => at === index)
          .map(({ words }) => (
            <span key={words} className="text-brick">
              {words.replaceAll('`', '')}
            </span>
          ))}
        <button
          type="button"
          className="btn-bare ml-auto !h-5 !min-w-5 !px-0 text-quiet opacity-0 group-hover:opacity-100 focus-visible:opacity-100"
          aria-label={`Remove step ${index + 1}`}
          onClick={() => onRemove(index)}
        >
          <X size={12} />
        </button>
      </li>
    ))}
  </ol>
);
