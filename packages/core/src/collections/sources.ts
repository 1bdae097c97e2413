/** The services that a project's requests go to. */
import { nameProblem } from '../document/names.ts';
import { isRecord } from '../document/record.ts';
import type { DataSource } from '../document/source.ts';
import { sourceProblem } from '../document/source-problem.ts';
import type { StateVariable } from '../document/types.ts';
import type { Collection, Fault } from './collection.ts';

const fields = [
  'name',
  'base',
  'standIn',
  'headers',
  'auth',
  'timeout',
  'retry',
] satisfies (keyof DataSource)[];

function fault(source: unknown): Fault | undefined {
  if (!isRecord(source) || typeof source.name !== 'string')
    return { path: 'name', message: 'A source has no name.' };
  const problem = nameProblem(source.name) ?? sourceProblem(source);
  return problem === undefined
    ? undefined
    : { path: '', message: `DataSource \`${source.name}\`: ${problem}` };
}

export const sources: Collection<DataSource> = {
  id: 'sources',
  word: 'source',
  least: 0,
  most: 100,
  optional: true,
  fields,
  keyOf: ({ name }) => name,
  keyProblem: nameProblem,
  fault,
  empty: (name) => ({ name, base: 'https://hut.example/api/' }),
  rekeyed: (source, name) => ({ ...source, name }),
  inEntity<T extends object>(of: string, entity: T, from: string, to: string): T {
    const { request } = of === 'state' ? (entity as Partial<StateVariable>) : {};
    return request?.source === from ? { ...entity, request: { ...request, source: to } } : entity;
  },
  uses: () => [],
};
