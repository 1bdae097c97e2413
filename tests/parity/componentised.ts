/** A screen of which parts became components: it says the same in another way. */
import {
  applySteps,
  type Control,
  componentPlan,
  detach,
  isInstance,
  makeComponent,
  type Project,
  walk,
} from '@hovrin/core';
import { Chance, trialProject } from './documents.ts';

/** A project after steps that must fit. */
function changed(project: Project, steps: Parameters<typeof applySteps>[1]): Project {
  const applied = applySteps(project, steps);
  if (!applied.ok) throw new Error(`${applied.reason} (${applied.control})`);
  return applied.project;
}

let made = 0;
const newId = () => `k${++made}`;

/** Some parts of a screen as components, one inside another too; containers at times with a slot. */
export function componentised(screen: Control, seed: number, many = 3): Project {
  const chance = new Chance(seed);
  let project = trialProject(screen);
  for (let count = 0; count < many; count++) {
    const [now] = project.screens as [Control];
    const candidates = [...walk(now)].filter((control) => control !== now && !isInstance(control));
    if (candidates.length === 0) return project;
    const plan = componentPlan(project, chance.one(candidates).id);
    if (typeof plan === 'string') continue;
    const hasSlot = plan.top.children.length > 0 && chance.of(0.4);
    const { steps } = makeComponent(project, plan, { ...plan, ...(hasSlot ? { slot: [] } : {}) }, newId);
    const applied = applySteps(project, steps);
    // Some kinds stand in others only, where an instance cannot.
    if (applied.ok) project = applied.project;
  }
  return project;
}

/** All instances on a project's screens as the controls that they stand for. */
export function detachedAll(project: Project): Project {
  for (let now = project; ; ) {
    const instance = now.screens.flatMap((each) => [...walk(each)]).find(isInstance);
    if (!instance) return now;
    const done = detach(now, instance.id, newId);
    if (typeof done === 'string') throw new Error(done);
    now = changed(now, done.steps);
  }
}
