/** Playing a motion on the bench: beginning, play and hold, speed, time, recording. */
import { Circle, Pause, Play, SkipBack, Square } from 'lucide-react';
import type { ReactNode } from 'react';
import { type Player, speeds } from './usePlayer.ts';

interface TransportProps {
  readonly player: Player;
  readonly isRecording: boolean;
  readonly onRecording: (on: boolean) => void;
  /** What stands at the end of the line. */
  readonly children: ReactNode;
}

export function Transport({ player, isRecording, onRecording, children }: TransportProps) {
  return (
    <div
      role="toolbar"
      aria-label="Playing"
      className="flex h-9 shrink-0 items-center gap-1 border-b border-rule px-2"
    >
      <button
        type="button"
        className="btn-bare"
        aria-label="To the beginning"
        title="To the beginning"
        onClick={() => player.show(0)}
      >
        <SkipBack size={15} />
      </button>
      <button
        type="button"
        className="btn-bare"
        aria-label={player.isPlaying ? 'Hold' : 'Play'}
        title={player.isPlaying ? 'Hold' : 'Play on the bench'}
        onClick={player.isPlaying ? player.pause : player.play}
      >
        {player.isPlaying ? <Pause size={15} /> : <Play size={15} />}
      </button>
      <button
        type="button"
        className="btn-bare"
        aria-label="Without the motion"
        title="Show the screen without the motion"
        disabled={player.at === undefined}
        onClick={() => {
          player.pause();
          player.show(undefined);
        }}
      >
        <Square size={13} />
      </button>
      <select
        className="field !h-6 !w-16 shrink-0"
        aria-label="Speed"
        value={player.speed}
        onChange={({ target }) => player.setSpeed(Number(target.value))}
      >
        {speeds.map((speed) => (
          <option key={speed} value={speed}>
            {speed} ×
          </option>
        ))}
      </select>
      <output className="w-14 shrink-0 text-right font-mono whitespace-nowrap text-[12px]" aria-label="Time">
        {player.at === undefined ? '–' : `${player.at.toFixed(2)} s`}
      </output>
      <button
        type="button"
        className={`btn !h-6 ${isRecording ? '!border-brick !text-brick' : ''}`}
        aria-pressed={isRecording}
        title="What is changed on the bench and in Facts becomes a key at the playhead"
        onClick={() => onRecording(!isRecording)}
      >
        <Circle size={11} fill={isRecording ? 'currentColor' : 'none'} aria-hidden />
        {isRecording ? 'Recording' : 'Record'}
      </button>
      <span className="flex-1" />
      {children}
    </div>
  );
}
