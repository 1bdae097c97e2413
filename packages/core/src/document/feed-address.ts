/** The address of a feed as it is when everything begins. */
import { addressNow } from '../expression/address.ts';
import { EvaluationError } from '../expression/evaluate.ts';
import { initialScope } from '../expression/initial-scope.ts';
import { parseTemplate } from '../expression/template.ts';
import type { Feed, Project } from './types.ts';

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
