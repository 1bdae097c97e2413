/** Where a service is, at the place where it is asked. */
import { isOnPagesServer, standInFolder } from '../document/feed.ts';
import type { DataSource } from '../document/source.ts';
import { CannotAsk } from './outgoing.ts';

/** The place where it is asked. */
interface Here {
  /** Whether it is tried in Hovrin: its stand-in is asked then, and nothing answers on the page's own server. */
  readonly inTry: boolean;
  /** The address of the page that asks. */
  readonly page: string;
  /** What `config.json` says. */
  readonly said?: string | undefined;
}

/**
 * Stand-ins lie on the server that shows the page; where there is none they are not.
 *
 * @returns the base as a whole address. @throws CannotAsk where nothing answers.
 */
export function baseHere(
  { base, standIn }: Pick<DataSource, 'base' | 'standIn'>,
  { inTry, page, said }: Here,
): string {
  const here = said ?? (inTry ? (standIn ?? base) : base);
  if (inTry && isOnPagesServer(here))
    throw new CannotAsk(
      `\`${here}\` is on the server of the page that is handed over; nothing answers here.`,
    );
  if (!here.startsWith(standInFolder)) return new URL(here, page).href;
  if (!page.startsWith('http')) throw new CannotAsk(`\`${here}\` is a stand-in that runs in Hovrin only.`);
  return new URL(`/${here}`, page).href;
}
