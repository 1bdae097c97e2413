/** Talking to the server. Failing to reach it is told apart from its refusing. */
import type {
  Appended,
  Asset,
  BadLine,
  Checkpoint,
  Column,
  HistoryEntry,
  ImportPlan,
  PlacedRow,
  Project,
  Rewriting,
  RowBatch,
  RowQuestion,
  SampleCondition,
  SentEntry,
  ToldChange,
} from '@hovrin/core';

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
  /** A project that came from elsewhere may call who it names. */
  readonly calls?: boolean;
}

export interface ProjectSummary {
  readonly id: string;
  readonly name: string;
  readonly updatedAt: number;
  readonly deletedAt: number | null;
  /** Undefined where the project cannot be read. */
  readonly screens?: number;
}

/** What a new project can begin as. */
export interface Starter {
  readonly id: string;
  readonly name: string;
  readonly description: string;
}

export interface OpenedProject {
  readonly project: Project;
  readonly revision: number;
  /** The number that this window's next entry has. */
  readonly nextSequence: number;
  /** It was brought in from elsewhere. */
  readonly isForeign?: boolean;
  /** A sentence about changes that could not be read and are kept aside; undefined where all could. */
  readonly damage?: string;
}

/** A page of a stored table's rows. */
export interface RowPage {
  /** How many rows the table has, and how many of them are found. */
  readonly total: number;
  readonly found: number;
  /** How many cells are not right. */
  readonly wrong: number;
  /** @param wrong what is wrong in it, by column. */
  readonly rows: readonly (PlacedRow & { readonly wrong?: Readonly<Record<string, string>> })[];
}

/** Rows from a file, or what keeps them out. */
export type FileTaken = {
  readonly taken: number;
  readonly bad: readonly BadLine[];
  /** How many lines besides are not right. */
  readonly more: number;
} & (
  | { readonly ok: true; readonly columns: readonly Column[]; readonly rows: RowBatch }
  | { readonly ok: false; readonly problem?: string }
);

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
  const answer: T & { error?: string } = await response.json().catch(() => ({}));
  if (!response.ok && !accept.includes(response.status))
    throw new Refused(response.status, answer.error ?? `The server answered ${response.status}.`);
  return answer;
}

const at = (id: string) => `/api/projects/${encodeURIComponent(id)}`;

const table = (id: string, list: string) => `${at(id)}/tables/${encodeURIComponent(list)}`;

export const api = {
  list: () => request<{ projects: ProjectSummary[]; deleted: ProjectSummary[] }>('GET', '/api/projects'),
  /** @param starter what it begins as; undefined: one empty screen. */
  create: (name: string, starter?: string) =>
    request<{ id: string }>('POST', '/api/projects', { name, starter }),
  starters: () => request<{ starters: Starter[] }>('GET', '/api/starters'),
  starterPicture: (id: string) => `/api/starters/${encodeURIComponent(id)}/picture`,
  /** The picture of a project's first screen. @param updatedAt keeps browsers from showing an older one. */
  projectPicture: (id: string, updatedAt: number) => `${at(id)}/picture?${updatedAt}`,
  rename: (id: string, name: string) => request('PATCH', at(id), { name }),
  duplicate: (id: string) => request<{ id: string }>('POST', `${at(id)}/duplicate`),
  remove: (id: string) => request('DELETE', at(id)),
  restore: (id: string) => request('POST', `${at(id)}/restore`),
  /** Brings a project in that was taken out as a zip. */
  bringIn: (file: File) =>
    request<{ id: string }>('POST', '/api/projects/zip', file.slice(0, file.size, 'application/zip')),
  projectZipAddress: (id: string) => `${at(id)}/project.zip`,
  open: (id: string, client: string) =>
    request<OpenedProject>('GET', `${at(id)}?${new URLSearchParams({ client })}`),
  /** A page of a window's own entries before a revision, oldest first. */
  history: (id: string, client: string, before: number) =>
    request<{ entries: HistoryEntry[]; older: boolean }>(
      'GET',
      `${at(id)}/history?${new URLSearchParams({ client, before: String(before) })}`,
    ),
  checkpoints: (id: string) => request<{ checkpoints: Checkpoint[] }>('GET', `${at(id)}/checkpoints`),
  addCheckpoint: (id: string, made: Pick<Checkpoint, 'name' | 'note' | 'revision'>) =>
    request<Checkpoint>('POST', `${at(id)}/checkpoints`, made),
  changeCheckpoint: (id: string, { id: checkpoint, name, note }: Checkpoint) =>
    request('PATCH', `${at(id)}/checkpoints/${encodeURIComponent(checkpoint)}`, { name, note }),
  removeCheckpoint: (id: string, checkpoint: string) =>
    request('DELETE', `${at(id)}/checkpoints/${encodeURIComponent(checkpoint)}`),
  /** Changes of all windows up to a revision, the newest first. */
  log: (id: string, upTo: number) =>
    request<{ changes: ToldChange[] }>('GET', `${at(id)}/log?${new URLSearchParams({ upTo: String(upTo) })}`),
  /** The project as it was at a revision. */
  projectAt: (id: string, revision: number) =>
    request<{ project: Project; revision: number }>('GET', `${at(id)}/at/${revision}`),
  unreadableAddress: (id: string) => `${at(id)}/unreadable`,
  append: (id: string, clientId: string, baseRevision: number, entries: readonly SentEntry[]) =>
    request<Appended>('POST', `${at(id)}/entries`, { clientId, baseRevision, entries }, [409]),
  putAsset: (id: string, asset: Asset, file: Blob) =>
    request(
      'POST',
      `${at(id)}/assets?${new URLSearchParams({ name: asset.name, width: String(asset.width), height: String(asset.height) })}`,
      file.slice(0, file.size, asset.type),
    ),
  rows: (id: string, list: string, question: RowQuestion, from: number, count: number) =>
    request<RowPage>(
      'GET',
      `${table(id, list)}/rows?${new URLSearchParams({
        from: String(from),
        count: String(count),
        ...(question.find ? { find: question.find } : {}),
        ...(question.sort === undefined
          ? {}
          : { sort: question.sort, descending: String(question.descending === true) }),
      })}`,
    ),
  takeFile: (id: string, list: string, file: File, plan: ImportPlan) =>
    request<FileTaken>(
      'POST',
      `${table(id, list)}/file?${new URLSearchParams({ name: file.name, plan: JSON.stringify(plan) })}`,
      file.slice(0, file.size, 'text/plain'),
    ),
  rewritten: (id: string, list: string, change: Rewriting) =>
    request<RowBatch>('POST', `${table(id, list)}/rewritten`, change),
  fileAddress: (id: string, list: string, as: 'csv' | 'json') => `${table(id, list)}/file?as=${as}`,
  assetAddress: (id: string, name: string) => `${at(id)}/assets/${encodeURIComponent(name)}`,
  /** @param format of the catalogue of formats. */
  exportAddress: (id: string, format: string) => `${at(id)}/export/${encodeURIComponent(format)}`,
  /** @param long with longer texts. */
  tryAddress: (id: string, revision: number, screen: string, { long, sample, calls }: PageConditions) =>
    `/try/${encodeURIComponent(id)}/${revision}${long ? '~long' : ''}${sample === 'typical' ? '' : `~rows-${sample}`}${calls ? '~calls' : ''}/index.html#${encodeURIComponent(screen)}`,
};
