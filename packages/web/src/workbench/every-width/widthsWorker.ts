/**
 * Checks a screen at every width and sweeps it, beside the interface. One worker does both, the checks first: they would
 * only take the processor from each other, and what the one has found out about a box the other knows, too.
 */

import type { CheckStep, Control, Project, ProjectDelta, ViewBoxes } from '@hovrin/core';
import { itemAt, messageOf } from '@hovrin/core';
import type { Shaper } from '@hovrin/core/text/shaper';
import type { CheckRequest, SweepRequest, WidthsAnswer, WidthsRequest } from './request.ts';
import { sliced } from './sliced.ts';

/** The document of the last request, and all that was worked out of its boxes: a change costs only the boxes that it touches. */
let known: { readonly project: Project; readonly boxes: ViewBoxes } | undefined;

/** The last request for each task that has not been begun. */
const waiting = new Map<WidthsRequest['task'], WidthsRequest>();
const newest = new Map<WidthsRequest['task'], number>();
let busy = false;

const answer = (message: WidthsAnswer) => self.postMessage(message);
const isNewest = ({ task, id }: WidthsRequest) => newest.get(task) === id;

type Core = typeof import('@hovrin/core');

/** What changed, request by request, and is not in the document yet. */
let deltas: ProjectDelta[] = [];

/** What both tasks begin with: the newest document, with all that is known about it. */
function opened(core: Core, shaper: Shaper): { project: Project; boxes: ViewBoxes } {
  let project = known?.project;
  for (const delta of deltas) project = core.withDelta(project, delta);
  deltas = [];
  known = { project: project!, boxes: known?.boxes ?? core.boxesToCheck(shaper) };
  return known;
}

const stretchesIn = (steps: readonly CheckStep[]) => steps.filter((step) => step === 'stretch').length;

async function check(core: Core, shaper: Shaper, request: CheckRequest): Promise<void> {
  const { id, task, rightToLeft } = request;
  const { project, boxes } = opened(core, shaper);
  let stretches = 0;
  const end = await sliced(
    core.checkScreen(shaper, project, screenOf(project), { ...core.usualCheck, rightToLeft }, boxes),
    () => isNewest(request),
    (steps) => {
      stretches += stretchesIn(steps);
      answer({ id, task, done: false, findings: [], stretches });
    },
  );
  if (!end) return;
  stretches += stretchesIn(end.parts);
  answer({ id, task, done: true, findings: end.result, stretches });
}

async function sweep(core: Core, shaper: Shaper, request: SweepRequest): Promise<void> {
  const { id, task, options } = request;
  const { project, boxes } = opened(core, shaper);
  const end = await sliced(
    core.sweep(shaper, project, screenOf(project), options, boxes),
    () => isNewest(request),
    (parts) => answer({ id, task, done: false, parts }),
  );
  if (end) answer({ id, task, done: true, parts: end.parts });
}

const screenOf = ({ screens }: Project): Control => itemAt(screens, 0);

async function work(request: WidthsRequest): Promise<void> {
  // Loaded here, since the shaper takes its time to start and a request that came meanwhile would be lost.
  const [core, { loadShaper }] = await Promise.all([import('@hovrin/core'), import('../../fonts.ts')]);
  const shaper = await loadShaper();
  if (!isNewest(request)) return;
  await (request.task === 'check' ? check(core, shaper, request) : sweep(core, shaper, request));
}

function fail({ id, task }: WidthsRequest, error: unknown): void {
  const problem = messageOf(error);
  if (task === 'check') answer({ id, task, done: true, findings: [], stretches: 0, problem });
  else answer({ id, task, done: true, parts: [], problem });
}

async function workAll(): Promise<void> {
  busy = true;
  for (;;) {
    const next = waiting.get('check') ?? waiting.get('sweep');
    if (!next) break;
    waiting.delete(next.task);
    await work(next).catch((error: unknown) => fail(next, error));
  }
  busy = false;
}

self.onmessage = ({ data }: MessageEvent<WidthsRequest>) => {
  newest.set(data.task, data.id);
  waiting.set(data.task, data);
  deltas.push(data.delta);
  if (!busy) void workAll();
};
