/** All kinds of problems, in the order in which the interface lists them. */
import type { ProblemKind } from '../problem.ts';
import { codeProblems, missingInCode } from './code.ts';
import { defaultName } from './default-name.ts';
import { sendsNothing } from './form.ts';
import { invalid } from './invalid.ts';
import { flashing, motionFaults, neverPlayed, noPause } from './motions.ts';
import { addresses, noWayOut, unreached } from './screens.ts';
import { sharedTwice } from './shared.ts';
import { missingWords } from './shared-words.ts';
import { standIn } from './stand-in.ts';
import { taskProblems } from './tasks.ts';
import { staleTranslation, wrongTranslation } from './translations.ts';
import { unusedParts } from './unused.ts';
import { unusedVariable } from './unused-variable.ts';
import { variables } from './variables.ts';
import { noLabel, noName } from './words.ts';

export const problemKinds: readonly ProblemKind[] = [
  invalid,
  variables,
  taskProblems,
  codeProblems,
  missingInCode,
  sendsNothing,
  motionFaults,
  neverPlayed,
  flashing,
  noPause,
  addresses,
  unreached,
  noLabel,
  noName,
  noWayOut,
  sharedTwice,
  missingWords,
  wrongTranslation,
  staleTranslation,
  standIn,
  defaultName,
  unusedVariable,
  ...unusedParts,
];
