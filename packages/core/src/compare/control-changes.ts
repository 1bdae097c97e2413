/** What differs between two versions of a tree, control by control, in words; and the steps that take it back. */
import { conditionsOf, propertyOf } from '../cascade/attributes.ts';
import { effectiveNames } from '../document/names.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { stepsToText } from '../source/merge-text.ts';
import { applyStep, type Step } from '../steps/step.ts';

/** A control that differs. */
export interface ControlChange {
  /** Its name, as the later version has it; as the earlier had it where it is gone. */
  readonly control: string;
  /** Id in the earlier version; of what was added in the later one. */
  readonly id: string;
  /** Name of its kind. */
  readonly kind: string;
  readonly how: 'added' | 'removed' | 'changed';
  /** What differs, one each; names stand between backquotes. */
  readonly words: readonly string[];
}

const quoted = (value: string | undefined): string => (value === undefined ? 'nothing' : `“${value}”`);

/** A value in a sentence, cut where it is long. */
function shortly(text: string | undefined): string {
  const line = text?.replaceAll(/\s+/g, ' ');
  return quoted(line && line.length > 60 ? `${line.slice(0, 60)} …` : line);
}

/** What an attribute is called: `text`, `gap from lap`, `background when hover`. */
export function attributeWords(attribute: string): string {
  const conditions = conditionsOf(attribute);
  if (attribute.startsWith('on.')) return `what happens on ${attribute.slice(3)}`;
  if (attribute.endsWith('.bind')) return `what ${attribute.slice(0, -5)} is bound to`;
  const words = conditions.join(' and ');
  return words === '' ? attribute : `${propertyOf(attribute)} (${words})`;
}

/** A name of a control in a version, wherever it stands. */
const namesIn = (project: Project, tree: Control): ReadonlyMap<string, string> =>
  effectiveNames(
    [...project.screens, ...(project.components ?? [])].find(({ id }) => id === tree.id) ?? tree,
  );

/** Collects what steps say, control by control. */
class Told {
  private readonly changes = new Map<string, ControlChange & { words: string[] }>();

  constructor(private readonly names: (id: string) => string) {}

  say(control: Control | undefined, id: string, how: ControlChange['how'], words?: string): void {
    const before = this.changes.get(id);
    const kind = control?.kind ?? before?.kind ?? '';
    const made = before ?? { control: this.names(id), id, kind, how, words: [] };
    if (words !== undefined) made.words.push(words);
    this.changes.set(id, made);
  }

  get all(): readonly ControlChange[] {
    return [...this.changes.values()];
  }
}

export interface TreeChanges {
  readonly changes: readonly ControlChange[];
  /** They lead from the earlier version to the later. */
  readonly steps: readonly Step[];
}

/**
 * @param project the earlier version, whole. @param before a tree of it. @param after the same tree in the later version.
 * @param later the later version, for what its controls are called.
 */
export function treeChanges(project: Project, before: Control, after: Control, later: Project): TreeChanges {
  // Out of one log a tree keeps its id, and so does all that is in it.
  const steps = stepsToText(project, before.id, after, before.id === after.id);
  const [old, now] = [namesIn(project, before), namesIn(later, after)];
  const kept = new Set([...walk(after)].map(({ id }) => id));
  const told = new Told(
    (id) => (kept.has(id) ? (now.get(id) ?? old.get(id)) : (old.get(id) ?? now.get(id))) ?? id,
  );
  let state = project;
  for (const step of steps) {
    sayStep(step, state, told, (id) => now.get(id) ?? old.get(id) ?? id);
    const applied = applyStep(state, step);
    if (applied.ok) state = applied.project;
  }
  return { changes: told.all, steps };
}

/** A control of a version by its id, and what it stands in. */
function found(project: Project, id: string): { control: Control; parent: Control | undefined } | undefined {
  for (const tree of [...project.screens, ...(project.components ?? [])]) {
    if (tree.id === id) return { control: tree, parent: undefined };
    for (const parent of walk(tree)) {
      const control = parent.children.find((child) => child.id === id);
      if (control) return { control, parent };
    }
  }
  return undefined;
}

function sayStep(step: Step, state: Project, told: Told, nameOf: (id: string) => string): void {
  const at = 'control' in step && typeof step.control === 'string' ? found(state, step.control) : undefined;
  switch (step.type) {
    case 'set': {
      const was = inForce(at?.control.props[step.property]);
      const to = typeof step.value === 'object' ? inForce(step.value ?? undefined) : step.value;
      told.say(
        at?.control,
        step.control,
        'changed',
        `${attributeWords(step.property)} ${shortly(was)} → ${shortly(to ?? undefined)}`,
      );
      return;
    }
    case 'name':
      told.say(
        at?.control,
        step.control,
        'changed',
        `called \`${step.name ?? ''}\` in place of \`${at?.control.name ?? ''}\``,
      );
      return;
    case 'remove': {
      const inside = [...walk(at?.control ?? ({ children: [] } as unknown as Control))].length - 1;
      const where = at?.parent ? ` from \`${nameOf(at.parent.id)}\`` : '';
      told.say(
        at?.control,
        step.control,
        'removed',
        `gone${where}${inside > 0 ? `, with ${inside} in it` : ''}`,
      );
      return;
    }
    case 'insert': {
      const inside = [...walk(step.control)].length - 1;
      const where = step.parent === null ? '' : ` in \`${nameOf(step.parent)}\``;
      const label = kindOf(step.control).label.toLowerCase();
      told.say(
        step.control,
        step.control.id,
        'added',
        `new${where}: a ${label}${inside > 0 ? ` with ${inside} in it` : ''}`,
      );
      return;
    }
    case 'move':
      told.say(
        at?.control,
        step.control,
        'changed',
        at?.parent?.id === step.parent
          ? 'at another place in its order'
          : `now in ${step.parent === null ? 'no container' : `\`${nameOf(step.parent)}\``}`,
      );
      return;
    default:
  }
}
