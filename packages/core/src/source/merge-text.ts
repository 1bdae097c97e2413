/** Takes an edited text into a project: the smallest steps that make the screen what the text says. */
import { type Location, walk } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { placeOf } from '../document/whereabouts.ts';
import { renameTree } from '../steps/edits.ts';
import { applyStep, applySteps, type Step } from '../steps/step.ts';

/** Pairs controls of the text with those that are there: by id or name, else by kind and order among what is left. */
function pairs(before: Control, after: Control, byIds: boolean): Map<Control, Control> {
  const paired = new Map<Control, Control>([[after, before]]);
  const taken = new Set<Control>([before]);
  const byName = new Map<string, Control>();
  for (const control of walk(before))
    if (control !== before && control.name !== undefined) byName.set(control.name, control);
  const pair = (next: Control, old: Control) => {
    paired.set(next, old);
    taken.add(old);
  };
  // Two versions out of one log have the same ids; a text has others.
  const byId = new Map([...walk(before)].map((control) => [control.id, control]));
  for (const next of byIds ? walk(after) : []) {
    const old = byId.get(next.id);
    if (next !== after && old && !taken.has(old)) pair(next, old);
  }
  for (const next of walk(after)) {
    if (paired.has(next)) continue;
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

/** The steps that turn a screen into what its text says, taken one after the other. */
class Turning {
  readonly steps: Step[] = [];
  private now: Project;
  private readonly paired: ReadonlyMap<Control, Control>;
  /** Controls of the screen that the text still has, and its new ones. */
  private readonly still: ReadonlySet<string>;

  constructor(
    project: Project,
    private readonly before: Control,
    private readonly after: Control,
    byIds: boolean,
  ) {
    this.now = project;
    this.paired = pairs(before, after, byIds);
    this.still = new Set([...walk(after)].map((next) => (this.paired.get(next) ?? next).id));
  }

  /** @returns whether steps were found that all apply; otherwise some of them are in `steps`. */
  turn(): boolean {
    const { before, after } = this;
    return (
      this.removeLost(before, false) &&
      this.own(after, before) &&
      this.children(after, before.id) &&
      this.removeLost(this.placeOf(before.id).control, true)
    );
  }

  private placeOf(id: string): Location {
    const place = placeOf(this.now, id);
    if (!place) throw new Error(`There is no control ${id}`);
    return place;
  }

  private take(step: Step): boolean {
    const applied = applyStep(this.now, step);
    if (!applied.ok) return false;
    this.now = applied.project;
    this.steps.push(step);
    return true;
  }

  private holdsKept(control: Control): boolean {
    return [...walk(control)].some(({ id }) => this.still.has(id));
  }

  /** @param evenAround whether controls go around whom the text has others: those have been moved out of them. */
  private removeLost(control: Control, evenAround: boolean): boolean {
    return control.children.every((child) =>
      this.still.has(child.id) || (!evenAround && this.holdsKept(child))
        ? this.removeLost(child, evenAround)
        : this.take({ type: 'remove', control: child.id }),
    );
  }

  /** Gives a control what the text says of it, besides its children. */
  private own(next: Control, old: Control): boolean {
    if (next.kind !== old.kind || !same(next.comments, old.comments)) return this.anew(next, old);
    return this.name(next, old) && this.props(next, old);
  }

  /** Kind and comments have no steps of their own: the control is put there anew, under its id. */
  private anew(next: Control, old: Control): boolean {
    const at = this.placeOf(old.id);
    const { comments: _, name: __, ...rest } = at.control;
    const control: Control = {
      ...rest,
      kind: next.kind,
      ...(next.name === undefined ? {} : { name: next.name }),
      props: next.props,
      ...(next.comments ? { comments: next.comments } : {}),
    };
    return (
      this.take({ type: 'remove', control: old.id }) &&
      this.take({ type: 'insert', parent: at.parent?.id ?? null, index: at.index, control })
    );
  }

  private name(next: Control, old: Control): boolean {
    if (next.name === old.name) return true;
    if (next === this.after && next.name !== undefined)
      return renameTree(this.now, old.id, next.name).every((step) => this.take(step));
    return this.take({ type: 'name', control: old.id, name: next.name ?? null });
  }

  private props(next: Control, old: Control): boolean {
    for (const property of new Set([...Object.keys(old.props), ...Object.keys(next.props)])) {
      const value = next.props[property] ?? null;
      const held = old.props[property];
      // What is typed and not valid yet is not in the text; it stays while the good value does.
      if (typeof held === 'object' && (inForce(held) ?? null) === value) continue;
      if ((held ?? null) !== value && !this.take({ type: 'set', control: old.id, property, value }))
        return false;
    }
    return true;
  }

  private isNew(control: Control): boolean {
    return [...walk(control)].every((each) => !this.paired.has(each));
  }

  /** Puts, moves and changes the children of a control. @param id of the control as the screen has it. */
  private children(next: Control, id: string): boolean {
    return next.children.every((child, index) => {
      const old = this.paired.get(child);
      if (!old) {
        // What is new throughout comes at once.
        if (this.isNew(child)) return this.take({ type: 'insert', parent: id, index, control: child });
        const alone = { ...child, children: [] };
        return (
          this.take({ type: 'insert', parent: id, index, control: alone }) && this.children(child, child.id)
        );
      }
      const at = this.placeOf(old.id);
      if (at.parent?.id !== id || at.index !== index)
        if (!this.take({ type: 'move', control: old.id, parent: id, index })) return false;
      return this.own(child, old) && this.children(child, old.id);
    });
  }
}

/**
 * @param screenId the screen that the text is of.
 * @param after the screen as the text has it; its ids are those of new controls.
 * @param byIds what has the same id is the same control: both come out of one log.
 * @returns the steps; ids of controls that are still there stay.
 */
export function stepsToText(project: Project, screenId: string, after: Control, byIds = false): Step[] {
  const found = placeOf(project, screenId);
  if (!found || found.parent) throw new Error('There is no such screen');
  const turning = new Turning(project, found.control, after, byIds);
  if (turning.turn()) return turning.steps;
  // Names that change places and the like: the screen is put there anew.
  const again: Step[] = [
    { type: 'remove', control: screenId },
    { type: 'insert', parent: null, index: found.index, control: { ...after, id: screenId } },
  ];
  return applySteps(project, again).ok ? again : [];
}
