/** Who is told how what comes from outside goes. */
import type { Feed, StoredTable } from './types.ts';

/** What comes from outside to a variable, as far as it tells how it goes. */
interface Coming {
  readonly feed?: Pick<Feed, 'status'>;
  readonly table?: Pick<StoredTable, 'status'>;
}

/** Name of the variable that a feed or a table tells how it goes. */
export const toldBy = ({ feed, table }: Coming): string | undefined => feed?.status ?? table?.status;
