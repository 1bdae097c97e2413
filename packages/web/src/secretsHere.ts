/** Secrets that a person has entered while building: they live as long as the window, and are never a part of the project. */

/** By project, and by name. */
const secrets = new Map<string, Map<string, string>>();

export const secretsHere = (projectId: string): ReadonlyMap<string, string> =>
  secrets.get(projectId) ?? new Map();

export const secretHere = (projectId: string, name: string): string => secretsHere(projectId).get(name) ?? '';

export function setSecretHere(projectId: string, name: string, text: string): void {
  secrets.set(projectId, new Map(secretsHere(projectId)).set(name, text));
}
