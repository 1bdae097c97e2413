/** A change as a command makes it, before it is an entry of the outbox. */
import {
  applySteps,
  expectationOf,
  type LogEntry,
  longestGroup,
  type Project,
  type Step,
  scoped,
  shortLabel,
  typedNowValid,
} from '@hovrin/core';
import type { PendingEntry } from './batch.ts';
import { newId } from './commands/command.ts';

export interface Change {
  /** For the person: what was done. */
  readonly label: string;
  readonly steps: readonly Step[];
  /** Changes of the same group, one after another, are undone together. */
  readonly group?: string;
  /** What is selected afterwards. */
  readonly select?: readonly string[];
  /** Says itself which widths it is for: what is being edited for does not count. */
  readonly exact?: boolean;
  /** A sentence for the person, where the change does not do what its label says. */
  readonly tell?: string;
}

/** A group's key, which is as short as it has to be, however many things it was made of. */
function groupKey(group: string): string {
  return group.length <= longestGroup ? group : expectationOf(group).slice(0, longestGroup);
}

/**
 * The change for the widths that are being edited for.
 * @param scope the band's name; '' for all widths
 */
export function changeFor(project: Project, change: Change, scope: string): Change {
  if (change.exact || scope === '') return change;
  const steps = scoped(project, change.steps, scope, newId);
  const placed = steps.filter((step) => step.type === 'insert').map(({ control }) => control.id);
  // What has moved for these widths only stands there as another one.
  const isCopied = placed.length > 0 && change.steps.every(({ type }) => type !== 'insert');
  if (!isCopied) return { ...change, steps };
  const tell = 'For these widths it stands there as a copy; elsewhere it stays where it was.';
  return { ...change, steps, select: placed, tell };
}

/**
 * A change carried out: the project after it, and its entry.
 * @param takes the sequence of the entry that an undo takes back, or a redo does again
 * @returns why not, where its steps do not fit
 */
export function carriedOut(
  project: Project,
  change: Change,
  kind: LogEntry['kind'],
  takes?: number,
): { project: Project; entry: Omit<PendingEntry, 'sequence'> } | { reason: string } {
  let steps = change.steps;
  let applied = applySteps(project, steps);
  if (!applied.ok) return { reason: applied.reason };
  // What was typed before its names were there takes effect with them, and goes with them in one undo.
  const typed = kind === 'change' ? typedNowValid(applied.project, steps) : [];
  if (typed.length > 0) {
    steps = [...steps, ...typed];
    applied = applySteps(project, steps);
    if (!applied.ok) return { reason: applied.reason };
  }
  return {
    project: applied.project,
    entry: {
      kind,
      label: shortLabel(change.label),
      ...(change.group ? { group: groupKey(change.group) } : {}),
      ...(takes === undefined ? {} : { takes }),
      steps,
      inverse: applied.inverse,
    },
  };
}
