/** Finds the colours that meet on the screens of a project, beside the interface. Of several requests the last one counts. */
import type { ColourPair, Project } from '@hovrin/core';
import { sliced } from '../workbench/every-width/sliced.ts';

export interface PairsRequest {
  /** Rises. */
  readonly id: number;
  readonly project: Project;
}

export interface PairsAnswer {
  readonly id: number;
  /** Screens that have been gone through. */
  readonly screens: number;
  /** All pairs, once all screens have been gone through. */
  readonly pairs?: readonly ColourPair[];
  readonly problem?: string;
}

let newest = 0;
const answer = (message: PairsAnswer) => self.postMessage(message);

async function find({ id, project }: PairsRequest): Promise<void> {
  // Loaded here, since the shaper takes its time to start and a request that came meanwhile would be lost.
  const [core, { loadShaper }] = await Promise.all([import('@hovrin/core'), import('../fonts.ts')]);
  const view = new core.ScreenView(await loadShaper());
  let screens = 0;
  const end = await sliced(
    core.colourPairs(view, project),
    () => newest === id,
    (parts) => {
      screens += parts.length;
      answer({ id, screens });
    },
  );
  if (end) answer({ id, screens: project.screens.length, pairs: end.result });
}

self.onmessage = ({ data }: MessageEvent<PairsRequest>) => {
  newest = data.id;
  find(data).catch((error: unknown) => answer({ id: data.id, screens: 0, problem: String(error) }));
};
