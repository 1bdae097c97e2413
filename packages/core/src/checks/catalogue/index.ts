/** All checks, in the order in which the interface lists them. */
import type { CheckKind } from './check-kind.ts';
import { cut } from './cut.ts';
import { faintFocus } from './faint-focus.ts';
import { faintPart } from './faint-part.ts';
import { longLine } from './long-line.ts';
import { longSentence } from './long-sentence.ts';
import { lowContrast } from './low-contrast.ts';
import { noDifference } from './no-difference.ts';
import { noHeading } from './no-heading.ts';
import { offScreen } from './off-screen.ts';
import { otherEngines } from './other-engines.ts';
import { overlap } from './overlap.ts';
import { saidTwice } from './said-twice.ts';
import { smallTarget } from './small-target.ts';
import { tooHigh } from './too-high.ts';
import { tooWide } from './too-wide.ts';
import { underHinge } from './under-hinge.ts';
import { vagueLink } from './vague-link.ts';
import { worse } from './worse.ts';

export const checks: readonly CheckKind[] = [
  tooWide,
  tooHigh,
  overlap,
  offScreen,
  underHinge,
  smallTarget,
  cut,
  longLine,
  longSentence,
  vagueLink,
  lowContrast,
  faintPart,
  faintFocus,
  noHeading,
  otherEngines,
  worse,
  noDifference,
  saidTwice,
];

const byName = new Map(checks.map((check) => [check.name, check]));
/** The check of that name; undefined where there is none. */
export const checkNamed = (name: string): CheckKind | undefined => byName.get(name);
