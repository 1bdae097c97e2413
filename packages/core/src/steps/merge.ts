/** Joining steps: what typing and dragging do many times over becomes one step. */
import { mergeSteps, type Step } from './step.ts';

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
