/** The address of a feed as it is when everything begins. */

import type { Feed, Project } from '../document/types.ts';
import { addressNow } from './address.ts';
import { EvaluationError } from './evaluate.ts';
import { initialScope } from './initial-scope.ts';
import { parseTemplate } from './template.ts';

/** An address that cannot be worked out stays as it is written. */
export function addressAtStart(project: Project, { address }: Feed): string {
  const read = parseTemplate(address);
  if (!read.ok) return address;
  try {
    return addressNow(read.value, initialScope(project));
  } catch (error) {
    if (error instanceof EvaluationError) return address;
    throw error;
  }
}
