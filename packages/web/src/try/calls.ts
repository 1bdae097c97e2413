/** Whom a running project calls, and whether the person has agreed to it: asked for each host, once. */
import { calledOrigins, type Project } from '@hovrin/core';

/** A host that a project calls. */
export interface Called {
  readonly origin: string;
  /** What it is, where it is not somewhere on the internet. */
  readonly where: 'this computer' | 'an address in your own network' | undefined;
}

/** Private and loopback addresses (RFC 1918, RFC 4193, RFC 6890), and names that only mean something at home. */
function whereIs(host: string): Called['where'] {
  const plain = host.replace(/^\[|\]$/g, '').toLowerCase();
  if (plain === 'localhost' || plain.endsWith('.localhost') || /^127\./.test(plain) || plain === '::1')
    return 'this computer';
  const isPrivate =
    /^10\.|^192\.168\.|^172\.(1[6-9]|2\d|3[01])\.|^169\.254\.|^100\.(6[4-9]|[7-9]\d|1[01]\d|12[0-7])\.|^0\./.test(
      plain,
    ) ||
    /^f[cd][\da-f]{2}:|^fe[89ab][\da-f]:|^::ffff:/.test(plain) ||
    /\.(local|lan|home|internal|home\.arpa)$/.test(plain) ||
    !/[.:]/.test(plain);
  return isPrivate ? 'an address in your own network' : undefined;
}

/** The hosts that a project calls when it runs; the stand-ins of this server are not among them. */
export const calledBy = (project: Pick<Project, 'state' | 'sources'>): readonly Called[] =>
  calledOrigins(project, true).map((origin) => ({ origin, where: whereIs(new URL(origin).hostname) }));

const key = (projectId: string) => `hovrin.calls.${projectId}`;

/** The origins that the person has let a project call. */
export function allowedCalls(projectId: string): readonly string[] {
  try {
    const list: unknown = JSON.parse(localStorage.getItem(key(projectId)) ?? '[]');
    return Array.isArray(list) ? list.filter((each) => typeof each === 'string') : [];
  } catch {
    return [];
  }
}

export function allowCalls(projectId: string, origins: readonly string[]): void {
  const all = new Set([...allowedCalls(projectId), ...origins]);
  localStorage.setItem(key(projectId), JSON.stringify([...all]));
}
