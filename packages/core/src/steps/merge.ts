/** Joining steps: what typing and dragging do many times over becomes one step. */
import type { Step } from './step.ts';

/** One step that does what two in a row do; undefined where there is none. */
export function mergeSteps(first: Step, second: Step): Step | undefined {
  if (first.type === 'set' && second.type === 'set')
    return first.control === second.control && first.property === second.property ? second : undefined;
  if (first.type === 'rename' && second.type === 'rename')
    return first.control === second.control ? second : undefined;
  if (first.type === 'move' && second.type === 'move')
    return first.control === second.control ? second : undefined;
  if (first.type === 'project' && second.type === 'project')
    return first.key === second.key ? second : undefined;
  return undefined;
}

/** The same change in as few steps as neighbours can be joined into. */
export function mergeAll(steps: readonly Step[]): Step[] {
  const merged: Step[] = [];
  for (const step of steps) {
    const last = merged.at(-1);
    const joined = last && mergeSteps(last, step);
    if (joined) merged[merged.length - 1] = joined;
    else merged.push(step);
  }
  return merged;
}
