/**
 * Words that several places share: the texts of the state variable `words`, a record, which is read as `{words.save}`. Each is an
 * entry of the table of strings under that name, and holds no expressions.
 */
import { isRecord } from '../document/record.ts';
import type { Project, StateVariable } from '../document/types.ts';

/** The variable that holds them. */
export const sharedName = 'words';

/** The variable of a project that holds shared words; undefined: it shares none. */
export const sharedVariable = ({ state }: Pick<Project, 'state'>): StateVariable | undefined =>
  state.find(
    ({ name, type, screen, computed, kept, feed, request }) =>
      name === sharedName &&
      type === 'record' &&
      !screen &&
      computed === undefined &&
      !kept &&
      !feed &&
      !request,
  );

/** The shared words of a project, by name, in their order. */
export function sharedWords(
  project: Pick<Project, 'state'>,
): readonly (readonly [name: string, text: string])[] {
  const initial = sharedVariable(project)?.initial;
  return isRecord(initial)
    ? Object.entries(initial).flatMap(([name, text]) =>
        typeof text === 'string' && text.trim() !== '' ? [[name, text] as const] : [],
      )
    : [];
}

export const sharedKey = (name: string): string => `${sharedName}.${name}`;

/** A project with other texts for some of its shared words, by name. */
export function withShared(project: Project, texts: Readonly<Record<string, string>>): Project {
  const variable = sharedVariable(project);
  if (!variable || Object.keys(texts).length === 0) return project;
  const initial = {
    ...(variable.initial as Readonly<Record<string, unknown>>),
    ...texts,
  } as StateVariable['initial'];
  return {
    ...project,
    state: project.state.map((each) => (each === variable ? { ...each, initial } : each)),
  };
}
