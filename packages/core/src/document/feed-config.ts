/**
 * `config.json` beside a page that is handed over: where its feeds and services are at the place where it runs. It is a
 * person's own; exporting again reads it, since the page's policy names the origins that it may ask.
 */
import { messageOf } from './error-message.ts';
import { feedProblem, fixedPart, isFeedAddress } from './feed.ts';
import { isRecord } from './record.ts';
import { isBase } from './source-problem.ts';
import type { Feed } from './types.ts';

export const configFile = 'config.json';

/** What is said of one feed. Its address takes the place of what stands in front of the expressions of its own. */
export type ConfiguredFeed = Partial<Pick<Feed, 'address' | 'as' | 'every' | 'credentials'>>;

/** What is said of one source. */
export interface ConfiguredSource {
  readonly base?: string;
}

export interface PageConfig {
  /** By the names of the variables. */
  readonly feeds: Readonly<Record<string, ConfiguredFeed>>;
  /** By the names of the sources. */
  readonly sources: Readonly<Record<string, ConfiguredSource>>;
}

const fields = ['address', 'as', 'every', 'credentials'];

/** Something that is right about all that is left out. */
const whole: Feed = { address: 'https://hut.example/', as: 'json', every: 1 };

function feedFault(name: string, feed: unknown): string | undefined {
  if (!isRecord(feed)) return `\`${name}\` is no record.`;
  const strange = Object.keys(feed).find((key) => !fields.includes(key));
  if (strange !== undefined) return `\`${name}\` has \`${strange}\`; a feed has ${fields.join(', ')}.`;
  if (typeof feed.address === 'string' && (feed.address.includes('{') || !isFeedAddress(feed.address)))
    return `the address of \`${name}\` is none, or has expressions.`;
  const problem = feedProblem({ ...whole, ...feed });
  return problem && `\`${name}\`: ${problem}`;
}

function sourceFault(name: string, source: unknown): string | undefined {
  if (!isRecord(source)) return `\`${name}\` is no record.`;
  const strange = Object.keys(source).find((key) => key !== 'base');
  if (strange !== undefined) return `\`${name}\` has \`${strange}\`; a source has base.`;
  return source.base === undefined || isBase(source.base) ? undefined : `the address of \`${name}\` is none.`;
}

/** Reads `config.json`. @returns what is wrong with it as `problem`. */
export function readPageConfig(text: string): { readonly config: PageConfig } | { readonly problem: string } {
  let read: unknown;
  try {
    read = JSON.parse(text);
  } catch (error) {
    return { problem: `${configFile}: ${messageOf(error)}` };
  }
  const { feeds = {}, sources = {} } = isRecord(read) ? read : {};
  if (!isRecord(read) || !isRecord(feeds) || !isRecord(sources) || (!read.feeds && !read.sources))
    return { problem: `${configFile} has no record \`feeds\` and no record \`sources\`.` };
  for (const [fault, named] of [
    [feedFault, feeds],
    [sourceFault, sources],
  ] as const)
    for (const [name, each] of Object.entries(named)) {
      const problem = fault(name, each);
      if (problem) return { problem: `${configFile}: ${problem}` };
    }
  return { config: { feeds, sources } as unknown as PageConfig };
}

/**
 * An address that a feed has now, at the place where its page runs.
 *
 * @param own the feed's own address, with its expressions. @param now what they make of it.
 */
export const configuredAddress = (own: string, now: string, { address }: ConfiguredFeed): string =>
  address === undefined ? now : address + now.slice(fixedPart(own).length);
