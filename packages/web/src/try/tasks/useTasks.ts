/** What Try knows of tasks: the one that is recorded, those that are done, and how they went. */
import { putting, startScreen, type Task, type TaskStep } from '@hovrin/core';
import { useEffect, useRef, useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { useHeld } from '../../editor/held.ts';
import type { LinkedFrames } from '../linkedFrames.ts';
import { begun, cancelled, noRun, recorded, stepDone, type TaskRun, turnOver } from './taskRuns.ts';

/** A task that is being recorded. */
export interface Recording {
  readonly start: string;
  readonly steps: readonly TaskStep[];
  /** What is pressed next is expected as it is. */
  readonly expects: boolean;
  /** Nothing more is recorded; it has no name yet. */
  readonly isOver: boolean;
}

interface TasksSetting {
  readonly frames: LinkedFrames;
  /** The screen that is open on the bench. */
  readonly screen: string;
  /** Shows one size, or all. */
  readonly onSize: (label: string | undefined) => void;
  /** The application begins anew. */
  readonly onAgain: () => void;
}

export function useTasks({ frames, screen, onSize, onAgain }: TasksSetting) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  // What was recorded is there again where one comes back; the application has begun anew meanwhile.
  const [recording, setRecording] = useHeld<Recording | undefined>('recording', undefined);
  const isBack = useRef(true);
  useEffect(() => {
    if (isBack.current) setRecording((before) => before && { ...before, expects: false, isOver: true });
    isBack.current = false;
  }, [setRecording]);
  const [run, setRun] = useState<TaskRun>(noRun);
  const [turn] = run.turns;
  const isRecording = recording !== undefined && !recording.isOver;
  const expects = recording?.expects === true;
  useEffect(() => frames.setRecording({ on: isRecording, expects }), [frames, isRecording, expects]);
  // Each turn begins with the application from its beginning, at its size alone.
  const begin = useRef({ onSize, onAgain });
  begin.current = { onSize, onAgain };
  const isDoing = turn !== undefined;
  useEffect(() => {
    if (!turn) return;
    begin.current.onSize(turn.size);
    begin.current.onAgain();
  }, [turn]);
  const wasDoing = useRef(false);
  useEffect(() => {
    if (wasDoing.current && !isDoing) begin.current.onSize(undefined);
    wasDoing.current = isDoing;
  }, [isDoing]);
  const start = (task: Task) => task.start ?? startScreen(project)?.name ?? '';
  return {
    recording,
    run,
    isDoing,
    isRecording,
    /** The screen that the application begins on. */
    startsOn: turn ? start(turn.task) : (recording?.start ?? screen),
    record: () => {
      setRecording({ start: screen, steps: [], expects: false, isOver: false });
      onAgain();
    },
    expect: () => setRecording((before) => before && { ...before, expects: !before.expects }),
    removeStep: (index: number) =>
      setRecording((before) => before && { ...before, steps: before.steps.toSpliced(index, 1) }),
    stop: () => setRecording((before) => before && { ...before, expects: false, isOver: true }),
    discard: () => setRecording(undefined),
    save: (name: string) => {
      if (!recording) return;
      const { start: from, steps } = recording;
      editor.dispatch({ label: `Add task ${name}`, steps: [putting('tasks', { name, start: from, steps })] });
      setRecording(undefined);
    },
    runAll: (tasks: readonly Task[], sizes: readonly string[]) =>
      setRun((before) => begun(before, tasks, sizes)),
    cancel: () => setRun(cancelled),
    /** A person has done a step. */
    onStep: (step: TaskStep) =>
      setRecording((before) =>
        before && !before.isOver
          ? { ...before, steps: recorded(before.steps, step), expects: false }
          : before,
      ),
    /** The application runs at a size. */
    onStarted: (size: string) => {
      if (turn?.size === size) frames.doTask(size, turn.task.steps);
    },
    onTaskStep: (index: number, problem: string | undefined) =>
      setRun((before) => stepDone(before, index, problem)),
    onTaskEnd: () => setRun(turnOver),
  };
}

export type Tasks = ReturnType<typeof useTasks>;
