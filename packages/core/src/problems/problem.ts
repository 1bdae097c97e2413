/**
 * What is wrong with a project whatever its size: values that are not valid, names that are gone, screens that nobody reaches,
 * fields without a label. What depends on a width is a finding of the checks.
 */
import type { Severity } from '../checks/finding.ts';
import { moduleFile } from '../document/code.ts';
import { effectiveNames } from '../document/names.ts';
import type { Control, Project } from '../document/types.ts';
import type { Fix } from '../why/explanation.ts';

/** Where a problem is. */
export type ProblemPlace =
  /** In a control: its screen or component, and the attribute that it is about. */
  | {
      readonly in: 'control';
      readonly tree: Control;
      readonly control: Control;
      readonly attribute?: string;
      /** UTF-16 index into the attribute's text. */
      readonly at?: number;
    }
  /** In a state variable, by its name. */
  | { readonly in: 'state'; readonly variable: string }
  /** In a source of requests, by its name. */
  | { readonly in: 'source'; readonly source: string }
  /** In a file of the project's own code, by its name. */
  | {
      readonly in: 'code';
      readonly module: string;
      /** UTF-16 index into its text. */
      readonly at: number;
    }
  /** In a task, by its name. */
  | { readonly in: 'task'; readonly task: string }
  /** In Theme: a token, a style. */
  | { readonly in: 'theme' };

/** A problem as its kind finds it. */
export interface FoundProblem {
  readonly place: ProblemPlace;
  /** Absent: that of its kind. */
  readonly severity?: Severity;
  /** Names stand between backquotes. */
  readonly sentence: string;
  readonly fixes?: readonly Fix[];
}

/** A kind of problem: one file in `catalogue/`, and one line in its `index.ts`. */
export interface ProblemKind {
  /** What it is called in files, and in `ignore`. */
  readonly name: string;
  /** What the interface and the command line call it. */
  readonly title: string;
  readonly severity: Severity;
  find(project: Project): readonly FoundProblem[];
}

export interface Problem {
  /** Name of its kind. */
  readonly kind: string;
  readonly title: string;
  readonly severity: Severity;
  readonly place: ProblemPlace;
  readonly sentence: string;
  readonly fixes: readonly Fix[];
}

/** Where a problem is, as a person knows it. */
export function problemPlaceWords(place: ProblemPlace): string {
  switch (place.in) {
    case 'state':
      return place.variable;
    case 'source':
      return place.source;
    case 'task':
      return place.task;
    case 'code':
      return moduleFile(place.module);
    case 'theme':
      return 'Theme';
    case 'control': {
      const { tree, control } = place;
      return tree === control
        ? (tree.name ?? tree.kind)
        : `${tree.name}.${effectiveNames(tree).get(control.id) ?? control.kind}`;
    }
  }
}
