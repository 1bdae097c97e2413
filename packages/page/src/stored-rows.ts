/**
 * Rows of tables that are too many for the page's own script: each table's lie in a script beside it, so that a page
 * opened from disk has them as one from a server has.
 */
import type { FeedStatus, ProgramTable, StateValue } from '@hovrin/core/runtime';

/** Rows that have come, by the name of their list. */
const come = new Map<string, StateValue>();

/** Takes rows; called by the script that they lie in. */
export function takeRows(name: string, rows: StateValue): void {
  come.set(name, rows);
}

/** What hears of the rows of a table. */
export interface RowsTarget {
  receive(rows: StateValue): void;
  status(status: FeedStatus): void;
  problem(text: string): void;
}

/** Fetches the rows of a table. */
export function fetchRows(name: string, { file, wait = 0 }: ProgramTable, target: RowsTarget): void {
  if (file === undefined) {
    target.status('live');
    return;
  }
  target.status('waiting');
  const fetchNow = () => {
    const script = document.createElement('script');
    script.src = file;
    script.addEventListener('load', () => {
      const rows = come.get(name);
      if (rows === undefined) return;
      come.delete(name);
      script.remove();
      target.receive(rows);
      target.status('live');
    });
    script.addEventListener('error', () => {
      target.problem(`\`${file}\` does not come.`);
      target.status('failed');
    });
    document.head.append(script);
  };
  setTimeout(fetchNow, wait * 1000);
}
