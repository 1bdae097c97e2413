/** Checks a screen at every width beside the interface; a newer request ends the one before it. */
import type { Finding, Project } from '@hovrin/core';
import { sliced } from './sliced.ts';

export interface CheckRequest {
  readonly id: number;
  readonly project: Project;
  readonly screen: string;
}

export interface CheckAnswer {
  readonly id: number;
  /** Undefined while it goes on. */
  readonly findings?: readonly Finding[];
  /** How many stretches are done. */
  readonly stretches: number;
  readonly problem?: string;
}

let newest = 0;
const answer = (message: CheckAnswer) => self.postMessage(message);

async function work({ id, project, screen }: CheckRequest): Promise<void> {
  // Loaded here, since the shaper takes its time to start and a request that came meanwhile would be lost.
  const [{ checkScreen }, { loadShaper }] = await Promise.all([
    import('@hovrin/core'),
    import('../fonts.ts'),
  ]);
  const shaper = await loadShaper();
  if (id !== newest) return;
  const control = project.screens.find((entry) => entry.id === screen);
  if (!control) return answer({ id, findings: [], stretches: 0 });
  let stretches = 0;
  const end = await sliced(
    checkScreen(shaper, project, control),
    () => id === newest,
    (parts) => {
      stretches += parts.length;
      answer({ id, stretches });
    },
  );
  if (end) answer({ id, findings: end.result, stretches: stretches + end.parts.length });
}

self.onmessage = ({ data }: MessageEvent<CheckRequest>) => {
  newest = data.id;
  work(data).catch((error: unknown) =>
    answer({
      id: data.id,
      findings: [],
      stretches: 0,
      problem: error instanceof Error ? error.message : String(error),
    }),
  );
};
