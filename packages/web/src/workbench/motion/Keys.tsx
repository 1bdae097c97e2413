/** The keys of a motion: the time line, and what the chosen ones say. */
import {
  type Control,
  type KeyWanted,
  type Motion,
  progressAt,
  repeatedKeys,
  retimed,
  type Step,
  timeOf,
} from '@hovrin/core';
import { ArrowLeft } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { newId } from '../../editor/commands/command.ts';
import { KeyFields } from './KeyFields.tsx';
import { rowsOf, type TimeRow } from './rows.ts';
import { TimeLine } from './TimeLine.tsx';
import type { Player } from './usePlayer.ts';

interface KeysProps {
  readonly line: Control;
  readonly motion: Motion;
  readonly player: Player;
  readonly onSteps: (label: string, steps: readonly Step[], group?: string) => void;
  readonly onKey: (wanted: KeyWanted) => void;
  /** What stands beside the time line while no key is chosen. */
  readonly beside: ReactNode;
  /** What stands above it. */
  readonly above: ReactNode;
}

export function Keys({ line, motion, player, onSteps, onKey, beside, above }: KeysProps) {
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const rows = rowsOf(line, motion.seconds);
  const keys = line.children.filter(({ id }) => chosen.has(id));
  const head = player.at === undefined ? undefined : progressAt(motion, player.at);
  /** A key on a row: with what the one before it says. */
  const add = ({ control, property, keys: there }: TimeRow, at: number) => {
    const text = there.findLast((each) => each.at <= at)?.text ?? there[0]?.text;
    if (text !== undefined) onKey({ control, at, values: { [property]: text } });
  };
  const lineUp = () => {
    const steps = retimed(keys, () => head ?? 0);
    onSteps('Line up keys', steps);
  };
  const repeat = () => {
    const first = Math.min(...keys.map((key) => timeOf(key, motion.seconds)));
    onSteps('Copy keys', repeatedKeys(line, keys, (head ?? 0) - first, newId));
  };
  const show = (at: number) => {
    player.pause();
    player.show(at);
  };
  return (
    <div className="flex h-full min-h-0">
      <section
        aria-label="Motion"
        className="flex w-56 shrink-0 flex-col gap-2 overflow-y-auto border-r border-rule p-2"
      >
        {keys.length > 0 ? (
          <>
            <button type="button" className="btn-bare self-start" onClick={() => setChosen(new Set())}>
              <ArrowLeft size={13} aria-hidden /> The motion
            </button>
            <KeyFields keys={keys} head={head} onSteps={onSteps} onLineUp={lineUp} onRepeat={repeat} />
          </>
        ) : (
          beside
        )}
      </section>
      <div className="flex min-w-0 flex-1 flex-col">
        {above}
        {rows.length === 0 ? (
          <p className="m-auto max-w-md p-4 text-center text-quiet">
            Select a control and choose what moves of it, or press Record, drag the playhead and change
            something.
          </p>
        ) : (
          <TimeLine
            motion={motion}
            rows={rows}
            at={player.at}
            chosen={chosen}
            onShow={show}
            onChoose={setChosen}
            onSteps={onSteps}
            onKey={add}
          />
        )}
      </div>
    </div>
  );
}
