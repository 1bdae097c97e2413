/** Takes an edited text into a project: the smallest steps that make the screen what the text says. */
import { walk } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { placeOf } from '../document/whereabouts.ts';
import { renameScreen } from '../steps/edits.ts';
import { applyStep, applySteps, type Step } from '../steps/step.ts';

/** Pairs controls of the text with those that are there: by name, else by kind and order among what is left. */
function pairs(before: Control, after: Control): Map<Control, Control> {
  const paired = new Map<Control, Control>([[after, before]]);
  const taken = new Set<Control>([before]);
  const byName = new Map<string, Control>();
  for (const control of walk(before))
    if (control !== before && control.name !== undefined) byName.set(control.name, control);
  const pair = (next: Control, old: Control) => {
    paired.set(next, old);
    taken.add(old);
  };
  for (const next of walk(after)) {
    const old = next.name === undefined || next === after ? undefined : byName.get(next.name);
    if (old && !taken.has(old)) pair(next, old);
  }
  // Names that only the text has may still be taken by one that lost its own.
  const kept = new Set([...walk(after)].flatMap(({ name }) => name ?? []));
  const visit = (next: Control) => {
    const old = paired.get(next);
    for (const accept of [
      (a: Control, b: Control) => a.kind === b.kind && JSON.stringify(a.props) === JSON.stringify(b.props),
      (a: Control, b: Control) => a.kind === b.kind,
    ])
      for (const child of next.children) {
        if (paired.has(child)) continue;
        const free = old?.children.find(
          (each) =>
            !taken.has(each) && !(each.name !== undefined && kept.has(each.name)) && accept(child, each),
        );
        if (free) pair(child, free);
      }
    next.children.forEach(visit);
  };
  visit(after);
  return paired;
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/**
 * @param screenId the screen that the text is of.
 * @param after the screen as the text has it; its ids are those of new controls.
 * @returns the steps; ids of controls that are still there stay.
 */
export function stepsToText(project: Project, screenId: string, after: Control): Step[] {
  const found = placeOf(project, screenId);
  if (!found || found.parent) throw new Error('There is no such screen');
  const before = found.control;
  const paired = pairs(before, after);
  let now = project;
  const steps: Step[] = [];
  const take = (step: Step): boolean => {
    const applied = applyStep(now, step);
    if (!applied.ok) return false;
    now = applied.project;
    steps.push(step);
    return true;
  };
  // Old ones that are still there, and the new ones.
  const still = new Set([...walk(after)].map((next) => (paired.get(next) ?? next).id));
  const holdsKept = (control: Control): boolean => [...walk(control)].some(({ id }) => still.has(id));
  const removeLost = (control: Control, evenAround: boolean): boolean =>
    control.children.every((child) =>
      still.has(child.id) || (!evenAround && holdsKept(child))
        ? removeLost(child, evenAround)
        : take({ type: 'remove', control: child.id }),
    );
  const sameSelf = (next: Control, old: Control) =>
    next.kind === old.kind && same(next.comments, old.comments);

  /** Gives a control what the text says of it, besides its children. */
  const own = (next: Control, old: Control): boolean => {
    const at = placeOf(now, old.id)!;
    if (!sameSelf(next, old)) {
      // Kind and comments have no steps of their own: the control is put there anew, under its id.
      const { comments: _, ...rest } = at.control;
      const control: Control = {
        ...rest,
        kind: next.kind,
        ...(next.name === undefined ? {} : { name: next.name }),
        props: next.props,
        ...(next.comments ? { comments: next.comments } : {}),
      };
      if (next.name === undefined) delete (control as { name?: string }).name;
      return (
        take({ type: 'remove', control: old.id }) &&
        take({ type: 'insert', parent: at.parent?.id ?? null, index: at.index, control })
      );
    }
    if (next.name !== old.name) {
      if (next === after && next.name !== undefined) {
        for (const step of renameScreen(now, old.id, next.name)) if (!take(step)) return false;
      } else if (!take({ type: 'name', control: old.id, name: next.name ?? null })) return false;
    }
    for (const property of new Set([...Object.keys(old.props), ...Object.keys(next.props)])) {
      const value = next.props[property] ?? null;
      const held = old.props[property];
      // What is typed and not valid yet is not in the text; it stays while the good value does.
      if (typeof held === 'object' && (inForce(held) ?? null) === value) continue;
      if ((held ?? null) !== value && !take({ type: 'set', control: old.id, property, value })) return false;
    }
    return true;
  };
  const isNew = (control: Control): boolean => [...walk(control)].every((each) => !paired.has(each));
  const visit = (next: Control, id: string): boolean =>
    next.children.every((child, index) => {
      const old = paired.get(child);
      if (!old) {
        // What is new throughout comes at once.
        if (isNew(child)) return take({ type: 'insert', parent: id, index, control: child });
        return (
          take({ type: 'insert', parent: id, index, control: { ...child, children: [] } }) &&
          visit(child, child.id)
        );
      }
      const at = placeOf(now, old.id)!;
      if (at.parent?.id !== id || at.index !== index)
        if (!take({ type: 'move', control: old.id, parent: id, index })) return false;
      return own(child, old) && visit(child, old.id);
    });
  const done =
    removeLost(before, false) &&
    own(after, before) &&
    visit(after, screenId) &&
    removeLost(placeOf(now, screenId)!.control, true);
  if (done) return steps;
  // Names that change places and the like: the screen is put there anew.
  const again: Step[] = [
    { type: 'remove', control: screenId },
    { type: 'insert', parent: null, index: found.index, control: { ...after, id: screenId } },
  ];
  return applySteps(project, again).ok ? again : [];
}
