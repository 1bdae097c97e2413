/** Playing a motion on the bench: the core says what each frame is. */
import { lengthOf, type Motion } from '@hovrin/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useBenchView } from '../bench/benchView.ts';

export interface Player {
  /** Seconds from the motion's start; undefined: the bench shows the screen without it. */
  readonly at: number | undefined;
  readonly isPlaying: boolean;
  readonly speed: number;
  setSpeed(speed: number): void;
  /** Shows an instant; undefined: the screen without the motion. */
  show(at: number | undefined): void;
  play(): void;
  pause(): void;
}

export const speeds = [0.25, 0.5, 1, 2] as const;

/** @param motion what is played; another one begins anew. */
export function usePlayer(motion: Motion | undefined): Player {
  const { setInstant } = useBenchView();
  const [at, setAt] = useState<number>();
  const [isPlaying, setPlaying] = useState(false);
  const [speed, setSpeed] = useState(1);
  const name = motion?.name;
  const latest = useRef({ at, motion, speed });
  latest.current = { at, motion, speed };
  const show = useCallback(
    (time: number | undefined) => {
      const { motion: now } = latest.current;
      setAt(time);
      setInstant(time === undefined || !now ? undefined : { name: now.name, at: time });
    },
    [setInstant],
  );
  // biome-ignore lint/correctness/useExhaustiveDependencies: another motion begins anew.
  useEffect(() => {
    setPlaying(false);
    show(undefined);
    return () => setInstant(undefined);
  }, [name, show, setInstant]);
  useEffect(() => {
    if (!isPlaying) return;
    let before = performance.now();
    let frame = requestAnimationFrame(function next(now) {
      const { at: time = 0, motion: played, speed: pace } = latest.current;
      if (!played) return;
      const then = time + ((now - before) / 1000) * pace;
      before = now;
      const end = lengthOf(played);
      if (then >= end) {
        show(end);
        setPlaying(false);
        return;
      }
      show(then);
      frame = requestAnimationFrame(next);
    });
    return () => cancelAnimationFrame(frame);
  }, [isPlaying, show]);
  return {
    at,
    isPlaying,
    speed,
    setSpeed,
    show,
    play: () => {
      if (motion && (at ?? 0) >= lengthOf(motion)) show(0);
      setPlaying(true);
    },
    pause: () => setPlaying(false),
  };
}
