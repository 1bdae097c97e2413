/** What a check finds: a problem of a control, on which widths and in which conditions, and what would mend it. */
import type { Fix } from '../why/explanation.ts';

/** Everything that is looked for. */
export const checkNames = [
  'too-wide',
  'too-high',
  'overlap',
  'off-screen',
  'under-hinge',
  'small-target',
  'cut',
  'long-line',
  'worse',
  'no-difference',
] as const;
export type CheckName = (typeof checkNames)[number];

/** A problem that must be mended; one to look at; something that would be kinder. */
export type Severity = 'error' | 'warning' | 'advice';

/** What each check is called. */
export const checkWords: Readonly<Record<CheckName, string>> = {
  'too-wide': 'Wider than its box',
  'too-high': 'Higher than its box',
  overlap: 'Overlaps',
  'off-screen': 'Outside the screen',
  'under-hinge': 'Under the hinge',
  'small-target': 'Small to press',
  cut: 'Words are cut',
  'long-line': 'Long lines',
  worse: 'A change makes it worse',
  'no-difference': 'A change without effect',
};

/** A stretch of widths on which a problem is there, CSS px, both ends included. */
export interface Where {
  readonly from: number;
  readonly to: number;
  readonly textScale: number;
  readonly orientation: 'portrait' | 'landscape';
}

export interface Finding {
  readonly check: CheckName;
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
