/** What a check finds: a problem of a control, on which widths and in which conditions, and what would mend it. */
import type { Fix } from '../why/explanation.ts';

/** A problem that must be mended; one to look at; something that would be kinder. */
export type Severity = 'error' | 'warning' | 'advice';

/** A stretch of widths on which a problem is there, CSS px, both ends included. */
export interface Where {
  readonly from: number;
  readonly to: number;
  readonly textScale: number;
  readonly orientation: 'portrait' | 'landscape';
}

export interface Finding {
  /** Name of the check. */
  readonly check: string;
  readonly severity: Severity;
  /** Id of the control that has the problem. */
  readonly control: string;
  /** Another control that it has to do with: what it overlaps, what it reaches out of. */
  readonly other: string | undefined;
  /** The attribute that it is about, of checks of changes. */
  readonly attribute: string | undefined;
  /** In order of text scale, orientation, width; never empty. */
  readonly where: readonly Where[];
  /** How much it is at its worst: px, characters. */
  readonly worst: number;
  /** Names of controls stand between backquotes. */
  readonly sentence: string;
  readonly fixes: readonly Fix[];
}

/** What a finding is about, whatever the widths. */
export const findingKey = ({
  check,
  severity,
  control,
  other,
  attribute,
}: Pick<Finding, 'check' | 'severity' | 'control' | 'other' | 'attribute'>): string =>
  `${check} ${severity} ${control} ${other ?? ''} ${attribute ?? ''}`;
