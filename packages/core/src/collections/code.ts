/** The project's own code: modules of TypeScript. */
import { type CodeModule, moduleNameProblem, moduleProblem, mostModules } from '../document/code.ts';
import type { Collection } from './collection.ts';

export const code: Collection<CodeModule> = {
  id: 'code',
  word: 'file of code',
  least: 0,
  most: mostModules,
  optional: true,
  ownFile: true,
  fields: ['name', 'text'] satisfies (keyof CodeModule)[],
  keyOf: ({ name }) => name,
  keyProblem: moduleNameProblem,
  fault(module) {
    const message = moduleProblem(module);
    return message === undefined ? undefined : { path: '', message };
  },
  empty: (name) => ({ name, text: '' }),
  rekeyed: (module, name) => ({ ...module, name }),
  compare: (one, other) => (one.name < other.name ? -1 : 1),
  // One file imports another by its name.
  inEntity: (of, entity, from, to) =>
    of === 'code' && 'text' in entity && typeof entity.text === 'string'
      ? importing(entity, entity.text, from, to)
      : entity,
  uses: () => [],
};

/** A module that imports one of another name now; the same where it does not import that one. */
function importing<T extends object>(module: T, text: string, from: string, to: string): T {
  const renamed = text.replaceAll(
    /(\bfrom\s*|\bimport\s*)(['"])\.\/([\w-]+)(\.[jt]s)?\2/g,
    (whole, before, quote, name, end = '') =>
      name === from ? `${before}${quote}./${to}${end}${quote}` : whole,
  );
  return renamed === text ? module : { ...module, text: renamed };
}
