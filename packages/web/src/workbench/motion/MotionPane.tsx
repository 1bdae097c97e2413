/** The drawer of motions: which a screen or component has, a time line with keys, playing, recording. */
import {
  type Control,
  effectiveNames,
  inForce,
  type KeyWanted,
  keyed,
  type Motion,
  motionLines,
  newMotion,
  progressAt,
  recorded,
  type Step,
  themeOf,
  timelineOf,
} from '@hovrin/core';
import { Plus } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { newId } from '../../editor/commands/command.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { Keys } from './Keys.tsx';
import { MotionFields } from './MotionFields.tsx';
import { NewKey } from './NewKey.tsx';
import { Transport } from './Transport.tsx';
import { usePlayer } from './usePlayer.ts';
import { WhichMotion } from './WhichMotion.tsx';

interface MotionPaneProps {
  readonly tree: Control;
  /** What is selected; the screen itself where nothing is. */
  readonly control: Control;
}

/** A motion of a tree by itself, as a timeline. */
function useTimeline(tree: Control, line: Control | undefined): Motion | undefined {
  const { project } = useEditorState('project');
  return useMemo(() => {
    if (!line) return undefined;
    const controls = new Map([...effectiveNames(tree)].map(([id, name]) => [name, id]));
    const name = inForce(line.props.name) ?? '';
    return timelineOf({ name, line, controls }, themeOf(project).tokens);
  }, [project, tree, line]);
}

export function MotionPane({ tree, control }: MotionPaneProps) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const lines = motionLines(tree);
  const [lineId, setLineId] = useState<string>();
  const line = lines.find(({ id }) => id === lineId) ?? lines[0];
  const motion = useTimeline(tree, line);
  const player = usePlayer(motion);
  const [isRecording, setRecording] = useState(false);
  const head = motion && player.at !== undefined ? progressAt(motion, player.at) : undefined;
  const does = (label: string, steps: readonly Step[], group?: string) => {
    if (steps.length > 0) editor.dispatch({ label, steps, exact: true, ...(group ? { group } : {}) });
  };

  // What is done meanwhile becomes keys at the playhead.
  useEffect(() => {
    if (!isRecording || !line) return;
    editor.recorder = (now, steps) => recorded(now, { line: line.id, at: head ?? 0 }, steps, newId);
    return () => {
      editor.recorder = undefined;
    };
  }, [editor, isRecording, line, head]);

  const add = () => {
    const made = newMotion(tree, newId);
    setLineId(made.id);
    does('New motion', made.steps);
  };
  if (!line || !motion)
    return (
      <div className="flex h-full flex-col items-center justify-center gap-3 p-4 text-center">
        <p className="max-w-lg text-quiet">
          Nothing moves on {tree.name} yet. A motion has keys: what a control is at a time. Between two keys
          its values go over into each other.
        </p>
        <button type="button" className="btn btn-main" onClick={add}>
          <Plus size={14} aria-hidden /> New motion
        </button>
      </div>
    );
  const addKey = (wanted: KeyWanted) => does(`Key for ${wanted.control}`, keyed(line, wanted, newId));
  return (
    <Keys
      key={line.id}
      line={line}
      motion={motion}
      player={player}
      onSteps={does}
      onKey={addKey}
      beside={
        <>
          <WhichMotion lines={lines} line={line} onLine={setLineId} onAdd={add} onSteps={does} />
          <MotionFields project={project} line={line} onSteps={does} />
        </>
      }
      above={
        <Transport
          player={player}
          isRecording={isRecording}
          onRecording={(on) => {
            if (on && player.at === undefined) player.show(0);
            setRecording(on);
          }}
        >
          <NewKey tree={tree} control={control} head={head} onKey={addKey} />
        </Transport>
      }
    />
  );
}
