/** Secrets that a person has entered while building: they live as long as the window, and are never a part of the project. */
const secrets = new Map<string, string>();

const key = (projectId: string, name: string) => `${projectId} ${name}`;

export const secretHere = (projectId: string, name: string): string =>
  secrets.get(key(projectId, name)) ?? '';

export const setSecretHere = (projectId: string, name: string, text: string): void =>
  void secrets.set(key(projectId, name), text);
