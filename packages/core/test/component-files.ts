/** Projects of screens and components given as texts, by name. */
import { type Project, readFolder } from '../src/index.ts';

export const state = [
  { name: 'firstTaken', type: 'boolean', initial: true },
  { name: 'chosen', type: 'number', initial: 0 },
  { name: 'bunks', type: 'list', initial: [{ n: 4 }, { n: 5 }] },
];

export function reading(files: Record<string, string>, variables: readonly object[] = state) {
  let ids = 0;
  const all = new Map([
    ['project.json', JSON.stringify({ format: 2, name: 'Trial', state: variables })],
    ...Object.entries(files).map(
      ([name, text]) =>
        [
          /^<component/.test(text) ? `components/${name}.component.xml` : `screens/${name}.screen.xml`,
          text,
        ] as const,
    ),
  ]);
  return readFolder(all, () => `c${++ids}`);
}

export function read(files: Record<string, string>, variables?: readonly object[]): Project {
  const found = reading(files, variables);
  if (!found.ok) throw new Error(found.problems.map(({ message }) => message).join(' '));
  return found.project;
}

export const problems = (files: Record<string, string>): string[] => {
  const found = reading(files);
  return found.ok ? [] : found.problems.map(({ file, line, message }) => `${file}:${line}: ${message}`);
};
