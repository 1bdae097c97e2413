/** Checks a screen at every width beside the interface; a newer request ends the one before it. */
import type { CheckStep, Finding, Project, ViewBoxes } from '@hovrin/core';
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
/** The document of the last request, and what is known about its boxes: a change costs what it touches. */
let known: { readonly project: Project; readonly boxes: ViewBoxes } | undefined;

const swept = (steps: readonly CheckStep[]) => steps.filter((step) => step === 'stretch').length;
const answer = (message: CheckAnswer) => self.postMessage(message);

async function work({ id, project, screen }: CheckRequest): Promise<void> {
  // Loaded here, since the shaper takes its time to start and a request that came meanwhile would be lost.
  const [{ boxesToCheck, checkScreen, keepSame, usualCheck }, { loadShaper }] = await Promise.all([
    import('@hovrin/core'),
    import('../fonts.ts'),
  ]);
  const shaper = await loadShaper();
  if (id !== newest) return;
  const kept = keepSame(known?.project, project);
  known = { project: kept, boxes: known?.boxes ?? boxesToCheck(shaper) };
  const control = kept.screens.find((entry) => entry.id === screen);
  if (!control) return answer({ id, findings: [], stretches: 0 });
  let stretches = 0;
  const end = await sliced(
    checkScreen(shaper, kept, control, usualCheck, known.boxes),
    () => id === newest,
    (parts) => {
      stretches += swept(parts);
      answer({ id, stretches });
    },
  );
  if (end) answer({ id, findings: end.result, stretches: stretches + swept(end.parts) });
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
