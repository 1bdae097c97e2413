/**
 * What a check is. A check is one file beside this one and one line in `index.ts`: what it is called, how a finding of it
 * reads, what would mend it, and, for one that looks at boxes one by one, what it measures there.
 */
import type { Control } from '../../document/types.ts';
import type { Add, Ended } from '../ended.ts';
import type { Severity } from '../finding.ts';
import type { Looking } from '../measuring.ts';

/** A finding as its sentence is made of it. Names stand between backquotes. */
export interface Told {
  /** The control that has the problem. */
  readonly self: string;
  /** Another one that it has to do with. */
  readonly other: string | undefined;
  readonly severity: Severity;
  /** How much it is at its worst: px, characters. */
  readonly worst: number;
}

/** What ways of mending a finding are proposed with; each is tried before it is offered. */
export interface Mending {
  readonly control: Control;
  /** What stands around it; a screen itself. */
  readonly parent: Control;
  readonly severity: Severity;
  /** Their names between backquotes. */
  readonly self: string;
  readonly outer: string;
  /** What the control says itself about an attribute, or the one around it does. */
  own(attribute: string): string | undefined;
  outerOwn(attribute: string): string | undefined;
  /** Proposes to set attributes; `null` takes one away. */
  add(label: string, ...changes: readonly (readonly [Control, string, string | null])[]): void;
}

export interface CheckKind {
  /** What it is called in files, and in `ignore`. */
  readonly name: string;
  /** What the interface and the command line call it. */
  readonly title: string;
  sentence(told: Told): string;
  /** Proposes what would mend it. */
  mend?(mending: Mending): void;
  /** Measures a control's box at the two ends of a stretch of widths. */
  measure?(add: Add, ended: Ended, control: Control, looking: Looking): void;
}

/** A length in a sentence, never less than one px. */
export const pxWords = (value: number): string => `${Math.max(1, Math.ceil(value))} px`;
