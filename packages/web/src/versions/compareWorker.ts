/** Compares two versions beside the interface: the documents at once, the layouts screen by screen. */
import type { Comparison, Project, TreeComparison } from '@hovrin/core';
import { sliced } from '../workbench/every-width/sliced.ts';

export interface CompareRequest {
  /** Rises. */
  readonly id: number;
  readonly before: Project;
  readonly after: Project;
}

export interface CompareAnswer {
  readonly id: number;
  readonly comparison?: Comparison;
  /** Screens whose layouts are known by now, each with those. */
  readonly trees: readonly TreeComparison[];
  readonly done: boolean;
  readonly problem?: string;
}

/** The widths that are gone through, and the height of the view. */
const options = { from: 280, to: 1920, height: 800 };

let newest = 0;
const answer = (message: CompareAnswer) => self.postMessage(message);

async function compare({ id, before, after }: CompareRequest): Promise<void> {
  const [core, { loadShaper }] = await Promise.all([import('@hovrin/core'), import('../fonts.ts')]);
  const comparison = core.compareProjects(before, after);
  answer({ id, comparison, trees: [], done: false });
  let trees: TreeComparison[] = [];
  const end = await sliced(
    core.comparedScreens(await loadShaper(), [before, after], comparison, options),
    () => newest === id,
    (parts) => {
      trees = [...trees, ...parts];
      answer({ id, trees, done: false });
    },
  );
  if (end) answer({ id, trees: [...trees, ...end.parts], done: true });
}

self.onmessage = ({ data }: MessageEvent<CompareRequest>) => {
  newest = data.id;
  compare(data).catch((error: unknown) =>
    answer({ id: data.id, trees: [], done: true, problem: String(error) }),
  );
};
