/** Works out sweeps beside the interface; a newer request ends the one before it. */
import type { Project, SweepOptions, SweepPart } from '@hovrin/core';
import { sliced } from './sliced.ts';

export interface SweepRequest {
  readonly id: number;
  readonly project: Project;
  readonly screen: string;
  readonly options: SweepOptions;
}

export interface SweepAnswer {
  readonly id: number;
  readonly parts: readonly SweepPart[];
  readonly done: boolean;
  readonly problem?: string;
}

let newest = 0;

const answer = (message: SweepAnswer) => self.postMessage(message);

async function work({ id, project, screen, options }: SweepRequest): Promise<void> {
  // Loaded here, since the shaper takes its time to start and a request that came meanwhile would be lost.
  const [{ sweep }, { loadShaper }] = await Promise.all([import('@hovrin/core'), import('../fonts.ts')]);
  const shaper = await loadShaper();
  if (id !== newest) return;
  const control = project.screens.find((entry) => entry.id === screen);
  if (!control) return answer({ id, parts: [], done: true });
  const end = await sliced(
    sweep(shaper, project, control, options),
    () => id === newest,
    (parts) => answer({ id, parts, done: false }),
  );
  if (end) answer({ id, parts: end.parts, done: true });
}

self.onmessage = ({ data }: MessageEvent<SweepRequest>) => {
  newest = data.id;
  work(data).catch((error: unknown) =>
    answer({
      id: data.id,
      parts: [],
      done: true,
      problem: error instanceof Error ? error.message : String(error),
    }),
  );
};
