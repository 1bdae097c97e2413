/** What a request's variable holds on the bench. */
import { isRecord } from '../document/record.ts';
import type { StateVariable } from '../document/types.ts';

/** The result of its sample; undefined where it is no request, or its sample holds none. */
export const sampleResult = ({ request, initial }: Pick<StateVariable, 'request' | 'initial'>): unknown =>
  request && isRecord(initial) ? (initial.result ?? undefined) : undefined;
