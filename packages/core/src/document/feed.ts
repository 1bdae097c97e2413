/** Sources that give a variable its values while the application runs: which there are, and what is right about one. */

import { itemAt } from '../sure.ts';
import { isRecord } from './record.ts';
import { isPlain } from './state.ts';
import type { Project } from './types.ts';

/** Where the simulated devices and services that ship lie, from the root of the server. */
export const standInFolder = 'stand-ins/';

/** How a feed goes, as its status variable says it. */
export const feedStatuses = ['waiting', 'live', 'silent', 'failed'] as const;
export type FeedStatus = (typeof feedStatuses)[number];

/** Seconds between two values, or between two questions. */
export const feedSeconds = { least: 0.2, most: 3600 };

/** After so many times its seconds without a word, a feed of events is silent. */
export const silentAfter = 3;

/** The part of an address in front of all expressions. */
export const fixedPart = (address: string): string => itemAt(address.split('{'), 0);

/**
 * Whether an address is on the server of the page: a path. Where expressions follow, its first segment ends in front of them,
 * so that they make neither a scheme nor a host (URL Standard §4.3).
 */
export const isOnPagesServer = (address: string): boolean =>
  !address.startsWith(standInFolder) &&
  !/\.\.|%2e|[\\\s]/i.test(address) &&
  /^(?:\.?\/)?[\w~-][\w.~-]*(?:[/?]|$)/.test(address);

/**
 * Whether an address is one that a page may listen to: a stand-in, a path on its server, or HTTP at a host that is said.
 * Expressions only stand behind that, so that they lead nowhere else.
 */
export function isFeedAddress(address: string): boolean {
  const fixed = fixedPart(address);
  if (fixed.startsWith(standInFolder)) return !/\.\.|%2e/i.test(address);
  if (isOnPagesServer(address)) return true;
  if (fixed !== address && !/^https?:\/\/[^/?#]+\//.test(fixed)) return false;
  try {
    return ['http:', 'https:'].includes(new URL(fixed).protocol);
  } catch {
    return false;
  }
}

/** What is wrong with a feed that is read from a file; its status may be told to a variable that is gone. */
export function feedProblem(value: unknown): string | undefined {
  if (value === undefined) return undefined;
  if (!isRecord(value)) return 'its feed is no record.';
  const { address, as, every, status, wait, credentials, start } = value;
  if (typeof address !== 'string' || !isFeedAddress(address))
    return 'the address of its feed is no stand-in, no path such as `api/wind`, and does not begin with http:// or https://.';
  if (as !== 'events' && as !== 'json') return 'its feed is neither `events` nor `json`.';
  const isTime = (time: unknown): boolean =>
    typeof time === 'number' && time >= feedSeconds.least && time <= feedSeconds.most;
  if (!isTime(every)) return `its feed comes every ${feedSeconds.least} to ${feedSeconds.most} seconds.`;
  if (wait !== undefined && !isTime(wait)) return 'what its feed waits for at first is no time.';
  if (credentials !== undefined && typeof credentials !== 'boolean')
    return 'whether its feed is asked with cookies is neither true nor false.';
  if (start !== undefined && !isPlain(start)) return 'what it holds until its feed comes is no plain value.';
  if (status !== undefined && typeof status !== 'string') return 'what tells how its feed goes is no name.';
  return undefined;
}

/** The origins of some addresses of feeds; the server's own, for stand-ins and paths, is not among them. */
export const originsOf = (addresses: readonly string[]): string[] => [
  ...new Set(
    addresses.flatMap((address) =>
      !address.startsWith(standInFolder) && !isOnPagesServer(address) && isFeedAddress(address)
        ? new URL(fixedPart(address)).origin
        : [],
    ),
  ),
];

/**
 * The origins that a project calls when it runs: those of its feeds and of its services.
 *
 * @param inTry while it is tried in Hovrin.
 */
export const calledOrigins = (
  { state, sources = [] }: Pick<Project, 'state' | 'sources'>,
  inTry: boolean,
): string[] =>
  originsOf([
    ...state.flatMap(({ feed }) => feed?.address ?? []),
    ...sources.map(({ base, standIn }) => (inTry ? (standIn ?? base) : base)),
  ]);
