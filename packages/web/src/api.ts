/** Talking to the server. Failing to reach it is told apart from its refusing. */
import type { Appended, Asset, Project, SampleCondition, SentEntry, StoredEntry } from '@hovrin/core';

/** The server cannot be reached. */
export class Unreachable extends Error {}
/** The server answered with an error; the message is for the person. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    message: string,
  ) {
    super(message);
  }
}

/** Conditions that the page itself is made in. */
export interface PageConditions {
  /** Texts are longer than they are. */
  readonly long: boolean;
  /** What the tables have in them. */
  readonly sample: SampleCondition;
}

export interface ProjectSummary {
  readonly id: string;
  readonly name: string;
  readonly updatedAt: number;
  readonly deletedAt: number | null;
  readonly screens: number;
}

export interface OpenedProject {
  readonly project: Project;
  readonly revision: number;
  readonly entries: readonly StoredEntry[];
  /** Whether there are entries before these. */
  readonly older: boolean;
}

async function request<T>(
  method: string,
  path: string,
  body?: unknown,
  accept: readonly number[] = [],
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      ...(body === undefined ? {} : { body: body instanceof Blob ? body : JSON.stringify(body) }),
      headers:
        body instanceof Blob
          ? { 'Content-Type': body.type }
          : body === undefined
            ? {}
            : { 'Content-Type': 'application/json' },
    });
  } catch {
    throw new Unreachable('The server cannot be reached.');
  }
  const answer = (await response.json().catch(() => ({}))) as T & { error?: string };
  if (!response.ok && !accept.includes(response.status))
    throw new Refused(response.status, answer.error ?? `The server answered ${response.status}.`);
  return answer;
}

const at = (id: string) => `/api/projects/${encodeURIComponent(id)}`;

export const api = {
  list: () => request<{ projects: ProjectSummary[]; deleted: ProjectSummary[] }>('GET', '/api/projects'),
  create: (name: string) => request<{ id: string }>('POST', '/api/projects', { name }),
  rename: (id: string, name: string) => request('PATCH', at(id), { name }),
  duplicate: (id: string) => request<{ id: string }>('POST', `${at(id)}/duplicate`),
  remove: (id: string) => request('DELETE', at(id)),
  restore: (id: string) => request('POST', `${at(id)}/restore`),
  open: (id: string) => request<OpenedProject>('GET', at(id)),
  entriesBefore: (id: string, revision: number) =>
    request<Pick<OpenedProject, 'entries' | 'older'>>('GET', `${at(id)}/entries?before=${revision}`),
  append: (id: string, clientId: string, baseRevision: number, entries: readonly SentEntry[]) =>
    request<Appended>('POST', `${at(id)}/entries`, { clientId, baseRevision, entries }, [409]),
  putAsset: (id: string, asset: Asset, file: Blob) =>
    request(
      'POST',
      `${at(id)}/assets?${new URLSearchParams({ name: asset.name, width: String(asset.width), height: String(asset.height) })}`,
      file.slice(0, file.size, asset.type),
    ),
  changesAddress: (id: string, since: number) => `${at(id)}/changes?since=${since}`,
  assetAddress: (id: string, name: string) => `${at(id)}/assets/${encodeURIComponent(name)}`,
  zipAddress: (id: string) => `${at(id)}/page.zip`,
  /** @param long with longer texts. */
  tryAddress: (id: string, revision: number, screen: string, { long, sample }: PageConditions) =>
    `/try/${encodeURIComponent(id)}/${revision}${long ? '~long' : ''}${sample === 'typical' ? '' : `~rows-${sample}`}/index.html#${encodeURIComponent(screen)}`,
};
