/** Addresses of feeds: what ships to listen to, what can be asked of it, what an address may be. */
import {
  checkTemplate,
  contextOf,
  emptyValues,
  type Feed,
  isFeedAddress,
  type Project,
  type StateVariable,
  standInFolder,
} from '@hovrin/core';

export const mast = `${standInFolder}mast`;
const suppers = `${standInFolder}suppers`;

const mastFeed: Feed = { address: `${mast}?seed=1`, as: 'events', every: 1 };
const suppersFeed: Feed = { address: `${suppers}?size=20`, as: 'json', every: 10 };

/** What ships, with the feed that listens to it. */
export const standIns: readonly { readonly label: string; readonly feed: Feed }[] = [
  { label: 'Weather mast, simulated', feed: mastFeed },
  { label: 'Suppers, simulated service', feed: suppersFeed },
];

/** What can be asked of a stand-in beside its address, as parts of its query. */
export const troubles: readonly {
  readonly of: string;
  readonly name: string;
  readonly words: string;
  readonly values: readonly (readonly [string, string])[];
}[] = [
  {
    of: mast,
    name: 'fault',
    words: 'Fault',
    values: [
      ['', 'none'],
      ['silence', 'silent now and then'],
      ['spikes', 'readings that cannot be'],
      ['stuck', 'stuck at one reading'],
    ],
  },
  {
    of: suppers,
    name: 'errors',
    words: 'Errors',
    values: [
      ['', 'none'],
      ['0.3', 'three in ten'],
      ['1', 'always'],
    ],
  },
  {
    of: suppers,
    name: 'delay',
    words: 'Delay',
    values: [
      ['', 'none'],
      ['1000', '1 s'],
      ['5000', '5 s'],
    ],
  },
];

/** An address with a part of its query set; an empty value takes it away. */
export function withQuery(address: string, name: string, value: string): string {
  const [path = '', query = ''] = address.split('?');
  const parts = new URLSearchParams(query);
  if (value === '') parts.delete(name);
  else parts.set(name, value);
  const written = parts.toString().replaceAll('%7B', '{').replaceAll('%7D', '}');
  return written ? `${path}?${written}` : path;
}

export const queryOf = (address: string, name: string): string =>
  new URLSearchParams(address.split('?')[1]).get(name) ?? '';

/** What keeps an address from being asked; undefined: nothing. */
export function addressProblem(project: Project, address: string): string | undefined {
  if (!isFeedAddress(address))
    return 'An address begins with http:// or https:// and a host, or is a path on the server of the page, such as api/wind. Expressions in braces may stand behind it.';
  const checked = checkTemplate(address, contextOf(project));
  return checked.ok ? undefined : checked.problem.message;
}

/** The feed that a variable begins with when it is given one. */
export const firstFeed = ({ type }: StateVariable): Feed => ({
  ...(type === 'list' ? suppersFeed : mastFeed),
  start: emptyValues[type],
});
